package smorgas.app.config;

import java.nio.file.Path;
import java.time.Clock;
import javax.sql.DataSource;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.boot.flyway.autoconfigure.FlywayMigrationStrategy;
import org.springframework.context.annotation.Bean;
import org.springframework.jdbc.core.JdbcTemplate;

/** The Spring application. */
@SpringBootApplication(scanBasePackages = "smorgas.app")
public class Application {

    @Bean
    Clock clock() {
        return Clock.systemUTC();
    }

    /** Before a migration of a database that holds something, a copy of it is made beside it. */
    @Bean
    FlywayMigrationStrategy copyBeforeMigration(DataSource database, @Value("${smorgas.data}") String data) {
        return flyway -> {
            var info = flyway.info();
            if (info.current() != null && info.pending().length > 0) {
                Path copy = Path.of(data, "before-" + info.pending()[0].getVersion() + ".zip");
                new JdbcTemplate(database)
                        .execute("backup to '" + copy.toString().replace("'", "''") + "'");
            }
            flyway.migrate();
        };
    }
}

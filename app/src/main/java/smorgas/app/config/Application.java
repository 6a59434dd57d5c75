package smorgas.app.config;

import com.zaxxer.hikari.HikariDataSource;
import com.zaxxer.hikari.SQLExceptionOverride;
import java.nio.file.Path;
import java.sql.SQLException;
import java.time.Clock;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.boot.context.properties.ConfigurationProperties;
import org.springframework.boot.jdbc.autoconfigure.DataSourceProperties;
import org.springframework.context.annotation.Bean;
import org.springframework.scheduling.annotation.EnableScheduling;
import smorgas.app.store.Copies;
import smorgas.app.store.DataFolder;
import smorgas.app.store.Tally;
import smorgas.core.text.Catalogue;
import smorgas.core.text.Wording;

/** The Spring application. The database is migrated where the data folder is opened, before anything may use it. */
@EnableScheduling
@SpringBootApplication(scanBasePackages = "smorgas.app")
public class Application {

    static {
        // A connection is tried each time it is given out: a database that could not write has closed all of them.
        System.setProperty("com.zaxxer.hikari.aliveBypassWindowMs", "0");
    }

    /** Gives a connection back to nobody after any fault of the database itself, for the next one opens it anew. */
    public static final class EvictBroken implements SQLExceptionOverride {

        private static final int GENERAL_FAULT = 50_000;
        private static final int CLOSED = 90_098;

        @java.lang.Override
        public Override adjudicate(SQLException fault) {
            return fault.getErrorCode() == GENERAL_FAULT || fault.getErrorCode() == CLOSED
                    ? Override.MUST_EVICT
                    : Override.CONTINUE_EVICT;
        }
    }

    /** The words for all that people read. */
    @Bean
    Wording wording() {
        return Catalogue.english();
    }

    @Bean
    Clock clock() {
        return Clock.systemUTC();
    }

    @Bean
    Tally tally(DataSourceProperties database, @Value("${smorgas.data}") String data) {
        return DataFolder.open(Path.of(data), database.determineUrl(), "classpath:db/migration");
    }

    /** The connections, once the folder has been found right; {@code tally} stands here for that. */
    @Bean
    @ConfigurationProperties("spring.datasource.hikari")
    HikariDataSource database(DataSourceProperties database, Tally tally) {
        HikariDataSource pool = database.initializeDataSourceBuilder()
                .type(HikariDataSource.class)
                .build();
        // The driver says of a connection to a closed database that it is alive; a statement does not.
        pool.setConnectionTestQuery("select 1");
        pool.setExceptionOverrideClassName(EvictBroken.class.getName());
        return pool;
    }

    @Bean
    Copies copies(
            HikariDataSource database,
            Clock clock,
            @Value("${smorgas.data}") String data,
            @Value("${smorgas.copies}") int kept) {
        return new Copies(Path.of(data), database, kept, clock);
    }
}

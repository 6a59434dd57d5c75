package smorgas.app.config;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.zip.ZipFile;
import org.flywaydb.core.Flyway;
import org.h2.jdbcx.JdbcConnectionPool;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.boot.flyway.autoconfigure.FlywayMigrationStrategy;

class MigrationTest {

    @TempDir
    private Path data;

    @Test
    void beforeAMigrationOfADatabaseThatHoldsSomethingACopyIsMade() throws Exception {
        JdbcConnectionPool database = JdbcConnectionPool.create("jdbc:h2:file:" + data.resolve("smorgas"), "sa", "");
        FlywayMigrationStrategy strategy = new Application().copyBeforeMigration(database, data.toString());
        Path copy = data.resolve("before-999.zip");

        // The first start makes the tables: there is nothing to lose yet.
        strategy.migrate(Flyway.configure().dataSource(database).load());
        assertThat(Files.list(data)).noneMatch(file -> file.toString().endsWith(".zip"));

        Flyway later = Flyway.configure()
                .dataSource(database)
                .locations("classpath:db/migration", "classpath:later-migration")
                .load();
        strategy.migrate(later);
        try (ZipFile zip = new ZipFile(copy.toFile())) {
            assertThat(zip.stream()).anyMatch(entry -> entry.getName().endsWith("smorgas.mv.db"));
        }
        long made = Files.getLastModifiedTime(copy).toMillis();
        // Nothing pending, nothing copied.
        strategy.migrate(later);
        assertThat(Files.getLastModifiedTime(copy).toMillis()).isEqualTo(made);
        database.dispose();
    }
}

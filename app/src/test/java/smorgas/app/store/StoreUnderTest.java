package smorgas.app.store;

import com.zaxxer.hikari.HikariDataSource;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.Map;
import java.util.Properties;
import javax.sql.DataSource;
import org.jooq.DSLContext;
import org.jooq.SQLDialect;
import org.jooq.impl.DSL;
import org.springframework.context.annotation.AnnotationConfigApplicationContext;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Import;
import org.springframework.core.env.MapPropertySource;
import org.springframework.core.env.MutablePropertySources;
import org.springframework.core.env.PropertiesPropertySource;
import org.springframework.core.env.PropertySourcesPropertyResolver;
import org.springframework.jdbc.datasource.DataSourceTransactionManager;
import org.springframework.jdbc.datasource.TransactionAwareDataSourceProxy;
import org.springframework.transaction.annotation.EnableTransactionManagement;
import smorgas.core.text.Catalogue;
import smorgas.core.text.Wording;

/** The store alone, on a database in a folder, opened as the application opens it. */
public final class StoreUnderTest implements AutoCloseable {

    static final Clock CLOCK = Clock.fixed(Instant.parse("2026-05-01T10:00:00Z"), ZoneOffset.UTC);

    private final AnnotationConfigApplicationContext context = new AnnotationConfigApplicationContext();

    @EnableTransactionManagement
    @Import({
        Projects.class,
        Baskets.class,
        Histories.class,
        Pantry.class,
        Layouts.class,
        MeaningStore.class,
        OneAtATime.class,
        Offers.class,
        Schedules.class,
        ExportedPlans.class
    })
    static class Wiring {
        @Bean
        DataSourceTransactionManager transactions(DataSource database) {
            return new DataSourceTransactionManager(database);
        }

        @Bean
        DSLContext db(DataSource database) {
            return DSL.using(new TransactionAwareDataSourceProxy(database), SQLDialect.H2);
        }

        @Bean
        Clock clock() {
            return CLOCK;
        }
    }

    private final Path folder;

    public StoreUnderTest(Path folder) {
        this(folder, () -> Long.MAX_VALUE);
    }

    public Path folder() {
        return folder;
    }

    /** On a disk that says it has so many bytes free. */
    StoreUnderTest(Path folder, DiskSpace.Free free) {
        this.folder = folder;
        Tally tally = DataFolder.open(folder, url(folder), "classpath:db/migration");
        context.registerBean(Tally.class, () -> tally);
        context.registerBean(Wording.class, Catalogue::english);
        context.registerBean(DiskSpace.class, () -> new DiskSpace(free, 1_000_000));
        HikariDataSource database = new HikariDataSource();
        database.setJdbcUrl(url(folder));
        database.setUsername("sa");
        context.registerBean(DataSource.class, () -> database);
        context.register(Wiring.class);
        context.refresh();
    }

    /** The application's own setting, so that the test cannot be safer than what is delivered. */
    static String url(Path folder) {
        Properties delivered = new Properties();
        try (InputStream in = StoreUnderTest.class.getResourceAsStream("/application.properties")) {
            delivered.load(in);
        } catch (IOException e) {
            throw new java.io.UncheckedIOException(e);
        }
        MutablePropertySources sources = new MutablePropertySources();
        sources.addLast(new MapPropertySource("test", Map.of("smorgas.data", folder.toString())));
        sources.addLast(new PropertiesPropertySource("delivered", delivered));
        return new PropertySourcesPropertyResolver(sources).getRequiredProperty("spring.datasource.url");
    }

    /** Takes lines and bytes of a basket away, as nothing of ours does. */
    public void spoil(long basket) {
        DSLContext db = context.getBean(DSLContext.class);
        db.execute("delete from line_block where basket_id = ?", basket);
        db.execute("update basket set content = x'00' where id = ?", basket);
    }

    DataSource database() {
        return context.getBean(DataSource.class);
    }

    public Projects projects() {
        return context.getBean(Projects.class);
    }

    public Baskets baskets() {
        return context.getBean(Baskets.class);
    }

    public MeaningStore meanings() {
        return context.getBean(MeaningStore.class);
    }

    public Histories histories() {
        return context.getBean(Histories.class);
    }

    public Offers offers() {
        return context.getBean(Offers.class);
    }

    public Schedules schedules() {
        return context.getBean(Schedules.class);
    }

    Layouts layouts() {
        return context.getBean(Layouts.class);
    }

    public ExportedPlans exported() {
        return context.getBean(ExportedPlans.class);
    }

    public Pantry pantry() {
        return context.getBean(Pantry.class);
    }

    @Override
    public void close() {
        context.close();
    }
}

package smorgas.app.web;

import com.zaxxer.hikari.HikariDataSource;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.SQLException;
import java.util.Collections;
import java.util.IdentityHashMap;
import java.util.Set;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.stream.Stream;
import org.h2.jdbc.JdbcConnection;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.web.server.context.WebServerApplicationContext;
import org.springframework.context.ConfigurableApplicationContext;
import smorgas.app.config.Application;

/**
 * The application with the demo project, started once for all tests of pages; or started for one test alone. All
 * connections to the database are evicted every ten seconds while the tests run: a pool retires each in the end, and
 * nothing may depend on one that was.
 */
final class Running implements AutoCloseable {

    /** Small, so that a test can pass it. */
    static final String LARGEST = "2MB";

    private static Running shared;

    private static final long EVICTED_AFTER_MILLIS = 10_000;

    private final ConfigurableApplicationContext context;
    private final HikariDataSource pool;
    private final Set<Connection> known = Collections.newSetFromMap(new IdentityHashMap<>());
    private final AtomicInteger evictions = new AtomicInteger();
    private final int port;

    private Running(Path data, int port, boolean demo, String... more) {
        context = new SpringApplication(Application.class)
                .run(Stream.concat(
                                Stream.of(
                                        "--smorgas.data=" + data,
                                        "--smorgas.demo=" + demo,
                                        "--server.port=" + port,
                                        "--smorgas.most-unpacked=20MB",
                                        "--spring.servlet.multipart.max-file-size=" + LARGEST),
                                Stream.of(more))
                        .toArray(String[]::new));
        this.pool = context.getBean(HikariDataSource.class);
        this.port = ((WebServerApplicationContext) context).getWebServer().getPort();
    }

    static Running alone(Path data, int port) {
        return new Running(data, port, true);
    }

    /** In which there is nothing yet, with a proxy at this address before it. */
    static Running behind(String proxy, Path data) {
        return new Running(data, 0, false, "--smorgas.proxy=" + proxy);
    }

    /** In which there is nothing yet. */
    static Running empty(Path data) {
        return new Running(data, 0, false);
    }

    /** Ends with the JVM of the tests. */
    static synchronized Running shared() {
        if (shared == null) {
            try {
                shared = new Running(Files.createTempDirectory("smorgas-test"), 0, true);
                Thread.ofPlatform().daemon().start(shared::evict);
            } catch (IOException e) {
                throw new UncheckedIOException(e);
            }
        }
        return shared;
    }

    private void evict() {
        while (!pool.isClosed()) {
            try {
                Thread.sleep(EVICTED_AFTER_MILLIS);
                evictAll();
            } catch (InterruptedException | SQLException e) {
                return;
            }
        }
    }

    /**
     * Evicts all connections, and sees that the next is another; how often that was done. One is held meanwhile: without any
     * the database would be closed and opened anew, which mends what an evicted session may leave behind.
     */
    int evictAll() throws SQLException {
        try (Connection held = pool.getConnection()) {
            Connection before = held.unwrap(JdbcConnection.class);
            pool.getHikariPoolMXBean().softEvictConnections();
            try (Connection fresh = pool.getConnection()) {
                if (!known.add(fresh.unwrap(JdbcConnection.class)) || fresh.unwrap(JdbcConnection.class) == before) {
                    throw new IllegalStateException("the pool has kept its connection");
                }
            }
        }
        return evictions.incrementAndGet();
    }

    ConfigurableApplicationContext context() {
        return context;
    }

    int port() {
        return port;
    }

    String url(String path) {
        return "http://127.0.0.1:" + port + path;
    }

    @Override
    public void close() {
        context.close();
    }
}

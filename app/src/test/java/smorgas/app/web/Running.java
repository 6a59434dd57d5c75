package smorgas.app.web;

import com.zaxxer.hikari.HikariDataSource;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.channels.FileChannel;
import java.nio.channels.FileLock;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.sql.Connection;
import java.sql.SQLException;
import java.time.Instant;
import java.util.Collections;
import java.util.IdentityHashMap;
import java.util.Set;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.stream.Stream;
import org.h2.jdbc.JdbcConnection;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.web.server.context.WebServerApplicationContext;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.context.support.GenericApplicationContext;
import smorgas.app.config.Application;
import smorgas.core.text.Wording;

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
        this(new SpringApplication(Application.class), data, port, demo, more);
    }

    private Running(SpringApplication application, Path data, int port, boolean demo, String... more) {
        context = application.run(Stream.concat(
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

    /** With the demo as it is at first, unless there is something in the folder already. */
    static Running alone(Path data, int port) {
        if (!Files.exists(data.resolve("smorgas.mv.db"))) {
            copy(demo(), data);
        }
        return new Running(data, port, true);
    }

    /**
     * A folder in which the demo was made, once for all processes of a run of the tests: the first that wants it makes it, while
     * the others wait.
     */
    private static synchronized Path demo() {
        // Maven starts a shell, which starts this process.
        ProcessHandle maven =
                ProcessHandle.current().parent().flatMap(ProcessHandle::parent).orElse(ProcessHandle.current());
        String run = maven.pid() + "-"
                + maven.info().startInstant().map(Instant::toEpochMilli).orElse(0L);
        Path folder = Path.of("target", "demo-" + run).toAbsolutePath();
        try {
            Files.createDirectories(folder);
            try (FileChannel channel = FileChannel.open(
                            folder.resolve("lock"), StandardOpenOption.CREATE, StandardOpenOption.WRITE);
                    FileLock held = channel.lock()) {
                if (held.isValid() && !Files.exists(folder.resolve("made"))) {
                    new Running(folder.resolve("data"), 0, true).close();
                    Files.createFile(folder.resolve("made"));
                }
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return folder.resolve("data");
    }

    private static void copy(Path from, Path to) {
        try (Stream<Path> files = Files.walk(from)) {
            for (Path file : files.toList()) {
                Path copy = to.resolve(from.relativize(file));
                if (Files.isDirectory(file)) {
                    Files.createDirectories(copy);
                } else {
                    Files.copy(file, copy);
                }
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** In which there is nothing yet, with a proxy at this address before it. */
    static Running behind(String proxy, Path data) {
        return new Running(data, 0, false, "--smorgas.proxy=" + proxy);
    }

    /** In which there is nothing yet, and people read these words. */
    static Running inWords(Path data, Wording words) {
        SpringApplication application = new SpringApplication(Application.class);
        application.addInitializers(context -> ((GenericApplicationContext) context)
                .registerBean("otherWords", Wording.class, () -> words, bean -> bean.setPrimary(true)));
        return new Running(application, data, 0, false, "--smorgas.standins=true");
    }

    /** In which there is nothing yet. */
    static Running empty(Path data) {
        return new Running(data, 0, false);
    }

    /** Ends with the JVM of the tests. */
    static synchronized Running shared() {
        if (shared == null) {
            try {
                shared = alone(Files.createTempDirectory("smorgas-test"), 0);
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

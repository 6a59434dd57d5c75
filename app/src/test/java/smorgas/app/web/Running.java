package smorgas.app.web;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.web.server.context.WebServerApplicationContext;
import org.springframework.context.ConfigurableApplicationContext;
import smorgas.app.config.Application;

/** The application with the demo project, started once for all tests of pages; or started for one test alone. */
final class Running implements AutoCloseable {

    /** Small, so that a test can pass it. */
    static final String LARGEST = "2MB";

    private static Running shared;

    private final ConfigurableApplicationContext context;
    private final int port;

    private Running(Path data, int port) {
        context = new SpringApplication(Application.class)
                .run(
                        "--smorgas.data=" + data,
                        "--smorgas.demo=true",
                        "--server.port=" + port,
                        "--smorgas.most-unpacked=20MB",
                        "--spring.servlet.multipart.max-file-size=" + LARGEST);
        this.port = ((WebServerApplicationContext) context).getWebServer().getPort();
    }

    static Running alone(Path data, int port) {
        return new Running(data, port);
    }

    /** Ends with the JVM of the tests. */
    static synchronized Running shared() {
        if (shared == null) {
            try {
                shared = new Running(Files.createTempDirectory("smorgas-test"), 0);
            } catch (IOException e) {
                throw new UncheckedIOException(e);
            }
        }
        return shared;
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

package smorgas.app.web;

import java.io.IOException;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalLong;
import java.util.concurrent.TimeUnit;

/** The application in a process of its own, which can be killed, starved and restarted. */
final class Server implements AutoCloseable {

    private final Process process;
    private final Path told;
    private final String base;

    Server(Path data, String... options) throws IOException {
        int port;
        try (ServerSocket free = new ServerSocket(0, 1, InetAddress.getLoopbackAddress())) {
            port = free.getLocalPort();
        }
        base = "http://127.0.0.1:" + port;
        told = Files.createTempFile("exported", ".log");
        List<String> command = new ArrayList<>(List.of(
                Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                "--enable-native-access=ALL-UNNAMED",
                "-XX:TieredStopAtLevel=1",
                "-XX:+ExitOnOutOfMemoryError",
                "-cp",
                System.getProperty("java.class.path")));
        command.addAll(List.of(options));
        command.addAll(List.of("smorgas.app.Main", "serve", "--data", data.toString(), "--port", String.valueOf(port)));
        process = new ProcessBuilder(command)
                .redirectErrorStream(true)
                .redirectOutput(told.toFile())
                .start();
        await();
    }

    private void await() throws IOException {
        HttpClient client = HttpClient.newHttpClient();
        HttpRequest first = HttpRequest.newBuilder(URI.create(base + "/projects"))
                .timeout(Duration.ofSeconds(5))
                .build();
        for (int tries = 0; tries < 600 && process.isAlive(); tries++) {
            try {
                client.send(first, HttpResponse.BodyHandlers.discarding());
                return;
            } catch (IOException e) {
                java.util.concurrent.locks.LockSupport.parkNanos(100_000_000);
            } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
                break;
            }
        }
        throw new IOException("the server did not start: " + told());
    }

    Visitor visitor() {
        return new Visitor(base);
    }

    boolean alive() {
        return process.isAlive();
    }

    /** What it printed. */
    String told() throws IOException {
        return Files.readString(told);
    }

    /**
     * Lets no file of it grow beyond so many bytes, as on a disk that is full; or lets them again, without any.
     *
     * @return false if that cannot be done here
     */
    boolean largestFile(OptionalLong bytes) throws IOException, InterruptedException {
        String most = bytes.isPresent() ? String.valueOf(bytes.getAsLong()) : "unlimited";
        return new ProcessBuilder("prlimit", "--pid", String.valueOf(process.pid()), "--fsize=" + most + ":unlimited")
                        .start()
                        .waitFor()
                == 0;
    }

    /** As {@code kill -9} does. */
    void kill() throws InterruptedException {
        process.destroyForcibly();
        process.waitFor(20, TimeUnit.SECONDS);
    }

    @Override
    public void close() {
        process.destroy();
        try {
            if (!process.waitFor(20, TimeUnit.SECONDS)) {
                process.destroyForcibly();
            }
            Files.deleteIfExists(told);
        } catch (IOException | InterruptedException e) {
            throw new IllegalStateException(e);
        }
    }
}

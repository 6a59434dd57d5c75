package smorgas.app.web;

import static org.assertj.core.api.Assertions.assertThat;
import static org.junit.jupiter.api.Assumptions.assumeTrue;

import java.io.IOException;
import java.io.InputStream;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.KeyStore;
import java.security.cert.CertificateFactory;
import java.util.concurrent.TimeUnit;
import javax.net.ssl.SSLContext;
import javax.net.ssl.TrustManagerFactory;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Behind a proxy that speaks TLS, set up as the user guide says: Debian's nginx, with a certificate made here. */
class ProxyIT {

    private static final Path NGINX = Path.of("/usr/sbin/nginx");

    @TempDir
    private Path folder;

    private final Running server = Running.shared();

    private void run(String... command) throws IOException, InterruptedException {
        Process process = new ProcessBuilder(command)
                .directory(folder.toFile())
                .redirectErrorStream(true)
                .redirectOutput(folder.resolve("told").toFile())
                .start();
        assertThat(process.waitFor(60, TimeUnit.SECONDS)).isTrue();
        assertThat(process.exitValue())
                .as(Files.readString(folder.resolve("told")))
                .isZero();
    }

    /** What the user guide shows, with the ports of this test. */
    private Path configuration(int port) throws IOException {
        String guide = Files.readString(Path.of("../docs/user-guide.md"));
        int start = guide.indexOf("    location / {");
        String location = guide.substring(start, guide.indexOf("    }", start) + 5)
                .replace("127.0.0.1:8620", "127.0.0.1:" + server.port());
        return Files.writeString(folder.resolve("nginx.conf"), """
                daemon off;
                pid nginx.pid;
                error_log stderr;
                events {}
                http {
                  access_log off;
                  client_body_temp_path body;
                  proxy_temp_path proxy;
                  fastcgi_temp_path fastcgi;
                  uwsgi_temp_path uwsgi;
                  scgi_temp_path scgi;
                  server {
                    listen 127.0.0.1:%d ssl;
                    ssl_certificate cert.pem;
                    ssl_certificate_key key.pem;
                    %s
                  }
                }
                """.formatted(port, location));
    }

    private SSLContext trusting(Path certificate) throws Exception {
        KeyStore trusted = KeyStore.getInstance(KeyStore.getDefaultType());
        trusted.load(null, null);
        try (InputStream in = Files.newInputStream(certificate)) {
            trusted.setCertificateEntry(
                    "proxy", CertificateFactory.getInstance("X.509").generateCertificate(in));
        }
        TrustManagerFactory trust = TrustManagerFactory.getInstance(TrustManagerFactory.getDefaultAlgorithm());
        trust.init(trusted);
        SSLContext context = SSLContext.getInstance("TLS");
        context.init(null, trust.getTrustManagers(), null);
        return context;
    }

    @Test
    void redirectsStayOnTheProxysSideAndFormsAreTaken() throws Exception {
        boolean there = Files.isExecutable(NGINX);
        assumeTrue(there || "required".equals(System.getProperty("smorgas.browser")), "nginx is not installed");
        assertThat(there).as("./smorgas test installs nginx").isTrue();
        int port;
        try (ServerSocket free = new ServerSocket(0, 1, InetAddress.getLoopbackAddress())) {
            port = free.getLocalPort();
        }
        run(
                "openssl",
                "req",
                "-x509",
                "-newkey",
                "rsa:2048",
                "-nodes",
                "-keyout",
                "key.pem",
                "-out",
                "cert.pem",
                "-days",
                "2",
                "-subj",
                "/CN=localhost",
                "-addext",
                "subjectAltName=DNS:localhost");
        Process proxy = new ProcessBuilder(
                        NGINX.toString(),
                        "-p",
                        folder.toString(),
                        "-c",
                        configuration(port).toString())
                .redirectErrorStream(true)
                .redirectOutput(folder.resolve("proxy.log").toFile())
                .start();
        try {
            HttpClient client = HttpClient.newBuilder()
                    .sslContext(trusting(folder.resolve("cert.pem")))
                    .build();
            String base = "https://localhost:" + port;
            HttpResponse<String> first = null;
            for (int i = 0; i < 100 && first == null; i++) {
                try {
                    first = client.send(
                            HttpRequest.newBuilder(URI.create(base + "/")).build(),
                            HttpResponse.BodyHandlers.ofString());
                } catch (IOException e) {
                    Thread.sleep(50);
                }
            }
            assertThat(first).as(Files.readString(folder.resolve("proxy.log"))).isNotNull();
            assertThat(first.statusCode()).isEqualTo(302);
            assertThat(first.headers().firstValue("Location").orElse(""))
                    .matches("(https://localhost:" + port + ")?/.*");

            HttpResponse<String> page = client.send(
                    HttpRequest.newBuilder(URI.create(base + "/projects")).build(),
                    HttpResponse.BodyHandlers.ofString());
            String token = page.body().replaceAll("(?s).*<meta name=\"csrf\" content=\"([^\"]+)\".*", "$1");
            String cookie = page.headers().firstValue("Set-Cookie").orElse("");
            assertThat(cookie).containsIgnoringCase("Secure");
            HttpResponse<String> made = client.send(
                    HttpRequest.newBuilder(URI.create(base + "/projects"))
                            .header("Content-Type", "application/x-www-form-urlencoded")
                            .header("Origin", base)
                            .header("X-XSRF-TOKEN", token)
                            .header("Cookie", cookie.replaceAll(";.*", ""))
                            .POST(HttpRequest.BodyPublishers.ofString(
                                    "name=Behind+a+proxy&language=en&market=UK&currency=GBP"))
                            .build(),
                    HttpResponse.BodyHandlers.ofString());
            assertThat(made.statusCode()).as(made.body()).isEqualTo(302);
            assertThat(made.headers().firstValue("Location").orElse(""))
                    .matches("(https://localhost:" + port + ")?/projects/\\d+");
        } finally {
            proxy.destroy();
            proxy.waitFor(10, TimeUnit.SECONDS);
        }
    }
}

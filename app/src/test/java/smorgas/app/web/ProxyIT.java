package smorgas.app.web;

import static org.assertj.core.api.Assertions.assertThat;
import static org.junit.jupiter.api.Assumptions.assumeTrue;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.KeyStore;
import java.security.cert.CertificateFactory;
import java.util.ArrayList;
import java.util.Base64;
import java.util.List;
import java.util.concurrent.TimeUnit;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import javax.net.ssl.SSLContext;
import javax.net.ssl.TrustManagerFactory;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import smorgas.app.Main;
import smorgas.core.text.Catalogue;

/**
 * Behind a proxy that speaks TLS, set up as the user guide says: Debian's nginx, with a certificate made here. And who may say
 * what of a request: nobody under which name this server is called, the named proxy alone for whom and by which scheme.
 */
class ProxyIT {

    private static final Path NGINX = Path.of("/usr/sbin/nginx");

    @TempDir
    private Path folder;

    private static final String PASSWORD = "long enough, too";
    private static final String AUTHORIZED =
            "Basic " + Base64.getEncoder().encodeToString(("smorgas:" + PASSWORD).getBytes(StandardCharsets.UTF_8));

    @TempDir
    private static Path data;

    private static Running server;

    @BeforeAll
    static void start() throws IOException {
        InputStream in = System.in;
        System.setIn(new ByteArrayInputStream((PASSWORD + "\n").getBytes(StandardCharsets.UTF_8)));
        try {
            Main.line(Catalogue.english()).execute("password", "--data", data.toString());
        } finally {
            System.setIn(in);
        }
        server = Running.behind("127.0.0.1", data);
    }

    @AfterAll
    static void end() {
        server.close();
    }

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

    private static HttpRequest.Builder asking(String address) {
        return HttpRequest.newBuilder(URI.create(address)).header("Authorization", AUTHORIZED);
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
                    first = client.send(asking(base + "/").build(), HttpResponse.BodyHandlers.ofString());
                } catch (IOException e) {
                    Thread.sleep(50);
                }
            }
            assertThat(first).as(Files.readString(folder.resolve("proxy.log"))).isNotNull();
            assertThat(first.statusCode()).isEqualTo(302);
            assertThat(first.headers().firstValue("Location").orElse(""))
                    .matches("(https://localhost:" + port + ")?/.*");

            HttpResponse<String> page =
                    client.send(asking(base + "/projects").build(), HttpResponse.BodyHandlers.ofString());
            String token = page.body().replaceAll("(?s).*<meta name=\"csrf\" content=\"([^\"]+)\".*", "$1");
            String cookie = page.headers().firstValue("Set-Cookie").orElse("");
            assertThat(cookie).containsIgnoringCase("Secure");
            HttpResponse<String> made = client.send(
                    asking(base + "/projects")
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

    /** Every header by which a proxy says something, with what somebody would say who wants to be taken for us. */
    private static final List<String> FORWARDED = List.of(
            "X-Forwarded-Host: localhost",
            "X-Forwarded-Server: localhost",
            "X-Forwarded-Proto: https",
            "X-Forwarded-Port: 443",
            "X-Forwarded-Prefix: /elsewhere",
            "X-Forwarded-For: 203.0.113.9",
            "Forwarded: for=203.0.113.9;host=localhost;proto=https");

    private static String answer(int port, String from, String host, List<String> headers) throws IOException {
        try (Socket socket = new Socket()) {
            socket.bind(new InetSocketAddress(from, 0));
            socket.connect(new InetSocketAddress("127.0.0.1", port));
            String request = "GET /projects HTTP/1.1\r\nHost: " + host + "\r\nConnection: close\r\n"
                    + headers.stream().map(header -> header + "\r\n").collect(Collectors.joining()) + "\r\n";
            socket.getOutputStream().write(request.getBytes(StandardCharsets.UTF_8));
            return new String(socket.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        }
    }

    private static List<String> and(List<String> some, String one) {
        return Stream.concat(some.stream(), Stream.of(one)).toList();
    }

    /** Each header alone, then all of them together. */
    private static List<List<String>> aloneAndTogether() {
        return Stream.concat(FORWARDED.stream().map(List::of), Stream.of(FORWARDED))
                .toList();
    }

    @Test
    void aNameThatWasPointedAtTheLoopbackIsNotAnsweredWhateverElseIsSaid() throws IOException {
        int plain = Running.shared().port();
        assertThat(answer(plain, "127.0.0.1", "rebound.example:" + plain, List.of()))
                .startsWith("HTTP/1.1 421");
        assertThat(answer(plain, "127.0.0.1", "LOCALHOST:" + plain, List.of())).startsWith("HTTP/1.1 200");
        assertThat(answer(plain, "127.0.0.1", "[::1]", List.of())).startsWith("HTTP/1.1 200");
        for (List<String> headers : aloneAndTogether()) {
            for (String host :
                    List.of("rebound.example", "localhost.rebound.example:80", "", "127.0.0.1.nip.example")) {
                assertThat(answer(plain, "127.0.0.1", host, headers))
                        .as("%s %s", host, headers)
                        .matches("(?s)HTTP/1.1 (421|400).*");
                for (String from : List.of("127.0.0.1", "127.0.0.2")) {
                    assertThat(answer(server.port(), from, host, and(headers, "Authorization: " + AUTHORIZED)))
                            .as("with a proxy named, from %s, %s %s", from, host, headers)
                            .matches("(?s)HTTP/1.1 (421|400).*");
                }
            }
        }
    }

    @Test
    void onlyTheNamedProxySaysThatARequestCameByTls() throws IOException {
        int plain = Running.shared().port();
        for (List<String> headers : aloneAndTogether()) {
            assertThat(answer(plain, "127.0.0.1", "localhost", headers))
                    .as("%s", headers)
                    .startsWith("HTTP/1.1 200")
                    .doesNotContain("; Secure", "/elsewhere");
            assertThat(answer(server.port(), "127.0.0.2", "localhost", and(headers, "Authorization: " + AUTHORIZED)))
                    .as("%s", headers)
                    .startsWith("HTTP/1.1 200")
                    .doesNotContain("; Secure", "/elsewhere");
        }
        assertThat(answer(
                        server.port(),
                        "127.0.0.1",
                        "localhost",
                        List.of("X-Forwarded-Proto: https", "Authorization: " + AUTHORIZED)))
                .startsWith("HTTP/1.1 200")
                .contains("; Secure");
    }

    @Test
    void whoGuessesIsSlowedWhoeverHeSaysHeIs() throws IOException {
        String wrong = "Authorization: Basic "
                + Base64.getEncoder().encodeToString("smorgas:a wrong one".getBytes(StandardCharsets.UTF_8));
        List<String> told = new ArrayList<>();
        for (int i = 0; i < 12; i++) {
            List<String> headers = List.of(wrong, "X-Forwarded-For: 203.0.113." + i, "Forwarded: for=203.0.113." + i);
            told.add(answer(server.port(), "127.0.0.3", "localhost", headers)
                    .lines()
                    .findFirst()
                    .orElse(""));
        }
        assertThat(told)
                .filteredOn(line -> line.startsWith("HTTP/1.1 429"))
                .as("%s", told)
                .hasSizeGreaterThan(5);
    }
}

package smorgas.app.web;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.net.CookieManager;
import java.net.URI;
import java.net.URLEncoder;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/** Somebody with a browser that runs no script: keeps cookies, and sends the token that the last page carried. */
final class Visitor {

    private static final Pattern TOKEN = Pattern.compile("<meta name=\"csrf\" content=\"([^\"]+)\">");
    private static final Pattern VERSION = Pattern.compile("data-version=\"(\\d+)\"");

    private final String base;
    private final HttpClient client = HttpClient.newBuilder()
            .cookieHandler(new CookieManager())
            .followRedirects(HttpClient.Redirect.NORMAL)
            .build();
    private String token = "";
    private long version;

    Visitor(Running server) {
        this.base = server.url("");
    }

    HttpResponse<String> get(String path, String... headers) {
        HttpRequest.Builder request = HttpRequest.newBuilder(URI.create(base + path));
        if (headers.length > 0) {
            request.headers(headers);
        }
        return send(request.build());
    }

    /** A form as a page sends it, with the token and, unless it is given, the version that the last page showed. */
    HttpResponse<String> post(String path, Map<String, String> fields, String... headers) {
        String form = fields.entrySet().stream()
                .map(e -> e.getKey() + "=" + URLEncoder.encode(e.getValue(), StandardCharsets.UTF_8))
                .collect(Collectors.joining("&"));
        String seen = fields.containsKey("version") ? "" : "&version=" + version;
        HttpRequest.Builder request = HttpRequest.newBuilder(URI.create(base + path))
                .header("Content-Type", "application/x-www-form-urlencoded")
                .header("X-XSRF-TOKEN", token)
                .POST(HttpRequest.BodyPublishers.ofString(form + seen));
        if (headers.length > 0) {
            request.headers(headers);
        }
        return send(request.build());
    }

    HttpResponse<String> upload(String path, Map<String, byte[]> files) {
        String edge = "----smorgas-edge";
        ByteArrayOutputStream body = new ByteArrayOutputStream();
        files.forEach((name, bytes) -> {
            body.writeBytes(("--" + edge + "\r\nContent-Disposition: form-data; name=\"files\"; filename=\""
                            + name.replace("\"", "%22") + "\"\r\nContent-Type: text/csv\r\n\r\n")
                    .getBytes(StandardCharsets.UTF_8));
            body.writeBytes(bytes);
            body.writeBytes("\r\n".getBytes(StandardCharsets.UTF_8));
        });
        body.writeBytes(("--" + edge + "--\r\n").getBytes(StandardCharsets.UTF_8));
        return send(HttpRequest.newBuilder(URI.create(base + path))
                .header("Content-Type", "multipart/form-data; boundary=" + edge)
                .header("X-XSRF-TOKEN", token)
                .POST(HttpRequest.BodyPublishers.ofByteArray(body.toByteArray()))
                .build());
    }

    /** A new project, and its number. */
    long project(String name) {
        get("/projects");
        HttpResponse<String> page = post(
                "/projects", Map.of("name", name, "language", "en", "market", "United Kingdom", "currency", "GBP"));
        Matcher number = Pattern.compile("/projects/(\\d+)/").matcher(page.uri().getPath());
        if (!number.find()) {
            throw new IllegalStateException(page.uri() + ": " + page.body());
        }
        return Long.parseLong(number.group(1));
    }

    long version() {
        return version;
    }

    private HttpResponse<String> send(HttpRequest request) {
        try {
            HttpResponse<String> response = client.send(request, HttpResponse.BodyHandlers.ofString());
            Matcher found = TOKEN.matcher(response.body());
            token = found.find() ? found.group(1) : token;
            Matcher shown = VERSION.matcher(response.body());
            version = shown.find() ? Long.parseLong(shown.group(1)) : version;
            return response;
        } catch (IOException e) {
            throw new java.io.UncheckedIOException(e);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException(e);
        }
    }
}

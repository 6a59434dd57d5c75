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

    private static final String EDGE = "----smorgas-edge";
    private static final Pattern TOKEN = Pattern.compile("<meta name=\"csrf\" content=\"([^\"]+)\"");
    private static final Pattern VERSION = Pattern.compile("data-version=\"(\\d+)\"");

    private final String base;
    private final HttpClient client = HttpClient.newBuilder()
            .cookieHandler(new CookieManager())
            .followRedirects(HttpClient.Redirect.NORMAL)
            .build();
    private String token = "";
    private long version;

    Visitor(Running server) {
        this(server.url(""));
    }

    /** Somebody on a server at this address, such as {@code http://127.0.0.1:8620}. */
    Visitor(String base) {
        this.base = base;
    }

    HttpResponse<String> get(String path, String... headers) {
        HttpRequest.Builder request = HttpRequest.newBuilder(URI.create(base + path));
        if (headers.length > 0) {
            request.headers(headers);
        }
        return send(request.build());
    }

    /** A file, as its bytes are. */
    byte[] bytes(String path) {
        try {
            return client.send(
                            HttpRequest.newBuilder(URI.create(base + path)).build(),
                            HttpResponse.BodyHandlers.ofByteArray())
                    .body();
        } catch (IOException e) {
            throw new java.io.UncheckedIOException(e);
        } catch (InterruptedException e) {
            throw new IllegalStateException(e);
        }
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
        return upload(path, "files", files, Map.of());
    }

    /** A form with files, as a page sends it. */
    HttpResponse<String> upload(String path, String field, Map<String, byte[]> files, Map<String, String> fields) {
        ByteArrayOutputStream body = new ByteArrayOutputStream();
        fields.forEach((name, value) -> part(body, "name=\"" + name + "\"", value.getBytes(StandardCharsets.UTF_8)));
        files.forEach((name, bytes) -> part(
                body,
                "name=\"" + field + "\"; filename=\"" + name.replace("\"", "%22") + "\"\r\nContent-Type: text/csv",
                bytes));
        body.writeBytes(("--" + EDGE + "--\r\n").getBytes(StandardCharsets.UTF_8));
        return send(HttpRequest.newBuilder(URI.create(base + path))
                .header("Content-Type", "multipart/form-data; boundary=" + EDGE)
                .header("X-XSRF-TOKEN", token)
                .POST(HttpRequest.BodyPublishers.ofByteArray(body.toByteArray()))
                .build());
    }

    private static void part(ByteArrayOutputStream body, String head, byte[] bytes) {
        body.writeBytes(("--" + EDGE + "\r\nContent-Disposition: form-data; " + head + "\r\n\r\n")
                .getBytes(StandardCharsets.UTF_8));
        body.writeBytes(bytes);
        body.writeBytes("\r\n".getBytes(StandardCharsets.UTF_8));
    }

    /** A new project, and its number. */
    long project(String name) {
        get("/projects");
        return number(post("/projects", fieldsOfProject(name)));
    }

    /** A new project that follows a recipe from the start, and its number. */
    long project(String name, String recipe) {
        get("/projects");
        return number(upload(
                "/projects",
                "recipe",
                Map.of("recipe.json", recipe.getBytes(StandardCharsets.UTF_8)),
                fieldsOfProject(name)));
    }

    private static Map<String, String> fieldsOfProject(String name) {
        return Map.of("name", name, "language", "en", "market", "United Kingdom", "currency", "GBP");
    }

    private static long number(HttpResponse<String> page) {
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

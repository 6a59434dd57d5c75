package smorgas.bench;

import java.io.IOException;
import java.net.CookieManager;
import java.net.ServerSocket;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** The application as it is started by its script: time to the first page, and the keyword table at 100,000 keywords. */
final class Server implements AutoCloseable {

    private final Process process;
    private final String base;
    private final HttpClient client = HttpClient.newBuilder()
            .cookieHandler(new CookieManager())
            .followRedirects(HttpClient.Redirect.NORMAL)
            .build();
    private final long start = System.nanoTime();

    Server(String script, Path data, String... more) throws IOException {
        int port;
        try (ServerSocket free = new ServerSocket(0)) {
            port = free.getLocalPort();
        }
        base = "http://127.0.0.1:" + port;
        List<String> command = new java.util.ArrayList<>(
                List.of(script, "run", "--data", data.toString(), "--port", String.valueOf(port)));
        command.addAll(List.of(more));
        process = new ProcessBuilder(command)
                .redirectOutput(ProcessBuilder.Redirect.DISCARD)
                .redirectError(ProcessBuilder.Redirect.DISCARD)
                .start();
    }

    /** From the command to the whole first page of the demo, its project made first and then there already. */
    static void start(String script, Path folder) throws IOException, InterruptedException {
        System.out.println("\n| start | ms to the first page |\n|---|---:|");
        for (String which : List.of("demo project made at this start", "demo project there already")) {
            try (Server server = new Server(script, folder.resolve("demo"), "--demo")) {
                server.awaitPage();
                System.out.printf("| %s | %,d |%n", which, (System.nanoTime() - server.start) / 1_000_000);
            }
        }
    }

    HttpResponse<String> awaitPage() throws InterruptedException {
        while (true) {
            try {
                return get("/");
            } catch (IOException e) {
                Thread.sleep(50);
            }
        }
    }

    HttpResponse<String> get(String path) throws IOException, InterruptedException {
        HttpRequest request = HttpRequest.newBuilder(URI.create(base + path)).build();
        HttpResponse<String> page = client.send(request, HttpResponse.BodyHandlers.ofString());
        // What stands for a page until the groups are found is waited for as whoever looks at it does.
        while (page.body().contains("id=\"waiting\"")) {
            page = client.send(request, HttpResponse.BodyHandlers.ofString());
        }
        return page;
    }

    /** Pages, sorts and searches of the table over as many keywords as lines; all distinct. */
    static void table(String script, Path folder, int lines) throws IOException, InterruptedException {
        try (Server server = new Server(script, folder.resolve("table"))) {
            server.awaitPage();
            String project = server.fill(lines);
            server.add(project);
            String[] orders = {"searches", "keyword", "status", "cpc", "baskets"};
            Timed timed = new Timed();
            for (int i = -60; i < 300; i++) {
                String path =
                        switch (Math.floorMod(i, 3)) {
                            case 0 -> "?page=" + (1 + Math.floorMod(i * 37, lines / 200));
                            case 1 -> "?sort=" + (i % 2 == 0 ? "-" : "") + orders[Math.floorMod(i, orders.length)];
                            default -> "?q=" + "bakalumer".substring(Math.floorMod(i, 5), Math.floorMod(i, 5) + 3);
                        };
                long begun = System.nanoTime();
                HttpResponse<String> page = server.get(project + "/sift" + path);
                timed.ended(i, begun);
                if (page.statusCode() != 200) {
                    throw new IOException(path + ": " + page.statusCode());
                }
            }
            System.out.printf(
                    "%nKeyword table over %,d keywords, pages of 200, %d requests after 60 to warm up (pages, sorts,"
                            + " searches; seen by the client): %s, most %d ms%n",
                    lines, timed.size(), timed, timed.most());
        }
    }

    /** A kind of folding switched off and on again: from the request to the page with the new counts. */
    static void flips(String script, Path folder, int lines) throws IOException, InterruptedException {
        try (Server server = new Server(script, folder.resolve("flips-" + lines))) {
            server.awaitPage();
            String project = server.fill(lines);
            Timed timed = new Timed();
            // Gathering made the first version; each switch makes one more.
            int version = 1;
            for (int i = -10; i < 20; i++) {
                String token = server.token();
                long begun = System.nanoTime();
                HttpResponse<String> page = server.send(
                        project + "/fold/kind",
                        "application/x-www-form-urlencoded",
                        "kind=PLURALS&on=" + (i % 2 != 0) + "&version=" + version++,
                        token);
                timed.ended(i, begun);
                if (page.statusCode() != 200 || !page.body().contains("From lines to keywords")) {
                    throw new IOException("not switched: " + page.statusCode());
                }
            }
            System.out.printf(
                    "%nSwitching a kind of folding on %,d lines, to the page with the new counts: median %d ms, most %d ms"
                            + " of %d%n",
                    lines, timed.median(), timed.most(), timed.size());
        }
    }

    /** A rule of five conditions judged anew, and the words counted anew for filters: from the request to the page. */
    static void sifting(String script, Path folder, int lines, int rounds) throws IOException, InterruptedException {
        try (Server server = new Server(script, folder.resolve("sifting-" + lines))) {
            server.awaitPage();
            String project = server.fill(lines);
            Timed rule = new Timed();
            Timed words = new Timed();
            Timed groups = new Timed();
            int version = 1;
            for (int i = -Math.max(rounds / 2, 2_000_000 / lines); i < rounds; i++) {
                server.judge(project, i, version++, rule);
                String text = "bakalumergin".substring(Math.floorMod(i, 9), Math.floorMod(i, 9) + 3);
                long begun = System.nanoTime();
                HttpResponse<String> page = server.get(project + "/sift?q=" + text + "&wn=" + (i % 2 == 0 ? "1" : "2-5")
                        + "&least=" + Math.floorMod(i * 7, 50));
                words.ended(i, begun);
                if (page.statusCode() != 200) {
                    throw new IOException("no words: " + page.statusCode());
                }
                // As a browser does: the band asks for its end until the groups are found.
                begun = System.nanoTime();
                while (server.get(project + "/band?step=sift").body().contains("aria-busy=\"true\"")) {
                    Thread.onSpinWait();
                }
                groups.ended(i, begun);
            }
            System.out.printf(
                    "%nSift over %,d keywords, %d requests each, seen by the client: a rule of five conditions judged anew and the"
                            + " page shown, %s; the page with the words counted anew for a filter, %s; then the band with"
                            + " the groups, %s%n",
                    lines, rounds, rule, words, groups);
        }
    }

    /** Makes a rule of five conditions, or changes it. */
    private void judge(String project, int round, int version, Timed timed) throws IOException, InterruptedException {
        String token = token();
        String fields = "how=ALL&rule=" + (version == 1 ? 0 : 1) + "&act=drop&version=" + version
                + "&part=0&kind=text&value=ba&least=&most=&part=0&kind=figure:SEARCHES&value=&least="
                + Math.floorMod(100 + 7 * round, 4_000)
                + "&most=&part=0&kind=figure:CPC&value=&least=&most=1&part=0&kind=words&value=&least=2&most=4"
                + "&part=0&kind=starts&value=delfor&least=&most=";
        long begun = System.nanoTime();
        HttpResponse<String> page = send(project + "/rules/build", "application/x-www-form-urlencoded", fields, token);
        timed.ended(round, begun);
        if (page.statusCode() != 200 || !page.body().contains("Words on view")) {
            throw new IOException("no rule: " + page.statusCode());
        }
    }

    /** A dial turned and the page with the result shown, a group opened, and the map drawn: from the request to the page. */
    static void dials(String script, Path folder, int lines, int rounds) throws IOException, InterruptedException {
        try (Server server = new Server(script, folder.resolve("dials-" + lines))) {
            server.awaitPage();
            String project = server.fill(lines);
            Timed dial = new Timed();
            Timed group = new Timed();
            Timed map = new Timed();
            int areas = 0;
            for (int i = -Math.max(rounds / 2, 1_000_000 / lines); i < rounds; i++) {
                // Never one that is remembered.
                String turned = "/group?view=list&smallest=" + (3 + Math.floorMod(i, 7)) + "&tightness="
                        + Math.floorMod(i * 11, 100) + "&longest=" + (2 + Math.floorMod(i, 3));
                server.timed(dial, i, project + turned, "What the dials did");
                String list = server.get(project + "/group?view=list").body();
                Matcher links = Pattern.compile("href=\"(\\?view=list&amp;group=[^\"]+)\"")
                        .matcher(list);
                for (int skipped = 0; skipped <= Math.floorMod(i * 13, 40) && links.find(); skipped++) {
                    // To one of the first forty.
                }
                server.timed(
                        group,
                        i,
                        project + "/group" + links.group(1).replace("&amp;", "&") + "&page="
                                + (1 + Math.floorMod(i, 2)),
                        "class=\"keyword-row\"");
                // More groups than the standard makes; they are found before the clock runs.
                String many = project + "/group?by=keywords&smallest=2&longest=5";
                areas = server.get(many).body().split("class=\"area ", -1).length - 1;
                server.timed(map, i, many + "&zoom=" + i, "id=\"group-map\"");
            }
            System.out.printf(
                    "%nGroup over %,d keywords, %d requests each, seen by the client: a dial turned, to the page with the result and"
                            + " what it did, %s; a group opened, %s; the map of %,d areas, %s%n",
                    lines, rounds, dial, group, areas, map);
        }
    }

    private void timed(Timed timed, int round, String path, String holding) throws IOException, InterruptedException {
        long begun = System.nanoTime();
        HttpResponse<String> page = get(path);
        timed.ended(round, begun);
        if (page.statusCode() != 200 || !page.body().contains(holding)) {
            throw new IOException(path + ": " + page.statusCode() + ", without " + holding);
        }
    }

    /** Baskets of 1,000 lines added to the project: from the request to the page that shows the new state. */
    private void add(String project) throws IOException, InterruptedException {
        Timed timed = new Timed();
        for (int round = -3; round < 9; round++) {
            StringBuilder list = new StringBuilder("Keyword,Search volume\r\n");
            for (int i = 0; i < 1_000; i++) {
                list.append("added ")
                        .append(round + 9)
                        .append(' ')
                        .append(i)
                        .append(',')
                        .append(i)
                        .append("\r\n");
            }
            String body = "--edge\r\nContent-Disposition: form-data; name=\"files\"; filename=\"more.csv\"\r\n\r\n"
                    + list + "\r\n--edge--\r\n";
            String token = token();
            long begun = System.nanoTime();
            send(project + "/gather", "multipart/form-data; boundary=edge", body, token);
            timed.ended(round, begun);
        }
        System.out.printf(
                "%nAdding a basket of 1,000 lines to it, to the page that shows the new state: median %d ms, most %d ms of"
                        + " %d%n",
                timed.median(), timed.most(), timed.size());
    }

    /** Milliseconds from the request that brings all these lists into a new project until none is being read any more. */
    long gather(List<Path> files) throws IOException, InterruptedException {
        awaitPage();
        String project = make();
        StringBuilder body = new StringBuilder();
        for (Path file : files) {
            body.append("--edge\r\nContent-Disposition: form-data; name=\"files\"; filename=\"")
                    .append(file.getFileName())
                    .append("\"\r\n\r\n")
                    .append(Files.readString(file))
                    .append("\r\n");
        }
        String token = token();
        long begun = System.nanoTime();
        HttpResponse<String> page = send(
                project + "/gather",
                "multipart/form-data; boundary=edge",
                body.append("--edge--\r\n").toString(),
                token);
        while (page.body().contains("class=\"readings\"")) {
            Thread.sleep(100);
            page = get(project + "/gather/progress");
        }
        long taken = (System.nanoTime() - begun) / 1_000_000;
        page = get(project + "/gather");
        for (Path file : files) {
            if (!page.body().contains(file.getFileName().toString())) {
                throw new IOException(file + " was not gathered");
            }
        }
        return taken;
    }

    private String make() throws IOException, InterruptedException {
        String made = post(
                        "/projects", "application/x-www-form-urlencoded", "name=Bench&language=en&market=&currency=EUR")
                .uri()
                .getPath();
        return made.substring(0, made.lastIndexOf('/'));
    }

    private String fill(int lines) throws IOException, InterruptedException {
        StringBuilder list = new StringBuilder("Keyword,Search volume,CPC\r\n");
        List<String> phrases = MadeLists.phrases(lines);
        for (int i = 0; i < lines; i++) {
            list.append(phrases.get(i))
                    .append(' ')
                    .append(i)
                    .append(',')
                    .append(i % 5_000)
                    .append(",0.5\r\n");
        }
        String project = make();
        String body = "--edge\r\nContent-Disposition: form-data; name=\"files\"; filename=\"made.csv\"\r\n\r\n" + list
                + "\r\n--edge--\r\n";
        long begun = System.nanoTime();
        HttpResponse<String> answer = post(project + "/gather", "multipart/form-data; boundary=edge", body);
        String page = answer.body();
        // A long list is read in the background.
        while (page.contains("class=\"readings\"")) {
            Thread.sleep(100);
            page = get(project + "/gather/progress").body();
        }
        get(project + "/gather");
        System.out.printf(
                "%nGathering %,d lines in the browser: %,d ms to the page that shows them (%d)%n",
                lines, (System.nanoTime() - begun) / 1_000_000, answer.statusCode());
        return project;
    }

    private HttpResponse<String> post(String path, String type, String body) throws IOException, InterruptedException {
        return send(path, type, body, token());
    }

    String token() throws IOException, InterruptedException {
        Matcher token = Pattern.compile("name=\"csrf\" content=\"([^\"]+)\"")
                .matcher(get("/projects").body());
        if (!token.find()) {
            throw new IOException("no token on the page of projects");
        }
        return token.group(1);
    }

    HttpResponse<String> send(String path, String type, String body, String token)
            throws IOException, InterruptedException {
        return client.send(
                HttpRequest.newBuilder(URI.create(base + path))
                        .header("Content-Type", type)
                        .header("X-XSRF-TOKEN", token)
                        // Where an act goes back to.
                        .header("Referer", base + path.replaceAll("(/(fold|gather))/.*", "$1"))
                        .POST(HttpRequest.BodyPublishers.ofString(body))
                        .build(),
                HttpResponse.BodyHandlers.ofString());
    }

    @Override
    public void close() {
        process.toHandle().descendants().forEach(ProcessHandle::destroy);
        process.destroy();
        process.onExit().join();
    }

    /** A folder for one measurement. */
    static Path folder() throws IOException {
        return Files.createTempDirectory("smorgas-bench");
    }
}

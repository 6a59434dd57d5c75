package smorgas.app.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.UncheckedIOException;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.OptionalLong;
import java.util.Random;
import java.util.Set;
import java.util.TreeSet;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.function.BooleanSupplier;
import org.junit.jupiter.api.Assumptions;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * What goes wrong around the application: killed, crowded, starved. Short here; {@code ./smorgas bench faults} runs it at
 * full length. Each prints what it counted.
 */
@Tag("faults")
class FaultsIT {

    private static final boolean FULL = "full".equals(System.getProperty("smorgas.faults"));

    @TempDir
    private Path folder;

    private static int size(int brief, int full) {
        return FULL ? full : brief;
    }

    private static void report(String what, Object... figures) {
        System.out.println("Faults: " + String.format(Locale.ENGLISH, what, figures));
    }

    /** Somebody who acts without a pause, and remembers what was acknowledged. */
    private static final class Acting {
        private final String name;
        private final Random random;
        private long project;
        /** Words ignored, in order; undo takes the last. */
        private final List<String> ignored = new ArrayList<>();

        private final Set<String> lists = new TreeSet<>();
        private String campaign = "Campaign 1";
        /** The act that was sent and not answered when the server was killed: it may be there or not. */
        private String pending = "";

        private int acknowledged;
        private int number;

        Acting(String name, long seed) {
            this.name = name;
            this.random = new Random(seed);
        }

        private boolean done(HttpResponse<String> answer) {
            if (answer.statusCode() != 200) {
                throw new IllegalStateException(answer.statusCode() + ": " + answer.body());
            }
            acknowledged++;
            pending = "";
            return true;
        }

        /** Acts until the server is gone. */
        void until(Visitor visitor, AtomicBoolean stopped) {
            String base = "/projects/" + project;
            try {
                visitor.get(base + "/serve");
                while (!stopped.get()) {
                    String next = name + "x" + ++number;
                    switch (random.nextInt(8)) {
                        case 0 -> {
                            // The last act is an ignored word or nothing of ours: then there is nothing to undo here.
                            pending = "ignore";
                            String ignore = "undo" + next;
                            done(visitor.post(base + "/ignore", Map.of("ignoredWord", ignore, "ignored", "true")));
                            ignored.add(ignore);
                            pending = "undo";
                            done(visitor.post(base + "/undo", Map.of()));
                            ignored.removeLast();
                        }
                        case 1 -> {
                            pending = "list " + next;
                            byte[] list = ("bee " + next + "\n").getBytes(StandardCharsets.UTF_8);
                            done(visitor.upload(base + "/gather", Map.of(next + ".txt", list)));
                            lists.add(next + ".txt");
                        }
                        case 2 -> {
                            pending = "campaign";
                            done(visitor.post(
                                    base + "/serve",
                                    Map.of("campaign", next, "pattern", "{theme}", "bid", "", "matchTypes", "EXACT")));
                            campaign = next;
                        }
                        default -> {
                            pending = "ignore";
                            done(visitor.post(base + "/ignore", Map.of("ignoredWord", next, "ignored", "true")));
                            ignored.add(next);
                        }
                    }
                }
            } catch (UncheckedIOException e) {
                // Killed.
            }
        }

        /** How many acknowledged acts are not there. Then takes what is there for the truth. */
        int lost(Visitor visitor) {
            String base = "/projects/" + project;
            JsonNode recipe = JsonMapper.shared()
                    .readTree(visitor.get(base + "/recipe.json").body());
            Set<String> there = new TreeSet<>();
            String campaignThere = "";
            for (JsonNode entry : recipe.path("entries")) {
                switch (entry.path("kind").stringValue()) {
                    case "words-ignored" ->
                        entry.path("body").path("words").forEach(word -> there.add(word.stringValue()));
                    case "plan-settings" ->
                        campaignThere = entry.path("body")
                                .path("settings")
                                .path("names")
                                .path("campaign")
                                .stringValue("");
                    default -> {
                        // Nothing that we do.
                    }
                }
            }
            int lost = 0;
            for (int i = 0; i < ignored.size(); i++) {
                boolean mayBeUndone = i == ignored.size() - 1 && pending.equals("undo");
                lost += there.contains(ignored.get(i)) || mayBeUndone ? 0 : 1;
            }
            Set<String> more = new TreeSet<>(there);
            more.removeAll(ignored);
            // Undone and acknowledged, yet there again; one that was not answered may be.
            lost += Math.max(0, more.size() - (pending.equals("ignore") ? 1 : 0));
            lost += campaignThere.equals(campaign) || pending.equals("campaign") ? 0 : 1;
            String gathered = visitor.get(base + "/gather").body();
            for (String list : lists) {
                lost += gathered.contains(list) ? 0 : 1;
            }
            ignored.clear();
            ignored.addAll(there);
            campaign = campaignThere;
            pending = "";
            return lost;
        }
    }

    @Test
    void nothingAcknowledgedIsLostHoweverOftenTheServerIsKilled() throws Exception {
        int rounds = size(2, 200);
        Random random = new Random(5);
        List<Acting> clients = List.of(new Acting("a", 1), new Acting("b", 2));
        int lost = 0;
        for (int round = 0; round <= rounds; round++) {
            try (Server server = new Server(folder)) {
                for (Acting client : clients) {
                    Visitor visitor = server.visitor();
                    if (client.project == 0) {
                        client.project = visitor.project("Client " + client.name);
                        visitor.get("/projects/" + client.project + "/serve");
                        visitor.post(
                                "/projects/" + client.project + "/serve",
                                Map.of(
                                        "campaign",
                                        "Campaign 1",
                                        "pattern",
                                        "{theme}",
                                        "bid",
                                        "",
                                        "matchTypes",
                                        "EXACT"));
                    }
                    lost += client.lost(visitor);
                }
                if (round < rounds) {
                    AtomicBoolean stopped = new AtomicBoolean();
                    try (ExecutorService threads = Executors.newFixedThreadPool(clients.size())) {
                        List<Future<?>> acting = new ArrayList<>();
                        for (Acting client : clients) {
                            acting.add(threads.submit(() -> client.until(server.visitor(), stopped)));
                        }
                        Thread.sleep(500 + random.nextInt(1_500));
                        server.kill();
                        stopped.set(true);
                        for (Future<?> one : acting) {
                            one.get(60, TimeUnit.SECONDS);
                        }
                    }
                }
            }
        }
        int acknowledged =
                clients.stream().mapToInt(client -> client.acknowledged).sum();
        report("%,d acts acknowledged to two clients over %,d kills, %,d lost", acknowledged, rounds, lost);
        assertThat(acknowledged).isGreaterThan(rounds * 2);
        assertThat(lost).isZero();
    }

    @Test
    void eightAtOnceOnOneProjectLoseNoActWhileConnectionsAreRetired() throws Exception {
        int seconds = size(4, 60);
        // The pool takes no shorter life than thirty seconds; the pages' tests evict all of them every ten.
        try (Server server = new Server(folder, "-Dspring.datasource.hikari.max-lifetime=30000")) {
            long project = server.visitor().project("Crowded");
            Set<String> acknowledged = java.util.concurrent.ConcurrentHashMap.newKeySet();
            // A slow machine is given longer: what is held here is that nothing is lost, not how fast it goes.
            long started = System.nanoTime();
            BooleanSupplier goesOn = () -> System.nanoTime() - started
                    < TimeUnit.SECONDS.toNanos(acknowledged.size() > 20 ? seconds : 60L + seconds);
            List<Integer> codes = java.util.Collections.synchronizedList(new ArrayList<>());
            try (ExecutorService threads = Executors.newFixedThreadPool(8)) {
                for (int c = 0; c < 8; c++) {
                    String name = "c" + c;
                    threads.submit(() -> {
                        Visitor visitor = server.visitor();
                        visitor.get("/projects/" + project + "/serve");
                        for (int i = 0; goesOn.getAsBoolean(); i++) {
                            String word = name + "w" + i;
                            HttpResponse<String> answer = visitor.post(
                                    "/projects/" + project + "/ignore", Map.of("ignoredWord", word, "ignored", "true"));
                            codes.add(answer.statusCode());
                            if (answer.statusCode() == 200 && !answer.body().contains("Not done")) {
                                acknowledged.add(word);
                            }
                        }
                    });
                }
            }
            String recipe = server.visitor()
                    .get("/projects/" + project + "/recipe.json")
                    .body();
            long lost = acknowledged.stream()
                    .filter(word -> !recipe.contains('"' + word + '"'))
                    .count();
            long failed = codes.stream().filter(code -> code >= 500).count();
            report(
                    "%,d requests of 8 clients in %d s, %,d acts acknowledged, %,d lost, %,d answered 500 and more",
                    codes.size(), seconds, acknowledged.size(), lost, failed);
            assertThat(acknowledged).hasSizeGreaterThan(20);
            assertThat(lost).isZero();
            assertThat(failed).isZero();
        }
    }

    private static byte[] lines(int count) {
        StringBuilder list = new StringBuilder("Keyword,Searches,CPC\n");
        Random random = new Random(3);
        for (int i = 0; i < count; i++) {
            list.append("thing")
                    .append(random.nextInt(count / 40))
                    .append(" part")
                    .append(random.nextInt(300))
                    .append(" n")
                    .append(i)
                    .append(',')
                    .append(random.nextInt(5_000))
                    .append(",0.")
                    .append(10 + random.nextInt(80))
                    .append('\n');
        }
        return list.toString().getBytes(StandardCharsets.UTF_8);
    }

    @Test
    void whatDoesNotFitIsRefusedAndWhatFitsIsExportedInPagesThatABrowserTakes() throws Exception {
        int count = size(110_000, 1_000_000);
        byte[] list = lines(count);
        try (Server small = new Server(folder.resolve("small"), FULL ? "-Xmx512m" : "-Xmx192m")) {
            Visitor visitor = small.visitor();
            long project = visitor.project("Large");
            String page = gathered(visitor, project, list);
            assertThat(page).contains("of memory, and Smorgas can use", "-Xmx");
            assertThat(visitor.get("/projects/" + project + "/sift").statusCode())
                    .isEqualTo(200);
            assertThat(small.alive()).isTrue();
        }
        try (Server enough = new Server(folder.resolve("enough"), FULL ? "-Xmx1g" : "-Xmx288m")) {
            Visitor visitor = enough.visitor();
            long project = visitor.project("Large");
            gathered(visitor, project, list);
            StringBuilder sizes = new StringBuilder();
            for (String step :
                    List.of("gather", "fold", "sift?sort=-searches", "group", "group?view=list", "serve", "history")) {
                HttpResponse<String> page = visitor.get("/projects/" + project + "/" + step);
                assertThat(page.statusCode()).as(step + enough.told()).isEqualTo(200);
                assertThat(page.body().length()).as(step).isLessThan(1_000_000);
                sizes.append(String.format(
                        Locale.ENGLISH, " %s %,d kB", step, page.body().length() / 1_000));
            }
            String sift = visitor.get("/projects/" + project + "/sift").body();
            assertThat(sift).contains(String.format(Locale.ENGLISH, "%,d", count));
            long plan = visitor.get("/projects/" + project + "/plan.csv")
                    .body()
                    .lines()
                    .count();
            // By similarity what is like nothing else is left over.
            assertThat(plan).isGreaterThan(count / 10);
            report(
                    "%,d lines in %s of heap: pages of%s; a plan of %,d rows",
                    count, FULL ? "1 GB" : "288 MB", sizes, plan);
        }
    }

    /** The Gather pages until the list is in or refused. */
    private static String gathered(Visitor visitor, long project, byte[] list) throws InterruptedException {
        String base = "/projects/" + project + "/gather";
        StringBuilder shown =
                new StringBuilder(visitor.upload(base, Map.of("list.csv", list)).body());
        for (int i = 0; shown.lastIndexOf("class=\"readings\"") >= 0 && i < 1_200; i++) {
            Thread.sleep(250);
            shown.setLength(0);
            shown.append(visitor.get(base).body());
        }
        return shown.toString();
    }

    @Test
    void aDatabaseThatCannotWriteLetsReadAndRecoversByItself() throws Exception {
        Path data = folder.resolve("data");
        try (Server server = new Server(data, "-Dsmorgas.copies=1", "-Dsmorgas.first-copy-after-seconds=100000")) {
            Visitor visitor = server.visitor();
            long project = visitor.project("Full");
            visitor.upload(
                    "/projects/" + project + "/gather",
                    Map.of("list.txt", "bee hive\n".getBytes(StandardCharsets.UTF_8)));
            visitor.get("/projects/" + project + "/sift");
            long now = Files.size(data.resolve("smorgas.mv.db"));
            Assumptions.assumeTrue(server.largestFile(OptionalLong.of(now + 200_000)), "no prlimit here");
            Random random = new Random(1);
            boolean full = false;
            Set<String> acknowledged = new TreeSet<>();
            for (int i = 0; i < 2_000 && !full; i++) {
                String word =
                        Long.toString(random.nextLong() >>> 1, 36).repeat(7).substring(0, 60);
                HttpResponse<String> answer = visitor.post(
                        "/projects/" + project + "/ignore", Map.of("ignoredWord", word, "ignored", "true"));
                full = answer.statusCode() == 507;
                if (full) {
                    assertThat(answer.body()).contains("disk is full");
                } else {
                    assertThat(answer.statusCode()).isEqualTo(200);
                    acknowledged.add(word);
                }
            }
            assertThat(full).as("after %s acts", acknowledged.size()).isTrue();
            for (String step : List.of("gather", "sift", "group", "serve", "history")) {
                assertThat(visitor.get("/projects/" + project + "/" + step).statusCode())
                        .as(step)
                        .isEqualTo(200);
            }
            server.largestFile(OptionalLong.empty());
            visitor.get("/projects/" + project + "/sift");
            HttpResponse<String> after = visitor.post(
                    "/projects/" + project + "/ignore", Map.of("ignoredWord", "aftermath", "ignored", "true"));
            assertThat(after.statusCode()).as(server.told()).isEqualTo(200);
            String recipe = visitor.get("/projects/" + project + "/recipe.json").body();
            assertThat(recipe).contains("aftermath");
            assertThat(acknowledged).allMatch(recipe::contains);
            report(
                    "disk full after %,d acts: read on, written again when there was room, none lost",
                    acknowledged.size());
        }
    }
}

package smorgas.bench;

import java.io.BufferedWriter;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import smorgas.core.language.Lexicon;
import smorgas.core.recipe.gather.LogReading;
import smorgas.core.recipe.gather.PhraseSettings;
import smorgas.core.source.LogTerms;
import smorgas.core.source.PhraseFinder;

/** Logs and pages that become baskets, as whole runs; a log beside the tools of every system, which only count. */
final class WaysIn {

    private static final int ROUNDS = 5;
    private static final int WARM_UP = 1;
    private static final int LINES = 1_000_000;
    private static final int TERMS = 20_000;
    /** Of a page of 100 kB less than half is text. */
    private static final String MARKUP = "<div class='" + "some of the class names ".repeat(14) + "' id='x";

    private static final int PAGES = 1_000;
    private static final int PAGE_BYTES = 100_000;

    private WaysIn() {}

    static void logs(Path folder) throws IOException, InterruptedException {
        Path log = folder.resolve("access.log");
        write(log);
        System.out.printf(
                "%nA log of %,d lines, %,d MB; ms, median and 95th percentile%n", LINES, Files.size(log) / 1_000_000);
        LogReading wanted = new LogReading(List.of("q"), true, List.of(new LogReading.Goal("/thanks", 1)), 1);
        int[] found = {0};
        Values.measured("counted by visits, with goals", ROUNDS, WARM_UP, round -> {
            LogTerms terms = new LogTerms(wanted);
            try (InputStream in = Files.newInputStream(log)) {
                terms.read(in, () -> {});
            } catch (IOException e) {
                throw new java.io.UncheckedIOException(e);
            }
            LogTerms.Result result = terms.result();
            found[0] = result.terms().size();
            return result;
        });
        System.gc();
        System.out.printf(
                "%,d terms; the heap holds %,d MB%n",
                found[0],
                (Runtime.getRuntime().totalMemory() - Runtime.getRuntime().freeMemory()) / 1_000_000);
        Processes.Run peer = Processes.run(
                Map.of("LC_ALL", "C"),
                List.of("sh", "-c", "grep -o 'q=[^& ]*' '" + log + "' | sort | uniq -c | sort -rn | wc -l"));
        System.out.printf(
                "grep | sort | uniq -c: %,d ms, %s terms%n",
                peer.millis(), peer.printed().strip());
    }

    private static String two(int number) {
        return (number < 10 ? "0" : "") + number;
    }

    private static void write(Path log) throws IOException {
        try (BufferedWriter out = Files.newBufferedWriter(log, StandardCharsets.UTF_8)) {
            Random random = new Random(7);
            for (int line = 0; line < LINES; line++) {
                int visitor = line / 8 + random.nextInt(40);
                String target = line % 4 == 0
                        ? "/find?page=1&q=term+" + (int) (TERMS * Math.pow(random.nextDouble(), 3)) + "+of+many"
                        : line % 97 == 0 ? "/thanks" : "/shelf/" + random.nextInt(500) + ".html";
                out.write("10." + (visitor >> 16 & 255) + "." + (visitor >> 8 & 255) + "." + (visitor & 255)
                        + " - - [0" + (1 + line / 200_000) + "/Mar/2026:" + two(line / 9_000 % 24) + ":"
                        + two(line / 150 % 60) + ":" + two(line * 60 / 150 % 60) + " +0000] \"GET " + target
                        + " HTTP/1.1\" 200 5120 \"https://shop.example/shelf\""
                        + " \"reader/1.0 (of a length that such names have; rv:123.0)\"\n");
            }
        }
    }

    private static List<byte[]> made() {
        List<byte[]> pages = new ArrayList<>();
        List<String> words = new ArrayList<>();
        Random random = new Random(7);
        for (int word = 0; word < 8_000; word++) {
            words.add("word" + Integer.toString(word, 36));
        }
        for (int page = 0; page < PAGES; page++) {
            StringBuilder html = new StringBuilder("<!doctype html><title>page</title><body>");
            while (html.length() < PAGE_BYTES) {
                html.append(MARKUP).append(html.length()).append("'><p>");
                for (int word = 0; word < 40; word++) {
                    // A few words are most of any text.
                    html.append(words.get((int) (words.size() * Math.pow(random.nextDouble(), 3))))
                            .append(' ');
                }
                html.append(". <a href='/a/link/that/leads/on'>more</a></p></div>");
            }
            pages.add(html.toString().getBytes(StandardCharsets.UTF_8));
        }
        return pages;
    }

    static void pages() {
        List<byte[]> pages = made();
        Map<PhraseSettings.Part, Integer> weights = new EnumMap<>(PhraseSettings.Part.class);
        for (PhraseSettings.Part part : PhraseSettings.Part.values()) {
            weights.put(part, part.usual());
        }
        PhraseSettings wanted = new PhraseSettings(
                weights,
                "",
                "",
                new PhraseSettings.Range(3, 80),
                new PhraseSettings.Range(1, 4),
                2,
                1,
                List.copyOf(Lexicon.of("en").stopWords()),
                List.of(),
                "en",
                List.of());
        System.out.printf("%nPhrases %,d pages of %,d kB; ms, median and 95th percentile%n", PAGES, PAGE_BYTES / 1_000);
        int[] found = {0};
        Values.measured("phrases of one to four words that stand twice", ROUNDS, WARM_UP, round -> {
            PhraseFinder finder = new PhraseFinder(wanted);
            for (int page = 0; page < pages.size(); page++) {
                finder.add("page " + page, pages.get(page));
            }
            PhraseFinder.Result result = finder.result();
            found[0] = result.phrases().size();
            return result;
        });
        System.out.printf("%,d phrases%n", found[0]);
    }
}

package smorgas.bench;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.IntStream;
import smorgas.core.fold.FoldReport;
import smorgas.core.fold.Folder;
import smorgas.core.fold.Keywords;
import smorgas.core.fold.Misspellings;
import smorgas.core.fold.Prepared;
import smorgas.core.fold.Spellings;
import smorgas.core.gather.BasketReader;
import smorgas.core.gather.Lines;

/** All kinds of folding beside sorting the same texts, and misspellings. */
final class FoldRuns {

    private static final int ROUNDS = 6;

    private FoldRuns() {}

    static void run(Path folder) throws IOException, InterruptedException {
        long before = 0;
        for (int lines : new int[] {100_000, 1_000_000}) {
            before = misspellings(folding(folder, lines), lines, before);
        }
    }

    private static Keywords folding(Path folder, int lines) throws IOException, InterruptedException {
        List<String> phrases = MadeLists.phrases(lines);
        Path text = Files.write(folder.resolve("phrases-" + lines), phrases);
        List<Lines> baskets = baskets(phrases);
        long ours = Long.MAX_VALUE;
        long report = Long.MAX_VALUE;
        long theirs = Long.MAX_VALUE;
        Keywords keywords = Folder.fold(baskets);
        for (int round = 0; round < ROUNDS; round++) {
            long start = System.nanoTime();
            keywords = Folder.fold(baskets);
            ours = Math.min(ours, System.nanoTime() - start);
            start = System.nanoTime();
            FoldReport.of(keywords);
            report = Math.min(report, System.nanoTime() - start);
            List<String> sort = List.of(
                    "sort", "-u", "--parallel=2", "-o", folder.resolve("unique").toString(), text.toString());
            theirs = Math.min(theirs, Processes.run(Map.of("LC_ALL", "C"), sort).millis());
        }
        System.out.printf(
                Locale.ENGLISH,
                "%nFolding %,d lines by the kinds that are on at first, lines in memory, warm, best of %d, at most %,d MB of"
                        + " heap: %,d ms (%,d keywords); what each kind takes away %,d ms; LC_ALL=C sort -u --parallel=2"
                        + " %,d ms: %.1f times%n",
                lines,
                ROUNDS,
                Runtime.getRuntime().maxMemory() >> 20,
                ours / 1_000_000,
                keywords.size(),
                report / 1_000_000,
                theirs,
                ours / 1_000_000 / (double) theirs);
        return keywords;
    }

    private static List<Lines> baskets(List<String> phrases) {
        int part = phrases.size() / 6 + 1;
        return IntStream.range(0, 6)
                .mapToObj(i -> {
                    List<String> some = new ArrayList<>(List.of("Keyword,Search volume"));
                    phrases.subList(i * part, Math.min(phrases.size(), (i + 1) * part))
                            .forEach(phrase -> some.add(phrase + "," + (phrase.hashCode() & 0xFFF)));
                    byte[] bytes = String.join("\n", some).getBytes(java.nio.charset.StandardCharsets.UTF_8);
                    return BasketReader.lines(i, "made " + i, bytes).lines().orElseThrow();
                })
                .toList();
    }

    private static long misspellings(Keywords keywords, int lines, long before) {
        long best = Long.MAX_VALUE;
        int found = 0;
        Spellings spellings = Spellings.of(keywords.baskets());
        for (int round = 0; round < 3; round++) {
            Prepared prepared = Prepared.of(spellings, keywords.folding());
            long start = System.nanoTime();
            found = Misspellings.of(prepared, keywords.folding()).size();
            best = Math.min(best, System.nanoTime() - start);
        }
        System.out.printf(
                Locale.ENGLISH,
                "%nMisspellings proposed over %,d keywords of %,d lines: %,d in %,d ms%s%n",
                keywords.size(),
                lines,
                found,
                best / 1_000_000,
                before == 0 ? "" : String.format(Locale.ENGLISH, ", %.1f times as long", best / (double) before));
        return best;
    }
}

package smorgas.bench;

import java.io.IOException;
import java.util.BitSet;
import java.util.Locale;
import smorgas.core.fold.Keywords;
import smorgas.core.group.Grouper;
import smorgas.core.group.GroupingInput;
import smorgas.core.group.engine.EngineCache;
import smorgas.core.group.engine.MeaningVectors;
import smorgas.core.group.engine.MemoryLimit;
import smorgas.core.group.hand.Hand;
import smorgas.core.recipe.Rules;
import smorgas.core.recipe.group.Method;

/** How long it takes to find groups by similarity anew, and to turn the dial. */
final class SimilaritySpeed {

    /** A dial is turned to and fro until it looks right. */
    private static final int TURNS = 6;

    private SimilaritySpeed() {}

    static void run(int... sizes) throws IOException {
        System.out.println(
                "\n| by similarity, warm, the best | keywords | groups | found anew, ms | dial turned, ms |\n|---|---:|---:|---:|---:|");
        for (int size : sizes) {
            measure("many trades", Grouping.fold(ManyTrades.phrases(size)), size);
        }
    }

    /** The same over lists that multiply few words: the worst that a list can be. */
    static void runDense(int... sizes) {
        for (int lines : sizes) {
            measure("made lists", Grouping.fold(MadeLists.phrases(lines)), lines);
        }
    }

    private static void measure(String name, Keywords keywords, int lines) {
        keywords.folded();
        int rounds = lines > 500_000 ? 2 : lines > 50_000 ? 4 : 40;
        long anew = Long.MAX_VALUE;
        long turned = Long.MAX_VALUE;
        int groups = 0;
        for (int round = 0; round < rounds; round++) {
            EngineCache cache = new EngineCache(MemoryLimit.ENOUGH);
            long begun = System.nanoTime();
            groups = group(keywords, cache, 50);
            anew = Math.min(anew, System.nanoTime() - begun);
            for (int turn = 0; turn < TURNS; turn++) {
                begun = System.nanoTime();
                group(keywords, cache, turn % 2 == 0 ? 60 : 40);
                turned = Math.min(turned, System.nanoTime() - begun);
            }
        }
        System.out.printf(
                Locale.ENGLISH,
                "| %s | %,d | %,d | %,d | %,d |%n",
                name,
                keywords.size(),
                groups,
                anew / 1_000_000,
                turned / 1_000_000);
    }

    private static int group(Keywords keywords, EngineCache cache, int place) {
        BitSet all = new BitSet();
        all.set(0, keywords.size());
        return Grouper.group(
                        new GroupingInput(
                                keywords.folded(),
                                keywords::text,
                                all,
                                java.util.Map.of(),
                                "en",
                                keyword -> java.util.Optional.empty(),
                                java.util.List.of(),
                                Hand.NONE,
                                MeaningVectors.NONE,
                                Rules.NEWEST.similarity(),
                                Rules.NEWEST.themes(),
                                cache),
                        Rules.NEWEST
                                .settings()
                                .byThemes("en")
                                .with(new Method.BySimilarity(place, 2, 0, false, Method.BySimilarity.ALL)))
                .size();
    }
}

package smorgas.bench;

import java.io.IOException;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import smorgas.core.fold.Keywords;
import smorgas.core.group.engine.Engines;
import smorgas.core.group.read.Agreement;
import smorgas.core.recipe.Rules;
import smorgas.core.recipe.group.GroupSettings;
import smorgas.core.recipe.group.Method;
import smorgas.core.recipe.group.SimilarityRules;

/** What is lost where not every pair of keywords is looked at: the groups beside those of an engine that looks at all. */
final class SimilarityLoss {

    private SimilarityLoss() {}

    /** Over a list as real ones are, and over one that multiplies few words. */
    static void run() throws IOException {
        run("many trades", Grouping.fold(ManyTrades.phrases(40_000)));
        run("made list", Grouping.fold(MadeLists.phrases(50_000)));
        run("made list", Grouping.fold(MadeLists.phrases(100_000)));
    }

    private static void run(String name, Keywords keywords) {
        Method.BySimilarity method =
                new Method.BySimilarity(Method.BySimilarity.USUAL, 2, 0, false, Method.BySimilarity.ALL);
        GroupSettings settings = Rules.NEWEST.settings().byThemes("en").with(method);
        System.out.println("\n" + name + "\n\n| keywords | by | ms | groups | in groups |\n|---:|---|---:|---:|---:|");
        int[][] labels = new int[2][];
        SimilarityRules usual = Rules.NEWEST.similarity();
        List<SimilarityRules> rules = List.of(usual, usual.with(SimilarityRules.Effort.ALL));
        for (int i = 0; i < labels.length; i++) {
            long begun = System.nanoTime();
            int[] found = Engines.of(settings)
                    .find(Grouping.question(keywords, settings, "en", rules.get(i)))
                    .group();
            long took = (System.nanoTime() - begun) / 1_000_000;
            labels[i] = Grouping.ungroupedAlone(found);
            System.out.printf(
                    Locale.ENGLISH,
                    "| %,d | %s | %,d | %,d | %,d |%n",
                    keywords.size(),
                    i == 0 ? "near ones" : "every pair",
                    took,
                    Arrays.stream(found).filter(group -> group >= 0).distinct().count(),
                    Arrays.stream(found).filter(group -> group >= 0).count());
        }
        Agreement agreement = Agreement.of(labels[0], labels[1]);
        System.out.printf(
                Locale.ENGLISH,
                "Both agree by B-cubed F1 %.3f, adjusted Rand %.3f.%n",
                agreement.f(),
                agreement.adjustedRand());
    }
}

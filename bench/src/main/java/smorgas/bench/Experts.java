package smorgas.bench;

import java.io.IOException;
import java.util.Arrays;
import java.util.Locale;
import java.util.Map;
import java.util.TreeMap;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import smile.clustering.HierarchicalClustering;
import smile.clustering.KMeans;
import smile.clustering.linkage.UPGMALinkage;
import smile.math.MathEx;
import smorgas.core.group.engine.MeaningVectors;
import smorgas.core.group.read.Agreement;
import smorgas.core.group.read.MovesNeeded;
import smorgas.core.recipe.Rules;
import smorgas.core.recipe.group.Method;
import smorgas.meaning.model.MeaningModel;

/** How near groups come to those that were made by judgement; general-purpose peers in the same run. */
final class Experts {

    private static final int SEEDS = 20;
    private static final double TOLD_NOTHING = .6;

    private Experts() {}

    static void run() throws IOException, MeaningModel.Unavailable {
        System.out.println(
                "| list | by | B-cubed F1 | adjusted Rand | to be moved | against the second opinion | groups | sizes | left over |");
        System.out.println("|---|---|---:|---:|---:|---|---:|---|---:|");
        for (ExpertList list : ExpertList.all()) {
            int[] second = list.second();
            row(list, "a second opinion", second);
            row(list, "similarity, words", ours(list, Rules.NEWEST.settings().similarity(), MeaningVectors.NONE));
            if (MeaningModel.knows(list.language())) {
                row(
                        list,
                        "similarity, words and meaning",
                        ours(list, Rules.NEWEST.settings().similarity().with(true), ExpertBoards.meaning(list)));
            }
            row(list, "themes", ours(list, Rules.NEWEST.settings().themes(), MeaningVectors.NONE));
            double[][] stems = Vectors.stems(list);
            double[][] letters = Vectors.letters(list);
            row(list, "k-means of stems, told the number", kMeans(list, stems));
            row(list, "average linkage of stems, told the number", linkage(stems, list.classes()));
            row(list, "average linkage of stems, told nothing", linkage(stems, 0));
            row(list, "average linkage of letters, told the number", linkage(letters, list.classes()));
            row(list, "average linkage of letters, told nothing", linkage(letters, 0));
        }
    }

    private static int[] ours(ExpertList list, Method method, MeaningVectors meaning) {
        return ExpertBoards.labels(
                list,
                ExpertBoards.board(
                        list, Rules.NEWEST.settings().byThemes(list.language()).with(method), meaning));
    }

    private static int[] kMeans(ExpertList list, double[][] vectors) {
        int[] best = new int[0];
        double most = -1;
        for (int seed = 1; seed <= SEEDS; seed++) {
            MathEx.setSeed(seed);
            int[] found = KMeans.fit(vectors, list.classes(), 50, 1e-4).y;
            double f = Agreement.of(found, list.wanted()).f();
            if (f > most) {
                most = f;
                best = found;
            }
        }
        return best;
    }

    /** Average linkage of cosine distances; with no number, cut at a height of .6. */
    private static int[] linkage(double[][] vectors, int number) {
        double[][] distances = new double[vectors.length][];
        for (int i = 0; i < vectors.length; i++) {
            distances[i] = new double[i + 1];
            for (int j = 0; j < i; j++) {
                distances[i][j] = Math.max(0, 1 - MathEx.dot(vectors[i], vectors[j]));
            }
        }
        HierarchicalClustering tree = HierarchicalClustering.fit(new UPGMALinkage(distances));
        return number > 0 ? tree.partition(number) : tree.partition(TOLD_NOTHING);
    }

    private static void row(ExpertList list, String by, int[] found) {
        Agreement first = Agreement.of(found, list.wanted());
        Agreement second = Agreement.of(found, list.second());
        Map<Integer, Long> counts = Arrays.stream(found)
                .boxed()
                .collect(Collectors.groupingBy(Function.identity(), TreeMap::new, Collectors.counting()));
        int[] sizes = counts.values().stream()
                .mapToInt(Long::intValue)
                .filter(size -> size > 1)
                .sorted()
                .toArray();
        String told =
                sizes.length == 0 ? "none" : sizes[0] + "–" + sizes[sizes.length / 2] + "–" + sizes[sizes.length - 1];
        System.out.printf(
                Locale.ENGLISH,
                "| %s%s | %s | %.3f | %.3f | %.3f | %.3f, %.3f | %d | %s | %d |%n",
                list.name(),
                list.tuned() ? "" : " (not tuned on)",
                by,
                first.f(),
                first.adjustedRand(),
                MovesNeeded.share(found, list.wanted()),
                second.f(),
                MovesNeeded.share(found, list.second()),
                sizes.length,
                told,
                IntStream.of(found).distinct().count() - sizes.length);
    }
}

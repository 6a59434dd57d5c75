package smorgas.bench;

import java.util.Arrays;
import java.util.stream.IntStream;
import smile.clustering.KMeans;
import smile.math.MathEx;
import smorgas.core.column.RaggedInts;
import smorgas.core.group.engine.Engine;
import smorgas.core.group.engine.Question;
import smorgas.core.group.engine.ThemeWords;

/** K-means of a general-purpose library as an engine; it must be told the number of groups, and knows no themes. */
record KMeansPeer(int clusters, long seed, int iterations) implements Engine {

    /** It sees the commonest words only: its matrix is dense. */
    private static final int WORDS = 1_000;

    @Override
    public Found find(Question question) {
        MathEx.setSeed(seed);
        int[] group = KMeans.fit(matrix(question), clusters, iterations, 1e-4).y;
        return Found.byThemes(
                new int[clusters][0], group, new double[question.words().size()]);
    }

    /** TF-IDF of the commonest words, each row of length 1. */
    private static double[][] matrix(Question question) {
        ThemeWords words = question.words();
        RaggedInts having = words.rows().inverse(words.size());
        int[] commonest = IntStream.range(0, words.size())
                .boxed()
                .sorted((a, b) -> having.length(b) - having.length(a))
                .limit(WORDS)
                .mapToInt(word -> word)
                .toArray();
        int[] column = new int[words.size()];
        Arrays.fill(column, -1);
        for (int c = 0; c < commonest.length; c++) {
            column[commonest[c]] = c;
        }
        int keywords = question.scope().length;
        double[][] matrix = new double[keywords][commonest.length];
        for (int k = 0; k < keywords; k++) {
            double[] row = matrix[k];
            words.rows().forEach(question.scope()[k], word -> {
                if (column[word] >= 0) {
                    row[column[word]] = 1 + Math.log((1.0 + keywords) / (1 + having.length(word)));
                }
            });
            double length = Math.sqrt(Arrays.stream(row).map(v -> v * v).sum());
            for (int c = 0; c < row.length && length > 0; c++) {
                row[c] /= length;
            }
        }
        return matrix;
    }
}

package smorgas.core.group.themes;

import java.util.Arrays;
import java.util.BitSet;
import java.util.Map;
import smorgas.core.column.FigureColumn;
import smorgas.core.figure.Figure;
import smorgas.core.recipe.group.Rank;

/**
 * What each keyword counts where themes are ranked: a weighting of its shares of all keywords, searches, clicks,
 * conversions, visits and goals. Whole numbers, so that a sum is the same in any order.
 */
public final class RankWeights {

    /** What a share of 1 and a weight of 1 count. */
    private static final double WHOLE = 1e12;

    private RankWeights() {}

    /** For each keyword, 0 outside the scope. Figures that no basket has count nothing. */
    public static long[] of(int keywords, BitSet scope, Rank rank, Map<Figure, FigureColumn> figures) {
        long[] estimatedValue = new long[keywords];
        long each = Math.round(WHOLE * rank.keywords() / Math.max(1, scope.cardinality()));
        scope.stream().forEach(keyword -> estimatedValue[keyword] = each);
        add(estimatedValue, scope, rank.searches(), figures.get(Figure.SEARCHES));
        add(estimatedValue, scope, rank.clicks(), figures.get(Figure.CLICKS));
        add(estimatedValue, scope, rank.conversions(), figures.get(Figure.CONVERSIONS));
        add(estimatedValue, scope, rank.visits(), figures.get(Figure.VISITS));
        add(estimatedValue, scope, rank.goals(), figures.get(Figure.GOALS));
        // A figure that nobody knows must not make everything equal.
        if (Arrays.stream(estimatedValue).allMatch(one -> one == 0)) {
            scope.stream().forEach(keyword -> estimatedValue[keyword] = 1);
        }
        return estimatedValue;
    }

    private static void add(long[] estimatedValue, BitSet scope, int weight, FigureColumn column) {
        if (weight == 0 || column == null) {
            return;
        }
        double total = scope.stream()
                .filter(column::known)
                .mapToLong(column::twiceMiddle)
                .sum();
        if (total <= 0) {
            return;
        }
        scope.stream()
                .filter(column::known)
                .forEach(keyword ->
                        estimatedValue[keyword] += Math.round(WHOLE * weight * column.twiceMiddle(keyword) / total));
    }
}

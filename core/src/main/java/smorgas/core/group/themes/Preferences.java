package smorgas.core.group.themes;

import it.unimi.dsi.fastutil.ints.Int2ObjectOpenHashMap;
import java.util.Arrays;
import smorgas.core.column.Cores;
import smorgas.core.column.RaggedInts;
import smorgas.core.group.engine.Question;
import smorgas.core.group.engine.RemovedThemes;

/**
 * For each keyword of a scope the candidates in it that may take it, best first: again and again, of those that cover nearly
 * as much of its weight as the best that is left, the one of the highest rank. Most keywords are asked for their first one
 * only, so the others are put in order when they are asked for. Not for several threads.
 */
final class Preferences {

    /** No candidate. */
    static final int NONE = -1;

    /** Keeps sums that should be equal in one step, whatever the order in which they were added up. */
    private static final double HAIR = 1e-9;

    private final ScopeWords in;
    private final Candidates candidates;
    private final double[] weights;
    private final double[] covered;
    private final Question.Barred barred;
    private final double least;
    private final double nearly;
    private final int[] first;
    private final Int2ObjectOpenHashMap<int[]> rows = new Int2ObjectOpenHashMap<>();

    /**
     * Looks for the first of each.
     *
     * @param weights what each word weighs
     * @param nearly coverages that differ by no more count as nearly equal
     * @param least the tightness that a keyword must have in a candidate's group
     */
    Preferences(
            ScopeWords in,
            Candidates candidates,
            double[] weights,
            Question.Barred barred,
            double least,
            double nearly) {
        this.in = in;
        this.candidates = candidates;
        this.weights = weights;
        this.barred = barred;
        this.least = least;
        this.nearly = nearly;
        this.covered = covered();
        this.first = new int[in.size()];
        RaggedInts of = candidates.of();
        Cores.run(first.length, (from, to) -> {
            double[] coverages = new double[16];
            for (int i = from; i < to; i++) {
                coverages = of.length(i) <= coverages.length ? coverages : new double[2 * of.length(i)];
                first[i] = first(i, coverages);
            }
        });
    }

    private double[] covered() {
        double[] sums = candidates.weigh(weights);
        for (int c = 0; c < sums.length && !barred.everywhere().isEmpty(); c++) {
            sums[c] = barred.everywhere().has(candidates.words(c)) ? 0 : sums[c];
        }
        return sums;
    }

    /** How much of the keyword's weight each of its candidates covers, 0 where it may not take the keyword; the most. */
    private double cover(int i, double[] coverages) {
        double whole = 0;
        for (int t = 0; t < in.distinct().length(i); t++) {
            whole += weights[in.distinct().get(i, t)];
        }
        RaggedInts of = candidates.of();
        RemovedThemes without =
                barred.byKeyword().isEmpty() ? null : barred.byKeyword().get(in.scope()[i]);
        double most = 0;
        for (int p = 0; p < of.length(i); p++) {
            int c = of.get(i, p);
            double coverage = whole == 0 ? 0 : Math.min(1, covered[c] / whole);
            boolean may = coverage >= least - HAIR && (without == null || !without.has(candidates.words(c)));
            coverages[p] = may ? coverage : 0;
            most = Math.max(most, coverages[p]);
        }
        return most;
    }

    private int first(int i, double[] coverages) {
        double most = cover(i, coverages);
        RaggedInts of = candidates.of();
        int best = Integer.MAX_VALUE;
        for (int p = 0; p < of.length(i); p++) {
            if (coverages[p] > 0 && coverages[p] >= most - nearly - HAIR) {
                best = Math.min(best, of.get(i, p));
            }
        }
        return best == Integer.MAX_VALUE ? NONE : best;
    }

    /** The best one, or -1. */
    int first(int i) {
        return first[i];
    }

    /** All that may take the keyword, best first; not to be changed. */
    int[] of(int i) {
        return first[i] == NONE ? new int[0] : rows.computeIfAbsent(i, this::inOrder);
    }

    private int[] inOrder(int i) {
        int[] row = candidates.of().row(i);
        double[] coverages = new double[row.length];
        cover(i, coverages);
        int count = 0;
        for (int p = 0; p < row.length; p++) {
            if (coverages[p] > 0) {
                row[count] = row[p];
                coverages[count++] = coverages[p];
            }
        }
        for (int place = 1; place < count; place++) {
            int to = place;
            while (to > 0 && coverages[to - 1] < coverages[place]) {
                to--;
            }
            move(row, coverages, place, to);
        }
        // What is left is in the order of coverage, the best first.
        for (int place = 0; place < count - 1; place++) {
            double enough = coverages[place] - nearly - HAIR;
            int best = place;
            for (int p = place + 1; p < count && coverages[p] >= enough; p++) {
                best = row[p] < row[best] ? p : best;
            }
            move(row, coverages, best, place);
        }
        return Arrays.copyOf(row, count);
    }

    private static void move(int[] row, double[] coverages, int from, int to) {
        int candidate = row[from];
        double coverage = coverages[from];
        for (int p = from; p > to; p--) {
            row[p] = row[p - 1];
            coverages[p] = coverages[p - 1];
        }
        row[to] = candidate;
        coverages[to] = coverage;
    }
}

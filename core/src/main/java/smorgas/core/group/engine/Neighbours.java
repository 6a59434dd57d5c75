package smorgas.core.group.engine;

import it.unimi.dsi.fastutil.ints.IntArrays;
import java.util.Arrays;
import java.util.concurrent.CancellationException;
import smorgas.core.column.Cores;

/**
 * For each keyword those to which it is most alike. Found by the terms that they have in common, the rarest first; in long
 * lists terms that very many keywords have are looked at only as long as there is not enough to choose from.
 *
 * <p>This file is written for speed: sums by keyword in an array, and the best kept in order while they are met.
 */
final class Neighbours {

    /** How many are kept of each keyword, in lists where every pair is looked at and in longer ones. */
    private static final int KEPT = 24;

    private static final int KEPT_OF_LONG = 12;

    /** Terms of more keywords are common. */
    private static final int COMMON = 300;

    /** However common a term, so many of its keywords are looked at. */
    private static final int MOST = 1_500;

    /** Of so many, the most alike by their words, it is seen what they mean; of shorter lists of all. */
    private static final int LOOKED_INTO = 48;

    private static final int SHORT = 2_000;

    /** Less alike than this are no neighbours. */
    private static final double LEAST = .05;

    private static final int FEW = 500;

    private final Likeness likeness;
    private final int size;
    /** Whether there are too many for a look at every pair. */
    private final boolean beyond;

    /** Where the keywords of each term begin, who they are, and what the term weighs in them. */
    private final int[] start;

    private final int[] who;
    private final float[] weight;
    private final int[][] links;

    Neighbours(Likeness likeness, int terms) {
        this.likeness = likeness;
        this.size = likeness.size();
        this.beyond = size > likeness.care().pairs();
        this.start = new int[terms + 1];
        for (int keyword = 0; keyword < size; keyword++) {
            for (int term : likeness.terms(keyword).places()) {
                start[term + 1]++;
            }
        }
        for (int term = 0; term < terms; term++) {
            start[term + 1] += start[term];
        }
        this.who = new int[start[terms]];
        this.weight = new float[start[terms]];
        int[] next = Arrays.copyOf(start, terms);
        for (int keyword = 0; keyword < size; keyword++) {
            Sparse row = likeness.terms(keyword);
            for (int i = 0; i < row.places().length; i++) {
                int at = next[row.places()[i]]++;
                who[at] = keyword;
                weight[at] = row.values()[i];
            }
        }
        this.links = new int[size][];
        Cores.run(size, FEW, this::find);
    }

    int[][] links() {
        return links;
    }

    private void find(int from, int to) {
        Search search = new Search();
        for (int keyword = from; keyword < to; keyword++) {
            if (Thread.currentThread().isInterrupted()) {
                throw new CancellationException("no longer wanted");
            }
            links[keyword] = search.of(keyword);
        }
    }

    /** The best of those offered, in order; of equal ones the first by number. */
    private static final class Best {
        private final int[] who;
        private final double[] like;
        private int count;

        Best(int most) {
            who = new int[most];
            like = new double[most];
        }

        void offer(int keyword, double value) {
            if (count == who.length
                    && !(value > like[count - 1] || value == like[count - 1] && keyword < who[count - 1])) {
                return;
            }
            int at = count < who.length ? count++ : count - 1;
            while (at > 0 && (like[at - 1] < value || like[at - 1] == value && who[at - 1] > keyword)) {
                like[at] = like[at - 1];
                who[at] = who[at - 1];
                at--;
            }
            like[at] = value;
            who[at] = keyword;
        }
    }

    /** The search of one thread. */
    private final class Search {
        private final float[] words = new float[size];
        private final int[] met = new int[size];
        private int count;

        int[] of(int keyword) {
            count = 0;
            boolean exact = meet(keyword);
            Best best = new Best(beyond ? KEPT_OF_LONG : KEPT);
            boolean few = !likeness.knowsMeaning() && exact || size <= SHORT || likeness.care() == Care.ALL;
            if (few) {
                for (int i = 0; i < count; i++) {
                    offer(best, keyword, met[i], words[met[i]]);
                }
            } else {
                Best byWords = new Best(LOOKED_INTO);
                for (int i = 0; i < count; i++) {
                    byWords.offer(met[i], words[met[i]]);
                }
                Sparse soft = likeness.softened(keyword);
                for (int i = 0; i < byWords.count; i++) {
                    int other = byWords.who[i];
                    offer(
                            best,
                            keyword,
                            other,
                            exact ? words[other] : likeness.terms(other).dot(soft));
                }
            }
            for (int i = 0; i < count; i++) {
                words[met[i]] = 0;
            }
            return Arrays.copyOf(best.who, best.count);
        }

        private void offer(Best best, int keyword, int other, double alike) {
            if (other != keyword) {
                double blended = likeness.blended(keyword, other, alike);
                if (blended >= LEAST) {
                    best.offer(other, blended);
                }
            }
        }

        /** Sums up what other keywords have in common with this one; whether that is all they have. */
        private boolean meet(int keyword) {
            Sparse soft = likeness.softened(keyword);
            int[] order = new int[soft.places().length];
            Arrays.setAll(order, i -> i);
            IntArrays.quickSort(order, (a, b) -> {
                int byCount = Integer.compare(length(soft.places()[a]), length(soft.places()[b]));
                return byCount != 0 ? byCount : Integer.compare(a, b);
            });
            boolean exact = true;
            for (int place : order) {
                int term = soft.places()[place];
                int length = length(term);
                if (beyond && length > COMMON && count >= likeness.care().enough()) {
                    return false;
                }
                int most = beyond ? Math.min(length, MOST) : length;
                exact &= most == length;
                float of = soft.values()[place];
                for (int i = start[term]; i < start[term] + most; i++) {
                    int other = who[i];
                    if (words[other] == 0) {
                        met[count++] = other;
                    }
                    words[other] += of * weight[i];
                }
            }
            return exact;
        }

        private int length(int term) {
            return start[term + 1] - start[term];
        }
    }
}

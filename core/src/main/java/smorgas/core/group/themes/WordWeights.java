package smorgas.core.group.themes;

import it.unimi.dsi.fastutil.ints.IntArrayList;
import java.util.Arrays;
import smorgas.core.column.Cores;

/**
 * What words weigh: ln(1 + N/df) at first, so that rare words say more than common ones (the inverse document frequency of
 * Spärck Jones 1972, smoothed); then by how unevenly each is spread over the groups: one minus its entropy over them, as a
 * share of the most that a word of so many keywords can have, squared. Words that occur with everything fall to almost no
 * weight by themselves.
 */
final class WordWeights {

    /** What n ln n is counted in: sums of whole numbers are the same in any order. */
    private static final double UNIT = 1L << 32;

    private static final long[] N_LN_N = new long[4_096];

    static {
        Arrays.setAll(N_LN_N, WordWeights::computed);
    }

    private final ScopeWords in;
    private final double least;
    private final double[] rarity;

    /** @param least part of its rarity that every word weighs at least */
    WordWeights(ScopeWords in, double least) {
        this.in = in;
        this.least = least;
        this.rarity = new double[in.having().size()];
        for (int word = 0; word < rarity.length; word++) {
            int df = in.having().length(word);
            rarity[word] = df == 0 ? 0 : Math.log(1 + in.size() / (double) df);
        }
    }

    /** By how rare a word is; 0 for one that no keyword of the scope has. */
    double[] rarity() {
        return rarity;
    }

    /**
     * The rarity of each word, less the more it is spread.
     *
     * @param groupOf the group of each keyword of the scope, or -1
     * @param groups one more than the highest group
     */
    double[] spread(int[] groupOf, int groups) {
        boolean[] filled = new boolean[groups];
        for (int group : groupOf) {
            if (group >= 0) {
                filled[group] = true;
            }
        }
        int[] number = new int[groups];
        int used = 0;
        for (int group = 0; group < groups; group++) {
            number[group] = filled[group] ? used++ : -1;
        }
        int[] numbers = new int[groupOf.length];
        Arrays.setAll(numbers, i -> groupOf[i] < 0 ? -1 : number[groupOf[i]]);
        int count = used;
        double[] weights = new double[rarity.length];
        Cores.run(weights.length, (from, to) -> {
            Spread spread = new Spread(numbers, count);
            for (int word = from; word < to; word++) {
                double held = 1 - spread.share(word);
                // Squared: what is spread over half of what it could be is far more a modifier than half a theme.
                weights[word] = rarity[word] * Math.max(least, held * held);
            }
        });
        return weights;
    }

    /** Counts the keywords of a word by group. */
    private final class Spread {
        private final int[] groupOf;
        private final int[] here;
        private final IntArrayList met = new IntArrayList();

        Spread(int[] groupOf, int groups) {
            this.groupOf = groupOf;
            this.here = new int[groups];
        }

        /** The entropy of a word over the groups as a share of the most it can have, 0 to 1. */
        double share(int word) {
            int total = 0;
            int end = in.having().length(word);
            for (int h = 0; h < end; h++) {
                int group = groupOf[in.having().get(word, h)];
                if (group >= 0) {
                    total++;
                    if (here[group]++ == 0) {
                        met.add(group);
                    }
                }
            }
            long sum = 0;
            for (int m = 0; m < met.size(); m++) {
                int group = met.getInt(m);
                sum += nLnN(here[group]);
                here[group] = 0;
            }
            met.clear();
            // The entropy is ln T - (sum n ln n)/T.
            double entropy = total == 0 ? 0 : Math.log(total) - sum / UNIT / total;
            // A rare word can be spread over as many groups as it has keywords.
            return entropy / Math.log(Math.max(2, Math.min(here.length, total)));
        }
    }

    private static long nLnN(int n) {
        return n < N_LN_N.length ? N_LN_N[n] : computed(n);
    }

    private static long computed(int n) {
        return n == 0 ? 0 : Math.round(n * Math.log(n) * UNIT);
    }
}

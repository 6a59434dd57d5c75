package smorgas.core.group.similarity;

import java.util.Arrays;

/** The best of those offered, in order; of equal ones those of smaller numbers come first. */
final class TopRanked {

    private final int[] who;
    private final double[] like;
    private int count;

    /** @param most how many are kept, from 1 */
    TopRanked(int most) {
        who = new int[most];
        like = new double[most];
    }

    /** What is less than this is not kept; nothing is while there is room. */
    double last() {
        return count == who.length ? like[count - 1] : Double.NEGATIVE_INFINITY;
    }

    void offer(int number, double value) {
        if (count == who.length && !(value > like[count - 1] || value == like[count - 1] && number < who[count - 1])) {
            return;
        }
        int at = count < who.length ? count++ : count - 1;
        while (at > 0 && (like[at - 1] < value || like[at - 1] == value && who[at - 1] > number)) {
            like[at] = like[at - 1];
            who[at] = who[at - 1];
            at--;
        }
        like[at] = value;
        who[at] = number;
    }

    /** All of them, the best first; none are kept any more. */
    int[] take() {
        int[] taken = Arrays.copyOf(who, count);
        count = 0;
        return taken;
    }
}

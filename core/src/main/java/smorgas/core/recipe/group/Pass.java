package smorgas.core.recipe.group;

import smorgas.core.text.Refusal;

/**
 * One run of the group engine over the keywords that are in no group yet.
 *
 * @param smallest keywords a group has at least, 1 to 10,000
 * @param largest keywords a group has at most; {@value #ANY} for any number, else at least twice the smallest, so that
 *     what is too large can be divided
 * @param about how many groups are aimed at; {@value #ANY} for as many as form. Never more than that are left, but there
 *     may be fewer, and dividing what is too large adds some
 * @param shortest words a theme has at least, 1 to {@code longest}
 * @param longest words a theme has at most, up to {@value #LONGEST}
 * @param anyOrder whether the words of a theme may stand anywhere in a keyword in any order, or must stand next to each
 *     other in theirs
 * @param leastTightness the tightness a keyword must have in its group, 0 to 1
 */
public record Pass(
        int smallest, int largest, int about, int shortest, int longest, boolean anyOrder, double leastTightness) {

    /** The most words that a theme may have. */
    public static final int LONGEST = 5;

    /** No bound. */
    public static final int ANY = 0;

    public Pass {
        if (smallest < 1 || smallest > 10_000) {
            throw new Refusal("The smallest group has 1 to 10,000 keywords, not " + smallest);
        }
        if (largest != ANY && (largest < 2 * smallest || largest > 1_000_000)) {
            throw new Refusal("The largest group has at least twice as many keywords as the smallest, not " + largest);
        }
        if (about < 0 || about > 1_000_000) {
            throw new Refusal("Aim at 1 to 1,000,000 groups, not " + about);
        }
        if (shortest < 1 || longest > LONGEST || shortest > longest) {
            throw new Refusal("A theme has 1 to 5 words, not " + shortest + " to " + longest);
        }
        if (!(leastTightness >= 0 && leastTightness <= 1)) {
            throw new Refusal("The least tightness is 0 to 1, not " + leastTightness);
        }
    }
}

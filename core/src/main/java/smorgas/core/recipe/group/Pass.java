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
            throw new Refusal("group.pass.smallest-group-1-10", smallest);
        }
        if (largest != ANY && (largest < 2 * smallest || largest > 1_000_000)) {
            throw new Refusal("group.pass.largest-group-least-twice", largest);
        }
        if (about < 0 || about > 1_000_000) {
            throw new Refusal("group.pass.aim-1-1-000", about);
        }
        if (shortest < 1 || longest > LONGEST || shortest > longest) {
            throw new Refusal("group.pass.theme-1-5-words", shortest, longest);
        }
        if (!(leastTightness >= 0 && leastTightness <= 1)) {
            throw new Refusal("group.pass.least-tightness-0-1", leastTightness);
        }
    }
}

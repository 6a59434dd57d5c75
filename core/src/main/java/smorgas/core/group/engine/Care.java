package smorgas.core.group.engine;

import smorgas.core.recipe.Edition;

/**
 * How much is looked at to find out what is alike, and whether that follows how many keywords there are.
 *
 * @param pairs in lists up to this long every pair that shares a term is looked at
 * @param joins in lists up to this long a group forgets no neighbour
 * @param enough in longer ones common terms are looked at only until there are so many keywords to choose from
 * @param broader whether the usual place of the dial is broader in longer lists
 * @param steps so many keywords of terms are gone through over all keywords, the rarest terms of each first; where that is
 *     not enough, keywords that have only common terms in common may not be found
 * @param letters a word is like so many others by its letters, each of which it is among the most like to; in languages that
 *     join words it is like all
 */
record Care(int pairs, int joins, int enough, boolean broader, long steps, int letters) {

    /** However long a list, more words than this that look like one only by chance would come before those that are meant. */
    private static final int FEW_LETTERS = 3;

    private static final int ANY = Integer.MAX_VALUE;

    /** Every pair, however long it takes: to measure what is lost otherwise. */
    static final Care ALL = new Care(ANY, ANY, ANY, true, Long.MAX_VALUE, FEW_LETTERS);

    private static final Care NOW = new Care(ANY, 20_000, ANY, true, 1_000_000_000, FEW_LETTERS);
    private static final Care FIFTH_EDITION = new Care(ANY, 20_000, ANY, true, 1_000_000_000, ANY);
    private static final Care FOURTH_EDITION = new Care(20_000, 20_000, 2_000, true, Long.MAX_VALUE, ANY);
    private static final Care THIRD_EDITION = new Care(6_000, 5_000, 150, false, Long.MAX_VALUE, ANY);

    static Care of(Edition edition) {
        if (edition.atLeast(Edition.EIGHTH)) {
            return NOW;
        }
        if (edition.atLeast(Edition.FIFTH)) {
            return FIFTH_EDITION;
        }
        return edition.atLeast(Edition.FOURTH) ? FOURTH_EDITION : THIRD_EDITION;
    }
}

package smorgas.core.group.engine;

/**
 * How much is looked at to find out what is alike.
 *
 * @param joins in lists up to this long a group forgets no neighbour
 * @param steps so many keywords of terms are gone through over all keywords, the rarest terms of each first; where that is
 *     not enough, keywords that have only common terms in common may not be found
 */
record Care(int joins, long steps) {

    /** What is looked at for groups. */
    static final Care USUAL = new Care(20_000, 1_000_000_000);

    /** Every pair, however long it takes: to measure what is lost otherwise. */
    static final Care ALL = new Care(Integer.MAX_VALUE, Long.MAX_VALUE);
}

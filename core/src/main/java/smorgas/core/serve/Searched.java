package smorgas.core.serve;

import java.util.BitSet;
import java.util.stream.Collectors;
import smorgas.core.column.Figure;
import smorgas.core.column.Numbers;
import smorgas.core.fold.Keywords;

/**
 * How often some keywords are searched for, as tables for people tell it.
 *
 * @param sum of those that are known, ranges by their middle
 * @param simulated whether some of it is made up
 */
record Searched(long sum, boolean simulated) {

    static Searched of(BitSet keywords, Numbers searches) {
        return new Searched(
                keywords.stream()
                                .filter(searches::known)
                                .mapToLong(searches::twiceMiddle)
                                .sum()
                        / 2,
                keywords.stream().anyMatch(searches::simulated));
    }

    /** What of it is made up, for a column beside it; empty if nothing is. */
    String told() {
        return simulated ? Figure.SEARCHES.word() : "";
    }

    /** The figures of a keyword that are made up, for a column beside them; empty if none is. */
    static String marked(Keywords keywords, int keyword) {
        return keywords.simulated(keyword).stream().map(Figure::word).collect(Collectors.joining(", "));
    }
}

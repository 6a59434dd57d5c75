package smorgas.core.recipe.group;

import java.util.Collections;
import java.util.SortedSet;
import java.util.TreeSet;
import smorgas.core.text.Refusal;

/**
 * How the engine divides one group.
 *
 * @param smallest keywords of a part at least; 0 for no split
 * @param ignored tidy words on which no part forms, beside those that are ignored everywhere
 */
public record SplitBy(int smallest, SortedSet<String> ignored) {

    /** No split. */
    public static final SplitBy NOT = new SplitBy(0, new TreeSet<>());

    public SplitBy {
        if (smallest < 0 || smallest > 10_000) {
            throw new Refusal("group.split-by.part-group-1-10", smallest);
        }
        ignored = Collections.unmodifiableSortedSet(new TreeSet<>(ignored));
    }
}

package smorgas.core.group;

import it.unimi.dsi.fastutil.ints.IntArrays;
import java.util.Optional;
import java.util.stream.IntStream;
import smorgas.core.column.FigureColumn;

/**
 * Groups as the researcher sees them: with their searches, most searched first, then largest, then by theme; cannot
 * change. {@link #order()} gives the numbers of the {@link Grouping} in that order.
 */
public final class Groups {

    private final Grouping grouping;
    private final long[] searches;
    private final int[] order;
    private final long leftoverSearches;

    /**
     * Adds the figures.
     *
     * @param column searches of every keyword; empty if no basket has them
     */
    public Groups(Grouping grouping, Optional<FigureColumn> column) {
        this.grouping = grouping;
        this.searches = new long[grouping.size()];
        long left = 0;
        if (column.isPresent()) {
            FigureColumn known = column.get();
            for (int keyword = 0; keyword < known.size(); keyword++) {
                int group = grouping.groupOf(keyword);
                if (group != Grouping.OUTSIDE && known.known(keyword)) {
                    if (group == Grouping.LEFTOVER) {
                        left += known.twiceMiddle(keyword);
                    } else {
                        searches[group] += known.twiceMiddle(keyword);
                    }
                }
            }
        }
        for (int group = 0; group < searches.length; group++) {
            searches[group] /= 2;
        }
        this.leftoverSearches = left / 2;
        this.order = IntStream.range(0, grouping.size()).toArray();
        IntArrays.quickSort(order, (a, b) -> {
            int bySearches = Long.compare(searches[b], searches[a]);
            if (bySearches != 0) {
                return bySearches;
            }
            int bySize = Integer.compare(
                    grouping.members().length(b), grouping.members().length(a));
            return bySize != 0 ? bySize : Integer.compare(a, b);
        });
    }

    public Grouping grouping() {
        return grouping;
    }

    /** The numbers of the groups, most searched first. */
    public int[] order() {
        return order.clone();
    }

    /** Known searches a month of a group's keywords, ranges by their middle; 0 if none is known. */
    public long searches(int group) {
        return searches[group];
    }

    public long leftoverSearches() {
        return leftoverSearches;
    }

    /** How many keywords a group has. */
    public int keywords(int group) {
        return grouping.members().length(group);
    }

    /** The number of the group with this theme; -1 if there is none today. */
    public int find(String theme) {
        for (int group = 0; group < grouping.size(); group++) {
            if (grouping.theme(group).equals(theme)) {
                return group;
            }
        }
        return -1;
    }
}

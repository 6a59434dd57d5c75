package smorgas.core.group.read;

import it.unimi.dsi.fastutil.longs.Long2IntOpenHashMap;
import java.util.BitSet;
import java.util.Comparator;
import java.util.List;
import java.util.stream.IntStream;
import smorgas.core.group.Grouping;

/**
 * What becomes of groups when others take their place. Groups of one key are the same group.
 *
 * @param fresh groups that are there only after, by their numbers after, most searched first
 * @param gone groups that were there only before, by their numbers before, most searched first
 * @param changed how many are there before and after with other keywords
 * @param same how many are there before and after with the same keywords
 * @param moved how many keywords are in another group, or in none, or in one where they were in none
 * @param flows which keywords went where, the most first
 */
public record Changes(List<Integer> fresh, List<Integer> gone, int changed, int same, int moved, List<Flow> flows) {

    private static final int GONE = Integer.MIN_VALUE;

    /** Keywords that left a group, or the ungrouped keywords, for another. {@link Grouping#UNGROUPED} stands for the ungrouped keywords. */
    public record Flow(int from, int to, int keywords) {}

    /**
     * Compares two results over the same keywords.
     *
     * @throws IllegalArgumentException if they are not over the same keywords
     */
    public static Changes between(Groups before, Groups after) {
        int keywords = before.grouping().words().rows().size();
        if (!before.ofSameKeywords(after)) {
            throw new IllegalArgumentException("groups of other keywords cannot be compared");
        }
        int[] sameAfter = IntStream.range(0, before.grouping().size())
                .map(group -> after.find(before.grouping().key(group)))
                // Not to be taken for the ungrouped keywords.
                .map(group -> group < 0 ? GONE : group)
                .toArray();
        BitSet changedAfter = new BitSet();
        Long2IntOpenHashMap counts = new Long2IntOpenHashMap();
        int moved = 0;
        for (int keyword = 0; keyword < keywords; keyword++) {
            int from = before.grouping().groupOf(keyword);
            int to = after.grouping().groupOf(keyword);
            boolean outside = from == Grouping.OUTSIDE || to == Grouping.OUTSIDE;
            boolean stayed = from < 0 ? to == from : sameAfter[from] == to;
            if (!outside && !stayed) {
                moved++;
                counts.addTo((long) (from + 1) << 32 | to + 1, 1);
                mark(changedAfter, from < 0 ? -1 : sameAfter[from]);
                mark(changedAfter, to);
            }
        }
        BitSet kept = new BitSet();
        IntStream.of(sameAfter).filter(group -> group >= 0).forEach(kept::set);
        changedAfter.and(kept);
        return new Changes(
                IntStream.of(after.order())
                        .filter(group -> !kept.get(group))
                        .boxed()
                        .toList(),
                IntStream.of(before.order())
                        .filter(group -> sameAfter[group] < 0)
                        .boxed()
                        .toList(),
                changedAfter.cardinality(),
                kept.cardinality() - changedAfter.cardinality(),
                moved,
                flows(counts));
    }

    private static List<Flow> flows(Long2IntOpenHashMap counts) {
        return counts.long2IntEntrySet().stream()
                .map(entry -> new Flow(
                        (int) (entry.getLongKey() >> 32) - 1, (int) entry.getLongKey() - 1, entry.getIntValue()))
                .sorted(Comparator.<Flow>comparingInt(flow -> -flow.keywords())
                        .thenComparingInt(Flow::from)
                        .thenComparingInt(Flow::to))
                .toList();
    }

    private static void mark(BitSet groups, int group) {
        if (group >= 0) {
            groups.set(group);
        }
    }
}

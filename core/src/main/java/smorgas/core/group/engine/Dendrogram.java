package smorgas.core.group.engine;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;

/**
 * In which order groups join, from each keyword alone to the broadest: cut at any likeness it gives groups, and those of a
 * broader cut hold those of a tighter one whole. Cannot change.
 */
final class Dendrogram {

    /**
     * Two groups become one.
     *
     * @param into the first keyword of one group, by which the joined one goes too
     * @param from the first keyword of the other
     * @param like how alike they are, 0 to 1
     */
    record Merge(int into, int from, double like) {}

    private final int size;
    /** The most alike first; of equal ones in the order in which they were found. */
    private final List<Merge> merges;

    Dendrogram(int size, List<Merge> found) {
        this.size = size;
        double[] lowest = new double[size];
        Arrays.fill(lowest, 1);
        List<Merge> nested = new ArrayList<>(found.size());
        for (Merge merge : found) {
            // A join is never tighter than those it is made of, which neighbours that were not looked at could bring
            // about.
            double like = Math.min(merge.like(), Math.min(lowest[merge.into()], lowest[merge.from()]));
            lowest[merge.into()] = like;
            nested.add(new Merge(merge.into(), merge.from(), like));
        }
        nested.sort(Comparator.comparingDouble(Merge::like).reversed());
        this.merges = List.copyOf(nested);
    }

    int size() {
        return size;
    }

    List<Merge> merges() {
        return merges;
    }

    /** The group of each keyword where all groups at least so much alike are one; numbered by their first keyword. */
    int[] cut(double like) {
        int[] group = new int[size];
        Arrays.setAll(group, keyword -> keyword);
        for (Merge merge : merges) {
            if (merge.like() < like) {
                break;
            }
            group[merge.from()] = merge.into();
        }
        for (int keyword = 0; keyword < size; keyword++) {
            int top = keyword;
            while (group[top] != top) {
                top = group[top];
            }
            group[keyword] = top;
        }
        return group;
    }
}

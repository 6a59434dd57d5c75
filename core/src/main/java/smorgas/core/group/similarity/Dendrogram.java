package smorgas.core.group.similarity;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;

/**
 * In which order groups join, from each keyword alone to the broadest: cut at any similarity it gives groups, and those of a
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
    /** By join, the most alike first; of equal ones in the order in which they were found. */
    private final int[] into;

    private final int[] from;
    private final double[] like;

    Dendrogram(int size, List<Merge> found) {
        this.size = size;
        double[] lowest = new double[size];
        Arrays.fill(lowest, 1);
        List<Merge> nested = new ArrayList<>(found.size());
        for (Merge merge : found) {
            // A join is never tighter than those it is made of, which nearest ones that were not looked at could bring
            // about.
            double like = Math.min(merge.like(), Math.min(lowest[merge.into()], lowest[merge.from()]));
            lowest[merge.into()] = like;
            nested.add(new Merge(merge.into(), merge.from(), like));
        }
        nested.sort(Comparator.comparingDouble(Merge::like).reversed());
        // In arrays, for every turn of the dial goes through them.
        this.into = nested.stream().mapToInt(Merge::into).toArray();
        this.from = nested.stream().mapToInt(Merge::from).toArray();
        this.like = nested.stream().mapToDouble(Merge::like).toArray();
    }

    int size() {
        return size;
    }

    /** How many joins there are; they are numbered from 0, the most alike first. */
    int joins() {
        return like.length;
    }

    /** The first keyword of one of the two groups that a join makes one, by which the joined one goes too. */
    int into(int join) {
        return into[join];
    }

    /** The first keyword of the other. */
    int from(int join) {
        return from[join];
    }

    /** How alike the two are, 0 to 1. */
    double like(int join) {
        return like[join];
    }

    /** The group of each keyword where all groups at least so much alike are one; numbered by their first keyword. */
    int[] cut(double least) {
        int[] group = new int[size];
        Arrays.setAll(group, keyword -> keyword);
        for (int join = 0; join < like.length && like[join] >= least; join++) {
            group[from[join]] = into[join];
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

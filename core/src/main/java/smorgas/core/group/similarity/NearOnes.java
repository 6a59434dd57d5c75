package smorgas.core.group.similarity;

import java.util.Arrays;

/**
 * The groups near one, and how alike each is to it. What was known of a group before it was joined stays until it is looked for:
 * to take it out of every list that it is in would cost most of the time.
 */
final class NearOnes {

    private static final int LEAST_ROOM = 16;

    private int[] group;
    private int[] joins;
    private double[] like;
    private int size;

    NearOnes(int room) {
        group = new int[room];
        joins = new int[room];
        like = new double[room];
    }

    int size() {
        return size;
    }

    int group(int at) {
        return group[at];
    }

    double like(int at) {
        return like[at];
    }

    /** @param joined how often that group was joined so far */
    void add(int near, int joined, double alike) {
        if (size == group.length) {
            int room = Math.max(LEAST_ROOM, size * 2);
            group = Arrays.copyOf(group, room);
            joins = Arrays.copyOf(joins, room);
            like = Arrays.copyOf(like, room);
        }
        group[size] = near;
        joins[size] = joined;
        like[size++] = alike;
    }

    /** Forgets what was known of groups that were joined since. */
    void forget(int[] joinsNow) {
        int kept = 0;
        for (int i = 0; i < size; i++) {
            if (joins[i] == joinsNow[group[i]]) {
                keep(kept++, i);
            }
        }
        size = kept;
    }

    /** Forgets what is less alike. */
    void keepFrom(double enough) {
        int kept = 0;
        for (int i = 0; i < size; i++) {
            if (like[i] >= enough) {
                keep(kept++, i);
            }
        }
        size = kept;
    }

    private void keep(int to, int from) {
        group[to] = group[from];
        joins[to] = joins[from];
        like[to] = like[from];
    }

    /** How alike a group is that is one of these. */
    double likeOf(int near) {
        for (int i = 0; i < size; i++) {
            if (group[i] == near) {
                return like[i];
            }
        }
        throw new IllegalArgumentException("Group " + near + " is none of those near");
    }

    /** How alike the last of so many of the best is, at most {@link #size()}. */
    double likeOfBest(int most) {
        double[] values = Arrays.copyOf(like, size);
        Arrays.sort(values);
        return values[size - most];
    }
}

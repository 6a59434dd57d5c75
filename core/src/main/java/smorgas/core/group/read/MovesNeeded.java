package smorgas.core.group.read;

import it.unimi.dsi.fastutil.ints.Int2IntOpenHashMap;
import java.util.Arrays;

/**
 * How much a hand must still do: the groups found are matched one to one with those wanted so that most things are in both of
 * a pair, by the Hungarian method (Kuhn 1955) with shortest augmenting paths (Jonker and Volgenant 1987); all others must be moved.
 */
public final class MovesNeeded {

    private MovesNeeded() {}

    /**
     * The share of things that must be moved, 0 to 1.
     *
     * @param found the label of each thing; equal labels are one group
     * @param wanted likewise
     * @throws IllegalArgumentException if they are not of the same, positive number of things
     */
    public static double share(int[] found, int[] wanted) {
        if (found.length != wanted.length || found.length == 0) {
            throw new IllegalArgumentException(found.length + " things found, " + wanted.length + " wanted");
        }
        int[] rows = dense(found);
        int[] columns = dense(wanted);
        int size = 1 + Math.max(max(rows), max(columns));
        int[][] shared = new int[size][size];
        for (int i = 0; i < rows.length; i++) {
            shared[rows[i]][columns[i]]++;
        }
        return 1 - best(shared) / (double) found.length;
    }

    private static int max(int[] labels) {
        return Arrays.stream(labels).max().orElseThrow();
    }

    private static int[] dense(int[] labels) {
        Int2IntOpenHashMap numbers = new Int2IntOpenHashMap();
        return Arrays.stream(labels)
                .map(label -> {
                    numbers.putIfAbsent(label, numbers.size());
                    return numbers.get(label);
                })
                .toArray();
    }

    /** The most that a choice of one place in each row and column can hold; rows and columns are counted from 1 within. */
    private static long best(int[][] held) {
        int size = held.length;
        int[] ofRow = new int[size + 1];
        int[] ofColumn = new int[size + 1];
        int[] rowOf = new int[size + 1];
        int[] before = new int[size + 1];
        for (int row = 1; row <= size; row++) {
            rowOf[0] = row;
            int column = 0;
            int[] least = new int[size + 1];
            boolean[] used = new boolean[size + 1];
            Arrays.fill(least, Integer.MAX_VALUE);
            do {
                used[column] = true;
                int at = rowOf[column];
                int step = Integer.MAX_VALUE;
                int next = 0;
                for (int other = 1; other <= size; other++) {
                    if (!used[other]) {
                        int cost = -held[at - 1][other - 1] - ofRow[at] - ofColumn[other];
                        if (cost < least[other]) {
                            least[other] = cost;
                            before[other] = column;
                        }
                        if (least[other] < step) {
                            step = least[other];
                            next = other;
                        }
                    }
                }
                for (int other = 0; other <= size; other++) {
                    if (used[other]) {
                        ofRow[rowOf[other]] += step;
                        ofColumn[other] -= step;
                    } else {
                        least[other] -= step;
                    }
                }
                column = next;
            } while (rowOf[column] != 0);
            while (column != 0) {
                rowOf[column] = rowOf[before[column]];
                column = before[column];
            }
        }
        long sum = 0;
        for (int column = 1; column <= size; column++) {
            sum += held[rowOf[column] - 1][column - 1];
        }
        return sum;
    }
}

package smorgas.core.column;

import it.unimi.dsi.fastutil.ints.IntArrayList;
import java.util.Arrays;
import java.util.SortedMap;
import java.util.concurrent.ConcurrentSkipListMap;
import java.util.function.IntConsumer;

/** Rows of ints of unequal length in two arrays; cannot change. Row numbers run from 0 to {@link #size()} - 1. */
public final class RaggedInts {

    private final int[] starts;
    private final int[] values;

    private RaggedInts(int[] starts, int[] values) {
        this.starts = starts;
        this.values = values;
    }

    public int size() {
        return starts.length - 1;
    }

    public int length(int row) {
        return starts[row + 1] - starts[row];
    }

    /** In how many places the rows before this one stand. */
    public int start(int row) {
        return starts[row];
    }

    public int get(int row, int place) {
        return values[starts[row] + place];
    }

    /** A copy of the row. */
    public int[] row(int row) {
        return Arrays.copyOfRange(values, starts[row], starts[row + 1]);
    }

    public void forEach(int row, IntConsumer action) {
        for (int i = starts[row]; i < starts[row + 1]; i++) {
            action.accept(values[i]);
        }
    }

    /**
     * Rows turned into their inverse by counting: row v of the result lists, in rising order, the places i where {@code
     * keys[i] == v}. Negative keys are left out.
     */
    public static RaggedInts byKey(int[] keys, int rows) {
        int[] starts = new int[rows + 1];
        for (int key : keys) {
            if (key >= 0) {
                starts[key + 1]++;
            }
        }
        for (int r = 0; r < rows; r++) {
            starts[r + 1] += starts[r];
        }
        int[] next = Arrays.copyOf(starts, rows);
        int[] values = new int[starts[rows]];
        for (int i = 0; i < keys.length; i++) {
            if (keys[i] >= 0) {
                values[next[keys[i]]++] = i;
            }
        }
        return new RaggedInts(starts, values);
    }

    /** Gives the values of a row. */
    @FunctionalInterface
    public interface Maker {
        /** Adds the values behind those that are there; must depend on nothing but the row, for rows are made on all cores. */
        void make(int row, IntArrayList values);
    }

    /** Rows made one by one, on all cores. */
    public static RaggedInts made(int rows, Maker maker) {
        int[] starts = new int[rows + 1];
        SortedMap<Integer, IntArrayList> parts = new ConcurrentSkipListMap<>();
        Cores.run(rows, (from, to) -> {
            IntArrayList values = new IntArrayList(4 * (to - from));
            for (int row = from; row < to; row++) {
                maker.make(row, values);
                starts[row + 1] = values.size();
            }
            parts.put(from, values);
        });
        int[] all = new int[parts.values().stream().mapToInt(IntArrayList::size).sum()];
        int[] firsts = parts.keySet().stream().mapToInt(first -> first).toArray();
        int before = 0;
        for (int part = 0; part < firsts.length; part++) {
            IntArrayList values = parts.get(firsts[part]);
            values.getElements(0, all, before, values.size());
            int end = part + 1 < firsts.length ? firsts[part + 1] : rows;
            for (int row = firsts[part]; row < end; row++) {
                starts[row + 1] += before;
            }
            before += values.size();
        }
        return new RaggedInts(starts, all);
    }

    /**
     * The inverse of this: row v of the result lists, in rising order and once each, the rows of this that hold the value
     * v.
     */
    public RaggedInts inverse(int valueCount) {
        int[] starts = new int[valueCount + 1];
        int[] lastSeen = new int[valueCount];
        Arrays.fill(lastSeen, -1);
        for (int row = 0; row < size(); row++) {
            for (int i = this.starts[row]; i < this.starts[row + 1]; i++) {
                int value = values[i];
                if (lastSeen[value] != row) {
                    lastSeen[value] = row;
                    starts[value + 1]++;
                }
            }
        }
        for (int v = 0; v < valueCount; v++) {
            starts[v + 1] += starts[v];
        }
        int[] next = Arrays.copyOf(starts, valueCount);
        int[] inverted = new int[starts[valueCount]];
        Arrays.fill(lastSeen, -1);
        for (int row = 0; row < size(); row++) {
            for (int i = this.starts[row]; i < this.starts[row + 1]; i++) {
                int value = values[i];
                if (lastSeen[value] != row) {
                    lastSeen[value] = row;
                    inverted[next[value]++] = row;
                }
            }
        }
        return new RaggedInts(starts, inverted);
    }

    /** The same for rows whose values rise, on all cores. */
    public RaggedInts inverseOfRising(int valueCount) {
        int[] starts = new int[valueCount + 1];
        Cores.run(valueCount, (from, to) -> forEachWithin(from, to, (row, value) -> starts[value + 1]++));
        for (int v = 0; v < valueCount; v++) {
            starts[v + 1] += starts[v];
        }
        int[] next = Arrays.copyOf(starts, valueCount);
        int[] inverted = new int[starts[valueCount]];
        Cores.run(valueCount, (from, to) -> forEachWithin(from, to, (row, value) -> inverted[next[value]++] = row));
        return new RaggedInts(starts, inverted);
    }

    /** Takes a value of a row. */
    @FunctionalInterface
    private interface Visitor {
        void visit(int row, int value);
    }

    /** Of rows that rise the values from one to before another: these lie close together in what is made of them. */
    private void forEachWithin(int from, int to, Visitor visitor) {
        for (int row = 0; row < size(); row++) {
            int end = starts[row + 1];
            if (starts[row] == end || values[starts[row]] >= to || values[end - 1] < from) {
                continue;
            }
            int at = Arrays.binarySearch(values, starts[row], end, from);
            for (at = at < 0 ? -at - 1 : at; at < end && values[at] < to; at++) {
                visitor.visit(row, values[at]);
            }
        }
    }

    /** The rows with every value replaced. */
    public RaggedInts renumbered(int[] replacements) {
        int[] renumbered = new int[values.length];
        Cores.run(renumbered.length, (from, to) -> {
            for (int i = from; i < to; i++) {
                renumbered[i] = replacements[values[i]];
            }
        });
        return new RaggedInts(starts, renumbered);
    }

    /** Collects rows one after the other. */
    public static final class Builder {
        private final IntArrayList starts = new IntArrayList();
        private final IntArrayList values = new IntArrayList();

        public Builder() {
            starts.add(0);
        }

        public void add(int value) {
            values.add(value);
        }

        public void endRow() {
            starts.add(values.size());
        }

        public RaggedInts seal() {
            return new RaggedInts(starts.toIntArray(), values.toIntArray());
        }
    }
}

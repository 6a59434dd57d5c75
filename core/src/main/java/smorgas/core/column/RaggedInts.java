package smorgas.core.column;

import it.unimi.dsi.fastutil.ints.IntArrayList;
import java.util.Arrays;
import java.util.SortedMap;
import java.util.concurrent.ConcurrentSkipListMap;
import java.util.function.IntConsumer;

/** Rows of ints of unequal length in two arrays; cannot change. Row numbers run from 0 to {@link #size()} - 1. */
public final class RaggedInts {

    /** What is written for fewer values fits the cache of one core. */
    private static final int FEW_VALUES = 250_000;

    private static final int INVERSE_PARTS = 2;

    private final int[] starts;
    private final int[] values;

    private RaggedInts(int[] starts, int[] values) {
        this.starts = starts;
        this.values = values;
    }

    public int size() {
        return starts.length - 1;
    }

    /** Whether a row has a number. */
    public boolean contains(int row, int number) {
        for (int i = 0; i < length(row); i++) {
            if (get(row, i) == number) {
                return true;
            }
        }
        return false;
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

    /** Whether the number at a place of a row stands at none before it. */
    public boolean firstAt(int row, int place) {
        int number = get(row, place);
        for (int before = 0; before < place; before++) {
            if (get(row, before) == number) {
                return false;
            }
        }
        return true;
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
        int[] names = new int[size()];
        Arrays.setAll(names, row -> row);
        return inverse(valueCount, names);
    }

    /**
     * The inverse of this with other names for the rows.
     *
     * @param names the name of each row; a row whose name is negative is left out
     */
    public RaggedInts inverse(int valueCount, int[] names) {
        // Each part goes through all rows and writes less than all.
        int parts = valueCount < FEW_VALUES ? 1 : INVERSE_PARTS;
        int[] ends = new int[valueCount + 1];
        Cores.inParts(valueCount, parts, (from, to) -> count(from, to, names, ends));
        for (int v = 0; v < valueCount; v++) {
            ends[v + 1] += ends[v];
        }
        int[] next = Arrays.copyOf(ends, valueCount);
        int[] inverted = new int[ends[valueCount]];
        Cores.inParts(valueCount, parts, (from, to) -> fill(from, to, names, next, inverted));
        return new RaggedInts(ends, inverted);
    }

    private void count(int from, int to, int[] names, int[] ends) {
        int[] lastSeen = unseen(to - from);
        for (int row = 0; row < names.length; row++) {
            for (int i = starts[row]; names[row] >= 0 && i < starts[row + 1]; i++) {
                int value = values[i];
                if (value >= from && value < to && lastSeen[value - from] != row) {
                    lastSeen[value - from] = row;
                    ends[value + 1]++;
                }
            }
        }
    }

    private void fill(int from, int to, int[] names, int[] next, int[] inverted) {
        int[] lastSeen = unseen(to - from);
        for (int row = 0; row < names.length; row++) {
            for (int i = starts[row]; names[row] >= 0 && i < starts[row + 1]; i++) {
                int value = values[i];
                if (value >= from && value < to && lastSeen[value - from] != row) {
                    lastSeen[value - from] = row;
                    inverted[next[value]++] = names[row];
                }
            }
        }
    }

    private static int[] unseen(int count) {
        int[] lastSeen = new int[count];
        Arrays.fill(lastSeen, -1);
        return lastSeen;
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

package smorgas.core.column;

import java.util.Arrays;
import java.util.BitSet;
import org.jspecify.annotations.Nullable;

/**
 * One figure for each of many rows, as a range from low to high (both inclusive; equal for a plain number), in parts of
 * the figure's unit. Unknown is {@link #UNKNOWN}, never zero.
 */
public final class FigureColumn implements Numbers {

    public static final long UNKNOWN = Long.MIN_VALUE;

    private final long[] low;
    private final long[] high;
    /** The rows that a stand-in has made up; null if none. */
    private final @Nullable BitSet simulated;

    private FigureColumn(long[] low, long[] high, @Nullable BitSet simulated) {
        this.low = low;
        this.high = high;
        this.simulated = simulated;
    }

    /**
     * The same, with made-up figures in some rows.
     *
     * @param with of as many rows
     * @param rows those that get what the other has, and are marked where it has anything
     */
    public FigureColumn simulated(FigureColumn with, BitSet rows) {
        Builder builder = Builder.ofSize(size());
        BitSet marked = new BitSet();
        for (int row = 0; row < size(); row++) {
            boolean made = rows.get(row) && with.known(row);
            FigureColumn of = made ? with : this;
            if (of.known(row)) {
                builder.set(row, of.low(row), of.high(row));
            }
            marked.set(row, made);
        }
        FigureColumn filled = builder.seal();
        return new FigureColumn(filled.low, filled.high, marked);
    }

    /** The same, of which only what is made up is known, or only what is not. */
    public FigureColumn only(boolean made) {
        Builder builder = Builder.ofSize(size());
        for (int row = 0; row < size(); row++) {
            if (known(row) && simulated(row) == made) {
                builder.set(row, low[row], high[row]);
            }
        }
        FigureColumn left = builder.seal();
        return new FigureColumn(left.low, left.high, made ? simulated : null);
    }

    /** Whether any of it is made up. */
    public boolean simulated() {
        return simulated != null && !simulated.isEmpty();
    }

    @Override
    public boolean simulated(int row) {
        return simulated != null && simulated.get(row);
    }

    public int size() {
        return low.length;
    }

    @Override
    public boolean known(int row) {
        return low[row] != UNKNOWN;
    }

    @Override
    public long low(int row) {
        return low[row];
    }

    @Override
    public long high(int row) {
        return high[row];
    }

    @Override
    public long twiceMiddle(int row) {
        return known(row) ? low[row] + high[row] : UNKNOWN;
    }

    /** Grows row by row, or is filled in any order after {@link #ofSize}. */
    public static final class Builder {
        private long[] low;
        private long[] high;
        private int size;

        public Builder() {
            low = new long[16];
            high = low;
        }

        /** A builder that already has this many rows, all unknown. */
        public static Builder ofSize(int rows) {
            Builder builder = new Builder();
            builder.low = new long[rows];
            Arrays.fill(builder.low, UNKNOWN);
            builder.high = builder.low;
            builder.size = rows;
            return builder;
        }

        public void add(long lowPart, long highPart) {
            if (size == low.length) {
                boolean ranges = high != low;
                low = Arrays.copyOf(low, size * 2);
                high = ranges ? Arrays.copyOf(high, size * 2) : low;
            }
            size++;
            set(size - 1, lowPart, highPart);
        }

        public void set(int row, long lowPart, long highPart) {
            if (lowPart != highPart && high == low) {
                // Most columns hold no range: the second array exists from the first range on.
                high = low.clone();
            }
            low[row] = lowPart;
            high[row] = highPart;
        }

        public long low(int row) {
            return low[row];
        }

        public long high(int row) {
            return high[row];
        }

        public long twiceMiddle(int row) {
            return low[row] == UNKNOWN ? UNKNOWN : low[row] + high[row];
        }

        public int size() {
            return size;
        }

        /** Forgets the rows from this one on. */
        public void truncate(int rows) {
            size = rows;
        }

        public FigureColumn seal() {
            boolean ranges = high != low;
            long[] sealedLow = Arrays.copyOf(low, size);
            return new FigureColumn(sealedLow, ranges ? Arrays.copyOf(high, size) : sealedLow, null);
        }
    }
}

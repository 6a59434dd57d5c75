package smorgas.core.gather;

import java.time.YearMonth;
import java.util.Arrays;
import java.util.OptionalInt;

/** What is searched in one month, for each row of a list; whole searches, ranges by their middle. Cannot change. */
public final class MonthColumn {

    private static final int UNKNOWN = -1;

    private final YearMonth month;
    private final int[] searches;

    private MonthColumn(YearMonth month, int[] searches) {
        this.month = month;
        this.searches = searches;
    }

    /** The year and month that the column's name tells. */
    public YearMonth month() {
        return month;
    }

    /** Of a row; empty if its cell tells none. */
    public OptionalInt searches(int row) {
        return searches[row] == UNKNOWN ? OptionalInt.empty() : OptionalInt.of(searches[row]);
    }

    /** Grows row by row. */
    static final class Builder {
        private final int place;
        private final YearMonth month;
        private int[] searches = new int[16];
        private int size;

        /** Of the column at this place of the list. */
        Builder(int place, YearMonth month) {
            this.place = place;
            this.month = month;
        }

        int place() {
            return place;
        }

        void add(long low, long high) {
            put((int) Math.min(Integer.MAX_VALUE, (low + high) / 2));
        }

        void addUnknown() {
            put(UNKNOWN);
        }

        private void put(int known) {
            if (size == searches.length) {
                searches = Arrays.copyOf(searches, size * 2);
            }
            searches[size++] = known;
        }

        void truncate(int rows) {
            size = Math.min(size, rows);
        }

        MonthColumn seal() {
            return new MonthColumn(month, Arrays.copyOf(searches, size));
        }
    }
}

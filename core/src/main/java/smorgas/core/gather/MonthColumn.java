package smorgas.core.gather;

import java.time.YearMonth;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;

/** What is searched in one month, for each row of a list; whole searches, ranges by their middle. Cannot change. */
public final class MonthColumn {

    private static final int UNKNOWN = -1;

    private final Optional<YearMonth> month;
    private final int[] searches;

    private MonthColumn(Optional<YearMonth> month, int[] searches) {
        this.month = month;
        this.searches = searches;
    }

    /** The year and month that the column's name tells; empty if it tells no year. */
    public Optional<YearMonth> month() {
        return month;
    }

    /** Of a row; empty if its cell tells none. */
    public OptionalInt searches(int row) {
        return searches[row] == UNKNOWN ? OptionalInt.empty() : OptionalInt.of(searches[row]);
    }

    /** Columns in their order: by date if all tell theirs, else as they stand, from the left. */
    static List<MonthColumn> ordered(List<MonthColumn> columns) {
        return columns.stream().allMatch(column -> column.month.isPresent())
                ? columns.stream()
                        .sorted(Comparator.comparing(column -> column.month.orElseThrow()))
                        .toList()
                : List.copyOf(columns);
    }

    /** Grows row by row. */
    static final class Builder {
        private final int place;
        private final Optional<YearMonth> month;
        private int[] searches = new int[16];
        private int size;

        /** Of the column at this place of the list. */
        Builder(int place, Optional<YearMonth> month) {
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

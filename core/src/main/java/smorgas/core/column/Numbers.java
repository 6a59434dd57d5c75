package smorgas.core.column;

import java.util.function.IntToLongFunction;

/** One number for each of many rows, as a range from low to high, both inclusive; unknown apart from zero. */
public interface Numbers {

    boolean known(int row);

    /** In parts of the unit; {@link FigureColumn#UNKNOWN} if unknown. */
    long low(int row);

    /** In parts of the unit; {@link FigureColumn#UNKNOWN} if unknown. */
    long high(int row);

    /** Twice the arithmetic middle, so that it stays a whole number; {@link FigureColumn#UNKNOWN} if unknown. */
    default long twiceMiddle(int row) {
        return known(row) ? low(row) + high(row) : FigureColumn.UNKNOWN;
    }

    /** Whether nobody has measured it: a stand-in for a service made it up, or it follows from such a number. */
    default boolean simulated(int row) {
        return false;
    }

    /** Numbers that every row has, or {@link FigureColumn#UNKNOWN}. */
    static Numbers of(IntToLongFunction number) {
        return new Numbers() {
            @Override
            public boolean known(int row) {
                return number.applyAsLong(row) != FigureColumn.UNKNOWN;
            }

            @Override
            public long low(int row) {
                return number.applyAsLong(row);
            }

            @Override
            public long high(int row) {
                return number.applyAsLong(row);
            }
        };
    }

    /** Nothing is known of any row. */
    static Numbers none() {
        return of(row -> FigureColumn.UNKNOWN);
    }
}

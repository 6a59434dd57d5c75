package smorgas.core.column;

import java.util.stream.IntStream;

/** Work on many rows that know nothing of each other, done on all cores. */
public final class Cores {

    /** Of fewer rows one core is done before a second has begun. */
    private static final int FEW = 8_000;

    /** More parts than cores, for some are harder than others. */
    private static final int PARTS = 16;

    /** Some rows next to each other. */
    @FunctionalInterface
    public interface Part {
        /**
         * Works on rows.
         *
         * @param from the first
         * @param to the one behind the last
         */
        void run(int from, int to);
    }

    private Cores() {}

    /** Runs the work over rows 0 to {@code rows} - 1, cut into parts; back when all are done. */
    public static void run(int rows, Part part) {
        run(rows, FEW, part);
    }

    /**
     * The same for rows that are more or less work than others.
     *
     * @param few of fewer one core does them all
     */
    public static void run(int rows, int few, Part part) {
        inParts(rows, rows < few ? 1 : PARTS, part);
    }

    /** The same in so many parts, from 1. */
    static void inParts(int rows, int parts, Part part) {
        if (parts == 1) {
            part.run(0, rows);
            return;
        }
        IntStream.range(0, parts)
                .parallel()
                .forEach(p -> part.run((int) ((long) rows * p / parts), (int) ((long) rows * (p + 1) / parts)));
    }
}

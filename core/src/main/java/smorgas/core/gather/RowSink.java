package smorgas.core.gather;

/** Takes the rows of a list in the order in which they stand in it. */
@FunctionalInterface
public interface RowSink {

    /**
     * One row below the header.
     *
     * @param line the line of the file on which the row begins, from 1
     * @param cells the cells as they stand in the file; at least one
     */
    void row(int line, String[] cells);
}

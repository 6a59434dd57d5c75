package smorgas.core.gather;

/** Hands the rows of one file to a sink; faults go to its problems, and what was readable before them stays. */
@FunctionalInterface
interface RowSource {

    void forEach(RowSink sink);
}

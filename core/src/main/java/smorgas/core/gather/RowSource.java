package smorgas.core.gather;

/** Hands the rows of one file to a sink; faults go to its problems, and what was readable before them stays. */
@FunctionalInterface
interface RowSource {

    void forEach(RowSink sink);

    /** The character that parts its cells; {@link Reading#PLAIN} where something else does. */
    default char delimiter() {
        return Reading.PLAIN;
    }
}

package smorgas.core.serve;

import java.io.OutputStream;
import java.util.List;
import java.util.Optional;

/** A way in which a plan leaves. A new one is a class and its place in {@link #ALL}. */
public interface PlanFormat {

    /** Every format, that for ad platforms first; pages, downloads and the batch command offer and write them. */
    List<PlanFormat> ALL = List.of(
            PlanTable.CSV,
            PlanTable.TSV,
            PlanTable.EVERYTHING,
            PlanTable.SIGNS,
            new PlanWorkbook(),
            new PlanJson(),
            new PlanOutline());

    /** The name of the file, by which it is asked for. */
    String file();

    /** What it is, to stand on a button. */
    String label();

    /** Its media type (RFC 2046), without the encoding, which is UTF-8 for texts. */
    String mediaType();

    /** Writes what is handed over; the stream stays open. */
    void write(Handover what, OutputStream to);

    /** Whether it is text. */
    default boolean isText() {
        return false;
    }

    /** Whether a batch run writes it without being asked. */
    default boolean usual() {
        return false;
    }

    /** The format of a file. */
    static Optional<PlanFormat> find(String file) {
        return ALL.stream().filter(format -> format.file().equals(file)).findFirst();
    }
}

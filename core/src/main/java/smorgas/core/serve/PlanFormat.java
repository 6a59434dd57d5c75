package smorgas.core.serve;

import java.io.Writer;
import java.util.List;
import java.util.Optional;

/** A way in which a plan leaves. A new one is a class and its place in {@link #ALL}. */
public interface PlanFormat {

    /** Every format, that for ad platforms first; pages, downloads and the batch command offer and write them. */
    List<PlanFormat> ALL = List.of(new PlanCsv(), new PlanOutline());

    /** The name of the file, by which it is asked for. */
    String file();

    /** What it is, to stand on a button. */
    String label();

    /** Its media type (RFC 2046), without the encoding, which is UTF-8. */
    String mediaType();

    /** Writes the plan and closes the writer. */
    void write(Plan plan, Writer to);

    /** The format of a file. */
    static Optional<PlanFormat> find(String file) {
        return ALL.stream().filter(format -> format.file().equals(file)).findFirst();
    }
}

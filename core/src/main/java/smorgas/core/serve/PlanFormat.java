package smorgas.core.serve;

import java.io.OutputStream;

/** A way in which a plan leaves. A new one is a class and its place in {@link PlanFormats#ALL}. */
public interface PlanFormat {

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

    /** For what a format is. */
    enum For {
        PLATFORMS("For ad platforms and programs"),
        /** One kind of what is in the plan only. */
        PARTS("CSV, a file each"),
        PEOPLE("For people"),
        PICTURES("Pictures");

        private final String label;

        For(String label) {
            this.label = label;
        }

        public String label() {
            return label;
        }
    }

    /** For what it is. */
    default For use() {
        return For.PLATFORMS;
    }

    /** Whether a batch run writes it without being asked. */
    default boolean usual() {
        return false;
    }
}

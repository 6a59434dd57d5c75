package smorgas.core.serve;

import java.io.OutputStream;
import smorgas.core.text.Message;

/** A way in which a plan leaves. A new one is a class and its place in {@link PlanFormats#ALL}. */
public interface PlanFormat {

    /** The name of the file, by which it is asked for. */
    String file();

    /** What it is, to stand on a button. */
    Message label();

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
        PLATFORMS("format-for.platforms"),
        /** One kind of what is in the plan only. */
        PARTS("format-for.parts"),
        PEOPLE("format-for.people"),
        PICTURES("format-for.pictures");

        private final Message label;

        For(String label) {
            this.label = Message.of(label);
        }

        public Message label() {
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

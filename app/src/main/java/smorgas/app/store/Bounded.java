package smorgas.app.store;

import java.time.DateTimeException;
import java.time.OffsetDateTime;
import org.jooq.TableField;
import smorgas.core.text.Message;
import smorgas.core.text.Refusal;

/** What comes in is held against what can be stored, shown and written again; what does not fit is refused by field and bound. */
final class Bounded {

    /** Years that tables, pages and files can show. */
    private static final int FIRST_YEAR = 1970;

    private static final int LAST_YEAR = 9999;

    private static final int SHOWN = 60;

    private Bounded() {}

    /**
     * A text that fits its column, in the units in which the database counts (of UTF-16, in which a face is two).
     *
     * @param what the key of what it is, as a sentence calls it
     */
    static String text(String text, TableField<?, String> column, String what) {
        int most = column.getDataType().length();
        if (text.length() > most) {
            throw new Refusal(
                    "store.bounded.too-long-characters-most", Message.of(what), text.length(), most, shown(text));
        }
        return text;
    }

    /** The beginning of a text, whole signs only. */
    static String shown(String text) {
        return text.codePointCount(0, text.length()) > SHOWN
                ? text.substring(0, text.offsetByCodePoints(0, SHOWN)) + "..."
                : text;
    }

    /** A time as files write it (ISO 8601). */
    static OffsetDateTime time(String written, Message what) {
        try {
            OffsetDateTime time = OffsetDateTime.parse(written);
            if (time.getYear() >= FIRST_YEAR && time.getYear() <= LAST_YEAR) {
                return time;
            }
        } catch (DateTimeException e) {
            throw new Refusal(Message.of("store.bounded.is-no-time", what, shown(written)), e);
        }
        throw new Refusal("store.bounded.between-years", what, FIRST_YEAR, LAST_YEAR, shown(written));
    }
}

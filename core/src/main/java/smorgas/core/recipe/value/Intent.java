package smorgas.core.recipe.value;

import java.util.Locale;
import smorgas.core.text.Message;

/** What somebody wants who searches for a keyword; the trade's five. */
public enum Intent {
    /** To know something. */
    INFORMATIONAL("informational"),
    /** To compare what could be bought. */
    COMMERCIAL("commercial"),
    /** To buy, hire or order now. */
    TRANSACTIONAL("transactional"),
    /** To get to one maker or shop. */
    NAVIGATIONAL("navigational"),
    /** To find something nearby. */
    LOCAL("local");

    private final String fixedName;

    Intent(String fixedName) {
        this.fixedName = fixedName;
    }

    /** The word for it in files that programs read. */
    public String fixedName() {
        return fixedName;
    }

    /** The word for it on pages. */
    public Message label() {
        return Message.of("intent." + name().toLowerCase(Locale.ROOT));
    }
}

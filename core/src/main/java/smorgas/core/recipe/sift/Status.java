package smorgas.core.recipe.sift;

import java.util.Locale;
import smorgas.core.text.Message;

/** Whether a keyword is what the client sells. */
public enum Status {
    KEPT("Kept"),
    UNDECIDED("Undecided"),
    DROPPED("Dropped");

    private final String fixedName;

    Status(String fixedName) {
        this.fixedName = fixedName;
    }

    /** The word for it in files that programs read. */
    public String fixedName() {
        return fixedName;
    }

    /** The word for it on pages. */
    public Message label() {
        return Message.of("status." + name().toLowerCase(Locale.ROOT));
    }

    /** What a rule that gives this status does. */
    Message order() {
        return Message.of("status." + name().toLowerCase(Locale.ROOT) + ".order");
    }

    /** The verb for what a rule or a hand does to give this status. */
    public Message act() {
        return Message.of("status." + name().toLowerCase(Locale.ROOT) + ".act");
    }
}

package smorgas.core.recipe.serve;

import java.util.Locale;
import smorgas.core.text.Message;

/** How close a search must come to a keyword for its ad to show; the trade's three. */
public enum MatchType {
    BROAD("Broad"),
    PHRASE("Phrase"),
    EXACT("Exact");

    private final String fixedName;

    MatchType(String fixedName) {
        this.fixedName = fixedName;
    }

    /** A keyword in the notation of ad platforms (common practice): bare, in quotes, in brackets. */
    public String written(String keyword) {
        return switch (this) {
            case BROAD -> keyword;
            case PHRASE -> '"' + keyword + '"';
            case EXACT -> '[' + keyword + ']';
        };
    }

    /** The word for it in files that programs read. */
    public String fixedName() {
        return fixedName;
    }

    /** The word for it on pages. */
    public Message label() {
        return Message.of("match-type." + name().toLowerCase(Locale.ROOT));
    }

    /** The word for it within a sentence. */
    public Message word() {
        return Message.of("match-type." + name().toLowerCase(Locale.ROOT) + ".word");
    }
}

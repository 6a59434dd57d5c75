package smorgas.app.web.gather;

import smorgas.app.web.show.Show;
import smorgas.core.board.Board;
import smorgas.core.board.KnownPhrases;
import smorgas.core.recipe.sift.Standing;

/** What the project knows of phrases, in the words of every tool's page. */
final class KnownHere {

    /** A phrase the project does not have. */
    static final String NEW = "new";

    private KnownHere() {}

    /** Such as "12 new, 4 known, 1 of them dropped". */
    static String told(KnownPhrases known) {
        return Show.count(known.fresh()) + " new, " + Show.count(known.known()) + " known"
                + (known.dropped() > 0 ? ", " + Show.count(known.dropped()) + " of them dropped" : "");
    }

    /** New, or how a phrase stands. */
    static String standing(Board board, String phrase) {
        return KnownPhrases.standing(board, phrase).map(Standing::label).orElse(NEW);
    }
}

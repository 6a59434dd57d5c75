package smorgas.app.web.gather;

import smorgas.core.board.Board;
import smorgas.core.board.KnownPhrases;
import smorgas.core.recipe.sift.Status;
import smorgas.core.text.Message;

/** What the project knows of phrases, in the words of every tool's page. */
final class KnownHere {

    /** A phrase the project does not have. */
    static final Message NEW = Message.of("gather.known-here.new");

    private KnownHere() {}

    /** Such as "12 new, 4 known, 1 of them dropped". */
    static Message told(KnownPhrases known) {
        return Message.of(
                "gather.known-here.new-known",
                known.fresh(),
                known.known(),
                (known.dropped() > 0 ? Message.of("gather.known-here.them-dropped", known.dropped()) : Message.NONE));
    }

    /** New, or how a phrase stands. */
    static Message status(Board board, String phrase) {
        return KnownPhrases.status(board, phrase).map(Status::label).orElse(NEW);
    }
}

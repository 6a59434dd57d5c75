package smorgas.core.board;

import java.util.Collection;
import java.util.Optional;
import smorgas.core.recipe.sift.Status;
import smorgas.core.text.Tidy;

/**
 * What a project knows of phrases that are not gathered yet.
 *
 * @param all how many phrases
 * @param known how many of them are keywords of the project
 * @param dropped how many of the known ones are dropped
 */
public record KnownPhrases(long all, long known, long dropped) {

    /** How a phrase stands in the project; empty if it is new. */
    public static Optional<Status> status(Board board, String phrase) {
        return board.keywords().find(Tidy.of(phrase)).map(board.statuses()::of);
    }

    /** Of all of these. */
    public static KnownPhrases of(Board board, Collection<String> phrases) {
        long known = 0;
        long dropped = 0;
        for (String phrase : phrases) {
            Optional<Status> status = status(board, phrase);
            known += status.isPresent() ? 1 : 0;
            dropped += status.equals(Optional.of(Status.DROPPED)) ? 1 : 0;
        }
        return new KnownPhrases(phrases.size(), known, dropped);
    }

    /** How many of them are new. */
    public long fresh() {
        return all - known;
    }
}

package smorgas.app.work;

import java.util.List;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.dao.DataAccessException;
import smorgas.app.store.Histories;
import smorgas.core.board.Board;
import smorgas.core.group.engine.MeaningVectors;
import smorgas.core.group.engine.MemoryLimit;
import smorgas.core.recipe.History;
import smorgas.core.recipe.Recipe;
import smorgas.core.recipe.Rules;
import smorgas.core.text.Message;

/**
 * Follows the history of a project to what it comes to.
 *
 * @param room that finding out how alike keywords are may take
 */
record Follower(
        long project, Rules rules, String language, LoadedBaskets loaded, MeaningVectors meaning, MemoryLimit room) {

    private static final Logger LOG = LoggerFactory.getLogger(Follower.class);

    static final Message STUCK = Message.of("work.follower.last-act-project-cannot");

    /** @param stuck whether the last acts cannot be followed, so that it is as it was before them */
    record Followed(Snapshot snapshot, boolean stuck) {}

    Recipe recipe(History history) {
        return Recipe.of(history.effective(), language, rules);
    }

    /**
     * The project as its history says. One that cannot be followed to its end is shown as it was before the first act that
     * cannot.
     *
     * @param leftOut how many of the last acts are not even tried
     * @param worked whether it is worked out how the keywords stand, as all pages need it
     */
    Followed follow(Histories.Stored stored, int leftOut, boolean worked) {
        History shown = stored.history();
        int undone = 0;
        for (; undone < leftOut && shown.undoable().isPresent(); undone++) {
            shown = shown.undo(0);
        }
        for (; ; undone++) {
            try {
                Recipe recipe = recipe(shown);
                List<GatheredBasket> inForce =
                        loaded.of(recipe, recipe.folding().decimals());
                Board board = Board.of(LoadedBaskets.lines(inForce), recipe, meaning, room);
                if (worked || undone > 0) {
                    board.statuses();
                }
                boolean stuck = undone > 0;
                return new Followed(
                        new Snapshot(stored.version(), stored.history(), board, inForce, stuck ? STUCK : Message.NONE),
                        stuck);
            } catch (DataAccessException e) {
                throw e;
            } catch (RuntimeException | StackOverflowError e) {
                LOG.error("project {} cannot be followed to its end: {}", project, e.toString());
                LOG.debug("project {}", project, e);
                if (shown.undoable().isEmpty()) {
                    throw e;
                }
                shown = shown.undo(0);
            }
        }
    }
}

package smorgas.app.work;

import java.util.List;
import smorgas.core.board.Board;
import smorgas.core.recipe.History;

/**
 * A project as it stood at one version; cannot change.
 *
 * @param version the project's version, which every act names as the one it saw
 * @param baskets those in force, in order, those switched off too
 * @param effect what the last act did, in a sentence with figures; empty after a restart
 */
public record Snapshot(long version, History history, Board board, List<GatheredBasket> baskets, String effect) {

    public Snapshot {
        baskets = List.copyOf(baskets);
    }
}

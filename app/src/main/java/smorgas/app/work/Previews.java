package smorgas.app.work;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.Objects;
import org.springframework.stereotype.Component;
import smorgas.core.board.Board;
import smorgas.core.recipe.GroupSettings;

/** Boards under other settings of Group, to be looked at before one of them is adopted; the last few are kept. */
@Component
public class Previews {

    private static final int KEPT = 12;

    private final Cache<Looked, Board> boards =
            Caffeine.newBuilder().maximumSize(KEPT).build();

    /** Boards are told apart as objects: each act makes a new one. */
    private record Looked(Board board, GroupSettings settings) {}

    /** The board under these settings: itself, if they are its own. */
    public Board of(Board board, GroupSettings settings) {
        if (settings.equals(board.recipe().grouping().settings())) {
            return board;
        }
        return Objects.requireNonNull(boards.get(
                new Looked(board, settings),
                key -> board.next(board.keywords().baskets(), board.recipe().withGroups(settings))));
    }
}

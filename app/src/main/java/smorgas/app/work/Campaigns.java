package smorgas.app.work;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import org.springframework.stereotype.Component;
import smorgas.core.board.Board;
import smorgas.core.board.OldStructure;

/** Campaigns that run, beside the groups of their projects; the last few are kept, for one walks through them page by page. */
@Component
public class Campaigns {

    private static final int KEPT = 4;

    private final Cache<Beside, Optional<OldStructure>> kept =
            Caffeine.newBuilder().maximumSize(KEPT).softValues().build();

    /** Boards are told apart as objects; what stands in the list of a number never changes. */
    private record Beside(Board board, List<Long> lists) {}

    /** The ad groups that these lists tell, beside the groups of a board; empty if they tell none. */
    public Optional<OldStructure> beside(Board board, List<GatheredBasket> lists) {
        return Objects.requireNonNull(kept.get(
                new Beside(board, lists.stream().map(GatheredBasket::id).toList()),
                key -> OldStructure.of(
                        board, lists.stream().map(GatheredBasket::lines).toList())));
    }
}

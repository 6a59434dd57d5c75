package smorgas.app.work;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import smorgas.core.board.Board;
import smorgas.core.recipe.BasketEntry;
import smorgas.core.recipe.History;
import smorgas.core.text.Message;

/**
 * A project as it stood at one version; cannot change.
 *
 * @param version the project's version, which every act names as the one it saw
 * @param baskets those in force, in order, those switched off too
 * @param effect what the last act did, in a sentence with figures; empty after a restart
 */
public record Snapshot(long version, History history, Board board, List<GatheredBasket> baskets, Message effect) {

    public Snapshot {
        baskets = List.copyOf(baskets);
    }

    /** The basket in force that is a version of another, or itself. */
    public Optional<GatheredBasket> version(long basket) {
        Map<Long, Long> firsts = firsts();
        long first = first(firsts, basket);
        return baskets.stream().filter(one -> first(firsts, one.id()) == first).findFirst();
    }

    /** The first version of a basket, which names all of them. */
    public long first(long basket) {
        return first(firsts(), basket);
    }

    private static long first(Map<Long, Long> firsts, long basket) {
        return firsts.getOrDefault(basket, basket);
    }

    /** By basket, its first version, where it has another; what was undone counts too, since it can be done again. */
    private Map<Long, Long> firsts() {
        Map<Long, Long> firsts = new HashMap<>();
        for (History.Step step : history.steps()) {
            if (step.entry() instanceof BasketEntry.BasketRenewed renewed) {
                firsts.put(renewed.by(), first(firsts, renewed.basket()));
            }
        }
        return firsts;
    }
}

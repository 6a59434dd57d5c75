package smorgas.app.work;

import smorgas.app.store.Baskets;
import smorgas.core.gather.Lines;
import smorgas.core.recipe.gather.BasketInfo;
import smorgas.core.recipe.gather.BasketState;

/**
 * A basket of a project: what the entries say of it, what is stored, and its lines, which are in the project only while it
 * is switched on.
 */
public record GatheredBasket(BasketState state, Baskets.Basket stored, Lines lines) {

    public long id() {
        return state.basket();
    }

    public String name() {
        return lines.name();
    }

    /** What a hand has written, else a guess. */
    public BasketInfo info() {
        return lines.info();
    }

    public boolean on() {
        return state.on();
    }
}

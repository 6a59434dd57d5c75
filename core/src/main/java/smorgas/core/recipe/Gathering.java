package smorgas.core.recipe;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import smorgas.core.recipe.gather.BasketState;

/**
 * What was decided of baskets.
 *
 * @param baskets the project's baskets, those switched off too, in the order they came
 */
public record Gathering(List<BasketState> baskets) {

    /** No basket. */
    static final Gathering EMPTY = new Gathering(List.of());

    public Gathering {
        baskets = List.copyOf(baskets);
    }

    /** The basket of a number, if it is there. */
    public Optional<BasketState> find(long basket) {
        return baskets.stream().filter(state -> state.basket() == basket).findFirst();
    }

    /** After an entry; one about a basket that is not there (any more) changes nothing. */
    Gathering after(BasketEntry entry) {
        Map<Long, BasketState> states = new LinkedHashMap<>();
        baskets.forEach(state -> states.put(state.basket(), state));
        long basket = entry.basket();
        switch (entry) {
            case BasketEntry.BasketAdded added ->
                states.put(
                        basket,
                        new BasketState(
                                basket,
                                added.name(),
                                added.kind(),
                                added.asked(),
                                Optional.empty(),
                                added.readAs(),
                                true,
                                added.asked().brings()));
            case BasketEntry.BasketRemoved removed -> states.remove(basket);
            case BasketEntry.BasketDescribed described ->
                states.computeIfPresent(basket, (key, state) -> state.described(described.info()));
            case BasketEntry.BasketSwitched switched ->
                states.computeIfPresent(basket, (key, state) -> state.switched(switched.on()));
            case BasketEntry.BasketBrings brings ->
                states.computeIfPresent(basket, (key, state) -> state.bringing(brings.keywords()));
            case BasketEntry.BasketReadAs read ->
                states.computeIfPresent(basket, (key, state) -> state.read(read.readAs()));
            case BasketEntry.BasketRenewed renewed -> {
                // The newer version takes the place of the older one in the order of the baskets.
                return new Gathering(baskets.stream()
                        .map(state -> state.basket() == basket ? state.renewed(renewed.by(), renewed.asked()) : state)
                        .toList());
            }
        }
        return new Gathering(List.copyOf(states.values()));
    }
}

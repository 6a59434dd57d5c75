package smorgas.app.work;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Function;
import java.util.stream.Collectors;
import smorgas.app.store.Baskets;
import smorgas.app.store.Baskets.Basket;
import smorgas.core.figure.Decimals;
import smorgas.core.gather.Lines;
import smorgas.core.recipe.Recipe;
import smorgas.core.recipe.gather.BasketState;
import smorgas.core.recipe.gather.ReadAs;

/** The baskets of a project with their lines, which are read from the store once for each way of reading them. */
final class LoadedBaskets {

    private final long project;
    private final Baskets baskets;
    private final Map<LinesKey, GatheredBasket> loaded = new HashMap<>();
    /** Lines just stored, by basket, which need not be read back. */
    private final Map<Long, Fresh> fresh = new ConcurrentHashMap<>();

    private record Fresh(ReadAs readAs, Decimals decimals, Lines lines) {}

    /** What lines depend on. */
    private record LinesKey(long basket, ReadAs readAs, Decimals decimals) {}

    LoadedBaskets(long project, Baskets baskets) {
        this.project = project;
        this.baskets = baskets;
    }

    /** Keeps the lines of a list that was just stored; its number. */
    long keep(Baskets.Stored stored, ReadAs readAs, Decimals decimals) {
        long basket = stored.basket().orElseThrow();
        fresh.put(basket, new Fresh(readAs, decimals, stored.lines().orElseThrow()));
        return basket;
    }

    /** The baskets in force, those switched off too, with their lines. */
    List<GatheredBasket> of(Recipe recipe, Decimals decimals) {
        synchronized (loaded) {
            return inForce(recipe, decimals);
        }
    }

    private List<GatheredBasket> inForce(Recipe recipe, Decimals decimals) {
        Map<Long, Basket> stored =
                baskets.of(project).stream().collect(Collectors.toMap(Basket::id, Function.identity()));
        List<GatheredBasket> inForce = new ArrayList<>();
        for (BasketState state : recipe.gathering().baskets()) {
            Basket basket = stored.get(state.basket());
            if (basket != null) {
                inForce.add(placed(state, basket, decimals));
            }
        }
        loaded.keySet()
                .retainAll(inForce.stream()
                        .map(basket -> new LinesKey(basket.id(), basket.state().readAs(), decimals))
                        .toList());
        return inForce;
    }

    /** The same at another point of the history; what is loaded stays as it is. */
    List<GatheredBasket> at(Recipe recipe, Decimals decimals) {
        LoadedBaskets apart = new LoadedBaskets(project, baskets);
        synchronized (loaded) {
            apart.loaded.putAll(loaded);
        }
        return apart.of(recipe, decimals);
    }

    private GatheredBasket placed(BasketState state, Basket stored, Decimals decimals) {
        GatheredBasket known = loaded.computeIfAbsent(new LinesKey(state.basket(), state.readAs(), decimals), key -> {
            Basket read = baskets.readAs(stored, state.readAs());
            Fresh kept = fresh.remove(key.basket());
            boolean same = kept != null && kept.readAs().equals(key.readAs()) && kept.decimals() == key.decimals();
            return new GatheredBasket(state, read, same ? kept.lines() : baskets.lines(read, decimals));
        });
        // The same object as before if nothing was written down since: the board takes its stages over by that.
        GatheredBasket placed =
                new GatheredBasket(state, known.stored(), known.lines().as(state));
        loaded.put(new LinesKey(state.basket(), state.readAs(), decimals), placed);
        return placed;
    }

    /** The lines of those that are switched on. */
    static List<Lines> lines(List<GatheredBasket> wanted) {
        return wanted.stream()
                .filter(GatheredBasket::on)
                .map(GatheredBasket::lines)
                .toList();
    }
}

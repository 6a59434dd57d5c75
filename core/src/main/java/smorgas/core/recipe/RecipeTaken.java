package smorgas.core.recipe;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import smorgas.core.text.Message;
import smorgas.core.text.Refusal;

/**
 * A recipe from elsewhere takes the place of all decisions made before: rules, settings and decisions. The project's baskets
 * stay.
 *
 * @param name what the recipe is called, such as its file
 * @param entries its decisions, in order; none about a basket, and no recipe
 */
public record RecipeTaken(String name, List<Entry> entries) implements Entry {

    public RecipeTaken {
        entries = List.copyOf(entries);
        if (entries.isEmpty()) {
            throw new Refusal("recipe.recipe-taken.recipe-holds-decision", name);
        }
        if (entries.stream()
                .anyMatch(entry -> entry instanceof BasketEntry
                        || entry instanceof RecipeTaken
                        || entry instanceof VersionEntry)) {
            throw new Refusal("recipe.recipe-taken.recipe-holds-baskets-points");
        }
    }

    /**
     * The entries that count: of those before the last recipe that was taken only the ones about baskets, then the
     * recipe's own.
     */
    static List<Entry> inForce(List<Entry> entries) {
        List<Entry> counting = new ArrayList<>();
        for (Entry entry : entries) {
            if (entry instanceof RecipeTaken taken) {
                counting.removeIf(before -> !(before instanceof BasketEntry));
                counting.addAll(taken.entries());
            } else {
                counting.add(entry);
            }
        }
        return counting;
    }

    @Override
    public Set<String> touches() {
        Set<String> touched = new HashSet<>();
        entries.forEach(entry -> touched.addAll(entry.touches()));
        return touched;
    }

    /** It takes the place of whatever was decided. */
    @Override
    public boolean surprises(Set<String> between) {
        return !between.isEmpty();
    }

    @Override
    public Doer doneBy() {
        return Doer.of(Doer.Kind.RECIPE);
    }

    @Override
    public Message sentence() {
        return Message.of("recipe.recipe-taken.took-recipe-place-all", name);
    }
}

package smorgas.core.recipe;

import java.util.Collections;
import java.util.SortedSet;
import java.util.TreeSet;

/**
 * What was decided of the plan.
 *
 * @param plan how it is made
 * @param negatives words that leave as negatives though they block what the plan serves
 */
public record Serving(PlanSettings plan, SortedSet<String> negatives) {

    public Serving {
        negatives = Collections.unmodifiableSortedSet(new TreeSet<>(negatives));
    }

    /** Nothing decided. */
    static Serving standard() {
        return new Serving(PlanSettings.standard(), new TreeSet<>());
    }

    /** After an entry. */
    Serving after(ServeEntry entry) {
        return switch (entry) {
            case ServeEntry.PlanSettingsChosen chosen -> new Serving(chosen.settings(), negatives);
            case ServeEntry.NegativeSettled settled -> {
                SortedSet<String> next = new TreeSet<>(negatives);
                if (settled.leaves()) {
                    next.add(settled.word());
                } else {
                    next.remove(settled.word());
                }
                yield new Serving(plan, next);
            }
        };
    }
}

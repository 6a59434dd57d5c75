package smorgas.core.recipe;

import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.SequencedMap;
import java.util.SortedSet;
import java.util.TreeSet;

/**
 * What was decided of the plan.
 *
 * @param plan how it is made
 * @param negatives words that leave as negatives though they block what the plan serves
 * @param said what a hand said of negatives, in the order in which it was said
 * @param apart whether the negatives that keep groups apart leave, all as they are found
 */
public record Serving(
        PlanSettings plan, SortedSet<String> negatives, SequencedMap<Place, ServeEntry.Say> said, boolean apart) {

    /**
     * A negative where it is one.
     *
     * @param group the key of a group; empty for the campaign
     */
    public record Place(String text, String group) {}

    public Serving {
        negatives = Collections.unmodifiableSortedSet(new TreeSet<>(negatives));
        said = Collections.unmodifiableSequencedMap(new LinkedHashMap<>(said));
    }

    /** Nothing decided. */
    static Serving standard() {
        return new Serving(PlanSettings.standard(), new TreeSet<>(), new LinkedHashMap<>(), false);
    }

    /** After an entry. */
    Serving after(ServeEntry entry) {
        return switch (entry) {
            case ServeEntry.PlanSettingsChosen chosen -> new Serving(chosen.settings(), negatives, said, apart);
            case ServeEntry.NegativeSettled settled -> {
                SortedSet<String> next = new TreeSet<>(negatives);
                if (settled.leaves()) {
                    next.add(settled.word());
                } else {
                    next.remove(settled.word());
                }
                yield new Serving(plan, next, said, apart);
            }
            case ServeEntry.NegativesSaid says -> {
                SequencedMap<Place, ServeEntry.Say> next = new LinkedHashMap<>(said);
                for (ServeEntry.Said one : says.negatives()) {
                    if (one.say() == ServeEntry.Say.NOTHING) {
                        next.remove(new Place(one.text(), one.group()));
                    } else {
                        next.putLast(new Place(one.text(), one.group()), one.say());
                    }
                }
                yield new Serving(plan, negatives, next, apart);
            }
            case ServeEntry.GroupsKeptApart kept -> new Serving(plan, negatives, said, kept.on());
        };
    }
}

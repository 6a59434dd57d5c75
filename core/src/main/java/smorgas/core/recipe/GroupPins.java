package smorgas.core.recipe;

import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.SequencedMap;
import java.util.SortedMap;
import java.util.SortedSet;
import java.util.TreeMap;
import java.util.TreeSet;

/**
 * What a hand decided of groups. Groups are known by their theme or, where they have none, by their name; both are tidy.
 *
 * @param placed by tidy text, the group that the keyword is in whatever the dials say; {@value #NO_GROUP} for none. The
 *     latest decision comes last
 * @param removed themes on which no group forms
 * @param names by theme, the name that a hand gave the group
 */
public record GroupPins(
        SequencedMap<String, String> placed, SortedSet<String> removed, SortedMap<String, String> names) {

    /** The place of a keyword that was taken out of all groups. */
    public static final String NO_GROUP = "";

    /** Nothing decided. */
    public static final GroupPins NONE = new GroupPins(new LinkedHashMap<>(), new TreeSet<>(), new TreeMap<>());

    public GroupPins {
        placed = Collections.unmodifiableSequencedMap(new LinkedHashMap<>(placed));
        removed = Collections.unmodifiableSortedSet(new TreeSet<>(removed));
        names = Collections.unmodifiableSortedMap(new TreeMap<>(names));
    }

    GroupPins after(Entry.OfGroupPins pin) {
        SequencedMap<String, String> texts = new LinkedHashMap<>(placed);
        SortedSet<String> themes = new TreeSet<>(removed);
        SortedMap<String, String> given = new TreeMap<>(names);
        switch (pin) {
            case Entry.KeywordsPlaced e -> {
                e.texts().forEach(text -> texts.putLast(text, e.group()));
                e.also().forEach(text -> texts.putLast(text, e.group()));
            }
            case Entry.ThemeRemoved e -> {
                if (e.gone()) {
                    themes.add(e.theme());
                } else {
                    themes.remove(e.theme());
                }
            }
            case Entry.GroupNamed e -> {
                if (e.name().isEmpty()) {
                    given.remove(e.theme());
                } else {
                    given.put(e.theme(), e.name());
                }
            }
        }
        return new GroupPins(texts, themes, given);
    }

    /** Whether groups come out the same; of two pins in one keyword the later wins, so their order counts. */
    boolean sameAs(GroupPins other) {
        return equals(other) && List.copyOf(placed.entrySet()).equals(List.copyOf(other.placed.entrySet()));
    }
}

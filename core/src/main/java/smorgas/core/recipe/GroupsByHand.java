package smorgas.core.recipe;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.SequencedMap;
import java.util.SortedMap;
import java.util.SortedSet;
import java.util.TreeMap;
import java.util.TreeSet;
import smorgas.core.recipe.group.SplitBy;
import smorgas.core.text.Message;
import smorgas.core.text.Tidy;

/**
 * What a hand decided of groups. Groups are known by their theme or, where they have none, by their name; both are tidy.
 *
 * @param placed by tidy text, the group that the keyword is in whatever the dials say; {@value #NO_GROUP} for none. The
 *     latest decision comes last
 * @param removed themes on which no group forms
 * @param names by theme, the name that a hand gave the group
 * @param made themes on which groups form before the engine chooses, in the order in which they were made
 * @param joined by group, the one into which its keywords go
 * @param split by group, how the engine divides it
 * @param locked by group, the tidy texts that are in it whatever the dials say, and no others
 * @param barred by tidy text, the groups in which the keyword never is
 * @param alsoIn by tidy text, the groups in which the keyword is beside its own
 * @param adopted by tidy text, the group that it was in when the groups were adopted, or {@value #NO_GROUP}; empty while
 *     they form by themselves
 */
public record GroupsByHand(
        SequencedMap<String, String> placed,
        SortedSet<String> removed,
        SortedMap<String, String> names,
        List<String> made,
        SortedMap<String, String> joined,
        SortedMap<String, SplitBy> split,
        SortedMap<String, SortedSet<String>> locked,
        SortedMap<String, SortedSet<String>> barred,
        SortedMap<String, SortedSet<String>> alsoIn,
        SequencedMap<String, String> adopted) {

    /** The place of a keyword that was taken out of all groups. */
    public static final String NO_GROUP = "";

    /** Nothing decided. */
    public static final GroupsByHand NONE = new GroupsByHand(
            new LinkedHashMap<>(),
            new TreeSet<>(),
            new TreeMap<>(),
            List.of(),
            new TreeMap<>(),
            new TreeMap<>(),
            new TreeMap<>(),
            new TreeMap<>(),
            new TreeMap<>(),
            new LinkedHashMap<>());

    public GroupsByHand {
        adopted = Collections.unmodifiableSequencedMap(new LinkedHashMap<>(adopted));
        placed = Collections.unmodifiableSequencedMap(new LinkedHashMap<>(placed));
        removed = Collections.unmodifiableSortedSet(new TreeSet<>(removed));
        names = Collections.unmodifiableSortedMap(new TreeMap<>(names));
        made = List.copyOf(made);
        joined = Collections.unmodifiableSortedMap(new TreeMap<>(joined));
        split = Collections.unmodifiableSortedMap(new TreeMap<>(split));
        locked = sets(locked);
        barred = sets(barred);
        alsoIn = sets(alsoIn);
    }

    private static SortedMap<String, SortedSet<String>> sets(Map<String, SortedSet<String>> sets) {
        SortedMap<String, SortedSet<String>> copy = new TreeMap<>();
        sets.forEach((key, set) -> copy.put(key, Collections.unmodifiableSortedSet(new TreeSet<>(set))));
        return Collections.unmodifiableSortedMap(copy);
    }

    /** Decisions being changed. */
    private static final class Draft {
        private final SequencedMap<String, String> placed;
        private final SortedSet<String> removed;
        private final SortedMap<String, String> names;
        private final List<String> made;
        private final SortedMap<String, String> joined;
        private final SortedMap<String, SplitBy> split;
        private final SortedMap<String, SortedSet<String>> locked;
        private final SortedMap<String, SortedSet<String>> barred;
        private final SortedMap<String, SortedSet<String>> alsoIn;
        private SequencedMap<String, String> adopted;

        Draft(GroupsByHand decisions) {
            placed = new LinkedHashMap<>(decisions.placed);
            removed = new TreeSet<>(decisions.removed);
            names = new TreeMap<>(decisions.names);
            made = new ArrayList<>(decisions.made);
            joined = new TreeMap<>(decisions.joined);
            split = new TreeMap<>(decisions.split);
            locked = new TreeMap<>(decisions.locked);
            barred = new TreeMap<>(decisions.barred);
            alsoIn = new TreeMap<>(decisions.alsoIn);
            adopted = decisions.adopted;
        }

        GroupsByHand decisions() {
            return new GroupsByHand(placed, removed, names, made, joined, split, locked, barred, alsoIn, adopted);
        }

        void place(Collection<String> texts, String group) {
            texts.forEach(text -> {
                placed.putLast(text, group);
                // Of two decisions that contradict each other the later one holds.
                add(barred, text, group, false);
            });
        }

        void remove(String theme, boolean gone) {
            if (gone) {
                removed.add(theme);
                made.remove(theme);
            } else {
                removed.remove(theme);
            }
        }

        void make(List<String> themes, boolean on) {
            made.removeAll(themes);
            if (on) {
                made.addAll(themes);
                removed.removeAll(themes);
            }
        }

        void hold(Collection<String> texts, String group, GroupDecision.Held held) {
            switch (held) {
                case BARRED, ALLOWED -> bar(texts, group, held == GroupDecision.Held.BARRED);
                case ALSO, NOT_ALSO -> also(texts, group, held == GroupDecision.Held.ALSO);
                case ALONE -> {
                    place(texts, group);
                    texts.forEach(alsoIn::remove);
                }
            }
        }

        private void bar(Collection<String> texts, String group, boolean on) {
            texts.forEach(text -> {
                add(barred, text, group, on);
                if (on) {
                    placed.remove(text, group);
                    add(alsoIn, text, group, false);
                    add(locked, group, text, false);
                }
            });
        }

        private void also(Collection<String> texts, String group, boolean on) {
            texts.forEach(text -> {
                add(alsoIn, text, group, on);
                if (on) {
                    add(barred, text, group, false);
                }
            });
        }

        void join(List<String> groups, String into) {
            groups.forEach(joined::remove);
            if (!into.isEmpty()) {
                // A group into which others go goes nowhere itself: so there is never a ring.
                joined.remove(into);
                joined.replaceAll((from, to) -> groups.contains(to) ? into : to);
                groups.forEach(group -> joined.put(group, into));
            }
        }

        /** Of a text in two groups the first counts. */
        void adopt(GroupDecision.GroupsAsTheyAre groups) {
            adopted = new LinkedHashMap<>();
            for (GroupDecision.GroupsAsTheyAre.Adopted group : groups.groups()) {
                String key = Tidy.of(group.name());
                if (!key.equals(group.name())) {
                    names.putIfAbsent(key, group.name());
                }
                group.texts().forEach(text -> adopted.putIfAbsent(text, key));
            }
            if (!adopted.isEmpty()) {
                groups.left().forEach(text -> adopted.putIfAbsent(text, NO_GROUP));
            }
        }

        private static void add(SortedMap<String, SortedSet<String>> sets, String key, String value, boolean on) {
            SortedSet<String> set = new TreeSet<>(sets.getOrDefault(key, new TreeSet<>()));
            if (on) {
                set.add(value);
            } else {
                set.remove(value);
            }
            if (set.isEmpty()) {
                sets.remove(key);
            } else {
                sets.put(key, set);
            }
        }
    }

    /** After some decisions, in order. */
    GroupsByHand after(List<GroupDecision> decisions) {
        Draft draft = new Draft(this);
        decisions.forEach(decision -> apply(draft, decision));
        return draft.decisions();
    }

    private static void apply(Draft draft, GroupDecision decision) {
        switch (decision) {
            case GroupDecision.KeywordsPlaced e -> {
                draft.place(e.texts(), e.group());
                draft.place(e.also(), e.group());
            }
            case GroupDecision.Membership e -> {
                draft.hold(e.texts(), e.group(), e.held());
                draft.hold(e.also(), e.group(), e.held());
            }
            case GroupDecision.ThemeRemoved e -> draft.remove(e.theme(), e.gone());
            case GroupDecision.ThemesMade e -> draft.make(e.themes(), e.on());
            case GroupDecision.GroupNamed e ->
                set(draft.names, e.theme(), e.name(), e.name().isEmpty());
            case GroupDecision.GroupsJoined e -> draft.join(e.groups(), e.into());
            case GroupDecision.GroupSplit e -> set(draft.split, e.group(), e.by(), e.by().equals(SplitBy.NOT));
            case GroupDecision.GroupLocked e -> set(draft.locked, e.group(), new TreeSet<>(e.texts()), !e.on());
            case GroupDecision.GroupsAsTheyAre e -> draft.adopt(e);
        }
    }

    private static <V> void set(Map<String, V> of, String group, V value, boolean none) {
        if (none) {
            of.remove(group);
        } else {
            of.put(group, value);
        }
    }

    /** Whether groups come out the same; of two decisions in one keyword the later wins, so their order counts. */
    boolean sameAs(GroupsByHand other) {
        return equals(other) && List.copyOf(placed.entrySet()).equals(List.copyOf(other.placed.entrySet()));
    }

    /** Some keywords, in words. */
    static Message named(List<String> texts) {
        return Entry.oneOrCount(texts, "count.keywords");
    }
}

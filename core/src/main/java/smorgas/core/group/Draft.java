package smorgas.core.group;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import smorgas.core.column.RaggedInts;
import smorgas.core.group.engine.Nearness;
import smorgas.core.group.engine.ThemeWords;

/** Groups while they are made. */
final class Draft implements Nearness.Membership {

    private final ThemeWords words;
    private final int[] groupOf;
    private final Grouping.By[] by;
    private final List<Grouping.MadeGroup> made = new ArrayList<>();
    private final Map<String, Integer> numbers = new HashMap<>();

    /** No keyword is asked for yet. */
    Draft(ThemeWords words) {
        this.words = words;
        this.groupOf = new int[words.rows().size()];
        this.by = new Grouping.By[groupOf.length];
        Arrays.fill(groupOf, Grouping.OUTSIDE);
    }

    ThemeWords words() {
        return words;
    }

    int[] groupOf() {
        return groupOf;
    }

    Grouping.By[] by() {
        return by;
    }

    List<Grouping.MadeGroup> made() {
        return made;
    }

    void put(int keyword, int group, Grouping.By how) {
        groupOf[keyword] = group;
        by[keyword] = how;
    }

    /** The group of this key; null if there is none. */
    @Nullable
    Integer find(String key) {
        return numbers.get(key);
    }

    /** The group of this key, made now if there is none. */
    int number(String key, Grouping.Kind kind, int[] theme) {
        return numbers.computeIfAbsent(key, fresh -> {
            made.add(new Grouping.MadeGroup(key, kind, theme));
            return made.size() - 1;
        });
    }

    /** A group of this name whose theme are the words of the name, if keywords have them. */
    int named(String key) {
        int[] theme = words.find(key).orElseGet(() -> new int[0]);
        boolean themed = Arrays.stream(theme).anyMatch(word -> !words.ignored(word));
        return themed ? number(key, Grouping.Kind.THEME, theme) : number(key, Grouping.Kind.HAND, new int[0]);
    }

    @Override
    public int groups() {
        return made.size();
    }

    @Override
    public int groupOf(int keyword) {
        return groupOf[keyword];
    }

    @Override
    public RaggedInts members() {
        return RaggedInts.byKey(groupOf, made.size());
    }
}

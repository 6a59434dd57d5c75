package smorgas.core.group.engine;

import java.util.Arrays;
import java.util.Collection;
import java.util.HashSet;
import java.util.Set;

/** Themes on which no group may form: in whatever order their words stand. */
public final class RemovedThemes {

    /** None. */
    static final RemovedThemes NONE = new RemovedThemes(Set.of());

    private final Set<String> sorted;

    private RemovedThemes(Set<String> sorted) {
        this.sorted = sorted;
    }

    public RemovedThemes(Collection<String> themes, ThemeWords words) {
        this(new HashSet<>());
        themes.forEach(theme -> words.find(theme).ifPresent(found -> sorted.add(key(found))));
    }

    public boolean isEmpty() {
        return sorted.isEmpty();
    }

    public boolean has(int[] theme) {
        return sorted.contains(key(theme));
    }

    private static String key(int[] theme) {
        int[] copy = theme.clone();
        Arrays.sort(copy);
        return Arrays.toString(copy);
    }
}

package smorgas.core.group;

import java.util.function.IntConsumer;
import smorgas.core.group.engine.Nearness;

/** Near is a keyword to a theme of which it has every word, the nearer the more of its weight these words are. */
final class ThemeNearness implements Nearness {

    private final Grouping grouping;
    private final ThemeIndex index;

    ThemeNearness(Grouping grouping) {
        this.grouping = grouping;
        this.index = new ThemeIndex(grouping);
    }

    @Override
    public double of(int keyword, int group) {
        return grouping.coverage(keyword, grouping.themeWords(group));
    }

    @Override
    public void forEach(int keyword, IntConsumer group) {
        index.forEach(keyword, group);
    }

    @Override
    public boolean measures(int group) {
        return grouping.themeWords(group).length > 0;
    }
}

package smorgas.core.group;

import it.unimi.dsi.fastutil.ints.IntArrayList;
import it.unimi.dsi.fastutil.longs.Long2IntOpenHashMap;
import java.util.Arrays;
import java.util.function.IntConsumer;

/** Finds the groups of whose themes a keyword has every word, in whatever order. Cannot change. */
final class ThemeIndex {

    private static final int NONE = -1;

    private final Grouping grouping;
    /** A place in a tree of words, and the next word: the place that leads to. */
    private final Long2IntOpenHashMap steps = new Long2IntOpenHashMap();
    /** The group whose theme ends at each place, or -1. */
    private final IntArrayList ends = new IntArrayList();

    ThemeIndex(Grouping grouping) {
        this.grouping = grouping;
        steps.defaultReturnValue(NONE);
        ends.add(NONE);
        for (int group = 0; group < grouping.size(); group++) {
            int[] theme = Grouping.set(grouping.themeWords(group));
            if (theme.length > 0) {
                int place = 0;
                for (int word : theme) {
                    long step = (long) place << 32 | word;
                    int next = steps.get(step);
                    if (next == NONE) {
                        next = ends.size();
                        steps.put(step, next);
                        ends.add(NONE);
                    }
                    place = next;
                }
                ends.set(place, group);
            }
        }
    }

    /** Each group whose theme's words the keyword has. */
    void forEach(int keyword, IntConsumer action) {
        int[] words = grouping.words().rows().row(keyword);
        int size = Math.min(grouping.rules().mostLookedUp(), words.length);
        Arrays.sort(words, 0, size);
        walk(words, size, 0, 0, action);
    }

    private void walk(int[] words, int size, int from, int place, IntConsumer action) {
        for (int i = from; i < size; i++) {
            if (i > from && words[i] == words[i - 1]) {
                continue;
            }
            int next = steps.get((long) place << 32 | words[i]);
            if (next != NONE) {
                if (ends.getInt(next) != NONE) {
                    action.accept(ends.getInt(next));
                }
                walk(words, size, i + 1, next, action);
            }
        }
    }
}

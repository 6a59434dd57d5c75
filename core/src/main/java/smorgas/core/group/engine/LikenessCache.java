package smorgas.core.group.engine;

import java.lang.ref.SoftReference;
import java.util.ArrayDeque;
import java.util.Arrays;
import java.util.Deque;
import java.util.SortedSet;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;
import smorgas.core.recipe.LikenessRules;
import smorgas.core.recipe.SameHere;

/**
 * Remembers how alike the same keywords were found to be, so that a dial is turned without finding it out again. Safe for many
 * threads; forgets when memory is short.
 */
public final class LikenessCache {

    private static final int KEPT = 2;

    /** What likeness depends on, beside the keywords. */
    private record Asked(
            int[] keywords,
            SortedSet<String> stopWords,
            SortedSet<String> muted,
            SameHere same,
            boolean meaning,
            LikenessRules rules) {
        boolean same(Asked other) {
            return meaning == other.meaning
                    && rules.equals(other.rules)
                    && stopWords.equals(other.stopWords)
                    && muted.equals(other.muted)
                    && same.equals(other.same)
                    && Arrays.equals(keywords, other.keywords);
        }
    }

    private record Kept(Asked asked, SoftReference<LikenessEngine.JoinTrees> grove) {}

    private final Deque<Kept> kept = new ArrayDeque<>();
    private final MemoryLimit room;

    /** @param room that finding it out may take */
    public LikenessCache(MemoryLimit room) {
        this.room = room;
    }

    /** How much may be taken to find out. */
    public MemoryLimit room() {
        return room;
    }

    /** What is known for these keywords, else found now. */
    LikenessEngine.JoinTrees get(
            int[] keywords,
            SortedSet<String> stopWords,
            SortedSet<String> muted,
            SameHere same,
            boolean meaning,
            LikenessRules rules,
            Supplier<LikenessEngine.JoinTrees> find) {
        Asked asked = new Asked(keywords, stopWords, muted, same, meaning, rules);
        LikenessEngine.JoinTrees known = find(asked);
        if (known != null) {
            return known;
        }
        LikenessEngine.JoinTrees found = find.get();
        synchronized (kept) {
            kept.addFirst(new Kept(asked, new SoftReference<>(found)));
            while (kept.size() > KEPT) {
                kept.removeLast();
            }
        }
        return found;
    }

    private LikenessEngine.@Nullable JoinTrees find(Asked asked) {
        synchronized (kept) {
            for (Kept one : kept) {
                if (one.asked().same(asked)) {
                    return one.grove().get();
                }
            }
        }
        return null;
    }
}

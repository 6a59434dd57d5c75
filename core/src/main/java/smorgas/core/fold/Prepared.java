package smorgas.core.fold;

import java.util.Arrays;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Set;
import java.util.SortedMap;
import java.util.SortedSet;
import org.jspecify.annotations.Nullable;
import smorgas.core.recipe.Folding;
import smorgas.core.recipe.fold.FoldKind;

/**
 * Spellings cleaned and cut into tokens, which other kinds of folding and other merges can begin with again. The keys of
 * the kinds asked for last are kept: a switch that is flipped leaves most of the stair as it was. Safe for many threads.
 */
public final class Prepared {

    /** As many as a stair has treads, before and after a switch is flipped. */
    private static final int KEPT = 2 * FoldKind.values().length;

    private final Tokens tokens;
    private final Map<Asked, WordFolds.Keys> kept = new LinkedHashMap<>(32, .75f, true);

    /** Everything that keys depend on beside the tokens. */
    private record Asked(
            String language, Set<FoldKind> on, SortedSet<String> littleWords, SortedMap<String, String> misspellings) {}

    private Prepared(Tokens tokens) {
        this.tokens = tokens;
    }

    /** Makes the cleanings. */
    public static Prepared of(Spellings spellings, Folding folding) {
        return new Prepared(new Tokens(spellings, Cleaner.of(folding.cleanings())));
    }

    Tokens tokens() {
        return tokens;
    }

    /** The keys under these kinds of folding. */
    WordFolds.Keys keys(Folding folding, Set<FoldKind> on) {
        EnumSet<FoldKind> kinds = EnumSet.noneOf(FoldKind.class);
        kinds.addAll(on);
        Asked asked = new Asked(folding.language(), kinds, folding.littleWords(), folding.misspellings());
        WordFolds.Keys known = find(asked);
        if (known != null) {
            return known;
        }
        // Not while holding the lock: several are worked out side by side.
        WordFolds.Keys keys = brought(WordFolds.keys(tokens, folding, kinds));
        keep(asked, keys);
        return keys;
    }

    /** What no line brings is set aside: it only tells about keywords. */
    private WordFolds.Keys brought(WordFolds.Keys keys) {
        int[] of = tokens.spellings().onlyBrought(keys.of());
        return of == keys.of()
                ? keys
                : new WordFolds.Keys(of, Arrays.stream(of).max().orElse(-1) + 1);
    }

    private synchronized WordFolds.@Nullable Keys find(Asked asked) {
        return kept.get(asked);
    }

    private synchronized void keep(Asked asked, WordFolds.Keys keys) {
        kept.put(asked, keys);
        if (kept.size() > KEPT) {
            kept.remove(kept.keySet().iterator().next());
        }
    }
}

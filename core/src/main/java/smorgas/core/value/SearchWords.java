package smorgas.core.value;

import it.unimi.dsi.fastutil.ints.IntArrayList;
import java.util.BitSet;
import java.util.List;
import java.util.function.IntFunction;
import java.util.stream.IntStream;
import smorgas.core.column.RaggedInts;
import smorgas.core.column.TextDictionary;
import smorgas.core.recipe.serve.MatchType;
import smorgas.core.text.Tidy;

/**
 * Searches as ad platforms read them, word by word as they are written, what stands between spaces; and which of them a
 * negative blocks. Negatives know no close variants: {@code hive} blocks nothing with {@code hives} (common practice, from
 * memory). Cannot change.
 */
public final class SearchWords {

    private final TextDictionary words = new TextDictionary();
    private final RaggedInts rows;
    private final RaggedInts searchesOf;

    private SearchWords(int size, IntFunction<String> text) {
        RaggedInts.Builder builder = new RaggedInts.Builder();
        for (int search = 0; search < size; search++) {
            for (String word : text.apply(search).split(" ")) {
                if (!word.isEmpty()) {
                    builder.add(words.intern(word));
                }
            }
            builder.endRow();
        }
        this.rows = builder.seal();
        this.searchesOf = rows.inverse(words.size());
    }

    /**
     * Of some searches.
     *
     * @param text of each, tidy
     */
    public static SearchWords of(int size, IntFunction<String> text) {
        return new SearchWords(size, text);
    }

    /** The words of each search, in their order. */
    RaggedInts rows() {
        return rows;
    }

    /** The words of a search, in their order. */
    public List<String> words(int search) {
        return IntStream.of(rows.row(search)).mapToObj(words::text).toList();
    }

    String text(int word) {
        return words.text(word);
    }

    int count() {
        return words.size();
    }

    /**
     * The searches that a negative blocks: broad those with all its words in any order, phrase those with its words next to
     * each other in its order, exact those that are its words and no others, in its order.
     *
     * @param negative in any case; one without a word blocks nothing
     */
    public BitSet blocked(String negative, MatchType type) {
        IntArrayList found = new IntArrayList();
        for (String word : Tidy.of(negative).split(" ")) {
            int known = words.find(word);
            if (known < 0) {
                return new BitSet();
            }
            found.add(known);
        }
        int[] wanted = found.toIntArray();
        int rarest = wanted[0];
        for (int word : wanted) {
            rarest = searchesOf.length(word) < searchesOf.length(rarest) ? word : rarest;
        }
        BitSet blocked = new BitSet(rows.size());
        searchesOf.forEach(rarest, search -> {
            if (blocks(search, wanted, type)) {
                blocked.set(search);
            }
        });
        return blocked;
    }

    private boolean blocks(int search, int[] negative, MatchType type) {
        return switch (type) {
            case BROAD -> {
                boolean all = true;
                for (int word : negative) {
                    all &= has(search, word);
                }
                yield all;
            }
            case PHRASE -> {
                boolean any = false;
                for (int at = 0; at + negative.length <= rows.length(search) && !any; at++) {
                    any = at(search, at, negative);
                }
                yield any;
            }
            case EXACT -> rows.length(search) == negative.length && at(search, 0, negative);
        };
    }

    private boolean at(int search, int start, int[] negative) {
        for (int i = 0; i < negative.length; i++) {
            if (rows.get(search, start + i) != negative[i]) {
                return false;
            }
        }
        return true;
    }

    private boolean has(int search, int word) {
        for (int i = 0; i < rows.length(search); i++) {
            if (rows.get(search, i) == word) {
                return true;
            }
        }
        return false;
    }
}

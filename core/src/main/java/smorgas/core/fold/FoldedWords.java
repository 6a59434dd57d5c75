package smorgas.core.fold;

import it.unimi.dsi.fastutil.ints.IntArrayList;
import java.util.BitSet;
import java.util.List;
import java.util.Optional;
import java.util.function.BiPredicate;
import java.util.stream.IntStream;
import smorgas.core.column.RaggedInts;
import smorgas.core.column.TextDictionary;
import smorgas.core.column.TextOrder;
import smorgas.core.text.Tidy;
import smorgas.core.text.Words;

/**
 * The words of keywords as the project folds them: where singular and plural are folded, "hive" and "hives" are one word,
 * and where joined words are, "beehive" is the two words "bee hive". Words are numbered from 0 in the order of their texts, so
 * that an order by number depends on no order of the keywords; a number means nothing outside this object. Cannot change.
 */
public final class FoldedWords {

    private final TextDictionary vocabulary;
    /** Adds the forms of a word that no lead spelling has; false if no keyword has one of them. */
    private final BiPredicate<String, IntArrayList> elsewhere;
    /** The number here of each form. */
    private final int[] numbers;
    /** The folded words of each surface word. */
    private final RaggedInts ofSurface;

    private final RaggedInts rows;
    private final RaggedInts keywordsOf;
    private final String[] texts;

    private FoldedWords(
            TextDictionary vocabulary,
            RaggedInts words,
            RaggedInts formsOfSurface,
            TextDictionary forms,
            String[] written,
            BiPredicate<String, IntArrayList> elsewhere) {
        this.vocabulary = vocabulary;
        this.elsewhere = elsewhere;
        String[] shown = shownAs(words.inverse(vocabulary.size()), formsOfSurface, written);
        TextOrder order = TextOrder.of(shown, (a, b) -> forms.text(a).compareTo(forms.text(b)));
        this.texts = order.texts();
        this.numbers = order.numbers();
        this.ofSurface = formsOfSurface.renumbered(numbers);
        this.rows = RaggedInts.made(
                words.size(), (keyword, row) -> words.forEach(keyword, word -> ofSurface.forEach(word, row::add)));
        this.keywordsOf = rows.inverse(texts.length);
    }

    static FoldedWords of(WordFolds folds, TextDictionary vocabulary, RaggedInts words) {
        RaggedInts.Builder surface = new RaggedInts.Builder();
        for (int word = 0; word < vocabulary.size(); word++) {
            folds.internFolded(vocabulary.text(word), surface);
            surface.endRow();
        }
        return new FoldedWords(vocabulary, words, surface.seal(), folds.forms(), folds.written(), (word, found) -> {
            // Stemmers keep a place in their word.
            synchronized (folds) {
                return folds.findFolded(word, found);
            }
        });
    }

    /** The words of some texts as they stand, each text a keyword of its own and nothing folded. */
    public static FoldedWords plain(List<String> texts) {
        TextDictionary vocabulary = new TextDictionary();
        RaggedInts.Builder words = new RaggedInts.Builder();
        for (String text : texts) {
            Words.of(text).forEach(word -> words.add(vocabulary.intern(word)));
            words.endRow();
        }
        RaggedInts.Builder surface = new RaggedInts.Builder();
        for (int word = 0; word < vocabulary.size(); word++) {
            surface.add(word);
            surface.endRow();
        }
        String[] written =
                IntStream.range(0, vocabulary.size()).mapToObj(vocabulary::text).toArray(String[]::new);
        return new FoldedWords(vocabulary, words.seal(), surface.seal(), vocabulary, written, (word, found) -> false);
    }

    /** Each word is shown as the one most keywords have of those that fold into it; of equal ones the shortest. */
    private String[] shownAs(RaggedInts keywordsOfSurface, RaggedInts formsOfSurface, String[] written) {
        int size = written.length;
        String[] shown = new String[size];
        int[] best = new int[size];
        for (int word = 0; word < vocabulary.size(); word++) {
            if (formsOfSurface.length(word) != 1) {
                continue;
            }
            int form = formsOfSurface.get(word, 0);
            int count = keywordsOfSurface.length(word);
            String text = vocabulary.text(word);
            if (shown[form] == null || count > best[form] || count == best[form] && before(text, shown[form])) {
                shown[form] = text;
                best[form] = count;
            }
        }
        for (int form = 0; form < size; form++) {
            if (shown[form] == null) {
                shown[form] = written[form];
            }
        }
        return shown;
    }

    static boolean before(String text, String other) {
        return text.length() != other.length() ? text.length() < other.length() : text.compareTo(other) < 0;
    }

    /** How many numbers there are; some may be of words that no lead spelling has. */
    public int size() {
        return texts.length;
    }

    /** The word as it is shown. */
    public String text(int word) {
        return texts[word];
    }

    /** The words of each keyword's lead spelling, in the order in which they stand. */
    public RaggedInts rows() {
        return rows;
    }

    /** The keywords that have a word, rising, once each; a row for each word. */
    public RaggedInts keywordsOf() {
        return keywordsOf;
    }

    /** The words of a text; empty if it has none, or one that no keyword of the project has. */
    public Optional<int[]> find(String text) {
        IntArrayList found = new IntArrayList();
        for (String word : Words.of(Tidy.of(text))) {
            int surface = vocabulary.find(word);
            if (surface >= 0) {
                ofSurface.forEach(surface, found::add);
            } else {
                int before = found.size();
                if (!elsewhere.test(word, found)) {
                    return Optional.empty();
                }
                for (int i = before; i < found.size(); i++) {
                    found.set(i, numbers[found.getInt(i)]);
                }
            }
        }
        return found.isEmpty() ? Optional.empty() : Optional.of(found.toIntArray());
    }

    /** The keywords that have these words next to each other in this order. */
    public BitSet together(int[] phrase) {
        BitSet found = new BitSet(rows.size());
        int rarest = 0;
        for (int i = 1; i < phrase.length; i++) {
            if (keywordsOf.length(phrase[i]) < keywordsOf.length(phrase[rarest])) {
                rarest = i;
            }
        }
        keywordsOf.forEach(phrase[rarest], keyword -> {
            if (phrase.length == 1 || indexOf(keyword, phrase) >= 0) {
                found.set(keyword);
            }
        });
        return found;
    }

    /** The place at which these words begin in a keyword, next to each other; -1 if they do not. */
    public int indexOf(int keyword, int[] phrase) {
        int length = rows.length(keyword);
        for (int start = 0; start + phrase.length <= length; start++) {
            if (at(keyword, start, phrase)) {
                return start;
            }
        }
        return -1;
    }

    /** Whether these words stand at a place of a keyword; false for a place outside it. */
    public boolean at(int keyword, int start, int[] phrase) {
        if (start < 0 || start + phrase.length > rows.length(keyword)) {
            return false;
        }
        for (int i = 0; i < phrase.length; i++) {
            if (rows.get(keyword, start + i) != phrase[i]) {
                return false;
            }
        }
        return true;
    }

    /** The surface words of lead spellings that fold into just this word, as texts. */
    public List<String> surfaces(int word) {
        return java.util.stream.IntStream.range(0, vocabulary.size())
                .filter(surface -> ofSurface.length(surface) == 1 && ofSurface.get(surface, 0) == word)
                .mapToObj(vocabulary::text)
                .toList();
    }
}

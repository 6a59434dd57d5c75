package smorgas.core.group.engine;

import it.unimi.dsi.fastutil.ints.IntArrayList;
import it.unimi.dsi.fastutil.ints.IntArrays;
import java.util.Arrays;
import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.SortedSet;
import java.util.function.UnaryOperator;
import smorgas.core.column.RaggedInts;
import smorgas.core.column.TextDictionary;
import smorgas.core.column.TextOrder;
import smorgas.core.fold.FoldedWords;
import smorgas.core.language.WordForms;
import smorgas.core.recipe.group.GroupSettings;

/**
 * The words of keywords as grouping sees them: further forms of a word are one where asked for. Words are numbered in the
 * order of their texts, so that an order by number depends on no order of the keywords. Cannot change.
 */
public final class ThemeWords {

    /** What is left of a word after an apostrophe where the two are not folded into one (English; common practice). */
    private static final Set<String> AFTER_APOSTROPHES = Set.of("ll", "re", "ve");

    /** Before what words of the same meaning go by, which no word is. */
    private static final String SAME = " ";

    private final FoldedWords folded;
    /** The number here of each folded word. */
    private final int[] numbers;

    private final RaggedInts rows;
    private final String[] texts;
    private final boolean[] ignored;
    private final boolean[] stop;
    private final boolean[] fragment;

    public ThemeWords(FoldedWords folded, GroupSettings settings, String language) {
        this.folded = folded;
        int[] shown = new int[folded.size()];
        boolean together = settings.forms() || !settings.same().sets().isEmpty();
        int[] classes = together ? together(folded, settings, language, shown) : identity(folded, shown);
        int count = Arrays.stream(classes).max().orElse(-1) + 1;
        String[] byClass = new String[count];
        for (int c = 0; c < count; c++) {
            byClass[c] = folded.text(shown[c]);
        }
        // Folded words are in this order already.
        TextOrder order = together ? TextOrder.of(byClass, Integer::compare) : TextOrder.as(byClass);
        this.texts = order.texts();
        this.numbers = new int[classes.length];
        for (int word = 0; word < classes.length; word++) {
            numbers[word] = order.numbers()[classes[word]];
        }
        this.rows = together ? folded.rows().renumbered(numbers) : folded.rows();
        this.ignored = new boolean[count];
        this.stop = new boolean[count];
        this.fragment = new boolean[count];
        settings.ignored().forEach(word -> mark(word, ignored));
        settings.stopWords().forEach(word -> mark(word, stop));
        Set<String> stopWords = new HashSet<>(settings.stopWords());
        for (int word = 0; word < count; word++) {
            // Also where the folded word is shown otherwise than the list writes it.
            stop[word] |= stopWords.contains(texts[word]);
            fragment[word] = loneLetter(texts[word]) || AFTER_APOSTROPHES.contains(texts[word]);
        }
    }

    private ThemeWords(ThemeWords of, boolean[] ignored) {
        this.folded = of.folded;
        this.numbers = of.numbers;
        this.rows = of.rows;
        this.texts = of.texts;
        this.ignored = ignored;
        this.stop = of.stop;
        this.fragment = of.fragment;
    }

    /** The same words with more of them ignored; some are told by number, some by text. */
    public ThemeWords ignoring(int[] more, Collection<String> others) {
        boolean[] marks = ignored.clone();
        for (int word : more) {
            marks[word] = true;
        }
        others.forEach(word -> mark(word, marks));
        return new ThemeWords(this, marks);
    }

    private static boolean loneLetter(String text) {
        return text.length() == 1 && Character.isLetter(text.charAt(0)) && text.charAt(0) < 0x250;
    }

    private void mark(String word, boolean[] marks) {
        find(word).filter(found -> found.length == 1).ifPresent(found -> marks[found[0]] = true);
    }

    private static int[] identity(FoldedWords folded, int[] shown) {
        int[] classes = new int[folded.size()];
        Arrays.setAll(classes, i -> i);
        System.arraycopy(classes, 0, shown, 0, shown.length);
        return classes;
    }

    /**
     * Words that mean the same are one, and those of one stem where asked for; it is shown as the word of it that most keywords
     * have, of equal ones the first.
     */
    private static int[] together(FoldedWords folded, GroupSettings settings, String language, int[] shown) {
        WordForms stems = WordForms.stems(language);
        UnaryOperator<String> form = settings.forms() ? stems::of : UnaryOperator.identity();
        Map<String, String> same = new HashMap<>();
        for (SortedSet<String> set : settings.same().sets()) {
            for (String word : set) {
                folded.find(word)
                        .filter(found -> found.length == 1)
                        .ifPresent(found -> same.put(form.apply(folded.text(found[0])), set.first()));
            }
        }
        TextDictionary dictionary = new TextDictionary();
        int[] classes = new int[folded.size()];
        for (int word = 0; word < classes.length; word++) {
            int before = dictionary.size();
            String own = form.apply(folded.text(word));
            String one = same.get(own);
            int number = dictionary.intern(one == null ? own : SAME + one);
            classes[word] = number;
            if (number == before || more(folded, word, shown[number])) {
                shown[number] = word;
            }
        }
        return classes;
    }

    private static boolean more(FoldedWords folded, int word, int other) {
        int count = folded.keywordsOf().length(word);
        int others = folded.keywordsOf().length(other);
        return count != others ? count > others : folded.text(word).compareTo(folded.text(other)) < 0;
    }

    public int size() {
        return texts.length;
    }

    public String text(int word) {
        return texts[word];
    }

    /** The words of each keyword in the order in which they stand. */
    public RaggedInts rows() {
        return rows;
    }

    public boolean ignored(int word) {
        return ignored[word];
    }

    public boolean stop(int word) {
        return stop[word];
    }

    /** A lone letter, or what an apostrophe left over: in no theme's edge. */
    public boolean fragment(int word) {
        return fragment[word];
    }

    /** The words of a text; empty if it has none, or one that no keyword has. */
    public Optional<int[]> find(String text) {
        return folded.find(text).map(found -> {
            IntArrayList here = new IntArrayList();
            for (int word : found) {
                here.add(numbers[word]);
            }
            return here.toIntArray();
        });
    }

    /** The words that a word of a text folds into; empty if no keyword has it. */
    public int[] ofSurface(String word) {
        return find(word).orElseGet(() -> new int[0]);
    }

    /** The words of a set in the order in which they stand on the whole in these keywords. */
    public int[] asTheyStand(int[] theme, int[] keywords) {
        long[] places = new long[theme.length];
        for (int keyword : keywords) {
            for (int p = 0; p < theme.length; p++) {
                int length = rows.length(keyword);
                for (int at = 0; at < length; at++) {
                    if (rows.get(keyword, at) == theme[p]) {
                        places[p] += at;
                        break;
                    }
                }
            }
        }
        int[] order = new int[theme.length];
        Arrays.setAll(order, p -> p);
        IntArrays.quickSort(order, (a, b) -> {
            int byPlace = Long.compare(places[a], places[b]);
            return byPlace != 0 ? byPlace : Integer.compare(theme[a], theme[b]);
        });
        return Arrays.stream(order).map(p -> theme[p]).toArray();
    }

    /** Words joined by spaces. */
    public String text(int[] words) {
        StringBuilder text = new StringBuilder();
        for (int word : words) {
            text.append(text.isEmpty() ? "" : " ").append(texts[word]);
        }
        return text.toString();
    }
}

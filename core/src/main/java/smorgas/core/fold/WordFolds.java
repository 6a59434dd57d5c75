package smorgas.core.fold;

import it.unimi.dsi.fastutil.ints.IntArrayList;
import it.unimi.dsi.fastutil.ints.IntArrays;
import it.unimi.dsi.fastutil.ints.IntOpenHashSet;
import it.unimi.dsi.fastutil.longs.LongOpenHashSet;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import smorgas.core.column.IntSequences;
import smorgas.core.column.RaggedInts;
import smorgas.core.column.TextDictionary;
import smorgas.core.language.Accents;
import smorgas.core.language.Punctuation;
import smorgas.core.language.WordForms;
import smorgas.core.recipe.Folding;
import smorgas.core.recipe.fold.FoldKind;

/**
 * Folds spellings into keys: two that come to the same key are one keyword. A key is the sequence of a text's folded
 * words, and each kind of folding is a function on words. They apply in this order, whichever was switched on first:
 *
 * <ol>
 *   <li>punctuation and symbols part or leave words ({@link Punctuation});
 *   <li>accents go ({@link Accents});
 *   <li>an accepted misspelling becomes the word that is meant;
 *   <li>little words go, unless nothing else is left;
 *   <li>singular and plural get one form, then further forms one ({@link WordForms});
 *   <li>a joined word becomes its two parts, if those stand next to each other somewhere in the project;
 *   <li>a word said before is left out;
 *   <li>words are put in one order.
 * </ol>
 *
 * <p>What is done to a word depends on that word and the settings alone, but for joined words, whose table is found over
 * the whole project. So the result does not depend on the order of lines or baskets, and fewer lines never fold more.
 *
 * <p>This file is written for speed: words are ints, and every function runs once for each distinct token.
 */
final class WordFolds {

    private final Tokens tokens;
    private final Folding folding;
    private final Set<FoldKind> on;
    private final int shortestPart;
    private final int shortestJoined;
    /** Words without punctuation and accents, misspellings replaced. */
    private final TextDictionary plain = new TextDictionary(1 << 12);
    /** Of each token. */
    private final RaggedInts plainOf;
    /** Words in the form that they share with their like. */
    private final TextDictionary formed = new TextDictionary(1 << 12);

    private final Punctuation punctuation;
    private final Accents accents;
    private final WordForms plurals;
    private final WordForms stems;
    private int[] formOf = {};
    private boolean[] little = {};
    /** Of each plain word the forms of its two parts, or null. */
    private int @Nullable [][] parts = {};
    /** The same of each form, for joined words that no text has in just this spelling. */
    private int @Nullable [][] partsOfForm = {};

    /**
     * Keys by spelling.
     *
     * @param of the number of each spelling's key, from 0 in the order in which they are first met; -1 if it is set aside
     * @param size how many keys there are
     */
    record Keys(int[] of, int size) {}

    private WordFolds(Tokens tokens, Folding folding, Set<FoldKind> on) {
        this.tokens = tokens;
        this.folding = folding;
        this.on = on;
        this.shortestPart = folding.rules().shortestPart();
        this.shortestJoined = folding.rules().shortestJoined();
        this.punctuation = new Punctuation(folding.language());
        this.accents = new Accents(folding.language());
        this.plurals = WordForms.morePlurals(
                on.contains(FoldKind.PLURALS) ? folding.language() : "", on.contains(FoldKind.ACCENTS));
        this.stems = WordForms.stems(on.contains(FoldKind.STEMS) ? folding.language() : "");
        this.plainOf = plainWords();
        formWords();
        parts = new int[plain.size()][];
        if (on.contains(FoldKind.JOINED)) {
            findJoined();
        }
    }

    /** The keys under these kinds of folding. */
    static Keys keys(Tokens tokens, Folding folding, Set<FoldKind> on) {
        return new WordFolds(tokens, folding, on).keys();
    }

    /** The folds themselves, to ask for the folded words of any text. */
    static WordFolds of(Tokens tokens, Folding folding) {
        return new WordFolds(tokens, folding, folding.on());
    }

    /** The words in the form that they share with their like. */
    TextDictionary forms() {
        return formed;
    }

    /** How each of the {@link #forms()} is shown that no word has alone: as the shortest of its words, of equal ones the first. */
    String[] written() {
        String[] written = new String[formed.size()];
        for (int word = 0; word < formOf.length; word++) {
            String text = plain.text(word);
            String other = written[formOf[word]];
            if (other == null || FoldedWords.before(text, other)) {
                written[formOf[word]] = text;
            }
        }
        for (int form = 0; form < written.length; form++) {
            if (written[form] == null) {
                written[form] = formed.text(form);
            }
        }
        return written;
    }

    /** Adds the folded words of one word; those that nothing was folded into yet get a number. */
    void internFolded(String word, RaggedInts.Builder row) {
        for (String bare : words(punctuation, word)) {
            String meant = meant(bare);
            int number = plain.find(meant);
            if (number >= 0 && number < formOf.length) {
                int[] two = parts[number];
                if (two == null) {
                    row.add(formOf[number]);
                } else {
                    row.add(two[0]);
                    row.add(two[1]);
                }
            } else {
                row.add(formed.intern(form(meant)));
            }
        }
    }

    /** Adds the folded words of one word; false if one of them is in no text of the project. */
    boolean findFolded(String word, IntArrayList row) {
        for (String bare : words(punctuation, word)) {
            String meant = meant(bare);
            int number = plain.find(meant);
            boolean known = number >= 0 && number < formOf.length;
            int form = known ? formOf[number] : formed.find(form(meant));
            if (form < 0) {
                return false;
            }
            int[] two = known ? parts[number] : form < partsOfForm.length ? partsOfForm[form] : null;
            if (two == null) {
                row.add(form);
            } else {
                row.add(two[0]);
                row.add(two[1]);
            }
        }
        return true;
    }

    private String meant(String word) {
        String bare = on.contains(FoldKind.ACCENTS) ? accents.plain(word) : word;
        // Misspellings are known by the word without accents, whether accents are folded or not.
        return on.contains(FoldKind.MISSPELLINGS) ? folding.misspellings().getOrDefault(bare, bare) : bare;
    }

    private String form(String word) {
        return stems.of(plurals.of(word));
    }

    private RaggedInts plainWords() {
        boolean[] littles = new boolean[16];
        RaggedInts.Builder rows = new RaggedInts.Builder();
        for (int token = 0; token < tokens.tokens().size(); token++) {
            for (String word : words(punctuation, tokens.tokens().text(token))) {
                String meant = meant(word);
                int number = plain.intern(meant);
                if (number >= littles.length) {
                    littles = java.util.Arrays.copyOf(littles, number * 2);
                }
                littles[number] |= folding.littleWords().contains(word)
                        || folding.littleWords().contains(meant);
                rows.add(number);
            }
            rows.endRow();
        }
        little = littles;
        return rows.seal();
    }

    private List<String> words(Punctuation punctuation, String token) {
        boolean first = token.charAt(0) == Tokens.FIRST;
        String text = first ? token.substring(1) : token;
        if (on.contains(FoldKind.PUNCTUATION)) {
            return punctuation.words(text, first);
        }
        return List.of(text);
    }

    private void formWords() {
        formOf = new int[plain.size()];
        for (int word = 0; word < formOf.length; word++) {
            formOf[word] = formed.intern(form(plain.text(word)));
        }
    }

    private void findJoined() {
        boolean[] joinable = new boolean[plain.size()];
        for (int word = 0; word < joinable.length; word++) {
            String text = plain.text(word);
            joinable[word] = text.length() >= shortestPart
                    && !little[word]
                    && text.chars().allMatch(Character::isLetter);
        }
        int[][] byForm = new int[formed.size()][];
        LongOpenHashSet seen = new LongOpenHashSet();
        RaggedInts rows = tokens.rows();
        IntArrayList words = new IntArrayList();
        for (int spelling = 0; spelling < rows.size(); spelling++) {
            words.clear();
            rows.forEach(spelling, token -> plainOf.forEach(token, words::add));
            for (int i = 0; i + 1 < words.size(); i++) {
                int a = words.getInt(i);
                int b = words.getInt(i + 1);
                if (joinable[a] && joinable[b] && seen.add((long) a << 32 | b)) {
                    join(a, b, byForm);
                }
            }
        }
        partsOfForm = byForm;
        for (int word = 0; word < parts.length; word++) {
            if (parts[word] == null && joinable[word]) {
                parts[word] = byForm[formOf[word]];
            }
        }
    }

    private void join(int a, int b, int[][] byForm) {
        int joined = plain.findJoined(a, b);
        int[] pair = {formOf[a], formOf[b]};
        if (joined >= 0 && plain.text(joined).length() >= shortestJoined) {
            parts[joined] = firstOf(parts[joined], pair);
        }
        int form = formed.findJoined(pair[0], pair[1]);
        if (form >= 0 && formed.text(form).length() >= shortestJoined) {
            byForm[form] = firstOf(byForm[form], pair);
        }
    }

    /** A word that can be parted in two ways is always parted in the same one, whatever was met first. */
    private int[] firstOf(int @Nullable [] one, int[] other) {
        if (one == null) {
            return other;
        }
        return formed.text(one[0]).compareTo(formed.text(other[0])) <= 0 ? one : other;
    }

    private Keys keys() {
        RaggedInts rows = tokens.rows();
        int[] of = new int[rows.size()];
        IntSequences sequences = new IntSequences(rows.size());
        Row row = new Row();
        for (int spelling = 0; spelling < of.length; spelling++) {
            if (rows.length(spelling) == 0) {
                of[spelling] = Spellings.NONE;
                continue;
            }
            row.fill(rows, spelling);
            of[spelling] = sequences.intern(row.words, row.length);
        }
        return new Keys(of, sequences.size());
    }

    /** The folded words of one text at a time. */
    private final class Row {
        private int[] words = new int[32];
        private int length;

        void fill(RaggedInts rows, int spelling) {
            length = 0;
            rows.forEach(
                    spelling, token -> plainOf.forEach(token, word -> add(word, on.contains(FoldKind.LITTLE_WORDS))));
            if (length == 0) {
                // Nothing but little words: then they are what is meant.
                rows.forEach(spelling, token -> plainOf.forEach(token, word -> add(word, false)));
            }
            if (length == 0) {
                // Nothing but symbols: they are all there is to tell texts apart by.
                rows.forEach(spelling, token -> put(-2 - token));
            }
            if (on.contains(FoldKind.REPEATED)) {
                leaveOutRepeated();
            }
            if (on.contains(FoldKind.ORDER)) {
                IntArrays.quickSort(words, 0, length);
            }
        }

        private void add(int word, boolean withoutLittle) {
            if (withoutLittle && little[word]) {
                return;
            }
            int[] two = parts[word];
            if (two == null) {
                put(formOf[word]);
            } else {
                put(two[0]);
                put(two[1]);
            }
        }

        private void put(int word) {
            if (length == words.length) {
                words = java.util.Arrays.copyOf(words, length * 2);
            }
            words[length++] = word;
        }

        private void leaveOutRepeated() {
            int kept = 0;
            if (length > 64) {
                IntOpenHashSet met = new IntOpenHashSet();
                for (int i = 0; i < length; i++) {
                    if (met.add(words[i])) {
                        words[kept++] = words[i];
                    }
                }
            } else {
                for (int i = 0; i < length; i++) {
                    if (!before(kept, words[i])) {
                        words[kept++] = words[i];
                    }
                }
            }
            length = kept;
        }

        private boolean before(int end, int word) {
            for (int i = 0; i < end; i++) {
                if (words[i] == word) {
                    return true;
                }
            }
            return false;
        }
    }
}

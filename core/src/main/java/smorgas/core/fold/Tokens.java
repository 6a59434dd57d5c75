package smorgas.core.fold;

import it.unimi.dsi.fastutil.ints.IntArrayList;
import java.util.Arrays;
import smorgas.core.column.RaggedInts;
import smorgas.core.column.TextDictionary;
import smorgas.core.recipe.fold.Cleaning;
import smorgas.core.text.Refusal;
import smorgas.core.text.Words;

/**
 * The spellings as cleaning leaves them, cut at their spaces: what all kinds of folding work on. Few distinct tokens make
 * up many texts, so what is done to a token is done once. Cannot change.
 */
final class Tokens {

    /** Before a token that begins its text with a hyphen, which there marks a negative keyword. */
    static final char FIRST = '\u0001';

    private final Spellings spellings;
    private final Cleaner cleaner;
    private final TextDictionary tokens = new TextDictionary(1 << 12);
    private final RaggedInts rows;
    private final int aside;

    Tokens(Spellings spellings, Cleaner cleaner) {
        this.spellings = spellings;
        this.cleaner = cleaner;
        RaggedInts.Builder builder = new RaggedInts.Builder();
        int away = 0;
        long most = Math.max(FEW, Cleaning.MOST_TIMES * characters(spellings));
        long after = 0;
        for (int spelling = 0; spelling < spellings.size(); spelling++) {
            String text = text(spelling);
            away += text.isEmpty() ? spellings.lines(spelling) : 0;
            after += text.length();
            if (after > most) {
                throw new Refusal("fold.tokens.cleanings-would-make-keywords", Cleaning.MOST_TIMES);
            }
            cut(text, builder);
            builder.endRow();
        }
        this.aside = away;
        this.rows = builder.seal();
    }

    /** So many characters fit always. */
    private static final int FEW = 1_000_000;

    private static long characters(Spellings spellings) {
        long all = 0;
        for (int spelling = 0; spelling < spellings.size(); spelling++) {
            all += spellings.text(spelling).length();
        }
        return all;
    }

    private void cut(String text, RaggedInts.Builder row) {
        int length = text.length();
        int start = 0;
        if (length > 1 && text.charAt(0) == '-') {
            int end = text.indexOf(' ');
            start = end < 0 ? length : end;
            row.add(tokens.intern(FIRST + text.substring(0, start)));
            start++;
        }
        while (start < length) {
            int end = text.indexOf(' ', start);
            end = end < 0 ? length : end;
            row.add(tokens.intern(text, start, end));
            start = end + 1;
        }
    }

    Spellings spellings() {
        return spellings;
    }

    /** The text of a spelling after cleaning; empty if it is set aside. */
    String text(int spelling) {
        String text = spellings.text(spelling);
        return cleaner.idle() ? text : cleaner.clean(text);
    }

    boolean cleaned() {
        return !cleaner.idle();
    }

    /** Lines that cleaning set aside. */
    int aside() {
        return aside;
    }

    TextDictionary tokens() {
        return tokens;
    }

    /** The tokens of each spelling; none if it is set aside. */
    RaggedInts rows() {
        return rows;
    }

    /** Cuts texts into words that are numbered in a vocabulary. */
    Splitter cut(TextDictionary vocabulary) {
        return new Splitter(vocabulary);
    }

    /** The words of texts by their tokens: no word spans a space, so each token is cut into words once. */
    final class Splitter {
        private static final int NOT_YET = -1;

        private final TextDictionary vocabulary;
        private final int[] starts = new int[tokens.size()];
        private final int[] ends = new int[tokens.size()];
        private final IntArrayList words = new IntArrayList();

        private Splitter(TextDictionary vocabulary) {
            this.vocabulary = vocabulary;
            Arrays.fill(starts, NOT_YET);
        }

        /** Adds the words of a spelling, as {@link Words#of} gives them. */
        void add(int spelling, RaggedInts.Builder row) {
            rows.forEach(spelling, token -> {
                if (starts[token] == NOT_YET) {
                    cut(token);
                }
                for (int i = starts[token]; i < ends[token]; i++) {
                    row.add(words.getInt(i));
                }
            });
        }

        private void cut(int token) {
            String text = tokens.text(token);
            starts[token] = words.size();
            Words.of(text.charAt(0) == FIRST ? text.substring(1) : text)
                    .forEach(word -> words.add(vocabulary.intern(word)));
            ends[token] = words.size();
        }
    }
}

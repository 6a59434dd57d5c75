package smorgas.core.sift;

import it.unimi.dsi.fastutil.ints.IntArrayList;
import it.unimi.dsi.fastutil.longs.Long2IntOpenHashMap;
import java.util.Arrays;
import smorgas.core.column.RaggedInts;
import smorgas.core.fold.FoldedWords;
import smorgas.core.fold.Keywords;

/**
 * The words and phrases of the keywords of one fold: runs of 1 to {@value #LONGEST} folded words that stand next to each
 * other (the trade: n-grams). Each length is worked out when it is first asked for. Safe for many threads.
 *
 * <p>This file is written for speed: a phrase of n words is the pair of its first n - 1 and its last one, so it is found
 * by one look into a map of longs, and counting a view needs no texts.
 */
public final class Phrases {

    /** The most words of a phrase. */
    public static final int LONGEST = 5;

    private final Keywords keywords;
    private final FoldedWords folded;
    private final Length[] lengths = new Length[LONGEST];

    /** All phrases of one length. */
    static final class Length {
        /** The phrase that begins at each place of each keyword. */
        final RaggedInts rows;

        /** Of each phrase the phrase of the words before its last; of one word the word itself. */
        final int[] parents;

        final int[] lastWords;

        private Length(RaggedInts rows, int[] parents, int[] lastWords) {
            this.rows = rows;
            this.parents = parents;
            this.lastWords = lastWords;
        }

        int size() {
            return lastWords.length;
        }
    }

    /** Of these keywords; nothing is worked out yet. */
    public Phrases(Keywords keywords) {
        this.keywords = keywords;
        this.folded = keywords.folded();
    }

    Keywords keywords() {
        return keywords;
    }

    FoldedWords folded() {
        return folded;
    }

    /** The phrases of so many words, from 1 to {@value #LONGEST}. */
    synchronized Length length(int words) {
        Length known = lengths[words - 1];
        if (known == null) {
            known = words == 1 ? single() : extended(words, length(words - 1));
            lengths[words - 1] = known;
        }
        return known;
    }

    private Length single() {
        int[] words = new int[folded.size()];
        Arrays.setAll(words, word -> word);
        return new Length(folded.rows(), words, words);
    }

    private Length extended(int words, Length shorter) {
        Long2IntOpenHashMap numbers = new Long2IntOpenHashMap(shorter.size() * 2);
        numbers.defaultReturnValue(-1);
        IntArrayList parents = new IntArrayList();
        IntArrayList lasts = new IntArrayList();
        RaggedInts.Builder rows = new RaggedInts.Builder();
        RaggedInts single = folded.rows();
        for (int keyword = 0; keyword < single.size(); keyword++) {
            for (int place = 0; place + words <= single.length(keyword); place++) {
                int parent = shorter.rows.get(keyword, place);
                int last = single.get(keyword, place + words - 1);
                long key = (long) parent << 32 | last;
                int number = numbers.get(key);
                if (number < 0) {
                    number = parents.size();
                    numbers.put(key, number);
                    parents.add(parent);
                    lasts.add(last);
                }
                rows.add(number);
            }
            rows.endRow();
        }
        return new Length(rows.seal(), parents.toIntArray(), lasts.toIntArray());
    }

    /** The words of a phrase. */
    int[] words(int length, int phrase) {
        int[] words = new int[length];
        int at = phrase;
        for (int n = length; n > 1; n--) {
            words[n - 1] = length(n).lastWords[at];
            at = length(n).parents[at];
        }
        words[0] = at;
        return words;
    }

    /** A phrase as it is shown. */
    String text(int length, int phrase) {
        StringBuilder text = new StringBuilder();
        for (int word : words(length, phrase)) {
            text.append(text.isEmpty() ? "" : " ").append(folded.text(word));
        }
        return text.toString();
    }
}

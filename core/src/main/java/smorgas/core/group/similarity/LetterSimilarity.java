package smorgas.core.group.similarity;

import it.unimi.dsi.fastutil.ints.IntArrayList;
import it.unimi.dsi.fastutil.longs.Long2IntOpenHashMap;
import it.unimi.dsi.fastutil.longs.LongArrayList;
import java.util.Arrays;
import java.util.stream.IntStream;
import smorgas.core.column.Cores;
import smorgas.core.column.RaggedInts;
import smorgas.core.recipe.group.SimilarityRules;

/**
 * How alike terms are by their letters: Dice's coefficient of the sets of their 3- and 4-grams, bounds of the word being
 * letters too. Sizes and short words are like nothing but themselves. In long lists many words look like one by chance; so each
 * may be like a few only, and only where either is among the few that the other is most like to.
 */
final class LetterSimilarity {

    /** Terms like another one, with how alike they are. */
    record Like(int[] terms, float[] values) {}

    private static final Like NONE = new Like(new int[0], new float[0]);

    private final SimilarityRules.Letters rules;
    private final Like[] like;

    /** @param most to how many others a term is like at most, from 1 */
    LetterSimilarity(Terms terms, int most, SimilarityRules.Letters rules) {
        this.rules = rules;
        int size = terms.things();
        this.like = new Like[terms.size()];
        Arrays.fill(like, NONE);
        Long2IntOpenHashMap numbers = new Long2IntOpenHashMap();
        RaggedInts grams = numbered(terms, numbers);
        RaggedInts having = grams.inverse(numbers.size());
        Cores.run(size, Similarity.FEW, (from, to) -> {
            Met met = new Met(grams, size);
            for (int term = from; term < to; term++) {
                for (int at = 0; at < grams.length(term); at++) {
                    int gram = grams.get(term, at);
                    int all = having.length(gram);
                    for (int i = 0; i < all && all <= rules.commonest(); i++) {
                        met.add(having.get(gram, i));
                    }
                }
                like[term] = of(term, met, most);
                met.clear();
            }
        });
        Like[] mutual = new Like[size];
        Arrays.setAll(mutual, this::mutual);
        System.arraycopy(mutual, 0, like, 0, size);
    }

    /** The letters of each term that stand together, by numbers. */
    private RaggedInts numbered(Terms terms, Long2IntOpenHashMap numbers) {
        long[][] letters = new long[terms.things()][];
        Cores.run(letters.length, Similarity.FEW, (from, to) -> {
            for (int term = from; term < to; term++) {
                letters[term] = grams(terms.text(term));
            }
        });
        RaggedInts.Builder rows = new RaggedInts.Builder();
        for (long[] own : letters) {
            for (long gram : own) {
                rows.add(numbers.computeIfAbsent(gram, g -> numbers.size()));
            }
            rows.endRow();
        }
        return rows.seal();
    }

    /** Without those that have others to which they are more like, so that two terms are alike whichever is asked. */
    private Like mutual(int term) {
        Like own = like[term];
        int[] kept = IntStream.range(0, own.terms().length)
                .filter(i -> Arrays.binarySearch(like[own.terms()[i]].terms(), term) >= 0)
                .toArray();
        if (kept.length == own.terms().length) {
            return own;
        }
        int[] terms = new int[kept.length];
        float[] values = new float[kept.length];
        for (int i = 0; i < kept.length; i++) {
            terms[i] = own.terms()[kept[i]];
            values[i] = own.values()[kept[i]];
        }
        return new Like(terms, values);
    }

    private Like of(int term, Met met, int most) {
        IntArrayList others = met.others;
        others.clear();
        for (int i = 0; i < met.terms.size(); i++) {
            int other = met.terms.getInt(i);
            if (other != term && met.dice(term, other) >= rules.from()) {
                others.add(other);
            }
        }
        if (others.isEmpty()) {
            return NONE;
        }
        if (others.size() > most) {
            others.sort((one, other) -> {
                int byLetters = Double.compare(met.dice(term, other), met.dice(term, one));
                return byLetters != 0 ? byLetters : Integer.compare(one, other);
            });
            others.size(most);
        }
        others.sort(null);
        float[] values = new float[others.size()];
        for (int i = 0; i < values.length; i++) {
            int other = others.getInt(i);
            values[i] = (float) Math.min(rules.most(), rules.times() * met.dice(term, other));
        }
        return new Like(others.toIntArray(), values);
    }

    /** The terms that have letters of one term, and how many; one for each thread. */
    private static final class Met {
        final RaggedInts grams;
        final int[] shared;
        final IntArrayList terms = new IntArrayList();
        final IntArrayList others = new IntArrayList();

        Met(RaggedInts grams, int size) {
            this.grams = grams;
            this.shared = new int[size];
        }

        void add(int other) {
            if (shared[other]++ == 0) {
                terms.add(other);
            }
        }

        void clear() {
            terms.forEach(other -> shared[other] = 0);
            terms.clear();
        }

        /** Dice's coefficient. */
        double dice(int one, int other) {
            return 2.0 * shared[other] / (grams.length(one) + grams.length(other));
        }
    }

    /** The 3- and 4-grams of a word, once each, a letter in each 16 bits. */
    private long[] grams(String word) {
        if (word.length() < rules.shortest() || word.chars().anyMatch(Character::isDigit)) {
            return new long[0];
        }
        String bounded = "^" + word + "$";
        LongArrayList grams = new LongArrayList(2 * bounded.length());
        for (int at = 0; at + 3 <= bounded.length(); at++) {
            long three = (long) bounded.charAt(at) << 32 | (long) bounded.charAt(at + 1) << 16 | bounded.charAt(at + 2);
            grams.add(three);
            if (at + 4 <= bounded.length()) {
                grams.add(three << 16 | bounded.charAt(at + 3));
            }
        }
        return grams.longStream().distinct().toArray();
    }

    /** The terms like this one, but for itself. */
    Like of(int term) {
        return like[term];
    }
}

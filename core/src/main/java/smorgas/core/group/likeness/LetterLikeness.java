package smorgas.core.group.likeness;

import it.unimi.dsi.fastutil.ints.IntArrayList;
import it.unimi.dsi.fastutil.longs.Long2IntOpenHashMap;
import it.unimi.dsi.fastutil.longs.LongArrayList;
import java.util.Arrays;
import java.util.stream.IntStream;
import smorgas.core.column.Cores;
import smorgas.core.column.RaggedInts;
import smorgas.core.recipe.group.LikenessRules;

/**
 * How alike terms are by their letters: Dice's coefficient of the sets of their 3- and 4-grams, bounds of the word being
 * letters too. Sizes and short words are like nothing but themselves. In long lists many words look like one by chance; so each
 * may be like a few only, and only where either is among the few that the other is most like to.
 */
final class LetterLikeness {

    /** Terms like another one, with how alike they are. */
    record Like(int[] terms, float[] values) {}

    private static final Like NONE = new Like(new int[0], new float[0]);

    private final LikenessRules.Letters rules;
    private final Like[] like;

    /** @param most to how many others a term is like at most, from 1 */
    LetterLikeness(Terms terms, int most, LikenessRules.Letters rules) {
        this.rules = rules;
        int size = terms.things();
        this.like = new Like[terms.size()];
        Arrays.fill(like, NONE);
        long[][] letters = new long[size][];
        Cores.run(size, Likeness.FEW, (from, to) -> {
            for (int term = from; term < to; term++) {
                letters[term] = grams(terms.text(term));
            }
        });
        Long2IntOpenHashMap numbers = new Long2IntOpenHashMap();
        RaggedInts.Builder rows = new RaggedInts.Builder();
        for (long[] own : letters) {
            for (long gram : own) {
                rows.add(numbers.computeIfAbsent(gram, g -> numbers.size()));
            }
            rows.endRow();
        }
        RaggedInts grams = rows.seal();
        RaggedInts having = grams.inverse(numbers.size());
        Cores.run(size, Likeness.FEW, (from, to) -> {
            int[] shared = new int[size];
            IntArrayList met = new IntArrayList();
            IntArrayList others = new IntArrayList();
            for (int term = from; term < to; term++) {
                for (int at = 0; at < grams.length(term); at++) {
                    int gram = grams.get(term, at);
                    int all = having.length(gram);
                    for (int i = 0; i < all && all <= rules.commonest(); i++) {
                        int other = having.get(gram, i);
                        if (shared[other]++ == 0) {
                            met.add(other);
                        }
                    }
                }
                like[term] = of(term, shared, met, others, grams, most);
                met.forEach(other -> shared[other] = 0);
                met.clear();
            }
        });
        Like[] mutual = new Like[size];
        Arrays.setAll(mutual, this::mutual);
        System.arraycopy(mutual, 0, like, 0, size);
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

    private Like of(int term, int[] shared, IntArrayList met, IntArrayList others, RaggedInts grams, int most) {
        others.clear();
        for (int i = 0; i < met.size(); i++) {
            int other = met.getInt(i);
            if (other != term && dice(shared[other], term, other, grams) >= rules.from()) {
                others.add(other);
            }
        }
        if (others.isEmpty()) {
            return NONE;
        }
        if (others.size() > most) {
            others.sort((one, other) -> {
                int byLetters =
                        Double.compare(dice(shared[other], term, other, grams), dice(shared[one], term, one, grams));
                return byLetters != 0 ? byLetters : Integer.compare(one, other);
            });
            others.size(most);
        }
        others.sort(null);
        float[] values = new float[others.size()];
        for (int i = 0; i < values.length; i++) {
            int other = others.getInt(i);
            values[i] = (float) Math.min(rules.most(), rules.times() * dice(shared[other], term, other, grams));
        }
        return new Like(others.toIntArray(), values);
    }

    private static double dice(int shared, int one, int other, RaggedInts grams) {
        return 2.0 * shared / (grams.length(one) + grams.length(other));
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

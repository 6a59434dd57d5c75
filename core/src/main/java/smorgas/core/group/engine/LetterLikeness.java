package smorgas.core.group.engine;

import it.unimi.dsi.fastutil.ints.IntArrayList;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import smorgas.core.column.Cores;

/**
 * How alike terms are by their letters: Dice's coefficient of the sets of their 3- and 4-grams, bounds of the word being
 * letters too. Sizes and short words are like nothing but themselves.
 */
final class LetterLikeness {

    private static final double FROM = .3;
    private static final double TIMES = 1.25;
    private static final double MOST = .95;
    private static final int SHORTEST = 4;

    /** Grams that more terms have tell nothing and cost most. */
    private static final int COMMONEST = 400;

    /** Terms like another one, with how alike they are. */
    record Like(int[] terms, float[] values) {}

    private static final Like NONE = new Like(new int[0], new float[0]);

    private final Like[] like;

    LetterLikeness(Terms terms) {
        int size = terms.things();
        this.like = new Like[terms.size()];
        Arrays.fill(like, NONE);
        Map<String, Integer> numbers = new HashMap<>();
        List<IntArrayList> having = new ArrayList<>();
        int[][] grams = new int[size][];
        for (int term = 0; term < size; term++) {
            IntArrayList own = new IntArrayList();
            for (String gram : grams(terms.text(term))) {
                int number = numbers.computeIfAbsent(gram, g -> numbers.size());
                if (number == having.size()) {
                    having.add(new IntArrayList());
                }
                having.get(number).add(term);
                own.add(number);
            }
            grams[term] = own.toIntArray();
        }
        Cores.run(size, Likeness.FEW, (from, to) -> {
            int[] shared = new int[size];
            IntArrayList met = new IntArrayList();
            IntArrayList others = new IntArrayList();
            for (int term = from; term < to; term++) {
                for (int gram : grams[term]) {
                    IntArrayList all = having.get(gram);
                    for (int i = 0; i < all.size() && all.size() <= COMMONEST; i++) {
                        int other = all.getInt(i);
                        if (shared[other]++ == 0) {
                            met.add(other);
                        }
                    }
                }
                like[term] = of(term, shared, met, others, grams);
                met.forEach(other -> shared[other] = 0);
                met.clear();
            }
        });
    }

    private static Like of(int term, int[] shared, IntArrayList met, IntArrayList others, int[][] grams) {
        others.clear();
        for (int i = 0; i < met.size(); i++) {
            int other = met.getInt(i);
            if (other != term && dice(shared[other], term, other, grams) >= FROM) {
                others.add(other);
            }
        }
        if (others.isEmpty()) {
            return NONE;
        }
        others.sort(null);
        float[] values = new float[others.size()];
        for (int i = 0; i < values.length; i++) {
            int other = others.getInt(i);
            values[i] = (float) Math.min(MOST, TIMES * dice(shared[other], term, other, grams));
        }
        return new Like(others.toIntArray(), values);
    }

    private static double dice(int shared, int one, int other, int[][] grams) {
        return 2.0 * shared / (grams[one].length + grams[other].length);
    }

    private static Set<String> grams(String word) {
        if (word.length() < SHORTEST || word.chars().anyMatch(Character::isDigit)) {
            return Set.of();
        }
        String bounded = "^" + word + "$";
        Set<String> grams = new HashSet<>();
        for (int length = 3; length <= 4; length++) {
            for (int at = 0; at + length <= bounded.length(); at++) {
                grams.add(bounded.substring(at, at + length));
            }
        }
        return grams;
    }

    /** The terms like this one, but for itself. */
    Like of(int term) {
        return like[term];
    }
}

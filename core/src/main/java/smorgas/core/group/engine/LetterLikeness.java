package smorgas.core.group.engine;

import it.unimi.dsi.fastutil.ints.Int2IntMap;
import it.unimi.dsi.fastutil.ints.Int2IntOpenHashMap;
import it.unimi.dsi.fastutil.ints.IntArrayList;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

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
        Map<String, IntArrayList> having = new HashMap<>();
        List<Set<String>> grams = new ArrayList<>();
        for (int term = 0; term < size; term++) {
            Set<String> of = grams(terms.text(term));
            grams.add(of);
            for (String gram : of) {
                having.computeIfAbsent(gram, g -> new IntArrayList()).add(term);
            }
        }
        Int2IntOpenHashMap shared = new Int2IntOpenHashMap();
        for (int term = 0; term < size; term++) {
            shared.clear();
            for (String gram : grams.get(term)) {
                IntArrayList others = having.get(gram);
                if (others.size() <= COMMONEST) {
                    for (int i = 0; i < others.size(); i++) {
                        shared.addTo(others.getInt(i), 1);
                    }
                }
            }
            like[term] = of(term, shared, grams);
        }
    }

    private static Like of(int term, Int2IntOpenHashMap shared, List<Set<String>> grams) {
        IntArrayList others = new IntArrayList();
        for (Int2IntMap.Entry one : shared.int2IntEntrySet()) {
            if (one.getIntKey() != term && dice(one.getIntValue(), term, one.getIntKey(), grams) >= FROM) {
                others.add(one.getIntKey());
            }
        }
        if (others.isEmpty()) {
            return NONE;
        }
        others.sort(null);
        float[] values = new float[others.size()];
        for (int i = 0; i < values.length; i++) {
            int other = others.getInt(i);
            values[i] = (float) Math.min(MOST, TIMES * dice(shared.get(other), term, other, grams));
        }
        return new Like(others.toIntArray(), values);
    }

    private static double dice(int shared, int one, int other, List<Set<String>> grams) {
        return 2.0 * shared / (grams.get(one).size() + grams.get(other).size());
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

package smorgas.core.source;

import java.math.BigInteger;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.function.Predicate;
import smorgas.core.recipe.gather.CombineSettings;
import smorgas.core.text.Refusal;
import smorgas.core.text.Words;

/**
 * Multiplies columns of words into phrases. A column that may be left out counts for one more; one that can stand anywhere is put
 * in every place among the others that are there. The last column turns fastest.
 */
public final class Combinations {

    /** Words that say the same over and over come to one phrase, and nobody waits for all of them. */
    private static final int TRIES = 20_000;

    private final CombineSettings combine;
    /** The orders in which columns stand, each without those that are left out. */
    private final List<int[]> orders = new ArrayList<>();

    private Combinations(CombineSettings combine) {
        this.combine = combine;
        without(0, new ArrayList<>());
    }

    /** How many phrases the columns multiply to, before those that are the same are told once. */
    public static BigInteger count(CombineSettings combine) {
        BigInteger all = BigInteger.ZERO;
        for (int[] order : new Combinations(combine).orders) {
            BigInteger of = BigInteger.ONE;
            for (int column : order) {
                of = of.multiply(
                        BigInteger.valueOf(combine.columns().get(column).words().size()));
            }
            all = all.add(of);
        }
        return all;
    }

    /**
     * The phrases, each once.
     *
     * @throws Refusal with a sentence, if more would come out than may
     */
    public static Set<String> of(CombineSettings combine) {
        BigInteger count = count(combine);
        if (count.compareTo(BigInteger.valueOf(combine.most())) > 0) {
            throw new Refusal("source.pairs.phrases-would-come-out", count, combine.most());
        }
        return phrases(combine, Integer.MAX_VALUE, Integer.MAX_VALUE);
    }

    /** The first so many of the phrases; fewer if most of those that are tried are the same. */
    public static Set<String> first(CombineSettings combine, int most) {
        return phrases(combine, most, TRIES);
    }

    private static Set<String> phrases(CombineSettings combine, int most, int tries) {
        Set<String> phrases = new LinkedHashSet<>();
        Combinations pairs = new Combinations(combine);
        int[] left = {tries};
        for (int[] order : pairs.orders) {
            if (!pairs.fill(order, 0, new ArrayList<>(order.length), phrase -> {
                phrases.add(phrase);
                return phrases.size() < most && --left[0] > 0;
            })) {
                break;
            }
        }
        return phrases;
    }

    /** Every choice of columns, whole ones first; of none nothing comes out. */
    private void without(int column, List<Integer> chosen) {
        if (column == combine.columns().size()) {
            if (!chosen.isEmpty()) {
                placed(chosen);
            }
            return;
        }
        chosen.add(column);
        without(column + 1, chosen);
        chosen.removeLast();
        if (combine.columns().get(column).optional()) {
            without(column + 1, chosen);
        }
    }

    /** Those that keep their places as they stand, the others in every place between. */
    private void placed(List<Integer> chosen) {
        List<List<Integer>> made = new ArrayList<>();
        made.add(chosen.stream()
                .filter(column -> !combine.columns().get(column).anywhere())
                .toList());
        for (int column : chosen) {
            if (combine.columns().get(column).anywhere()) {
                List<List<Integer>> next = new ArrayList<>();
                for (List<Integer> order : made) {
                    for (int place = 0; place <= order.size(); place++) {
                        List<Integer> with = new ArrayList<>(order);
                        with.add(place, column);
                        next.add(with);
                    }
                }
                made = next;
            }
        }
        made.forEach(
                order -> orders.add(order.stream().mapToInt(column -> column).toArray()));
    }

    /** False if whoever takes the phrases wants no more. */
    private boolean fill(int[] order, int at, List<String> parts, Predicate<String> into) {
        if (at == order.length) {
            return into.test(phrase(parts));
        }
        for (String word : combine.columns().get(order[at]).words()) {
            parts.add(word);
            boolean more = fill(order, at + 1, parts, into);
            parts.removeLast();
            if (!more) {
                return false;
            }
        }
        return true;
    }

    private String phrase(List<String> parts) {
        String joined = combine.before() + String.join(combine.between(), parts) + combine.behind();
        return combine.once() ? once(joined) : joined;
    }

    /** Without words that stood before; what is between words stays where it is. */
    private static String once(String phrase) {
        List<String> words = Words.of(phrase);
        if (words.size() == new LinkedHashSet<>(words).size()) {
            return phrase;
        }
        return String.join(" ", new LinkedHashSet<>(words));
    }
}

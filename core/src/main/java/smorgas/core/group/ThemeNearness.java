package smorgas.core.group;

import it.unimi.dsi.fastutil.ints.Int2DoubleMap;
import it.unimi.dsi.fastutil.ints.Int2DoubleOpenHashMap;
import java.util.Arrays;
import java.util.function.IntConsumer;
import org.jspecify.annotations.Nullable;
import smorgas.core.group.engine.Nearness;

/** Near is a keyword to a theme of which it has every word, the nearer the more of its weight these words are. */
final class ThemeNearness implements Nearness {

    private final Grouping grouping;
    /** Made when first asked for; who asks at the same time makes the same. */
    private volatile @Nullable ThemeIndex index;

    ThemeNearness(Grouping grouping) {
        this.grouping = grouping;
    }

    @Override
    public double of(int keyword, int group) {
        return grouping.coverage(keyword, grouping.themeWords(group));
    }

    @Override
    public void forEach(int keyword, IntConsumer group) {
        ThemeIndex known = index;
        if (known == null) {
            known = new ThemeIndex(grouping);
            index = known;
        }
        known.forEach(keyword, group);
    }

    @Override
    public boolean measures(int group) {
        return grouping.themeWords(group).length > 0;
    }

    /** The cosine of the shares of their keywords that have each word, weighed. */
    @Override
    public double between(int group, int other) {
        Int2DoubleMap one = shares(grouping.members().row(group));
        Int2DoubleMap two = shares(grouping.members().row(other));
        return cosine(one, two);
    }

    @Override
    public double alike(int keyword, int other) {
        return cosine(shares(new int[] {keyword}), shares(new int[] {other}));
    }

    private double cosine(Int2DoubleMap one, Int2DoubleMap other) {
        double lengths = Math.sqrt(product(one, one) * product(other, other));
        return lengths == 0 ? 0 : Math.min(1, product(one, other) / lengths);
    }

    private double product(Int2DoubleMap one, Int2DoubleMap other) {
        double sum = 0;
        for (Int2DoubleMap.Entry word : one.int2DoubleEntrySet()) {
            double weight = grouping.weights()[word.getIntKey()];
            sum += weight * weight * word.getDoubleValue() * other.get(word.getIntKey());
        }
        return sum;
    }

    /** The share of some keywords that has each word. */
    private Int2DoubleMap shares(int[] keywords) {
        Int2DoubleOpenHashMap shares = new Int2DoubleOpenHashMap();
        for (int keyword : keywords) {
            for (int word : Arrays.stream(grouping.words().rows().row(keyword))
                    .distinct()
                    .toArray()) {
                shares.addTo(word, 1.0 / keywords.length);
            }
        }
        return shares;
    }
}

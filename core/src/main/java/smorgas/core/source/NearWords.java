package smorgas.core.source;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;

/** Texts that mean about the same as others, as far as it is known what they mean. */
public final class NearWords {

    /** From this product of two vectors of length 1 on; found by looking at pairs of the demo's keywords. */
    private static final double NEAR = .6;

    private static final int MOST_EACH = 3;
    private static final int MOST_LOOKED_AT = 20_000;

    private NearWords() {}

    private record Near(String text, double how) {}

    /**
     * The nearest of some texts to others, those that are among both left out.
     *
     * @param to what they are to be near to; tidy
     * @param among the texts that are looked through; tidy; of very many the first
     * @param meaning the vector of a tidy text, of length 1; null if it is not known
     */
    public static List<String> of(List<String> to, List<String> among, Function<String, float @Nullable []> meaning) {
        Set<String> found = new HashSet<>(to);
        List<String> near = new ArrayList<>();
        for (String text : to) {
            float[] vector = meaning.apply(text);
            if (vector == null) {
                continue;
            }
            List<Near> nearest = new ArrayList<>();
            for (String other : among.subList(0, Math.min(MOST_LOOKED_AT, among.size()))) {
                float[] with = meaning.apply(other);
                double how = with == null ? 0 : product(vector, with);
                if (how >= NEAR && !found.contains(other)) {
                    nearest.add(new Near(other, how));
                }
            }
            nearest.sort(Comparator.comparingDouble(Near::how).reversed().thenComparing(Near::text));
            nearest.stream().limit(MOST_EACH).map(Near::text).filter(found::add).forEach(near::add);
        }
        return near;
    }

    private static double product(float[] one, float[] other) {
        double sum = 0;
        for (int at = 0; at < one.length; at++) {
            sum += one[at] * other[at];
        }
        return sum;
    }
}

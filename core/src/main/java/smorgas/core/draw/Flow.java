package smorgas.core.draw;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;

/**
 * What goes from where to where, drawn to scale: bars at the left and at the right with ribbons between them. Heights are in the
 * picture's own units.
 *
 * @param left in the order in which they were given
 * @param right in the order in which they were first met
 * @param height of the whole picture
 */
public record Flow(List<Bar> left, List<Bar> right, List<Ribbon> ribbons, double height) {

    /** Where the ribbons begin and end, from the left. */
    public static final int FROM = 262;

    public static final int TO = 438;

    private static final double UNIT = 6;
    /** How high all bars may be together, but for the least that each is. */
    private static final double MOST = 300;

    private static final double LEAST = 14;
    private static final double GAP = 6;
    private static final int MIDDLE = (FROM + TO) / 2;

    /**
     * A bar.
     *
     * @param of its number among those given
     */
    public record Bar(int of, double y, double height) {
        /** Where its label stands. */
        public double middle() {
            return y + height / 2;
        }
    }

    /** What goes from a bar at the left to one at the right. */
    public record Ribbon(int from, int to, String path) {}

    /**
     * Puts it together.
     *
     * @param amounts for each at the left what goes where, by the number of the right one
     */
    public static Flow of(List<Map<Integer, Integer>> amounts) {
        Map<Integer, Integer> sums = new LinkedHashMap<>();
        amounts.forEach(one -> one.forEach((to, much) -> sums.merge(to, much, Integer::sum)));
        double all = sums.values().stream().mapToInt(Integer::intValue).sum();
        double unit = Math.min(UNIT, MOST / Math.max(1, all));
        List<Bar> left = new ArrayList<>();
        double y = 0;
        for (int from = 0; from < amounts.size(); from++) {
            double height = Math.max(
                    LEAST,
                    unit
                            * amounts.get(from).values().stream()
                                    .mapToInt(Integer::intValue)
                                    .sum());
            left.add(new Bar(from, y, height));
            y += height + GAP;
        }
        Map<Integer, Bar> right = new LinkedHashMap<>();
        double at = 0;
        for (Map.Entry<Integer, Integer> sum : sums.entrySet()) {
            double height = Math.max(LEAST, unit * sum.getValue());
            right.put(sum.getKey(), new Bar(sum.getKey(), at, height));
            at += height + GAP;
        }
        List<Ribbon> ribbons = new ArrayList<>();
        Map<Integer, Double> used = new LinkedHashMap<>();
        for (Bar from : left) {
            double begun = from.y();
            for (Map.Entry<Integer, Integer> one : amounts.get(from.of()).entrySet()) {
                Bar to = right.get(one.getKey());
                double thick = unit * one.getValue();
                double end = to.y() + used.merge(one.getKey(), thick, Double::sum) - thick;
                ribbons.add(new Ribbon(from.of(), one.getKey(), path(begun, end, thick)));
                begun += thick;
            }
        }
        return new Flow(left, List.copyOf(right.values()), ribbons, Math.max(y, at));
    }

    private static String path(double from, double to, double thick) {
        return String.format(
                Locale.ENGLISH,
                "M%d,%.1f C%d,%.1f %d,%.1f %d,%.1f L%d,%.1f C%d,%.1f %d,%.1f %d,%.1f Z",
                FROM,
                from,
                MIDDLE,
                from,
                MIDDLE,
                to,
                TO,
                to,
                TO,
                to + thick,
                MIDDLE,
                to + thick,
                MIDDLE,
                from + thick,
                FROM,
                from + thick);
    }
}

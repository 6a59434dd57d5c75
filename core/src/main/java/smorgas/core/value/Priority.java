package smorgas.core.value;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import smorgas.core.column.FigureColumn;
import smorgas.core.column.Numbers;
import smorgas.core.figure.Figure;
import smorgas.core.fold.Keywords;
import smorgas.core.recipe.value.PrioritySettings;
import smorgas.core.recipe.value.PrioritySettings.Factor;

/**
 * A verdict of every keyword by one's own weights: the mean of what each factor says, from 0 to 1, weighed; what is unknown of
 * a keyword counts as neither good nor bad, and of which nothing is known has no verdict. Searches and bids say which share of
 * the keywords have less (a midrank, as textbooks of statistics have it), competition and difficulty their index, intent and
 * words their points. Common practice; no formula of a publication.
 */
public final class Priority {

    private static final double HALF = .5;

    /** What a factor says of a keyword, from 0 to 1, and with which weight. */
    public record Said(Factor factor, double value, int weight) {}

    private final Keywords keywords;
    private final PrioritySettings settings;
    private final Map<Factor, double[]> values = new EnumMap<>(Factor.class);
    private final double[] scores;
    private final byte[] classes;

    private Priority(Keywords keywords, Intents intents, PrioritySettings settings, BitSet among) {
        this.keywords = keywords;
        this.settings = settings;
        int size = keywords.size();
        settings.weights().keySet().forEach(factor -> values.put(factor, value(factor, intents, among)));
        this.scores = new double[size];
        for (int keyword = 0; keyword < size; keyword++) {
            double sum = 0;
            int weights = 0;
            boolean any = false;
            for (Map.Entry<Factor, double[]> entry : values.entrySet()) {
                double told = entry.getValue()[keyword];
                any |= !Double.isNaN(told);
                // Neither good nor bad; left out, a keyword of which little is known would be among the best.
                double value = Double.isNaN(told) ? HALF : told;
                int weight = settings.weights().get(entry.getKey());
                sum += Math.abs(weight) * (weight < 0 ? 1 - value : value);
                weights += Math.abs(weight);
            }
            scores[keyword] = any ? sum / weights : Double.NaN;
        }
        this.classes = classed(among);
    }

    /**
     * Of the keywords of a project.
     *
     * @param among those of which shares are taken, such as what is not dropped; the others are judged by the same bounds
     */
    public static Priority of(Keywords keywords, Intents intents, PrioritySettings settings, BitSet among) {
        return new Priority(keywords, intents, settings, among);
    }

    private double[] value(Factor factor, Intents intents, BitSet among) {
        return switch (factor) {
            case SEARCHES -> ranked(keywords.numbers(Figure.SEARCHES), among);
            case BID ->
                ranked(
                        keywords.numbers(keywords.figure(Figure.HIGH_BID).isPresent() ? Figure.HIGH_BID : Figure.CPC),
                        among);
            case COMPETITION -> index(keywords.numbers(Figure.COMPETITION));
            case DIFFICULTY -> index(keywords.numbers(Figure.DIFFICULTY));
            case INTENT -> {
                double[] points = new double[keywords.size()];
                Arrays.setAll(points, keyword -> intents.lead(keyword)
                        .map(lead -> settings.intents().getOrDefault(lead, 50) / 100.0)
                        .orElse(Double.NaN));
                yield points;
            }
            case WORDS -> {
                double[] points = new double[keywords.size()];
                settings.words().forEach((named, added) -> keywords.withWord(named).stream()
                        .forEach(keyword -> points[keyword] += added));
                for (int keyword = 0; keyword < points.length; keyword++) {
                    points[keyword] = HALF + Math.clamp(points[keyword], -100, 100) / 200;
                }
                yield points;
            }
        };
    }

    private double[] index(Numbers numbers) {
        double[] shares = new double[keywords.size()];
        Arrays.setAll(shares, keyword -> numbers.known(keyword) ? numbers.twiceMiddle(keyword) / 200.0 : Double.NaN);
        return shares;
    }

    /** Which share of the known ones has less, half of those that have as much. */
    private double[] ranked(Numbers numbers, BitSet among) {
        long[] sorted = among.stream()
                .filter(numbers::known)
                .mapToLong(numbers::twiceMiddle)
                .sorted()
                .toArray();
        double[] shares = new double[keywords.size()];
        for (int keyword = 0; keyword < shares.length; keyword++) {
            shares[keyword] = !numbers.known(keyword) || sorted.length == 0
                    ? Double.NaN
                    : midrank(sorted, numbers.twiceMiddle(keyword));
        }
        return shares;
    }

    private static double midrank(long[] sorted, long number) {
        int less = bound(sorted, number);
        int upTo = bound(sorted, number + 1);
        return (less + (upTo - less) / 2.0) / sorted.length;
    }

    /** How many are less than a number. */
    private static int bound(long[] sorted, long number) {
        int from = 0;
        int to = sorted.length;
        while (from < to) {
            int middle = (from + to) >>> 1;
            if (sorted[middle] < number) {
                from = middle + 1;
            } else {
                to = middle;
            }
        }
        return from;
    }

    /** Keywords of one score are in one class, the better one. */
    private byte[] classed(BitSet among) {
        double[] sorted = among.stream()
                .mapToDouble(keyword -> scores[keyword])
                .filter(score -> !Double.isNaN(score))
                .sorted()
                .toArray();
        int count = settings.classes().size();
        double[] least = new double[count];
        int share = 0;
        for (int i = 0; i < count; i++) {
            share += settings.classes().get(i).share();
            int upTo = (int) Math.round(sorted.length * share / 100.0);
            least[i] = upTo == 0 ? Double.POSITIVE_INFINITY : sorted[sorted.length - upTo];
        }
        byte[] found = new byte[scores.length];
        for (int keyword = 0; keyword < scores.length; keyword++) {
            byte one = 0;
            while (one < count - 1 && scores[keyword] < least[one]) {
                one++;
            }
            found[keyword] = Double.isNaN(scores[keyword]) ? -1 : one;
        }
        return found;
    }

    /** The score of a keyword from 0 to 1; empty if nothing is known that is weighed. */
    public OptionalDouble score(int keyword) {
        return Double.isNaN(scores[keyword]) ? OptionalDouble.empty() : OptionalDouble.of(scores[keyword]);
    }

    /** The scores from 0 to 100, in hundredths. */
    public Numbers scores() {
        return Numbers.of(
                keyword -> Double.isNaN(scores[keyword]) ? FigureColumn.UNKNOWN : Math.round(scores[keyword] * 10_000));
    }

    /** The name of the class of a keyword; empty if it has no score. */
    public String named(int keyword) {
        return classes[keyword] < 0
                ? ""
                : settings.classes().get(classes[keyword]).name();
    }

    /** The keywords of the class of a name; none if there is no such class. */
    public BitSet with(String name) {
        BitSet with = new BitSet(classes.length);
        for (int keyword = 0; keyword < classes.length; keyword++) {
            with.set(keyword, named(keyword).equals(name));
        }
        return with;
    }

    /** How many of some keywords are in each class, in their order, behind them those without a score. */
    public int[] counts(BitSet some) {
        int[] counts = new int[settings.classes().size() + 1];
        some.stream().forEach(keyword -> counts[classes[keyword] < 0 ? counts.length - 1 : classes[keyword]]++);
        return counts;
    }

    /** What each factor says of a keyword, the heaviest first; those that are unknown of it are not in it. */
    public List<Said> said(int keyword) {
        List<Said> said = new ArrayList<>();
        values.forEach((factor, value) -> {
            if (!Double.isNaN(value[keyword])) {
                said.add(new Said(factor, value[keyword], settings.weights().get(factor)));
            }
        });
        said.sort(java.util.Comparator.comparingInt(one -> -Math.abs(one.weight())));
        return said;
    }

    /** The factors that are weighed and unknown of a keyword. */
    public List<Factor> unknown(int keyword) {
        return Stream.of(Factor.values())
                .filter(values::containsKey)
                .filter(factor -> Double.isNaN(values.get(factor)[keyword]))
                .collect(Collectors.toList());
    }
}

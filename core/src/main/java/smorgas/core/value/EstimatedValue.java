package smorgas.core.value;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Function;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import smorgas.core.column.FigureColumn;
import smorgas.core.column.Numbers;
import smorgas.core.figure.Figure;
import smorgas.core.fold.Keywords;
import smorgas.core.recipe.Valuing;
import smorgas.core.recipe.value.Assumed;
import smorgas.core.recipe.value.Assumptions;
import smorgas.core.recipe.value.ClickTable;
import smorgas.core.recipe.value.CostBy;
import smorgas.core.recipe.value.Span;

/**
 * What keywords may bring in a month under the researcher's assumptions: searches times the share of clicks times the
 * conversion rate times the share that become customers times the value of one (common practice). Worked out for a keyword
 * whenever it is asked for; low ends come of low ends, middles of middles and high ends of high ends. What a factor is
 * unknown of is unknown.
 */
public final class EstimatedValue {

    private static final double PERCENT = 10_000;
    private static final double HUNDREDTHS = 100;
    /** Millionths of the currency in a hundredth. */
    private static final double MICROS_IN_ONE = 10_000;

    /** What can be told of a keyword, or of several; all in hundredths of one, or of the currency. */
    public enum Part {
        CLICKS,
        CONVERSIONS,
        COST,
        VALUE,
        /** The value less the cost; may be below zero. */
        RETURN
    }

    private enum End {
        LOW,
        MIDDLE,
        HIGH
    }

    /**
     * What several keywords may bring together.
     *
     * @param parts those that are known of some of them
     * @param keywords how many they are
     * @param simulated whether some of it follows from made-up figures
     */
    public record Sum(Map<Part, Total> parts, int keywords, boolean simulated) {}

    /**
     * One sum.
     *
     * @param unknown of how many keywords it is unknown; they are not in it
     */
    public record Total(double low, double middle, double high, int unknown) {}

    private final @Nullable FigureColumn searches;
    private final @Nullable FigureColumn cpc;
    private final @Nullable FigureColumn lowBid;
    private final @Nullable FigureColumn highBid;
    private final int size;
    private final List<Assumptions> assumed;
    private final List<Factors> factors;
    private final ClickTable clicks;
    /** Of each keyword the number of what is assumed of it; null if the same is of all. */
    private final int @Nullable [] which;

    private EstimatedValue(Keywords keywords, List<Assumptions> assumed, ClickTable clicks, int @Nullable [] which) {
        this.searches = keywords.figure(Figure.SEARCHES).orElse(null);
        this.cpc = keywords.figure(Figure.CPC).orElse(null);
        this.lowBid = keywords.figure(Figure.LOW_BID).orElse(null);
        this.highBid = keywords.figure(Figure.HIGH_BID).orElse(null);
        this.size = keywords.size();
        this.assumed = assumed;
        this.factors = assumed.stream().map(one -> Factors.of(one, clicks)).toList();
        this.clicks = clicks;
        this.which = which;
    }

    /**
     * Of the keywords of a project.
     *
     * @param tagged the keywords with a tag
     * @param members the keywords of the group of a key, none if there is no such; asked only if something is assumed of one
     */
    public static EstimatedValue of(
            Keywords keywords, Valuing valuing, Function<String, BitSet> tagged, Function<String, int[]> members) {
        if (valuing.byTag().isEmpty() && valuing.byGroup().isEmpty()) {
            return new EstimatedValue(keywords, List.of(valuing.assumptions()), valuing.clicks(), null);
        }
        List<Assumptions> all = new ArrayList<>(List.of(valuing.assumptions()));
        int[] which = new int[keywords.size()];
        valuing.byTag().forEach((tag, own) -> {
            int number = number(all, own.over(valuing.assumptions()));
            tagged.apply(tag).stream().forEach(keyword -> which[keyword] = number);
        });
        valuing.byGroup().forEach((key, own) -> {
            for (int keyword : members.apply(key)) {
                which[keyword] = number(all, own.over(all.get(which[keyword])));
            }
        });
        return new EstimatedValue(keywords, List.copyOf(all), valuing.clicks(), which);
    }

    private static int number(List<Assumptions> all, Assumptions one) {
        int known = all.indexOf(one);
        if (known < 0) {
            all.add(one);
        }
        return known < 0 ? all.size() - 1 : known;
    }

    /** What is assumed of a keyword. */
    public Assumptions assumed(int keyword) {
        return assumed.get(number(keyword));
    }

    private int number(int keyword) {
        return which == null ? 0 : which[keyword];
    }

    /** The share of clicks that is assumed of a keyword, in hundredths of a per cent; empty if none is. */
    public Optional<Span> clickShare(int keyword) {
        return clickShare(assumed(keyword), clicks);
    }

    private static Optional<Span> clickShare(Assumptions of, ClickTable clicks) {
        return of.figure(Assumed.CLICK_SHARE)
                // The lower place draws the fewer clicks.
                .or(() -> of.figure(Assumed.PLACE)
                        .map(place -> new Span(clicks.at(place.high()), clicks.at(place.low()))));
    }

    /** One part of it for all keywords. */
    public Numbers numbers(Part part) {
        return new Numbers() {
            @Override
            public boolean known(int keyword) {
                return !Double.isNaN(at(part, keyword, End.MIDDLE));
            }

            @Override
            public long low(int keyword) {
                return rounded(at(part, keyword, End.LOW));
            }

            @Override
            public long high(int keyword) {
                return rounded(at(part, keyword, End.HIGH));
            }

            @Override
            public long twiceMiddle(int keyword) {
                return rounded(2 * at(part, keyword, End.MIDDLE));
            }

            @Override
            public boolean simulated(int keyword) {
                return EstimatedValue.this.simulated(keyword);
            }
        };
    }

    /** Whether a figure that it follows from is made up. */
    private boolean simulated(int keyword) {
        return Stream.of(searches, cpc, lowBid, highBid)
                .anyMatch(column -> column != null && column.simulated(keyword));
    }

    private static long rounded(double parts) {
        return Double.isNaN(parts) ? FigureColumn.UNKNOWN : Math.round(parts);
    }

    /** What some keywords may bring together. */
    public Sum sum(BitSet some) {
        Map<Part, Total> parts = new EnumMap<>(Part.class);
        int keywords = some.cardinality();
        for (Part part : Part.values()) {
            double[] ends = new double[End.values().length];
            int known = 0;
            for (int keyword = some.nextSetBit(0); keyword >= 0; keyword = some.nextSetBit(keyword + 1)) {
                double middle = at(part, keyword, End.MIDDLE);
                if (!Double.isNaN(middle)) {
                    known++;
                    ends[0] += at(part, keyword, End.LOW);
                    ends[1] += middle;
                    ends[2] += at(part, keyword, End.HIGH);
                }
            }
            if (known > 0) {
                parts.put(part, new Total(ends[0], ends[1], ends[2], keywords - known));
            }
        }
        return new Sum(parts, keywords, !parts.isEmpty() && some.stream().anyMatch(this::simulated));
    }

    /**
     * What one click on a keyword brings by what is assumed of it, in millionths of the currency; empty if an assumption is
     * missing.
     */
    public OptionalDouble clickEstimatedValue(int keyword) {
        double estimatedValue = factors.get(number(keyword)).valueOfClick(End.MIDDLE);
        return Double.isNaN(estimatedValue) ? OptionalDouble.empty() : OptionalDouble.of(estimatedValue);
    }

    /** The same of an array. */
    public Sum sum(int[] some) {
        BitSet set = new BitSet(size);
        Arrays.stream(some).forEach(set::set);
        return sum(set);
    }

    /** In hundredths; not a number if a factor is unknown. */
    private double at(Part part, int keyword, End end) {
        Factors of = factors.get(number(keyword));
        return switch (part) {
            case CLICKS -> HUNDREDTHS * clicks(of, keyword, end);
            case CONVERSIONS -> HUNDREDTHS * clicks(of, keyword, end) * of.rate()[end.ordinal()];
            case COST -> clicks(of, keyword, end) * costOfClick(of, keyword, end) / MICROS_IN_ONE;
            case VALUE -> clicks(of, keyword, end) * of.valueOfClick(end) / MICROS_IN_ONE;
            case RETURN -> returns(of, keyword, end) / MICROS_IN_ONE;
        };
    }

    private double clicks(Factors of, int keyword, End end) {
        return figure(searches, keyword, end) * of.share()[end.ordinal()];
    }

    private double costOfClick(Factors of, int keyword, End end) {
        return switch (of.cost()) {
            case NOTHING -> 0;
            case LOW_BID -> figure(lowBid, keyword, end);
            case HIGH_BID -> figure(highBid, keyword, end);
            case CPC_OR_BIDS, AS_ELSEWHERE -> {
                double known = figure(cpc, keyword, end);
                yield Double.isNaN(known) ? betweenBids(keyword, end) : known;
            }
        };
    }

    private double betweenBids(int keyword, End end) {
        double from = figure(lowBid, keyword, end);
        double to = figure(highBid, keyword, end);
        double low = Double.isNaN(from) ? to : from;
        double high = Double.isNaN(to) ? from : to;
        return end == End.LOW ? low : end == End.HIGH ? high : (low + high) / 2;
    }

    /** The clicks are the same that bring and cost, so the least is not the least value less the most cost. */
    private double returns(Factors of, int keyword, End end) {
        End other = end == End.LOW ? End.HIGH : end == End.HIGH ? End.LOW : End.MIDDLE;
        double ofClick = of.valueOfClick(end) - costOfClick(of, keyword, other);
        return ofClick * clicks(of, keyword, ofClick < 0 ? other : end);
    }

    private static double figure(@Nullable FigureColumn column, int keyword, End end) {
        if (column == null || !column.known(keyword)) {
            return Double.NaN;
        }
        return switch (end) {
            case LOW -> column.low(keyword);
            case MIDDLE -> column.twiceMiddle(keyword) / 2.0;
            case HIGH -> column.high(keyword);
        };
    }

    /**
     * What is assumed, by low end, middle and high end; not a number where nothing is.
     *
     * @param share clicks of a search
     * @param rate conversions of a click
     * @param value of a conversion, in millionths of the currency
     */
    private record Factors(double[] share, double[] rate, double[] value, CostBy cost) {
        static Factors of(Assumptions of, ClickTable clicks) {
            double[] value = ends(of.figure(Assumed.VALUE), 1);
            double[] customers =
                    ends(of.figure(Assumed.CUSTOMER_SHARE).or(() -> Optional.of(Span.of((long) PERCENT))), PERCENT);
            for (int end = 0; end < value.length; end++) {
                value[end] *= customers[end];
            }
            return new Factors(
                    ends(clickShare(of, clicks), PERCENT),
                    ends(of.figure(Assumed.CONVERSION_RATE), PERCENT),
                    value,
                    of.cost());
        }

        private static double[] ends(Optional<Span> of, double one) {
            return of.map(span -> new double[] {span.low() / one, span.middle() / one, span.high() / one})
                    .orElse(new double[] {Double.NaN, Double.NaN, Double.NaN});
        }

        double valueOfClick(End end) {
            return rate[end.ordinal()] * value[end.ordinal()];
        }
    }
}

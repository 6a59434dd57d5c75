package smorgas.core.figure;

import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import smorgas.core.text.Message;

/**
 * A number that lists carry for a keyword. Stored as a whole number of {@link #scale()} parts of the unit, so that
 * nothing is rounded on the way: a bid of 0.75 is 750,000 micros.
 */
public enum Figure implements Fact {
    /** Searches in an average month, in whole searches. */
    SEARCHES("Searches", Unit.COUNT, Merge.LARGEST, "figure.searches"),
    /** Cost per click, in the basket's currency. */
    CPC("CPC", Unit.MONEY, Merge.LATEST, "figure.cpc"),
    /** The lower bound of what others bid for a place at the top, in the basket's currency. */
    LOW_BID("Low bid", Unit.MONEY, Merge.LATEST, "figure.low-bid"),
    /** The upper bound of what others bid for a place at the top, in the basket's currency. */
    HIGH_BID("High bid", Unit.MONEY, Merge.LATEST, "figure.high-bid"),
    /** Place among the results, 1 is the first. */
    POSITION("Position", Unit.PLACE, Merge.BEST, "figure.position"),
    /**
     * How many bid on it, as an index of 0 to 100. The words low, medium and high stand for the ranges 0-33, 34-66 and
     * 67-100 (common practice).
     */
    COMPETITION("Competition", Unit.INDEX, Merge.LATEST, "figure.competition"),
    /** The place it held before. */
    PREVIOUS_POSITION("Previous position", Unit.PLACE, Merge.BEST, "figure.previous-position"),
    /** How searches changed, in per cent; may be below zero. */
    CHANGE("Change", Unit.PERCENT, Merge.LATEST, "figure.change"),
    /** Visits a month that somebody gets by it, in whole visits. */
    TRAFFIC("Traffic", Unit.COUNT, Merge.LARGEST, "figure.traffic"),
    /** How hard it is to rank for, as an index of 0 to 100. */
    DIFFICULTY("Difficulty", Unit.INDEX, Merge.LATEST, "figure.difficulty"),
    CLICKS("Clicks", Unit.COUNT, Merge.LATEST, "figure.clicks"),
    IMPRESSIONS("Impressions", Unit.COUNT, Merge.LATEST, "figure.impressions"),
    /** Clicks of a hundred impressions, in per cent. */
    CTR("CTR", Unit.PERCENT, Merge.LATEST, "figure.ctr"),
    /** What its clicks have cost, in the basket's currency. */
    COST("Cost", Unit.MONEY, Merge.LATEST, "figure.cost"),
    /** What was reached by its clicks; platforms count parts of one. */
    CONVERSIONS("Conversions", Unit.PLACE, Merge.LATEST, "figure.conversions"),
    /** How well a platform thinks that keyword, ad and page go together, from 1 to 10. */
    QUALITY("Quality score", Unit.INDEX, Merge.LATEST, "figure.quality"),
    /** Visits to one's own site in which it was searched for, as a server's log tells. */
    VISITS("Visits", Unit.COUNT, Merge.SUM, "figure.visits"),
    /** What visits with it reached later, each goal by its weight. */
    GOALS("Goals", Unit.PLACE, Merge.SUM, "figure.goals");

    /** What a figure is counted in. */
    public enum Unit {
        /** Whole things. */
        COUNT(1),
        /** Money, in millionths of the currency. */
        MONEY(1_000_000),
        /** A place or a count that may have decimals, in hundredths. */
        PLACE(100),
        /** Per cent, in hundredths of one. */
        PERCENT(100),
        /** An index of 0 to 100. */
        INDEX(1);

        private final long scale;

        Unit(long scale) {
            this.scale = scale;
        }
    }

    private final String fixedName;
    private final Unit unit;
    private final Merge standardMerge;
    private final Message because;

    Figure(String fixedName, Unit unit, Merge standardMerge, String because) {
        this.fixedName = fixedName;
        this.unit = unit;
        this.standardMerge = standardMerge;
        this.because = Message.of(because);
    }

    @Override
    public String fixedName() {
        return fixedName;
    }

    @Override
    public boolean number() {
        return true;
    }

    @Override
    public Since since() {
        return Since.FOLDED;
    }

    /** Of places the first comes first. */
    @Override
    public boolean rises() {
        return this == POSITION;
    }

    @Override
    public Set<Use> uses() {
        return SHOWN_FIRST.contains(this)
                ? EnumSet.of(Use.COLUMN, Use.COLUMN_AT_FIRST, Use.SORT, Use.EXPORT)
                : EnumSet.of(Use.COLUMN, Use.SORT, Use.EXPORT);
    }

    public Unit unit() {
        return unit;
    }

    @Override
    public long scale() {
        return unit.scale;
    }

    private static final Set<Figure> SHOWN_FIRST =
            EnumSet.of(SEARCHES, LOW_BID, HIGH_BID, CPC, POSITION, COMPETITION, VISITS, GOALS);

    /** What belongs together, and is taken from one line where it cannot be added. */
    private static final List<Set<Figure>> FAMILIES = List.of(
            EnumSet.of(LOW_BID, HIGH_BID),
            EnumSet.of(POSITION, PREVIOUS_POSITION),
            EnumSet.of(CLICKS, IMPRESSIONS, CTR, COST, CONVERSIONS),
            EnumSet.of(VISITS, GOALS));

    /** The figures that it belongs together with, itself among them, in their order. */
    public Set<Figure> family() {
        return FAMILIES.stream()
                .filter(family -> family.contains(this))
                .findFirst()
                .orElse(Set.of(this));
    }

    /** How it is merged until the researcher says otherwise. */
    public Merge standardMerge() {
        return standardMerge;
    }

    /** Why it is merged so at first, a sentence without a capital and a full stop. */
    public Message because() {
        return because;
    }
}

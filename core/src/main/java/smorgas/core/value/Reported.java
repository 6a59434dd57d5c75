package smorgas.core.value;

import java.util.Comparator;
import smorgas.core.figure.Figure;
import smorgas.core.gather.Lines;

/**
 * What rows of a campaign report tell together; conversions in hundredths, cost in millionths of the currency, 0 for what they
 * do not tell.
 */
public record Reported(long clicks, long impressions, long cost, long conversions) {

    public static final Reported NOTHING = new Reported(0, 0, 0, 0);

    /**
     * Of ads: those that were shown often enough to tell, by conversions, then by click-through; the others behind them, alike.
     *
     * @param enough impressions of an ad that tells something
     */
    public static Comparator<Reported> bestAd(int enough) {
        return Comparator.comparing((Reported one) -> !one.tells(enough))
                .thenComparingLong(one -> one.tells(enough) ? -one.conversions : 0)
                .thenComparingDouble(one -> one.tells(enough) ? -one.clicks / (double) one.impressions : 0);
    }

    /** Of one row of a list. */
    public static Reported of(Lines lines, int row) {
        return new Reported(
                number(lines, Figure.CLICKS, row),
                number(lines, Figure.IMPRESSIONS, row),
                number(lines, Figure.COST, row),
                number(lines, Figure.CONVERSIONS, row));
    }

    /** A figure of a row in its parts, a range by its middle; 0 if it is not told. */
    public static long number(Lines lines, Figure figure, int row) {
        return lines.figure(figure)
                .filter(column -> column.known(row))
                .map(column -> column.twiceMiddle(row) / 2)
                .orElse(0L);
    }

    /** Whether it is of enough impressions to judge an ad by. */
    public boolean tells(int enough) {
        return impressions >= enough;
    }

    /** Both together. */
    public Reported and(Reported other) {
        return new Reported(
                clicks + other.clicks,
                impressions + other.impressions,
                cost + other.cost,
                conversions + other.conversions);
    }
}

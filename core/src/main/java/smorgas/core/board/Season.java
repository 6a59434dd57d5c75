package smorgas.core.board;

import java.time.YearMonth;
import java.util.List;
import java.util.Optional;
import java.util.SortedMap;
import java.util.TreeMap;
import smorgas.core.text.Message;
import smorgas.core.text.When;

/**
 * Whether what is searched otherwise is what the season brings: the months that came are held against the same months of the year
 * before, which is what a seasonal naive forecast expects of them (Hyndman and Athanasopoulos, Forecasting: Principles and
 * Practice, third edition, section 5.2).
 *
 * @param first the first month that came
 * @param last the last one
 * @param searched in a month of those, in the mean
 * @param yearBefore in the same months of the year before
 */
public record Season(YearMonth first, YearMonth last, long searched, long yearBefore) {

    /** How far above or below it may be and be of the season: lists tell searches in steps of about a fifth (common practice). */
    private static final double USUAL = 1.2;

    private static final int YEAR = 12;

    /**
     * Of a keyword.
     *
     * @param then what lists told before, by month
     * @param now what they tell now
     * @return empty if no month came or one of the year before is not known
     */
    static Optional<Season> between(SortedMap<YearMonth, Integer> then, SortedMap<YearMonth, Integer> now) {
        if (then.isEmpty() || now.isEmpty()) {
            return Optional.empty();
        }
        SortedMap<YearMonth, Integer> all = new TreeMap<>(then);
        all.putAll(now);
        List<YearMonth> came =
                List.copyOf(all.tailMap(then.lastKey().plusMonths(1)).keySet());
        if (came.isEmpty()
                || came.size() > YEAR
                || came.stream().anyMatch(month -> !all.containsKey(month.minusYears(1)))) {
            return Optional.empty();
        }
        return Optional.of(new Season(
                came.getFirst(),
                came.getLast(),
                mean(came.stream().mapToLong(all::get).sum(), came.size()),
                mean(
                        came.stream()
                                .mapToLong(month -> all.get(month.minusYears(1)))
                                .sum(),
                        came.size())));
    }

    private static long mean(long sum, int months) {
        return Math.round(sum / (double) months);
    }

    /** Whether it is about what it was a year before. */
    public boolean usual() {
        return searched <= USUAL * yearBefore && yearBefore <= USUAL * searched;
    }

    /** In words. */
    public Message told() {
        Message when = first.equals(last)
                ? When.month(first)
                : Message.of("when.from-to", When.month(first), When.month(last));
        return Message.of("board.season.year-before", when, searched, yearBefore);
    }
}

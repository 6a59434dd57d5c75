package smorgas.core.board;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import smorgas.core.column.Figure;
import smorgas.core.gather.Lines;
import smorgas.core.text.Tidy;
import smorgas.core.value.TwoProportions;

/**
 * What came of a change: of each group what a report from before tells of its keywords, and what one from since tells. Shares are
 * compared, not sums, for the two need not be of as many weeks.
 */
public final class BeforeAfter {

    private static final double HUNDREDTHS = 100;

    private BeforeAfter() {}

    /**
     * A group at both times.
     *
     * @param group its number; -1 for what is in no group
     * @param clickThrough clicks of impressions
     * @param conversion conversions of clicks
     */
    public record Row(
            int group,
            OldStructure.Sums before,
            OldStructure.Sums after,
            TwoProportions clickThrough,
            TwoProportions conversion) {}

    /** The groups of which either report tells anything, those with most clicks in both first. */
    public static List<Row> of(Board board, Lines before, Lines after) {
        Map<Integer, OldStructure.Sums> old = sums(board, before);
        Map<Integer, OldStructure.Sums> now = sums(board, after);
        Set<Integer> groups = new TreeSet<>(old.keySet());
        groups.addAll(now.keySet());
        List<Row> rows = new ArrayList<>();
        for (int group : groups) {
            rows.add(row(
                    group,
                    old.getOrDefault(group, OldStructure.Sums.NONE),
                    now.getOrDefault(group, OldStructure.Sums.NONE)));
        }
        rows.sort(Comparator.comparingLong(
                        (Row row) -> -row.before().clicks() - row.after().clicks())
                .thenComparingInt(Row::group));
        return rows;
    }

    /** All of them together. */
    public static Row total(List<Row> rows) {
        return row(
                -1,
                rows.stream().map(Row::before).reduce(OldStructure.Sums.NONE, OldStructure.Sums::and),
                rows.stream().map(Row::after).reduce(OldStructure.Sums.NONE, OldStructure.Sums::and));
    }

    private static Row row(int group, OldStructure.Sums before, OldStructure.Sums after) {
        return new Row(
                group,
                before,
                after,
                new TwoProportions(before.clicks(), before.impressions(), after.clicks(), after.impressions()),
                new TwoProportions(
                        before.conversions() / HUNDREDTHS,
                        before.clicks(),
                        after.conversions() / HUNDREDTHS,
                        after.clicks()));
    }

    private static Map<Integer, OldStructure.Sums> sums(Board board, Lines lines) {
        Map<Integer, OldStructure.Sums> sums = new HashMap<>();
        for (int row = 0; row < lines.size(); row++) {
            Optional<Integer> keyword = board.keywords().meant(Tidy.of(lines.text(row)));
            int group = keyword.map(
                            one -> Math.max(-1, board.groups().grouping().groupOf(one)))
                    .orElse(-1);
            sums.merge(
                    group,
                    new OldStructure.Sums(
                            OldStructure.number(lines, Figure.CLICKS, row),
                            OldStructure.number(lines, Figure.IMPRESSIONS, row),
                            OldStructure.number(lines, Figure.COST, row),
                            OldStructure.number(lines, Figure.CONVERSIONS, row)),
                    OldStructure.Sums::and);
        }
        sums.values().removeIf(OldStructure.Sums.NONE::equals);
        return sums;
    }
}

package smorgas.core.board;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import smorgas.core.column.TextColumn;
import smorgas.core.figure.ColumnRole;
import smorgas.core.gather.Lines;
import smorgas.core.text.Tidy;
import smorgas.core.value.Reported;
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
            int group, Reported before, Reported after, TwoProportions clickThrough, TwoProportions conversion) {}

    /** The groups of which either report tells anything, those with most clicks in both first. */
    public static List<Row> of(Board board, Lines before, Lines after) {
        Map<Integer, Reported> old = sums(board, before, Map.of());
        Map<Integer, Reported> now = sums(board, after, byAdGroup(board, after));
        Set<Integer> groups = new TreeSet<>(old.keySet());
        groups.addAll(now.keySet());
        List<Row> rows = new ArrayList<>();
        for (int group : groups) {
            rows.add(row(group, old.getOrDefault(group, Reported.NOTHING), now.getOrDefault(group, Reported.NOTHING)));
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
                rows.stream().map(Row::before).reduce(Reported.NOTHING, Reported::and),
                rows.stream().map(Row::after).reduce(Reported.NOTHING, Reported::and));
    }

    private static Row row(int group, Reported before, Reported after) {
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

    /**
     * By the group of its keyword; of what is in none, as of search terms, by the ad group of the plan that answered it.
     *
     * @param ours the groups of the plan's ad groups by their names; none for a report from before there were any
     */
    private static Map<Integer, Reported> sums(Board board, Lines lines, Map<String, Integer> ours) {
        Map<Integer, Reported> sums = new HashMap<>();
        List<TextColumn> adGroups = lines.texts(ColumnRole.AD_GROUP);
        for (int row = 0; row < lines.size(); row++) {
            Optional<Integer> keyword = board.keywords().meant(Tidy.of(lines.text(row)));
            int of = keyword.map(one -> Math.max(-1, board.groups().grouping().groupOf(one)))
                    .orElse(-1);
            int group = of < 0 && !ours.isEmpty()
                    ? ours.getOrDefault(adGroups.getFirst().text(row), -1)
                    : of;
            sums.merge(group, Reported.of(lines, row), Reported::and);
        }
        sums.values().removeIf(Reported.NOTHING::equals);
        return sums;
    }

    private static Map<String, Integer> byAdGroup(Board board, Lines lines) {
        if (lines.texts(ColumnRole.AD_GROUP).isEmpty()) {
            return Map.of();
        }
        Map<String, Integer> groups = new HashMap<>();
        board.plan().campaigns().stream()
                .flatMap(campaign -> campaign.adGroups().stream())
                .filter(adGroup -> !adGroup.keys().isEmpty())
                .forEach(adGroup -> groups.putIfAbsent(
                        adGroup.name(), board.groups().find(adGroup.keys().getFirst())));
        return groups;
    }
}

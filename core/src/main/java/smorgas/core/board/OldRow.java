package smorgas.core.board;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import smorgas.core.column.TextColumn;
import smorgas.core.figure.ColumnRole;
import smorgas.core.figure.Figure;
import smorgas.core.gather.Lines;
import smorgas.core.group.Grouping;
import smorgas.core.recipe.serve.MatchType;
import smorgas.core.serve.Csv;
import smorgas.core.serve.PlanRecord;
import smorgas.core.text.Formulas;
import smorgas.core.text.Tidy;
import smorgas.core.value.Reported;

/**
 * A row of a campaign that runs.
 *
 * @param keyword its number in the project; -1 if it is not there
 * @param into the number of the group that it is in; -1 if it is in none
 * @param bid in millionths of the currency; 0 if not told
 * @param quality from 1 to 10; 0 if not told
 */
record OldRow(
        String campaign,
        String group,
        String text,
        int keyword,
        int into,
        String type,
        long bid,
        long quality,
        String page,
        String ad,
        Reported sums) {

    private static final Set<String> NOT_RUNNING = Set.of("paused", "removed", "deleted", "ended", "disabled");

    /** All rows of these lists that run. */
    static List<OldRow> of(Board board, List<Lines> lists) {
        List<OldRow> rows = new ArrayList<>();
        lists.forEach(lines -> add(board, lines, rows));
        return rows;
    }

    /** The ad group that it is in. */
    String place() {
        return campaign + "\n" + group;
    }

    private static void add(Board board, Lines lines, List<OldRow> rows) {
        Grouping grouping = board.groups().grouping();
        for (int at = 0; at < lines.size(); at++) {
            String group = cell(lines, ColumnRole.AD_GROUP, at);
            String type = cell(lines, ColumnRole.MATCH_TYPE, at).toLowerCase(Locale.ROOT);
            String status = cell(lines, ColumnRole.STATUS, at).toLowerCase(Locale.ROOT);
            String text = Tidy.of(lines.text(at));
            if (!group.isEmpty()
                    && !text.isEmpty()
                    && !type.contains("negative")
                    && !NOT_RUNNING.contains(status)
                    && !Formulas.runs(group)) {
                int keyword = board.keywords().meant(text).orElse(-1);
                rows.add(new OldRow(
                        cell(lines, ColumnRole.CAMPAIGN, at),
                        group,
                        text,
                        keyword,
                        keyword < 0 ? -1 : Math.max(-1, grouping.groupOf(keyword)),
                        type(type),
                        Reported.number(lines, Figure.CPC, at),
                        Reported.number(lines, Figure.QUALITY, at),
                        cell(lines, ColumnRole.LANDING_PAGE, at),
                        cell(lines, ColumnRole.HEADLINE, at),
                        Reported.of(lines, at)));
            }
        }
    }

    /** As plans write it; broad where a report does not tell, which is what platforms take it for (common practice). */
    private static String type(String told) {
        return told.contains("exact")
                ? MatchType.EXACT.fixedName()
                : told.contains("phrase") ? MatchType.PHRASE.fixedName() : MatchType.BROAD.fixedName();
    }

    private static String cell(Lines lines, ColumnRole role, int at) {
        List<TextColumn> columns = lines.texts(role);
        return columns.isEmpty() ? "" : columns.getFirst().text(at).strip();
    }

    /** What runs, as a plan that was exported. */
    static PlanRecord plan(Map<String, List<OldRow>> byGroup) {
        List<PlanRecord.Row> all = new ArrayList<>();
        byGroup.values().forEach(of -> all.add(row(PlanRecord.Kind.AD_GROUP, of.getFirst(), "", "", "")));
        byGroup.values().stream()
                .flatMap(List::stream)
                .filter(row -> !Formulas.runs(row.text()))
                .forEach(row -> all.add(row(
                        PlanRecord.Kind.KEYWORD,
                        row,
                        row.text(),
                        row.type(),
                        row.bid() == 0 ? "" : Csv.amount(row.bid(), Figure.CPC.scale()))));
        return new PlanRecord(all);
    }

    private static PlanRecord.Row row(PlanRecord.Kind kind, OldRow of, String text, String type, String bid) {
        return new PlanRecord.Row(kind, of.campaign(), of.group(), text, type, bid, of.page(), "");
    }
}

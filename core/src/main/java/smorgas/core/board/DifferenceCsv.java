package smorgas.core.board;

import java.util.List;
import smorgas.core.column.FigureColumn;
import smorgas.core.serve.Csv;

/** What is otherwise at two times as a table for reading. */
public final class DifferenceCsv {

    private DifferenceCsv() {}

    /** The last cell is only there where something is made up. */
    private static String[] cells(List<String> cells, boolean simulated) {
        return cells.subList(0, simulated ? cells.size() : cells.size() - 1).toArray(String[]::new);
    }

    /** A row for each keyword and way in which it is otherwise. */
    public static void write(Difference difference, Csv csv) {
        boolean simulated = difference.rows().stream().anyMatch(Difference.Row::simulated);
        List<String> headings = List.of("what", "keyword", "searches", "was", "is", "simulated");
        csv.row(cells(headings, simulated));
        difference
                .rows()
                .forEach(row -> csv.row(cells(
                        List.of(
                                row.kind().label(),
                                row.text(),
                                row.twiceSearches() == FigureColumn.UNKNOWN
                                        ? ""
                                        : String.valueOf(row.twiceSearches() / 2),
                                row.was(),
                                row.is(),
                                row.simulated() ? "searches" : ""),
                        simulated)));
    }
}

package smorgas.core.board;

import smorgas.core.column.FigureColumn;
import smorgas.core.serve.Csv;

/** What is otherwise at two times as a table for reading. */
public final class DifferenceCsv {

    private DifferenceCsv() {}

    /** A row for each keyword and way in which it is otherwise. */
    public static void write(Difference difference, Csv csv) {
        csv.row("what", "keyword", "searches", "was", "is");
        difference
                .rows()
                .forEach(row -> csv.row(
                        row.kind().label(),
                        row.text(),
                        row.twiceSearches() == FigureColumn.UNKNOWN ? "" : String.valueOf(row.twiceSearches() / 2),
                        row.was(),
                        row.is()));
    }
}

package smorgas.app.web.sift;

import java.util.List;
import java.util.function.IntFunction;
import smorgas.core.board.Board;
import smorgas.core.board.Facts;
import smorgas.core.figure.Fact;
import smorgas.core.serve.Csv;

/** Writes keywords as a table for reading. */
public final class KeywordCsv {

    private KeywordCsv() {}

    /** Writes these keywords in this order, and closes. */
    public static void write(Board board, int[] keywords, Csv csv) {
        Facts facts = board.facts();
        List<Fact> columns = facts.exported();
        try (csv) {
            csv.row(columns.stream().map(Fact::fixedName).toArray(String[]::new));
            List<IntFunction<String>> cells =
                    columns.stream().map(facts::exporting).toList();
            for (int keyword : keywords) {
                csv.row(cells.stream().map(cell -> cell.apply(keyword)).toArray(String[]::new));
            }
        }
    }
}

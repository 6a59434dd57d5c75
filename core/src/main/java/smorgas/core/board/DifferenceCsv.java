package smorgas.core.board;

import java.util.Arrays;
import java.util.List;
import java.util.function.Function;
import java.util.stream.Stream;
import smorgas.core.column.FigureColumn;
import smorgas.core.serve.Csv;

/** What is otherwise at two times as a table for reading. */
public final class DifferenceCsv {

    private DifferenceCsv() {}

    /** A column that is only there where some row has something in it. */
    private enum Gated {
        SEASON("season", Difference.Row::season),
        SIMULATED("simulated", row -> row.simulated() ? "searches" : "");

        private final String heading;
        private final Function<Difference.Row, String> cell;

        Gated(String heading, Function<Difference.Row, String> cell) {
            this.heading = heading;
            this.cell = cell;
        }
    }

    /** A row for each keyword and way in which it is otherwise. */
    public static void write(Difference difference, Csv csv) {
        List<Gated> told = Arrays.stream(Gated.values())
                .filter(column -> difference.rows().stream()
                        .anyMatch(row -> !column.cell.apply(row).isEmpty()))
                .toList();
        csv.row(cells(
                List.of("what", "keyword", "searches", "was", "is"),
                told.stream().map(column -> column.heading)));
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
                                row.is()),
                        told.stream().map(column -> column.cell.apply(row)))));
    }

    private static String[] cells(List<String> always, Stream<String> gated) {
        return Stream.concat(always.stream(), gated).toArray(String[]::new);
    }
}

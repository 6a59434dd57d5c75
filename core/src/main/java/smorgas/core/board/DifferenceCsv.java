package smorgas.core.board;

import java.util.Arrays;
import java.util.List;
import java.util.function.Function;
import java.util.stream.Stream;
import smorgas.core.column.FigureColumn;
import smorgas.core.figure.Figure;
import smorgas.core.serve.Csv;
import smorgas.core.text.Message;
import smorgas.core.text.Wording;

/** What is otherwise at two times as a table for reading. */
public final class DifferenceCsv {

    private DifferenceCsv() {}

    /** A column that is only there where some row has something in it. */
    private enum Gated {
        SEASON("board.difference-csv.season", Difference.Row::season),
        SIMULATED("board.difference-csv.simulated", row -> row.simulated() ? Figure.SEARCHES.word() : Message.NONE);

        private final String heading;
        private final Function<Difference.Row, Message> cell;

        Gated(String heading, Function<Difference.Row, Message> cell) {
            this.heading = heading;
            this.cell = cell;
        }
    }

    /** A row for each keyword and way in which it is otherwise. */
    public static void write(Difference difference, Wording wording, Csv csv) {
        List<Gated> told = Arrays.stream(Gated.values())
                .filter(column -> difference.rows().stream()
                        .anyMatch(row -> !column.cell.apply(row).isEmpty()))
                .toList();
        csv.row(cells(
                Stream.of("what", "keyword", "searches", "was", "is")
                        .map(heading -> wording.of("board.difference-csv." + heading))
                        .toList(),
                told.stream().map(column -> wording.of(column.heading))));
        difference
                .rows()
                .forEach(row -> csv.row(cells(
                        List.of(
                                wording.of(row.kind().label()),
                                row.text(),
                                row.twiceSearches() == FigureColumn.UNKNOWN
                                        ? ""
                                        : String.valueOf(row.twiceSearches() / 2),
                                wording.of(row.was()),
                                wording.of(row.is())),
                        told.stream().map(column -> wording.of(column.cell.apply(row))))));
    }

    private static String[] cells(List<String> always, Stream<String> gated) {
        return Stream.concat(always.stream(), gated).toArray(String[]::new);
    }
}

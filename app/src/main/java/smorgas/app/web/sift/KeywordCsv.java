package smorgas.app.web.sift;

import java.util.ArrayList;
import java.util.List;
import smorgas.core.board.Board;
import smorgas.core.column.Figure;
import smorgas.core.serve.Csv;

/** Writes keywords as a table for reading. */
final class KeywordCsv {

    private KeywordCsv() {}

    static void write(Board board, int[] keywords, Csv csv) {
        try (csv) {
            List<String> header = new ArrayList<>(List.of("Keyword", "Standing", "Reason"));
            for (Figure figure : Figure.values()) {
                header.add(figure.label());
            }
            header.add("Baskets");
            header.add("Tags");
            csv.row(header.toArray(String[]::new));
            for (int keyword : keywords) {
                List<String> cells = new ArrayList<>();
                cells.add(board.keywords().text(keyword));
                cells.add(board.standings().of(keyword).label());
                cells.add(board.standings().reason(keyword).sentence());
                for (Figure figure : Figure.values()) {
                    cells.add(Csv.figure(figure, board.keywords().figure(figure).orElse(null), keyword));
                }
                cells.add(String.join(" | ", board.keywords().basketNames(keyword)));
                cells.add(String.join(" | ", board.standings().tags().of(keyword)));
                csv.row(cells.toArray(String[]::new));
            }
        }
    }
}

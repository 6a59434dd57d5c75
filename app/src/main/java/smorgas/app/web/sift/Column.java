package smorgas.app.web.sift;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import smorgas.app.work.GatheredBasket;
import smorgas.app.work.Snapshot;
import smorgas.core.board.Board;
import smorgas.core.column.ColumnRole;
import smorgas.core.column.Figure;

/**
 * A column of the keyword table beside standing and keyword.
 *
 * @param name tells it apart in URLs and in the recipe
 * @param label its heading
 */
record Column(String name, String label, Shows shows) {

    /** Before the name of a column of lists that is read as no figure. */
    static final String OTHER = "other:";

    /** What stands in its cells. */
    sealed interface Shows {}

    /** A figure of the keyword. */
    record OfFigure(Figure figure) implements Shows {}

    /** The cells of a column of lists that is read as no figure, as they stand. */
    record OfLists(String header) implements Shows {}

    /** Something that every keyword has. */
    enum Plain implements Shows {
        TREND,
        BASKETS,
        TAGS,
        WORDS,
        CHARACTERS,
        LINES,
        GROUP
    }

    private static final Set<Figure> SHOWN_FIRST =
            Set.of(Figure.SEARCHES, Figure.LOW_BID, Figure.HIGH_BID, Figure.CPC, Figure.POSITION, Figure.COMPETITION);

    private static Column of(Figure figure) {
        return new Column(figure.name().toLowerCase(Locale.ROOT), figure.label(), new OfFigure(figure));
    }

    private static Column of(Plain plain) {
        String name = plain.name().toLowerCase(Locale.ROOT);
        return new Column(name, Character.toUpperCase(name.charAt(0)) + name.substring(1), plain);
    }

    /** Whether the table can be sorted by it. */
    public boolean sortable() {
        return SiftQuery.sortable(name);
    }

    public boolean number() {
        return shows instanceof OfFigure || shows == Plain.WORDS || shows == Plain.CHARACTERS || shows == Plain.LINES;
    }

    /** Every column that this project can show, in the order in which they are shown at first. */
    static List<Column> all(Snapshot snapshot) {
        List<Column> columns = new ArrayList<>();
        for (Figure figure : Figure.values()) {
            if (figure == Figure.SEARCHES
                    || snapshot.board().keywords().figure(figure).isPresent()) {
                columns.add(of(figure));
            }
            if (figure == Figure.SEARCHES && hasMonths(snapshot)) {
                columns.add(of(Plain.TREND));
            }
        }
        for (Plain plain : Plain.values()) {
            if (plain != Plain.TREND) {
                columns.add(of(plain));
            }
        }
        Set<String> headers = new LinkedHashSet<>();
        for (GatheredBasket basket : snapshot.baskets()) {
            var reading = basket.stored().reading();
            for (int i = 0; i < reading.columns().size(); i++) {
                ColumnRole role = reading.columns().get(i);
                if (role.figure().isEmpty() && role != ColumnRole.KEYWORD && role != ColumnRole.MONTH) {
                    headers.add(reading.columnName(i));
                }
            }
        }
        headers.forEach(header -> columns.add(new Column(OTHER + header, header, new OfLists(header))));
        return columns;
    }

    /** Those that are shown: the chosen ones that there are, or the first choice if none were chosen. */
    static List<Column> shown(Snapshot snapshot) {
        List<Column> all = all(snapshot);
        List<String> chosen = snapshot.board().recipe().sifting().columns();
        if (chosen.isEmpty()) {
            return all.stream()
                    .filter(column -> shownFirst(column, snapshot.board()))
                    .toList();
        }
        return chosen.stream()
                .map(name -> find(name, all))
                .flatMap(Optional::stream)
                .toList();
    }

    private static Optional<Column> find(String name, List<Column> columns) {
        return columns.stream().filter(column -> column.name().equals(name)).findFirst();
    }

    private static boolean shownFirst(Column column, Board board) {
        return switch (column.shows()) {
            case OfFigure of -> SHOWN_FIRST.contains(of.figure());
            case OfLists of -> false;
            case Plain plain ->
                plain == Plain.TREND
                        || plain == Plain.BASKETS
                        || plain == Plain.TAGS
                                && !board.standings().tags().all().isEmpty();
        };
    }

    private static boolean hasMonths(Snapshot snapshot) {
        return snapshot.baskets().stream()
                .anyMatch(basket -> basket.stored().reading().columns().contains(ColumnRole.MONTH));
    }
}

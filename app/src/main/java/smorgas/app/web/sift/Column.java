package smorgas.app.web.sift;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import smorgas.app.work.GatheredBasket;
import smorgas.app.work.Snapshot;
import smorgas.core.board.Board;
import smorgas.core.figure.ColumnRole;
import smorgas.core.figure.Computed;
import smorgas.core.figure.Fact;
import smorgas.core.figure.Figure;
import smorgas.core.text.Message;

/**
 * A column of the keyword table beside status and keyword.
 *
 * @param name tells it apart in URLs and in the recipe
 * @param label its heading
 * @param roomy whether it is shown in wide windows only
 */
record Column(String name, Message label, Shows shows, boolean roomy) {

    /** Before the name of a column of lists that is read as no figure. */
    static final String OTHER = "other:";

    /** What stands in its cells. */
    sealed interface Shows {}

    /** Something that can be told of every keyword. */
    record OfFact(Fact fact) implements Shows {}

    /** The cells of a column of lists that is read as no figure, as they stand. */
    record OfLists(String header) implements Shows {}

    private static Column of(Fact fact) {
        return new Column(fact.key(), fact.label(), new OfFact(fact), false);
    }

    /** A column of lists that is read as no figure. */
    static Column ofLists(String header) {
        return new Column(OTHER + header, Message.verbatim(header), new OfLists(header), false);
    }

    private Column inRoomyWindows() {
        return new Column(name, label, shows, true);
    }

    /** Whether the table can be sorted by it. */
    public boolean sortable() {
        return SiftQuery.sortable(name);
    }

    public boolean number() {
        return shows instanceof OfFact of && of.fact().number();
    }

    /** Every column that this project can show, in the order in which they are shown at first. */
    static List<Column> all(Snapshot snapshot) {
        List<Column> columns = new ArrayList<>();
        for (Fact fact : Fact.all(Fact.Use.COLUMN)) {
            if (fact == Computed.TREND
                    ? hasMonths(snapshot)
                    // A project without searches wants to know that it has none.
                    : fact == Figure.SEARCHES
                            || fact instanceof Computed
                            || snapshot.board().facts().any(fact)) {
                columns.add(of(fact));
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
        headers.forEach(header -> columns.add(ofLists(header)));
        return columns;
    }

    /**
     * Those that are shown: the chosen ones that there are; if none were chosen the first choice, and where a window has
     * room for them the other figures that lists tell, and intent.
     */
    static List<Column> shown(Snapshot snapshot) {
        List<Column> all = all(snapshot);
        List<String> chosen = snapshot.board().recipe().sifting().columns();
        if (chosen.isEmpty()) {
            List<Column> first = new ArrayList<>(all);
            first.removeIf(column -> !shownFirst(column, snapshot.board()));
            all.stream()
                    .filter(column -> column.shows() instanceof OfFact of
                            && (of.fact() instanceof Figure || of.fact() == Computed.INTENT))
                    .filter(column -> !first.contains(column))
                    .map(Column::inRoomyWindows)
                    .forEach(first::add);
            return first;
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
        return column.shows() instanceof OfFact of
                && of.fact().isFor(Fact.Use.COLUMN_AT_FIRST)
                && (of.fact() == Figure.SEARCHES || board.facts().any(of.fact()));
    }

    private static boolean hasMonths(Snapshot snapshot) {
        return snapshot.baskets().stream()
                .anyMatch(basket -> basket.stored().reading().columns().contains(ColumnRole.MONTH));
    }
}

package smorgas.app.web.sift;

import it.unimi.dsi.fastutil.ints.IntArrayList;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import smorgas.app.store.Baskets;
import smorgas.app.web.show.Show;
import smorgas.app.work.Snapshot;
import smorgas.core.board.Board;
import smorgas.core.board.Facts;
import smorgas.core.board.Orders;
import smorgas.core.column.FigureColumn;
import smorgas.core.figure.Computed;
import smorgas.core.figure.Fact;
import smorgas.core.figure.Figure;
import smorgas.core.figure.Searched;
import smorgas.core.fold.Keywords;
import smorgas.core.gather.Lines;
import smorgas.core.recipe.sift.Status;
import smorgas.core.sift.MatchedWords;
import smorgas.core.sift.Reason;
import smorgas.core.text.Message;
import smorgas.core.text.Words;

/** The keyword table for one query. */
final class SiftTable {

    static final int ROWS = 200;
    /** Pages that may follow one another before the next begins a new list. */
    static final int MOST_PAGES = 5;

    /** A column's heading, and how the table is sorted by it: 0 not at all, 1 first, 2 and more where that leaves equals. */
    record Heading(String name, Message label, String url, String sorted, int level, boolean number, boolean roomy) {}

    /** A row; its number counts from the top of the whole list; cells from {@code roomy} on are for wide windows. */
    record Row(
            int number,
            String text,
            List<Words.Piece> pieces,
            String status,
            Message label,
            Message reason,
            Set<String> did,
            List<Cell> cells,
            int roomy) {}

    private final Snapshot snapshot;
    private final Board board;
    private final Keywords keywords;
    private final Facts facts;
    private final SiftQuery query;
    private final Baskets store;
    private final BitSet found;
    private final List<Column> columns;
    private final Map<String, Integer> tints = new HashMap<>();
    private final @Nullable FigureColumn searches;
    private final double most;
    private final MatchedWords because;

    SiftTable(Snapshot snapshot, SiftQuery query, Baskets store) {
        this.snapshot = snapshot;
        this.board = snapshot.board();
        this.keywords = board.keywords();
        this.facts = board.facts();
        this.query = query;
        this.store = store;
        this.found = query.found(board);
        this.columns = Column.shown(snapshot);
        this.searches = keywords.figure(Figure.SEARCHES).orElse(null);
        this.most = most();
        this.because = new MatchedWords(keywords, board.recipe().sifting().lists());
        int tint = 0;
        for (Lines basket : keywords.baskets()) {
            tints.put(basket.name(), tint++ % 8 + 1);
        }
    }

    private double most() {
        long found = 0;
        if (searches != null) {
            for (int k = 0; k < searches.size(); k++) {
                found = Math.max(found, searches.twiceMiddle(k));
            }
        }
        return Math.max(1, found);
    }

    /** The keywords that fulfil the query. */
    BitSet found() {
        return found;
    }

    int pages() {
        return Math.max(1, (found.cardinality() + ROWS - 1) / ROWS);
    }

    int page() {
        return Math.clamp(query.page(), 1, pages());
    }

    /** The last page shown. */
    int upto() {
        return Math.clamp(query.upto(), page(), pages());
    }

    /** All keywords found, in the order asked for. */
    int[] ordered() {
        List<SiftQuery.Sort> sorts = query.sorts();
        int fixed = sorts.size();
        while (fixed > 0 && SiftQuery.by(sorts.get(fixed - 1).name()).isPresent()) {
            fixed--;
        }
        // What acts change is no part of the orders, which outlast them: sorted by what comes behind it, then by it,
        // then by
        // what comes before.
        int[] ordered = onView(board.orders().by(levels(sorts.subList(fixed, sorts.size()))));
        for (SiftQuery.Sort sort : sorts.subList(0, fixed).reversed()) {
            if (SiftQuery.by(sort.name()).isPresent()) {
                board.orders().sortStably(ordered, levels(List.of(sort)));
            } else {
                ordered = Orders.byRank(ordered, Ranks.of(sort.name(), snapshot, found, store), sort.desc());
            }
        }
        return ordered;
    }

    private static List<Orders.Level> levels(List<SiftQuery.Sort> sorts) {
        return sorts.stream()
                .map(sort -> new Orders.Level(SiftQuery.by(sort.name()).orElseThrow(), sort.desc()))
                .toList();
    }

    private int[] onView(int[] order) {
        IntArrayList ordered = new IntArrayList(found.cardinality());
        for (int keyword : order) {
            if (found.get(keyword)) {
                ordered.add(keyword);
            }
        }
        return ordered.toIntArray();
    }

    /** The rows of the pages shown. */
    List<Row> rows() {
        int[] ordered = ordered();
        int from = (page() - 1) * ROWS;
        int[] shown = Arrays.copyOfRange(ordered, from, Math.clamp((long) upto() * ROWS, from, ordered.length));
        ListCells cells = ListCells.of(snapshot, shown, columns, store);
        List<Row> rows = new ArrayList<>();
        for (int i = 0; i < shown.length; i++) {
            rows.add(row(from + i, shown[i], cells));
        }
        return rows;
    }

    /** The one keyword as the row with this number. */
    Row row(int number, int keyword) {
        return row(number, keyword, ListCells.of(snapshot, new int[] {keyword}, columns, store));
    }

    private Row row(int number, int keyword, ListCells cells) {
        Status status = board.statuses().of(keyword);
        String text = keywords.text(keyword);
        return new Row(
                number,
                text,
                Words.pieces(text),
                status.name().toLowerCase(Locale.ROOT),
                status.label(),
                because.sentence(board.statuses().reason(keyword), keyword),
                status == Status.DROPPED ? did(keyword) : Set.of(),
                columns.stream().map(column -> cell(column, keyword, cells)).toList(),
                (int) columns.stream().filter(column -> !column.roomy()).count());
    }

    /** The words of a dropped keyword for which the rule has dropped it, as they are written in it. */
    private Set<String> did(int keyword) {
        return board.statuses().reason(keyword) instanceof Reason.ByRule by
                ? because.written(because.phrases(by.rule(), keyword), keyword)
                : Set.of();
    }

    private Cell cell(Column column, int keyword, ListCells cells) {
        return switch (column.shows()) {
            case Column.OfLists of -> new Cell.Text(Message.verbatim(cells.texts(keyword, of.header())), false);
            case Column.OfFact of -> cell(of.fact(), keyword, cells);
        };
    }

    /** Some are drawn; of the others the text is shown. */
    private Cell cell(Fact fact, int keyword, ListCells cells) {
        return switch (fact) {
            case Figure.SEARCHES -> searches(keyword);
            case Computed.TREND -> Trends.of(keywords, keyword);
            case Computed.BASKETS ->
                new Cell.Baskets(keywords.basketNames(keyword).stream()
                        .map(name -> new Cell.Dot(tints.getOrDefault(name, 1), name))
                        .toList());
            case Computed.TAGS -> new Cell.Tags(board.statuses().tags().of(keyword));
            case Fact other ->
                other.number()
                        ? new Cell.Text(Message.verbatim(Show.number(other, facts.numbers(other), keyword)), true)
                        : new Cell.Text(Message.joined("list.dot", facts.said(other, keyword)), false);
        };
    }

    private Cell searches(int keyword) {
        boolean known = searches != null && searches.known(keyword);
        return new Cell.Searches(
                Show.figure(Figure.SEARCHES, searches, keyword),
                known ? (int) Math.round(1_000 * Math.sqrt(searches.twiceMiddle(keyword) / most)) : 0);
    }

    /** The headings of the columns shown. */
    List<Heading> headings() {
        return columns.stream()
                .map(column ->
                        heading(column.name(), column.label(), column.sortable(), column.number(), column.roomy()))
                .toList();
    }

    /** The heading of the status or of the keyword. */
    Heading heading(String name, Message label) {
        return heading(name, label, true, false, false);
    }

    private Heading heading(String name, Message label, boolean sortable, boolean number, boolean roomy) {
        List<SiftQuery.Sort> sorts = query.sorts();
        for (int level = 0; level < sorts.size(); level++) {
            if (sorts.get(level).name().equals(name)) {
                String sorted = sorts.get(level).desc() ? "descending" : "ascending";
                return new Heading(name, label, query.urlSorted(name), sorted, level + 1, number, roomy);
            }
        }
        return new Heading(name, label, sortable ? query.urlSorted(name) : "", "none", 0, number, roomy);
    }

    /** Known searches of what is on view, in words; empty if no basket tells any. */
    String searches() {
        if (searches == null) {
            return "";
        }
        return Searched.of(found, searches).written();
    }

    /** By what the list is sorted, in words: "Searches, then Keyword", each with an arrow. */
    Message sortedBy() {
        return Message.joined(
                "sift.sift-table.then",
                query.sorts().stream()
                        .map(sort -> Message.of(
                                sort.desc() ? "sift.sift-table.falling" : "sift.sift-table.rising", label(sort.name())))
                        .toList());
    }

    private Message label(String name) {
        return Column.all(snapshot).stream()
                .filter(column -> column.name().equals(name))
                .findFirst()
                .map(Column::label)
                .orElse(name.equals("keyword") ? Computed.KEYWORD.label() : Computed.STATUS.label());
    }
}

package smorgas.app.web.gather;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalInt;
import smorgas.app.store.Baskets;
import smorgas.app.web.show.Show;
import smorgas.app.work.GatheredBasket;
import smorgas.core.board.Board;
import smorgas.core.board.TableGroups;
import smorgas.core.figure.ColumnRole;
import smorgas.core.gather.Lines;
import smorgas.core.gather.Problem;
import smorgas.core.gather.Reading;
import smorgas.core.recipe.gather.BasketInfo;
import smorgas.core.recipe.gather.ReadAs;
import smorgas.core.text.Message;

/**
 * The opened basket: how it was understood, and what can be put right.
 *
 * @param delimiters what may stand between cells, the present one marked; empty where there is nothing to choose
 */
record OpenedBasketView(
        long id,
        Message how,
        List<Column> columns,
        List<Message> problems,
        int problemCount,
        Reading reading,
        ReadAs readAs,
        List<Choice> delimiters,
        Message groupsTold,
        AskedView asked) {

    /** A column as it was understood, with samples as they stand in the file. */
    record Column(int place, String header, ColumnRole role, String samples) {}

    /** One of several. */
    record Choice(String value, Message label, boolean chosen) {}

    private static final int PROBLEMS_SHOWN = 50;

    static OpenedBasketView of(GatheredBasket basket, Baskets store, Board board, AskedView asked) {
        Reading reading = basket.stored().reading();
        Lines lines = basket.lines();
        return new OpenedBasketView(
                basket.id(),
                how(reading),
                columns(basket, store),
                lines.problems().stream()
                        .limit(PROBLEMS_SHOWN)
                        .map(Problem::sentence)
                        .toList(),
                lines.problemCount(),
                reading,
                basket.state().readAs(),
                delimiters(reading),
                TableGroups.of(board, lines).map(groups -> told(groups, board)).orElse(Message.NONE),
                asked);
    }

    /** What making its ad groups the groups would mean. */
    private static Message told(TableGroups groups, Board board) {
        // Groups that are not known yet are not waited for here.
        OptionalInt moved = board.groupsKnown() ? groups.moved(board.groups().grouping()) : OptionalInt.empty();
        return Message.of(
                "gather.opened-basket-view.ad-group-groups-they",
                groups.groups().size(),
                groups.placed(),
                groups.waiting(),
                groups.missing(),
                groups.twice(),
                (moved.isEmpty()
                        ? Message.NONE
                        : Message.of(
                                "gather.opened-basket-view.your-groups-stand-would",
                                moved.getAsInt(),
                                groups.placed(),
                                Show.percent(moved.getAsInt() / (double) groups.placed()))));
    }

    private static Message how(Reading reading) {
        Message format =
                switch (reading.format()) {
                    case DELIMITED -> Message.of("gather.opened-basket-view.cells-parted", name(reading.delimiter()));
                    case PLAIN -> Message.of("gather.opened-basket-view.plain-list");
                    default -> reading.format().label();
                };
        Message sheet = reading.sheet().isEmpty()
                ? Message.NONE
                : reading.sheet().equals(ReadAs.ALL_SHEETS)
                        ? Message.of("gather.opened-basket-view.all-sheets-lists")
                        : Message.of("gather.opened-basket-view.sheet", reading.sheet());
        String encoding = reading.encoding().isEmpty() ? "" : ", " + reading.encoding();
        Message header = reading.headerLine() > 0
                ? Message.of("gather.opened-basket-view.column-names-on-line", reading.headerLine())
                : Message.of("gather.opened-basket-view.column-names");
        return Message.of("gather.opened-basket-view.read-as", format, sheet, encoding, header);
    }

    private static Message name(char delimiter) {
        return switch (delimiter) {
            case '\t' -> Message.of("gather.opened-basket-view.tabs");
            case ';' -> Message.of("gather.opened-basket-view.semicolons");
            case '|' -> Message.of("gather.opened-basket-view.bars");
            default -> Message.of("gather.opened-basket-view.commas");
        };
    }

    private static List<Choice> delimiters(Reading reading) {
        if (reading.format() != Reading.Format.DELIMITED && reading.format() != Reading.Format.PLAIN) {
            return List.of();
        }
        List<Choice> choices = new ArrayList<>();
        for (char delimiter : new char[] {',', ';', '\t', '|'}) {
            choices.add(new Choice(String.valueOf(delimiter), name(delimiter), reading.delimiter() == delimiter));
        }
        choices.add(new Choice(
                "\n", Message.of("gather.opened-basket-view.one-keyword-line"), reading.delimiter() == Reading.PLAIN));
        return choices;
    }

    private static List<Column> columns(GatheredBasket basket, Baskets store) {
        Reading reading = basket.stored().reading();
        List<List<String>> samples = new ArrayList<>();
        for (int row = 0; row < Math.min(2, basket.lines().size()); row++) {
            samples.add(store.cells(basket.id(), basket.lines().lineNumber(row)));
        }
        List<Column> columns = new ArrayList<>();
        for (int place = 0; place < reading.columns().size(); place++) {
            int at = place;
            columns.add(new Column(
                    place,
                    reading.columnName(place),
                    reading.columns().get(place),
                    String.join(
                            " \u00B7 ",
                            samples.stream()
                                    .map(cells -> at < cells.size() ? cells.get(at) : "")
                                    .filter(cell -> !cell.isBlank())
                                    .map(cell -> cell.length() > 60 ? cell.substring(0, 60) + "\u2026" : cell)
                                    .toList())));
        }
        return columns;
    }

    /** For the page: every role that a column can have. */
    public List<ColumnRole> roles() {
        return List.of(ColumnRole.values());
    }

    /** What there is to report, counted. */
    public Message report() {
        return problemCount == 0
                ? Message.of("gather.opened-basket-view.nothing-report")
                : Message.of("gather.opened-basket-view.thing-report", problemCount);
    }

    /** For the page: every kind that a basket can be of. */
    public List<BasketInfo.Kind> kinds() {
        return List.of(BasketInfo.Kind.values());
    }
}

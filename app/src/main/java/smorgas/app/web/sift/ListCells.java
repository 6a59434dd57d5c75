package smorgas.app.web.sift;

import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import smorgas.app.store.Baskets;
import smorgas.app.web.show.Show;
import smorgas.app.work.GatheredBasket;
import smorgas.app.work.Snapshot;
import smorgas.core.column.ColumnRole;
import smorgas.core.column.Computed;
import smorgas.core.column.FigureColumn;
import smorgas.core.fold.Keywords;
import smorgas.core.gather.Reading;

/** The cells of lists that are kept as they stand, for the few keywords of a page: read from the store for all at once. */
final class ListCells {

    private static final DateTimeFormatter NAMES = DateTimeFormatter.ofPattern("MMMM yyyy", Locale.ENGLISH);

    private static final int WIDTH = 60;
    private static final int HEIGHT = 14;

    private final Snapshot snapshot;
    private final Map<Long, Reading> readings;
    /** By basket and line. */
    private final Map<Long, Map<Integer, List<String>>> cells = new HashMap<>();

    private ListCells(Snapshot snapshot) {
        this.snapshot = snapshot;
        this.readings = snapshot.baskets().stream()
                .collect(Collectors.toMap(
                        GatheredBasket::id, basket -> basket.stored().reading()));
    }

    /** The cells that these columns need for these keywords; nothing is read if they need none. */
    static ListCells of(Snapshot snapshot, int[] keywords, List<Column> columns, Baskets store) {
        ListCells found = new ListCells(snapshot);
        Set<String> headers = new HashSet<>();
        boolean months = false;
        for (Column column : columns) {
            if (column.shows() instanceof Column.OfLists of) {
                headers.add(of.header());
            }
            months |= column.shows() instanceof Column.OfFact fact && fact.fact() == Computed.TREND;
        }
        if (!headers.isEmpty() || months) {
            found.read(keywords, headers, months, store);
        }
        return found;
    }

    private void read(int[] keywords, Set<String> headers, boolean months, Baskets store) {
        Map<Long, Set<Integer>> wanted = new HashMap<>();
        for (int keyword : keywords) {
            for (Keywords.Occurrence line : snapshot.board().keywords().occurrences(keyword)) {
                Reading reading = readings.get(line.basket());
                if (reading != null && tells(reading, headers, months)) {
                    wanted.computeIfAbsent(line.basket(), basket -> new HashSet<>())
                            .add(line.lineNumber());
                }
            }
        }
        wanted.forEach((basket, lines) -> cells.put(basket, store.cells(basket, lines)));
    }

    private static boolean tells(Reading reading, Set<String> headers, boolean months) {
        for (int i = 0; i < reading.columns().size(); i++) {
            if (months && reading.columns().get(i) == ColumnRole.MONTH || headers.contains(reading.columnName(i))) {
                return true;
            }
        }
        return false;
    }

    private List<String> of(Keywords.Occurrence line) {
        return cells.getOrDefault(line.basket(), Map.of()).getOrDefault(line.lineNumber(), List.of());
    }

    /** What the lines of a keyword say in the column of this name, each text once. */
    String texts(int keyword, String header) {
        Set<String> texts = new LinkedHashSet<>();
        for (Keywords.Occurrence line : snapshot.board().keywords().occurrences(keyword)) {
            Reading reading = readings.get(line.basket());
            List<String> row = of(line);
            for (int i = 0;
                    reading != null
                            && i < Math.min(row.size(), reading.columns().size());
                    i++) {
                if (reading.columnName(i).equals(header) && !row.get(i).isBlank()) {
                    texts.add(row.get(i).strip());
                }
            }
        }
        return String.join(" \u00B7 ", texts);
    }

    /** The months of the first line of the keyword that tells any. */
    Cell.Trend trend(int keyword) {
        for (Keywords.Occurrence line : snapshot.board().keywords().occurrences(keyword)) {
            Reading reading = readings.get(line.basket());
            List<Reading.MonthSearches> months = reading == null ? List.of() : reading.months(of(line));
            if (months.stream().filter(ListCells::known).count() > 1) {
                return drawn(months);
            }
        }
        return new Cell.Trend("", "");
    }

    private static boolean known(Reading.MonthSearches one) {
        return one.twice() != FigureColumn.UNKNOWN;
    }

    /** Drawn from nought, so that a small change looks small. */
    private static Cell.Trend drawn(List<Reading.MonthSearches> months) {
        long most = Math.max(
                1, months.stream().mapToLong(Reading.MonthSearches::twice).max().orElse(1));
        List<String> points = new ArrayList<>();
        for (int i = 0; i < months.size(); i++) {
            if (known(months.get(i))) {
                points.add(i * WIDTH / (months.size() - 1) + ","
                        + (HEIGHT
                                - 1
                                - Math.round(
                                        (HEIGHT - 2) * (double) months.get(i).twice() / most)));
            }
        }
        List<Reading.MonthSearches> known =
                months.stream().filter(ListCells::known).toList();
        return new Cell.Trend(
                String.join(" ", points), "from " + told(known.getFirst()) + " to " + told(known.getLast()));
    }

    private static String told(Reading.MonthSearches one) {
        String in = one.month().map(month -> " in " + NAMES.format(month)).orElse("");
        return Show.count(one.twice() / 2) + in;
    }
}

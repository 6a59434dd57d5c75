package smorgas.app.web.sift;

import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import smorgas.app.store.Baskets;
import smorgas.app.work.GatheredBasket;
import smorgas.app.work.Snapshot;
import smorgas.core.fold.Keywords;
import smorgas.core.gather.Reading;

/** The cells of lists that are kept as they stand, for the few keywords of a page: read from the store for all at once. */
final class ListCells {

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
        for (Column column : columns) {
            if (column.shows() instanceof Column.OfLists of) {
                headers.add(of.header());
            }
        }
        if (!headers.isEmpty()) {
            found.read(keywords, headers, store);
        }
        return found;
    }

    private void read(int[] keywords, Set<String> headers, Baskets store) {
        Map<Long, Set<Integer>> wanted = new HashMap<>();
        for (int keyword : keywords) {
            for (Keywords.Occurrence line : snapshot.board().keywords().occurrences(keyword)) {
                Reading reading = readings.get(line.basket());
                if (reading != null && tells(reading, headers)) {
                    wanted.computeIfAbsent(line.basket(), basket -> new HashSet<>())
                            .add(line.lineNumber());
                }
            }
        }
        wanted.forEach((basket, lines) -> cells.put(basket, store.cells(basket, lines)));
    }

    private static boolean tells(Reading reading, Set<String> headers) {
        for (int i = 0; i < reading.columns().size(); i++) {
            if (headers.contains(reading.columnName(i))) {
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
}

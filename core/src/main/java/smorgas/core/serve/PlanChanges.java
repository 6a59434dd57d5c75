package smorgas.core.serve;

import de.siegmar.fastcsv.writer.CsvWriter;
import de.siegmar.fastcsv.writer.LineDelimiter;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.io.Writer;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import smorgas.core.serve.PlanRecord.Kind;
import smorgas.core.serve.PlanRecord.Row;
import smorgas.core.text.Formulas;
import smorgas.core.text.Message;

/**
 * What must be done to an account that has one plan so that it has another: rows to add, rows to pause, rows that cost or lead
 * otherwise. What cannot be paused, which is negatives, is taken away.
 */
public final class PlanChanges {

    /** What is done with a row. */
    public enum Do {
        ADD("change-to.add", "Enabled"),
        CHANGE("change-to.change", "Enabled"),
        PAUSE("change-to.pause", "Paused"),
        TAKE_AWAY("change-to.take-away", "Removed");

        private final Message label;
        private final String status;

        Do(String label, String status) {
            this.label = Message.of(label);
            this.status = status;
        }

        public Message label() {
            return label;
        }
    }

    /**
     * One change.
     *
     * @param row as it is to be; of what goes as it was
     * @param was as it was; of what is added the row itself
     */
    public record Change(Do what, Row row, Row was) {}

    private final Map<Do, List<Change>> changes = new EnumMap<>(Do.class);

    private PlanChanges(PlanRecord from, PlanRecord to) {
        Map<Row, Row> old = byKey(from);
        Map<Row, Row> now = byKey(to);
        Set<String> pausing = groups(old.values());
        pausing.removeAll(groups(now.values()));
        now.forEach((key, row) -> {
            Row was = old.get(key);
            if (was == null) {
                add(new Change(Do.ADD, row, row));
            } else if (!was.equals(row)) {
                add(new Change(Do.CHANGE, row, was));
            }
        });
        old.forEach((key, row) -> {
            // What is in an ad group that pauses need not be paused by itself.
            boolean alone = row.kind() == Kind.AD_GROUP || !pausing.contains(group(row));
            if (!now.containsKey(key) && alone) {
                add(new Change(row.kind() == Kind.NEGATIVE ? Do.TAKE_AWAY : Do.PAUSE, row, row));
            }
        });
    }

    /** From one plan to another. */
    public static PlanChanges of(PlanRecord from, PlanRecord to) {
        return new PlanChanges(from, to);
    }

    private static Map<Row, Row> byKey(PlanRecord plan) {
        Map<Row, Row> rows = new LinkedHashMap<>();
        plan.rows().stream().filter(PlanChanges::fit).forEach(row -> rows.putIfAbsent(row.key(), row));
        return rows;
    }

    /** Plans hold back what a spreadsheet would run; what was read from elsewhere may have it. */
    private static boolean fit(Row row) {
        return Stream.of(row.campaign(), row.adGroup(), row.keyword(), row.bid(), row.page())
                .noneMatch(Formulas::runs);
    }

    private static Set<String> groups(java.util.Collection<Row> rows) {
        return rows.stream()
                .filter(row -> row.kind() == Kind.AD_GROUP)
                .map(PlanChanges::group)
                .collect(Collectors.toCollection(HashSet::new));
    }

    private static String group(Row row) {
        return row.campaign() + "\n" + row.adGroup();
    }

    private void add(Change change) {
        changes.computeIfAbsent(change.what(), none -> new ArrayList<>()).add(change);
    }

    /** Those of a kind, in the order in which the rows stand. */
    public List<Change> of(Do what) {
        return changes.getOrDefault(what, List.of());
    }

    /** Whether both are the same. */
    public boolean nothing() {
        return changes.isEmpty();
    }

    /**
     * Writes them as a table of RFC 4180 in the columns that ad platforms share, what is added first. Nothing is neutralised: the
     * rows are those of plans, which hold back what would need it.
     */
    public void write(Writer to) {
        int headlines = most("Headline: ");
        int descriptions = most("Description: ");
        int paths = most("Path: ");
        // Not closed, for that would close what it writes to.
        CsvWriter out = CsvWriter.builder().lineDelimiter(LineDelimiter.CRLF).build(to);
        List<String> headings = new ArrayList<>(
                List.of("Campaign", "Ad group", "Keyword", "Match type", "Status", "Max CPC", "Final URL"));
        IntStream.rangeClosed(1, headlines).forEach(i -> headings.add("Headline " + i));
        IntStream.rangeClosed(1, descriptions).forEach(i -> headings.add("Description " + i));
        IntStream.rangeClosed(1, paths).forEach(i -> headings.add("Path " + i));
        out.writeRecord(headings);
        for (Do what : Do.values()) {
            for (Change change : of(what)) {
                Row row = change.row();
                List<String> cells = new ArrayList<>(List.of(
                        row.campaign(),
                        row.adGroup(),
                        row.keyword(),
                        row.type(),
                        row.kind() == Kind.NEGATIVE && what == Do.ADD ? "" : what.status,
                        row.bid(),
                        row.page()));
                texts(row, "Headline: ", headlines, cells);
                texts(row, "Description: ", descriptions, cells);
                texts(row, "Path: ", paths, cells);
                out.writeRecord(cells);
            }
        }
        try {
            out.flush();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private int most(String what) {
        return changes.values().stream()
                .flatMap(List::stream)
                .mapToInt(change -> texts(change.row(), what).size())
                .max()
                .orElse(0);
    }

    private static List<String> texts(Row row, String what) {
        return row.texts()
                .lines()
                .filter(line -> line.startsWith(what))
                .map(line -> line.substring(what.length()))
                .toList();
    }

    private static void texts(Row row, String what, int most, List<String> into) {
        List<String> texts = texts(row, what);
        IntStream.range(0, most).forEach(i -> into.add(i < texts.size() ? texts.get(i) : ""));
    }
}

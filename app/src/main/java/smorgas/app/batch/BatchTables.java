package smorgas.app.batch;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.io.OutputStreamWriter;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.function.Consumer;
import java.util.function.IntFunction;
import java.util.stream.IntStream;
import smorgas.core.board.Board;
import smorgas.core.board.Facts;
import smorgas.core.figure.Computed;
import smorgas.core.figure.Fact;
import smorgas.core.figure.Figure;
import smorgas.core.fold.Keywords;
import smorgas.core.group.Grouping;
import smorgas.core.group.read.Groups;
import smorgas.core.group.read.ThemeTree;
import smorgas.core.serve.Csv;
import smorgas.core.value.EstimatedValue;

/** The tables of a run: its keywords and its groups. */
final class BatchTables {

    /** What the first columns of the table of keywords tell already. */
    private static final Set<Fact> AMONG_THE_FIRST =
            Set.of(Computed.KEYWORD, Computed.STATUS, Computed.REASON, Figure.SEARCHES, Figure.CPC, Computed.BASKETS);

    private BatchTables() {}

    /** Keywords with the columns that were there first, then what else is known of any keyword. */
    static void writeKeywords(Board board, Path to) throws IOException {
        Keywords keywords = board.keywords();
        Facts facts = board.facts();
        List<Fact> others = Fact.all(Fact.Use.EXPORT).stream()
                .filter(fact -> !AMONG_THE_FIRST.contains(fact) && facts.any(fact))
                .toList();
        List<String> header = new ArrayList<>(List.of(
                "keyword", "status", "reason", "group", "tightness", "spellings", "searches", "cpc", "baskets"));
        others.forEach(fact -> header.add(fact.fixedWord()));
        try (OutputStream out = Files.newOutputStream(to)) {
            rows(csv -> csv.row(header.toArray(String[]::new))).writeTo(out);
            IntFunction<String>[] columns = columns(board, others);
            // A few parts at a time are made on all cores and then written in their order.
            for (int from = 0; from < keywords.size(); from += ROWS * PARTS) {
                ByteArrayOutputStream[] parts = new ByteArrayOutputStream[PARTS];
                int first = from;
                IntStream.range(0, PARTS)
                        .parallel()
                        .forEach(part -> parts[part] = rows(csv -> {
                            int end = Math.min(keywords.size(), first + (part + 1) * ROWS);
                            for (int k = first + part * ROWS; k < end; k++) {
                                csv.row(cells(columns, k));
                            }
                        }));
                for (ByteArrayOutputStream part : parts) {
                    part.writeTo(out);
                }
            }
        }
    }

    private static final int ROWS = 4_096;
    private static final int PARTS = 8;
    private static final int USUAL_ROW = 160;

    private static ByteArrayOutputStream rows(Consumer<Csv> rows) {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream(ROWS * USUAL_ROW);
        // Half a character becomes a replacement.
        try (Csv csv = new Csv(new OutputStreamWriter(bytes, StandardCharsets.UTF_8))) {
            rows.accept(csv);
        }
        return bytes;
    }

    private static String[] cells(IntFunction<String>[] columns, int keyword) {
        String[] cells = new String[columns.length];
        for (int i = 0; i < cells.length; i++) {
            cells[i] = columns[i].apply(keyword);
        }
        return cells;
    }

    /** The cells of a row, column by column. */
    @SuppressWarnings("unchecked")
    private static IntFunction<String>[] columns(Board board, List<Fact> others) {
        Facts facts = board.facts();
        Keywords keywords = board.keywords();
        Groups groups = board.groups();
        Grouping grouping = groups.grouping();
        List<IntFunction<String>> columns = new ArrayList<>(List.of(
                keywords::text,
                facts.exporting(Computed.STATUS),
                facts.exporting(Computed.REASON),
                keyword -> grouping.groupOf(keyword) < 0 ? "" : groups.name(grouping.groupOf(keyword)),
                keyword -> grouping.groupOf(keyword) < 0 ? "" : decimals(grouping.tightness(keyword)),
                keyword -> Csv.texts(keywords.spellings(keyword)),
                facts.exporting(Figure.SEARCHES),
                facts.exporting(Figure.CPC),
                facts.exporting(Computed.BASKETS)));
        others.forEach(fact -> columns.add(facts.exporting(fact)));
        return columns.toArray(IntFunction[]::new);
    }

    /** Groups with what each may bring if anything is assumed. */
    static void writeGroups(Board board, Csv csv) {
        Groups groups = board.groups();
        boolean estimatedValue = board.recipe().valuing().assumes();
        List<String> header = new ArrayList<>(
                List.of("group", "theme phrase", "keywords", "searches", "tightness", "broader themes"));
        if (estimatedValue) {
            header.add("estimated value");
        }
        boolean simulated = board.keywords().simulated();
        if (simulated) {
            header.add("simulated");
        }
        csv.row(header.toArray(String[]::new));
        ThemeTree tree = groups.tree();
        for (int group : groups.order()) {
            List<String> cells = new ArrayList<>(List.of(
                    groups.name(group),
                    String.join(" ", groups.grouping().theme(group)),
                    String.valueOf(groups.keywords(group)),
                    String.valueOf(groups.searches(group).sum()),
                    decimals(groups.grouping().meanTightness(group)),
                    Csv.texts(tree.above(group))));
            if (estimatedValue) {
                EstimatedValue.Total sum = board.estimatedValue()
                        .sum(groups.grouping().members().row(group))
                        .parts()
                        .get(EstimatedValue.Part.VALUE);
                cells.add(sum == null ? "" : Csv.amount(Math.round(sum.middle()), 100));
            }
            if (simulated) {
                cells.add(groups.searches(group).simulated() ? "searches" : "");
            }
            csv.row(cells.toArray(String[]::new));
        }
    }

    private static final int THOUSAND = 1_000;

    private static final String[] THOUSANDTHS = IntStream.rangeClosed(0, THOUSAND)
            .mapToObj(whole -> String.format(Locale.ROOT, "%.3f", whole / (double) THOUSAND))
            .toArray(String[]::new);

    /** A share with three decimals; those of 0 to 1, as nearly all are, are written before. */
    private static String decimals(double share) {
        double thousandths = share * THOUSAND;
        int whole = (int) Math.round(thousandths);
        boolean half = Math.abs(Math.abs(thousandths - whole) - .5) < 1e-6;
        // What lies between two is rounded by the digits, as it always was.
        return half || whole < 0 || whole > THOUSAND ? String.format(Locale.ROOT, "%.3f", share) : THOUSANDTHS[whole];
    }
}

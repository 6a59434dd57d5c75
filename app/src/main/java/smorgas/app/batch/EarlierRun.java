package smorgas.app.batch;

import de.siegmar.fastcsv.reader.CsvReader;
import de.siegmar.fastcsv.reader.NamedCsvRecord;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import smorgas.core.board.Standpoint;
import smorgas.core.column.FigureColumn;
import smorgas.core.figure.Decimals;
import smorgas.core.figure.Figure;
import smorgas.core.figure.FigureReader;
import smorgas.core.recipe.sift.Status;
import smorgas.core.serve.PlanRecord;
import smorgas.core.text.Formulas;
import smorgas.core.text.Message;
import smorgas.core.text.Refusal;
import smorgas.core.text.Tidy;

/** What an earlier batch run has written: its keywords as they stood then, and its plan. */
final class EarlierRun implements Standpoint {

    private record Row(
            String text, List<String> spellings, Status status, String reason, long searches, String group) {}

    private final List<Row> rows = new ArrayList<>();
    private final Map<String, Integer> bySpelling = new HashMap<>();
    private final PlanRecord plan;

    private EarlierRun(Path folder) throws IOException {
        Path keywords = folder.resolve("keywords.csv");
        try (CsvReader<NamedCsvRecord> csv = CsvReader.builder().ofNamedCsvRecord(keywords)) {
            FigureReader reader = new FigureReader(Decimals.POINT);
            for (NamedCsvRecord record : csv) {
                add(new Row(
                        Tidy.of(cell(keywords, record, "keyword")),
                        Arrays.stream(cell(keywords, record, "spellings").split(" \\| "))
                                .map(Tidy::of)
                                .toList(),
                        status(keywords, record),
                        cell(keywords, record, "reason"),
                        reader.read(cell(keywords, record, "searches"), Figure.SEARCHES) == FigureReader.Outcome.READ
                                ? reader.low() + reader.high()
                                : FigureColumn.UNKNOWN,
                        cell(keywords, record, "group")));
            }
        }
        this.plan = plan(folder.resolve("plan.csv"));
    }

    /**
     * Reads the folder of a run.
     *
     * @throws Refusal if its files are not those of a run
     * @throws IOException if they cannot be read
     */
    static EarlierRun read(Path folder) throws IOException {
        if (!Files.isReadable(folder.resolve("keywords.csv")) || !Files.isReadable(folder.resolve("plan.csv"))) {
            throw new Refusal("batch.earlier-run.folder-earlier-run-keywords", folder);
        }
        return new EarlierRun(folder);
    }

    private static String cell(Path file, NamedCsvRecord record, String column) {
        String cell = record.findField(column)
                .orElseThrow(() -> new Refusal(
                        "batch.earlier-run.line-column-run-written", file, record.getStartingLineNumber(), column));
        // What a spreadsheet would run was written behind an apostrophe.
        return cell.startsWith("'") && Formulas.runs(cell.substring(1)) ? cell.substring(1) : cell;
    }

    private static Status status(Path file, NamedCsvRecord record) {
        String label = cell(file, record, "status");
        return Arrays.stream(Status.values())
                .filter(one -> one.fixedName().equals(label))
                .findFirst()
                .orElseThrow(() ->
                        new Refusal("batch.earlier-run.line-status", file, record.getStartingLineNumber(), label));
    }

    private void add(Row row) {
        int number = rows.size();
        rows.add(row);
        bySpelling.put(row.text(), number);
        row.spellings().forEach(spelling -> bySpelling.putIfAbsent(spelling, number));
    }

    private static PlanRecord plan(Path file) throws IOException {
        List<PlanRecord.Row> rows = new ArrayList<>();
        try (CsvReader<NamedCsvRecord> csv = CsvReader.builder().ofNamedCsvRecord(file)) {
            for (NamedCsvRecord record : csv) {
                String type = cell(file, record, "Match type");
                rows.add(new PlanRecord.Row(
                        type.startsWith("Negative") ? PlanRecord.Kind.NEGATIVE : PlanRecord.Kind.KEYWORD,
                        cell(file, record, "Campaign"),
                        cell(file, record, "Ad group"),
                        cell(file, record, "Keyword"),
                        type,
                        cell(file, record, "Max CPC"),
                        record.findField("Final URL").orElse(""),
                        ""));
            }
        }
        return new PlanRecord(rows);
    }

    /** The keywords and negatives of its plan; ad groups and ads are not among them. */
    PlanRecord plan() {
        return plan;
    }

    @Override
    public int size() {
        return rows.size();
    }

    @Override
    public String text(int keyword) {
        return rows.get(keyword).text();
    }

    @Override
    public Optional<Integer> find(String tidy) {
        return Optional.ofNullable(bySpelling.get(tidy));
    }

    /** What would be folded is not known of what was written; the run of now knows. */
    @Override
    public Optional<Integer> meant(String tidy) {
        return find(tidy);
    }

    @Override
    public List<String> spellings(int keyword) {
        return rows.get(keyword).spellings();
    }

    @Override
    public Status status(int keyword) {
        return rows.get(keyword).status();
    }

    @Override
    public Message reason(int keyword) {
        return Message.verbatim(rows.get(keyword).reason());
    }

    @Override
    public long twiceSearches(int keyword) {
        return rows.get(keyword).searches();
    }

    /** Its files tell only what a group is called. */
    @Override
    public String groupKey(int keyword) {
        return rows.get(keyword).group();
    }

    @Override
    public String group(int keyword) {
        return rows.get(keyword).group();
    }
}

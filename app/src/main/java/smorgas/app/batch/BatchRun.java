package smorgas.app.batch;

import java.io.BufferedOutputStream;
import java.io.BufferedWriter;
import java.io.IOException;
import java.io.OutputStream;
import java.io.OutputStreamWriter;
import java.io.StringWriter;
import java.io.Writer;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.function.Consumer;
import java.util.function.IntFunction;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import smorgas.core.board.Board;
import smorgas.core.board.Difference;
import smorgas.core.board.DifferenceCsv;
import smorgas.core.board.Facts;
import smorgas.core.board.FeedbackCsv;
import smorgas.core.board.Standpoint;
import smorgas.core.column.Computed;
import smorgas.core.column.Fact;
import smorgas.core.column.Figure;
import smorgas.core.fold.Keywords;
import smorgas.core.gather.BasketReader;
import smorgas.core.gather.Halt;
import smorgas.core.gather.Lines;
import smorgas.core.gather.Packed;
import smorgas.core.gather.Problem;
import smorgas.core.gather.Workbooks;
import smorgas.core.group.Grouping;
import smorgas.core.group.engine.Room;
import smorgas.core.group.read.Groups;
import smorgas.core.group.read.ThemeTree;
import smorgas.core.recipe.GroupSettings;
import smorgas.core.recipe.Method;
import smorgas.core.recipe.ReadAs;
import smorgas.core.recipe.Recipe;
import smorgas.core.recipe.Standing;
import smorgas.core.serve.Csv;
import smorgas.core.serve.PlanChanges;
import smorgas.core.serve.PlanFormat;
import smorgas.core.serve.PlanFormats;
import smorgas.core.serve.PlanRecord;
import smorgas.core.text.Tidy;
import smorgas.core.value.Feedback;
import smorgas.core.value.Worth;
import smorgas.meaning.model.MeaningModel;

/** One run over some files. */
final class BatchRun {

    /** What the first columns of the table of keywords tell already. */
    private static final Set<Fact> AMONG_THE_FIRST =
            Set.of(Computed.KEYWORD, Computed.STANDING, Computed.REASON, Figure.SEARCHES, Figure.CPC, Computed.BASKETS);

    /** Between the items of a list in one cell. */
    static final String LIST = " | ";

    /** Bytes that the lists packed in one file may have together. */
    private static final long MOST_UNPACKED =
            Math.min(2_000_000_000L, Runtime.getRuntime().maxMemory() / 3);

    /**
     * What is written beside what always is.
     *
     * @param project the name of the project, for files that tell it; empty for none
     * @param currency of bids; empty if it is not told
     * @param against what it is compared with
     */
    record Wanted(
            List<PlanFormat> formats,
            String project,
            String currency,
            @Nullable Earlier against) {}

    private final Recipe recipe;
    private final Wanted wanted;
    private final Consumer<String> progress;
    /** Of more keywords the words decide: it would take too long. */
    private static final int MOST_MEANINGS = 50_000;

    private final Map<String, Long> millis = new LinkedHashMap<>();

    BatchRun(Recipe recipe, Wanted wanted, Consumer<String> progress) {
        this.recipe = recipe;
        this.wanted = wanted;
        this.progress = progress;
    }

    /**
     * What came out.
     *
     * @param fields the summary as it is written
     * @param unread files that could not be read
     * @param otherwise whether anything is otherwise than in the earlier run
     * @param came what another run can be compared with
     */
    record Summary(Map<String, Object> fields, int unread, boolean otherwise, Supplier<Earlier> came) {}

    private record Read(String name, @Nullable Lines lines, List<Problem> problems) {}

    Summary run(List<Path> in, Path out) throws IOException {
        long start = System.nanoTime();
        List<Read> read = gather(in);
        List<Lines> baskets = new ArrayList<>();
        read.forEach(r -> {
            if (r.lines() != null) {
                baskets.add(r.lines());
            }
        });
        took("gather", start);
        Map<String, float[]> meanings = new HashMap<>();
        Board board = Board.of(baskets, recipe, meanings::get);
        timed("fold", board::keywords);
        timed("sift", board::standings);
        GroupSettings asked = recipe.grouping().settings();
        int left = board.standings().remaining().cardinality();
        if (asked.method() instanceof Method.ByLikeness like
                && !Room.ofThisRun().possible(asked, left).equals(asked)) {
            progress.accept(
                    left > like.compared()
                            ? "groups form by themes: more keywords are left than are compared"
                            : "groups form by themes: to find out how alike %,d keywords are takes %,d MB, and less is left; give"
                                            .formatted(left, Room.needed(left, like.meaning()) >> 20)
                                    + " more, such as SMORGAS_JAVA_OPTS=-Xmx4g");
        } else if (asked.method() instanceof Method.ByLikeness like && like.meaning()) {
            timed("meaning", () -> understand(board, meanings));
        }
        timed("group", board::groups);
        timed("serve", () -> {
            board.plan();
            writeAll(board, out);
        });
        Map<String, Object> otherwise = wanted.against() == null ? Map.of() : compare(board, wanted.against(), out);
        took("total", start);
        Map<String, Object> fields = summary(board, read);
        if (wanted.against() != null) {
            fields.put("otherwise", otherwise);
        }
        return new Summary(
                fields,
                (int) read.stream().filter(r -> r.lines() == null).count(),
                !otherwise.isEmpty(),
                () -> Earlier.of(board));
    }

    /** What is otherwise than in an earlier run, as two files and how many of each kind. */
    private static Map<String, Object> compare(Board board, Earlier earlier, Path out) throws IOException {
        Difference difference = Difference.between(earlier.keywords(), Standpoint.of(board), true);
        PlanChanges changes = PlanChanges.of(earlier.plan(), Earlier.keywords(PlanRecord.of(board.plan())));
        try (Csv csv = new Csv(writer(out, "difference.csv"))) {
            DifferenceCsv.write(difference, csv);
        }
        try (Writer to = writer(out, "plan-changes.csv")) {
            changes.write(to);
        }
        Map<String, Object> told = new LinkedHashMap<>();
        for (Difference.Kind kind : Difference.Kind.values()) {
            if (!difference.rows(kind).isEmpty()) {
                told.put(kind.label(), difference.rows(kind).size());
            }
        }
        for (PlanChanges.Do what : PlanChanges.Do.values()) {
            if (!changes.of(what).isEmpty()) {
                told.put("rows " + what.label(), changes.of(what).size());
            }
        }
        return told;
    }

    /** Finds out what the keywords mean that are to be grouped; if it cannot be, their words decide. */
    private void understand(Board board, Map<String, float[]> meanings) {
        List<String> texts = board.standings().remaining().stream()
                .mapToObj(keyword -> Tidy.of(board.keywords().text(keyword)))
                .distinct()
                .toList();
        if (texts.size() > MOST_MEANINGS || !MeaningModel.knows(recipe.folding().language())) {
            return;
        }
        try (MeaningModel model = MeaningModel.load()) {
            float[][] vectors = model.vectors(texts);
            for (int i = 0; i < vectors.length; i++) {
                meanings.put(texts.get(i), vectors[i]);
            }
        } catch (MeaningModel.Unavailable e) {
            progress.accept("groups form by words alone: " + e.getMessage());
        }
    }

    private void took(String stage, long since) {
        millis.put(stage, (System.nanoTime() - since) / 1_000_000);
    }

    private void timed(String stage, Runnable work) {
        long start = System.nanoTime();
        work.run();
        took(stage, start);
        progress.accept(stage + ": " + millis.get(stage) + " ms");
    }

    private List<Read> gather(List<Path> in) {
        List<String> names = names(in);
        List<Found> found = new ArrayList<>();
        for (int i = 0; i < in.size(); i++) {
            found.addAll(open(names.get(i), in.get(i)));
        }
        Read[] read = new Read[found.size()];
        IntStream.range(0, read.length).parallel().forEach(i -> read[i] = read(i, found.get(i)));
        for (Read r : read) {
            progress.accept(r.name() + ": "
                    + (r.lines() == null
                            ? "not read"
                            : String.format(
                                    Locale.ENGLISH, "%,d lines", r.lines().size())));
        }
        return List.of(read);
    }

    /** A list on its way in: its bytes, or why there are none. */
    private record Found(String name, byte @Nullable [] bytes, ReadAs readAs, List<Problem> problems) {}

    /** The list in a file, or the lists that are packed in it. */
    private static List<Found> open(String name, Path file) {
        byte[] bytes;
        try {
            bytes = Files.readAllBytes(file);
        } catch (IOException | OutOfMemoryError e) {
            return List.of(new Found(
                    name,
                    null,
                    ReadAs.FOUND,
                    List.of(new Problem(name, 0, "The file cannot be read", "Check that it exists and may be read."))));
        }
        Packed.Contents contents;
        try {
            contents = Packed.open(name, bytes, MOST_UNPACKED);
        } catch (OutOfMemoryError e) {
            return List.of(new Found(name, null, ReadAs.FOUND, List.of(tooLarge(name))));
        }
        List<Found> found = new ArrayList<>();
        boolean alone = contents.lists().size() == 1 && contents.problems().isEmpty();
        List<Problem> problems = new ArrayList<>(contents.problems());
        List<Problem> notes = new ArrayList<>();
        for (Packed.NamedBytes list : contents.lists()) {
            String listName = alone ? name : name + "/" + list.name();
            Workbooks.Parts parts = Workbooks.of(new Packed.NamedBytes(listName, list.bytes()), false);
            notes.addAll(parts.problems());
            parts.lists()
                    .forEach(part -> found.add(
                            new Found(part.list().name(), part.list().bytes(), part.readAs(), List.copyOf(notes))));
            notes.clear();
        }
        if (!problems.isEmpty()) {
            found.add(new Found(name, null, ReadAs.FOUND, problems));
        }
        return found;
    }

    private static Problem tooLarge(String name) {
        return new Problem(
                name,
                0,
                "The memory that Java was given is not enough for it",
                "It was not read; give more, such as SMORGAS_JAVA_OPTS=-Xmx4g, or split it.");
    }

    private static List<String> names(List<Path> in) {
        Set<String> taken = new HashSet<>();
        List<String> names = new ArrayList<>();
        for (Path path : in) {
            String name = String.valueOf(path.getFileName());
            String free = name;
            for (int n = 2; !taken.add(free); n++) {
                free = name + " (" + n + ")";
            }
            names.add(free);
        }
        return names;
    }

    private Read read(int number, Found found) {
        String name = found.name();
        byte[] bytes = found.bytes();
        if (bytes == null) {
            return new Read(name, null, found.problems());
        }
        BasketReader.Read read;
        try {
            read = BasketReader.lines(
                    number, name, bytes, found.readAs(), recipe.folding().decimals(), Halt.NEVER, (line, cells) -> {});
        } catch (OutOfMemoryError e) {
            return new Read(name, null, List.of(tooLarge(name)));
        }
        return read.lines()
                .map(lines -> new Read(
                        name,
                        lines,
                        Stream.concat(found.problems().stream(), lines.problems().stream())
                                .toList()))
                .orElseGet(() -> new Read(name, null, read.reading().problems()));
    }

    /** Files on all cores; what each needs is found out before. */
    private void writeAll(Board board, Path out) {
        Feedback.Found found = feedback(board);
        List<Writing> files = new ArrayList<>();
        files.add(() -> writeKeywords(board, out.resolve("keywords.csv")));
        files.add(() -> {
            try (Csv csv = new Csv(writer(out, "groups.csv"))) {
                writeGroups(board, csv);
            }
        });
        if (!found.terms().isEmpty()) {
            files.add(() -> {
                try (Csv csv = new Csv(writer(out, "feedback.csv"))) {
                    FeedbackCsv.write(board, found, csv);
                }
            });
        }
        for (PlanFormat format : formats()) {
            files.add(() -> {
                try (OutputStream to = new BufferedOutputStream(Files.newOutputStream(out.resolve(format.file())))) {
                    format.write(board.handover(wanted.project(), wanted.currency()), to);
                }
            });
        }
        // Threads of their own: those of the common pool are needed by what is found out on the way, and must not wait
        // for it.
        try (ExecutorService threads =
                Executors.newFixedThreadPool(Runtime.getRuntime().availableProcessors())) {
            for (Future<Void> file : threads.invokeAll(files)) {
                file.get();
            }
        } catch (ExecutionException e) {
            if (e.getCause() instanceof RuntimeException fault) {
                throw fault;
            }
            if (e.getCause() instanceof Error error) {
                throw error;
            }
            throw new java.io.UncheckedIOException(
                    e.getCause() instanceof IOException fault ? fault : new IOException(e.getCause()));
        } catch (InterruptedException e) {
            throw new IllegalStateException(e);
        }
    }

    /** Writes a file. */
    private interface Writing extends Callable<Void> {
        void write() throws IOException;

        @Override
        default Void call() throws IOException {
            write();
            return null;
        }
    }

    /** What is usual, and what is wanted beside it. */
    private Set<PlanFormat> formats() {
        Set<PlanFormat> formats =
                PlanFormats.ALL.stream().filter(PlanFormat::usual).collect(Collectors.toCollection(LinkedHashSet::new));
        formats.addAll(wanted.formats());
        return formats;
    }

    private static Writer writer(Path out, String name) throws IOException {
        // Unlike a writer of Files it writes a replacement for half a character, instead of ending there.
        return new BufferedWriter(
                new OutputStreamWriter(Files.newOutputStream(out.resolve(name)), StandardCharsets.UTF_8));
    }

    /** The columns that were there first, then what else is known of any keyword. */
    private static void writeKeywords(Board board, Path to) throws IOException {
        Keywords keywords = board.keywords();
        Facts facts = board.facts();
        List<Fact> others = Fact.all(Fact.Use.EXPORT).stream()
                .filter(fact -> !AMONG_THE_FIRST.contains(fact) && facts.any(fact))
                .toList();
        List<String> header = new ArrayList<>(List.of(
                "keyword", "standing", "reason", "group", "tightness", "spellings", "searches", "cpc", "baskets"));
        others.forEach(fact -> header.add(fact.word()));
        try (Writer out =
                new BufferedWriter(new OutputStreamWriter(Files.newOutputStream(to), StandardCharsets.UTF_8))) {
            out.write(rows(csv -> csv.row(header.toArray(String[]::new))));
            List<IntFunction<String>> columns = columns(board, others);
            // A few parts at a time are made on all cores and then written in their order.
            for (int from = 0; from < keywords.size(); from += ROWS * PARTS) {
                String[] parts = new String[PARTS];
                int first = from;
                IntStream.range(0, PARTS)
                        .parallel()
                        .forEach(part -> parts[part] = rows(csv -> {
                            int end = Math.min(keywords.size(), first + (part + 1) * ROWS);
                            for (int k = first + part * ROWS; k < end; k++) {
                                csv.row(cells(columns, k));
                            }
                        }));
                for (String part : parts) {
                    out.write(part);
                }
            }
        }
    }

    private static final int ROWS = 4_096;
    private static final int PARTS = 8;

    private static String rows(Consumer<Csv> rows) {
        StringWriter text = new StringWriter();
        try (Csv csv = new Csv(text)) {
            rows.accept(csv);
        }
        return text.toString();
    }

    private static String[] cells(List<IntFunction<String>> columns, int keyword) {
        String[] cells = new String[columns.size()];
        for (int i = 0; i < cells.length; i++) {
            cells[i] = columns.get(i).apply(keyword);
        }
        return cells;
    }

    /** The cells of a row, column by column. */
    private static List<IntFunction<String>> columns(Board board, List<Fact> others) {
        Facts facts = board.facts();
        Keywords keywords = board.keywords();
        Groups groups = board.groups();
        Grouping grouping = groups.grouping();
        List<IntFunction<String>> columns = new ArrayList<>(List.of(
                keywords::text,
                facts.exporting(Computed.STANDING),
                facts.exporting(Computed.REASON),
                keyword -> grouping.groupOf(keyword) < 0 ? "" : groups.name(grouping.groupOf(keyword)),
                keyword -> grouping.groupOf(keyword) < 0 ? "" : decimals(grouping.tightness(keyword)),
                keyword -> String.join(LIST, keywords.spellings(keyword)),
                facts.exporting(Figure.SEARCHES),
                facts.exporting(Figure.CPC),
                facts.exporting(Computed.BASKETS)));
        others.forEach(fact -> columns.add(facts.exporting(fact)));
        return columns;
    }

    /** What reports among the lists tell; of which currency and market they are is not known here. */
    private static Feedback.Found feedback(Board board) {
        return Feedback.of(
                board.keywords(),
                board.standings().remaining(),
                board.standings().with(Standing.KEPT),
                board.groups().grouping()::groupOf,
                board.recipe().valuing().feedback(),
                "",
                "",
                board.recipe().folding().littleWords());
    }

    /** With what each may bring if anything is assumed. */
    private static void writeGroups(Board board, Csv csv) {
        Groups groups = board.groups();
        boolean worth = board.recipe().valuing().assumes();
        List<String> header = new ArrayList<>(
                List.of("group", "theme phrase", "keywords", "searches", "tightness", "broader themes"));
        if (worth) {
            header.add("worth");
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
                    String.join(LIST, tree.above(group))));
            if (worth) {
                Worth.Total sum = board.worth()
                        .sum(groups.grouping().members().row(group))
                        .parts()
                        .get(Worth.Part.VALUE);
                cells.add(sum == null ? "" : Csv.amount(Math.round(sum.middle()), 100));
            }
            if (simulated) {
                cells.add(groups.searches(group).told());
            }
            csv.row(cells.toArray(String[]::new));
        }
    }

    private static final int THOUSAND = 1_000;

    private static String decimals(double share) {
        double thousandths = share * THOUSAND;
        long whole = Math.round(thousandths);
        boolean half = Math.abs(Math.abs(thousandths - whole) - .5) < 1e-6;
        // What lies between two is rounded by the digits, as it always was.
        return half || share < 0 || share >= 1_000
                ? String.format(Locale.ROOT, "%.3f", share)
                : whole / THOUSAND + "."
                        + String.valueOf(THOUSAND + whole % THOUSAND).substring(1);
    }

    private Map<String, Object> summary(Board board, List<Read> read) {
        Map<String, Object> files = new LinkedHashMap<>();
        List<String> problems = new ArrayList<>();
        int total = 0;
        for (Read r : read) {
            int lines = r.lines() == null ? 0 : r.lines().size();
            total += lines;
            files.put(r.name(), lines);
            r.problems().forEach(p -> problems.add(p.file() + ": " + p.sentence()));
        }
        Map<String, Object> fields = new LinkedHashMap<>();
        fields.put("lines", Map.of("total", total, "files", files));
        fields.put("setAside", board.keywords().setAside());
        fields.put("problems", problems);
        fields.put("keywords", board.keywords().size());
        fields.put("kept", board.standings().count(Standing.KEPT));
        fields.put("undecided", board.standings().count(Standing.UNDECIDED));
        fields.put("dropped", board.standings().count(Standing.DROPPED));
        fields.put("groups", board.groups().grouping().size());
        fields.put("grouped", board.groups().grouping().grouped());
        fields.put("leftovers", board.groups().grouping().leftovers());
        fields.put("millis", millis);
        return fields;
    }
}

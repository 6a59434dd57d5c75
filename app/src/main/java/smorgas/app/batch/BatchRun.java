package smorgas.app.batch;

import java.io.BufferedOutputStream;
import java.io.BufferedWriter;
import java.io.IOException;
import java.io.OutputStream;
import java.io.OutputStreamWriter;
import java.io.Writer;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
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
import java.util.function.Supplier;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import smorgas.app.store.GivenMemory;
import smorgas.core.board.Board;
import smorgas.core.board.Difference;
import smorgas.core.board.DifferenceCsv;
import smorgas.core.board.FeedbackCsv;
import smorgas.core.board.Standpoint;
import smorgas.core.gather.Lines;
import smorgas.core.group.engine.MemoryLimit;
import smorgas.core.recipe.Recipe;
import smorgas.core.recipe.group.GroupSettings;
import smorgas.core.recipe.sift.Status;
import smorgas.core.serve.Csv;
import smorgas.core.serve.PlanChanges;
import smorgas.core.serve.PlanFormat;
import smorgas.core.serve.PlanFormats;
import smorgas.core.serve.PlanRecord;
import smorgas.core.text.Message;
import smorgas.core.text.Tidy;
import smorgas.core.text.Wording;
import smorgas.core.value.Feedback;
import smorgas.meaning.model.MeaningModel;

/** One run over some files. */
final class BatchRun {

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
    private final Wording wording;
    private final GivenMemory memory = GivenMemory.ofThisRun();
    /** Of more keywords the words decide: it would take too long. */
    private static final int MOST_MEANINGS = 50_000;

    private final Map<String, Long> millis = new LinkedHashMap<>();

    BatchRun(Recipe recipe, Wanted wanted, Consumer<String> progress, Wording wording) {
        this.wording = wording;
        this.recipe = recipe;
        this.wanted = wanted;
        this.progress = progress;
    }

    /**
     * What came out.
     *
     * @param fields the summary as it is written
     * @param unread files that could not be read
     * @param changed whether anything is otherwise than in the earlier run
     * @param came what another run can be compared with
     */
    record Summary(Map<String, Object> fields, int unread, boolean changed, Supplier<Earlier> came) {}

    Summary run(List<Path> in, Path out) throws IOException {
        long start = System.nanoTime();
        List<BatchLists.Read> read = new BatchLists(recipe.folding().decimals(), memory).read(in);
        read.forEach(r -> tell(r.told()));
        List<Lines> baskets = new ArrayList<>();
        read.forEach(r -> {
            if (r.lines() != null) {
                baskets.add(r.lines());
            }
        });
        took("gather", start);
        Map<String, float[]> meanings = new HashMap<>();
        Board board = Board.of(baskets, recipe, meanings::get, new MemoryLimit(memory.forSimilarity()));
        timed("fold", board::keywords);
        timed("sift", board::statuses);
        GroupSettings asked = recipe.grouping().settings();
        int left = board.statuses().remaining().cardinality();
        if (left > asked.method().most()) {
            tell(Message.of("batch.batch-run.by-themes"));
        } else if (asked.method().meaning()) {
            timed("meaning", () -> understand(board, meanings));
        }
        timed("group", board::groups);
        timed("serve", () -> {
            board.plan();
            writeAll(board, out);
        });
        Map<String, Object> changed = wanted.against() == null ? Map.of() : compare(board, wanted.against(), out);
        took("total", start);
        Map<String, Object> fields = summary(board, read);
        if (wanted.against() != null) {
            fields.put("changed", changed);
        }
        return new Summary(
                fields,
                (int) read.stream().filter(r -> r.lines() == null).count(),
                !changed.isEmpty(),
                () -> Earlier.of(board));
    }

    /** What is otherwise than in an earlier run, as two files and how many of each kind. */
    private Map<String, Object> compare(Board board, Earlier earlier, Path out) throws IOException {
        Difference difference = Difference.between(earlier.keywords(), Standpoint.of(board), true);
        PlanChanges changes = PlanChanges.of(earlier.plan(), Earlier.keywords(PlanRecord.of(board.plan())));
        try (Csv csv = new Csv(writer(out, "difference.csv"))) {
            DifferenceCsv.write(difference, wording, csv);
        }
        try (Writer to = writer(out, "plan-changes.csv")) {
            changes.write(to);
        }
        Map<String, Object> told = new LinkedHashMap<>();
        for (Difference.Kind kind : Difference.Kind.values()) {
            if (!difference.rows(kind).isEmpty()) {
                told.put(fixedName(kind), difference.rows(kind).size());
            }
        }
        for (PlanChanges.Do what : PlanChanges.Do.values()) {
            if (!changes.of(what).isEmpty()) {
                told.put("rows to " + fixedName(what), changes.of(what).size());
            }
        }
        return told;
    }

    /** As programs read it, whatever language people read. */
    private static String fixedName(Enum<?> kind) {
        return kind.name().toLowerCase(Locale.ENGLISH).replace('_', ' ');
    }

    /** Finds out what the keywords mean that are to be grouped; if it cannot be, their words decide. */
    private void understand(Board board, Map<String, float[]> meanings) {
        List<String> texts = board.statuses().remaining().stream()
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
            tell(Message.of("batch.batch-run.by-words", Message.of("work.meanings.unavailable", e.getMessage())));
        }
    }

    private void tell(Message progress) {
        this.progress.accept(wording.of(progress));
    }

    private void took(String stage, long since) {
        millis.put(stage, (System.nanoTime() - since) / 1_000_000);
    }

    private void timed(String stage, Runnable work) {
        long start = System.nanoTime();
        work.run();
        took(stage, start);
        tell(Message.of("batch.batch-run.took", Message.of("batch.batch-run.stage." + stage), millis.get(stage)));
    }

    /** Files on all cores; what each needs is found out before. */
    private void writeAll(Board board, Path out) {
        Feedback.Found found = feedback(board);
        // Of the keywords one by one and of the groups.
        board.groups().grouping().tightnessOfAll();
        List<Writing> files = new ArrayList<>();
        files.add(() -> BatchTables.writeKeywords(board, out.resolve("keywords.csv")));
        files.add(() -> {
            try (Csv csv = new Csv(writer(out, "groups.csv"))) {
                BatchTables.writeGroups(board, csv);
            }
        });
        if (!found.terms().isEmpty()) {
            files.add(() -> {
                try (Csv csv = new Csv(writer(out, "feedback.csv"))) {
                    FeedbackCsv.write(board, found, wording, csv);
                }
            });
        }
        for (PlanFormat format : formats()) {
            files.add(() -> {
                try (OutputStream to = new BufferedOutputStream(Files.newOutputStream(out.resolve(format.file())))) {
                    format.write(board.handover(wanted.project(), wanted.currency(), wording), to);
                }
            });
        }
        all(files);
    }

    /** Does all at once; the first fault is thrown when all are over. */
    private static void all(List<Writing> files) {
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

    /** What reports among the lists tell; of which currency and market they are is not known here. */
    private static Feedback.Found feedback(Board board) {
        return Feedback.of(
                board.keywords(),
                board.statuses().remaining(),
                board.statuses().with(Status.KEPT),
                board.groups().grouping()::groupOf,
                board.recipe().valuing().feedback(),
                "",
                "",
                board.recipe().folding().littleWords());
    }

    private Map<String, Object> summary(Board board, List<BatchLists.Read> read) {
        Map<String, Object> files = new LinkedHashMap<>();
        List<String> problems = new ArrayList<>();
        int total = 0;
        for (BatchLists.Read r : read) {
            int lines = r.lines() == null ? 0 : r.lines().size();
            total += lines;
            files.put(r.name(), lines);
            r.problems().forEach(p -> problems.add(p.file() + ": " + wording.of(p.sentence())));
        }
        Map<String, Object> fields = new LinkedHashMap<>();
        fields.put("lines", Map.of("total", total, "files", files));
        fields.put("setAside", board.keywords().setAside());
        fields.put("problems", problems);
        fields.put("keywords", board.keywords().size());
        fields.put("kept", board.statuses().count(Status.KEPT));
        fields.put("undecided", board.statuses().count(Status.UNDECIDED));
        fields.put("dropped", board.statuses().count(Status.DROPPED));
        fields.put("groups", board.groups().grouping().size());
        fields.put("grouped", board.groups().grouping().grouped());
        fields.put("ungrouped", board.groups().grouping().ungrouped());
        fields.put("millis", millis);
        return fields;
    }
}

package smorgas.app.batch;

import ch.qos.logback.classic.Level;
import ch.qos.logback.classic.Logger;
import de.siegmar.fastcsv.reader.CsvParseException;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.Callable;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.slf4j.LoggerFactory;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;
import smorgas.app.store.Json;
import smorgas.app.store.RecipeFile;
import smorgas.core.recipe.Recipe;
import smorgas.core.recipe.group.GroupSettings;
import smorgas.core.serve.PlanFormat;
import smorgas.core.serve.PlanFormats;
import smorgas.core.text.Message;
import smorgas.core.text.Refusal;
import smorgas.core.text.Wording;
import smorgas.meaning.model.MeaningModel;

/** {@code batch}: lists and a recipe in, tables, plan and summary out. */
@Command(name = "batch", mixinStandardHelpOptions = true)
public final class BatchCommand implements Callable<Integer> {

    @Option(names = "--in", required = true, paramLabel = "FILE")
    private List<Path> in = new ArrayList<>();

    private final Wording wording;

    public BatchCommand(Wording wording) {
        this.wording = wording;
    }

    @Option(names = "--recipe", paramLabel = "FILE")
    private @Nullable Path recipe;

    @Option(names = "--language", paramLabel = "CODE", defaultValue = "en")
    private String language = "en";

    @Option(names = "--words-only")
    private boolean wordsOnly;

    /** How groups form, where that is said on the command line. */
    private enum By {
        THEMES
    }

    @Option(names = "--by", paramLabel = "themes")
    private @Nullable By by;

    @Option(names = "--format", paramLabel = "FILE", split = ",")
    private List<String> format = new ArrayList<>();

    @Option(names = "--layout", paramLabel = "FILE")
    private List<Path> layout = new ArrayList<>();

    @Option(names = "--project", paramLabel = "NAME", defaultValue = "")
    private String project = "";

    @Option(names = "--currency", paramLabel = "CODE", defaultValue = "")
    private String currency = "";

    @Option(names = "--against", paramLabel = "PATH")
    private @Nullable Path against;

    @Option(names = "--each")
    private boolean each;

    @Option(names = "--out", required = true, paramLabel = "DIR")
    private Path out = Path.of(".");

    /** 0 done, 1 some file could not be read, 2 wrong use, 3 too little memory, 4 done and something is otherwise than before. */
    @Override
    public Integer call() {
        // What is printed is the summary and nothing else; libraries would log to the same place.
        ((Logger) LoggerFactory.getLogger(Logger.ROOT_LOGGER_NAME)).setLevel(Level.OFF);
        Recipe decided;
        List<PlanFormat> formats;
        try {
            formats = formats();
        } catch (Refusal e) {
            return refused(e.message());
        }
        try {
            decided = recipe == null ? standard() : read(recipe);
            Files.createDirectories(out);
        } catch (Refusal e) {
            return refused(Message.of("batch.batch-command.of-recipe", String.valueOf(recipe), e.message()));
        } catch (IOException e) {
            return refused(Message.of("batch.batch-command.not-read-or-made", e.getMessage()));
        }
        if (by == By.THEMES) {
            GroupSettings settings = decided.grouping().settings();
            decided = decided.withGroups(
                    settings.with(settings.themes(decided.rules().themes().usual())));
        }
        try {
            return run(decided, formats);
        } catch (Refusal e) {
            refused(Message.of("batch.batch-command.by-themes", e.message()));
            return 1;
        } catch (OutOfMemoryError e) {
            refused(Message.of("batch.batch-command.memory"));
            return 3;
        }
    }

    private int refused(Message why) {
        System.err.println("smorgas: " + wording.of(why));
        return 2;
    }

    private List<PlanFormat> formats() {
        List<PlanFormat> formats = new ArrayList<>();
        for (String file : format) {
            formats.add(PlanFormats.find(file)
                    .orElseThrow(() -> new Refusal(
                            "batch.batch-command.plan-leaves",
                            file,
                            PlanFormats.ALL.stream().map(PlanFormat::file).collect(Collectors.joining(", ")))));
        }
        for (Path file : layout) {
            try {
                formats.add(Json.layout(Files.readString(file)).format());
            } catch (Refusal e) {
                throw new Refusal(Message.of("store.recipe-file.in-file", file, e.message()), e);
            } catch (IOException e) {
                throw new Refusal(Message.of("batch.batch-command.cannot-read-text", file), e);
            }
        }
        return formats;
    }

    private int run(Recipe decided, List<PlanFormat> formats) {
        Map<String, List<Path>> projects;
        Map<String, Earlier> earlier = new HashMap<>();
        try {
            projects = each ? Projects.of(in) : Map.of("", in);
            // Before anything is written: it may be the same folder.
            for (String name : against == null ? Set.<String>of() : projects.keySet()) {
                Path before = against.resolve(name);
                // A project that is new has nothing to be compared with.
                if (!each || Files.exists(before)) {
                    earlier.put(name, Earlier.read(before));
                }
            }
        } catch (Refusal e) {
            return refused(e.message());
        } catch (IOException | CsvParseException e) {
            return refused(Message.verbatim(String.valueOf(e.getMessage())));
        }
        try {
            return run(decided, formats, projects, earlier);
        } catch (IOException | java.io.UncheckedIOException e) {
            return refused(Message.of("batch.batch-command.not-written", out.toString(), e.getMessage()));
        }
    }

    private int run(
            Recipe decided, List<PlanFormat> formats, Map<String, List<Path>> projects, Map<String, Earlier> earlier)
            throws IOException {
        Map<String, Object> told = new LinkedHashMap<>();
        int code = 0;
        Earlier first = null;
        for (Map.Entry<String, List<Path>> one : projects.entrySet()) {
            Path folder = Files.createDirectories(out.resolve(one.getKey()));
            boolean before = earlier.containsKey(one.getKey());
            BatchRun run = new BatchRun(
                    decided,
                    new BatchRun.Wanted(
                            formats,
                            each ? one.getKey() : project,
                            currency,
                            against == null ? first : earlier.get(one.getKey())),
                    System.err::println,
                    wording);
            BatchRun.Summary summary = run.run(one.getValue(), folder);
            first = first == null && each && against == null ? summary.came().get() : first;
            write(folder, summary.fields());
            told.put(one.getKey(), summary.fields());
            int its = summary.unread() > 0 ? 1 : before && summary.changed() ? CHANGED : 0;
            code = code == 1 || its == 0 ? code : its;
        }
        Object all = each ? Map.of("projects", told) : told.get("");
        if (each) {
            write(out, all);
        }
        System.out.println(Json.pretty(all));
        return code;
    }

    private static void write(Path folder, Object summary) throws IOException {
        Files.write(folder.resolve("summary.json"), (Json.pretty(summary) + "\n").getBytes(StandardCharsets.UTF_8));
    }

    /** For scripts: there is something to look at. */
    private static final int CHANGED = 4;

    /** What is usual; meaning counts where the model knows the language. */
    private Recipe standard() {
        Recipe empty = Recipe.empty(language);
        GroupSettings settings = empty.grouping().settings();
        return !wordsOnly
                ? empty.withGroups(settings.with(settings.method().with(MeaningModel.knows(language))))
                : empty;
    }

    private static Recipe read(Path file) throws IOException {
        RecipeFile read = RecipeFile.parse(Files.readString(file));
        return Recipe.of(read.entries(), read.language(), read.rules());
    }
}

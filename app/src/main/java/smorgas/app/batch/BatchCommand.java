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
import smorgas.core.text.Catalogue;
import smorgas.core.text.Message;
import smorgas.core.text.Refusal;
import smorgas.core.text.Wording;
import smorgas.meaning.model.MeaningModel;

/** {@code batch}: lists and a recipe in, tables, plan and summary out. */
@Command(
        name = "batch",
        description = "Runs lists through all five steps and writes the tables, without a server.",
        mixinStandardHelpOptions = true)
public final class BatchCommand implements Callable<Integer> {

    @Option(names = "--in", required = true, paramLabel = "FILE", description = "A list; give it once for each.")
    private List<Path> in = new ArrayList<>();

    private final Wording wording = Catalogue.english();

    @Option(names = "--recipe", paramLabel = "FILE", description = "A recipe as the application exports it.")
    private @Nullable Path recipe;

    @Option(
            names = "--language",
            paramLabel = "CODE",
            defaultValue = "en",
            description = "The language of the lists without a recipe (ISO 639-1; en).")
    private String language = "en";

    @Option(
            names = "--words-only",
            description = "Groups form by words alone, also where it could be known what the keywords mean.")
    private boolean wordsOnly;

    /** How groups form, where that is said on the command line. */
    private enum By {
        THEMES
    }

    @Option(
            names = "--by",
            paramLabel = "themes",
            description = "Groups form by themes, whatever the recipe says: that needs the least memory.")
    private @Nullable By by;

    @Option(
            names = "--format",
            paramLabel = "FILE",
            split = ",",
            description = "The plan as this file too, such as plan.xlsx or plan.json; give it once for each.")
    private List<String> format = new ArrayList<>();

    @Option(
            names = "--layout",
            paramLabel = "FILE",
            description = "The plan in this layout too, as the pantry exports it; give it once for each.")
    private List<Path> layout = new ArrayList<>();

    @Option(
            names = "--project",
            paramLabel = "NAME",
            defaultValue = "",
            description = "The name of the project, for files that tell it.")
    private String project = "";

    @Option(
            names = "--currency",
            paramLabel = "CODE",
            defaultValue = "",
            description = "The currency of bids, for files that tell it (ISO 4217).")
    private String currency = "";

    @Option(
            names = "--against",
            paramLabel = "PATH",
            description =
                    "The folder of an earlier run, or a project as a file: tells what is otherwise, and which rows of the plan changed.")
    private @Nullable Path against;

    @Option(
            names = "--each",
            description =
                    "Each --in, a folder of lists or a list, is a project of its own and comes out in a folder of "
                            + "its name; without --against the others are compared with the first.")
    private boolean each;

    @Option(names = "--out", required = true, paramLabel = "DIR", description = "Folder for what comes out.")
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
            System.err.println("smorgas: " + e.getMessage());
            return 2;
        }
        try {
            decided = recipe == null ? standard() : read(recipe);
            Files.createDirectories(out);
        } catch (Refusal e) {
            System.err.println("smorgas: " + recipe + ": " + e.getMessage());
            return 2;
        } catch (IOException e) {
            System.err.println("smorgas: " + e.getMessage() + " cannot be read or made");
            return 2;
        }
        if (by == By.THEMES) {
            GroupSettings settings = decided.grouping().settings();
            decided = decided.withGroups(
                    settings.with(settings.themes(decided.rules().themes().usual())));
        }
        try {
            return run(decided, formats);
        } catch (Refusal e) {
            System.err.println("smorgas: " + e.getMessage() + " (--by themes)");
            return 1;
        } catch (OutOfMemoryError e) {
            System.err.println(
                    "smorgas: the memory that Java was given is not enough for these lists; give more, such as"
                            + " SMORGAS_JAVA_OPTS=-Xmx4g, or take fewer");
            return 3;
        }
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
        } catch (Refusal | IOException | CsvParseException e) {
            System.err.println("smorgas: " + e.getMessage());
            return 2;
        }
        try {
            return run(decided, formats, projects, earlier);
        } catch (IOException | java.io.UncheckedIOException e) {
            System.err.println("smorgas: could not write to " + out + ": " + e.getMessage());
            return 2;
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
            int its = summary.unread() > 0 ? 1 : before && summary.otherwise() ? OTHERWISE : 0;
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
    private static final int OTHERWISE = 4;

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

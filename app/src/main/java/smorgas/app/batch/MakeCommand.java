package smorgas.app.batch;

import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;
import smorgas.app.standin.StandIns;
import smorgas.core.gather.Packed;
import smorgas.core.language.Lexicon;
import smorgas.core.recipe.gather.Brainstorm;
import smorgas.core.recipe.gather.CombineSettings;
import smorgas.core.recipe.gather.LogReading;
import smorgas.core.recipe.gather.PhraseSettings;
import smorgas.core.recipe.gather.SuggestionSettings;
import smorgas.core.source.Combinations;
import smorgas.core.source.Ideas;
import smorgas.core.source.LogTerms;
import smorgas.core.source.MadeList;
import smorgas.core.source.Pauses;
import smorgas.core.source.PhraseFinder;
import smorgas.core.source.Source;
import smorgas.core.source.SuggestionFinder;
import smorgas.core.text.Message;
import smorgas.core.text.Refusal;
import smorgas.core.text.Wording;

/** Lists that our own tools make, as CSV files for {@code batch --in} or anything else. */
@Command(
        name = "make",
        subcommands = {
            MakeCommand.OfCombinations.class,
            MakeCommand.OfLogs.class,
            MakeCommand.OfPages.class,
            MakeCommand.OfIdeas.class,
            MakeCommand.OfSuggestions.class
        })
public final class MakeCommand implements Callable<Integer> {

    private static final long MOST_UNPACKED = 800_000_000;

    private static final List<String> TOOLS = List.of("combinations", "logs", "pages", "ideas", "suggestions");

    private final Wording wording;

    public MakeCommand(Wording wording) {
        this.wording = wording;
    }

    /** Without a tool there is nothing to make. */
    @Override
    public Integer call() {
        System.err.println("smorgas: " + wording.of("command.make.what", TOOLS));
        return 2;
    }

    /** What all of them have. */
    private abstract static class Tool implements Callable<Integer> {

        @Option(names = "--out", required = true, paramLabel = "FILE", descriptionKey = "made")
        private Path out = Path.of("list.csv");

        @Option(names = "--language", paramLabel = "CODE", defaultValue = "en", descriptionKey = "words-in")
        private String language = "en";

        private final Wording wording;

        Tool(Wording wording) {
            this.wording = wording;
        }

        abstract MadeList list() throws IOException;

        /** Says something to who runs it. */
        final void tell(Message message) {
            System.err.println(wording.of(message));
        }

        String language() {
            return language;
        }

        /** 0 done, 1 nothing came of it or a file could not be read, 2 wrong use. */
        @Override
        public Integer call() {
            try {
                MadeList list = list();
                if (list.rows().isEmpty()) {
                    System.err.println("smorgas: " + wording.of("command.make.nothing"));
                    return 1;
                }
                Files.write(out, list.safe().bytes());
                System.out.println(wording.of("command.make.made", list.rows().size(), out.toString()));
                return 0;
            } catch (Refusal refused) {
                System.err.println("smorgas: " + wording.of(refused.message()));
                return 2;
            } catch (IOException e) {
                System.err.println("smorgas: " + wording.of("command.make.not-read-or-written", e.getMessage()));
                return 1;
            }
        }
    }

    /** Word lists multiplied. */
    @Command(name = "combinations")
    static final class OfCombinations extends Tool {

        OfCombinations(Wording wording) {
            super(wording);
        }

        @Option(names = "--column", required = true, paramLabel = "FILE")
        private List<Path> columns = new ArrayList<>();

        @Override
        MadeList list() throws IOException {
            List<CombineSettings.Column> read = new ArrayList<>();
            for (Path column : columns) {
                read.add(new CombineSettings.Column(Files.readAllLines(column), false, false));
            }
            return MadeList.of(Combinations.of(new CombineSettings(read, " ", "", "", true, CombineSettings.MOST)));
        }
    }

    /** Searches of access logs. */
    @Command(name = "logs")
    static final class OfLogs extends Tool {

        OfLogs(Wording wording) {
            super(wording);
        }

        @Option(names = "--in", required = true, paramLabel = "FILE")
        private List<Path> in = new ArrayList<>();

        @Option(names = "--parameter", paramLabel = "NAME")
        private List<String> parameters = new ArrayList<>();

        @Option(names = "--goal", paramLabel = "PAGE")
        private List<String> goals = new ArrayList<>();

        @Override
        MadeList list() throws IOException {
            LogTerms terms = new LogTerms(new LogReading(
                    parameters.isEmpty() ? LogReading.USUAL.parameters() : parameters,
                    true,
                    goals.stream().map(LogReading.Goal::read).toList(),
                    1));
            for (Path log : in) {
                try (InputStream bytes = Files.newInputStream(log)) {
                    terms.read(bytes, () -> {});
                }
            }
            LogTerms.Result result = terms.result();
            tell(result.counted().told());
            return result.list(!goals.isEmpty());
        }
    }

    /** Phrases of pages. */
    @Command(name = "pages")
    static final class OfPages extends Tool {

        OfPages(Wording wording) {
            super(wording);
        }

        @Option(names = "--in", required = true, paramLabel = "FILE")
        private List<Path> in = new ArrayList<>();

        @Option(names = "--times", paramLabel = "N", defaultValue = "2")
        private int times = 2;

        @Option(names = "--words", paramLabel = "N", defaultValue = "4")
        private int words = 4;

        @Override
        MadeList list() throws IOException {
            Map<PhraseSettings.Part, Integer> weights = new EnumMap<>(PhraseSettings.Part.class);
            for (PhraseSettings.Part part : PhraseSettings.Part.values()) {
                weights.put(part, part.usual());
            }
            PhraseFinder finder = new PhraseFinder(new PhraseSettings(
                    weights,
                    "",
                    "",
                    new PhraseSettings.Range(3, 80),
                    new PhraseSettings.Range(1, words),
                    times,
                    1,
                    List.copyOf(Lexicon.of(language()).stopWords()),
                    List.of(),
                    language(),
                    List.of()));
            for (Path page : in) {
                Packed.Contents contents =
                        Packed.open(String.valueOf(page.getFileName()), Files.readAllBytes(page), MOST_UNPACKED);
                contents.problems().forEach(problem -> tell(problem.sentence()));
                contents.lists().forEach(one -> finder.add(one.name(), one.bytes()));
            }
            PhraseFinder.Result result = finder.result();
            result.problems().forEach(this::tell);
            return result.list();
        }
    }

    /** Suggestions for seeds. */
    @Command(name = "suggestions")
    static final class OfSuggestions extends Tool {

        OfSuggestions(Wording wording) {
            super(wording);
        }

        @Option(names = "--standins")
        private boolean standIns;

        @Option(names = "--in", required = true, paramLabel = "FILE")
        private Path in = Path.of("seeds.txt");

        @Option(names = "--place", paramLabel = "PLACE", defaultValue = "")
        private String place = "";

        @Option(names = "--rounds", paramLabel = "N", defaultValue = "1")
        private int rounds = 1;

        @Override
        MadeList list() throws IOException {
            List<Source> sources = standIns ? StandIns.sources() : List.of();
            if (sources.isEmpty()) {
                throw new Refusal("batch.make-command.nobody-ask-standins-switches");
            }
            SuggestionSettings wanted = new SuggestionSettings(
                    Files.readAllLines(in),
                    EnumSet.of(SuggestionSettings.Around.ALONE, SuggestionSettings.Around.LETTERS_BEHIND),
                    SuggestionSettings.ALPHABET,
                    List.of(),
                    rounds,
                    SuggestionSettings.USUAL,
                    sources.stream().map(Source::name).toList(),
                    language(),
                    place);
            try {
                SuggestionFinder.Result result = new SuggestionFinder(wanted, sources, Pauses.REAL, () -> false).run();
                result.failed()
                        .forEach(one -> tell(Message.of("command.make.failed", one.query(), one.source(), one.why())));
                return result.list();
            } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
                throw new Refusal("batch.make-command.it-was-ended");
            }
        }
    }

    /** Phrases around sentences. */
    @Command(name = "ideas")
    static final class OfIdeas extends Tool {

        OfIdeas(Wording wording) {
            super(wording);
        }

        @Option(names = "--offer", paramLabel = "TEXT", defaultValue = "")
        private String offer = "";

        @Option(names = "--customers", paramLabel = "TEXT", defaultValue = "")
        private String customers = "";

        @Option(names = "--problems", paramLabel = "TEXT", defaultValue = "")
        private String problems = "";

        @Override
        MadeList list() {
            return MadeList.of(
                    Ideas.of(new Brainstorm(
                                    offer, customers, problems, EnumSet.allOf(Brainstorm.Form.class), language()))
                            .stream()
                            .map(Ideas.Idea::text)
                            .toList());
        }
    }
}

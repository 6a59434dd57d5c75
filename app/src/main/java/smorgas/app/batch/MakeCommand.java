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
import smorgas.core.recipe.gather.Foraging;
import smorgas.core.recipe.gather.Gleaning;
import smorgas.core.recipe.gather.LogReading;
import smorgas.core.recipe.gather.Pairing;
import smorgas.core.source.Forager;
import smorgas.core.source.Gleaner;
import smorgas.core.source.Ideas;
import smorgas.core.source.LogTerms;
import smorgas.core.source.MadeList;
import smorgas.core.source.Pairs;
import smorgas.core.source.Pauses;
import smorgas.core.source.Source;
import smorgas.core.text.Refusal;

/** Lists that our own tools make, as CSV files for {@code batch --in} or anything else. */
@Command(
        name = "make",
        description = "Makes a list by pairing, out of logs, pages or sentences, or of suggestions.",
        subcommands = {
            MakeCommand.OfPairs.class,
            MakeCommand.OfLogs.class,
            MakeCommand.OfPages.class,
            MakeCommand.OfIdeas.class,
            MakeCommand.OfSuggestions.class
        })
public final class MakeCommand implements Callable<Integer> {

    private static final long MOST_UNPACKED = 800_000_000;

    /** Without a tool there is nothing to make. */
    @Override
    public Integer call() {
        System.err.println("smorgas: make what? There are pairs, logs, pages, ideas, suggestions");
        return 2;
    }

    /** What all of them have. */
    private abstract static class Tool implements Callable<Integer> {

        @Option(names = "--out", required = true, paramLabel = "FILE", description = "The list, as CSV.")
        private Path out = Path.of("list.csv");

        @Option(
                names = "--language",
                paramLabel = "CODE",
                defaultValue = "en",
                description = "The language of the words (ISO 639-1; en).")
        private String language = "en";

        abstract MadeList list() throws IOException;

        String language() {
            return language;
        }

        /** 0 done, 1 nothing came of it or a file could not be read, 2 wrong use. */
        @Override
        public Integer call() {
            try {
                MadeList list = list();
                if (list.rows().isEmpty()) {
                    System.err.println("smorgas: nothing came of it");
                    return 1;
                }
                Files.write(out, list.safe().bytes());
                System.out.printf(
                        java.util.Locale.ENGLISH,
                        "%,d keywords in %s%n",
                        list.rows().size(),
                        out);
                return 0;
            } catch (Refusal refused) {
                System.err.println("smorgas: " + refused.message());
                return 2;
            } catch (IOException e) {
                System.err.println("smorgas: " + e.getMessage() + " cannot be read or written");
                return 1;
            }
        }
    }

    /** Word lists multiplied. */
    @Command(name = "pairs", description = "Multiplies word lists, in their order.")
    static final class OfPairs extends Tool {

        @Option(
                names = "--column",
                required = true,
                paramLabel = "FILE",
                description = "Words or phrases, one a line; give it twice to six times.")
        private List<Path> columns = new ArrayList<>();

        @Override
        MadeList list() throws IOException {
            List<Pairing.Column> read = new ArrayList<>();
            for (Path column : columns) {
                read.add(new Pairing.Column(Files.readAllLines(column), false, false));
            }
            return MadeList.of(Pairs.of(new Pairing(read, " ", "", "", true, Pairing.MOST)));
        }
    }

    /** Searches of access logs. */
    @Command(name = "logs", description = "Counts the searches in access logs (common or combined format, also gzip).")
    static final class OfLogs extends Tool {

        @Option(names = "--in", required = true, paramLabel = "FILE", description = "A log; give it once for each.")
        private List<Path> in = new ArrayList<>();

        @Option(
                names = "--parameter",
                paramLabel = "NAME",
                description = "A query parameter in which searches stand; give it once for each.")
        private List<String> parameters = new ArrayList<>();

        @Option(
                names = "--goal",
                paramLabel = "PAGE",
                description = "The path of a page that counts, and behind a space how much; give it once for each.")
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
            System.err.println(result.counted().told());
            return result.list(!goals.isEmpty());
        }
    }

    /** Phrases of pages. */
    @Command(name = "pages", description = "Takes phrases out of pages: HTML files, a ZIP of them, or texts.")
    static final class OfPages extends Tool {

        @Option(names = "--in", required = true, paramLabel = "FILE", description = "A page; give it once for each.")
        private List<Path> in = new ArrayList<>();

        @Option(
                names = "--times",
                paramLabel = "N",
                defaultValue = "2",
                description = "How often a phrase stands at least (2).")
        private int times = 2;

        @Option(names = "--words", paramLabel = "N", defaultValue = "4", description = "Words of a phrase at most (4).")
        private int words = 4;

        @Override
        MadeList list() throws IOException {
            Map<Gleaning.Part, Integer> weights = new EnumMap<>(Gleaning.Part.class);
            for (Gleaning.Part part : Gleaning.Part.values()) {
                weights.put(part, part.usual());
            }
            Gleaner gleaner = new Gleaner(new Gleaning(
                    weights,
                    "",
                    "",
                    new Gleaning.Range(3, 80),
                    new Gleaning.Range(1, words),
                    times,
                    1,
                    List.copyOf(Lexicon.of(language()).stopWords()),
                    List.of(),
                    language(),
                    List.of()));
            for (Path page : in) {
                Packed.Contents contents =
                        Packed.open(String.valueOf(page.getFileName()), Files.readAllBytes(page), MOST_UNPACKED);
                contents.problems().forEach(problem -> System.err.println(problem.sentence()));
                contents.lists().forEach(one -> gleaner.add(one.name(), one.bytes()));
            }
            Gleaner.Result result = gleaner.result();
            result.problems().forEach(System.err::println);
            return result.list();
        }
    }

    /** Suggestions for seeds. */
    @Command(
            name = "suggestions",
            description = "Asks for suggestions around seeds, alone and with every letter behind.")
    static final class OfSuggestions extends Tool {

        @Option(
                names = "--standins",
                description = "Asks the simulated sources that ship, whose names stand beside what they say.")
        private boolean standIns;

        @Option(names = "--in", required = true, paramLabel = "FILE", description = "Seeds, one a line.")
        private Path in = Path.of("seeds.txt");

        @Option(names = "--place", paramLabel = "PLACE", defaultValue = "", description = "A country or region.")
        private String place = "";

        @Option(
                names = "--rounds",
                paramLabel = "N",
                defaultValue = "1",
                description = "What came new in one is asked in the next (1).")
        private int rounds = 1;

        @Override
        MadeList list() throws IOException {
            List<Source> sources = standIns ? StandIns.sources() : List.of();
            if (sources.isEmpty()) {
                throw new Refusal("batch.make-command.nobody-ask-standins-switches");
            }
            Foraging wanted = new Foraging(
                    Files.readAllLines(in),
                    EnumSet.of(Foraging.Around.ALONE, Foraging.Around.LETTERS_BEHIND),
                    Foraging.ALPHABET,
                    List.of(),
                    rounds,
                    Foraging.USUAL,
                    sources.stream().map(Source::name).toList(),
                    language(),
                    place);
            try {
                Forager.Result result = new Forager(wanted, sources, Pauses.REAL, () -> false).run();
                result.failed()
                        .forEach(one -> System.err.println(
                                "\"" + one.query() + "\" at " + one.source() + ": " + one.why() + "."));
                return result.list();
            } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
                throw new Refusal("batch.make-command.it-was-ended");
            }
        }
    }

    /** Phrases around sentences. */
    @Command(
            name = "ideas",
            description = "Finds phrases around what you write of an offer, customers and their problems.")
    static final class OfIdeas extends Tool {

        @Option(names = "--offer", paramLabel = "TEXT", defaultValue = "", description = "What is on offer.")
        private String offer = "";

        @Option(
                names = "--customers",
                paramLabel = "TEXT",
                defaultValue = "",
                description = "Who wants it, and what they want to do.")
        private String customers = "";

        @Option(names = "--problems", paramLabel = "TEXT", defaultValue = "", description = "What troubles them.")
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

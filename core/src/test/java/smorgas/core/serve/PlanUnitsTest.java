package smorgas.core.serve;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.EnumSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.TreeMap;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import smorgas.core.board.Board;
import smorgas.core.gather.TestLists;
import smorgas.core.recipe.Entry;
import smorgas.core.recipe.FoldEntry;
import smorgas.core.recipe.Recipe;
import smorgas.core.recipe.Rules;
import smorgas.core.recipe.ServeEntry;
import smorgas.core.recipe.fold.FoldKind;
import smorgas.core.recipe.serve.MatchType;
import smorgas.core.recipe.serve.PlanSettings;
import smorgas.core.recipe.serve.PlanStructure;

/** What the plan takes and what it holds back, beside rules that are written down once more here, and its text to read. */
class PlanUnitsTest {

    /** As spreadsheets run cells (OWASP, CSV injection): a sign at the start, behind semicolons too; a number below zero is none. */
    private static final Pattern RUNS = Pattern.compile(";*[=+\\-@\\uFF1D\\uFF0B\\uFF0D\\uFF20].*", Pattern.DOTALL);

    private static final Pattern NUMBER = Pattern.compile("-\\d{1,15}(\\.\\d{1,9})?");
    /** Common practice of ad platforms. */
    private static final Pattern REFUSED = Pattern.compile(".*[,!@%^()={};~`<>?\\\\|*\"\\[\\]].*", Pattern.DOTALL);

    private static Board board(List<String> keywords, Entry... more) {
        // Nothing is folded, so that each text is a keyword.
        Stream<Entry> apart = Stream.of(FoldKind.values()).map(kind -> new FoldEntry.FoldKindSwitched(kind, false));
        String list = "keyword\n"
                + keywords.stream()
                        .map(text -> '"' + text.replace("\"", "\"\"") + "\"\n")
                        .collect(Collectors.joining());
        return Board.of(
                List.of(TestLists.lines(1, list)),
                Recipe.of(Stream.concat(apart, Stream.of(more)).toList(), "en"));
    }

    private static boolean taken(String keyword) {
        return !(RUNS.matcher(keyword).matches() && !NUMBER.matcher(keyword).matches())
                && keyword.codePoints().count() <= 80
                && keyword.split(" ").length <= 10
                && !REFUSED.matcher(keyword).matches();
    }

    private static Map<String, String> notExported(Board board) {
        return board.plan().notExported().stream()
                .collect(Collectors.toMap(
                        Plan.NotExported::keyword, held -> held.why().toString(), (a, b) -> a, TreeMap::new));
    }

    private static Set<String> exported(Board board) {
        return board.plan().rows().map(Plan.Row::keyword).collect(Collectors.toSet());
    }

    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3})
    void whatPlatformsTakeIsExportedAndAllElseIsNotExportedWithAReason(long seed) {
        Random random = new Random(seed);
        String[] pieces = {
            "hive",
            "bee",
            "stand",
            "=",
            "-",
            "+",
            "@",
            ";",
            " ",
            " ",
            " ",
            "'",
            "ü",
            "\uD83D\uDC1D",
            "\uFF1D",
            "%",
            "(",
            "!",
            "5",
            "-3",
            ".5",
            "&",
            "#",
            "/",
            "\u8702\u7BB1",
            "*",
            "?",
            "~",
            "_",
            "a".repeat(30)
        };
        Set<String> texts = new LinkedHashSet<>();
        while (texts.size() < 3_000) {
            StringBuilder text = new StringBuilder();
            for (int i = random.nextInt(9); i >= 0; i--) {
                text.append(pieces[random.nextInt(pieces.length)]);
            }
            texts.add(text.toString().strip().replaceAll(" +", " "));
        }
        Board board = board(List.copyOf(texts), new ServeEntry.PlanSettingsChosen(serving(MatchType.EXACT)));
        Set<String> exported = exported(board);
        Map<String, String> held = notExported(board);
        int all = 0;
        for (int keyword = 0; keyword < board.keywords().size(); keyword++) {
            String text = board.keywords().text(keyword);
            if (board.groups().grouping().groupOf(keyword) >= 0) {
                all++;
                assertThat(exported.contains(text)).as("exported: [%s]", text).isEqualTo(taken(text));
                assertThat(held.containsKey(text))
                        .as("not exported: [%s]", text)
                        .isNotEqualTo(taken(text));
            }
        }
        assertThat(all).isGreaterThan(500);
        assertThat(held.values()).allMatch(why -> why.startsWith("begins with") || why.startsWith("has "));
    }

    private static PlanSettings serving(MatchType... types) {
        return Rules.NEWEST.settings().plan().with(EnumSet.copyOf(List.of(types)));
    }

    @ParameterizedTest
    @CsvSource({"80, 1, true", "81, 1, false", "20, 10, true", "21, 11, false"})
    void theLongestAndTheWordiestAreTaken(int letters, int words, boolean taken) {
        // Of so many letters and spaces together.
        String last = "x".repeat(letters - 2 * (words - 1));
        String keyword = "b ".repeat(words - 1) + last;
        Board board = board(List.of(keyword, keyword.replace('x', 'y')));
        assertThat(board.keywords().text(0)).hasSize(letters);
        int grouped = board.groups().grouping().grouped();
        assertThat(exported(board)).hasSize(taken ? grouped : 0);
        assertThat(notExported(board)).hasSize(taken ? 0 : grouped);
    }

    @ParameterizedTest
    @CsvSource({"0, false, false", "0, true, false", "0, false, true", "1, true, true", "2, false, false"})
    void theTextToReadTellsEveryRow(int depth, boolean oneKeyword, boolean oneType) {
        List<String> keywords = List.of(
                "oak hive stand",
                "oak hive stand plans",
                "tall hive stand",
                "hive stand",
                "bee suit",
                "bee suit kids",
                "bee suit xl",
                "honey jar",
                "honey jar lids",
                "honey jars bulk");
        PlanSettings settings = serving(MatchType.BROAD, MatchType.PHRASE, MatchType.EXACT)
                .with(new PlanStructure(depth, oneKeyword, oneType));
        Board board = board(keywords, new ServeEntry.PlanSettingsChosen(settings));
        List<String> rows = TestPlan.written(board, "plan.txt")
                .lines()
                .filter(line -> line.startsWith("    ") && line.contains(" \u00B7 "))
                .flatMap(line -> {
                    String[] parts = line.strip().split(" \u00B7 ");
                    return Stream.of(parts[1].split(", ")).map(type -> parts[0] + " " + type);
                })
                .toList();
        assertThat(rows)
                .containsExactlyInAnyOrderElementsOf(board.plan()
                        .rows()
                        .map(row -> row.keyword() + " "
                                + row.matchType().fixedName().toLowerCase(java.util.Locale.ENGLISH))
                        .toList());
        assertThat(rows).hasSize((int) board.plan().count().rows());
    }
}

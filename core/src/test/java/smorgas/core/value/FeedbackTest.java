package smorgas.core.value;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import java.util.Set;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import smorgas.core.board.Board;
import smorgas.core.gather.Lines;
import smorgas.core.gather.TestLists;
import smorgas.core.recipe.FoldEntry;
import smorgas.core.recipe.GroupDecision;
import smorgas.core.recipe.Recipe;
import smorgas.core.recipe.Rules;
import smorgas.core.recipe.SiftEntry;
import smorgas.core.recipe.fold.FoldKind;
import smorgas.core.recipe.gather.BasketInfo;
import smorgas.core.recipe.sift.Condition;
import smorgas.core.recipe.sift.Rule;
import smorgas.core.recipe.sift.Status;
import smorgas.core.recipe.value.FeedbackSettings;

class FeedbackTest {

    private static Lines report(long number, String text, String currency, String market, String gathered) {
        Lines lines = TestLists.lines(number, "report " + number, text.getBytes(StandardCharsets.UTF_8));
        return lines.described(new BasketInfo(
                        lines.name(), BasketInfo.Kind.SEARCH_TERMS, "", "", market, currency, gathered, ""))
                .bringing(false);
    }

    private static final String FIRST = "search term,clicks,impressions,cost,conversions\n"
            + "bee hive,80,1000,40.00,4\nBee Hives,20,200,10.00,0\ncheap bee hive kit,30,300,12.00,2\n"
            + "bee hive hair,90,900,45.00,0\nhoney jobs,60,100,6.00,0\nmead,5,50,1.00,1\n";

    private static final String SECOND = "search term,clicks,impressions,cost,conversions\n"
            + "bee hive,100,1000,60.00,6\nhive hair clip,20,200,10.00,0\nhoney jobs,50,100,5.00,0\n";

    private static Feedback.Found found(FeedbackSettings settings, Lines... reports) {
        List<Lines> all = new ArrayList<>(List.of(TestLists.lines(1, "bee hive\nsmoker\nhoney\nhoney jobs\n")));
        all.addAll(List.of(reports));
        Board board = Board.of(
                all,
                Recipe.of(
                        List.of(
                                new SiftEntry.RuleAdded(new Rule(1, new Condition.HasWord("jobs"), Status.DROPPED)),
                                new SiftEntry.Judged(List.of("honey"), Status.KEPT),
                                new GroupDecision.KeywordsPlaced(List.of("bee hive"), List.of(), "hives")),
                        "en"));
        return Feedback.of(
                board.keywords(),
                board.statuses().remaining(),
                board.statuses().with(Status.KEPT),
                board.groups().grouping()::groupOf,
                settings,
                "GBP",
                "United Kingdom",
                Set.of("for"));
    }

    private static Feedback.Term term(Feedback.Found found, String text) {
        return found.terms().stream()
                .filter(term -> term.text().equals(text))
                .findFirst()
                .orElseThrow();
    }

    /** The sums were counted by hand. */
    @Test
    void termsHitKeywordsAndWhatNeverConvertsIsProposedAsANegative() {
        Feedback.Found found = found(
                Rules.NEWEST.settings().feedback(),
                report(2, FIRST, "GBP", "", "2026-10-05"),
                report(3, SECOND, "", "United Kingdom", "2026-10-12"));
        assertThat(term(found, "bee hive").figures())
                .isEqualTo(new Feedback.Figures(180, 2_000, 100_000_000, 1_000, true));
        assertThat(term(found, "bee hive").hit()).isEqualTo(Feedback.Hit.EXACT);
        assertThat(term(found, "bee hives").hit()).isEqualTo(Feedback.Hit.CLOSE);
        assertThat(term(found, "cheap bee hive kit").hit()).isEqualTo(Feedback.Hit.PHRASE);
        assertThat(term(found, "honey jobs").hit()).isEqualTo(Feedback.Hit.DROPPED);
        assertThat(term(found, "mead").hit()).isEqualTo(Feedback.Hit.NONE);
        assertThat(found.wastes())
                .as("hair and jobs have 110 clicks in two terms each; honey is kept")
                .extracting(Feedback.Waste::text)
                .containsExactly("hair", "jobs");
        assertThat(found.fresh()).extracting(Feedback.Term::text).containsExactly("cheap bee hive kit", "mead");
        assertThat(found.groups()).singleElement().satisfies(group -> {
            assertThat(group.terms())
                    .as("exact, close and the two that hold it")
                    .isEqualTo(4);
            assertThat(group.figures().clicks()).isEqualTo(320);
            assertThat(group.wasted()).isFalse();
        });
        assertThat(found.weeks())
                .extracting(week -> week.name() + " " + week.figures().clicks())
                .containsExactly("2026-10-05, report 2 285", "2026-10-12, report 3 170");
        assertThat(found.told()).isEmpty();
    }

    @Test
    void theNewestTellsWhereReportsOverlapAndAFewClicksProveNothing() {
        Feedback.Found newest = found(
                new FeedbackSettings(100, false),
                report(3, SECOND, "GBP", "", "2026-10-12"),
                report(2, FIRST, "GBP", "", "2026-10-05"));
        assertThat(term(newest, "bee hive").figures().clicks()).isEqualTo(100);
        assertThat(newest.wastes())
                .as("hair has 90 and 20 in two terms")
                .extracting(Feedback.Waste::text)
                .containsExactly("hair");
        assertThat(found(new FeedbackSettings(1_000, true), report(2, FIRST, "GBP", "", ""))
                        .wastes())
                .isEmpty();
    }

    @Test
    void weeksComeOfTheDaysAndWhatCannotBeComparedIsLeftOutWithALine() {
        Lines dated = report(
                2,
                "search term,date,clicks,cost,conversions\nbee hive,2026-11-02,10,1,0\nbee hive,2026-11-08,5,1,1\n"
                        + "bee hive,2026-11-09,7,1,0\n",
                "GBP",
                "",
                "");
        assertThat(found(Rules.NEWEST.settings().feedback(), dated).weeks())
                .extracting(week -> week.name() + " " + week.figures().clicks())
                .containsExactly("2026-11-02 15", "2026-11-09 7");
        Feedback.Found others = found(
                Rules.NEWEST.settings().feedback(),
                report(2, FIRST, "USD", "", ""),
                report(3, FIRST, "GBP", "Germany", ""),
                report(4, "search term,impressions\nbee hive,5\n", "GBP", "", ""),
                report(5, "search term,clicks\nsmoker,500\n", "GBP", "", ""));
        assertThat(others.told())
                .hasSize(4)
                .anyMatch(line -> line.toString().startsWith("report 2 is in USD and the project in GBP"))
                .anyMatch(line -> line.toString().startsWith("report 3 is of Germany"))
                .anyMatch(line -> line.toString().startsWith("report 4 has no column of clicks"))
                .anyMatch(line -> line.toString().startsWith("report 5 has no conversions"));
        assertThat(others.terms()).hasSize(1);
        assertThat(others.wastes()).as("unknown is not none").isEmpty();
    }

    /** By looking through all keywords, one after the other: the longest that stands in the term word by word. */
    private static String slow(List<String> keywords, String term) {
        return keywords.stream()
                .filter(keyword -> (" " + term + " ").contains(" " + keyword + " "))
                .map(keyword -> keyword.split(" ").length)
                .max(Integer::compare)
                .map(String::valueOf)
                .orElse("none");
    }

    @Test
    void drawnTermsHitTheLongestKeywordThatStandsInThem() {
        Random random = new Random(9);
        List<String> words = List.of("oak", "elm", "fir", "ash", "yew", "hazel");
        List<String> keywords = drawn(random, words, 40, 3);
        List<String> terms = drawn(random, words, 120, 6);
        StringBuilder report = new StringBuilder("search term,clicks,cost,conversions\n");
        terms.forEach(term -> report.append(term).append(",1,0.10,0\n"));
        Lines evidence = report(2, report.toString(), "", "", "");
        Board board = Board.of(
                List.of(TestLists.lines(1, String.join("\n", keywords)), evidence),
                Recipe.of(List.of(new FoldEntry.FoldKindSwitched(FoldKind.ORDER, false)), "en"));
        Feedback.Found found = Feedback.of(
                board.keywords(),
                board.statuses().remaining(),
                new BitSet(),
                keyword -> -1,
                Rules.NEWEST.settings().feedback(),
                "",
                "",
                Set.of());
        assertThat(found.terms()).hasSameSizeAs(terms);
        for (Feedback.Term term : found.terms()) {
            String length = term.keyword() < 0
                    ? "none"
                    : String.valueOf(board.keywords().text(term.keyword()).split(" ").length);
            assertThat(length).as(term.text()).isEqualTo(slow(keywords, term.text()));
            assertThat(term.hit() == Feedback.Hit.EXACT).as(term.text()).isEqualTo(keywords.contains(term.text()));
        }
    }

    private static List<String> drawn(Random random, List<String> words, int count, int longest) {
        // No word twice in one: a project folds these.
        return IntStream.range(0, count)
                .mapToObj(i -> {
                    List<String> shuffled = new ArrayList<>(words);
                    Collections.shuffle(shuffled, random);
                    return String.join(" ", shuffled.subList(0, 1 + random.nextInt(longest)));
                })
                .distinct()
                .toList();
    }
}

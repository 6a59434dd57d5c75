package smorgas.app.web.sift;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.util.List;
import org.junit.jupiter.api.Test;
import smorgas.app.Themed;
import smorgas.core.board.Board;
import smorgas.core.gather.BasketReader;
import smorgas.core.gather.Lines;
import smorgas.core.recipe.Entry;
import smorgas.core.recipe.GroupDecision;
import smorgas.core.recipe.Recipe;
import smorgas.core.recipe.SiftEntry;
import smorgas.core.recipe.sift.Condition;
import smorgas.core.recipe.sift.Rule;
import smorgas.core.recipe.sift.Status;

/** What is told of one keyword: nothing of it may be guessed, so each sentence is held against what was really done. */
class StoryTest {

    private static final String FIRST = """
            keyword;searches;cpc
            Bee Hives;1,300;0.80
            bee hive;900;
            bee hive kit;90;1.10
            bee suit;300;0.50
            bee suits;20;
            free bee suit;10;
            gardening;70;
            """;

    private static final String SECOND = "bee hive\nhoney jar\n";

    private static Lines list(long number, String name, String text) {
        return BasketReader.lines(number, name, text.getBytes(StandardCharsets.UTF_8))
                .lines()
                .orElseThrow();
    }

    private static Board board(Entry... entries) {
        return Board.of(
                List.of(list(1, "export.csv", FIRST), list(2, "notes.txt", SECOND)), Themed.recipe(List.of(entries)));
    }

    private static Story story(String text, Board board) {
        return Story.of(text, board, line -> "column of " + line.basketName()).orElseThrow();
    }

    private static final Entry DROP_FREE =
            new SiftEntry.RuleAdded(new Rule(1, new Condition.HasWord("free"), Status.DROPPED));

    @Test
    void everyLineIsToldWithItsListItsFiguresAndItsOtherColumns() {
        Story story = story("bee hive", board());
        assertThat(story.keyword()).isIn("bee hive", "bee hives");
        assertThat(story.sources())
                .extracting(source -> source.text() + ", " + source.basket() + " line " + source.line())
                .containsExactly(
                        "Bee Hives, export.csv line 2", "bee hive, export.csv line 3", "bee hive, notes.txt line 1");
        assertThat(story.sources().getFirst().figures().toString())
                .contains("searches 1,300")
                .contains("0.80");
        assertThat(story.sources().get(1).figures().toString())
                .contains("searches 900")
                .doesNotContain("0.80");
        assertThat(story.sources().getLast().figures().toString())
                .as("a plain list tells none")
                .isEmpty();
        assertThat(story.sources()).extracting(Story.Source::others).contains("column of notes.txt");
    }

    @Test
    void whyItStandsIsTheRuleOrTheHandThatSaidSo() {
        Story byRule = story("free bee suit", board(DROP_FREE));
        assertThat(byRule.status().toString()).startsWith("Dropped, ").contains("free");
        assertThat(byRule.byHand()).isFalse();
        assertThat(byRule.group()).hasToString("In no group, because it is Dropped.");
        assertThat(byRule.exported()).hasToString("Not in the plan.");
        Story undecided = story("gardening", board(DROP_FREE));
        assertThat(undecided.status().toString()).startsWith("Undecided");
    }

    @Test
    void whereItWentSaysWhoPutItThere() {
        Board board = board(
                new GroupDecision.KeywordsPlaced(List.of("gardening", "bee hive kit"), List.of(), "odd ones"),
                DROP_FREE);
        assertThat(story("gardening", board).group().toString())
                .startsWith("In \"odd ones\", because it was put there by hand.");
        Story suit = story("bee suit", board);
        assertThat(suit.group().toString()).startsWith("In \"").contains("because it has the word", "of its weight");
    }

    @Test
    void anUngroupedKeywordSaysThatNoThemeTookIt() {
        Story story = story("gardening", board());
        assertThat(story.group().toString()).isEqualTo("Ungrouped: no theme with enough keywords has its words.");
        assertThat(story.exported().toString()).isEqualTo("Not in the plan.");
    }

    @Test
    void whatIsExportedIsNamedWithItsMatchTypes() {
        Board board = board(new GroupDecision.KeywordsPlaced(List.of("gardening", "honey jar"), List.of(), "odd ones"));
        String exported = story("gardening", board).exported().toString();
        assertThat(exported).startsWith("Exported in \"").contains("odd ones").endsWith(".");
        List<String> types = board.plan()
                .rows()
                .filter(row -> row.keyword().equals("gardening"))
                .map(row -> row.matchType().label().toString())
                .toList();
        assertThat(types).isNotEmpty().allSatisfy(type -> assertThat(exported).contains(type));
    }

    @Test
    void ofWhatIsNoKeywordThereIsNoStory() {
        assertThat(Story.of("nobody typed this", board(), line -> "")).isEmpty();
    }

    @Test
    void ofVeryManyLinesTheFirstSixtyAreTold() {
        StringBuilder many = new StringBuilder();
        for (int line = 0; line < 75; line++) {
            many.append("bee hive\n");
        }
        Board board = Board.of(List.of(list(1, "many.txt", many.toString())), Recipe.of(List.of(), "en"));
        assertThat(story("bee hive", board).sources()).hasSize(60);
        assertThat(board.keywords().lineCount(0)).isEqualTo(75);
    }
}

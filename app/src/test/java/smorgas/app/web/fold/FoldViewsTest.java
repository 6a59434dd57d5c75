package smorgas.app.web.fold;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.charset.StandardCharsets;
import java.util.List;
import org.junit.jupiter.api.Test;
import smorgas.core.board.Board;
import smorgas.core.gather.BasketReader;
import smorgas.core.gather.Lines;
import smorgas.core.recipe.Entry;
import smorgas.core.recipe.FoldEntry;
import smorgas.core.recipe.Recipe;
import smorgas.core.recipe.fold.Cleaning;
import smorgas.core.recipe.fold.FoldKind;

/** What the page of Fold shows of a board. */
class FoldViewsTest {

    private static Board board(Entry... entries) {
        Lines lines = BasketReader.lines(
                        1,
                        "list",
                        "keyword,searches\nBee Hive,40\nbee hive,40\nbee hives,90\nhive bee,\nveil 2025,5\nveil 2024,6\n"
                                .getBytes(StandardCharsets.UTF_8))
                .lines()
                .orElseThrow();
        return Board.of(List.of(lines), Recipe.of(List.of(entries), "en"));
    }

    private static StairView tread(List<StairView> stair, String label) {
        return stair.stream()
                .filter(t -> t.label().toString().equals(label))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void theStairIsDrawnToScaleAndATreadThatIsOffHangsBesideWhatIsLeft() {
        List<StairView> stair = StairView.of(board(new FoldEntry.FoldKindSwitched(FoldKind.PLURALS, false))
                .foldReport()
                .steps());
        assertThat(tread(stair, "Tidying").folds()).isEqualTo("1");
        assertThat(List.of(
                        tread(stair, "Tidying").left(), tread(stair, "Tidying").away()))
                .containsExactly(833, 167);
        StairView order = tread(stair, "Word order");
        assertThat(List.of(order.folds(), order.left(), order.away())).containsExactly("1", 667, 167);
        StairView plurals = tread(stair, "Singular and plural");
        assertThat(plurals.on()).isFalse();
        assertThat(List.of(plurals.folds(), plurals.left(), plurals.away())).containsExactly("1", 500, 167);
        assertThat(plurals.samples()).contains("bee hive = bee hives");
        assertThat(stair)
                .noneMatch(t -> t.label().equals("By hand") || t.label().equals("Cleaning"));
    }

    @Test
    void cleaningAndHandsHaveTheirTreadsWhenTheyDoSomething() {
        Board board = board(
                new FoldEntry.CleaningAdded(1, new Cleaning.StripYears()),
                new FoldEntry.SpellingsTakenOut(List.of("hive bee")));
        List<StairView> stair = StairView.of(board.foldReport().steps());
        assertThat(tread(stair, "Cleaning").folds()).isEqualTo("1");
        assertThat(tread(stair, "By hand").folds()).isEqualTo("-1");
        assertThat(board.keywords().size()).isEqualTo(3);
    }

    @Test
    void aSetShowsItsLeadFirstWithHowLinesWriteItAndWhatBroughtTheOthers() {
        Board board = board();
        FoldSet set = FoldSet.of(board, board.keywords().find("bee hive").orElseThrow());
        assertThat(List.of(set.keyword(), set.lines(), set.baskets())).containsExactly("bee hives", "4", "1");
        assertThat(set.spellings())
                .extracting(s -> s.text() + "/" + s.by() + "/" + s.searches() + "/" + s.lead())
                .containsExactly(
                        "bee hives/tidying/90/true",
                        "bee hive/singular and plural/40/false",
                        "hive bee/singular and plural//false");
        assertThat(set.spellings().get(1).written()).isEqualTo("Bee Hive");
        assertThat(set.spellings().get(1).where()).hasToString("list line 2, list line 3");
    }

    @Test
    void aFormThatAsksForNoCleaningIsNoneAndAWrongOneSaysWhatIsMissing() {
        assertThat(new AskedCleaning(null, null, null, null, null, null, null, null).cleaning())
                .isEmpty();
        assertThat(new AskedCleaning("replace", null, "bee", null, null, null, null, null).cleaning())
                .contains(new Cleaning.Replace(Cleaning.Match.WORDS, "bee", ""));
        assertThat(new AskedCleaning("places", null, null, null, null, null, null, " york \n\n bath").cleaning())
                .contains(new Cleaning.StripPhrases(List.of("york", "bath")));
        AskedCleaning none = new AskedCleaning("scripts", null, null, null, null, null, null, null);
        assertThatThrownBy(none::cleaning).hasMessage("Choose a script to keep");
    }
}

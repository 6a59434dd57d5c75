package smorgas.core.sift;

import static org.assertj.core.api.Assertions.assertThat;

import java.math.BigDecimal;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import smorgas.core.board.Board;
import smorgas.core.figure.Figure;
import smorgas.core.gather.TestLists;
import smorgas.core.recipe.Recipe;
import smorgas.core.recipe.SiftEntry;
import smorgas.core.recipe.sift.Condition;
import smorgas.core.recipe.sift.Rule;
import smorgas.core.recipe.sift.Status;

/** What goes along with what is dropped; the sums counted by hand. */
class DropEffectsTest {

    @Test
    void keptKeywordsAndWhatReportsTellAreSummed() {
        Board board = Board.of(
                List.of(
                        TestLists.lines(
                                1,
                                "keyword,clicks,conversions\nfree hive,12,1.5\nfree plans,30,\nbee hive,900,40\nfree jar,,0\n")),
                Recipe.of(
                        List.of(new SiftEntry.RuleAdded(new Rule(1, new Condition.HasWord("plans"), Status.KEPT))),
                        "en"));
        DropEffects free = DropEffects.of(
                board.matcher().match(new Condition.HasWord("free")), board.keywords(), board.statuses());
        assertThat(free.kept()).isEqualTo(1);
        assertThat(free.reported().get(Figure.CLICKS)).isEqualByComparingTo("42");
        assertThat(free.reported().get(Figure.CONVERSIONS)).isEqualByComparingTo(new BigDecimal("1.5"));
        DropEffects jar =
                DropEffects.of(board.matcher().match(new Condition.HasWord("jar")), board.keywords(), board.statuses());
        assertThat(jar).isEqualTo(new DropEffects(0, Map.of()));
    }
}

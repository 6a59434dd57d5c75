package smorgas.core.board;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import org.junit.jupiter.api.Test;
import smorgas.core.figure.Computed;
import smorgas.core.gather.Lines;
import smorgas.core.gather.TestLists;
import smorgas.core.recipe.Entry;
import smorgas.core.recipe.NoteEntry;
import smorgas.core.recipe.Recipe;
import smorgas.core.text.Refusal;

class NotesTest {

    private static final Entry ONE = new NoteEntry.KeywordNoted("bee hive", List.of(), " ask the shop ");
    private static final Entry OTHER = new NoteEntry.KeywordNoted("bee hives", List.of("beehive"), "two colours");

    private static final List<Lines> LINES = List.of(TestLists.lines(1, "bee hive\nbee hives\nbeehive\nwax\n"));

    private static Board board(Entry... entries) {
        return Board.of(LINES, Recipe.of(List.of(entries), "en"));
    }

    private static String noted(Board board, String text) {
        return board.facts().exported(Computed.NOTE, board.keywords().find(text).orElseThrow());
    }

    @Test
    void aNoteFindsItsKeywordHoweverItIsFolded() {
        assertThat(noted(board(ONE), "bee hives")).isEqualTo("ask the shop");
        // Two keywords with notes that were folded into one later: neither is lost.
        assertThat(noted(board(ONE, OTHER), "bee hive"))
                .contains("ask the shop")
                .contains("two colours");
        assertThat(noted(board(ONE), "wax")).isEmpty();
        assertThat(board(ONE).facts().any(Computed.NOTE)).isTrue();
        assertThat(board().facts().any(Computed.NOTE)).isFalse();
    }

    @Test
    void aNoteOfLastMonthIsFoundWhereOnlyThePluralCameThisMonth() {
        Board next = Board.of(List.of(TestLists.lines(1, "bee hives\nwax\n")), Recipe.of(List.of(ONE), "en"));
        assertThat(noted(next, "bee hives")).isEqualTo("ask the shop");
    }

    @Test
    void anEmptyNoteTakesItAwayAndTheLastOneStands() {
        Entry none = new NoteEntry.KeywordNoted("bee hive", List.of(), " ");
        assertThat(noted(board(ONE, none), "bee hive")).isEmpty();
        Board groups = board(new NoteEntry.GroupNoted("wax", "old"), new NoteEntry.GroupNoted("wax", "new"));
        assertThat(groups.recipe().notes().groups()).containsEntry("wax", "new");
        assertThatThrownBy(() -> new NoteEntry.GroupNoted("wax", "n".repeat(2_001)))
                .isInstanceOf(Refusal.class)
                .hasMessageContaining("2,000");
    }

    @Test
    void nothingIsComputedAnewForANote() {
        Board before = board();
        var groups = before.groups();
        Board after = before.next(LINES, Recipe.of(List.of(ONE), "en"));
        assertThat(after.groups()).isSameAs(groups);
        assertThat(noted(after, "bee hive")).isEqualTo("ask the shop");
    }
}

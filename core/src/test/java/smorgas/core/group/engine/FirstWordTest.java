package smorgas.core.group.engine;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.Test;
import smorgas.core.board.Board;
import smorgas.core.gather.TestLists;
import smorgas.core.group.read.Groups;
import smorgas.core.recipe.Entry;
import smorgas.core.recipe.GroupEntry;
import smorgas.core.recipe.Recipe;
import smorgas.core.recipe.Rules;

/** A method of grouping is a record, an engine, a line that lists it and a test: this one, and nobody else knows of it. */
class FirstWordTest {

    private static final String LIST =
            "keyword,searches\nqueen cage,90\nqueen marking pen,50\nbee veil,300\nbee brush,40\n"
                    + "bee suit,70\nhoney jar,20\n";

    @Test
    void keywordsWithTheSameFirstWordAreAGroupOnTheWholeWayToThePlan() {
        Entry chosen = new GroupEntry.GroupSettingsChosen(
                Rules.NEWEST.settings().byThemes("en").with(new FirstWord(2)));
        assertThat(chosen.sentence()).hasToString("Set the groups to keywords with the same first word, 2 and more");
        Board board = Board.of(List.of(TestLists.lines(1, LIST)), Recipe.of(List.of(chosen), "en"));
        Groups groups = board.groups();
        assertThat(Arrays.stream(groups.order()).mapToObj(group -> groups.name(group) + " " + groups.keywords(group)))
                .containsExactly("bee 3", "queen 2");
        assertThat(groups.grouping().ungrouped()).isEqualTo(1);
        assertThat(board.plan().notes()).isEmpty();
        assertThat(board.plan().campaigns().getFirst().adGroups())
                .extracting(group -> group.keywords().size())
                .containsExactly(3, 2);
    }

    @Test
    void aMethodThatIsListedIsAmongThoseThatCanBeChosen() {
        assertThat(Engines.kinds())
                .extracting(Engines.Kind::name)
                .containsExactly("first-word", "similarity", "themes");
    }
}

package smorgas.core.sift;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import smorgas.core.board.Board;
import smorgas.core.gather.TestLists;
import smorgas.core.recipe.Recipe;

/** What the usual views show. */
class UsualViewsTest {

    private static List<String> shown(Board board, String view, String language) {
        return UsualViews.of(board.keywords(), language).stream()
                .filter(one -> one.name().toString().equals(view))
                .flatMap(one -> board.match(one.shows()).stream().boxed())
                .map(board.keywords()::text)
                .sorted()
                .toList();
    }

    private static Board board(String list, String language) {
        return Board.of(List.of(TestLists.lines(1, list)), Recipe.of(List.of(), language));
    }

    @Test
    void showWhatTheyAreCalled() {
        Board board = board(
                "keyword,searches,cpc\nbee hive,900,0.50\nhow to keep bees at home,400,0.10\nlocal honey,90,0.20\n"
                        + "bee hives near me,20,0.90\nwax melter,,\n",
                "en");
        assertThat(shown(board, "Questions", "en")).containsExactly("how to keep bees at home");
        assertThat(shown(board, "Near me", "en")).containsExactly("bee hives near me", "local honey");
        assertThat(shown(board, "Four words and more", "en"))
                .containsExactly("bee hives near me", "how to keep bees at home");
        assertThat(shown(board, "Cheap and searched", "en"))
                .as("more searches than the lower half, no dearer than the lower half")
                .containsExactly("how to keep bees at home");
        assertThat(shown(board, "No searches known", "en")).containsExactly("wax melter");
    }

    @Test
    void areOfTheLanguageAndOfWhatIsKnown() {
        Board board = board("wie baut man ein gartenhaus\ngartenhaus in der nähe\ncarport\n", "de");
        assertThat(shown(board, "Questions", "de")).containsExactly("wie baut man ein gartenhaus");
        assertThat(shown(board, "Near me", "de")).containsExactly("gartenhaus in der nähe");
        assertThat(UsualViews.of(board.keywords(), "fi").stream()
                        .map(UsualViews.View::name)
                        .map(Object::toString)
                        .collect(Collectors.toList()))
                .containsExactly("Four words and more", "In several competitors' lists");
    }
}

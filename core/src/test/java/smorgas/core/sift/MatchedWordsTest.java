package smorgas.core.sift;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import smorgas.core.board.Board;
import smorgas.core.gather.TestLists;
import smorgas.core.recipe.Entry;
import smorgas.core.recipe.Recipe;
import smorgas.core.recipe.SiftEntry;
import smorgas.core.recipe.sift.Condition;
import smorgas.core.recipe.sift.Rule;
import smorgas.core.recipe.sift.Status;
import smorgas.core.recipe.sift.WordList;

class MatchedWordsTest {

    private final Board board = Board.of(
            List.of(TestLists.lines(1, "bee hives\nfree bee plans\nbee salary\nsecond hand bee smoker\nwasp trap\n")),
            Recipe.of(
                    List.<Entry>of(
                            new SiftEntry.ListTaken(new WordList(
                                    "jobs", "en", WordList.Kind.OTHER, 1, List.of("salary", "second hand", "wage"))),
                            rule(1, new Condition.OnList("jobs")),
                            rule(2, new Condition.HasWord("free")),
                            rule(3, new Condition.HasAnyWord(List.of("nest", "a", "b", "c", "trap"))),
                            rule(4, new Condition.HasText("hiv")),
                            new SiftEntry.Judged(List.of("free bee plans"), Status.DROPPED)),
                    "en"));
    private final MatchedWords because =
            new MatchedWords(board.keywords(), board.recipe().sifting().lists());

    private static SiftEntry.RuleAdded rule(int number, Condition when) {
        return new SiftEntry.RuleAdded(new Rule(number, when, Status.DROPPED));
    }

    private String reason(String text) {
        int keyword = board.keywords().find(text).orElseThrow();
        return because.sentence(board.statuses().reason(keyword), keyword).toString();
    }

    @Test
    void theVeryWordIsNamedWhereTheRuleAsksForOneOfMany() {
        assertThat(reason("bee salary")).endsWith("of the list \"jobs\"; here \"salary\"");
        assertThat(reason("second hand bee smoker")).endsWith("; here \"second hand\"");
        // Beyond the four that the rule's sentence names.
        assertThat(reason("wasp trap")).endsWith("and 1 more; here \"trap\"");
    }

    @Test
    void nothingIsSaidTwiceAndNothingOfWhatIsNoWord() {
        assertThat(reason("free bee plans")).isEqualTo("by hand");
        assertThat(reason("bee hives")).endsWith("with \"hiv\" in them");
        int smoker = board.keywords().find("second hand bee smoker").orElseThrow();
        Rule rule = ((Reason.ByRule) board.statuses().reason(smoker)).rule();
        assertThat(because.written(because.phrases(rule, smoker), smoker)).containsExactlyInAnyOrder("second", "hand");
    }
}

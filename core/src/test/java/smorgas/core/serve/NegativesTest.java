package smorgas.core.serve;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.EnumSet;
import java.util.List;
import org.junit.jupiter.api.Test;
import smorgas.core.board.Board;
import smorgas.core.gather.TestLists;
import smorgas.core.recipe.Entry;
import smorgas.core.recipe.GroupDecision;
import smorgas.core.recipe.Recipe;
import smorgas.core.recipe.ServeEntry;
import smorgas.core.recipe.ServeEntry.Say;
import smorgas.core.recipe.SiftEntry;
import smorgas.core.recipe.TestPlans;
import smorgas.core.recipe.serve.MatchType;
import smorgas.core.recipe.serve.PlanNames;
import smorgas.core.recipe.sift.Condition;
import smorgas.core.recipe.sift.Rule;
import smorgas.core.recipe.sift.Status;
import smorgas.core.recipe.sift.WordList;
import smorgas.core.text.Refusal;

class NegativesTest {

    private static final String LIST = "keyword,searches\nbee hive,100\nwooden bee hive,50\nbee hive plans free,40\n"
            + "hive jobs,30\nbeekeeping job,20\nlocal honey,10\nhoney badger,5\nbadger hive,4\n";

    private static Board board(Entry... entries) {
        return Board.of(List.of(TestLists.lines(1, LIST)), Recipe.of(List.of(entries), "en"));
    }

    private static Entry drop(int number, String word) {
        return new SiftEntry.RuleAdded(new Rule(number, new Condition.HasWord(word), Status.DROPPED));
    }

    private static Entry say(String text, String group, Say say) {
        return new ServeEntry.NegativesSaid(List.of(new ServeEntry.Said(text, group, say)));
    }

    private static Entry placed(String group, String... texts) {
        return new GroupDecision.KeywordsPlaced(List.of(texts), List.of(), group);
    }

    private static NegativeProposals.Proposal find(Board board, String text) {
        return board.negatives().all().stream()
                .filter(one -> one.text().equals(text))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void wordsOfRulesListsAndHandsAreProposedWithWhatTheyTakeAndBlock() {
        WordList starter = new WordList("Work", "en", WordList.Kind.NEGATIVES, 1, List.of("free", "vacancy"));
        Board board = board(
                drop(1, "job"),
                new SiftEntry.ListTaken(starter),
                new SiftEntry.Judged(List.of("honey badger", "badger hive"), Status.DROPPED),
                placed("hives", "bee hive", "wooden bee hive", "bee hive plans free"),
                say("wooden", "", Say.EXACT));
        assertThat(find(board, "job")).satisfies(rule -> {
            assertThat(rule.state()).isEqualTo(NegativeProposals.State.LEAVES);
            assertThat(rule.takes()).as("in every form that keywords have").isEqualTo(2);
            assertThat(rule.searches().sum()).isEqualTo(50);
        });
        assertThat(find(board, "free")).satisfies(list -> {
            assertThat(list.state()).isEqualTo(NegativeProposals.State.PROPOSED);
            assertThat(list.samples()).containsExactly("bee hive plans free");
        });
        assertThat(find(board, "badger").takes())
                .as("of words that only dropped keywords have")
                .isEqualTo(2);
        assertThat(board.negatives().all()).noneMatch(one -> one.text().equals("honey"));
        assertThat(board.plan().negatives())
                .containsExactly(
                        new Plan.Negative("job", MatchType.PHRASE),
                        new Plan.Negative("jobs", MatchType.PHRASE),
                        new Plan.Negative("wooden", MatchType.EXACT));
    }

    @Test
    void aCarelessNegativeIsNotExportedUntilItIsNarrowedOrMeant() {
        Entry hives = placed("hives", "bee hive", "wooden bee hive", "bee hive plans free");
        Board careless = board(hives, say("bee hive", "", Say.BROAD));
        Plan.Conflict conflict = careless.plan().conflicts().getFirst();
        assertThat(conflict.samples()).containsExactlyInAnyOrder("bee hive", "wooden bee hive", "bee hive plans free");
        assertThat(conflict.narrower()).as("itself is exported").isEmpty();
        assertThat(careless.plan().negatives()).isEmpty();
        Board other = board(hives, say("hive bee", "", Say.BROAD));
        assertThat(other.plan().conflicts().getFirst().narrower()).contains(MatchType.PHRASE);
        assertThat(board(hives, say("hive bee", "", Say.PHRASE)).plan().negatives())
                .containsExactly(new Plan.Negative("hive bee", MatchType.PHRASE));
        assertThat(board(hives, say("wooden", "", Say.PHRASE), new ServeEntry.NegativeDecided("wooden", true))
                        .plan()
                        .negatives())
                .containsExactly(new Plan.Negative("wooden", MatchType.PHRASE));
        assertThat(board(hives, drop(1, "job"), say("job", "", Say.NEVER))
                        .plan()
                        .negatives())
                .isEmpty();
        assertThatThrownBy(() -> say("=1+1", "", Say.BROAD)).isInstanceOf(Refusal.class);
        assertThatThrownBy(() -> say("a b c d e f g h i j k", "", Say.BROAD)).hasMessageContaining("10 words");
    }

    @Test
    void groupsAreKeptApartOneByOneOrAllByRuleAndThePlanSaysInWhichAdGroup() {
        Entry phrase = new ServeEntry.PlanSettingsChosen(
                TestPlans.settings("Spring", PlanNames.THEME, false, 0, EnumSet.of(MatchType.PHRASE), 0, false, false));
        Entry hives = placed("hives", "bee hive");
        Entry wooden = placed("wood", "wooden bee hive", "bee hive plans free");
        Board board = board(phrase, hives, wooden);
        int from = board.exported().stream()
                .map(Planner.ExportedGroup::name)
                .toList()
                .indexOf("hives");
        assertThat(board.apart())
                .extracting(steer -> steer.from() + " " + steer.negative())
                .containsExactly(from + " wooden", from + " free");
        assertThat(board.plan().adGroupNegatives()).isZero();
        assertThat(board(phrase, hives, wooden, say("wooden", "hives", Say.PHRASE))
                        .plan()
                        .adGroupNegatives())
                .isEqualTo(1);
        Board ruled =
                board(phrase, hives, wooden, new ServeEntry.GroupsKeptApart(true), say("free", "hives", Say.NEVER));
        assertThat(TestPlan.written(ruled, "plan.csv"))
                .contains("Spring,hives,wooden,Negative phrase,\r\n")
                .doesNotContain("free,Negative");
        assertThat(board(phrase, hives, wooden, say("bee", "hives", Say.PHRASE))
                        .plan()
                        .conflicts())
                .as("a group's own negative must not block the group")
                .extracting(Plan.Conflict::group)
                .containsExactly("hives");
    }
}

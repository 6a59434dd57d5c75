package smorgas.core.board;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import smorgas.core.figure.Searched;
import smorgas.core.gather.Lines;
import smorgas.core.gather.TestLists;
import smorgas.core.recipe.Entry;
import smorgas.core.recipe.GroupDecision;
import smorgas.core.recipe.Recipe;
import smorgas.core.recipe.SiftEntry;
import smorgas.core.recipe.sift.Condition;
import smorgas.core.recipe.sift.Rule;
import smorgas.core.recipe.sift.Status;

/** What is next, on the way from the first list to the download. */
class AheadTest {

    private static final Lines LIST = TestLists.lines(
            1,
            "keyword,searches\nbee hive,900\nbee hives oak,200\nhoney jar,700\nhoney jars small,90\nfree honey,40\nwax melter,30\n");

    private static List<Task> tasks(List<Entry> entries, boolean grouped) {
        Board board = Board.of(List.of(LIST), Recipe.of(entries, "en"));
        if (grouped) {
            board.groups();
        }
        return Ahead.of(board);
    }

    @Test
    void leadsFromTheFirstListToTheDownload() {
        assertThat(Ahead.of(Board.of(List.of(), Recipe.of(List.of(), "en")))).containsExactly(new Task.Gather());
        assertThat(tasks(List.of(), false)).containsExactly(new Task.DropWords(6), new Task.Download());
        List<Entry> entries = new ArrayList<>();
        entries.add(new SiftEntry.RuleAdded(new Rule(1, new Condition.HasWord("free"), Status.DROPPED)));
        assertThat(tasks(entries, false)).containsExactly(new Task.Sift(5), new Task.Download());
        entries.add(new SiftEntry.RuleAdded(new Rule(2, new Condition.HasWord("hive"), Status.KEPT)));
        entries.add(new SiftEntry.RuleAdded(new Rule(3, new Condition.HasWord("jar"), Status.KEPT)));
        assertThat(tasks(entries, true))
                .as("five keywords are too few for a group by themes, and are searched for")
                .containsExactly(
                        new Task.Adopt(0), new Task.Ungrouped(5, new Searched(1_920, false)), new Task.Download());
        entries.add(new GroupDecision.GroupsAsTheyAre(
                List.of(new GroupDecision.GroupsAsTheyAre.Adopted("bee hive", List.of("bee hive", "bee hives oak"))),
                List.of()));
        assertThat(tasks(entries, true))
                .as("three keywords are in no group of those that are adopted")
                .contains(new Task.PlaceNew(3))
                .doesNotHaveAnyElementsOfTypes(Task.Adopt.class);
    }

    @Test
    void neverPointsToWhereOneIs() {
        List<Task> tasks = tasks(List.of(), true);
        for (Task.Place here : Task.Place.values()) {
            assertThat(Ahead.next(tasks, here))
                    .hasValueSatisfying(task -> assertThat(task.place()).isNotEqualTo(here));
        }
        assertThat(Ahead.next(tasks, null)).contains(new Task.DropWords(6));
        assertThat(Ahead.next(List.of(new Task.Gather()), Task.Place.GATHER)).isEmpty();
    }
}

package smorgas.app.work;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.Test;
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
import smorgas.core.text.Message;

/** What an act says that it did, counted by hand on lists of a few keywords. */
class EffectsTest {

    private static Lines list(String text) {
        return BasketReader.lines(1, "list", text.getBytes(StandardCharsets.UTF_8))
                .lines()
                .orElseThrow();
    }

    private static final Lines BEES = list("bee hive\nbee suit\nfree bee hive\nhoney jar\nwax\n");

    private static Board board(Entry... entries) {
        return Board.of(List.of(BEES), Recipe.of(List.of(entries), "en"));
    }

    private static Entry placed(String group, String... keywords) {
        return new GroupDecision.KeywordsPlaced(List.of(keywords), List.of(), group);
    }

    private static Board next(Board before, Entry... entries) {
        Board after = before.next(List.of(BEES), Recipe.of(List.of(entries), "en"));
        before.groups();
        after.groups();
        return after;
    }

    private static final Entry DROP_FREE =
            new SiftEntry.RuleAdded(new Rule(1, new Condition.HasWord("free"), Status.DROPPED));

    /** What is told behind the sentence of an act. */
    private static String between(Board before, Board after) {
        return Effects.of(Message.verbatim("Done"), DROP_FREE, before, after)
                .toString()
                .substring("Done".length());
    }

    @Test
    void onlyCountsThatChangedAreTold() {
        assertThat(between(board(), board(DROP_FREE))).isEqualTo(". Undecided 5 \u2192 4, Dropped 0 \u2192 1.");
        assertThat(between(board(DROP_FREE), board())).isEqualTo(". Undecided 4 \u2192 5, Dropped 1 \u2192 0.");
        assertThat(between(board(), board())).as("nothing is a full stop").isEqualTo(".");
    }

    @Test
    void aFurtherListTellsHowManyKeywordsItBrought() {
        StringBuilder many = new StringBuilder();
        for (int line = 0; line < 1_200; line++) {
            many.append("thing ").append(line).append('\n');
        }
        Board after = Board.of(List.of(BEES, list(many.toString())), Recipe.of(List.of(), "en"));
        assertThat(between(board(), after)).isEqualTo(". Keywords 5 \u2192 1,205, Undecided 5 \u2192 1,205.");
    }

    @Test
    void whatAnActMovedBesideWhatItNamedIsTold() {
        Entry first = placed("hives", "bee hive", "free bee hive", "bee suit", "wax");
        Board before = board(first);
        Entry second = placed("suits", "bee suit");
        Board after = next(before, first, second);
        assertThat(Effects.moved(second, before, after).toString())
                .as("it named all that it moved")
                .isEmpty();
        Entry wider = placed("suits", "bee suit", "bee hive", "free bee hive", "wax");
        Board wide = next(before, first, wider);
        assertThat(Effects.moved(second, before, wide).toString())
                .startsWith("3 other keywords changed groups: ")
                .contains("bee hive", "free bee hive", "wax")
                .endsWith(".");
    }

    @Test
    void ofManyThreeAreNamedAndTheOthersCounted() {
        List<Entry> entries = new ArrayList<>(List.of(placed("one", "bee hive", "bee suit", "honey jar", "wax")));
        Board before = board(entries.toArray(Entry[]::new));
        entries.add(placed("two", "bee hive", "bee suit", "honey jar", "wax"));
        Board after = next(before, entries.toArray(Entry[]::new));
        Entry unnamed = new GroupDecision.GroupNamed("two", "both");
        String told = Effects.moved(unnamed, before, after).toString();
        assertThat(told).startsWith("4 keywords changed groups: ").endsWith(" and 1 more.");
        assertThat(Arrays.stream(told.replaceAll(".*: | and 1 more\\.", "").split(", ")))
                .hasSize(3);
    }

    @Test
    void anActThatIsNoneOnGroupsTellsNothingOfThem() {
        Board before = board();
        assertThat(Effects.moved(DROP_FREE, before, next(before, DROP_FREE)).toString())
                .isEmpty();
    }
}

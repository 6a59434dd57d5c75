package smorgas.core.board;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import smorgas.core.gather.Lines;
import smorgas.core.gather.TestLists;
import smorgas.core.recipe.Entry;
import smorgas.core.recipe.History;
import smorgas.core.recipe.Recipe;
import smorgas.core.text.Refusal;

/** An act of every kind, one after the other: what a board shows depends on nothing but its baskets and recipe. */
class AllKindsTest {

    private static final List<String> TEXTS = List.of(
            "oak hive stand",
            "pine hive stand",
            "hive stand",
            "hive",
            "free",
            "smoker",
            "t0",
            "mine",
            "honey jar",
            "{theme}",
            "/x");

    private static Lines list() {
        StringBuilder list = new StringBuilder("keyword,searches,cpc\n");
        for (String thing : List.of("oak hive stand", "pine hive stand", "smoker", "honey jar")) {
            for (String dress : List.of("", " red", " free", " price")) {
                list.append(thing).append(dress).append(",100,0.5\n");
            }
        }
        return TestLists.lines(1, list.toString());
    }

    private static List<String> shown(Board board) {
        List<String> shown = new ArrayList<>();
        for (int k = 0; k < board.keywords().size(); k++) {
            int group = board.groups().grouping().groupOf(k);
            shown.add(board.keywords().text(k) + ", " + board.statuses().of(k) + ", "
                    + board.statuses().tags().of(k) + ", "
                    + (group < 0 ? group : board.groups().name(group)) + ", "
                    + board.intents().seen(k));
        }
        Collections.sort(shown);
        shown.add(board.estimatedValueLeft() + ", " + board.apart() + ", "
                + board.plan().hashCode());
        return shown;
    }

    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 5})
    void aBoardReachedByActsOfEveryKindIsThatOfItsRecipeAndUndoGivesTheVeryStateBack(long seed) {
        Random random = new Random(seed);
        DrawnEntries drawn = new DrawnEntries(random, () -> TEXTS.get(random.nextInt(TEXTS.size())));
        List<Class<? extends Entry>> kinds = new ArrayList<>(DrawnEntries.kinds());
        assertThat(kinds).hasSizeGreaterThan(60);
        Collections.shuffle(kinds, random);
        List<Lines> baskets = List.of(list());
        History history = new History(List.of());
        Board board = Board.of(baskets, Recipe.empty("en"));
        for (Class<? extends Entry> kind : kinds) {
            History after = taken(history, kind, drawn);
            Entry entry = after.steps().getLast().entry();
            assertThat(entry.sentence().toString()).isNotBlank();
            Board next = board.next(baskets, Recipe.of(after.effective(), "en"));
            assertThat(shown(next)).as("%s", entry).isEqualTo(shown(Board.of(baskets, next.recipe())));
            assertThat(shown(next.next(baskets, board.recipe())))
                    .as("%s undone", entry)
                    .isEqualTo(shown(board));
            history = after;
            board = next;
        }
    }

    /** A history with one act more, of this kind, that is not refused after those before it. */
    private static History taken(History history, Class<? extends Entry> kind, DrawnEntries drawn) {
        for (int tries = 0; tries < 100; tries++) {
            try {
                History after = history.act(drawn.draw(kind), history.steps().size() + 1L);
                Recipe.of(after.effective(), "en");
                return after;
            } catch (Refusal e) {
                // The next may be taken.
            }
        }
        throw new AssertionError(kind.getName() + " is always refused");
    }
}

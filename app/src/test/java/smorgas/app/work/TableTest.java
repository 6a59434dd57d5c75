package smorgas.app.work;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.List;
import java.util.TreeSet;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.mockito.Mockito;
import smorgas.app.Themed;
import smorgas.app.store.Baskets;
import smorgas.app.store.Histories;
import smorgas.app.store.MeaningStore;
import smorgas.app.store.Projects;
import smorgas.app.store.StoreUnderTest;
import smorgas.core.board.Board;
import smorgas.core.gather.BasketReader;
import smorgas.core.gather.Lines;
import smorgas.core.recipe.Recipe;
import smorgas.core.recipe.Rules;
import smorgas.core.recipe.group.GroupSettings;
import smorgas.core.recipe.group.Pass;

/** Groups found in the background, and boards looked at before they are adopted. */
class TableTest {

    private final Table table = new Table(
            Mockito.mock(Projects.class),
            Mockito.mock(Baskets.class),
            Mockito.mock(Histories.class),
            new Memory(),
            new Meanings(Mockito.mock(MeaningStore.class), new Background(), false, 0),
            Mockito.mock(Openings.class),
            new Background());

    @AfterEach
    void close() {
        table.destroy();
    }

    @Test
    void ofAProjectThatIsHeldThereIsOneObjectHoweverManyOthersAreOpened(@TempDir Path folder) {
        try (StoreUnderTest store = new StoreUnderTest(folder)) {
            Table real = TableUnderTest.over(store);
            long first = store.projects().create("First", "en", "UK", "GBP");
            OpenProject held = real.open(first);
            for (int i = 0; i < 14; i++) {
                real.open(store.projects().create("Other " + i, "en", "UK", "GBP"));
            }
            System.gc();
            held.gather(Offered.file("list", "bee hive\n".getBytes(StandardCharsets.UTF_8)));
            OpenProject back = real.open(first);
            assertThat(back).isSameAs(held);
            assertThat(back.snapshot().baskets()).hasSize(1);
            real.destroy();
        }
    }

    private static Board board(int keywords) {
        StringBuilder list = new StringBuilder("keyword\n");
        for (int i = 0; i < keywords; i++) {
            list.append("thing")
                    .append(i % 300)
                    .append(" q")
                    .append(i % 41)
                    .append(" n")
                    .append(i)
                    .append('\n');
        }
        Lines lines = BasketReader.lines(1, "l", list.toString().getBytes(StandardCharsets.UTF_8))
                .lines()
                .orElseThrow();
        return Board.of(List.of(lines), Themed.recipe(List.of()));
    }

    @Test
    void groupsAreFoundInTheBackgroundAndThenKnown() {
        Board board = board(3_000);
        assertThat(table.groupsWithin(7, board, 60_000)).isEqualTo(Finding.FOUND);
        assertThat(board.groupsKnown()).isTrue();
        assertThat(table.groupsWithin(7, board, 0)).isEqualTo(Finding.FOUND);
    }

    @Test
    void whatAnActHasMadeOldIsStoppedAndTheNewerIsFound() {
        Board old = board(60_000);
        old.statuses();
        assertThat(table.groupsWithin(7, old, 0)).isEqualTo(Finding.UNDER_WAY);
        Board newer = board(2_000);
        assertThat(table.groupsWithin(7, newer, 60_000)).isEqualTo(Finding.FOUND);
        assertThat(newer.groupsKnown()).isTrue();
        // Who still asks for the old one gets it all the same.
        assertThat(old.groups().grouping().size()).isPositive();
    }

    @Test
    void whatCouldNotBeFoundHasFailedUntilItIsAskedForAnew() {
        Board board = Mockito.mock(Board.class);
        Recipe empty = Recipe.empty("en");
        Mockito.when(board.recipe())
                .thenReturn(empty.withGroups(
                        empty.grouping().settings().with(Rules.NEWEST.settings().themes())));
        Mockito.when(board.statuses()).thenReturn(board(2_000).statuses());
        Mockito.when(board.groups()).thenThrow(new IllegalStateException("made to fail"));
        assertThat(table.groupsWithin(7, board, 60_000)).isEqualTo(Finding.FAILED);
        assertThat(table.groupsWithin(7, board, 0))
                .as("it is not begun again by itself")
                .isEqualTo(Finding.FAILED);
        Mockito.verify(board).groups();
        table.findAnew(7);
        assertThat(table.groupsWithin(7, board, 60_000)).isEqualTo(Finding.FAILED);
        Mockito.verify(board, Mockito.times(2)).groups();
        assertThat(table.groupsWithin(7, board(2_000), 60_000))
                .as("an act made it old")
                .isEqualTo(Finding.FOUND);
    }

    @Test
    void askingAnewDoesNotStopWhatIsUnderWay() {
        Board board = board(60_000);
        assertThat(table.groupsWithin(7, board, 0)).isEqualTo(Finding.UNDER_WAY);
        table.findAnew(7);
        assertThat(table.groupsWithin(7, board, 60_000)).isEqualTo(Finding.FOUND);
    }

    @Test
    void aPreviewIsTheBoardUnderOtherSettingsAndIsKept() {
        Previews previews = new Previews(table);
        Board board = board(2_000);
        GroupSettings other = Rules.NEWEST
                .settings()
                .byThemes("en")
                .withPasses(new Pass(9, 0, 0, 1, 2, true, 0))
                .withIgnored(new TreeSet<>(List.of("thing1")));
        Previews.Part none = new Previews.Part.Nothing();
        Board preview = previews.of(board, other, none);
        assertThat(preview.recipe().grouping().settings()).isEqualTo(other);
        assertThat(preview.keywords()).isSameAs(board.keywords());
        assertThat(previews.of(board, other, none)).isSameAs(preview);
        assertThat(previews.of(board, board.recipe().grouping().settings(), none))
                .isSameAs(board);
        assertThat(board.recipe().grouping().settings())
                .isEqualTo(Rules.NEWEST.settings().byThemes("en"));
    }
}

package smorgas.app.work;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import smorgas.app.store.StoreUnderTest;
import smorgas.core.group.engine.MeaningVectors;
import smorgas.core.recipe.BasketEntry;
import smorgas.core.recipe.SiftEntry;
import smorgas.core.recipe.gather.ReadAs;
import smorgas.core.recipe.sift.Status;
import smorgas.core.text.Message;

/** What an entry holds is checked when it is made; a history that cannot be followed can still be undone. */
class StuckProjectTest {

    @TempDir
    private Path folder;

    @ParameterizedTest
    @CsvSource(
            value = {"@@|", "no-such|", "|'\"'", "|x", "|' '"},
            delimiter = '|')
    void whatCannotReadTheBytesIsRefusedAndTheProjectOpensAgain(String encoding, String delimiter) {
        try (StoreUnderTest store = new StoreUnderTest(folder)) {
            long id = store.projects().create("Client", "en", "UK", "GBP");
            OpenProject project = new OpenProject(
                    store.projects().find(id).orElseThrow(),
                    store.baskets(),
                    store.histories(),
                    MeaningVectors.NONE,
                    new Memory());
            long basket = project.gather(
                            Offered.file("list", "keyword,searches\nbee hive,5\n".getBytes(StandardCharsets.UTF_8)))
                    .basket()
                    .orElseThrow();
            Outcome outcome = project.act(
                    project.snapshot().version(),
                    recipe -> new BasketEntry.BasketReadAs(
                            basket,
                            "list",
                            new ReadAs(
                                    encoding == null ? "" : encoding,
                                    delimiter == null ? "" : delimiter,
                                    "",
                                    -1,
                                    List.of())));
            assertThat(outcome).isInstanceOf(Outcome.Refused.class);
            OpenProject again = new OpenProject(
                    store.projects().find(id).orElseThrow(),
                    store.baskets(),
                    store.histories(),
                    MeaningVectors.NONE,
                    new Memory());
            assertThat(again.snapshot().board().keywords().size()).isEqualTo(1);
        }
    }

    @Test
    void aHistoryThatCannotBeFollowedOpensAsItWasBeforeAndTakesNothingButUndo() {
        try (StoreUnderTest store = new StoreUnderTest(folder)) {
            long id = store.projects().create("Client", "en", "UK", "GBP");
            OpenProject project = new OpenProject(
                    store.projects().find(id).orElseThrow(),
                    store.baskets(),
                    store.histories(),
                    MeaningVectors.NONE,
                    new Memory());
            project.gather(Offered.file("list", "bee hive\n".getBytes(StandardCharsets.UTF_8)));
            // As a version before could have stored it: a basket whose bytes are nothing to read.
            var before = project.snapshot().history();
            long empty = store.baskets()
                    .store(id, "other", "bee suit\n".getBytes(StandardCharsets.UTF_8))
                    .basket()
                    .orElseThrow();
            var added = before.act(new BasketEntry.BasketAdded(empty, "other"), 2);
            store.histories().advance(id, 1, before, added, Message.NONE);
            store.spoil(empty);
            OpenProject stuck = new OpenProject(
                    store.projects().find(id).orElseThrow(),
                    store.baskets(),
                    store.histories(),
                    MeaningVectors.NONE,
                    new Memory());
            assertThat(stuck.snapshot().board().keywords().size()).isEqualTo(1);
            assertThat(stuck.snapshot().effect().toString()).contains("cannot be followed");
            Outcome act = stuck.act(2, recipe -> new SiftEntry.Judged(List.of("bee hive"), Status.KEPT));
            assertThat(act).isInstanceOf(Outcome.Refused.class);
            assertThat(stuck.undo(2)).isInstanceOf(Outcome.Done.class);
            assertThat(stuck.act(3, recipe -> new SiftEntry.Judged(List.of("bee hive"), Status.KEPT)))
                    .isInstanceOf(Outcome.Done.class);
        }
    }
}

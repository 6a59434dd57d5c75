package smorgas.app.work;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.TimeUnit;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.Timeout;
import org.junit.jupiter.api.io.TempDir;
import org.mockito.Mockito;
import smorgas.app.store.MeaningStore;
import smorgas.app.store.StoreUnderTest;
import smorgas.core.recipe.FoldEntry;
import smorgas.core.recipe.SiftEntry;
import smorgas.core.recipe.fold.Cleaning;
import smorgas.core.recipe.sift.Status;
import smorgas.core.text.Message;

/** One budget: what does not fit waits, or is refused with a sentence, before it is held. */
class MemoryTest {

    private static final long MEGABYTE = 1 << 20;

    /** Room for about 85 megabytes. */
    private final Memory memory = new Memory(250 * MEGABYTE);

    @TempDir
    private Path folder;

    @Test
    void whatNeverFitsIsRefusedWithWhatToSet() {
        assertThatThrownBy(() -> memory.claim(Message.verbatim("The project Ferns"), 500 * MEGABYTE, 0))
                .isInstanceOf(Memory.TooLittle.class)
                .hasMessageContaining("The project Ferns needs about 501 MB")
                .hasMessageContaining("-Xmx768m");
    }

    @Test
    @Timeout(value = 60, unit = TimeUnit.SECONDS)
    void whatDoesNotFitNowWaitsUntilOthersHaveDone() throws InterruptedException {
        Memory.Claim first = memory.claim(Message.verbatim("One"), 60 * MEGABYTE, 0);
        assertThatThrownBy(() -> memory.claim(Message.verbatim("Two"), 60 * MEGABYTE, 10))
                .isInstanceOf(Memory.TooLittle.class)
                .hasMessageContaining("others use");
        Thread waiting = new Thread(() ->
                memory.claim(Message.verbatim("Two"), 60 * MEGABYTE, 50_000).close());
        waiting.start();
        first.close();
        first.close();
        waiting.join();
        memory.claim(Message.verbatim("Three"), 80 * MEGABYTE, 0).close();
    }

    private static String numbered(int lines) {
        return IntStream.range(0, lines)
                .mapToObj(i -> "fern number " + i)
                .collect(Collectors.joining("\n", "keyword\n", "\n"));
    }

    private Table table(StoreUnderTest store) {
        return new Table(
                store.projects(),
                store.baskets(),
                store.histories(),
                memory,
                new Meanings(Mockito.mock(MeaningStore.class), new Background(), false, 0),
                new Openings(store.folder()),
                new Background());
    }

    @Test
    @SuppressWarnings("try") // it is held, not named
    void theProjectNotUsedForLongestMakesRoomAndNeverOneThatSomebodyWorksWith() {
        try (StoreUnderTest store = new StoreUnderTest(folder)) {
            Table table = table(store);
            List<Long> projects = new ArrayList<>();
            for (int i = 0; i < 4; i++) {
                long id = store.projects().create("Project " + i, "en", "UK", "GBP");
                projects.add(id);
                table.open(id).gather(Offered.file("list", numbered(40_000).getBytes(StandardCharsets.UTF_8)));
            }
            memory.claim(Message.verbatim("A list"), MEGABYTE, 0).close();
            // 28 megabytes each: three fit, and the fourth took the place of the first.
            assertThat(table.held()).isBetween(50 * MEGABYTE, 85 * MEGABYTE);
            try (Table.Visiting visit = table.visit()) {
                OpenProject kept = table.open(projects.get(1));
                for (long other : List.of(projects.get(2), projects.get(3), projects.get(0))) {
                    Thread reader = Thread.ofPlatform().start(() -> table.open(other));
                    join(reader);
                    assertThat(table.held()).isLessThan(85 * MEGABYTE);
                }
                assertThat(table.open(projects.get(1))).isSameAs(kept);
                assertThatThrownBy(() -> memory.claim(Message.verbatim("A large list"), 70 * MEGABYTE, 10))
                        .isInstanceOf(Memory.TooLittle.class);
            }
            memory.claim(Message.verbatim("A large list"), 70 * MEGABYTE, 10).close();
            assertThat(table.open(projects.get(1)).snapshot().board().keywords().size())
                    .as("let go, it is computed again")
                    .isEqualTo(40_000);
            table.destroy();
        }
    }

    private static void join(Thread thread) {
        try {
            thread.join();
        } catch (InterruptedException e) {
            throw new IllegalStateException(e);
        }
    }

    @Test
    void cleaningsThatMakeTooMuchAreRefusedAndNothingIsStored() {
        try (StoreUnderTest store = new StoreUnderTest(folder)) {
            Table table = table(store);
            OpenProject project = table.open(store.projects().create("Ferns", "en", "UK", "GBP"));
            project.gather(Offered.file("list", numbered(100).getBytes(StandardCharsets.UTF_8)));
            Cleaning growing = new Cleaning.Replace(Cleaning.Match.ANYWHERE, "e", "e".repeat(10));
            int taken = 0;
            Outcome last = null;
            for (int i = 1; i <= 12; i++) {
                int number = i;
                last = project.act(
                        project.snapshot().version(), recipe -> new FoldEntry.CleaningAdded(number, growing));
                taken += last instanceof Outcome.Done ? 1 : 0;
            }
            assertThat(last).isInstanceOf(Outcome.Refused.class);
            assertThat(((Outcome.Refused) last).sentence().toString()).contains("4,000 characters");
            assertThat(project.snapshot().history().steps())
                    .as("the list, and what was taken")
                    .hasSize(1 + taken);
            assertThat(project.act(
                            project.snapshot().version(),
                            recipe -> new SiftEntry.Judged(
                                    List.of(project.snapshot()
                                            .board()
                                            .keywords()
                                            .text(0)),
                                    Status.KEPT)))
                    .isInstanceOf(Outcome.Done.class);
            table.destroy();
        }
    }

    @Test
    void aHistoryWhoseCleaningsMakeTooMuchOpensAtItsLastGoodStateAndOneThatEndedTheServerIsLeftAlone()
            throws Exception {
        try (StoreUnderTest store = new StoreUnderTest(folder)) {
            Table table = table(store);
            long id = store.projects().create("Ferns", "en", "UK", "GBP");
            OpenProject project = table.open(id);
            project.gather(Offered.file("list", numbered(100).getBytes(StandardCharsets.UTF_8)));
            // As a project file brings them: stored before anything is worked out.
            var history = project.snapshot().history();
            long version = project.snapshot().version();
            for (int i = 1; i <= 12; i++) {
                var next = history.act(
                        new FoldEntry.CleaningAdded(
                                i, new Cleaning.Replace(Cleaning.Match.ANYWHERE, "e", "e".repeat(10))),
                        version + 1);
                store.histories().advance(id, version, history, next, Message.NONE);
                history = next;
                version++;
            }
            table.forget(id);
            OpenProject again = table.open(id);
            assertThat(again.snapshot().effect().toString()).contains("cannot be followed");
            assertThat(again.snapshot().board().keywords().size()).isEqualTo(100);
            assertThat(again.undo(version)).isInstanceOf(Outcome.Done.class);
            table.destroy();

            Files.writeString(folder.resolve("opening"), id + " 1\n");
            Openings openings = new Openings(folder);
            assertThat(openings.ended(id)).isEqualTo(1);
            openings.during(id, () -> assertThat(new Openings(folder).ended(id))
                    .as("if it ends now, it is the second time")
                    .isEqualTo(2));
            assertThat(openings.ended(id)).isZero();
            openings.during(id, openings::destroy);
            assertThat(new Openings(folder).ended(id)).as("ended on purpose").isZero();
            assertThat(new Openings(folder).ended(id)).isZero();
        }
    }
}

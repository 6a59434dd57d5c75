package smorgas.app.work;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.atomic.AtomicLong;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import smorgas.app.store.StoreUnderTest;
import smorgas.core.group.engine.MeaningVectors;

/** Lists read in the background, one after the other. */
class ReadingTasksTest {

    private final Background background = new Background();

    @TempDir
    private Path folder;

    private StoreUnderTest store;
    private OpenProject project;
    private final AtomicLong now = new AtomicLong();
    private Table table;
    private ReadingTasks gatherings;

    @BeforeEach
    void open() {
        store = new StoreUnderTest(folder);
        table = TableUnderTest.over(store);
        gatherings = new ReadingTasks(new Memory(), table, background, now::get);
        long id = store.projects().create("Client", "en", "UK", "GBP");
        project = new OpenProject(
                store.projects().find(id).orElseThrow(),
                store.baskets(),
                store.histories(),
                MeaningVectors.NONE,
                new Memory());
    }

    @AfterEach
    void close() throws InterruptedException {
        background.destroy();
        table.destroy();
        store.close();
    }

    private ReadingTask submit(String name, String text) {
        return gatherings.submit(project, Offered.file(name, text.getBytes(StandardCharsets.UTF_8)));
    }

    private static String numbered(int lines) {
        StringBuilder text = new StringBuilder("keyword\n");
        for (int i = 0; i < lines; i++) {
            text.append("bee ").append(i).append('\n');
        }
        return text.toString();
    }

    @Test
    void severalComeInInTheirOrderAndEachIsToldOfForSomeSecondsIfItIsAskedFor() {
        List<ReadingTask> jobs = new ArrayList<>();
        for (int i = 0; i < 5; i++) {
            jobs.add(submit("list " + i, "bee " + i + "\n"));
        }
        assertThat(ReadingTasks.await(jobs, 60_000)).isTrue();
        assertThat(jobs).allMatch(job -> job.state() == ReadingTask.State.DONE && job.basket() > 0);
        assertThat(project.snapshot().baskets())
                .extracting(GatheredBasket::name)
                .containsExactly("list 0", "list 1", "list 2", "list 3", "list 4");
        assertThat(gatherings.pending(project.id())).isEmpty();
        assertThat(gatherings.over(project.id(), true)).containsExactlyElementsOf(jobs);
        now.addAndGet(5_000_000_000L);
        assertThat(gatherings.over(project.id(), true)).containsExactlyElementsOf(jobs);
        now.addAndGet(5_000_000_000L);
        assertThat(gatherings.over(project.id(), true)).isEmpty();
    }

    @Test
    void whatIsStoppedWhileItWaitsOrReadsLeavesNothing() {
        ReadingTask reading = submit("long", numbered(300_000));
        ReadingTask waiting = submit("waiting", "bee hive\n");
        ReadingTask last = submit("last", "bee suit\n");
        gatherings.stop(project.id(), waiting.number());
        gatherings.stop(project.id(), reading.number());
        assertThat(ReadingTasks.await(List.of(reading, waiting, last), 60_000)).isTrue();
        assertThat(reading.state()).isEqualTo(ReadingTask.State.STOPPED);
        assertThat(waiting.state()).isEqualTo(ReadingTask.State.STOPPED);
        assertThat(waiting.sentence()).hasToString("waiting was stopped; nothing of it was gathered.");
        assertThat(project.snapshot().baskets())
                .extracting(GatheredBasket::name)
                .containsExactly("last");
        assertThat(store.baskets().of(project.id())).hasSize(1);
        // Another project's lists are none of this one's business.
        gatherings.stop(project.id() + 1, last.number());
        assertThat(gatherings.over(project.id() + 1, false)).isEmpty();
    }

    @Test
    void whatIsStoppedIsOverAtOnceAndAnotherProjectDoesNotWaitForIt() {
        long second = store.projects().create("Other", "en", "UK", "GBP");
        OpenProject other = new OpenProject(
                store.projects().find(second).orElseThrow(),
                store.baskets(),
                store.histories(),
                MeaningVectors.NONE,
                new Memory());
        ReadingTask reading = submit("long", numbered(400_000));
        ReadingTask beside =
                gatherings.submit(other, Offered.file("short", "bee hive\n".getBytes(StandardCharsets.UTF_8)));
        assertThat(ReadingTasks.await(List.of(beside), 60_000)).isTrue();
        assertThat(reading.pending()).isTrue();
        gatherings.stop(project.id(), reading.number());
        assertThat(reading.pending()).isFalse();
        assertThat(reading.state()).isEqualTo(ReadingTask.State.STOPPED);
        ReadingTask next = submit("next", "bee suit\n");
        assertThat(ReadingTasks.await(List.of(next), 60_000)).isTrue();
        assertThat(store.baskets().of(project.id())).hasSize(1);
    }

    @Test
    void whatTakesLongerThanAnyListDoesIsToldOfAndLeavesNothing() {
        ReadingTask reading =
                gatherings.submit(project, Offered.file("slow", numbered(1_000).getBytes(StandardCharsets.UTF_8)));
        now.addAndGet(java.time.Duration.ofMinutes(11).toNanos());
        ReadingTasks.await(List.of(reading), 60_000);
        // It may have been through before the clock moved.
        if (reading.state() != ReadingTask.State.DONE) {
            assertThat(reading.sentence().toString()).contains("after 10 minutes");
            assertThat(project.snapshot().baskets()).isEmpty();
        }
    }

    @Test
    void whatSurelyDoesNotFitIsRefusedBeforeItIsReadWithWhatToSet() throws InterruptedException {
        ReadingTasks small = new ReadingTasks(new Memory(160L << 20), table, background, now::get);
        ReadingTask job =
                small.submit(project, Offered.file("large", numbered(50_000).getBytes(StandardCharsets.UTF_8)));
        assertThat(ReadingTasks.await(List.of(job), 60_000)).isTrue();
        assertThat(job.state()).isEqualTo(ReadingTask.State.REFUSED);
        assertThat(job.sentence().toString()).contains("With large, the project needs about", "-Xmx");
        assertThat(job.rows()).isZero();
    }

    @Test
    void whatCannotBeReadIsRefusedWithItsReasonAndTheNextIsRead() {
        ReadingTask empty = submit("empty", "");
        ReadingTask twice = submit("list", "bee hive\n");
        ReadingTask again = submit("copy", "bee hive\n");
        assertThat(ReadingTasks.await(List.of(empty, twice, again), 60_000)).isTrue();
        assertThat(empty.state()).isEqualTo(ReadingTask.State.REFUSED);
        assertThat(empty.sentence().toString()).contains("The file is empty");
        assertThat(empty.basket()).isZero();
        assertThat(again.sentence().toString()).contains("the very same file as list");
        assertThat(project.snapshot().baskets()).extracting(GatheredBasket::on).containsExactly(true, false);
    }

    @Test
    void aListThatCannotBeStoredIsToldOfAndNothingIsAcknowledged() {
        store.close();
        ReadingTask failed = submit("list", "bee hive\n");
        assertThat(ReadingTasks.await(List.of(failed), 60_000)).isTrue();
        assertThat(failed.state()).isEqualTo(ReadingTask.State.FAILED);
        assertThat(failed.sentence().toString()).contains("was not gathered", "disk");
        assertThat(project.snapshot().baskets()).isEmpty();
    }
}

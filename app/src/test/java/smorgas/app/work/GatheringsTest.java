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
import smorgas.core.gather.Packed;

/** Lists read in the background, one after the other. */
class GatheringsTest {

    @TempDir
    private Path folder;

    private StoreUnderTest store;
    private OpenProject project;
    private final AtomicLong now = new AtomicLong();
    private final Gatherings gatherings = new Gatherings(now::get);

    @BeforeEach
    void open() {
        store = new StoreUnderTest(folder);
        long id = store.projects().create("Client", "en", "UK", "GBP");
        project = new OpenProject(store.projects().find(id).orElseThrow(), store.baskets(), store.histories());
    }

    @AfterEach
    void close() {
        gatherings.destroy();
        store.close();
    }

    private Gatherings.Job submit(String name, String text) {
        return gatherings.submit(project, new Packed.NamedBytes(name, text.getBytes(StandardCharsets.UTF_8)));
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
        List<Gatherings.Job> jobs = new ArrayList<>();
        for (int i = 0; i < 5; i++) {
            jobs.add(submit("list " + i, "bee " + i + "\n"));
        }
        assertThat(Gatherings.await(jobs, 60_000)).isTrue();
        assertThat(jobs).allMatch(job -> job.state() == Gatherings.State.DONE && job.basket() > 0);
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
        Gatherings.Job reading = submit("long", numbered(300_000));
        Gatherings.Job waiting = submit("waiting", "bee hive\n");
        Gatherings.Job last = submit("last", "bee suit\n");
        gatherings.stop(project.id(), waiting.number());
        gatherings.stop(project.id(), reading.number());
        assertThat(Gatherings.await(List.of(reading, waiting, last), 60_000)).isTrue();
        assertThat(reading.state()).isEqualTo(Gatherings.State.STOPPED);
        assertThat(waiting.state()).isEqualTo(Gatherings.State.STOPPED);
        assertThat(waiting.sentence()).isEqualTo("waiting was stopped; nothing of it was gathered.");
        assertThat(project.snapshot().baskets())
                .extracting(GatheredBasket::name)
                .containsExactly("last");
        assertThat(store.baskets().of(project.id())).hasSize(1);
        // Another project's lists are none of this one's business.
        gatherings.stop(project.id() + 1, last.number());
        assertThat(gatherings.over(project.id() + 1, false)).isEmpty();
    }

    @Test
    void whatCannotBeReadIsRefusedWithItsReasonAndTheNextIsRead() {
        Gatherings.Job empty = submit("empty", "");
        Gatherings.Job twice = submit("list", "bee hive\n");
        Gatherings.Job again = submit("copy", "bee hive\n");
        assertThat(Gatherings.await(List.of(empty, twice, again), 60_000)).isTrue();
        assertThat(empty.state()).isEqualTo(Gatherings.State.REFUSED);
        assertThat(empty.sentence()).contains("The file is empty");
        assertThat(empty.basket()).isZero();
        assertThat(again.sentence()).contains("the very same file as list");
        assertThat(project.snapshot().baskets()).extracting(GatheredBasket::on).containsExactly(true, false);
    }

    @Test
    void aListThatCannotBeStoredIsToldOfAndNothingIsAcknowledged() {
        store.close();
        Gatherings.Job failed = submit("list", "bee hive\n");
        assertThat(Gatherings.await(List.of(failed), 60_000)).isTrue();
        assertThat(failed.state()).isEqualTo(Gatherings.State.FAILED);
        assertThat(failed.sentence()).contains("was not gathered", "disk");
        assertThat(project.snapshot().baskets()).isEmpty();
    }
}

package smorgas.app.work;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.file.Path;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.stream.IntStream;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import smorgas.app.store.Offers;
import smorgas.app.store.StoreUnderTest;
import smorgas.core.recipe.BasketEntry;
import smorgas.core.recipe.Doer;
import smorgas.core.recipe.gather.Asked;
import smorgas.core.recipe.gather.BasketInfo;
import smorgas.core.recipe.gather.SuggestionSettings;
import smorgas.core.source.MadeList;
import smorgas.core.source.Schedule;
import smorgas.core.source.Source;
import smorgas.core.text.Message;
import smorgas.core.text.Refusal;

/** Tools asked again for their baskets, by somebody and by schedules, under a clock that the test turns. */
class AskingAgainTest {

    private final Background background = new Background();

    /** A clock that stands until it is turned. */
    private static final class Turned extends Clock {
        private Instant now = Instant.parse("2026-03-01T08:00:00Z");

        @Override
        public ZoneId getZone() {
            return ZoneOffset.UTC;
        }

        @Override
        public Clock withZone(ZoneId zone) {
            return this;
        }

        @Override
        public Instant instant() {
            return now;
        }
    }

    /** Says one more each time it is asked. */
    private static final class Growing implements Source {
        private final AtomicInteger asked = new AtomicInteger();

        @Override
        public String name() {
            return "growing";
        }

        @Override
        public boolean simulated() {
            return false;
        }

        @Override
        public Limits limits() {
            return new Limits(0, 1_000);
        }

        @Override
        public List<String> suggest(Query query) {
            return IntStream.rangeClosed(1, asked.incrementAndGet())
                    .mapToObj(n -> query.text() + " number" + "x".repeat(n))
                    .toList();
        }
    }

    private static final SuggestionSettings WANTED = new SuggestionSettings(
            List.of("bee"),
            EnumSet.of(SuggestionSettings.Around.ALONE),
            List.of(),
            List.of(),
            1,
            10,
            List.of("growing"),
            "en",
            "");

    @TempDir
    private Path folder;

    private final Turned clock = new Turned();
    private final Growing source = new Growing();
    private StoreUnderTest store;
    private Table table;
    private ToolTasks errands;
    private AskingAgain again;
    private OpenProject project;
    private long basket;

    @BeforeEach
    void open() {
        store = new StoreUnderTest(folder);
        start();
        project = table.open(store.projects().create("Client", "en", "UK", "GBP"));
        ToolTask first = errands.send(
                project,
                "Bees",
                new ToolTask.Purpose.NewBasket("Bees"),
                new Sources(List.of(source), List.of()).suggestions(WANTED, List.of(), List.of()));
        assertThat(first.await(60_000)).isTrue();
        basket = first.basket();
        assertThat(texts()).containsExactly("bee numberx");
    }

    /** As a start of the application does. */
    private void start() {
        table = TableUnderTest.over(store);
        errands = new ToolTasks(store.baskets(), store.offers(), table, background);
        again = new AskingAgain(
                table,
                errands,
                new Sources(List.of(source), List.of()),
                new Pages(List.of(), false),
                store.offers(),
                store.schedules(),
                clock);
    }

    @AfterEach
    void close() throws InterruptedException {
        background.destroy();
        table.destroy();
        store.close();
    }

    private GatheredBasket basket() {
        return project.snapshot().version(basket).orElseThrow();
    }

    private List<String> texts() {
        GatheredBasket now = basket();
        return IntStream.range(0, now.lines().size())
                .mapToObj(now.lines()::text)
                .toList();
    }

    private Doer.Kind lastBy() {
        return project.snapshot().history().steps().getLast().entry().doneBy().kind();
    }

    private void runDue() {
        again.runDue();
        errands.of(project.id())
                .forEach(errand -> assertThat(errand.await(60_000)).isTrue());
    }

    private List<Offers.Offer> waiting() {
        return store.offers().waiting(project.id());
    }

    @Test
    void whatIsNewWaitsAndTakingItIsOneActThatCanBeUndone() {
        assertThat(again.again(project, basket()).await(60_000)).isTrue();
        assertThat(texts()).hasSize(1);
        long version = project.snapshot().version();
        Offers.Offer offer = waiting().getFirst();
        assertThat(offer.fresh()).containsExactly("bee numberxx");
        assertThat(again.take(project, offer)).isPresent();
        assertThat(texts()).containsExactly("bee numberx", "bee numberxx");
        assertThat(project.snapshot().version()).isEqualTo(version + 1);
        assertThat(lastBy()).isEqualTo(Doer.Kind.TOOL);
        assertThat(waiting()).isEmpty();
        project.undo(project.snapshot().version());
        assertThat(texts()).hasSize(1);
        project.redo(project.snapshot().version());
        assertThat(texts()).hasSize(2);
    }

    @Test
    void theHistoryTellsThatAScheduleBroughtIt() {
        store.schedules().set(project.id(), basket, Optional.of(Schedule.from(clock.now, 7, 1)));
        clock.now = clock.now.plus(Duration.ofDays(7));
        runDue();
        assertThat(again.take(project, waiting().getFirst())).isPresent();
        assertThat(lastBy()).isEqualTo(Doer.Kind.SCHEDULE);
    }

    @Test
    void whatComesLaterTakesThePlaceOfWhatWaitsAndWhatIsLeftIsGone() {
        again.again(project, basket()).await(60_000);
        again.again(project, basket()).await(60_000);
        assertThat(waiting()).hasSize(1);
        assertThat(waiting().getFirst().fresh()).containsExactly("bee numberxx", "bee numberxxx");
        assertThat(store.offers().adopt(project.id(), waiting().getFirst().id(), false))
                .isTrue();
        assertThat(waiting()).isEmpty();
    }

    @Test
    void aScheduleRunsWhenItIsDueSoManyTimesAndWhatWasMissedRunsOnce() {
        store.schedules().set(project.id(), basket, Optional.of(Schedule.from(clock.now, 7, 2)));
        runDue();
        assertThat(source.asked).hasValue(1);
        clock.now = clock.now.plus(Duration.ofDays(7));
        runDue();
        runDue();
        assertThat(source.asked).hasValue(2);
        assertThat(waiting()).hasSize(1);
        assertThat(store.schedules().of(basket).orElseThrow().told()).contains("1 new keyword waits");
        assertThat(waiting().getFirst().scheduled()).isTrue();
        // Smorgas did not run for five weeks.
        clock.now = clock.now.plus(Duration.ofDays(36));
        start();
        runDue();
        runDue();
        assertThat(source.asked).hasValue(3);
        Schedule over = store.schedules().of(basket).orElseThrow().schedule();
        assertThat(over.timesLeft()).isZero();
        clock.now = clock.now.plus(Duration.ofDays(700));
        runDue();
        assertThat(source.asked).hasValue(3);
    }

    @Test
    void aScheduleFollowsItsBasketThroughVersionsAndTellsWhenItIsGone() {
        store.schedules().set(project.id(), basket, Optional.of(Schedule.from(clock.now, 1, 9)));
        again.again(project, basket()).await(60_000);
        again.take(project, waiting().getFirst());
        assertThat(basket().id()).isNotEqualTo(basket);
        clock.now = clock.now.plus(Duration.ofDays(1));
        runDue();
        assertThat(waiting().getFirst().fresh()).containsExactly("bee numberxxx");
        long inForce = basket().id();
        project.act(project.snapshot().version(), recipe -> new BasketEntry.BasketRemoved(inForce, "Bees"));
        clock.now = clock.now.plus(Duration.ofDays(1));
        runDue();
        assertThat(store.schedules().of(basket).orElseThrow().told()).hasToString("The basket was taken away.");
        assertThat(again.take(project, waiting().getFirst())).isEmpty();
    }

    /** Works until it is told to stop, and brings one keyword. */
    private static final class Endless implements ToolTask.Work {
        private final CountDownLatch stopped = new CountDownLatch(1);

        @Override
        public ToolTask.Came run() throws InterruptedException {
            stopped.await();
            return new ToolTask.Came(
                    MadeList.of(List.of("endless")),
                    BasketInfo.Kind.SUGGESTIONS,
                    Asked.NOTHING,
                    Message.verbatim("It was stopped."));
        }

        @Override
        public void stop() {
            stopped.countDown();
        }

        @Override
        public List<Message> told() {
            return List.of(Message.verbatim("on and on"));
        }
    }

    @Test
    void soManyAreAtWorkAtATimeAndNoTwoForOneBasket() {
        ToolTask.Purpose.Again same = new ToolTask.Purpose.Again(basket, true);
        ToolTask first = errands.send(project, "first", same, new Endless());
        assertThatThrownBy(() -> errands.send(project, "second", same, new Endless()))
                .hasMessageContaining("It is being asked already");
        for (int more = 0; more < 7; more++) {
            errands.send(project, "more", new ToolTask.Purpose.NewBasket("more " + more), new Endless());
        }
        assertThatThrownBy(() -> errands.send(project, "ninth", new ToolTask.Purpose.NewBasket("n"), new Endless()))
                .hasMessageContaining("8 of them are at work already");
        assertThat(first.told()).map(Object::toString).containsExactly("on and on");
        errands.of(project.id()).forEach(errand -> errands.stop(project.id(), errand.number()));
        errands.of(project.id())
                .forEach(errand -> assertThat(errand.await(60_000)).isTrue());
        assertThat(first.stopped()).isTrue();
        assertThat(first.sentence())
                .hasToString("Bees: 1 new keyword waits, until you take or leave them. It was stopped.");
        assertThat(project.snapshot().baskets()).hasSize(8);
    }

    @Test
    void theRestOfABasketThatWasTakenAwayIsABasketOfItsOwn() {
        project.act(project.snapshot().version(), recipe -> new BasketEntry.BasketRemoved(basket, "Bees"));
        Endless work = new Endless();
        work.stop();
        ToolTask rest = errands.send(project, "Bees", new ToolTask.Purpose.Rest(basket), work);
        assertThat(rest.await(60_000)).isTrue();
        assertThat(project.snapshot().baskets()).hasSize(1);
        assertThat(rest.basket())
                .isEqualTo(project.snapshot().baskets().getFirst().id());
    }

    @Test
    void whatFailsIsToldAndNothingIsMade() {
        ToolTask.Work broken = new ToolTask.Work() {
            @Override
            public ToolTask.Came run() {
                throw new IllegalStateException("broken");
            }

            @Override
            public void stop() {}

            @Override
            public List<Message> told() {
                return List.of();
            }
        };
        ToolTask errand = errands.send(project, "Broken", new ToolTask.Purpose.NewBasket("b"), broken);
        assertThat(errand.await(60_000)).isTrue();
        assertThat(errand.sentence().toString()).startsWith("Broken failed");
        assertThat(errand.basket()).isZero();
    }

    @Test
    void nothingIsAskedTwiceAtATimeNorOfSourcesThatAreNotThere() {
        assertThatThrownBy(() -> new Sources(List.of(), List.of()).suggestions(WANTED, List.of(), List.of()))
                .isInstanceOf(Refusal.class)
                .hasMessageContaining("None of the sources is there: growing");
        assertThatThrownBy(() -> again.rest(project, basket())).hasMessageContaining("All of it was asked");
        assertThat(Schedule.from(clock.now, 7, 1).isDue(clock.now)).isFalse();
        assertThatThrownBy(() -> Schedule.from(clock.now, 0, 1)).hasMessageContaining("1 to 366 days");
    }
}

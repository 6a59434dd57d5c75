package smorgas.app.work;

import java.time.Clock;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.stream.IntStream;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;
import smorgas.app.store.Offers;
import smorgas.app.store.Schedules;
import smorgas.core.recipe.gather.Asked;
import smorgas.core.text.Message;
import smorgas.core.text.Refusal;
import smorgas.core.text.Tidy;

/** Asks tools of ours again for baskets that they have made: when somebody says so, and by schedules. */
@Component
public class AskingAgain {

    private static final Logger LOG = LoggerFactory.getLogger(AskingAgain.class);

    private final Table table;
    private final ToolTasks errands;
    private final Sources sources;
    private final Pages pages;
    private final Offers offers;
    private final Schedules schedules;
    private final Clock clock;

    AskingAgain(
            Table table,
            ToolTasks errands,
            Sources sources,
            Pages pages,
            Offers offers,
            Schedules schedules,
            Clock clock) {
        this.table = table;
        this.errands = errands;
        this.sources = sources;
        this.pages = pages;
        this.offers = offers;
        this.schedules = schedules;
        this.clock = clock;
    }

    /**
     * Asks for what was left when it was stopped.
     *
     * @throws Refusal if nothing was left
     */
    public ToolTask rest(OpenProject project, GatheredBasket basket) {
        return errands.send(
                project,
                basket.name(),
                new ToolTask.Purpose.Rest(project.snapshot().first(basket.id())),
                rest(basket));
    }

    private ToolTask.Work rest(GatheredBasket basket) {
        return switch (basket.state().asked()) {
            case Asked.Suggested asked ->
                sources.suggestions(
                        asked.suggestions(),
                        some(asked.left()),
                        IntStream.range(0, basket.lines().size())
                                .mapToObj(row -> Tidy.of(basket.lines().text(row)))
                                .toList());
            case Asked.Estimated asked -> sources.estimating(asked.estimation(), some(asked.left()));
            default -> throw new Refusal("work.asking-again.nothing-left");
        };
    }

    private static <T> List<T> some(List<T> left) {
        if (left.isEmpty()) {
            throw new Refusal("work.asking-again.all-asked");
        }
        return left;
    }

    /**
     * Asks for the same once more.
     *
     * @throws Refusal if that cannot be
     */
    public ToolTask again(OpenProject project, GatheredBasket basket) {
        return again(project, basket, false, over -> {});
    }

    private ToolTask again(OpenProject project, GatheredBasket basket, boolean scheduled, Consumer<ToolTask> over) {
        return errands.send(
                project,
                basket.name(),
                new ToolTask.Purpose.Again(project.snapshot().first(basket.id()), scheduled),
                work(basket.state().asked()),
                over);
    }

    private ToolTask.Work work(Asked asked) {
        return switch (asked) {
            case Asked.Suggested suggested -> sources.suggestions(suggested.suggestions(), List.of(), List.of());
            case Asked.FoundPhrases phrases -> pages.phrases(phrases.phrases());
            default -> throw new Refusal(asked.notAgain());
        };
    }

    /** Makes what waits the newest version of its basket; empty if there is no such basket any more. */
    public Optional<Long> take(OpenProject project, Offers.Offer offer) {
        Optional<GatheredBasket> basket = project.snapshot().version(offer.basket());
        Optional<byte[]> content = offers.content(project.id(), offer.id());
        if (basket.isEmpty() || content.isEmpty()) {
            return Optional.empty();
        }
        // Stored before it waits no more: if Smorgas ends between the two it can be taken again, and nothing is lost.
        Optional<Long> renewed = project.renew(basket.get().id(), content.get(), offer.asked(), offer.scheduled())
                .basket();
        renewed.ifPresent(by -> offers.adopt(project.id(), offer.id(), true));
        return renewed;
    }

    /**
     * Runs what is due; what was missed runs once. Each is moved on before it runs, so that nothing runs twice, whatever becomes of
     * the run.
     */
    public void runDue() {
        for (Schedules.Kept kept : schedules.all()) {
            if (kept.schedule().isDue(clock.instant()) && schedules.moveOn(kept, clock.instant())) {
                run(kept);
            }
        }
    }

    private void run(Schedules.Kept kept) {
        try {
            OpenProject project = table.open(kept.project());
            Optional<GatheredBasket> basket = project.snapshot().version(kept.basket());
            if (basket.isPresent()) {
                again(project, basket.get(), true, over -> schedules.tell(kept.basket(), over.sentence()));
            } else {
                schedules.tell(kept.basket(), Message.of("work.asking-again.basket-taken-away"));
            }
        } catch (Refusal refused) {
            schedules.tell(kept.basket(), Message.of("work.asking-again.nothing-asked", refused.message()));
        } catch (RuntimeException e) {
            LOG.error("what is asked by schedule for basket {} failed", kept.basket(), e);
            schedules.tell(kept.basket(), Message.of("work.asking-again.failed-log-says-why"));
        }
    }
}

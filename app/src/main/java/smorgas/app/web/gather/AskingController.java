package smorgas.app.web.gather;

import java.time.Clock;
import java.util.Optional;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import smorgas.app.store.Offers;
import smorgas.app.store.Schedules;
import smorgas.app.web.frame.Frames;
import smorgas.app.web.show.Shown;
import smorgas.app.work.AskingAgain;
import smorgas.app.work.GatheredBasket;
import smorgas.app.work.Missing;
import smorgas.app.work.OpenProject;
import smorgas.app.work.ToolTask;
import smorgas.app.work.ToolTasks;
import smorgas.core.source.Schedule;
import smorgas.core.text.Message;
import smorgas.core.text.Refusal;

/** What goes on with what tools of ours were asked for: progress, stopping, the rest, once more, by itself, and what waits. */
@Controller
class AskingController {

    private static final long PATIENCE_MILLIS = 400;

    private final Frames frames;
    private final ToolTasks errands;
    private final AskingAgain again;
    private final Offers offers;
    private final Schedules schedules;
    private final Clock clock;

    AskingController(
            Frames frames, ToolTasks errands, AskingAgain again, Offers offers, Schedules schedules, Clock clock) {
        this.frames = frames;
        this.errands = errands;
        this.again = again;
        this.offers = offers;
        this.schedules = schedules;
        this.clock = clock;
    }

    /** The errands alone. */
    record Progress(ToolTasksView errands) {}

    @GetMapping("/projects/{id}/errands")
    String progress(@PathVariable long id, Model model) {
        frames.open(id);
        Shown.in(model, new Progress(ToolTasksView.of(errands, id)));
        return "gather/errands :: errands";
    }

    @PostMapping("/projects/{id}/errands/{number}/stop")
    String stop(@PathVariable long id, @PathVariable long number, Model model) {
        frames.open(id);
        errands.stop(id, number);
        errands.find(id, number).ifPresent(errand -> errand.await(PATIENCE_MILLIS));
        return progress(id, model);
    }

    /** What was not asked before the stop is asked now. */
    @PostMapping("/projects/{id}/gather/{basket}/rest")
    String rest(@PathVariable long id, @PathVariable long basket, RedirectAttributes redirect) {
        return sent(id, basket, redirect, again::rest);
    }

    /** The same is asked once more; what is new waits. */
    @PostMapping("/projects/{id}/gather/{basket}/ask")
    String again(@PathVariable long id, @PathVariable long basket, RedirectAttributes redirect) {
        return sent(id, basket, redirect, again::again);
    }

    /** Sends a tool off for a basket. */
    private interface Sends {
        ToolTask send(OpenProject project, GatheredBasket basket);
    }

    private String sent(long id, long basket, RedirectAttributes redirect, Sends sends) {
        OpenProject project = frames.open(id);
        try {
            ToolTask errand = sends.send(project, basket(project, basket));
            if (errand.await(PATIENCE_MILLIS)) {
                redirect.addFlashAttribute("notice", errand.sentence());
                return page(id, errand.basket() == 0 ? basket : errand.basket());
            }
        } catch (Refusal refused) {
            redirect.addFlashAttribute(
                    "notice", Message.of("gather.asking-controller.nothing-asked", refused.message()));
        }
        return page(id, basket);
    }

    private static GatheredBasket basket(OpenProject project, long basket) {
        return project.snapshot().version(basket).orElseThrow(() -> new Missing("missing.basket", basket));
    }

    private static String page(long id, long basket) {
        return "redirect:/projects/" + id + "/gather?basket=" + basket;
    }

    /** A basket is asked again by itself, or no longer. */
    @PostMapping("/projects/{id}/gather/{basket}/schedule")
    String schedule(
            @PathVariable long id,
            @PathVariable long basket,
            @RequestParam(defaultValue = "0") int days,
            @RequestParam(defaultValue = "0") int times,
            RedirectAttributes redirect) {
        OpenProject project = frames.open(id);
        long first = project.snapshot().first(basket(project, basket).id());
        try {
            Optional<Schedule> wanted = days == 0
                    ? Optional.empty()
                    : Optional.of(Schedule.from(clock.instant(), days, Math.max(1, times)));
            schedules.set(id, first, wanted);
            redirect.addFlashAttribute(
                    "notice",
                    wanted.isEmpty()
                            ? Message.of("gather.asking-controller.asked-again-only-when")
                            : Message.of("gather.asking-controller.asked-again-itself-while"));
        } catch (Refusal refused) {
            redirect.addFlashAttribute("notice", Message.of("gather.asking-controller.nothing-set", refused.message()));
        }
        return page(id, basket);
    }

    /** What waits becomes a newer version of its basket, or is left. */
    @PostMapping("/projects/{id}/offers/{offer}")
    String adopt(
            @PathVariable long id, @PathVariable long offer, @RequestParam boolean take, RedirectAttributes redirect) {
        OpenProject project = frames.open(id);
        Offers.Offer waiting = offers.waiting(id).stream()
                .filter(one -> one.id() == offer)
                .findFirst()
                .orElse(null);
        if (waiting == null) {
            redirect.addFlashAttribute("notice", Message.of("gather.asking-controller.waits-more"));
            return "redirect:/projects/" + id + "/gather";
        }
        if (!take) {
            offers.adopt(id, offer, false);
            return page(id, waiting.basket());
        }
        Optional<Long> renewed = again.take(project, waiting);
        redirect.addFlashAttribute(
                "notice",
                renewed.isPresent()
                        ? project.snapshot().effect()
                        : Message.of("gather.asking-controller.basket-taken-away-meanwhile"));
        return page(id, renewed.orElse(waiting.basket()));
    }

    /** The words of a schedule that is set for a basket. */
    static Message told(Optional<Schedules.Kept> kept) {
        return kept.filter(one -> one.schedule().timesLeft() > 0)
                .map(one -> Message.of(
                        "gather.asking-controller.asked-again-itself-more",
                        (one.schedule().everyDays() == 1
                                ? Message.of("gather.asking-controller.every-day")
                                : Message.of(
                                        "gather.asking-controller.every-days",
                                        one.schedule().everyDays())),
                        one.schedule().timesLeft(),
                        one.schedule().due().toString().substring(0, 10),
                        (one.told().isEmpty()
                                ? Message.verbatim(".")
                                : Message.of("gather.asking-controller.last", one.told()))))
                .orElse(Message.verbatim(kept.map(Schedules.Kept::told).orElse("")));
    }
}

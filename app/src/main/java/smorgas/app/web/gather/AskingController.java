package smorgas.app.web.gather;

import java.time.Clock;
import java.util.NoSuchElementException;
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
import smorgas.app.work.OpenProject;
import smorgas.app.work.ToolTask;
import smorgas.app.work.ToolTasks;
import smorgas.core.source.Schedule;
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
            redirect.addFlashAttribute("notice", "Nothing was asked. " + refused.getMessage() + ".");
        }
        return page(id, basket);
    }

    private static GatheredBasket basket(OpenProject project, long basket) {
        return project.snapshot()
                .version(basket)
                .orElseThrow(() -> new NoSuchElementException("There is no basket " + basket));
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
                            ? "It is asked again only when you say so."
                            : "It is asked again by itself while Smorgas runs; what is new waits until you take it.");
        } catch (Refusal refused) {
            redirect.addFlashAttribute("notice", "Nothing was set. " + refused.getMessage() + ".");
        }
        return page(id, basket);
    }

    /** What waits becomes a newer version of its basket, or is left. */
    @PostMapping("/projects/{id}/offers/{offer}")
    String settle(
            @PathVariable long id, @PathVariable long offer, @RequestParam boolean take, RedirectAttributes redirect) {
        OpenProject project = frames.open(id);
        Offers.Offer waiting = offers.waiting(id).stream()
                .filter(one -> one.id() == offer)
                .findFirst()
                .orElse(null);
        if (waiting == null) {
            redirect.addFlashAttribute("notice", "That waits no more.");
            return "redirect:/projects/" + id + "/gather";
        }
        if (!take) {
            offers.settle(id, offer, false);
            return page(id, waiting.basket());
        }
        Optional<Long> renewed = again.take(project, waiting);
        redirect.addFlashAttribute(
                "notice", renewed.isPresent() ? project.snapshot().effect() : "The basket was taken away meanwhile.");
        return page(id, renewed.orElse(waiting.basket()));
    }

    /** The words of a schedule that is set for a basket. */
    static String told(Optional<Schedules.Kept> kept) {
        return kept.filter(one -> one.schedule().timesLeft() > 0)
                .map(one -> "It is asked again by itself "
                        + (one.schedule().everyDays() == 1
                                ? "every day"
                                : "every " + one.schedule().everyDays() + " days")
                        + ", " + one.schedule().timesLeft() + " more "
                        + (one.schedule().timesLeft() == 1 ? "time" : "times") + ", next on "
                        + one.schedule().due().toString().substring(0, 10)
                        + (one.told().isEmpty() ? "." : ". Last: " + one.told()))
                .orElse(kept.map(Schedules.Kept::told).orElse(""));
    }
}

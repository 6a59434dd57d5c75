package smorgas.app.web.gather;

import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.http.ContentDisposition;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import smorgas.app.demo.DemoLists;
import smorgas.app.store.Baskets;
import smorgas.app.store.Offers;
import smorgas.app.store.Project;
import smorgas.app.store.Schedules;
import smorgas.app.web.frame.Frames;
import smorgas.app.web.show.Language;
import smorgas.app.web.show.Shown;
import smorgas.app.web.show.Step;
import smorgas.app.work.GatheredBasket;
import smorgas.app.work.Missing;
import smorgas.app.work.Offered;
import smorgas.app.work.OpenProject;
import smorgas.app.work.ReadingTask;
import smorgas.app.work.ReadingTasks;
import smorgas.app.work.Snapshot;
import smorgas.app.work.ToolTasks;
import smorgas.core.figure.Figure;
import smorgas.core.figure.Merge;
import smorgas.core.fold.Overlap;
import smorgas.core.language.Lexicon;
import smorgas.core.recipe.BasketEntry;
import smorgas.core.recipe.History;
import smorgas.core.text.Message;

/** Gather: lists in, read in the background; baskets, how they were understood and how they overlap. */
@Controller
class GatherController {

    /** A list under way. */
    record Reading(long number, String name, Message told) {}

    /** How a figure is merged, and why at first. */
    record MergeView(Figure figure, Merge merge, Message because) {}

    private final Frames frames;
    private final Baskets baskets;
    private final ReadingTasks gatherings;
    private final ListsIn listsIn;
    private final Offers offers;
    private final Schedules schedules;
    private final ToolTasks errands;

    GatherController(
            Frames frames,
            Baskets baskets,
            ReadingTasks gatherings,
            ListsIn listsIn,
            Offers offers,
            Schedules schedules,
            ToolTasks errands) {
        this.offers = offers;
        this.schedules = schedules;
        this.errands = errands;
        this.frames = frames;
        this.baskets = baskets;
        this.gatherings = gatherings;
        this.listsIn = listsIn;
    }

    /** The baskets, the opened one and how they overlap. */
    record GatherPage(
            List<BasketView> baskets,
            @Nullable OpenedBasketView opened,
            @Nullable OverlapView overlap,
            List<MergeView> merges,
            Merge[] mergeKinds,
            Message about,
            List<Language> languages,
            List<Waits> waits,
            ToolTasksView errands) {}

    /** What waits for a basket. */
    record Waits(long basket, String name, Message told) {}

    /** What a project is about, in a line. */
    private static Message about(Project project) {
        return Message.joined(
                "list.dot",
                Stream.of(
                                Lexicon.nameOf(project.language()),
                                Message.verbatim(project.market()),
                                Message.verbatim(project.currency()))
                        .filter(part -> !part.isEmpty())
                        .toList());
    }

    @GetMapping("/projects/{id}/gather")
    String page(@PathVariable long id, @RequestParam(required = false) @Nullable Long basket, Model model) {
        OpenProject open = frames.open(id);
        Optional<Long> last = told(id, open.snapshot(), model);
        Snapshot snapshot = open.snapshot();
        Project project = frames.project(id);
        Overlap overlap = snapshot.board().overlap();
        Optional<GatheredBasket> opened = opened(snapshot, basket).or(() -> opened(snapshot, last.orElse(null)));
        GatheredBasket shown = opened.orElse(
                snapshot.baskets().isEmpty() ? null : snapshot.baskets().getFirst());
        Shown.in(
                model,
                new GatherPage(
                        BasketView.of(snapshot, overlap, project.market(), project.currency()),
                        shown == null
                                ? null
                                : OpenedBasketView.of(shown, baskets, snapshot.board(), asked(id, snapshot, shown)),
                        snapshot.board().keywords().baskets().size() < 2
                                ? null
                                : OverlapView.of(snapshot.board().keywords(), overlap),
                        merges(snapshot),
                        Merge.values(),
                        about(project),
                        Language.ALL,
                        waits(id, snapshot),
                        ToolTasksView.of(errands, id)));
        readings(id, model);
        frames.frame(model, id, snapshot, Step.GATHER);
        return "gather/page";
    }

    private AskedView asked(long id, Snapshot snapshot, GatheredBasket basket) {
        long first = snapshot.first(basket.id());
        return AskedView.of(
                basket.state(),
                offers.waiting(id).stream()
                        .filter(offer -> snapshot.first(offer.basket()) == first)
                        .reduce((older, newer) -> newer),
                schedules.of(first));
    }

    /** The baskets for which something waits, each with how much. */
    private List<Waits> waits(long id, Snapshot snapshot) {
        return offers.waiting(id).stream()
                .flatMap(offer -> snapshot.version(offer.basket()).stream()
                        .map(basket -> new Waits(
                                basket.id(),
                                basket.name(),
                                Message.of(
                                        "gather.gather-controller.new-keyword-waits",
                                        offer.fresh().size()))))
                .toList();
    }

    private static Optional<GatheredBasket> opened(Snapshot snapshot, @Nullable Long wanted) {
        return snapshot.baskets().stream()
                .filter(basket -> wanted != null && basket.id() == wanted)
                .findFirst();
    }

    /** Puts what became of lists read meanwhile into the notice; the basket that came last. */
    private Optional<Long> told(long id, Snapshot snapshot, Model model) {
        List<ReadingTask> over = gatherings.over(id, gatheredLast(snapshot));
        List<Message> sentences = new ArrayList<>();
        if (model.getAttribute("notice") instanceof Message notice) {
            sentences.add(notice);
        }
        over.stream().map(ReadingTask::sentence).filter(s -> !s.isEmpty()).forEach(sentences::add);
        if (!sentences.isEmpty()) {
            Frames.say(model, Message.joined("list.sentences", sentences));
        }
        return over.stream()
                .map(ReadingTask::basket)
                .filter(basket -> basket > 0)
                .reduce((first, second) -> second);
    }

    /** Whether nothing was done since the last list came in: an act has a message of its own. */
    private static boolean gatheredLast(Snapshot snapshot) {
        return snapshot.history().steps().stream()
                .max(Comparator.comparingLong(History.Step::version))
                .map(last -> last.state() == History.State.DONE && last.entry() instanceof BasketEntry.BasketAdded)
                .orElse(true);
    }

    private static List<MergeView> merges(Snapshot snapshot) {
        return Arrays.stream(Figure.values())
                .filter(figure -> snapshot.board().keywords().figure(figure).isPresent())
                .map(figure -> new MergeView(
                        figure, snapshot.board().recipe().folding().merges().get(figure), figure.because()))
                .toList();
    }

    /** What is being read. */
    record Readings(long id, List<Reading> readings) {}

    private void readings(long id, Model model) {
        Shown.in(
                model,
                new Readings(
                        id,
                        gatherings.pending(id).stream()
                                .map(job -> new Reading(
                                        job.number(),
                                        job.name(),
                                        job.state() == ReadingTask.State.WAITING
                                                ? Message.of("gather.gather-controller.waits-turn")
                                                : Message.of(
                                                        "gather.gather-controller.row-kb-so-far",
                                                        job.rows(),
                                                        job.bytes() / 1_000)))
                                .toList()));
    }

    /** How far the readings are; when all are over the page is asked for anew. */
    @GetMapping("/projects/{id}/gather/progress")
    String progress(@PathVariable long id, Model model, HttpServletResponse response) {
        frames.open(id);
        readings(id, model);
        if (gatherings.pending(id).isEmpty()) {
            response.setHeader("HX-Refresh", "true");
        }
        return "gather/readings :: readings";
    }

    @PostMapping("/projects/{id}/gather")
    String gather(
            @PathVariable long id,
            @RequestParam(required = false) @Nullable List<MultipartFile> files,
            @RequestParam(defaultValue = "") String pasted,
            @RequestParam(defaultValue = "") String name,
            @RequestParam(defaultValue = "false") boolean joined,
            RedirectAttributes redirect)
            throws IOException {
        ListsIn.Came came = listsIn.open(files, pasted, name, joined);
        listsIn.gather(frames.open(id), came.lists());
        if (!came.problems().isEmpty()) {
            redirect.addFlashAttribute("notice", Message.joined("list.sentences", came.problems()));
        } else if (came.lists().isEmpty()) {
            redirect.addFlashAttribute("notice", Message.of("gather.gather-controller.nothing-gathered-choose-file"));
        }
        return "redirect:/projects/" + id + "/gather";
    }

    @PostMapping("/projects/{id}/gather/readings/{number}/stop")
    String stop(@PathVariable long id, @PathVariable long number) {
        gatherings.stop(frames.open(id).id(), number);
        ReadingTasks.await(
                gatherings.pending(id).stream()
                        .filter(job -> job.number() == number)
                        .toList(),
                ListsIn.PATIENCE_MILLIS);
        return "redirect:/projects/" + id + "/gather";
    }

    @PostMapping("/projects/{id}/gather/demo")
    String demo(@PathVariable long id) {
        OpenProject project = frames.open(id);
        List<ReadingTask> jobs = new ArrayList<>();
        DemoLists.make().forEach((name, bytes) -> jobs.add(gatherings.submit(project, Offered.file(name, bytes))));
        ReadingTasks.await(jobs, 10 * ListsIn.PATIENCE_MILLIS);
        return "redirect:/projects/" + id + "/gather";
    }

    /** The bytes as they came. */
    @GetMapping("/projects/{id}/gather/{basket}/original")
    ResponseEntity<byte[]> original(@PathVariable long id, @PathVariable long basket) {
        String name = opened(frames.open(id).snapshot(), basket)
                .orElseThrow(() -> new Missing("missing.basket", basket))
                .name();
        return ResponseEntity.ok()
                .contentType(MediaType.APPLICATION_OCTET_STREAM)
                .header(
                        "Content-Disposition",
                        ContentDisposition.attachment()
                                .filename(name, StandardCharsets.UTF_8)
                                .build()
                                .toString())
                .body(baskets.bytes(id, basket).orElseThrow());
    }
}

package smorgas.app.web.gather;

import java.util.List;
import java.util.stream.Stream;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.util.MultiValueMap;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import smorgas.app.web.frame.Frames;
import smorgas.app.web.show.Choice;
import smorgas.app.web.show.Fields;
import smorgas.app.web.show.Language;
import smorgas.app.web.show.Shown;
import smorgas.app.web.show.Step;
import smorgas.app.work.Snapshot;
import smorgas.app.work.Sources;
import smorgas.app.work.ToolTask;
import smorgas.app.work.ToolTasks;
import smorgas.core.board.Board;
import smorgas.core.board.MissingFigures;
import smorgas.core.recipe.gather.Asked;
import smorgas.core.recipe.gather.Estimation;
import smorgas.core.source.Estimator;
import smorgas.core.source.FigureService;
import smorgas.core.text.Message;
import smorgas.core.text.Refusal;

/** Figures of keywords that lack them, asked of a planner: told before they are asked for, asked for in the background. */
@Controller
class FiguresController {

    private static final int SAMPLES = 12;

    private final Frames frames;
    private final Sources sources;
    private final ToolTasks errands;
    private final WordsFrom wordsFrom;

    FiguresController(Frames frames, Sources sources, ToolTasks errands, WordsFrom wordsFrom) {
        this.frames = frames;
        this.sources = sources;
        this.errands = errands;
        this.wordsFrom = wordsFrom;
    }

    /** The form, and what it comes to. */
    record FiguresPage(
            FiguresForm form,
            List<Choice> planners,
            List<Choice> languages,
            List<Choice> places,
            Lacks lacks,
            ToolTasksView errands) {}

    /** Of how many keywords figures would be asked, and the first of them. */
    record Lacks(Message told, List<String> samples) {}

    /** These alone. */
    record Preview(Lacks lacks) {}

    @GetMapping("/projects/{id}/figures")
    String page(
            @PathVariable long id,
            @RequestParam(defaultValue = "0") long again,
            @RequestParam(defaultValue = "") String from,
            @RequestHeader(name = "X-Tab", defaultValue = "") String tab,
            Model model) {
        Snapshot snapshot = frames.open(id).snapshot();
        FiguresForm form = snapshot.board()
                .recipe()
                .gathering()
                .find(again)
                .flatMap(basket -> basket.asked(Asked.Estimated.class)
                        .map(asked -> FiguresForm.of(asked.estimation(), basket.name())))
                .orElseGet(() -> new FiguresForm(
                        from,
                        names().stream().findFirst().orElse(""),
                        frames.project(id).language(),
                        "",
                        ""));
        Shown.in(
                model,
                new FiguresPage(
                        form,
                        names().stream().map(name -> new Choice(name, name)).toList(),
                        Language.choices(),
                        Stream.concat(
                                        Stream.of(new Choice("", Message.of("gather.figures-controller.all-dropped"))),
                                        wordsFrom.places(snapshot.board(), id, tab).stream())
                                .toList(),
                        lacks(form, keywords(snapshot.board(), form, id, tab)),
                        ToolTasksView.of(errands, id)));
        frames.frame(model, id, snapshot, Step.GATHER);
        return "gather/figures";
    }

    @PostMapping("/projects/{id}/figures/preview")
    String preview(
            @PathVariable long id,
            @RequestParam MultiValueMap<String, String> fields,
            @RequestHeader(name = "X-Tab", defaultValue = "") String tab,
            Model model) {
        FiguresForm form = FiguresForm.of(new Fields(fields));
        Shown.in(
                model,
                new Preview(lacks(form, keywords(frames.open(id).snapshot().board(), form, id, tab))));
        return "gather/figures :: lacks";
    }

    @PostMapping("/projects/{id}/figures/start")
    String start(
            @PathVariable long id,
            @RequestParam MultiValueMap<String, String> fields,
            @RequestHeader(name = "X-Tab", defaultValue = "") String tab,
            RedirectAttributes redirect) {
        FiguresForm form = FiguresForm.of(new Fields(fields));
        try {
            String name = ToolResult.name(form.name(), frames.wording().of("basket-name.estimated-figures"));
            errands.send(
                    frames.open(id),
                    name,
                    new ToolTask.Purpose.NewBasket(name),
                    sources.estimating(
                            form.read(), keywords(frames.open(id).snapshot().board(), form, id, tab)));
        } catch (Refusal refused) {
            redirect.addFlashAttribute(
                    "notice", Message.of("gather.figures-controller.nothing-asked", refused.message()));
        }
        return "redirect:/projects/" + id + "/figures";
    }

    private List<String> keywords(Board board, FiguresForm form, long id, String tab) {
        return form.from().isEmpty()
                ? MissingFigures.of(board)
                : MissingFigures.among(board, wordsFrom.words(board, form.from(), id, tab));
    }

    private Lacks lacks(FiguresForm form, List<String> keywords) {
        if (keywords.isEmpty()) {
            return new Lacks(Message.of("gather.figures-controller.none-them-lacks-searches"), List.of());
        }
        int most = sources.planners().stream()
                .filter(planner -> planner.name().equals(form.planner()))
                .mapToInt(FigureService::most)
                .findFirst()
                .orElse(keywords.size());
        int pieces = Estimator.pieces(keywords, most).size();
        return new Lacks(
                Message.of(
                        "gather.figures-controller.keyword-lacks-searches-bids",
                        keywords.size(),
                        pieces,
                        Math.min(most, keywords.size()),
                        (keywords.size() > Estimation.MOST
                                ? Message.of("gather.figures-controller.once-first", Estimation.MOST)
                                : Message.NONE)),
                keywords.stream().limit(SAMPLES).toList());
    }

    private List<String> names() {
        return sources.planners().stream().map(FigureService::name).toList();
    }
}

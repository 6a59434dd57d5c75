package smorgas.app.web.compare;

import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestMethod;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import smorgas.app.web.frame.Frames;
import smorgas.app.web.show.Shown;
import smorgas.app.web.show.Step;
import smorgas.app.work.Offered;
import smorgas.app.work.OpenProject;
import smorgas.app.work.Snapshot;
import smorgas.app.work.Trays;
import smorgas.core.fold.Comparison;
import smorgas.core.recipe.gather.BasketInfo;
import smorgas.core.text.Message;
import smorgas.core.text.Refusal;

/** Two sets compared; what comes out is picked up on the tray or made a basket. */
@Controller
class CompareController {

    private static final int SHOWN = 200;

    /** What is asked for; a pasted list makes it too long for a URL, so it is posted too. */
    record Asked(String left, String right, String pasted, boolean exact) {}

    /** One of the three parts of the result. */
    record Part(String name, Message title, Message count, List<String> texts, int more) {}

    /** What can be compared, and what came of it; null before two sides are chosen. */
    record ComparePage(List<Side> sides, @Nullable List<Part> parts) {}

    private final Frames frames;
    private final Trays trays;

    CompareController(Frames frames, Trays trays) {
        this.frames = frames;
        this.trays = trays;
    }

    @ModelAttribute("asked")
    Asked asked(
            @RequestParam(defaultValue = "") String left,
            @RequestParam(defaultValue = "") String right,
            @RequestParam(defaultValue = "") String pasted,
            @RequestParam(defaultValue = "false") boolean exact) {
        return new Asked(left, right, pasted, exact);
    }

    private static Comparison compared(Asked asked, Snapshot snapshot) {
        return Comparison.of(
                Side.texts(asked.left(), snapshot, asked.pasted()),
                Side.texts(asked.right(), snapshot, asked.pasted()),
                asked.exact()
                        ? Optional.empty()
                        : Optional.of(snapshot.board().recipe().folding()));
    }

    @RequestMapping(
            path = "/projects/{id}/compare",
            method = {RequestMethod.GET, RequestMethod.POST})
    String page(@PathVariable long id, @ModelAttribute("asked") Asked asked, Model model) {
        Snapshot snapshot = frames.open(id).snapshot();
        List<Part> parts = null;
        if (!asked.left().isEmpty() && !asked.right().isEmpty()) {
            Comparison result = compared(asked, snapshot);
            parts = List.of(
                    part("left", Message.of("compare.compare-controller.only-left"), result.left()),
                    part("both", Message.of("compare.compare-controller.both"), result.both()),
                    part("right", Message.of("compare.compare-controller.only-right"), result.right()));
        }
        Shown.in(model, new ComparePage(Side.all(snapshot), parts));
        frames.frame(model, id, snapshot, Step.GATHER);
        return "compare/page";
    }

    private static Part part(String name, Message title, List<String> texts) {
        return new Part(
                name,
                title,
                Message.of("count.keywords", texts.size()),
                texts.subList(0, Math.min(SHOWN, texts.size())),
                Math.max(0, texts.size() - SHOWN));
    }

    private static List<String> chosen(Comparison result, String part) {
        return switch (part) {
            case "left" -> result.left();
            case "right" -> result.right();
            case "both" -> result.both();
            default -> throw new Refusal("compare.compare-controller.part-comparison", part);
        };
    }

    @PostMapping("/projects/{id}/compare/pick")
    String pick(
            @PathVariable long id,
            @ModelAttribute("asked") Asked asked,
            @RequestParam String part,
            @RequestHeader(name = "X-Tab", defaultValue = "") String tab,
            Model model) {
        Snapshot snapshot = frames.open(id).snapshot();
        List<String> texts = chosen(compared(asked, snapshot), part);
        List<String> known = texts.stream()
                .map(smorgas.core.text.Tidy::of)
                .filter(text -> snapshot.board().keywords().find(text).isPresent())
                .toList();
        trays.pick(id, tab, known);
        Frames.say(
                model,
                Message.of(
                        "compare.compare-controller.picked-up-keyword",
                        known.size(),
                        (known.size() == texts.size()
                                ? Message.verbatim(".")
                                : Message.of(
                                        "compare.compare-controller.other-project-make-them",
                                        texts.size() - known.size()))));
        return page(id, asked, model);
    }

    @PostMapping("/projects/{id}/compare/basket")
    String basket(
            @PathVariable long id,
            @ModelAttribute("asked") Asked asked,
            @RequestParam String part,
            @RequestParam String name,
            RedirectAttributes redirect) {
        OpenProject project = frames.open(id);
        List<String> texts = chosen(compared(asked, project.snapshot()), part);
        String shown = name.isBlank()
                ? frames.wording().of("basket-name.comparison")
                : name.strip().substring(0, Math.min(180, name.strip().length()));
        OpenProject.Gathered gathered = project.gather(Offered.made(shown, texts, BasketInfo.Kind.COMPARED));
        Frames.notice(gathered.outcome()).ifPresent(notice -> redirect.addFlashAttribute("notice", notice));
        return "redirect:/projects/" + id + "/gather"
                + gathered.basket().map(basket -> "?basket=" + basket).orElse("");
    }
}

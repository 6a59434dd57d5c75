package smorgas.app.web.sift;

import java.util.BitSet;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import smorgas.app.web.frame.Act;
import smorgas.app.web.frame.Frames;
import smorgas.app.web.show.Expected;
import smorgas.app.web.show.Shown;
import smorgas.app.work.OpenProject;
import smorgas.core.board.Board;
import smorgas.core.figure.Decimals;
import smorgas.core.figure.FigureReader;
import smorgas.core.recipe.ValueEntry;
import smorgas.core.recipe.value.Assumed;
import smorgas.core.recipe.value.Assumptions;
import smorgas.core.recipe.value.ClickTable;
import smorgas.core.recipe.value.CostBy;
import smorgas.core.recipe.value.Span;
import smorgas.core.text.Message;
import smorgas.core.text.Refusal;
import smorgas.core.value.EstimatedValue;

/** What is assumed of what keywords may bring: told before it is set, and set. */
@Controller
class EstimatedValueController {

    private final Frames frames;

    EstimatedValueController(Frames frames) {
        this.frames = frames;
    }

    @ModelAttribute("query")
    SiftQuery query(@RequestParam Map<String, String> parameters) {
        return SiftQuery.of(parameters);
    }

    /** What was written in the form comes to. */
    record Preview(Expected expected, Expected now, Message fault) {}

    /** What the assumptions that stand in the form would come to for what is on view. */
    @GetMapping("/projects/{id}/estimated-value/preview")
    String preview(
            @PathVariable long id,
            @ModelAttribute("query") SiftQuery query,
            @RequestParam Map<String, String> form,
            Model model) {
        OpenProject project = frames.open(id);
        Board board = project.snapshot().board();
        BitSet view = query.found(board);
        Expected now = Expected.of(board.estimatedValue().sum(view));
        try {
            EstimatedValue would =
                    board.estimatedValueIf(board.recipe().valuing().after(List.of(entry(form, decimals(project)))));
            Shown.in(model, new Preview(Expected.of(would.sum(view)), now, Message.NONE));
        } catch (Refusal refused) {
            Shown.in(model, new Preview(now, now, refused.message()));
        }
        return "sift/estimated-value :: expected";
    }

    @PostMapping("/projects/{id}/estimated-value")
    String assume(Act act, @RequestParam Map<String, String> form) {
        return act.done(recipe -> entry(form, decimals(act.project())));
    }

    /** Nothing is assumed of its own any more. */
    @PostMapping("/projects/{id}/estimated-value/drop")
    String drop(Act act, @RequestParam(defaultValue = "") String of) {
        return act.done(recipe -> new ValueEntry.AssumptionsSet(
                EstimatedValuePanel.tag(of), EstimatedValuePanel.group(of), Assumptions.NONE));
    }

    /** How many clicks each place draws: a table that ships, by its name, or one's own. */
    @PostMapping("/projects/{id}/estimated-value/clicks")
    String clicks(
            Act act, @RequestParam(defaultValue = "") String table, @RequestParam(defaultValue = "") String shares) {
        return act.done(recipe -> new ValueEntry.ClickTableSet(ClickTable.SHIPPED.stream()
                .filter(one -> one.name().equals(table))
                .findFirst()
                .orElseGet(() -> ClickTable.of(
                        frames.wording().of("sift.estimated-value-controller.your-own"),
                        shares,
                        decimals(act.project())))));
    }

    private static Decimals decimals(OpenProject project) {
        return Decimals.of(project.language());
    }

    private static ValueEntry.AssumptionsSet entry(Map<String, String> form, Decimals decimals) {
        Map<Assumed, Span> figures = new EnumMap<>(Assumed.class);
        FigureReader reader = new FigureReader(decimals);
        for (Assumed one : Assumed.values()) {
            String text = form.getOrDefault(one.name(), "").replace("%", "").strip();
            switch (reader.read(text, one.like())) {
                case READ -> figures.put(one, new Span(Math.max(0, reader.low()), Math.max(0, reader.high())));
                case EMPTY -> {
                    // Not assumed.
                }
                case FAULT -> throw new Refusal("sift.estimated-value-controller.number-write-5-2", text, one.label());
            }
        }
        String of = form.getOrDefault("of", "");
        CostBy cost = Stream.of(CostBy.values())
                .filter(one -> one.name().equals(form.get("cost")))
                .findFirst()
                .orElse(CostBy.AS_ELSEWHERE);
        return new ValueEntry.AssumptionsSet(
                EstimatedValuePanel.tag(of), EstimatedValuePanel.group(of), new Assumptions(figures, cost));
    }
}

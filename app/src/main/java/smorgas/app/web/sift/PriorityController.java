package smorgas.app.web.sift;

import java.util.BitSet;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import smorgas.app.web.frame.Act;
import smorgas.app.web.frame.Frames;
import smorgas.app.web.show.Shown;
import smorgas.core.board.Board;
import smorgas.core.recipe.ValueEntry;
import smorgas.core.recipe.value.Intent;
import smorgas.core.recipe.value.PrioritySettings;
import smorgas.core.text.Message;
import smorgas.core.text.Refusal;

/** How priority is judged: told before it is set, and set. */
@Controller
class PriorityController {

    private final Frames frames;

    PriorityController(Frames frames) {
        this.frames = frames;
    }

    @ModelAttribute("query")
    SiftQuery query(@RequestParam Map<String, String> parameters) {
        return SiftQuery.of(parameters);
    }

    /** What the weights in the form come to. */
    record Preview(List<PriorityPanel.Count> counts, Message fault, boolean saved) {}

    /** What the weights that stand in the form would come to for what is on view. */
    @GetMapping("/projects/{id}/priority/preview")
    String preview(
            @PathVariable long id,
            @ModelAttribute("query") SiftQuery query,
            @RequestParam Map<String, String> form,
            Model model) {
        Board board = frames.open(id).snapshot().board();
        BitSet view = query.found(board);
        try {
            PrioritySettings settings = settings(form);
            Shown.in(
                    model,
                    new Preview(
                            settings.asks()
                                    ? PriorityPanel.counts(board, board.priorityIf(settings), settings, view)
                                    : List.of(),
                            Message.NONE,
                            false));
        } catch (Refusal refused) {
            Shown.in(model, new Preview(List.of(), refused.message(), false));
        }
        return "sift/priority :: counts";
    }

    /** The weights are set: those of the form, a preset's, or none. */
    @PostMapping("/projects/{id}/priority")
    String weigh(Act act, @RequestParam(defaultValue = "") String preset, @RequestParam Map<String, String> form) {
        return act.done(recipe -> new ValueEntry.PrioritySet(
                switch (preset) {
                    case "ads" -> PrioritySettings.FOR_ADS;
                    case "pages" -> PrioritySettings.FOR_PAGES;
                    case "none" -> PrioritySettings.NONE;
                    default -> settings(form);
                }));
    }

    private static PrioritySettings settings(Map<String, String> form) {
        Map<PrioritySettings.Factor, Integer> weights = new EnumMap<>(PrioritySettings.Factor.class);
        for (PrioritySettings.Factor factor : PrioritySettings.Factor.values()) {
            put(weights, factor, factor.label(), form.getOrDefault("w-" + factor.name(), ""));
        }
        Map<Intent, Integer> intents = new EnumMap<>(Intent.class);
        for (Intent intent : Intent.values()) {
            put(intents, intent, intent.label(), form.getOrDefault("i-" + intent.name(), ""));
        }
        return new PrioritySettings(
                weights,
                intents,
                PrioritySettings.words(form.getOrDefault("points", "")),
                PrioritySettings.classes(form.getOrDefault("classes", "")));
    }

    private static <K> void put(Map<K, Integer> numbers, K key, Message label, String text) {
        String number = text.strip().replace('\u2212', '-');
        if (!number.isEmpty()) {
            if (!number.matches("[+-]?\\d{1,3}")) {
                throw new Refusal("sift.priority-controller.weight-write-whole-number", text.strip(), label);
            }
            numbers.put(key, Integer.parseInt(number));
        }
    }
}

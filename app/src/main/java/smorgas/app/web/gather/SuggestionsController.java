package smorgas.app.web.gather;

import java.util.List;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.util.MultiValueMap;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import smorgas.app.store.Pantry;
import smorgas.app.web.frame.Frames;
import smorgas.app.web.show.Choice;
import smorgas.app.web.show.Fields;
import smorgas.app.web.show.Language;
import smorgas.app.web.show.Show;
import smorgas.app.web.show.Shown;
import smorgas.app.web.show.Step;
import smorgas.app.work.Snapshot;
import smorgas.app.work.Sources;
import smorgas.app.work.ToolTask;
import smorgas.app.work.ToolTasks;
import smorgas.core.recipe.gather.Asked;
import smorgas.core.recipe.gather.SuggestionSettings;
import smorgas.core.recipe.sift.WordList;
import smorgas.core.source.Source;
import smorgas.core.text.Message;
import smorgas.core.text.Refusal;

/** Suggestions for seeds, told before they are asked for, asked for in the background. */
@Controller
class SuggestionsController {

    /** What was typed, after a refusal. */
    private static final String KEPT = "kept";

    private static final int SAMPLES = 8;

    private final Frames frames;
    private final Sources sources;
    private final ToolTasks errands;
    private final WordsFrom wordsFrom;
    private final Pantry pantry;

    SuggestionsController(Frames frames, Sources sources, ToolTasks errands, WordsFrom wordsFrom, Pantry pantry) {
        this.pantry = pantry;
        this.frames = frames;
        this.sources = sources;
        this.errands = errands;
        this.wordsFrom = wordsFrom;
    }

    /** The form, and what it comes to. */
    record SuggestionsPage(
            SuggestionsForm form,
            SuggestionSettings.Around[] ways,
            List<String> sources,
            List<Choice> languages,
            List<Choice> places,
            Queries queries,
            ToolTasksView errands) {}

    /**
     * What would be asked in the first round.
     *
     * @param fault what cannot be meant; empty if all can
     */
    record Queries(Message fault, Message told, List<String> samples) {}

    /** The queries alone. */
    record Preview(Queries queries) {}

    @GetMapping("/projects/{id}/suggestions")
    String page(
            @PathVariable long id,
            @RequestParam(defaultValue = "0") long again,
            @RequestParam(defaultValue = "") String from,
            @RequestParam(defaultValue = "") List<String> seed,
            @RequestHeader(name = "X-Tab", defaultValue = "") String tab,
            Model model) {
        Snapshot snapshot = frames.open(id).snapshot();
        SuggestionsForm form =
                model.getAttribute(KEPT) instanceof SuggestionsForm kept ? kept : form(id, snapshot, again, from, tab);
        return shown(id, snapshot, form.with(true, seed), tab, model);
    }

    private SuggestionsForm form(long id, Snapshot snapshot, long again, String from, String tab) {
        return snapshot.board()
                .recipe()
                .gathering()
                .find(again)
                .flatMap(basket -> basket.asked(Asked.Suggested.class)
                        .map(asked -> SuggestionsForm.of(asked.suggestions(), basket.name())))
                .orElseGet(() -> SuggestionsForm.of(
                        from.isEmpty() ? List.of() : wordsFrom.words(snapshot.board(), from, id, tab),
                        names(),
                        frames.project(id).language(),
                        ""));
    }

    /** The same page with words of a place among the seeds or the openers and endings. */
    @PostMapping("/projects/{id}/suggestions")
    String filled(
            @PathVariable long id,
            @RequestParam(defaultValue = "") String fill,
            @RequestParam MultiValueMap<String, String> fields,
            @RequestHeader(name = "X-Tab", defaultValue = "") String tab,
            Model model) {
        Snapshot snapshot = frames.open(id).snapshot();
        SuggestionsForm form = SuggestionsForm.of(new Fields(fields));
        boolean seeds = fill.equals("seeds");
        String from = new Fields(fields).text(seeds ? "seedsFrom" : "wordsFrom");
        return shown(
                id,
                snapshot,
                from.isEmpty() ? form : form.with(seeds, wordsFrom.words(snapshot.board(), from, id, tab)),
                tab,
                model);
    }

    @PostMapping("/projects/{id}/suggestions/preview")
    String preview(@PathVariable long id, @RequestParam MultiValueMap<String, String> fields, Model model) {
        frames.open(id);
        Shown.in(model, new Preview(queries(SuggestionsForm.of(new Fields(fields)))));
        return "gather/suggestions :: queries";
    }

    @PostMapping("/projects/{id}/suggestions/start")
    String start(
            @PathVariable long id, @RequestParam MultiValueMap<String, String> fields, RedirectAttributes redirect) {
        SuggestionsForm form = SuggestionsForm.of(new Fields(fields));
        try {
            SuggestionSettings wanted = form.read();
            String name = ToolResult.name(
                    form.name(),
                    frames.wording()
                            .of("basket-name.suggestions-for", wanted.seeds().getFirst()));
            errands.send(
                    frames.open(id),
                    name,
                    new ToolTask.Purpose.NewBasket(name),
                    sources.suggestions(wanted, List.of(), List.of()));
        } catch (Refusal refused) {
            redirect.addFlashAttribute(KEPT, form);
            redirect.addFlashAttribute(
                    "notice", Message.of("gather.suggestions-controller.nothing-asked", refused.message()));
        }
        return "redirect:/projects/" + id + "/suggestions";
    }

    /** The seeds become a list of the pantry, so that they can be asked for in any project. */
    @PostMapping("/projects/{id}/suggestions/keep")
    String keep(
            @PathVariable long id, @RequestParam MultiValueMap<String, String> fields, RedirectAttributes redirect) {
        SuggestionsForm form = SuggestionsForm.of(new Fields(fields));
        try {
            if (form.seeds().isBlank()) {
                throw new Refusal("gather.suggestions-controller.write-seed-least-one");
            }
            WordList list = WordList.of(
                    ToolResult.name(form.name(), frames.wording().of("list-name.seeds")),
                    "",
                    WordList.Kind.OTHER,
                    form.seeds());
            pantry.save(list);
            redirect.addFlashAttribute(
                    "notice", Message.of("gather.suggestions-controller.is-in-the-pantry", list.name()));
            return "redirect:/pantry?list=" + Show.encoded(list.name());
        } catch (Refusal refused) {
            redirect.addFlashAttribute(KEPT, form);
            redirect.addFlashAttribute(
                    "notice", Message.of("gather.suggestions-controller.nothing-kept", refused.message()));
            return "redirect:/projects/" + id + "/suggestions";
        }
    }

    private String shown(long id, Snapshot snapshot, SuggestionsForm form, String tab, Model model) {
        Shown.in(
                model,
                new SuggestionsPage(
                        form,
                        SuggestionSettings.Around.values(),
                        names(),
                        Language.choices(),
                        wordsFrom.places(snapshot.board(), id, tab),
                        queries(form),
                        ToolTasksView.of(errands, id)));
        frames.frame(model, id, snapshot, Step.GATHER);
        return "gather/suggestions";
    }

    private List<String> names() {
        return sources.all().stream().map(Source::name).toList();
    }

    private static Queries queries(SuggestionsForm form) {
        if (form.seeds().isBlank()) {
            return new Queries(
                    Message.NONE, Message.of("gather.suggestions-controller.write-seed-least-one-2"), List.of());
        }
        try {
            SuggestionSettings wanted = form.read();
            List<String> queries = wanted.queries();
            int asked = Math.min(queries.size(), wanted.most());
            Message each = wanted.sources().size() == 1
                    ? Message.NONE
                    : Message.of(
                            "gather.suggestions-controller.each-sources-all",
                            wanted.sources().size(),
                            (long) asked * wanted.sources().size());
            Message more = asked < queries.size()
                    ? Message.of("gather.suggestions-controller.other-them", queries.size() - asked)
                    : Message.NONE;
            Message rounds = wanted.rounds() == 1
                    ? Message.NONE
                    : Message.of("gather.suggestions-controller.how-many-later-round", wanted.most());
            return new Queries(
                    Message.NONE,
                    Message.of("gather.suggestions-controller.queries-asked", asked, each, more, rounds),
                    queries.stream().limit(SAMPLES).toList());
        } catch (Refusal refused) {
            return new Queries(Message.of("sentence", refused.message()), Message.NONE, List.of());
        }
    }
}

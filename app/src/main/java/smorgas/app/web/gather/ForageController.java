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
import smorgas.core.recipe.gather.Foraging;
import smorgas.core.recipe.sift.WordList;
import smorgas.core.source.Source;
import smorgas.core.text.Message;
import smorgas.core.text.Refusal;

/** Foraging: suggestions for seeds, told before they are asked for, asked for in the background. */
@Controller
class ForageController {

    /** What was typed, after a refusal. */
    private static final String KEPT = "kept";

    private static final int SAMPLES = 8;

    private final Frames frames;
    private final Sources sources;
    private final ToolTasks errands;
    private final WordsFrom wordsFrom;
    private final Pantry pantry;

    ForageController(Frames frames, Sources sources, ToolTasks errands, WordsFrom wordsFrom, Pantry pantry) {
        this.pantry = pantry;
        this.frames = frames;
        this.sources = sources;
        this.errands = errands;
        this.wordsFrom = wordsFrom;
    }

    /** The form, and what it comes to. */
    record ForagePage(
            ForageForm form,
            Foraging.Around[] ways,
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

    @GetMapping("/projects/{id}/forage")
    String page(
            @PathVariable long id,
            @RequestParam(defaultValue = "0") long again,
            @RequestParam(defaultValue = "") String from,
            @RequestParam(defaultValue = "") List<String> seed,
            @RequestHeader(name = "X-Tab", defaultValue = "") String tab,
            Model model) {
        Snapshot snapshot = frames.open(id).snapshot();
        ForageForm form =
                model.getAttribute(KEPT) instanceof ForageForm kept ? kept : form(id, snapshot, again, from, tab);
        return shown(id, snapshot, form.with(true, seed), tab, model);
    }

    private ForageForm form(long id, Snapshot snapshot, long again, String from, String tab) {
        return snapshot.board()
                .recipe()
                .gathering()
                .find(again)
                .flatMap(basket ->
                        basket.asked(Asked.Foraged.class).map(asked -> ForageForm.of(asked.foraging(), basket.name())))
                .orElseGet(() -> ForageForm.of(
                        from.isEmpty() ? List.of() : wordsFrom.words(snapshot.board(), from, id, tab),
                        names(),
                        frames.project(id).language(),
                        ""));
    }

    /** The same page with words of a place among the seeds or the openers and endings. */
    @PostMapping("/projects/{id}/forage")
    String filled(
            @PathVariable long id,
            @RequestParam(defaultValue = "") String fill,
            @RequestParam MultiValueMap<String, String> fields,
            @RequestHeader(name = "X-Tab", defaultValue = "") String tab,
            Model model) {
        Snapshot snapshot = frames.open(id).snapshot();
        ForageForm form = ForageForm.of(new Fields(fields));
        boolean seeds = fill.equals("seeds");
        String from = new Fields(fields).text(seeds ? "seedsFrom" : "wordsFrom");
        return shown(
                id,
                snapshot,
                from.isEmpty() ? form : form.with(seeds, wordsFrom.words(snapshot.board(), from, id, tab)),
                tab,
                model);
    }

    @PostMapping("/projects/{id}/forage/preview")
    String preview(@PathVariable long id, @RequestParam MultiValueMap<String, String> fields, Model model) {
        frames.open(id);
        Shown.in(model, new Preview(queries(ForageForm.of(new Fields(fields)))));
        return "gather/forage :: queries";
    }

    @PostMapping("/projects/{id}/forage/start")
    String start(
            @PathVariable long id, @RequestParam MultiValueMap<String, String> fields, RedirectAttributes redirect) {
        ForageForm form = ForageForm.of(new Fields(fields));
        try {
            Foraging wanted = form.read();
            String name = ToolResult.name(
                    form.name(),
                    frames.wording()
                            .of("basket-name.suggestions-for", wanted.seeds().getFirst()));
            errands.send(
                    frames.open(id),
                    name,
                    new ToolTask.Purpose.NewBasket(name),
                    sources.foraging(wanted, List.of(), List.of()));
        } catch (Refusal refused) {
            redirect.addFlashAttribute(KEPT, form);
            redirect.addFlashAttribute(
                    "notice", Message.of("gather.forage-controller.nothing-asked", refused.message()));
        }
        return "redirect:/projects/" + id + "/forage";
    }

    /** The seeds become a list of the pantry, so that they can be asked for in any project. */
    @PostMapping("/projects/{id}/forage/keep")
    String keep(
            @PathVariable long id, @RequestParam MultiValueMap<String, String> fields, RedirectAttributes redirect) {
        ForageForm form = ForageForm.of(new Fields(fields));
        try {
            if (form.seeds().isBlank()) {
                throw new Refusal("gather.forage-controller.write-seed-least-one");
            }
            WordList list = WordList.of(
                    ToolResult.name(form.name(), frames.wording().of("list-name.seeds")),
                    "",
                    WordList.Kind.OTHER,
                    form.seeds());
            pantry.save(list);
            redirect.addFlashAttribute("notice", Message.of("gather.forage-controller.is-in-the-pantry", list.name()));
            return "redirect:/pantry?list=" + Show.encoded(list.name());
        } catch (Refusal refused) {
            redirect.addFlashAttribute(KEPT, form);
            redirect.addFlashAttribute(
                    "notice", Message.of("gather.forage-controller.nothing-kept", refused.message()));
            return "redirect:/projects/" + id + "/forage";
        }
    }

    private String shown(long id, Snapshot snapshot, ForageForm form, String tab, Model model) {
        Shown.in(
                model,
                new ForagePage(
                        form,
                        Foraging.Around.values(),
                        names(),
                        Language.choices(),
                        wordsFrom.places(snapshot.board(), id, tab),
                        queries(form),
                        ToolTasksView.of(errands, id)));
        frames.frame(model, id, snapshot, Step.GATHER);
        return "gather/forage";
    }

    private List<String> names() {
        return sources.all().stream().map(Source::name).toList();
    }

    private static Queries queries(ForageForm form) {
        if (form.seeds().isBlank()) {
            return new Queries(Message.NONE, Message.of("gather.forage-controller.write-seed-least-one-2"), List.of());
        }
        try {
            Foraging wanted = form.read();
            List<String> queries = wanted.queries();
            int asked = Math.min(queries.size(), wanted.most());
            Message each = wanted.sources().size() == 1
                    ? Message.NONE
                    : Message.of(
                            "gather.forage-controller.each-sources-all",
                            wanted.sources().size(),
                            (long) asked * wanted.sources().size());
            Message more = asked < queries.size()
                    ? Message.of("gather.forage-controller.other-them", queries.size() - asked)
                    : Message.NONE;
            Message rounds = wanted.rounds() == 1
                    ? Message.NONE
                    : Message.of("gather.forage-controller.how-many-later-round", wanted.most());
            return new Queries(
                    Message.NONE,
                    Message.of("gather.forage-controller.queries-asked", asked, each, more, rounds),
                    queries.stream().limit(SAMPLES).toList());
        } catch (Refusal refused) {
            return new Queries(Message.of("sentence", refused.message()), Message.NONE, List.of());
        }
    }
}

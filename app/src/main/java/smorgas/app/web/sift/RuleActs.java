package smorgas.app.web.sift;

import jakarta.servlet.http.HttpServletRequest;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import smorgas.app.store.Pantry;
import smorgas.app.web.frame.Acts;
import smorgas.app.web.frame.Frames;
import smorgas.app.work.OpenProject;
import smorgas.app.work.Outcome;
import smorgas.core.recipe.Condition;
import smorgas.core.recipe.Entry;
import smorgas.core.recipe.Rule;
import smorgas.core.recipe.Standing;
import smorgas.core.recipe.WordList;
import smorgas.core.text.Tidy;

/** Rules made from a word, from several or from what is on view; their order; saved views; word lists taken in. */
@Controller
class RuleActs {

    private final Frames frames;
    private final Acts acts;
    private final Pantry pantry;

    RuleActs(Frames frames, Acts acts, Pantry pantry) {
        this.frames = frames;
        this.acts = acts;
        this.pantry = pantry;
    }

    @ModelAttribute("query")
    SiftQuery query(@RequestParam Map<String, String> parameters) {
        return SiftQuery.of(parameters);
    }

    /** A rule for a word, put below the others. */
    @PostMapping("/projects/{id}/rules/word")
    String wordRule(
            @PathVariable long id,
            @RequestParam String ruleWord,
            @RequestParam Standing to,
            @RequestParam long version,
            HttpServletRequest request,
            RedirectAttributes redirect) {
        Condition condition = new Condition.HasWord(Tidy.of(ruleWord));
        return acts.back(request, redirect, id, add(frames.open(id), condition, new Rule.Gives(to), version));
    }

    /** A rule for what is on view. */
    @PostMapping("/projects/{id}/rules/view")
    String viewRule(
            @PathVariable long id,
            @ModelAttribute("query") SiftQuery query,
            @RequestParam Standing to,
            @RequestParam long version,
            HttpServletRequest request,
            RedirectAttributes redirect) {
        Condition condition = query.ruleCondition();
        Outcome outcome = condition.equals(new Condition.AllOf(List.of()))
                ? new Outcome.NoChange("A rule for all keywords says nothing: narrow what is on view first.")
                : add(frames.open(id), condition, new Rule.Gives(to), version);
        return acts.back(request, redirect, id, outcome);
    }

    /** What is to be done with some words at once: a rule that drops, keeps or tags, or they are muted, or put on a list. */
    @PostMapping("/projects/{id}/rules/words")
    String wordsRule(
            @PathVariable long id,
            @RequestParam(defaultValue = "") List<String> words,
            @RequestParam String act,
            @RequestParam(defaultValue = "") String newTag,
            @RequestParam(defaultValue = "") String list,
            @RequestParam long version,
            HttpServletRequest request,
            RedirectAttributes redirect) {
        List<String> ticked = words.stream()
                .map(Tidy::of)
                .filter(word -> !word.isEmpty())
                .distinct()
                .toList();
        if (ticked.isEmpty()) {
            return acts.back(request, redirect, id, new Outcome.NoChange("Tick a word first."));
        }
        OpenProject project = frames.open(id);
        Condition condition =
                ticked.size() == 1 ? new Condition.HasWord(ticked.getFirst()) : new Condition.HasAnyWord(ticked);
        Outcome outcome =
                switch (act) {
                    case "drop" -> add(project, condition, new Rule.Gives(Standing.DROPPED), version);
                    case "keep" -> add(project, condition, new Rule.Gives(Standing.KEPT), version);
                    case "tag" ->
                        newTag.isBlank()
                                ? new Outcome.NoChange("Name the tag first.")
                                : add(project, condition, new Rule.Tags(newTag.strip()), version);
                    case "mute" -> project.act(version, recipe -> new Entry.WordsMuted(ticked, true));
                    case "list" -> putOn(list, ticked, project.language());
                    default -> throw new IllegalArgumentException("no such act: " + act);
                };
        return acts.back(request, redirect, id, outcome);
    }

    private Outcome putOn(String name, List<String> words, String language) {
        if (name.isBlank()) {
            return new Outcome.NoChange("Name the list first.");
        }
        WordList before = pantry.find(name.strip())
                .orElse(new WordList(name.strip(), language, WordList.Kind.OTHER, 1, List.of()));
        LinkedHashSet<String> all = new LinkedHashSet<>(before.words());
        all.addAll(words);
        int version = pantry.save(new WordList(before.name(), before.language(), before.kind(), 1, List.copyOf(all)))
                .version();
        return new Outcome.NoChange("The list \"" + before.name() + "\" of the pantry has "
                + (all.size() == before.words().size() ? "them already." : "them now, in version " + version + "."));
    }

    static Outcome add(OpenProject project, Condition condition, Rule.Does does, long version) {
        boolean known = project.snapshot().board().recipe().rules().stream()
                .anyMatch(rule -> rule.when().equals(condition) && rule.does().equals(does));
        return known
                ? new Outcome.NoChange("There is such a rule already.")
                : project.act(version, recipe -> new Entry.RuleAdded(new Rule(recipe.nextRule(), condition, does)));
    }

    @PostMapping("/projects/{id}/rules/{rule}/remove")
    String removeRule(
            @PathVariable long id,
            @PathVariable int rule,
            @RequestParam long version,
            HttpServletRequest request,
            RedirectAttributes redirect) {
        return acts.back(request, redirect, id, frames.open(id).act(version, recipe -> new Entry.RuleRemoved(rule)));
    }

    @PostMapping("/projects/{id}/rules/{rule}/move")
    String moveRule(
            @PathVariable long id,
            @PathVariable int rule,
            @RequestParam int place,
            @RequestParam long version,
            HttpServletRequest request,
            RedirectAttributes redirect) {
        return acts.back(
                request,
                redirect,
                id,
                frames.open(id).act(version, recipe -> new Entry.RuleMoved(rule, Math.max(0, place))));
    }

    @PostMapping("/projects/{id}/views/remove")
    String removeView(
            @PathVariable long id,
            @RequestParam String view,
            @RequestParam long version,
            HttpServletRequest request,
            RedirectAttributes redirect) {
        return acts.back(request, redirect, id, frames.open(id).act(version, recipe -> new Entry.ViewRemoved(view)));
    }

    /** The project takes a word list of the pantry in, in its newest version. */
    @PostMapping("/projects/{id}/lists/take")
    String takeList(
            @PathVariable long id,
            @RequestParam String list,
            @RequestParam long version,
            HttpServletRequest request,
            RedirectAttributes redirect) {
        Outcome outcome = pantry.find(list)
                .map(newest -> frames.open(id).act(version, recipe -> new Entry.ListTaken(newest)))
                .orElse(new Outcome.Refused("The pantry has no list \"" + list + "\"."));
        return acts.back(request, redirect, id, outcome);
    }
}

package smorgas.app.web.sift;

import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import smorgas.app.store.Pantry;
import smorgas.app.web.frame.Act;
import smorgas.app.work.Outcome;
import smorgas.core.recipe.GroupEntry;
import smorgas.core.recipe.SiftEntry;
import smorgas.core.recipe.group.GroupRule;
import smorgas.core.recipe.sift.Condition;
import smorgas.core.recipe.sift.Rule;
import smorgas.core.recipe.sift.Status;
import smorgas.core.recipe.sift.WordList;
import smorgas.core.text.Message;
import smorgas.core.text.Refusal;
import smorgas.core.text.Tidy;

/** Rules made from a word, from several or from what is on view; their order; saved views; word lists taken in. */
@Controller
class RuleActs {

    private final Pantry pantry;

    RuleActs(Pantry pantry) {
        this.pantry = pantry;
    }

    @ModelAttribute("query")
    SiftQuery query(@RequestParam Map<String, String> parameters) {
        return SiftQuery.of(parameters);
    }

    /** A rule for a word, put below the others. */
    @PostMapping("/projects/{id}/rules/word")
    String wordRule(Act act, @RequestParam String ruleWord, @RequestParam Status to) {
        Condition condition = new Condition.HasWord(Tidy.of(ruleWord));
        return act.back(add(act, condition, new Rule.Gives(to)));
    }

    /** A rule for what is on view. */
    @PostMapping("/projects/{id}/rules/view")
    String viewRule(Act act, @ModelAttribute("query") SiftQuery query, @RequestParam Status to) {
        Optional<Message> why = query.noRule();
        if (why.isPresent()) {
            return act.back(new Outcome.NoChange(why.get()));
        }
        Condition condition = query.ruleCondition();
        Outcome outcome = condition.equals(new Condition.AllOf(List.of()))
                ? new Outcome.NoChange(Message.of("sift.rule-acts.rule-all-keywords-says"))
                : add(act, condition, new Rule.Gives(to));
        return act.back(outcome);
    }

    /** What is to be done with some words: a rule that drops, keeps, tags or makes a group; they are ignored, or put on a list. */
    @PostMapping("/projects/{id}/rules/words")
    String wordsRule(
            Act act,
            @RequestParam(defaultValue = "") List<String> words,
            @RequestParam("act") String what,
            @RequestParam(defaultValue = "") String newTag,
            @RequestParam(defaultValue = "") String list) {
        List<String> ticked = words.stream()
                .map(Tidy::of)
                .filter(word -> !word.isEmpty())
                .distinct()
                .toList();
        if (ticked.isEmpty()) {
            return act.back(new Outcome.NoChange(Message.of("sift.rule-acts.tick-word-first")));
        }
        Condition condition =
                ticked.size() == 1 ? new Condition.HasWord(ticked.getFirst()) : new Condition.HasAnyWord(ticked);
        Outcome outcome =
                switch (what) {
                    case "drop" -> add(act, condition, new Rule.Gives(Status.DROPPED));
                    case "keep" -> add(act, condition, new Rule.Gives(Status.KEPT));
                    case "tag" ->
                        newTag.isBlank()
                                ? new Outcome.NoChange(Message.of("sift.rule-acts.name-tag-first"))
                                : add(act, condition, new Rule.Tags(newTag.strip()));
                    case "ignore" -> act.make(recipe -> new GroupEntry.WordsIgnored(ticked, true));
                    case "group" ->
                        act.make(recipe -> new GroupEntry.GroupRuleSet(
                                new GroupRule(recipe.grouping().nextRule(), ticked.getFirst(), condition, false)));
                    case "list" -> putOn(list, ticked, act.project().language());
                    default -> throw new Refusal("sift.rule-acts.such-act", what);
                };
        return act.back(outcome);
    }

    private Outcome putOn(String name, List<String> words, String language) {
        if (name.isBlank()) {
            return new Outcome.NoChange(Message.of("sift.rule-acts.name-list-first"));
        }
        WordList before = pantry.find(name.strip())
                .orElse(new WordList(name.strip(), language, WordList.Kind.OTHER, 1, List.of()));
        LinkedHashSet<String> all = new LinkedHashSet<>(before.words());
        all.addAll(words);
        int version = pantry.save(new WordList(before.name(), before.language(), before.kind(), 1, List.copyOf(all)))
                .version();
        return new Outcome.NoChange(Message.of(
                "sift.rule-acts.list-pantry",
                before.name(),
                (all.size() == before.words().size()
                        ? Message.of("sift.rule-acts.them-already")
                        : Message.of("sift.rule-acts.them-now-version", version))));
    }

    static Outcome add(Act act, Condition condition, Rule.Does does) {
        boolean known = act.snapshot().board().recipe().sifting().rules().stream()
                .anyMatch(rule -> rule.when().equals(condition) && rule.does().equals(does));
        return known
                ? new Outcome.NoChange(Message.of("sift.rule-acts.such-rule-already"))
                : act.make(recipe ->
                        new SiftEntry.RuleAdded(new Rule(recipe.sifting().nextRule(), condition, does)));
    }

    @PostMapping("/projects/{id}/rules/{rule}/remove")
    String removeRule(Act act, @PathVariable int rule) {
        return act.done(recipe -> new SiftEntry.RuleRemoved(rule));
    }

    @PostMapping("/projects/{id}/rules/{rule}/move")
    String moveRule(Act act, @PathVariable int rule, @RequestParam int place) {
        return act.done(recipe -> new SiftEntry.RuleMoved(rule, Math.max(0, place)));
    }

    @PostMapping("/projects/{id}/views/remove")
    String removeView(Act act, @RequestParam String view) {
        return act.done(recipe -> new SiftEntry.ViewRemoved(view));
    }

    /** The project takes a word list of the pantry in, in its newest version. */
    @PostMapping("/projects/{id}/lists/take")
    String takeList(Act act, @RequestParam String list) {
        Outcome outcome = pantry.find(list)
                .map(newest -> act.make(recipe -> new SiftEntry.ListTaken(newest)))
                .orElse(new Outcome.Refused(Message.of("sift.rule-acts.pantry-list", list)));
        return act.back(outcome);
    }
}

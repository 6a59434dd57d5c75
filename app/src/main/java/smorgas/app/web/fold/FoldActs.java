package smorgas.app.web.fold;

import java.util.ArrayList;
import java.util.List;
import java.util.TreeSet;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestParam;
import smorgas.app.web.frame.Act;
import smorgas.app.work.Outcome;
import smorgas.app.work.Trays;
import smorgas.core.fold.Keywords;
import smorgas.core.fold.Misspellings;
import smorgas.core.recipe.FoldEntry;
import smorgas.core.recipe.fold.Cleaning;
import smorgas.core.recipe.fold.FoldKind;
import smorgas.core.recipe.fold.WordPair;
import smorgas.core.text.Message;
import smorgas.core.text.Refusal;
import smorgas.core.text.Tidy;

/** What is decided about folding. */
@Controller
class FoldActs {

    /** Words that the list of little words may have, and characters each. */
    private static final int MOST_WORDS = 2_000;

    private final Trays trays;

    FoldActs(Trays trays) {
        this.trays = trays;
    }

    @PostMapping("/projects/{id}/fold/kind")
    String kind(Act act, @RequestParam FoldKind kind, @RequestParam boolean on) {
        return act.done(recipe -> new FoldEntry.FoldKindSwitched(kind, on));
    }

    /** One spelling is taken out of its keyword. */
    @PostMapping("/projects/{id}/fold/out")
    String out(Act act, @RequestParam String text) {
        return act.done(recipe -> new FoldEntry.SpellingsTakenOut(List.of(Tidy.of(text))));
    }

    /** Every spelling of a keyword becomes a keyword. */
    @PostMapping("/projects/{id}/fold/apart")
    String apart(Act act, @RequestParam String text) {
        Keywords keywords = act.snapshot().board().keywords();
        List<String> texts = keywords.find(text).map(keywords::tidyTexts).orElse(List.of());
        return texts.isEmpty()
                ? act.back(new Outcome.NoChange(Message.of("fold.fold-acts.such-keyword")))
                : act.done(recipe -> new FoldEntry.SpellingsTakenOut(texts));
    }

    @PostMapping("/projects/{id}/fold/lead")
    String lead(Act act, @RequestParam String text) {
        return act.done(recipe -> new FoldEntry.LeadChosen(Tidy.of(text)));
    }

    /** All keywords on the tray become one; the first picked comes first. */
    @PostMapping("/projects/{id}/fold/join")
    String join(Act act, @RequestHeader(name = "X-Tab", defaultValue = "") String tab) {
        Keywords keywords = act.snapshot().board().keywords();
        List<String> texts = trays.texts(act.id(), tab).stream()
                .filter(text -> keywords.find(text).isPresent())
                .toList();
        if (texts.size() < 2) {
            return act.back(new Outcome.NoChange(Message.of("fold.fold-acts.pick-up-two-keywords")));
        }
        Outcome outcome = act.make(recipe -> new FoldEntry.KeywordsJoined(texts));
        if (outcome instanceof Outcome.Done) {
            trays.clear(act.id(), tab);
        }
        return act.back(outcome);
    }

    /** One proposal is accepted or refused; an accepted one may be refused later. */
    @PostMapping("/projects/{id}/fold/misspelling")
    String misspelling(
            Act act, @RequestParam String wrong, @RequestParam String right, @RequestParam boolean accepted) {
        return act.done(recipe -> new FoldEntry.MisspellingsJudged(List.of(new WordPair(wrong, right)), accepted));
    }

    /** All proposals of so much confidence, in percent, and more are accepted. */
    @PostMapping("/projects/{id}/fold/misspellings")
    String misspellings(Act act, @RequestParam int least) {
        List<WordPair> pairs = act.snapshot().board().misspellings().stream()
                .filter(proposal -> Math.round(proposal.confidence() * 100) >= least)
                .map(FoldActs::pair)
                .toList();
        return pairs.isEmpty()
                ? act.back(new Outcome.NoChange(Message.of("fold.fold-acts.proposal-so-sure")))
                : act.done(recipe -> new FoldEntry.MisspellingsJudged(pairs, true));
    }

    private static WordPair pair(Misspellings.Proposal proposal) {
        return new WordPair(proposal.wrong(), proposal.right());
    }

    @PostMapping("/projects/{id}/fold/little-words")
    String littleWords(Act act, @RequestParam String words) {
        TreeSet<String> list = new TreeSet<>();
        words.lines()
                .map(Tidy::of)
                .filter(word -> !word.isEmpty())
                .limit(MOST_WORDS)
                .forEach(list::add);
        return act.done(recipe -> new FoldEntry.LittleWordsChosen(new ArrayList<>(list)));
    }

    @PostMapping("/projects/{id}/fold/cleaning")
    String clean(Act act, @ModelAttribute("cleaning") AskedCleaning asked) {
        Outcome outcome = act.make(recipe -> {
            Cleaning cleaning = asked.cleaning().orElseThrow(() -> new Refusal("fold.fold-acts.choose-what-cleaned"));
            return new FoldEntry.CleaningAdded(recipe.folding().nextCleaning(), cleaning);
        });
        // Not back to the page with the cleaning in its address, which would offer the same once more.
        return act.to("/fold", outcome);
    }

    @PostMapping("/projects/{id}/fold/cleaning/{number}/remove")
    String cleanNoMore(Act act, @PathVariable int number) {
        return act.done(recipe -> new FoldEntry.CleaningRemoved(number));
    }
}

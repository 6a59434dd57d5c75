package smorgas.app.web.fold;

import jakarta.servlet.http.HttpServletRequest;
import java.util.ArrayList;
import java.util.List;
import java.util.TreeSet;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import smorgas.app.web.frame.Acts;
import smorgas.app.web.frame.Frames;
import smorgas.app.work.OpenProject;
import smorgas.app.work.Outcome;
import smorgas.app.work.Trays;
import smorgas.core.fold.Keywords;
import smorgas.core.fold.Misspellings;
import smorgas.core.recipe.Cleaning;
import smorgas.core.recipe.Entry;
import smorgas.core.recipe.FoldKind;
import smorgas.core.recipe.WordPair;
import smorgas.core.text.Tidy;

/** What is decided about folding. */
@Controller
class FoldActs {

    /** Words that the list of little words may have, and characters each. */
    private static final int MOST_WORDS = 2_000;

    private final Frames frames;
    private final Trays trays;
    private final Acts acts;

    FoldActs(Frames frames, Trays trays, Acts acts) {
        this.frames = frames;
        this.trays = trays;
        this.acts = acts;
    }

    @PostMapping("/projects/{id}/fold/kind")
    String kind(
            @PathVariable long id,
            @RequestParam FoldKind kind,
            @RequestParam boolean on,
            @RequestParam long version,
            HttpServletRequest request,
            RedirectAttributes redirect) {
        return act(id, version, new Entry.FoldKindSwitched(kind, on), request, redirect);
    }

    /** One spelling is taken out of its keyword. */
    @PostMapping("/projects/{id}/fold/out")
    String out(
            @PathVariable long id,
            @RequestParam String text,
            @RequestParam long version,
            HttpServletRequest request,
            RedirectAttributes redirect) {
        return act(id, version, new Entry.SpellingsTakenOut(List.of(Tidy.of(text))), request, redirect);
    }

    /** Every spelling of a keyword becomes a keyword. */
    @PostMapping("/projects/{id}/fold/apart")
    String apart(
            @PathVariable long id,
            @RequestParam String text,
            @RequestParam long version,
            HttpServletRequest request,
            RedirectAttributes redirect) {
        Keywords keywords = keywords(id);
        List<String> texts = keywords.find(text).map(keywords::tidyTexts).orElse(List.of());
        return texts.isEmpty()
                ? acts.back(request, redirect, id, new Outcome.NoChange("There is no such keyword."))
                : act(id, version, new Entry.SpellingsTakenOut(texts), request, redirect);
    }

    @PostMapping("/projects/{id}/fold/lead")
    String lead(
            @PathVariable long id,
            @RequestParam String text,
            @RequestParam long version,
            HttpServletRequest request,
            RedirectAttributes redirect) {
        return act(id, version, new Entry.LeadChosen(Tidy.of(text)), request, redirect);
    }

    /** All keywords on the tray become one; the first picked comes first. */
    @PostMapping("/projects/{id}/fold/join")
    String join(
            @PathVariable long id,
            @RequestParam long version,
            @RequestHeader(name = "X-Tab", defaultValue = "") String tab,
            HttpServletRequest request,
            RedirectAttributes redirect) {
        Keywords keywords = keywords(id);
        List<String> texts = trays.texts(id, tab).stream()
                .filter(text -> keywords.find(text).isPresent())
                .toList();
        if (texts.size() < 2) {
            return acts.back(
                    request, redirect, id, new Outcome.NoChange("Pick up two keywords or more, then join them."));
        }
        Outcome outcome = frames.open(id).act(version, recipe -> new Entry.KeywordsJoined(texts));
        if (outcome instanceof Outcome.Done) {
            trays.clear(id, tab);
        }
        return acts.back(request, redirect, id, outcome);
    }

    /** One proposal is accepted or refused; an accepted one may be refused later. */
    @PostMapping("/projects/{id}/fold/misspelling")
    String misspelling(
            @PathVariable long id,
            @RequestParam String wrong,
            @RequestParam String right,
            @RequestParam boolean accepted,
            @RequestParam long version,
            HttpServletRequest request,
            RedirectAttributes redirect) {
        Entry entry = new Entry.MisspellingsJudged(List.of(new WordPair(wrong, right)), accepted);
        return act(id, version, entry, request, redirect);
    }

    /** All proposals of so much confidence, in percent, and more are accepted. */
    @PostMapping("/projects/{id}/fold/misspellings")
    String misspellings(
            @PathVariable long id,
            @RequestParam int least,
            @RequestParam long version,
            HttpServletRequest request,
            RedirectAttributes redirect) {
        List<WordPair> pairs = frames.open(id).snapshot().board().misspellings().stream()
                .filter(proposal -> Math.round(proposal.confidence() * 100) >= least)
                .map(FoldActs::pair)
                .toList();
        return pairs.isEmpty()
                ? acts.back(request, redirect, id, new Outcome.NoChange("No proposal is so sure."))
                : act(id, version, new Entry.MisspellingsJudged(pairs, true), request, redirect);
    }

    private static WordPair pair(Misspellings.Proposal proposal) {
        return new WordPair(proposal.wrong(), proposal.right());
    }

    @PostMapping("/projects/{id}/fold/little-words")
    String littleWords(
            @PathVariable long id,
            @RequestParam String words,
            @RequestParam long version,
            HttpServletRequest request,
            RedirectAttributes redirect) {
        TreeSet<String> list = new TreeSet<>();
        words.lines()
                .map(Tidy::of)
                .filter(word -> !word.isEmpty())
                .limit(MOST_WORDS)
                .forEach(list::add);
        return act(id, version, new Entry.LittleWordsChosen(new ArrayList<>(list)), request, redirect);
    }

    @PostMapping("/projects/{id}/fold/cleaning")
    String clean(
            @PathVariable long id,
            @ModelAttribute("cleaning") AskedCleaning asked,
            @RequestParam long version,
            HttpServletRequest request,
            RedirectAttributes redirect) {
        OpenProject project = frames.open(id);
        Outcome outcome = project.act(version, recipe -> {
            Cleaning cleaning =
                    asked.cleaning().orElseThrow(() -> new IllegalArgumentException("Choose what is to be cleaned"));
            return new Entry.CleaningAdded(recipe.folding().nextCleaning(), cleaning);
        });
        Frames.notice(outcome).ifPresent(notice -> redirect.addFlashAttribute("notice", notice));
        // Not back to the page with the cleaning in its address, which would offer the same once more.
        return "redirect:/projects/" + id + "/fold";
    }

    @PostMapping("/projects/{id}/fold/cleaning/{number}/remove")
    String cleanNoMore(
            @PathVariable long id,
            @PathVariable int number,
            @RequestParam long version,
            HttpServletRequest request,
            RedirectAttributes redirect) {
        return act(id, version, new Entry.CleaningRemoved(number), request, redirect);
    }

    private Keywords keywords(long id) {
        return frames.open(id).snapshot().board().keywords();
    }

    private String act(long id, long version, Entry entry, HttpServletRequest request, RedirectAttributes redirect) {
        return acts.back(request, redirect, id, frames.open(id).act(version, recipe -> entry));
    }
}

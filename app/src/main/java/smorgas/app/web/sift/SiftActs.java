package smorgas.app.web.sift;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestParam;
import smorgas.app.store.Baskets;
import smorgas.app.store.Json;
import smorgas.app.web.frame.Act;
import smorgas.app.web.frame.Frames;
import smorgas.app.web.frame.TrayView;
import smorgas.app.web.show.Shown;
import smorgas.app.web.show.Step;
import smorgas.app.work.Outcome;
import smorgas.app.work.Snapshot;
import smorgas.app.work.Trays;
import smorgas.core.fold.Keywords;
import smorgas.core.recipe.SiftEntry;
import smorgas.core.recipe.ValueEntry;
import smorgas.core.recipe.sift.Status;
import smorgas.core.recipe.value.Intent;
import smorgas.core.sift.Reason;
import smorgas.core.sift.Statuses;
import smorgas.core.sift.Trim;
import smorgas.core.text.Message;
import smorgas.core.text.Tidy;

/** What a hand decides of keywords on the Sift page: statuses and tags, of one, of the tray, of all on view. */
@Controller
class SiftActs {

    private final Frames frames;
    private final Trays trays;
    private final Baskets baskets;

    SiftActs(Frames frames, Trays trays, Baskets baskets) {
        this.frames = frames;
        this.trays = trays;
        this.baskets = baskets;
    }

    @ModelAttribute("query")
    SiftQuery query(@RequestParam Map<String, String> parameters) {
        return SiftQuery.of(parameters);
    }

    /** A keyword's row after it was judged; null if it is not there any more. */
    record Judged(@Nullable String row) {}

    /** One keyword is judged; answers with its row anew, so that the list stays where it is. */
    @PostMapping("/projects/{id}/judge/row")
    String judgeRow(
            Act act,
            @ModelAttribute("query") SiftQuery query,
            @RequestParam String keyword,
            @RequestParam Status to,
            @RequestParam int row,
            Model model) {
        Outcome outcome = judge(act, List.of(Tidy.of(keyword)), to);
        Frames.notice(outcome).ifPresent(notice -> Frames.say(model, notice));
        Snapshot snapshot = act.snapshot();
        SiftTable table = new SiftTable(snapshot, query, baskets);
        Keywords keywords = snapshot.board().keywords();
        Optional<String> anew =
                keywords.find(Tidy.of(keyword)).map(k -> RowHtml.anew(table.row(row, k), frames.wording()));
        Shown.in(model, new Judged(anew.orElse(null)));
        frames.frame(model, act.id(), snapshot, Step.SIFT);
        return "sift/judged :: judged";
    }

    /** One keyword is judged from wherever its menu was called. */
    @PostMapping("/projects/{id}/judge/keyword")
    String judgeKeyword(Act act, @RequestParam String keyword, @RequestParam Status to) {
        return act.back(judge(act, List.of(Tidy.of(keyword)), to));
    }

    /** All on the tray are judged, with one entry. */
    @PostMapping("/projects/{id}/judge/tray")
    String judgeTray(Act act, @RequestParam Status to, @RequestHeader(name = "X-Tab", defaultValue = "") String tab) {
        List<String> texts = trays.texts(act.id(), tab);
        if (texts.isEmpty()) {
            return act.back(new Outcome.NoChange(Message.of("sift.sift-acts.nothing-picked")));
        }
        Outcome outcome = judge(act, texts, to);
        if (outcome instanceof Outcome.Done) {
            trays.clear(act.id(), tab);
        }
        return act.back(outcome);
    }

    /** A keyword, or all on the tray, stand again as the rules say. */
    @PostMapping("/projects/{id}/judge/back")
    String giveBack(
            Act act,
            @RequestParam(defaultValue = "") String keyword,
            @RequestHeader(name = "X-Tab", defaultValue = "") String tab) {
        boolean one = !Tidy.of(keyword).isEmpty();
        List<String> texts = one ? List.of(Tidy.of(keyword)) : trays.texts(act.id(), tab);
        if (texts.isEmpty()) {
            return act.back(new Outcome.NoChange(Message.of("sift.sift-acts.nothing-picked")));
        }
        Keywords keywords = act.snapshot().board().keywords();
        Outcome outcome = act.make(recipe -> Hands.givenBack(keywords, texts));
        if (!one && outcome instanceof Outcome.Done) {
            trays.clear(act.id(), tab);
        }
        return act.back(outcome);
    }

    /** All that match are judged as they are now, with one entry. */
    @PostMapping("/projects/{id}/judge/view")
    String judgeView(Act act, @ModelAttribute("query") SiftQuery query, @RequestParam Status to) {
        return act.back(judgeSome(act, onView(act.snapshot(), query), to));
    }

    /** A trim of what is on view: those beyond the first so many, or outside a sample of so many, are dropped. */
    @PostMapping("/projects/{id}/trim")
    String trim(
            Act act,
            @ModelAttribute("query") SiftQuery query,
            @RequestParam(defaultValue = "0") int stay,
            @RequestParam(defaultValue = "false") boolean sample,
            @RequestParam(defaultValue = "1") long seed) {
        if (stay < 1) {
            return act.back(new Outcome.NoChange(Message.of("sift.sift-acts.say-how-many-stay")));
        }
        int[] ordered = new SiftTable(act.snapshot(), query, baskets).ordered();
        int[] beyond = sample
                ? Trim.outsideSample(ordered, stay, seed, act.snapshot().board().keywords())
                : Trim.beyond(ordered, stay);
        return act.back(judgeSome(act, notKeptByHand(act.snapshot(), beyond), Status.DROPPED));
    }

    /** Everything that follows a keyword in the order on view is dropped. */
    @PostMapping("/projects/{id}/trim/below")
    String below(Act act, @ModelAttribute("query") SiftQuery query, @RequestParam String keyword) {
        int[] ordered = new SiftTable(act.snapshot(), query, baskets).ordered();
        int last = act.snapshot().board().keywords().find(Tidy.of(keyword)).orElse(-1);
        int stay = 0;
        while (stay < ordered.length && ordered[stay] != last) {
            stay++;
        }
        Outcome outcome = stay == ordered.length
                ? new Outcome.NoChange(Message.of("sift.sift-acts.on-view-any-more", Tidy.of(keyword)))
                : judgeSome(act, notKeptByHand(act.snapshot(), Trim.beyond(ordered, stay + 1)), Status.DROPPED);
        return act.back(outcome);
    }

    /** What a hand has kept stays kept when everything around it goes. */
    private static List<String> notKeptByHand(Snapshot snapshot, int[] keywords) {
        Statuses statuses = snapshot.board().statuses();
        return Arrays.stream(keywords)
                .filter(keyword ->
                        statuses.of(keyword) != Status.KEPT || !(statuses.reason(keyword) instanceof Reason.ByHand))
                .mapToObj(snapshot.board().keywords()::text)
                .toList();
    }

    private List<String> onView(Snapshot snapshot, SiftQuery query) {
        return Arrays.stream(new SiftTable(snapshot, query, baskets).ordered())
                .mapToObj(snapshot.board().keywords()::text)
                .toList();
    }

    private static Outcome judgeSome(Act act, List<String> texts, Status to) {
        return texts.isEmpty()
                ? new Outcome.NoChange(Message.of("sift.sift-acts.keyword-judge"))
                : judge(act, texts, to);
    }

    private static Outcome judge(Act act, List<String> texts, Status to) {
        Keywords keywords = act.snapshot().board().keywords();
        return act.make(recipe -> Hands.judged(recipe, keywords, texts, to));
    }

    /** A tag put on or taken off: of the tray, of what is on view, or of one keyword. */
    record Tagged(String keyword, String scope, String newTag, Boolean on) {

        Tagged {
            keyword = keyword == null ? "" : Tidy.of(keyword);
            scope = scope == null ? "" : scope;
            newTag = newTag == null ? "" : newTag.strip();
            on = on == null || on;
        }
    }

    /** A tag is given to one keyword, to the tray or to all on view; or taken from them. */
    @PostMapping("/projects/{id}/tag")
    String tag(
            Act act,
            @ModelAttribute("query") SiftQuery query,
            @ModelAttribute Tagged tagged,
            @RequestHeader(name = "X-Tab", defaultValue = "") String tab) {
        List<String> texts =
                switch (tagged.scope()) {
                    case "tray" -> trays.texts(act.id(), tab);
                    case "view" -> onView(act.snapshot(), query);
                    default -> tagged.keyword().isEmpty() ? List.of() : List.of(tagged.keyword());
                };
        Keywords keywords = act.snapshot().board().keywords();
        Outcome outcome = act.make(recipe -> Hands.tagged(recipe, keywords, texts, tagged.newTag(), tagged.on()));
        return act.back(outcome);
    }

    /** What one keyword, or all on the tray, are for; or that is left to their words again. */
    @PostMapping("/projects/{id}/intent")
    String intent(
            Act act,
            @RequestParam(defaultValue = "") String keyword,
            @RequestParam(defaultValue = "COMMERCIAL") Intent intent,
            @RequestParam(defaultValue = "true") boolean on,
            @RequestHeader(name = "X-Tab", defaultValue = "") String tab) {
        boolean one = !Tidy.of(keyword).isEmpty();
        List<String> texts = one ? List.of(Tidy.of(keyword)) : trays.texts(act.id(), tab);
        Keywords keywords = act.snapshot().board().keywords();
        Outcome outcome = act.make(recipe -> Hands.intended(keywords, texts, intent, on));
        if (!one && outcome instanceof Outcome.Done) {
            trays.clear(act.id(), tab);
        }
        return act.back(outcome);
    }

    /** What all keywords with a word are for, those of later lists too; or that is left to their words again. */
    @PostMapping("/projects/{id}/intent/word")
    String intentOfWord(
            Act act,
            @RequestParam String word,
            @RequestParam(defaultValue = "COMMERCIAL") Intent intent,
            @RequestParam(defaultValue = "true") boolean on) {
        return act.done(recipe -> new ValueEntry.IntentWorded(Tidy.of(word), intent, on));
    }

    /** What all keywords that fulfil a condition are for is left to their words again. */
    @PostMapping("/projects/{id}/intent/rule/remove")
    String intentRuleRemoved(Act act, @RequestParam String where) {
        return act.done(recipe -> new ValueEntry.IntentRuled(Json.condition(where), Intent.COMMERCIAL, false));
    }

    /** All that match are picked up. */
    @PostMapping("/projects/{id}/tray/view")
    String pickView(
            @PathVariable long id,
            @ModelAttribute("query") SiftQuery query,
            @RequestHeader(name = "X-Tab", defaultValue = "") String tab,
            Model model) {
        Snapshot snapshot = frames.open(id).snapshot();
        trays.pick(id, tab, onView(snapshot, query));
        TrayView.of(id, trays.texts(id, tab), snapshot.board().keywords()).show(model);
        return "tray/tray :: tray";
    }

    /** The columns of the table, in order; the one named by {@code earlier} changes places with the one before it. */
    @PostMapping("/projects/{id}/columns")
    String columns(
            Act act,
            @RequestParam(defaultValue = "") List<String> column,
            @RequestParam(defaultValue = "") String earlier) {
        List<String> chosen = new ArrayList<>(column);
        int place = chosen.indexOf(earlier);
        if (place > 0) {
            chosen.set(place, chosen.get(place - 1));
            chosen.set(place - 1, earlier);
        }
        return act.done(recipe -> new SiftEntry.ColumnsChosen(chosen));
    }
}

package smorgas.app.web.again;

import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import smorgas.app.web.frame.Act;
import smorgas.app.web.frame.Frames;
import smorgas.app.web.show.Choice;
import smorgas.app.web.show.Shown;
import smorgas.app.web.show.Step;
import smorgas.app.work.Campaigns;
import smorgas.app.work.GatheredBasket;
import smorgas.app.work.Missing;
import smorgas.app.work.Snapshot;
import smorgas.core.board.Board;
import smorgas.core.board.OldStructure;
import smorgas.core.figure.ColumnRole;
import smorgas.core.recipe.GroupDecision;
import smorgas.core.serve.PlanChanges;
import smorgas.core.serve.PlanRecord;
import smorgas.core.text.Formulas;
import smorgas.core.text.Message;
import smorgas.core.text.Refusal;
import smorgas.core.text.Tidy;

/** An existing campaign restructured: old ad groups beside new groups, what moves, and the change as files. */
@Controller
class RestructureController {

    private static final int LONGEST_PREFIX = 40;

    private final Frames frames;
    private final Campaigns campaigns;

    RestructureController(Frames frames, Campaigns campaigns) {
        this.frames = frames;
        this.campaigns = campaigns;
    }

    /** The page; without a list that tells ad groups there is nothing of it. */
    record RestructurePage(
            List<Choice> lists,
            long basket,
            String fate,
            String by,
            String prefix,
            @Nullable OldAndNew old,
            OldAndNew.@Nullable Opened opened) {}

    /** Which ad groups that run are shown, in which order, and which is opened; -1 for none. */
    record OldAsked(String fate, String by, int old) {}

    @ModelAttribute("oldAsked")
    OldAsked oldAsked(
            @RequestParam(defaultValue = "") String fate,
            @RequestParam(defaultValue = "") String by,
            @RequestParam(defaultValue = "-1") int old) {
        return new OldAsked(fate, by, old);
    }

    @GetMapping("/projects/{id}/restructure")
    String page(
            @PathVariable long id,
            @RequestParam(defaultValue = "0") long basket,
            @ModelAttribute("oldAsked") OldAsked asked,
            @RequestParam(defaultValue = "") String prefix,
            Model model) {
        Snapshot snapshot = frames.openWithGroups(id, Step.SERVE).snapshot();
        List<GatheredBasket> lists = lists(snapshot);
        Board board = snapshot.board();
        Optional<OldStructure> structure = campaigns.beside(board, chosen(lists, basket));
        OldStructure.By order = Arrays.stream(OldStructure.By.values())
                .filter(one -> one.key().equals(asked.by()))
                .findFirst()
                .orElse(OldStructure.By.KEYWORDS);
        Shown.in(
                model,
                new RestructurePage(
                        choices(lists),
                        lists.size() == 1 ? lists.getFirst().id() : basket,
                        asked.fate(),
                        order.key(),
                        prefix.isBlank() ? frames.wording().of("again.restructure-controller.usual-prefix") : prefix,
                        structure
                                .map(one -> OldAndNew.of(board, one, order, asked.fate(), asked.old()))
                                .orElse(null),
                        structure
                                .filter(one -> asked.old() >= 0
                                        && asked.old() < one.groups().size())
                                .map(one -> OldAndNew.opened(board, one, asked.old()))
                                .orElse(null)));
        frames.frameWithGroups(model, id, snapshot, Step.SERVE);
        return "again/restructure";
    }

    /** All of them together first: a campaign may have been exported as several files. */
    private static List<Choice> choices(List<GatheredBasket> lists) {
        List<Choice> choices = new ArrayList<>();
        if (lists.size() > 1) {
            choices.add(new Choice(0L, Message.of("again.restructure-controller.all-them-together")));
        }
        lists.forEach(one -> choices.add(new Choice(one.id(), one.name())));
        return choices;
    }

    private static List<GatheredBasket> chosen(List<GatheredBasket> lists, long basket) {
        return lists.stream().filter(one -> basket == 0 || one.id() == basket).toList();
    }

    private static List<GatheredBasket> lists(Snapshot snapshot) {
        return snapshot.baskets().stream()
                .filter(GatheredBasket::on)
                .filter(one -> !one.lines().texts(ColumnRole.AD_GROUP).isEmpty())
                .toList();
    }

    /** An ad group stays as it is: its keywords are one group of its name. */
    @PostMapping("/projects/{id}/restructure/keep")
    String keep(Act act, @RequestParam long basket, @RequestParam int old) {
        return act.done(recipe -> {
            Board board = act.snapshot().board();
            OldStructure structure = structure(act.snapshot(), basket);
            if (old < 0 || old >= structure.groups().size()) {
                throw new Refusal("again.restructure-controller.such-ad-group-any");
            }
            OldStructure.OldGroup one = structure.groups().get(old);
            List<String> texts = one.keywords().stream()
                    .map(board.keywords()::meant)
                    .flatMap(Optional::stream)
                    .distinct()
                    .filter(board.statuses().remaining()::get)
                    .map(keyword -> Tidy.of(board.keywords().text(keyword)))
                    .toList();
            if (texts.isEmpty()) {
                throw new Refusal("again.restructure-controller.none-keywords-project-all");
            }
            return new GroupDecision.KeywordsPlaced(texts, board.keywords().otherSpellings(texts), Tidy.of(one.name()));
        });
    }

    private OldStructure structure(Snapshot snapshot, long basket) {
        return campaigns
                .beside(snapshot.board(), chosen(lists(snapshot), basket))
                .orElseThrow(() -> new Missing("missing.list-of-groups", basket));
    }

    /** The change as a table: new ad groups in campaigns under a prefix, the old ones paused. */
    @GetMapping("/projects/{id}/restructure/change.csv")
    void change(
            @PathVariable long id,
            @RequestParam long basket,
            @RequestParam(defaultValue = "") String prefix,
            HttpServletResponse response)
            throws IOException {
        Change change = change(frames.open(id).snapshot(), basket, prefix);
        write(PlanChanges.of(change.old(), change.fresh()), "restructure.csv", response);
    }

    /** What takes the change back: the old ad groups run again, the new ones pause. */
    @GetMapping("/projects/{id}/restructure/way-back.csv")
    void wayBack(
            @PathVariable long id,
            @RequestParam long basket,
            @RequestParam(defaultValue = "") String prefix,
            HttpServletResponse response)
            throws IOException {
        Change change = change(frames.open(id).snapshot(), basket, prefix);
        write(PlanChanges.of(change.fresh(), change.old()), "restructure-way-back.csv", response);
    }

    private record Change(PlanRecord old, PlanRecord fresh) {}

    private Change change(Snapshot snapshot, long basket, String prefix) {
        if (prefix.isBlank() || prefix.length() > LONGEST_PREFIX) {
            throw new Refusal("again.restructure-controller.prefix-1-characters-so", LONGEST_PREFIX);
        }
        Formulas.refuse(Message.of("again.restructure-controller.prefix"), prefix);
        return new Change(
                structure(snapshot, basket).record(),
                PlanRecord.of(snapshot.board().plan()).inCampaigns(prefix));
    }

    private static void write(PlanChanges changes, String file, HttpServletResponse response) throws IOException {
        response.setContentType("text/csv;charset=UTF-8");
        response.setHeader("Content-Disposition", "attachment; filename=\"" + file + "\"");
        changes.write(response.getWriter());
    }
}

package smorgas.app.web.serve;

import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.springframework.http.ContentDisposition;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.util.MultiValueMap;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import smorgas.app.store.Layouts;
import smorgas.app.store.Project;
import smorgas.app.web.frame.Act;
import smorgas.app.web.frame.Frames;
import smorgas.app.web.show.Expected;
import smorgas.app.web.show.Show;
import smorgas.app.web.show.Shown;
import smorgas.app.web.show.Step;
import smorgas.app.work.Missing;
import smorgas.app.work.OpenProject;
import smorgas.app.work.Outcome;
import smorgas.app.work.Snapshot;
import smorgas.core.board.Board;
import smorgas.core.figure.Decimals;
import smorgas.core.recipe.GroupDecision;
import smorgas.core.recipe.ServeEntry;
import smorgas.core.recipe.Serving;
import smorgas.core.recipe.serve.MatchType;
import smorgas.core.recipe.serve.PlanCampaigns;
import smorgas.core.recipe.serve.PlanGroups;
import smorgas.core.recipe.serve.PlanNames;
import smorgas.core.recipe.serve.PlanSettings;
import smorgas.core.recipe.sift.Status;
import smorgas.core.serve.CheckKind;
import smorgas.core.serve.Handover;
import smorgas.core.serve.Plan;
import smorgas.core.serve.PlanCount;
import smorgas.core.serve.PlanFormat;
import smorgas.core.serve.PlanFormats;
import smorgas.core.serve.PlanLayout;
import smorgas.core.serve.Planner;
import smorgas.core.text.Message;
import smorgas.core.text.Refusal;
import smorgas.core.text.Tidy;

/** Serve, export: the choices, the plan as it will leave, the checks, the download. */
@Controller
class ServeController {

    private static final int MOST = 200;

    /** Of a plan of so many keywords the check is made at once. */
    private static final int AT_ONCE = 20_000;

    /** So many names are shown before choices are set. */
    private static final int NAMES = 6;

    /** What ad groups are made of; the deeper levels of the tree are the groups themselves as a rule. */
    private static final Map<Integer, Message> DEPTHS = new TreeMap<>(Map.of(
            0, Message.of("serve.serve-controller.groups-themselves"),
            1, Message.of("serve.serve-controller.broadest-themes"),
            2, Message.of("serve.serve-controller.second-level-themes"),
            3, Message.of("serve.serve-controller.third-level-themes")));

    private final Frames frames;
    private final Layouts layouts;

    ServeController(Frames frames, Layouts layouts) {
        this.frames = frames;
        this.layouts = layouts;
    }

    /** The choices, and the plan that they come to. */
    record ServePage(
            Choices choices,
            PlanTree tree,
            List<CampaignForm> campaign,
            Message rowCount,
            Message campaigns,
            Message adGroups,
            Message keywords,
            boolean nothing,
            Expected expected,
            int campaignNegatives,
            long groupNegatives,
            CheckPanel panel,
            List<PlanFormat> formats,
            PlanFormat.For[] uses,
            List<String> layouts,
            String projectNote) {}

    /**
     * What stands beside the plan: what the check has found, and the negatives of all campaigns.
     *
     * @param later whether the check takes so long that the page does not wait for it
     */
    record CheckPanel(
            boolean later,
            List<Plan.Negative> negatives,
            List<Plan.Conflict> conflicts,
            List<Plan.NotExported> notExported,
            int notExportedCount,
            List<Message> notes,
            List<Checks.Check> checks) {

        static CheckPanel of(Board board, String base, boolean later) {
            Plan plan = board.plan();
            return new CheckPanel(
                    later,
                    plan.negatives().distinct().toList(),
                    plan.conflicts(),
                    plan.notExported().stream().limit(MOST).toList(),
                    plan.notExported().size(),
                    plan.notes(),
                    later ? List.of() : Checks.of(board, base));
        }
    }

    /** The choices as their form shows them. */
    record Choices(
            PlanSettings settings,
            CampaignForm.BidFields bids,
            List<MatchType> matchTypes,
            PlanCampaigns.By[] campaignsBy,
            PlanGroups.Small[] small,
            PlanNames.Letters[] letters,
            List<String> fields,
            String kept,
            String both,
            String ungroupedCount,
            Map<Integer, Message> depths) {}

    @GetMapping("/projects/{id}/serve")
    String page(
            @PathVariable long id,
            @RequestParam(defaultValue = "0") int open,
            @RequestParam(defaultValue = "0") int from,
            @RequestParam(name = "campaign", defaultValue = "") String key,
            Model model) {
        Snapshot snapshot = frames.openWithGroups(id, Step.SERVE).snapshot();
        Board board = snapshot.board();
        Plan plan = board.plan();
        Serving serving = board.recipe().serving();
        List<CampaignForm> opened = CampaignForm.of(plan, serving, key);
        Shown.in(
                model,
                new ServePage(
                        choices(board),
                        PlanTree.of(plan, opened.isEmpty() ? Math.max(0, open) : -1, Math.max(0, from), serving.own()),
                        opened,
                        Message.of("count.rows", plan.count().rows()),
                        Message.of("count.campaigns", plan.count().campaigns()),
                        Message.of(
                                "serve.serve-controller.ad-group", plan.count().adGroups()),
                        Message.of("count.keywords", plan.count().keywords()),
                        plan.count().rows() == 0,
                        expected(board, board.exported()),
                        (int) plan.negatives().distinct().count(),
                        plan.adGroupNegatives(),
                        CheckPanel.of(
                                board,
                                "/projects/" + id,
                                !board.checkKnown() && plan.count().keywords() > AT_ONCE),
                        PlanFormats.ALL,
                        PlanFormat.For.values(),
                        layouts.all().stream().map(PlanLayout::name).toList(),
                        board.recipe().notes().project()));
        frames.frame(model, id, snapshot, Step.SERVE);
        return "serve/page";
    }

    /** What the check has found, for a page that did not wait for it. */
    @GetMapping("/projects/{id}/serve/checks")
    String checks(@PathVariable long id, Model model) {
        Snapshot snapshot = frames.open(id).snapshot();
        Shown.in(model, new Beside(CheckPanel.of(snapshot.board(), "/projects/" + id, false)));
        frames.frame(model, id, snapshot, Step.SERVE);
        return "serve/checks :: checks";
    }

    /** The panel alone. */
    record Beside(CheckPanel panel) {}

    private static Choices choices(Board board) {
        PlanSettings settings = board.recipe().serving().plan();
        var statuses = board.statuses();
        return new Choices(
                settings,
                CampaignForm.BidFields.of(settings.bids()),
                List.of(MatchType.values()),
                PlanCampaigns.By.values(),
                PlanGroups.Small.values(),
                PlanNames.Letters.values(),
                PlanNames.FIELDS,
                Show.count(statuses.count(Status.KEPT)),
                Show.count(statuses.count(Status.KEPT) + statuses.count(Status.UNDECIDED)),
                Show.count(board.groups().grouping().ungrouped()),
                DEPTHS);
    }

    /** What everything that is exported may bring together; a keyword in two ad groups counts once. */
    private static Expected expected(Board board, List<Planner.ExportedGroup> groups) {
        BitSet exported = new BitSet();
        groups.forEach(group -> Arrays.stream(group.keywords()).forEach(exported::set));
        return Expected.of(board.estimatedValue().sum(exported));
    }

    /**
     * What other choices would come to beside what the plan is.
     *
     * @param names how campaigns and ad groups would be called
     * @param fault what cannot be meant; empty if all can
     */
    record Preview(List<Change> changes, List<Planner.Preview.Name> names, Message fault) {}

    /** A figure of the plan, before and after. */
    record Change(Message label, Message before, Message after) {
        public boolean same() {
            return before.equals(after);
        }
    }

    /** What the choices that stand in the form would come to. */
    @GetMapping("/projects/{id}/serve/preview")
    String preview(@PathVariable long id, @RequestParam MultiValueMap<String, String> fields, Model model) {
        OpenProject project = frames.open(id);
        Board board = project.snapshot().board();
        try {
            PlanSettings wanted =
                    PlanChoices.read(fields, board.recipe().serving().plan(), Decimals.of(project.language()));
            Planner.Preview would = board.planIf(wanted, NAMES);
            Shown.in(model, new Preview(changes(board, would), would.names(), Message.NONE));
        } catch (Refusal refused) {
            Shown.in(model, new Preview(List.of(), List.of(), Message.of("sentence", refused.message())));
        }
        return "serve/preview :: preview";
    }

    private static List<Change> changes(Board board, Planner.Preview would) {
        PlanCount before = board.planCount();
        PlanCount after = would.count();
        List<Change> changes = new ArrayList<>(List.of(
                change(Message.of("serve.serve-controller.campaigns"), before.campaigns(), after.campaigns()),
                change(Message.of("serve.serve-controller.ad-groups"), before.adGroups(), after.adGroups()),
                change(Message.of("serve.serve-controller.keywords"), before.keywords(), after.keywords()),
                change(Message.of("serve.serve-controller.rows"), before.rows(), after.rows())));
        if (board.recipe().valuing().assumes()) {
            changes.add(new Change(
                    Message.of("serve.serve-controller.estimated-value-month"),
                    expected(board, board.exported()).estimatedValue(),
                    Expected.of(board.estimatedValue().sum(would.exported())).estimatedValue()));
        }
        return changes;
    }

    private static Change change(Message label, long before, long after) {
        return new Change(label, Message.verbatim(Show.count(before)), Message.verbatim(Show.count(after)));
    }

    @PostMapping("/projects/{id}/serve")
    String choose(Act act, @RequestParam MultiValueMap<String, String> fields) {
        Decimals decimals = Decimals.of(act.project().language());
        return act.done(recipe -> new ServeEntry.PlanSettingsChosen(
                PlanChoices.read(fields, recipe.serving().plan(), decimals)));
    }

    /** What an ad group bids and where it leads to. */
    @PostMapping("/projects/{id}/serve/ad-group")
    String adGroup(Act act, @RequestParam String group, @RequestParam String ownBid, @RequestParam String ownPage) {
        Decimals decimals = Decimals.of(act.project().language());
        return act.done(recipe -> new ServeEntry.AdGroupSaid(group, PlanChoices.micros(ownBid, decimals), ownPage));
    }

    /** Name, bids and negatives of one campaign. */
    @PostMapping("/projects/{id}/serve/campaign")
    String campaign(Act act, @RequestParam("key") String key, @RequestParam MultiValueMap<String, String> fields) {
        Decimals decimals = Decimals.of(act.project().language());
        return act.done(recipe -> new ServeEntry.CampaignSaid(
                key, CampaignForm.read(fields, recipe.serving().plan(), decimals)));
    }

    /** Everything that the check has found of a kind is mended. */
    @PostMapping("/projects/{id}/serve/mend")
    String mend(Act act, @RequestParam CheckKind kind) {
        Board board = act.snapshot().board();
        return act.done(recipe -> kind.mending(board.plan(), recipe.serving().plan())
                .orElseThrow(() -> new Refusal("serve.serve-controller.nothing-mends-all-once")));
    }

    /** A keyword of several ad groups stays in one of them. */
    @PostMapping("/projects/{id}/serve/keep")
    String keep(Act act, @RequestParam String keyword, @RequestParam String in) {
        Board board = act.snapshot().board();
        List<String> texts = List.of(Tidy.of(keyword));
        List<String> also = board.keywords().otherSpellings(texts);
        List<String> places = board.keywords()
                .find(texts.getFirst())
                .map(number -> Checks.places(board.groups(), number).stream()
                        .map(Checks.Place::key)
                        .toList())
                .orElse(List.of());
        if (places.size() < 2 || !places.contains(in)) {
            return act.back(new Outcome.NoChange(Message.of("serve.serve-controller.keyword-one-ad-group")));
        }
        return act.done(recipe -> new GroupDecision.Membership(texts, also, in, GroupDecision.Held.ALONE));
    }

    /** A negative that blocks what is exported is meant, or is not. */
    @PostMapping("/projects/{id}/serve/negative")
    String adopt(Act act, @RequestParam String word, @RequestParam boolean exported) {
        return act.done(recipe -> new ServeEntry.NegativeDecided(Tidy.of(word), exported));
    }

    /** The plan as a file, in one of its formats. */
    @GetMapping("/projects/{id}/{file:plan[a-z-]{0,20}\\.[a-z]{1,8}}")
    void download(@PathVariable long id, @PathVariable String file, HttpServletResponse response) throws IOException {
        send(id, PlanFormats.find(file).orElseThrow(() -> new Missing("missing.format", file)), response);
    }

    /** The plan in a layout of the pantry. */
    @GetMapping("/projects/{id}/serve/layout")
    void inLayout(@PathVariable long id, @RequestParam String layout, HttpServletResponse response) throws IOException {
        send(
                id,
                layouts.find(layout)
                        .orElseThrow(() -> new Missing("missing.layout", layout))
                        .format(),
                response);
    }

    private void send(long id, PlanFormat format, HttpServletResponse response) throws IOException {
        OpenProject project = frames.open(id);
        Project about = frames.project(id);
        Handover what = project.snapshot().board().handover(about.name(), about.currency(), frames.wording());
        response.setContentType(format.mediaType() + (format.isText() ? ";charset=UTF-8" : ""));
        ContentDisposition.Builder attached = ContentDisposition.attachment();
        boolean plain = StandardCharsets.US_ASCII.newEncoder().canEncode(format.file());
        response.setHeader(
                "Content-Disposition",
                (plain ? attached.filename(format.file()) : attached.filename(format.file(), StandardCharsets.UTF_8))
                        .build()
                        .toString());
        format.write(what, response.getOutputStream());
    }
}

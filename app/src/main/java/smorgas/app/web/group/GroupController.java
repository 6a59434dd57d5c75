package smorgas.app.web.group;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.util.MultiValueMap;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;
import smorgas.app.store.Pantry;
import smorgas.app.web.frame.Frames;
import smorgas.app.web.show.Show;
import smorgas.app.web.show.Shown;
import smorgas.app.web.show.Step;
import smorgas.app.work.Meanings;
import smorgas.app.work.OpenProject;
import smorgas.app.work.Previews;
import smorgas.app.work.Snapshot;
import smorgas.core.board.Board;
import smorgas.core.figure.Figure;
import smorgas.core.group.Grouping;
import smorgas.core.group.engine.Engines;
import smorgas.core.group.read.Changes;
import smorgas.core.group.read.Groups;
import smorgas.core.group.read.NetOfWords;
import smorgas.core.group.read.ThemeTree;
import smorgas.core.recipe.Recipe;
import smorgas.core.recipe.group.GroupSettings;
import smorgas.core.recipe.group.Method;
import smorgas.core.recipe.group.Pass;
import smorgas.core.recipe.value.Intent;
import smorgas.core.text.Message;
import smorgas.core.text.Refusal;
import smorgas.core.text.Tidy;

/** Group: the dials, the groups or their broader themes, the opened group, the ungrouped keywords. */
@Controller
class GroupController {

    /** A rule that makes a group, as the page shows it. */
    record RuleView(int number, int place, Message sentence) {}

    private static final int NET_WORDS = 40;
    private static final int NET_LINKS = 90;
    private static final int MOST_NAMES = 2_000;

    private final Frames frames;
    private final Previews previews;
    private final Meanings meanings;
    private final Pantry pantry;

    GroupController(Frames frames, Previews previews, Meanings meanings, Pantry pantry) {
        this.pantry = pantry;
        this.frames = frames;
        this.previews = previews;
        this.meanings = meanings;
    }

    /** What the dials come to. */
    record GroupPage(
            GroupQuery query,
            String view,
            GroupLook[] looks,
            boolean preview,
            List<GroupViews.FigureView> figures,
            boolean meaningKnown) {}

    /** What dials do that are turned and not adopted. */
    record Turned(ChangeView changes, FlowHtml.Picture flow) {}

    /** The net of words and its picture. */
    record NetShown(NetOfWords net, String netHtml) {}

    /** Names of groups, for a field that asks for one. */
    record Names(List<String> names) {}

    @GetMapping("/projects/{id}/group")
    String page(@PathVariable long id, @RequestParam MultiValueMap<String, String> fields, Model model) {
        OpenProject project = frames.openWithGroups(id, Step.GROUP);
        Snapshot snapshot = project.snapshot();
        Board adopted = snapshot.board();
        GroupSettings wanted = wanted(fields, adopted.recipe(), model);
        Previews.Part part = Previews.Part.of(GroupQuery.of(fields, "").value("anew"));
        Board board = previews.of(adopted, wanted, part);
        boolean preview = board != adopted;
        GroupQuery query = GroupQuery.of(fields, preview ? Dials.query(wanted) : "");
        boolean meaningKnown = Dials.similarity(wanted).isPresent() && meaning(project, wanted, board, query, model);
        Shown.in(
                model,
                new GroupPage(
                        query,
                        query.value("view"),
                        GroupLook.values(),
                        preview,
                        GroupViews.figures(adopted.groups(), board.groups()),
                        meaningKnown));
        dials(wanted, board, query, model);
        if (preview) {
            turned(adopted, board, query, model);
        }
        int shown = opened(board.groups(), query);
        look(id, new Seen(board, adopted, query), shown, model);
        opened(id, board, query, shown, model);
        frames.frame(model, id, snapshot, Step.GROUP);
        return "group/page";
    }

    private void turned(Board adopted, Board board, GroupQuery query, Model model) {
        Changes changes = Changes.between(adopted.groups(), board.groups());
        Shown.in(
                model,
                new Turned(
                        ChangeView.of(changes, adopted.groups(), board.groups(), query),
                        FlowHtml.of(changes, adopted.groups(), board.groups(), frames.wording())));
    }

    /** What is opened: a group or the ungrouped keywords, or a candidate, and if it is wanted the parts that it could have. */
    private void opened(long id, Board board, GroupQuery query, int shown, Model model) {
        boolean candidate = !query.value("candidate").isEmpty();
        boolean parts = query.value("parts").equals("true");
        CandidateViews candidates = new CandidateViews(board, query);
        if (candidate) {
            candidates.opened(Tidy.of(query.value("candidate")), model);
        } else {
            new OpenedGroupView(board, query, "/projects/" + id, frames.wording())
                    .show(shown, page(query.value("page")), model);
        }
        if (parts && (candidate || shown >= 0)) {
            candidates.parts(candidate ? -1 : shown, Tidy.of(query.value("candidate")), model);
        }
    }

    /** Begins to find out what keywords mean where that can count, and tells how far it is; whether it is known. */
    private boolean meaning(OpenProject project, GroupSettings wanted, Board board, GroupQuery query, Model model) {
        if (Dials.similarity(board.groups().grouping().settings()).isEmpty()) {
            Shown.in(model, MeaningView.tooMany(wanted.method()));
            return false;
        }
        // Before it is looked at how far it is: what is stored is known from then on.
        meanings.begin(project);
        Meanings.State state = meanings.state(project);
        MeaningView.of(project.id(), state, wanted, query).ifPresent(view -> Shown.in(model, view));
        return state instanceof Meanings.Ready;
    }

    /** The line that tells how far it is, asked for again while it goes on. */
    @GetMapping("/projects/{id}/group/meaning")
    String meaning(@PathVariable long id, @RequestParam MultiValueMap<String, String> fields, Model model) {
        OpenProject project = frames.open(id);
        GroupSettings wanted = wanted(fields, project.snapshot().board().recipe(), model);
        if (Dials.similarity(wanted).isPresent()) {
            MeaningView.of(id, meanings.state(project), wanted, GroupQuery.of(fields, Dials.query(wanted)))
                    .ifPresent(view -> Shown.in(model, view));
        }
        return "group/meaning :: line";
    }

    /** Finding out what keywords mean is stopped, or goes on. */
    @PostMapping("/projects/{id}/group/meaning")
    String meaning(@PathVariable long id, @RequestParam boolean on) {
        OpenProject project = frames.open(id);
        if (on) {
            meanings.start(project);
        } else {
            meanings.stop(id);
        }
        return "redirect:/projects/" + id + "/group";
    }

    private static GroupSettings wanted(MultiValueMap<String, String> fields, Recipe recipe, Model model) {
        try {
            return Dials.read(
                    fields, recipe.grouping().settings(), recipe.rules().settings());
        } catch (Refusal e) {
            Frames.say(model, Message.of("sentence", e.message()));
            return recipe.grouping().settings();
        }
    }

    /** The dials as they stand. */
    record DialsShown(
            GroupSettings settings,
            String method,
            List<String> methods,
            Method.@Nullable BySimilarity similarity,
            Message takes,
            DialHtml.@Nullable Picture dial,
            List<Pass> passes,
            boolean morePasses,
            long placed,
            String ignoredText,
            String stopText,
            GroupSettings.Ungrouped[] ungroupedChoices,
            GroupSettings.StopAt[] stopPlaces,
            Intent[] intentChoices) {}

    private void dials(GroupSettings wanted, Board board, GroupQuery query, Model model) {
        Method.BySimilarity similarity = Dials.similarity(wanted).orElse(null);
        List<Pass> passes =
                wanted.method().themes().map(Method.ByThemes::passes).orElse(List.of());
        Shown.in(
                model,
                new DialsShown(
                        wanted,
                        Engines.of(wanted.method()).name(),
                        Engines.kinds().stream().map(Engines.Kind::name).toList(),
                        similarity,
                        similarity == null
                                ? Message.NONE
                                : MeaningView.takes(
                                        similarity, board.statuses().remaining().cardinality()),
                        similarity == null
                                ? null
                                : DialHtml.of(
                                        board.groups().grouping().dial(), similarity, wanted, query, frames.wording()),
                        passes,
                        !passes.isEmpty() && passes.size() < Method.MOST_PASSES,
                        Math.round(wanted.placedFrom() * 100),
                        String.join(" ", wanted.ignored()),
                        String.join(" ", wanted.stopWords()),
                        GroupSettings.Ungrouped.values(),
                        GroupSettings.StopAt.values(),
                        Intent.values()));
    }

    /** What stands around every look. */
    record Beside(
            String ungrouped,
            String ungroupedSearches,
            boolean ungroupedOpened,
            List<RuleView> rules,
            @Nullable IgnoreOffer ignoreOffer,
            boolean adopted,
            String since,
            Set<String> removed,
            Map<String, String> joined) {}

    /** The board on view, which is the adopted one unless dials are being tried, and how it is looked at. */
    private record Seen(Board board, Board adopted, GroupQuery query) {}

    /** The left side: the map, the list, the broader themes, the net of words, the candidates or the comparison. */
    private void look(long id, Seen seen, int shown, Model model) {
        Board board = seen.board();
        Board adopted = seen.adopted();
        GroupQuery query = seen.query();
        GroupViews views = new GroupViews(board, query);
        Groups groups = board.groups();
        switch (query.value("view")) {
            case "list" -> views.list(Tidy.of(query.value("q")).toLowerCase(Locale.ROOT), shown, model);
            case "tree" -> views.tree(shown, model);
            case "net" -> {
                NetOfWords net = NetOfWords.of(groups, NET_WORDS, NET_LINKS);
                Shown.in(
                        model,
                        new NetShown(net, NetHtml.of(net, MapHtml.WIDTH, MapHtml.HEIGHT, query, frames.wording())));
            }
            case "doubts" -> new DoubtViews(board, query).show(model);
            case "same" -> SameViews.show(adopted, meanings.vectors(id), pantry.all(), model);
            case "candidates" -> new CandidateViews(board, query).list(model);
            case "compare" -> new Alternatives(adopted, board, query, previews, frames.wording()).compare(model);
            default -> map(board, query, shown, model);
        }
        Recipe recipe = adopted.recipe();
        Shown.in(
                model,
                new Beside(
                        Show.count(groups.grouping().ungrouped()),
                        groups.ungroupedSearches().written(),
                        shown == Grouping.UNGROUPED,
                        rules(recipe),
                        board.recipe().grouping().settings().method().byWords()
                                ? IgnoreOffer.of(board).orElse(null)
                                : null,
                        !recipe.grouping().decisions().adopted().isEmpty(),
                        groups.grouping().since().isEmpty()
                                ? ""
                                : Show.count(groups.grouping().since().cardinality()),
                        recipe.grouping().decisions().removed(),
                        recipe.grouping().decisions().joined()));
    }

    /** The map. */
    record Mapped(String map, List<GroupViews.Part> trail, Tint.By[] tints, Tint.By tint, boolean estimatedValues) {}

    private void map(Board board, GroupQuery query, int shown, Model model) {
        ThemeTree tree = board.groups().tree();
        int node = tree.find(query.value("zoom"));
        List<GroupViews.Part> trail = new ArrayList<>();
        for (int at = node; at >= 0; at = tree.node(at).parent()) {
            trail.addFirst(new GroupViews.Part(
                    Message.verbatim(tree.node(at).text()),
                    Message.NONE,
                    query.with("zoom", tree.node(at).text())));
        }
        Shown.in(
                model,
                new Mapped(
                        MapHtml.of(board, query, node, shown, frames.wording()),
                        trail,
                        Tint.By.values(),
                        Tint.By.of(query.value("tint")),
                        board.recipe().valuing().assumes()));
    }

    /** The names of groups that can be typed, for a field that asks for one. */
    @GetMapping("/projects/{id}/group/names")
    String names(@PathVariable long id, Model model) {
        Groups groups = frames.open(id).snapshot().board().groups();
        Shown.in(
                model,
                new Names(Arrays.stream(groups.order())
                        .limit(MOST_NAMES)
                        .mapToObj(groups::name)
                        .toList()));
        return "group/opened :: names";
    }

    /** The keywords with a brief for somebody else, or an assistant, to group them: what comes back is gathered as a table. */
    @GetMapping(value = "/projects/{id}/group/brief.txt", produces = "text/plain;charset=UTF-8")
    @ResponseBody
    String brief(@PathVariable long id) {
        Board board = frames.open(id).snapshot().board();
        StringBuilder text = new StringBuilder(frames.wording().of("group.group-controller.brief"));
        for (int keyword : board.orders().by(Figure.SEARCHES, true)) {
            if (board.statuses().remaining().get(keyword)) {
                text.append(board.keywords().text(keyword)).append('\n');
            }
        }
        return text.toString();
    }

    private static int page(String text) {
        return text.matches("\\d{1,6}") ? Integer.parseInt(text) : 1;
    }

    private static List<RuleView> rules(Recipe recipe) {
        return java.util.stream.IntStream.range(0, recipe.grouping().rules().size())
                .mapToObj(place -> new RuleView(
                        recipe.grouping().rules().get(place).number(),
                        place,
                        recipe.grouping().rules().get(place).sentence()))
                .toList();
    }

    private static int opened(Groups groups, GroupQuery query) {
        if (query.value("ungrouped").equals("true")) {
            return Grouping.UNGROUPED;
        }
        String key = query.value("group");
        int found = groups.find(key);
        if (found >= 0) {
            return found;
        }
        found = groups.find(Tidy.of(key));
        if (found >= 0) {
            return found;
        }
        int[] order = groups.order();
        return order.length > 0 ? order[0] : Grouping.UNGROUPED;
    }
}

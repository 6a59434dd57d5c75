package smorgas.app.web.serve;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import smorgas.app.store.Pantry;
import smorgas.app.web.frame.Act;
import smorgas.app.web.frame.Frames;
import smorgas.app.web.show.Show;
import smorgas.app.web.show.Shown;
import smorgas.app.web.show.Step;
import smorgas.app.work.Outcome;
import smorgas.app.work.Snapshot;
import smorgas.core.board.Board;
import smorgas.core.column.Numbers;
import smorgas.core.figure.Figure;
import smorgas.core.figure.Searched;
import smorgas.core.recipe.ServeEntry;
import smorgas.core.recipe.Serving;
import smorgas.core.recipe.SiftEntry;
import smorgas.core.recipe.serve.MatchType;
import smorgas.core.recipe.sift.Status;
import smorgas.core.recipe.sift.WordList;
import smorgas.core.serve.NegativeProposals;
import smorgas.core.serve.NegativeProposals.Proposal;
import smorgas.core.serve.Planner;
import smorgas.core.text.Message;
import smorgas.core.text.Refusal;
import smorgas.core.text.Tidy;
import smorgas.core.value.Apart;

/** Negatives of the plan: what could be one and what each would block, starter lists, and what keeps groups apart. */
@Controller
class NegativesController {

    /** Ad groups whose negatives are shown; all of them can be taken. */
    private static final int GROUPS = 30;

    private static final int STEERS = 20;
    /** Names that can be picked; every other can be typed. */
    private static final int NAMES = 300;

    private static final int SHOWN = 4;

    private final Frames frames;
    private final Pantry pantry;

    NegativesController(Frames frames, Pantry pantry) {
        this.frames = frames;
        this.pantry = pantry;
    }

    /** A negative that parts groups, the ad groups to which it steers searches, and some of these. */
    record SteerView(String negative, Message type, String searches, Message steered, Message samples, boolean taken) {}

    /**
     * An ad group that others' searches would trigger.
     *
     * @param key of its first group; empty of the ungrouped keywords, whose negatives leave by the rule only
     * @param more how many further negatives it would get
     */
    record ApartView(String name, String key, Message told, List<SteerView> steers, int more) {}

    /** A starter list that the project has not taken, with the words that do something here. */
    record Starter(String name, List<Proposal> words) {}

    /** The negatives. */
    record NegativesPage(
            List<Proposal> proposals,
            Message leaving,
            List<Starter> starters,
            List<ApartView> parts,
            int moreParts,
            Message apartTold,
            boolean apart,
            boolean exactOnly,
            List<MatchType> types,
            List<String> groupNames) {}

    /** A negative that is looked at before it is one. */
    record Typed(String negative) {}

    @GetMapping("/projects/{id}/negatives")
    String page(@PathVariable long id, @RequestParam(defaultValue = "") String negative, Model model) {
        Snapshot snapshot = frames.openWithGroups(id, Step.SERVE).snapshot();
        Board board = snapshot.board();
        Shown.in(model, new Typed(Tidy.of(negative)));
        Shown.in(model, tried(board, Tidy.of(negative), MatchType.PHRASE, ""));
        NegativeProposals negatives = board.negatives();
        List<List<Apart.Steer>> all = byWeight(board);
        long found = board.apart().size();
        var types = board.recipe().serving().plan().matchTypes();
        Shown.in(
                model,
                new NegativesPage(
                        negatives.all().stream()
                                // What is to be mended comes first.
                                .sorted(Comparator.comparing(
                                        one -> one.state() != NegativeProposals.State.NOT_EXPORTED))
                                .toList(),
                        Message.of(
                                "serve.negatives-controller.negative-campaign-ad-groups",
                                board.plan().negatives().count(),
                                board.plan().adGroupNegatives()),
                        starters(board, negatives),
                        parts(board, all),
                        Math.max(0, all.size() - GROUPS),
                        Message.of("serve.negatives-controller.negative-ad-group", found, all.size()),
                        board.recipe().serving().apart(),
                        !types.contains(MatchType.BROAD) && !types.contains(MatchType.PHRASE),
                        List.of(MatchType.values()),
                        board.exported().stream()
                                .filter(group -> !group.keys().isEmpty())
                                .map(Planner.ExportedGroup::name)
                                .limit(NAMES)
                                .toList()));
        frames.frame(model, id, snapshot, Step.SERVE);
        return "serve/negatives";
    }

    private List<Starter> starters(Board board, NegativeProposals negatives) {
        String language = board.recipe().folding().language();
        return pantry.all().stream()
                .filter(list -> list.kind() == WordList.Kind.NEGATIVES)
                .filter(list -> list.language().isEmpty() || list.language().equals(language))
                .filter(list -> !board.recipe().sifting().lists().containsKey(list.name()))
                .map(list -> new Starter(list.name(), negatives.ofList(list)))
                .toList();
    }

    /** What keeps each ad group apart, of those that would take most searches from others first. */
    private static List<List<Apart.Steer>> byWeight(Board board) {
        Map<Integer, List<Apart.Steer>> byGroup = new LinkedHashMap<>();
        board.apart().forEach(steer -> byGroup.computeIfAbsent(steer.from(), none -> new ArrayList<>())
                .add(steer));
        Numbers searches = board.keywords().numbers(Figure.SEARCHES);
        Map<Integer, Long> weights = new HashMap<>();
        byGroup.forEach((group, steers) -> weights.put(
                group,
                steers.stream().mapToLong(steer -> sum(steer, searches).sum()).sum()));
        return byGroup.entrySet().stream()
                .sorted(Comparator.comparingLong(entry -> -weights.get(entry.getKey())))
                .map(Map.Entry::getValue)
                .toList();
    }

    /** The known searches that it steers. */
    private static Searched sum(Apart.Steer steer, Numbers searches) {
        return Searched.of(steer.searches().stream().mapToInt(Integer::intValue), searches);
    }

    private static List<ApartView> parts(Board board, List<List<Apart.Steer>> all) {
        List<Planner.ExportedGroup> exported = board.exported();
        Map<Integer, String> groupOf = new HashMap<>();
        exported.forEach(group ->
                Arrays.stream(group.keywords()).forEach(keyword -> groupOf.putIfAbsent(keyword, group.name())));
        return all.stream()
                .limit(GROUPS)
                .map(steers -> part(board, exported.get(steers.getFirst().from()), steers, groupOf))
                .toList();
    }

    private static ApartView part(
            Board board, Planner.ExportedGroup group, List<Apart.Steer> steers, Map<Integer, String> groupOf) {
        String key = group.keys().isEmpty() ? "" : group.keys().getFirst();
        Numbers searches = board.keywords().numbers(Figure.SEARCHES);
        Map<Serving.Place, ServeEntry.Say> said = board.recipe().serving().said();
        Searched all = steers.stream().map(steer -> sum(steer, searches)).reduce(Searched.NOTHING, Searched::plus);
        int count = steers.stream().mapToInt(steer -> steer.searches().size()).sum();
        return new ApartView(
                group.name(),
                key,
                Message.of(
                        "serve.negatives-controller.negative-would-steer-keyword",
                        steers.size(),
                        count,
                        Show.searches(all)),
                steers.stream()
                        .limit(STEERS)
                        .map(steer -> new SteerView(
                                steer.negative(),
                                steer.type().label(),
                                sum(steer, searches).written(),
                                steered(steer.searches().stream().map(groupOf::get)),
                                steered(steer.searches().stream().map(board.keywords()::text)),
                                said.containsKey(new Serving.Place(steer.negative(), key))))
                        .toList(),
                Math.max(0, steers.size() - STEERS));
    }

    private static Message steered(Stream<String> all) {
        List<String> distinct = all.distinct().toList();
        int more = distinct.size() - SHOWN;
        List<String> some = distinct.subList(0, Math.min(SHOWN, distinct.size()));
        return more > 0 ? Message.of("list.and-more", some, more) : Message.verbatim(String.join(", ", some));
    }

    /** What a negative would do. */
    record Tried(@Nullable Proposal tried, String in, Message fault) {}

    /** What a negative that somebody writes would take and block, before it is one. */
    @GetMapping("/projects/{id}/negatives/try")
    String tryOut(
            @PathVariable long id,
            @RequestParam(defaultValue = "") String negative,
            @RequestParam(defaultValue = "PHRASE") MatchType type,
            @RequestParam(defaultValue = "") String in,
            Model model) {
        Shown.in(model, tried(frames.open(id).snapshot().board(), Tidy.of(negative), type, in));
        return "serve/negatives :: tried";
    }

    private static Tried tried(Board board, String text, MatchType type, String in) {
        Optional<Planner.ExportedGroup> group = named(board, in);
        if (text.isEmpty()) {
            return new Tried(null, in, Message.NONE);
        }
        if (!in.isBlank() && group.isEmpty()) {
            return new Tried(null, in, Message.of("serve.negatives-controller.ad-group", in.strip()));
        }
        List<Integer> keywords =
                group.map(one -> Arrays.stream(one.keywords()).boxed().toList()).orElse(List.of());
        return new Tried(
                board.negatives().tried(text, type, key(group), keywords),
                group.map(Planner.ExportedGroup::name).orElse(""),
                Message.NONE);
    }

    private static Optional<Planner.ExportedGroup> named(Board board, String name) {
        return board.exported().stream()
                .filter(group -> group.name().equalsIgnoreCase(name.strip()))
                .filter(group -> !group.keys().isEmpty())
                .findFirst();
    }

    private static String key(Optional<Planner.ExportedGroup> group) {
        return group.map(one -> one.keys().getFirst()).orElse("");
    }

    /** A negative that was tried becomes one, of the campaign or of the ad group of a name. */
    @PostMapping("/projects/{id}/negatives/add")
    String add(
            Act act,
            @RequestParam String negative,
            @RequestParam MatchType type,
            @RequestParam(defaultValue = "") String in) {
        Optional<Planner.ExportedGroup> group = named(act.snapshot().board(), in);
        if (!in.isBlank() && group.isEmpty()) {
            return act.back(new Outcome.NoChange(Message.of("serve.negatives-controller.ad-group", in.strip())));
        }
        String key = key(group);
        return act.done(recipe -> said(List.of(negative), key, ServeEntry.Say.valueOf(type.name())));
    }

    /** Some negatives leave in a match type, or never, or as the rules say. */
    @PostMapping("/projects/{id}/negatives")
    String say(
            Act act,
            @RequestParam(defaultValue = "") List<String> text,
            @RequestParam(defaultValue = "") String group,
            @RequestParam ServeEntry.Say say) {
        return text.isEmpty()
                ? act.back(new Outcome.NoChange(Message.of("serve.negatives-controller.negative-ticked")))
                : act.done(recipe -> said(text, group, say));
    }

    private static ServeEntry said(List<String> texts, String group, ServeEntry.Say say) {
        return new ServeEntry.NegativesSaid(texts.stream()
                .map(text -> new ServeEntry.Said(Tidy.of(text), group, say))
                .toList());
    }

    /** The keywords that a negative would block are dropped. */
    @PostMapping("/projects/{id}/negatives/drop")
    String drop(Act act, @RequestParam String negative, @RequestParam MatchType type) {
        Board board = act.snapshot().board();
        List<String> blocked = board.negatives().blocked(Tidy.of(negative), type);
        return blocked.isEmpty()
                ? act.back(new Outcome.NoChange(Message.of("serve.negatives-controller.blocks-nothing-exported-any")))
                : act.done(recipe ->
                        new SiftEntry.Judged(blocked, board.keywords().otherSpellings(blocked), Status.DROPPED));
    }

    /** A starter list of the pantry is taken, and its words that block nothing here leave as phrases. */
    @PostMapping("/projects/{id}/negatives/list")
    String take(Act act, @RequestParam String list) {
        return act.done(recipe -> new SiftEntry.ListTaken(
                pantry.find(list).orElseThrow(() -> new Refusal("serve.negatives-controller.pantry-list", list))));
    }

    /**
     * The negatives that keep an ad group apart from others are taken.
     *
     * @param key of its group; empty for those of all ad groups
     */
    @PostMapping("/projects/{id}/negatives/apart")
    String apart(Act act, @RequestParam(defaultValue = "") String key) {
        Board board = act.snapshot().board();
        List<ServeEntry.Said> all = new ArrayList<>();
        for (Apart.Steer steer : board.apart()) {
            List<String> keys = board.exported().get(steer.from()).keys();
            if (!keys.isEmpty() && (key.isEmpty() || keys.contains(key))) {
                all.add(new ServeEntry.Said(
                        steer.negative(),
                        keys.getFirst(),
                        ServeEntry.Say.valueOf(steer.type().name())));
            }
        }
        return all.isEmpty()
                ? act.back(new Outcome.NoChange(Message.of("serve.negatives-controller.search-would-trigger-other")))
                : act.done(recipe -> new ServeEntry.NegativesSaid(all));
    }

    /** Whether all that keeps groups apart leaves, as it is found whenever the plan is made. */
    @PostMapping("/projects/{id}/negatives/rule")
    String rule(Act act, @RequestParam boolean on) {
        return act.done(recipe -> new ServeEntry.GroupsKeptApart(on));
    }
}

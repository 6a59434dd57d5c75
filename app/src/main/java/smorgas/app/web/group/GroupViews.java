package smorgas.app.web.group;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import org.springframework.ui.Model;
import smorgas.app.web.show.Show;
import smorgas.app.web.show.Shown;
import smorgas.core.board.Board;
import smorgas.core.column.Numbers;
import smorgas.core.group.Grouping;
import smorgas.core.group.read.Explained;
import smorgas.core.group.read.Groups;
import smorgas.core.group.read.ThemeTree;
import smorgas.core.recipe.GroupsByHand;
import smorgas.core.recipe.sift.Status;
import smorgas.core.text.Message;
import smorgas.core.value.EstimatedValue;

/** What the Group page shows of a result, be it adopted or a preview. */
final class GroupViews {

    /** So many figures matter most. */
    private static final int FIRST = 3;

    /** Rows of a list at a time. */
    static final int PAGE = 200;

    /**
     * A group in the list, or a broader theme in the tree.
     *
     * @param url empty for a broader theme that is no group
     * @param bar keywords as thousandths of the largest
     * @param depth from 1 at the top of the tree; 1 in the list
     */
    record GroupView(
            String key,
            String name,
            String url,
            Message kind,
            String keywords,
            String kept,
            String undecided,
            String dropped,
            String searches,
            String estimatedValue,
            String bid,
            String tightness,
            Part intent,
            int bar,
            int depth,
            boolean opened) {}

    /**
     * A figure of a result, and that of the adopted one beside it if it differs.
     *
     * @param first whether it is one of the few that matter most
     */
    record FigureView(Message name, String now, String adopted, boolean first) {}

    /** A word of the opened group, or another group near it, with a figure. */
    record Part(Message text, Message figure, String url) {}

    private final Board board;
    private final Groups groups;
    private final Grouping grouping;
    private final GroupQuery query;
    /** How many keywords of each group are kept. */
    private final int[] kept;

    private double @Nullable [] estimatedValue;

    private final BitSet dropped;
    /** How many dropped keywords have the words of each group's theme, as far as it was asked for. */
    private final Map<Integer, Integer> droppedOf = new HashMap<>();

    /**
     * Of a board.
     *
     * @param query of every link, so that a preview stays one
     */
    GroupViews(Board board, GroupQuery query) {
        this.board = board;
        this.groups = board.groups();
        this.grouping = groups.grouping();
        this.query = query;
        this.kept = new int[grouping.size()];
        this.dropped = board.statuses().with(Status.DROPPED);
        BitSet all = board.statuses().with(Status.KEPT);
        for (int keyword = all.nextSetBit(0); keyword >= 0; keyword = all.nextSetBit(keyword + 1)) {
            if (grouping.groupOf(keyword) >= 0) {
                kept[grouping.groupOf(keyword)]++;
            }
        }
    }

    /** How many dropped keywords have all words of the group's theme; they are in no group. */
    private int dropped(int group) {
        return droppedOf.computeIfAbsent(group, this::countDropped);
    }

    private int countDropped(int group) {
        List<String> theme = grouping.theme(group);
        if (theme.isEmpty() || dropped.isEmpty()) {
            return 0;
        }
        BitSet with = (BitSet) dropped.clone();
        theme.forEach(word -> with.and(board.keywords().withWord(word)));
        return with.cardinality();
    }

    /** A filter of the list by how what is in the groups stands. */
    enum Only {
        ALL("", "group.only.all"),
        UNKEPT("unkept", "group.only.unkept"),
        KEPT("kept", "group.only.kept"),
        UNDECIDED("undecided", "group.only.undecided"),
        DROPPED("dropped", "group.only.dropped");

        private final String key;
        private final Message label;

        Only(String key, String label) {
            this.key = key;
            this.label = Message.of(label);
        }

        public String key() {
            return key;
        }

        public Message label() {
            return label;
        }
    }

    private boolean asked(int group) {
        return switch (query.value("only")) {
            case "unkept" -> kept[group] == 0;
            case "kept" -> kept[group] > 0;
            case "undecided" -> kept[group] < groups.keywords(group);
            case "dropped" -> dropped(group) > 0;
            default -> true;
        };
    }

    String url(int group) {
        return query.opening(grouping.key(group));
    }

    /** The figures of this result beside those of the adopted one. */
    static List<FigureView> figures(Groups adopted, Groups shown) {
        Explained.Figures before = adopted.figures();
        Explained.Figures now = shown.figures();
        List<FigureView> views = new ArrayList<>();
        add(
                views,
                Message.of("group.group-views.groups", now.groups()),
                Show.count(now.groups()),
                Show.count(before.groups()));
        add(
                views,
                Message.of("group.group-views.keywords-grouped"),
                share(now.grouped(), now.keywords()),
                share(before.grouped(), before.keywords()));
        add(
                views,
                Message.of("group.group-views.ungrouped"),
                Show.count(now.keywords() - now.grouped()),
                Show.count(before.keywords() - before.grouped()));
        add(
                views,
                Message.of("group.group-views.searches-grouped"),
                share(now.groupedSearches(), now.searches()),
                share(before.groupedSearches(), before.searches()));
        add(views, Message.of("group.group-views.keywords-group"), sizes(now), sizes(before));
        add(
                views,
                Message.of("group.group-views.tightness"),
                Show.percent(now.tightness()),
                Show.percent(before.tightness()));
        add(
                views,
                Message.of("group.group-views.separation"),
                Show.percent(now.separation()),
                Show.percent(before.separation()));
        add(views, Message.of("group.group-views.near-border"), Show.count(now.border()), Show.count(before.border()));
        return views;
    }

    private static String sizes(Explained.Figures figures) {
        return figures.groups() == 0
                ? "0"
                : Show.count(figures.smallest()) + "–" + Show.count(figures.median()) + "–"
                        + Show.count(figures.largest());
    }

    private static String share(long part, long whole) {
        return whole == 0 ? "0%" : Show.percent(part / (double) whole);
    }

    private static void add(List<FigureView> views, Message name, String now, String adopted) {
        views.add(new FigureView(name, now, now.equals(adopted) ? "" : adopted, views.size() < FIRST));
    }

    /** A heading of the list: sorts by it, or the other way round. */
    record Heading(String name, Message label, String url, String sorted, boolean number) {}

    /** Groups with the heads to sort them by. */
    record Listed(
            List<GroupView> groups, int hidden, List<Heading> groupHeadings, boolean estimatedValues, Only[] onlys) {}

    /** The list of groups in the order asked for, of those with these words in their name. */
    void list(String q, int opened, Model model) {
        int[] order = sorted();
        int largest = 1;
        for (int group : order) {
            largest = Math.max(largest, groups.keywords(group));
        }
        List<GroupView> views = new ArrayList<>();
        int matching = 0;
        for (int group : order) {
            boolean called = groups.name(group).toLowerCase(Locale.ROOT).contains(q)
                    || grouping.key(group).contains(q);
            if (called && asked(group)) {
                matching++;
                if (views.size() < PAGE || group == opened) {
                    views.add(view(group, largest, 1, opened));
                }
            }
        }
        Shown.in(model, new Listed(views, matching - views.size(), headings(), estimatedValues(), Only.values()));
    }

    private List<Heading> headings() {
        List<Heading> headings = new ArrayList<>(List.of(
                heading(Message.of("group.group-views.group"), "name", false),
                heading(Message.of("group.group-views.keywords"), "keywords", true),
                heading(Message.of("group.group-views.kept"), "kept", true),
                heading(Message.of("group.group-views.undecided"), "undecided", true),
                heading(Message.of("group.group-views.dropped"), "dropped", true),
                heading(Message.of("group.group-views.searches"), "searches", true),
                heading(Message.of("group.group-views.bid"), "bid", true),
                heading(Message.of("group.group-views.tightness-head"), "tightness", true),
                heading(Message.of("group.group-views.intent"), "intent", false)));
        if (estimatedValues()) {
            headings.add(6, heading(Message.of("group.group-views.estimated-value"), "estimatedValue", true));
        }
        return headings;
    }

    private boolean estimatedValues() {
        return board.recipe().valuing().assumes();
    }

    /** What each group may bring in a month, in hundredths of the currency. */
    private double[] estimatedValue() {
        if (estimatedValue == null) {
            estimatedValue = AreaEstimatedValue.sums(board);
        }
        return estimatedValue;
    }

    private boolean madeUp(int group) {
        Numbers values = board.estimatedValue().numbers(EstimatedValue.Part.VALUE);
        return IntStream.of(grouping.members().row(group)).anyMatch(values::simulated);
    }

    private Heading heading(Message label, String name, boolean number) {
        String asked = query.value("sort");
        boolean down = asked.equals("-" + name);
        boolean up = asked.equals(name);
        String next = number ? down ? name : "-" + name : up ? "-" + name : name;
        return new Heading(
                name, label, query.with("sort", next), down ? "descending" : up ? "ascending" : "none", number);
    }

    private int[] sorted() {
        String asked = query.value("sort");
        boolean down = asked.startsWith("-");
        Comparator<Integer> by =
                switch (down ? asked.substring(1) : asked) {
                    case "name" ->
                        Comparator.comparing(group -> groups.name(group).toLowerCase(Locale.ROOT));
                    case "keywords" -> Comparator.comparingInt(groups::keywords);
                    // Of equal ones the most searched first, either way: groups that are searched for and have nothing
                    // kept.
                    case "kept" ->
                        Comparator.<Integer>comparingInt(group -> kept[group])
                                .thenComparingLong(group ->
                                        (down ? 1 : -1) * groups.searches(group).sum());
                    case "undecided" -> Comparator.comparingInt(group -> groups.keywords(group) - kept[group]);
                    case "dropped" -> Comparator.comparingInt(this::dropped);
                    case "estimatedValue" -> Comparator.comparingDouble(group -> estimatedValue()[group]);
                    case "bid" ->
                        Comparator.comparingDouble(group -> groups.bid(group).orElse(-1));
                    case "intent" ->
                        Comparator.comparing(group -> intent(group).text().key());
                    case "tightness" -> Comparator.comparingDouble(grouping::meanTightness);
                    default ->
                        Comparator.comparingLong(group -> groups.searches(group).sum());
                };
        return java.util.Arrays.stream(groups.order())
                .boxed()
                .sorted(down ? by.reversed() : by)
                .mapToInt(group -> group)
                .toArray();
    }

    private GroupView view(int group, int largest, int depth, int opened) {
        return new GroupView(
                grouping.key(group),
                groups.name(group),
                url(group),
                kind(group),
                Show.count(groups.keywords(group)),
                Show.count(kept[group]),
                Show.count(groups.keywords(group) - kept[group]),
                Show.count(dropped(group)),
                groups.searches(group).written(),
                estimatedValues()
                        ? Show.marked(Show.whole(estimatedValue()[group], estimatedValue()[group]), madeUp(group))
                        : "",
                Show.money(groups.bid(group)),
                grouping.nearness().measures(group) ? Show.percent(grouping.meanTightness(group)) : "",
                intent(group),
                Math.round(1_000f * groups.keywords(group) / largest),
                depth,
                group == opened);
    }

    /** What most of its keywords are for, and the share of these. */
    private Part intent(int group) {
        int[] members = grouping.members().row(group);
        return board.intents()
                .most(members)
                .map(most -> new Part(
                        most.intent().label(),
                        Message.of(
                                "group.group-views.of-its-keywords",
                                Show.percent(most.keywords() / (double) members.length)),
                        ""))
                .orElse(new Part(Message.NONE, Message.NONE, ""));
    }

    Message kind(int group) {
        GroupsByHand decisions = board.recipe().grouping().decisions();
        String key = grouping.key(group);
        if (decisions.locked().containsKey(key)) {
            return Message.of("group.group-views.locked");
        }
        if (decisions.made().contains(key)) {
            return Message.of("group.group-views.made-hand");
        }
        return switch (grouping.kind(group)) {
            case THEME -> Message.NONE;
            case RULE -> Message.of("group.group-views.by-a-rule");
            case HAND -> Message.of("group.group-views.by-hand");
            case UNGROUPED -> Message.of("group.group-views.to-be-sorted");
        };
    }

    /** Broader themes. */
    record Tree(List<GroupView> groups, int hidden) {}

    /** The broader themes from the top, each with what is under it. */
    void tree(int opened, Model model) {
        ThemeTree tree = groups.tree();
        int largest = 1;
        for (int top : tree.under(-1)) {
            largest = Math.max(largest, tree.node(top).keywords());
        }
        List<GroupView> views = new ArrayList<>();
        walk(tree, -1, largest, opened, views);
        Shown.in(model, new Tree(views, tree.size() - views.size()));
    }

    private void walk(ThemeTree tree, int under, int largest, int opened, List<GroupView> views) {
        for (int number : tree.under(under)) {
            if (views.size() == PAGE) {
                return;
            }
            ThemeTree.Node node = tree.node(number);
            boolean group = node.group() >= 0;
            views.add(new GroupView(
                    group ? grouping.key(node.group()) : "",
                    group ? groups.name(node.group()) : node.text(),
                    group ? url(node.group()) : "",
                    group ? kind(node.group()) : Message.of("group.group-views.broader-theme"),
                    Show.count(node.keywords()),
                    "",
                    "",
                    "",
                    node.searches().written(),
                    "",
                    "",
                    group && !grouping.theme(node.group()).isEmpty()
                            ? Show.percent(grouping.meanTightness(node.group()))
                            : "",
                    new Part(Message.NONE, Message.NONE, ""),
                    Math.round(1_000f * node.keywords() / largest),
                    Math.min(5, node.depth()),
                    group && node.group() == opened));
            walk(tree, number, largest, opened, views);
        }
    }
}

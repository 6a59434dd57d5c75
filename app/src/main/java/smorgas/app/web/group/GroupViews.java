package smorgas.app.web.group;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import org.springframework.ui.Model;
import smorgas.app.web.show.Show;
import smorgas.core.board.Board;
import smorgas.core.board.Orders;
import smorgas.core.column.Figure;
import smorgas.core.column.FigureColumn;
import smorgas.core.fold.Keywords;
import smorgas.core.group.Changes;
import smorgas.core.group.Explained;
import smorgas.core.group.Grouping;
import smorgas.core.group.Groups;
import smorgas.core.group.ThemeMarks;
import smorgas.core.group.ThemeTree;
import smorgas.core.recipe.GroupPins;

/** What the Group page shows of a result, be it adopted or a preview. */
final class GroupViews {

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
            String kind,
            String keywords,
            String searches,
            String bid,
            String tightness,
            int bar,
            int depth,
            boolean opened) {}

    /** A keyword of the opened group, the words of its theme set off. */
    record Member(
            String text,
            List<ThemeMarks.Mark> marks,
            String searches,
            String tightness,
            String how,
            String next,
            String nextUrl,
            String standing,
            String label) {}

    /** The figures of a result, and those of the adopted one beside them if they differ. */
    record FigureView(String name, String now, String adopted) {}

    /** A word of the opened group, or another group near it, with a figure. */
    record Part(String text, String figure, String url) {}

    private final Board board;
    private final Groups groups;
    private final Grouping grouping;
    private final GroupQuery query;

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
    }

    private String url(int group) {
        return query.opening(grouping.key(group));
    }

    /** The figures of this result beside those of the adopted one. */
    static List<FigureView> figures(Groups adopted, Groups shown) {
        Explained.Figures before = adopted.figures();
        Explained.Figures now = shown.figures();
        List<FigureView> views = new ArrayList<>();
        add(views, "groups", Show.count(now.groups()), Show.count(before.groups()));
        add(
                views,
                "of keywords grouped",
                share(now.grouped(), now.keywords()),
                share(before.grouped(), before.keywords()));
        add(
                views,
                "of searches grouped",
                share(now.groupedSearches(), now.searches()),
                share(before.groupedSearches(), before.searches()));
        add(
                views,
                "leftovers",
                Show.count(now.keywords() - now.grouped()),
                Show.count(before.keywords() - before.grouped()));
        add(views, "keywords a group", sizes(now), sizes(before));
        add(views, "tightness", Show.percent(now.tightness()), Show.percent(before.tightness()));
        add(views, "separation", Show.percent(now.separation()), Show.percent(before.separation()));
        add(views, "near a border", Show.count(now.border()), Show.count(before.border()));
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

    private static void add(List<FigureView> views, String name, String now, String adopted) {
        views.add(new FigureView(name, now, now.equals(adopted) ? "" : adopted));
    }

    /** A heading of the list: sorts by it, or the other way round. */
    record Heading(String label, String url, String sorted, boolean number) {}

    /** The list of groups in the order asked for, of those with these words in their name. */
    void list(String q, int opened, Model model) {
        Tint bids = new Tint(board, Tint.By.BID);
        int[] order = sorted(bids);
        int largest = 1;
        for (int group : order) {
            largest = Math.max(largest, groups.keywords(group));
        }
        List<GroupView> views = new ArrayList<>();
        int matching = 0;
        for (int group : order) {
            if (groups.name(group).toLowerCase(Locale.ROOT).contains(q)
                    || grouping.key(group).contains(q)) {
                matching++;
                if (views.size() < PAGE || group == opened) {
                    views.add(view(group, largest, 1, opened, bids));
                }
            }
        }
        model.addAttribute("groups", views);
        model.addAttribute("hidden", matching - views.size());
        model.addAttribute(
                "groupHeadings",
                List.of(
                        heading("Group", "name", false),
                        heading("Keywords", "keywords", true),
                        heading("Searches", "searches", true),
                        heading("Bid", "bid", true),
                        heading("Tightness", "tightness", true)));
    }

    private Heading heading(String label, String name, boolean number) {
        String asked = query.value("sort");
        boolean down = asked.equals("-" + name);
        boolean up = asked.equals(name);
        String next = number ? down ? name : "-" + name : up ? "-" + name : name;
        return new Heading(label, query.with("sort", next), down ? "descending" : up ? "ascending" : "none", number);
    }

    private int[] sorted(Tint bids) {
        String asked = query.value("sort");
        boolean down = asked.startsWith("-");
        Comparator<Integer> by =
                switch (down ? asked.substring(1) : asked) {
                    case "name" ->
                        Comparator.comparing(group -> groups.name(group).toLowerCase(Locale.ROOT));
                    case "keywords" -> Comparator.comparingInt(groups::keywords);
                    case "bid" -> Comparator.comparingDouble(bids::value);
                    case "tightness" -> Comparator.comparingDouble(grouping::meanTightness);
                    default -> Comparator.comparingLong(groups::searches);
                };
        return java.util.Arrays.stream(groups.order())
                .boxed()
                .sorted(down ? by.reversed() : by)
                .mapToInt(group -> group)
                .toArray();
    }

    private GroupView view(int group, int largest, int depth, int opened, Tint bids) {
        return new GroupView(
                grouping.key(group),
                groups.name(group),
                url(group),
                kind(group),
                Show.count(groups.keywords(group)),
                Show.count(groups.searches(group)),
                bids.figure(group),
                grouping.theme(group).isEmpty() ? "" : Show.percent(grouping.meanTightness(group)),
                Math.round(1_000f * groups.keywords(group) / largest),
                depth,
                group == opened);
    }

    private String kind(int group) {
        GroupPins pins = board.recipe().groupPins();
        String key = grouping.key(group);
        if (pins.locked().containsKey(key)) {
            return "locked";
        }
        if (pins.made().contains(key)) {
            return "made by hand";
        }
        return switch (grouping.kind(group)) {
            case THEME -> "";
            case RULE -> "by a rule";
            case HAND -> "by hand";
            case LEFTOVERS -> "to be sorted";
        };
    }

    /** The broader themes from the top, each with what is under it. */
    void tree(int opened, Model model) {
        ThemeTree tree = groups.tree();
        int largest = 1;
        for (int top : tree.under(-1)) {
            largest = Math.max(largest, tree.node(top).keywords());
        }
        List<GroupView> views = new ArrayList<>();
        walk(tree, -1, largest, opened, views);
        model.addAttribute("groups", views);
        model.addAttribute("hidden", tree.size() - views.size());
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
                    group ? kind(node.group()) : "a broader theme",
                    Show.count(node.keywords()),
                    Show.count(node.searches()),
                    "",
                    group && !grouping.theme(node.group()).isEmpty()
                            ? Show.percent(grouping.meanTightness(node.group()))
                            : "",
                    Math.round(1_000f * node.keywords() / largest),
                    Math.min(5, node.depth()),
                    group && node.group() == opened));
            walk(tree, number, largest, opened, views);
        }
    }

    /** The opened group, or the leftovers: what holds it together, its members, its neighbours. */
    void opened(int group, int page, Model model) {
        List<Integer> inOrder = inOrder(group);
        int pages = Math.max(1, (inOrder.size() + PAGE - 1) / PAGE);
        int shown = Math.clamp(page, 1, pages);
        boolean is = group >= 0;
        model.addAttribute(
                "members",
                inOrder.subList((shown - 1) * PAGE, Math.min(inOrder.size(), shown * PAGE)).stream()
                        .map(keyword -> member(group, keyword))
                        .toList());
        model.addAttribute("theme", is ? grouping.key(group) : "");
        model.addAttribute("name", is ? groups.name(group) : "");
        model.addAttribute("kind", is ? kind(group) : "");
        model.addAttribute("themeWords", is ? grouping.theme(group) : List.of());
        model.addAttribute("memberCount", Show.count(inOrder.size(), "keyword", "keywords"));
        model.addAttribute("memberSearches", Show.count(is ? groups.searches(group) : groups.leftoverSearches()));
        String bid = is ? new Tint(board, Tint.By.BID).figure(group) : "";
        model.addAttribute("memberBid", bid);
        model.addAttribute(
                "memberTightness",
                is && !grouping.theme(group).isEmpty() ? Show.percent(grouping.meanTightness(group)) : "");
        model.addAttribute(
                "common",
                is
                        ? groups.explained().common(group).stream()
                                .filter(word -> !word.theme())
                                .limit(8)
                                .map(word -> new Part(word.word(), Show.percent(word.share()), ""))
                                .toList()
                        : List.of());
        model.addAttribute(
                "near",
                is
                        ? groups.explained().near(group).stream()
                                .map(near -> new Part(
                                        groups.name(near.group()), Show.percent(near.nearness()), url(near.group())))
                                .toList()
                        : List.of());
        model.addAttribute(
                "odd",
                is
                        ? groups.explained().odd(group).stream()
                                .map(keyword -> new Part(
                                        board.keywords().text(keyword), Show.percent(grouping.tightness(keyword)), ""))
                                .toList()
                        : List.of());
        model.addAttribute("broader", is ? String.join(" › ", groups.tree().above(group)) : "");
        model.addAttribute("before", query.with("page", String.valueOf(shown - 1)));
        model.addAttribute("after", query.with("page", String.valueOf(shown + 1)));
        hand(group, is ? grouping.key(group) : "", model);
        model.addAttribute("page", shown);
        model.addAttribute("pages", pages);
    }

    /** What a hand has decided of the opened group. */
    private void hand(int group, String key, Model model) {
        GroupPins pins = board.recipe().groupPins();
        model.addAttribute("locked", pins.locked().containsKey(key));
        model.addAttribute("made", pins.made().contains(key));
        model.addAttribute("split", pins.split().containsKey(key));
        model.addAttribute(
                "joinedFrom",
                pins.joined().entrySet().stream()
                        .filter(join -> join.getValue().equals(key))
                        .map(java.util.Map.Entry::getKey)
                        .toList());
        model.addAttribute("barred", leads(pins.barred(), key));
        model.addAttribute(
                "alsoHere",
                group < 0
                        ? List.of()
                        : java.util.Arrays.stream(grouping.also().row(group))
                                .mapToObj(board.keywords()::text)
                                .toList());
    }

    /** The lead spellings of the texts that have to do with a group. */
    private List<String> leads(java.util.Map<String, ? extends java.util.Set<String>> byText, String key) {
        return byText.entrySet().stream()
                .filter(entry -> entry.getValue().contains(key))
                .flatMap(entry -> board.keywords().find(entry.getKey()).stream())
                .map(board.keywords()::text)
                .distinct()
                .toList();
    }

    /** What a change does, as figures. */
    record ChangeView(
            String fresh, String gone, String changed, String moved, List<Part> freshOnes, List<String> goneOnes) {}

    private static final int MOST_NAMED = 12;

    /** What becomes of groups when others take their place; those that are new lead to themselves. */
    static ChangeView changes(Changes changes, Groups before, Groups after, GroupQuery query) {
        return new ChangeView(
                Show.count(changes.fresh().size()),
                Show.count(changes.gone().size()),
                Show.count(changes.changed()),
                Show.count(changes.moved(), "keyword", "keywords"),
                changes.fresh().stream()
                        .limit(MOST_NAMED)
                        .map(group -> new Part(
                                after.name(group),
                                Show.count(after.keywords(group)),
                                query.opening(after.grouping().key(group))))
                        .toList(),
                changes.gone().stream().limit(MOST_NAMED).map(before::name).toList());
    }

    /** The keywords of a group, or the leftovers, most searched first. */
    private List<Integer> inOrder(int group) {
        if (group < 0) {
            return java.util.Arrays.stream(board.orders().by(new Orders.By.OfFigure(Figure.SEARCHES), true))
                    .filter(keyword -> grouping.groupOf(keyword) == group)
                    .boxed()
                    .toList();
        }
        FigureColumn searches = board.keywords().figure(Figure.SEARCHES).orElse(null);
        return java.util.Arrays.stream(grouping.members().row(group))
                .boxed()
                .sorted(Comparator.<Integer>comparingLong(keyword ->
                                searches != null && searches.known(keyword) ? -searches.twiceMiddle(keyword) : 1)
                        .thenComparing(board.keywords()::text))
                .toList();
    }

    private Member member(int group, int keyword) {
        Keywords keywords = board.keywords();
        Explained.Why why = groups.explained().why(keyword);
        FigureColumn searches = keywords.figure(Figure.SEARCHES).orElse(null);
        boolean themed = group >= 0 && !grouping.theme(group).isEmpty();
        return new Member(
                keywords.text(keyword),
                group < 0
                        ? List.of(new ThemeMarks.Mark(keywords.text(keyword), false))
                        : groups.marks(group, keywords.text(keyword)),
                Show.figure(Figure.SEARCHES, searches, keyword),
                themed ? Show.percent(why.tightness()) : "",
                group < 0 ? "" : how(grouping.by(keyword)),
                why.next()
                        .map(next -> groups.name(next) + " " + Show.percent(why.nextTightness()))
                        .orElse(""),
                why.next().map(this::url).orElse(""),
                board.standings().of(keyword).name().toLowerCase(Locale.ROOT),
                board.standings().of(keyword).label());
    }

    private static String how(Grouping.By by) {
        return switch (by) {
            case THEME, REST -> "";
            case RULE -> "by a rule";
            case HAND -> "by hand";
            case LOCK -> "";
            case JOIN -> "joined";
            case SEAT -> "seated";
        };
    }
}

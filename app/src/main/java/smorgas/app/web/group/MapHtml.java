package smorgas.app.web.group;

import java.util.List;
import smorgas.app.web.show.Html;
import smorgas.app.web.show.Show;
import smorgas.core.board.Board;
import smorgas.core.draw.AreaSize;
import smorgas.core.draw.Drawing;
import smorgas.core.draw.GroupMap;
import smorgas.core.draw.Treemap.Rect;
import smorgas.core.figure.Searched;
import smorgas.core.group.read.Groups;
import smorgas.core.group.read.ThemeTree;
import smorgas.core.text.Message;
import smorgas.core.text.Wording;

/** The map of the groups as SVG: every area is a link, to its group or into its broader theme. */
final class MapHtml {

    static final int WIDTH = 780;
    static final int HEIGHT = 408;

    /** About how wide a character of a label is. */
    private static final double CHARACTER = 6.1;

    /** A name of more lines is left out. */
    private static final int MOST_LINES = 3;

    private static final double LINE = 13;

    private final Groups groups;
    private final GroupQuery query;
    private final Tint tint;
    private final int opened;
    private final AreaSize size;
    private final Html html;
    private final Wording wording;

    private MapHtml(Board board, GroupQuery query, int opened, AreaSize size, int areas, Wording wording) {
        this.size = size;
        this.groups = board.groups();
        this.query = query;
        this.tint = new Tint(board, Tint.By.of(query.value("tint")));
        this.opened = opened;
        this.wording = wording;
        this.html = new Html(areas * 420, wording);
    }

    /**
     * The areas.
     *
     * @param node of the theme to look into, or -1 for all
     * @param opened the group that is opened, or -1
     */
    static String of(Board board, GroupQuery query, int node, int opened, Wording wording) {
        AreaSize size =
                switch (query.value("by")) {
                    case "keywords" -> AreaSize.byKeywords(board.groups());
                    case "estimatedValue" -> AreaEstimatedValue.of(board);
                    default -> AreaSize.bySearches(board.groups());
                };
        List<GroupMap.Area> areas = GroupMap.of(board.groups(), node, size, WIDTH, HEIGHT);
        MapHtml map = new MapHtml(board, query, opened, size, areas.size(), wording);
        boolean first = true;
        for (GroupMap.Area area : areas) {
            map.area(area, first);
            first = false;
        }
        return map.html.toString();
    }

    private void area(GroupMap.Area area, boolean first) {
        ThemeTree.Node node =
                area.smaller() > 0 || area.ungrouped() ? null : groups.tree().node(area.node());
        if (area.smaller() > 0) {
            String many = wording.of("group.map.smaller", area.smaller());
            link(
                    new Drawn(
                            area.place(),
                            "broader-area",
                            query.with("view", "list"),
                            many,
                            wording.of("group.map.in-the-list")),
                    first);
        } else if (node == null) {
            String facts = facts(groups.grouping().ungrouped(), groups.ungroupedSearches());
            link(
                    new Drawn(
                                    area.place(),
                                    "area ungrouped-area",
                                    query.left(),
                                    wording.of("group.map.ungrouped"),
                                    facts)
                            .sized(size(
                                    size.ungrouped(), groups.ungroupedSearches().simulated())),
                    first);
        } else if (area.group() < 0) {
            String facts = wording.of("group.map.look-into-it", facts(node.keywords(), node.searches()));
            String url = query.with("zoom", node.text(), "page", "");
            Drawn drawn = new Drawn(area.place(), "broader-area", url, node.text(), facts);
            link(area.banded() ? drawn : drawn.unnamed(), first);
        } else {
            link(group(area), first);
        }
    }

    private Drawn group(GroupMap.Area area) {
        int group = area.group();
        String key = groups.grouping().key(group);
        Message told = tint.told(group);
        String facts = facts(groups.keywords(group), groups.searches(group));
        return new Drawn(
                area.place(),
                "area tint-step-" + tint.step(group) + (group == opened ? " opened-area" : ""),
                key,
                query.opening(key),
                groups.name(group),
                told.isEmpty() ? facts : wording.of("list.comma", facts, told),
                true,
                size(size.group().applyAsDouble(group), groups.searches(group).simulated()));
    }

    /** What the area is as large as. */
    private String size(double large, boolean simulated) {
        return Show.marked(
                query.value("by").equals("estimatedValue") ? Show.whole(large, large) : Show.count((long) large),
                simulated && !query.value("by").equals("keywords"));
    }

    private String facts(long keywords, Searched searches) {
        return wording.of("list.comma", Message.of("count.keywords", keywords), Show.searches(searches));
    }

    /**
     * An area as it is drawn.
     *
     * @param kind its classes
     * @param key of the group that it is; empty if it is none
     * @param named whether its name stands in it
     * @param size what it is as large as; empty if that is not told
     */
    private record Drawn(
            Rect place, String kind, String key, String url, String name, String facts, boolean named, String size) {
        Drawn(Rect place, String kind, String url, String name, String facts) {
            this(place, kind, "", url, name, facts, true, "");
        }

        Drawn sized(String as) {
            return new Drawn(place, kind, key, url, name, facts, named, as);
        }

        Drawn unnamed() {
            return new Drawn(place, kind, key, url, name, facts, false, size);
        }
    }

    private void link(Drawn of, boolean first) {
        html.raw("<a ");
        if (!of.key().isEmpty()) {
            html.raw("data-group=\"").text(of.key()).raw("\" ");
        }
        html.raw("href=\"")
                .text(of.url())
                .raw("\" class=\"")
                .raw(of.kind())
                .raw("\" tabindex=\"")
                .raw(first ? "0" : "-1")
                .raw("\" aria-label=\"")
                .text(of.name() + ", " + of.facts())
                .raw("\"><title>")
                .text(of.name() + "\n" + of.facts())
                .raw("</title><rect x=\"");
        html.decimal(of.place().x()).raw("\" y=\"");
        html.decimal(of.place().y()).raw("\" width=\"");
        html.decimal(of.place().width()).raw("\" height=\"");
        html.decimal(of.place().height()).raw("\"/>");
        if (of.named()) {
            label(
                    of.place(),
                    of.name(),
                    of.kind().startsWith("area") ? of.size() : "",
                    of.kind().startsWith("area") ? MOST_LINES : 1);
        }
        html.raw("</a>");
    }

    /** The name in as many lines as it takes and the size below it; what does not fit whole is left out, for a look tells it. */
    private void label(Rect place, String name, String size, int most) {
        int fits = (int) ((place.width() - 6) / CHARACTER);
        int room = (int) ((place.height() - 2) / LINE);
        List<String> lines = Drawing.lines(name, fits);
        if (lines.isEmpty() || lines.size() > Math.min(most, room)) {
            return;
        }
        int at = 0;
        for (String line : lines) {
            text(place, at++, 0, line);
        }
        if (!size.isEmpty() && at < room && size.length() <= fits) {
            text(place, at, 1, size);
        }
    }

    private void text(Rect place, int line, int role, String text) {
        html.raw("<text class=\"line-").number(role).raw("\" x=\"");
        html.decimal(place.x() + 3).raw("\" y=\"");
        html.decimal(place.y() + 11.5 + line * LINE).raw("\">").text(text).raw("</text>");
    }
}

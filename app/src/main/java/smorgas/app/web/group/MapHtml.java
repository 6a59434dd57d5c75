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

    private MapHtml(Board board, GroupQuery query, int opened, AreaSize size, int areas) {
        this.size = size;
        this.groups = board.groups();
        this.query = query;
        this.tint = new Tint(board, Tint.By.of(query.value("tint")));
        this.opened = opened;
        this.html = new Html(areas * 420);
    }

    /**
     * The areas.
     *
     * @param node of the theme to look into, or -1 for all
     * @param opened the group that is opened, or -1
     */
    static String of(Board board, GroupQuery query, int node, int opened) {
        AreaSize size =
                switch (query.value("by")) {
                    case "keywords" -> AreaSize.byKeywords(board.groups());
                    case "worth" -> AreaWorth.of(board);
                    default -> AreaSize.bySearches(board.groups());
                };
        List<GroupMap.Area> areas = GroupMap.of(board.groups(), node, size, WIDTH, HEIGHT);
        MapHtml map = new MapHtml(board, query, opened, size, areas.size());
        boolean first = true;
        for (GroupMap.Area area : areas) {
            map.area(area, first);
            first = false;
        }
        return map.html.toString();
    }

    private void area(GroupMap.Area area, boolean first) {
        if (area.smaller() > 0) {
            String many = Show.count(area.smaller()) + " smaller ones";
            link(area.place(), "broader-area", "", query.with("view", "list"), many, "in the list", first, true, "");
            return;
        }
        ThemeTree.Node node = area.leftovers() ? null : groups.tree().node(area.node());
        if (node == null) {
            String facts = facts(groups.grouping().leftovers(), groups.leftoverSearches());
            link(
                    area.place(),
                    "area leftover-area",
                    "",
                    query.left(),
                    "Leftovers, in no group",
                    facts,
                    first,
                    true,
                    size(size.leftovers(), groups.leftoverSearches().simulated()));
        } else if (area.group() < 0) {
            String url = query.with("zoom", node.text(), "page", "");
            link(
                    area.place(),
                    "broader-area",
                    "",
                    url,
                    node.text(),
                    facts(node.keywords(), node.searches()) + ", look into it",
                    first,
                    area.banded(),
                    "");
        } else {
            int group = area.group();
            String told = tint.told(group);
            link(
                    area.place(),
                    "area tint-step-" + tint.step(group) + (group == opened ? " opened-area" : ""),
                    groups.grouping().key(group),
                    query.opening(groups.grouping().key(group)),
                    groups.name(group),
                    facts(groups.keywords(group), groups.searches(group)) + (told.isEmpty() ? "" : ", " + told),
                    first,
                    true,
                    size(
                            size.group().applyAsDouble(group),
                            groups.searches(group).simulated()));
        }
    }

    /** What the area is as large as. */
    private String size(double large, boolean simulated) {
        return Show.marked(
                query.value("by").equals("worth") ? Show.whole(large, large) : Show.count((long) large),
                simulated && !query.value("by").equals("keywords"));
    }

    private static String facts(long keywords, Searched searches) {
        return Show.count(keywords, "keyword", "keywords") + ", " + Show.searches(searches);
    }

    private void link(
            Rect place,
            String kind,
            String key,
            String url,
            String name,
            String facts,
            boolean first,
            boolean named,
            String size) {
        html.raw("<a ");
        if (!key.isEmpty()) {
            html.raw("data-group=\"").text(key).raw("\" ");
        }
        html.raw("href=\"")
                .text(url)
                .raw("\" class=\"")
                .raw(kind)
                .raw("\" tabindex=\"")
                .raw(first ? "0" : "-1")
                .raw("\" aria-label=\"")
                .text(name + ", " + facts)
                .raw("\"><title>")
                .text(name + "\n" + facts)
                .raw("</title><rect x=\"");
        html.decimal(place.x()).raw("\" y=\"");
        html.decimal(place.y()).raw("\" width=\"");
        html.decimal(place.width()).raw("\" height=\"");
        html.decimal(place.height()).raw("\"/>");
        if (named) {
            label(place, name, kind.startsWith("area") ? size : "", kind.startsWith("area") ? MOST_LINES : 1);
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

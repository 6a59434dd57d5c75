package smorgas.core.serve;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import smorgas.core.draw.AreaSize;
import smorgas.core.draw.Drawing;
import smorgas.core.draw.GroupMap;
import smorgas.core.draw.Treemap.Rect;
import smorgas.core.fold.Gathered;
import smorgas.core.fold.Keywords;
import smorgas.core.fold.Overlap;
import smorgas.core.group.read.Groups;
import smorgas.core.recipe.sift.Status;
import smorgas.core.text.Message;

/** The pictures of a project: how its lines became a plan, the map of its groups, and what its lists share. */
final class Pictures {

    private static final double WIDTH = 1_160;
    private static final String QUIET = "#675d4f";
    private static final String KEPT = "#47752f";
    private static final String UNDECIDED = "#cfdcc0";
    private static final String DROPPED = "#8e1f46";
    private static final String FOLDED = "#ddd2bc";
    private static final String BODY = "#a7997f";
    private static final String GROUP = "#6f4a2b";
    private static final String GROUP_SOFT = "#dcc5ae";
    private static final List<String> TINTS =
            List.of("#7b9e6b", "#b58a5a", "#6f8fb0", "#a8687f", "#bfa24a", "#5f9a94", "#9a7fb0", "#8a8172");

    private static final double PLAIN = 12;
    private static final double SMALL = 11;

    private static final String MADE_UP = "serve.pictures.some-what-searched-simulated";

    private Pictures() {}

    /** From lines to rows, all to one scale: a keyword is as high everywhere. */
    static Drawing flow(Handover what) {
        return new Flow(what).drawing();
    }

    private static final class Flow {
        private static final double TOP = 40;
        private static final double HIGH = 210;
        private static final double FOOT = TOP + HIGH + 40;
        private static final double LISTS = 230;
        private static final double FOLD = 430;
        private static final double SIFT = 600;
        private static final double GROUPS = 770;
        private static final double ENDS = 900;
        private static final int MOST = 7;
        private static final double ROW = 26;

        private final Handover what;
        private final Keywords keywords;
        private final Groups groups;
        private final List<Drawing.Shape> shapes = new ArrayList<>();
        private final double scale;

        Flow(Handover what) {
            this.what = what;
            this.keywords = what.keywords();
            this.groups = what.groups();
            this.scale = HIGH / Math.max(1, keywords.linesInUse());
        }

        private double high(long count) {
            return count * scale;
        }

        Drawing drawing() {
            lists();
            int kept = what.statuses().count(Status.KEPT);
            int undecided = what.statuses().count(Status.UNDECIDED);
            int dropped = what.statuses().count(Status.DROPPED);
            ribbon(new Corner(FOLD, TOP), new Corner(SIFT, TOP), high(keywords.size()), BODY);
            peel(
                    FOLD,
                    TOP + high(keywords.size()),
                    keywords.linesInUse() - keywords.size(),
                    "serve.pictures.folded",
                    FOLDED);
            ribbon(new Corner(SIFT, TOP), new Corner(GROUPS, TOP), high(kept), KEPT);
            ribbon(
                    new Corner(SIFT, TOP + high(kept)),
                    new Corner(GROUPS, TOP + high(kept)),
                    high(undecided),
                    UNDECIDED);
            peel(SIFT, TOP + high(kept + undecided), dropped, "serve.pictures.dropped", DROPPED);
            groups();
            head(LISTS, what.text("count.lines", keywords.linesInUse()));
            head(FOLD, what.text("count.keywords", keywords.size()));
            head(SIFT, what.text("serve.pictures.left", kept + undecided));
            head(GROUPS, what.text("count.groups", groups.grouping().size()));
            head(
                    ENDS + 40,
                    what.text("serve.pictures.plan-rows", what.plan().count().rows()));
            return new Drawing(
                    what.text("serve.pictures.from-lines-plan"),
                    what.text(
                            "serve.pictures.line-became-keyword-dropped",
                            keywords.linesInUse(),
                            keywords.size(),
                            dropped,
                            groups.grouping().size(),
                            what.plan().count().rows()),
                    WIDTH,
                    FOOT + 20,
                    shapes);
        }

        private void head(double x, String text) {
            shapes.add(new Drawing.Letters(x, TOP - 16, PLAIN, true, false, text, Drawing.INK));
        }

        /** The upper corner at which a ribbon begins or ends. */
        private record Corner(double x, double y) {}

        private void ribbon(Corner from, Corner to, double thick, String fill) {
            if (thick > 0) {
                double seen = Math.max(1, thick);
                shapes.add(new Drawing.Ribbon(from.x, from.y, seen, to.x, to.y, seen, fill));
            }
        }

        /** What leaves the flow. */
        private void peel(double x, double y, int count, String why, String fill) {
            if (count > 0) {
                double thick = Math.max(1, high(count));
                shapes.add(new Drawing.Ribbon(x, y, thick, x + 70, FOOT - 14, Math.min(thick, 6), fill));
                shapes.add(new Drawing.Letters(x + 76, FOOT - 7, SMALL, false, false, what.text(why, count), QUIET));
            }
        }

        private void lists() {
            List<Gathered> bringing =
                    Gathered.of(keywords).stream().filter(Gathered::brings).toList();
            double to = TOP;
            double label = 0;
            double row = Math.min(ROW, (HIGH + 30) / Math.max(1, Math.min(MOST + 1, bringing.size())));
            for (int i = 0; i < bringing.size(); i++) {
                boolean rest = i == MOST && bringing.size() > MOST + 1;
                List<Gathered> some = rest ? bringing.subList(i, bringing.size()) : List.of(bringing.get(i));
                long lines = some.stream().mapToLong(Gathered::lines).sum();
                double from = Math.max(TOP + i * row, to);
                ribbon(new Corner(LISTS, from), new Corner(FOLD, to), high(lines), TINTS.get(i % TINTS.size()));
                String name = rest
                        ? what.text("serve.pictures.more-lists", some.size())
                        : some.getFirst().name();
                label = Math.max(label + SMALL + 3, from + SMALL);
                shapes.add(new Drawing.Letters(
                        LISTS - 8, label, SMALL, false, true, fitting(name, LISTS - 16, SMALL), QUIET));
                to += high(lines);
                if (rest) {
                    break;
                }
            }
        }

        private void groups() {
            double from = TOP;
            double to = TOP;
            int[] order = groups.order();
            int rest = 0;
            for (int place = 0; place < order.length; place++) {
                if (place < MOST) {
                    to = end(from, to, groups.keywords(order[place]), groups.name(order[place]), GROUP);
                    from += high(groups.keywords(order[place]));
                } else {
                    rest += groups.keywords(order[place]);
                }
            }
            to = end(from, to, rest, what.text("serve.pictures.more-groups", order.length - MOST), GROUP_SOFT);
            end(from + high(rest), to, groups.grouping().ungrouped(), what.text("serve.pictures.ungrouped"), FOLDED);
        }

        /** A ribbon to where its name stands; where the next may begin. */
        private double end(double from, double to, int size, String name, String fill) {
            if (size <= 0) {
                return to;
            }
            ribbon(new Corner(GROUPS, from), new Corner(ENDS, to), high(size), fill);
            shapes.add(new Drawing.Letters(
                    ENDS + 8,
                    to + SMALL,
                    SMALL,
                    false,
                    false,
                    fitting(name + ", " + Report.count(size), WIDTH - ENDS - 16, SMALL),
                    QUIET));
            return to + Math.max(ROW - 4, high(size) + 4);
        }
    }

    /** Groups within their broader themes, as large as what is searched. */
    static Drawing map(Handover what) {
        double high = 640;
        Groups groups = what.groups();
        List<Drawing.Shape> shapes = new ArrayList<>();
        List<Integer> tops = groups.tree().under(-1);
        String tint = FOLDED;
        for (GroupMap.Area area : GroupMap.of(groups, -1, AreaSize.bySearches(groups), WIDTH, high)) {
            Rect place = area.place();
            boolean broader = area.node() >= 0 && area.group() < 0;
            int top = tops.indexOf(area.node());
            tint = top >= 0 ? TINTS.get(top % TINTS.size()) : tint;
            String fill = area.node() < 0 ? FOLDED : broader ? GROUP_SOFT : tint;
            shapes.add(new Drawing.Block(
                    place.x(), place.y(), Math.max(.5, place.width() - 1), Math.max(.5, place.height() - 1), fill));
            if (!broader || area.banded()) {
                shapes.addAll(label(place, name(what, groups, area), broader));
            }
        }
        boolean made = IntStream.of(groups.order())
                        .anyMatch(group -> groups.searches(group).simulated())
                || groups.ungroupedSearches().simulated();
        if (made) {
            shapes.add(new Drawing.Letters(0, high + 16, PLAIN, false, false, what.text(MADE_UP), QUIET));
        }
        return new Drawing(
                what.text("serve.pictures.map-groups"),
                what.text(
                        "serve.pictures.group-within-their-broader",
                        groups.grouping().size(),
                        java.util.Arrays.stream(groups.order())
                                .limit(5)
                                .mapToObj(groups::name)
                                .collect(Collectors.joining(", ")),
                        made ? " " + what.text(MADE_UP) : ""),
                WIDTH,
                made ? high + 24 : high,
                shapes);
    }

    private static String name(Handover what, Groups groups, GroupMap.Area area) {
        if (area.ungrouped()) {
            return what.text("serve.pictures.ungrouped");
        }
        if (area.smaller() > 0) {
            return what.text("serve.pictures.smaller", area.smaller());
        }
        return area.group() < 0 ? groups.tree().node(area.node()).text() : groups.name(area.group());
    }

    /** The name where there is room for all of it; else nothing. */
    private static List<Drawing.Shape> label(Rect place, String name, boolean bold) {
        int fits = (int) ((place.width() - 6) / Drawing.widthOf("x", SMALL));
        List<String> lines = Drawing.lines(name, fits);
        double line = SMALL + 2;
        if (lines.isEmpty() || lines.size() * line > place.height() || bold && lines.size() > 1) {
            return List.of();
        }
        List<Drawing.Shape> letters = new ArrayList<>();
        for (int i = 0; i < lines.size(); i++) {
            letters.add(new Drawing.Letters(
                    place.x() + 3, place.y() + SMALL + 1 + i * line, SMALL, bold, false, lines.get(i), Drawing.INK));
        }
        return letters;
    }

    /** Which lists have how many keywords together. */
    static Drawing overlap(Handover what) {
        List<Gathered> lists = Gathered.of(what.keywords());
        List<Overlap.Combination> most =
                Overlap.of(what.keywords()).combinations().stream().limit(12).toList();
        double names = 560;
        double room = WIDTH - names - 90;
        int largest = most.isEmpty() ? 1 : most.getFirst().keywords();
        List<Drawing.Shape> shapes = new ArrayList<>();
        double y = 10;
        for (Overlap.Combination one : most) {
            List<String> in = one.places().stream()
                    .mapToObj(place -> lists.get(place).name())
                    .toList();
            double width = room * one.keywords() / largest;
            shapes.add(new Drawing.Letters(
                    names - 10, y + 15, PLAIN, false, true, together(what, in, names - 20), Drawing.INK));
            shapes.add(new Drawing.Block(
                    names, y, Math.max(1, width), 20, in.size() == 1 ? TINTS.getFirst() : TINTS.get(2)));
            shapes.add(new Drawing.Letters(
                    names + width + 8, y + 15, PLAIN, false, false, Report.count(one.keywords()), Drawing.INK));
            y += 28;
        }
        return new Drawing(
                what.text("serve.pictures.what-lists-share"),
                most.isEmpty()
                        ? what.text("serve.pictures.there-are-no-lists")
                        : what.text(
                                "serve.pictures.keywords-lists-just-they",
                                largest,
                                most.getFirst().places().stream()
                                        .mapToObj(place -> lists.get(place).name())
                                        .map(Message::verbatim)
                                        .reduce((one, other) -> Message.of("list.and", one, other))
                                        .orElse(Message.NONE)),
                WIDTH,
                y + 4,
                shapes);
    }

    /** As many of the names as there is room for, and how many more. */
    private static String together(Handover what, List<String> names, double room) {
        for (int shown = names.size(); shown > 1; shown--) {
            String all = String.join(" + ", names.subList(0, shown))
                    + (shown < names.size() ? what.text("serve.pictures.and-more", names.size() - shown) : "");
            if (Drawing.widthOf(all, PLAIN) <= room) {
                return all;
            }
        }
        return fitting(names.getFirst(), room / 2, PLAIN)
                + (names.size() > 1 ? what.text("serve.pictures.and-more", names.size() - 1) : "");
    }

    /** A text as far as there is room for it. */
    private static String fitting(String text, double room, double size) {
        if (Drawing.widthOf(text, size) <= room) {
            return text;
        }
        int most = Math.max(1, (int) (room / Drawing.widthOf("x", size)) - 1);
        return PlanNaming.cut(text, most) + "\u2026";
    }
}

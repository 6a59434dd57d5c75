package smorgas.app.web.group;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.SequencedMap;
import java.util.Set;
import smorgas.app.web.show.Html;
import smorgas.core.group.Grouping;
import smorgas.core.group.read.Changes;
import smorgas.core.group.read.Groups;
import smorgas.core.text.Message;
import smorgas.core.text.Wording;

/** Where keywords went, as a picture: the groups of before on the left, those of after on the right, ribbons to scale. */
final class FlowHtml {

    static final int WIDTH = 480;
    private static final int MOST = 14;
    private static final double SIDE = 150;
    private static final double GAP = 5;
    private static final double LEAST = 9;

    private final Groups before;
    private final Groups after;
    private final Html html;
    private final Wording wording;

    /** A place of a group on one side: from where it goes on. */
    private static final class Place {
        private final String name;
        private final double y;
        private final double height;
        private double next;

        Place(String name, double y, double height) {
            this.name = name;
            this.y = y;
            this.height = height;
            this.next = y;
        }
    }

    /**
     * The picture.
     *
     * @param markup of the SVG's inside
     * @param rest how many keywords went in flows too small to be drawn
     * @param told each drawn flow in words, for those who cannot see it
     */
    record Picture(String markup, int height, int rest, Message told) {}

    private FlowHtml(Groups before, Groups after, Wording wording) {
        this.html = new Html(8_000, wording);
        this.wording = wording;
        this.before = before;
        this.after = after;
    }

    static Picture of(Changes changes, Groups before, Groups after, Wording wording) {
        return new FlowHtml(before, after, wording).draw(changes);
    }

    private Picture draw(Changes changes) {
        List<Changes.Flow> flows = changes.flows().stream().limit(MOST).toList();
        int shown = flows.stream().mapToInt(Changes.Flow::keywords).sum();
        double scale = shown == 0 ? 1 : 110.0 / shown;
        SequencedMap<Integer, Place> left = side(flows, scale, true);
        SequencedMap<Integer, Place> right = side(flows, scale, false);
        List<Message> told = new ArrayList<>();
        for (Changes.Flow flow : flows) {
            Place from = left.get(flow.from());
            Place to = right.get(flow.to());
            double height = flow.keywords() * scale;
            ribbon(from.next, to.next, height, flow);
            from.next += height;
            to.next += height;
            told.add(Message.of("group.flow-html.flow", flow.keywords(), from.name, to.name));
        }
        left.values().forEach(place -> label(place, SIDE - 8, "end"));
        right.values().forEach(place -> label(place, WIDTH - SIDE + 8, "start"));
        double height = Math.max(bottom(left), bottom(right));
        return new Picture(
                html.toString(),
                (int) Math.ceil(height),
                changes.moved() - shown,
                Message.joined("list.semicolon", told));
    }

    private static double bottom(SequencedMap<Integer, Place> side) {
        return side.isEmpty()
                ? 0
                : side.lastEntry().getValue().y
                        + Math.max(LEAST, side.lastEntry().getValue().height)
                        + 4;
    }

    private SequencedMap<Integer, Place> side(List<Changes.Flow> flows, double scale, boolean from) {
        Set<Integer> order = new LinkedHashSet<>();
        flows.forEach(flow -> order.add(from ? flow.from() : flow.to()));
        SequencedMap<Integer, Place> places = new java.util.LinkedHashMap<>();
        double y = 4;
        for (int group : order) {
            double height = flows.stream()
                            .filter(flow -> (from ? flow.from() : flow.to()) == group)
                            .mapToInt(Changes.Flow::keywords)
                            .sum()
                    * scale;
            places.put(group, new Place(wording.of(name(from ? before : after, group)), y, height));
            y += Math.max(LEAST, height) + GAP;
        }
        return places;
    }

    private static Message name(Groups groups, int group) {
        return group == Grouping.UNGROUPED
                ? Message.of("group.flow-html.ungrouped")
                : Message.verbatim(groups.name(group));
    }

    private void ribbon(double from, double to, double height, Changes.Flow flow) {
        double middle = WIDTH / 2.0;
        String path = String.format(
                Locale.ROOT,
                "M%1$.1f,%3$.1f C%2$.1f,%3$.1f %2$.1f,%4$.1f %5$.1f,%4$.1f V%7$.1f C%2$.1f,%7$.1f %2$.1f,%6$.1f %1$.1f,%6$.1f Z",
                SIDE,
                middle,
                from,
                to,
                WIDTH - SIDE,
                from + height,
                to + height);
        String kind = flow.to() < 0 ? "to-ungrouped" : flow.from() < 0 ? "from-ungrouped" : "between";
        html.raw("<path class=\"flow-ribbon ")
                .raw(kind)
                .raw("\" d=\"")
                .raw(path)
                .raw("\"/>");
    }

    private void label(Place place, double x, String anchor) {
        String text = place.name.codePointCount(0, place.name.length()) > 24
                ? place.name.substring(0, place.name.offsetByCodePoints(0, 23)) + "\u2026"
                : place.name;
        html.raw(String.format(
                        Locale.ROOT,
                        "<rect class=\"flow-end\" x=\"%.1f\" y=\"%.1f\" width=\"4\" height=\"%.1f\"/><text x=\"%.1f\" y=\"%.1f\""
                                + " text-anchor=\"%s\">",
                        anchor.equals("end") ? SIDE - 4 : WIDTH - SIDE,
                        place.y,
                        Math.max(1, place.height),
                        x,
                        place.y + Math.max(LEAST, place.height) / 2 + 4,
                        anchor))
                .text(text)
                .raw("</text>");
    }
}

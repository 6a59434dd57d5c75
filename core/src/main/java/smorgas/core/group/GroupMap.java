package smorgas.core.group;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import smorgas.core.group.Treemap.Rect;

/**
 * All groups as areas within their broader themes, and the leftovers as one area. An area is as large as its searches or
 * its keywords; one without searches has a hundredth of what an even share would be, so that it can still be seen.
 */
public final class GroupMap {

    private static final double BAND = 16;
    private static final double LEAST_BAND_WIDTH = 48;
    private static final double LEAST_BAND_HEIGHT = 44;
    private static final double GAP = 1;

    /**
     * An area.
     *
     * @param node of the theme in the tree; -1 for the leftovers
     * @param group -1 for a broader theme, which has others in it, and for the leftovers
     * @param place where it is
     * @param banded whether a broader theme has a band at its upper edge to be named in
     */
    public record Area(int node, int group, Rect place, boolean banded) {

        /** Whether it is the leftovers. */
        public boolean leftovers() {
            return node < 0;
        }
    }

    private final Groups groups;
    private final ThemeTree tree;
    private final boolean bySearches;
    private final double least;
    private final List<Area> areas = new ArrayList<>();

    private GroupMap(Groups groups, boolean bySearches) {
        this.groups = groups;
        this.tree = groups.tree();
        this.bySearches = bySearches;
        double all = 0;
        for (int group = 0; group < groups.grouping().size(); group++) {
            all += bySearches ? groups.searches(group) : groups.keywords(group);
        }
        this.least = Math.max(1e-9, all / Math.max(1, groups.grouping().size()) / 100);
    }

    /**
     * The areas under a node of the tree, a broader one always before what is in it; -1 asks for all and the leftovers.
     *
     * @param bySearches whether searches make the size, not keywords
     */
    public static List<Area> of(Groups groups, int node, boolean bySearches, double width, double height) {
        GroupMap map = new GroupMap(groups, bySearches);
        Rect whole = new Rect(0, 0, width, height);
        if (node >= 0) {
            map.within(node, whole);
        } else {
            map.lay(tops(map.tree, groups), whole);
        }
        return map.areas;
    }

    /** A place to be filled: a node, or a node's own group where others are in it too, or the leftovers. */
    private record Part(int node, boolean ownGroup) {}

    private static List<Part> tops(ThemeTree tree, Groups groups) {
        List<Part> parts = new ArrayList<>();
        tree.under(-1).forEach(node -> parts.add(new Part(node, false)));
        if (groups.grouping().leftovers() > 0) {
            parts.add(new Part(-1, false));
        }
        return parts;
    }

    private double weight(Part part) {
        double weight;
        if (part.node() < 0) {
            weight = bySearches ? groups.leftoverSearches() : groups.grouping().leftovers();
        } else if (part.ownGroup()) {
            int group = tree.node(part.node()).group();
            weight = bySearches ? groups.searches(group) : groups.keywords(group);
        } else {
            weight = bySearches
                    ? tree.node(part.node()).searches()
                    : tree.node(part.node()).keywords();
        }
        return Math.max(least, weight);
    }

    private void lay(List<Part> parts, Rect whole) {
        List<Part> sorted = new ArrayList<>(parts);
        sorted.sort(Comparator.<Part>comparingDouble(part -> -weight(part)).thenComparingInt(Part::node));
        List<Rect> places =
                Treemap.squarify(sorted.stream().mapToDouble(this::weight).toArray(), whole);
        for (int i = 0; i < places.size(); i++) {
            Part part = sorted.get(i);
            Rect place = places.get(i);
            if (part.node() >= 0 && !part.ownGroup() && !tree.under(part.node()).isEmpty()) {
                boolean banded = place.width() >= LEAST_BAND_WIDTH && place.height() >= LEAST_BAND_HEIGHT;
                areas.add(new Area(part.node(), -1, place, banded));
                double band = banded ? BAND : 0;
                within(
                        part.node(),
                        new Rect(
                                place.x() + GAP,
                                place.y() + band,
                                Math.max(0, place.width() - 2 * GAP),
                                Math.max(0, place.height() - band - GAP)));
            } else {
                int group = part.node() < 0 ? -1 : tree.node(part.node()).group();
                areas.add(new Area(part.node(), group, place, false));
            }
        }
    }

    private void within(int node, Rect whole) {
        List<Part> parts = new ArrayList<>();
        tree.under(node).forEach(under -> parts.add(new Part(under, false)));
        if (tree.node(node).group() >= 0) {
            parts.add(new Part(node, true));
        }
        lay(parts, whole);
    }
}

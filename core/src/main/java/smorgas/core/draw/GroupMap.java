package smorgas.core.draw;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import smorgas.core.draw.Treemap.Rect;
import smorgas.core.group.read.Groups;
import smorgas.core.group.read.ThemeTree;

/**
 * Groups as areas within their broader themes, and the ungrouped keywords as one area. An area is as large as its searches,
 * its keywords or its worth; one without has a hundredth of what an even share would be, so that it can still be seen. A map
 * has at most {@value #MOST_AREAS} areas: where there would be more, the smallest are one area together, and small broader
 * themes are not divided; one looks into them.
 */
public final class GroupMap {

    /** More cannot be told apart, and make a page of many megabytes. */
    public static final int MOST_AREAS = 1_200;

    private static final double BAND = 16;
    private static final double LEAST_BAND_WIDTH = 48;
    private static final double LEAST_BAND_HEIGHT = 44;
    private static final double GAP = 1;

    /**
     * An area.
     *
     * @param node of the theme in the tree; -1 for the ungrouped keywords and for smaller ones together
     * @param group -1 for a broader theme, which has others in it, and for the ungrouped keywords
     * @param place where it is
     * @param banded whether a broader theme has a band at its upper edge to be named in
     * @param smaller how many smaller areas it stands for; 0 if it stands for itself
     */
    public record Area(int node, int group, Rect place, boolean banded, int smaller) {

        /** Whether it is the ungrouped keywords. */
        public boolean ungrouped() {
            return node < 0 && smaller == 0;
        }
    }

    private final Groups groups;
    private final ThemeTree tree;
    private final AreaSize size;
    private final double least;
    private final List<Area> areas = new ArrayList<>();

    private GroupMap(Groups groups, AreaSize size) {
        this.groups = groups;
        this.tree = groups.tree();
        this.size = size;
        double all = 0;
        for (int group = 0; group < groups.grouping().size(); group++) {
            all += size.group().applyAsDouble(group);
        }
        this.least = Math.max(1e-9, all / Math.max(1, groups.grouping().size()) / 100);
    }

    /**
     * The areas under a node of the tree, a broader one always before what is in it; -1 asks for all and the ungrouped keywords.
     */
    public static List<Area> of(Groups groups, int node, AreaSize size, double width, double height) {
        GroupMap map = new GroupMap(groups, size);
        Rect whole = new Rect(0, 0, width, height);
        map.lay(node >= 0 ? map.inside(node) : map.tops(), whole, MOST_AREAS);
        return map.areas;
    }

    /**
     * A place to be filled: a node, or a node's own group where others are in it too, or the ungrouped keywords.
     *
     * @param smaller how many of them are one place together; 0 for one
     */
    private record Part(int node, boolean ownGroup, double weight, int smaller) {}

    private List<Part> tops() {
        List<Part> parts = new ArrayList<>();
        tree.under(-1).forEach(node -> parts.add(part(node)));
        int ungrouped = groups.grouping().ungrouped();
        if (ungrouped > 0) {
            parts.add(new Part(-1, false, weight(size.ungrouped()), 0));
        }
        return parts;
    }

    private List<Part> inside(int node) {
        List<Part> parts = new ArrayList<>();
        tree.under(node).forEach(under -> parts.add(part(under)));
        int group = tree.node(node).group();
        if (group >= 0) {
            parts.add(new Part(node, true, weight(size.group().applyAsDouble(group)), 0));
        }
        return parts;
    }

    private Part part(int node) {
        return new Part(node, false, weight(size.node().applyAsDouble(node)), 0);
    }

    private double weight(double large) {
        return Math.max(least, large);
    }

    /** The largest parts, as many as there may be, and the others as one. */
    private static List<Part> largest(List<Part> parts, int most) {
        List<Part> sorted = new ArrayList<>(parts);
        sorted.sort(Comparator.<Part>comparingDouble(part -> -part.weight()).thenComparingInt(Part::node));
        if (sorted.size() <= most) {
            return sorted;
        }
        List<Part> small = sorted.subList(most - 1, sorted.size());
        double together = small.stream().mapToDouble(Part::weight).sum();
        List<Part> kept = new ArrayList<>(sorted.subList(0, most - 1));
        kept.add(new Part(-1, false, together, small.size()));
        kept.sort(Comparator.<Part>comparingDouble(part -> -part.weight()).thenComparingInt(Part::node));
        return kept;
    }

    /** @param budget how many areas there may be; at least 2 */
    private void lay(List<Part> parts, Rect whole, int budget) {
        List<Part> sorted = largest(parts, budget);
        List<Rect> places =
                Treemap.squarify(sorted.stream().mapToDouble(Part::weight).toArray(), whole);
        double all = sorted.stream().mapToDouble(Part::weight).sum();
        for (int i = 0; i < places.size(); i++) {
            Part part = sorted.get(i);
            Rect place = places.get(i);
            boolean broader = part.node() >= 0
                    && !part.ownGroup()
                    && !tree.under(part.node()).isEmpty();
            if (!broader) {
                int group = part.node() < 0 ? -1 : tree.node(part.node()).group();
                areas.add(new Area(part.node(), group, place, false, part.smaller()));
                continue;
            }
            int share = (int) ((budget - sorted.size()) * part.weight() / all);
            boolean divided = share >= 2;
            boolean banded = divided && place.width() >= LEAST_BAND_WIDTH && place.height() >= LEAST_BAND_HEIGHT;
            areas.add(new Area(part.node(), -1, place, banded, 0));
            if (divided) {
                double band = banded ? BAND : 0;
                Rect inner = new Rect(
                        place.x() + GAP,
                        place.y() + band,
                        Math.max(0, place.width() - 2 * GAP),
                        Math.max(0, place.height() - band - GAP));
                lay(inside(part.node()), inner, share);
            }
        }
    }
}

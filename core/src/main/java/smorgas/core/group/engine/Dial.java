package smorgas.core.group.engine;

import java.util.List;
import java.util.stream.IntStream;

/**
 * What the dial from broad to tight gives at each of its places, of what rules and hands leave and before what is too large is
 * divided; empty where groups have no such dial.
 *
 * @param points by place, the broadest first
 */
public record Dial(List<Point> points) {

    /** No dial. */
    public static final Dial NONE = new Dial(List.of());

    /**
     * A place of the dial.
     *
     * @param place 0 to 100
     * @param groups how many groups there would be
     * @param ungrouped how many keywords in none
     */
    public record Point(int place, int groups, int ungrouped) {
        Point and(Point other) {
            return new Point(place, groups + other.groups, ungrouped + other.ungrouped);
        }
    }

    public Dial {
        points = List.copyOf(points);
    }

    /** Of two parts of the keywords that are in no group together. */
    public Dial and(Dial other) {
        if (points.isEmpty() || other.points.isEmpty()) {
            return points.isEmpty() ? other : this;
        }
        return new Dial(IntStream.range(0, points.size())
                .mapToObj(i -> points.get(i).and(other.points.get(i)))
                .toList());
    }
}

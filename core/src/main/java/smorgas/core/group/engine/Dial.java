package smorgas.core.group.engine;

import java.util.List;

/**
 * What the dial from broad to tight gives at each of its places, before rules and hands and before what is too large is
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
     * @param leftovers how many keywords in none
     */
    public record Point(int place, int groups, int leftovers) {}

    public Dial {
        points = List.copyOf(points);
    }
}

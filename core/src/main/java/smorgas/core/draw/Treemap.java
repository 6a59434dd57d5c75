package smorgas.core.draw;

import java.util.ArrayList;
import java.util.List;

/**
 * Areas in a rectangle, each as large as its share and as square as may be: the squarified treemap of Bruls, Huizing and
 * van Wijk (2000).
 */
public final class Treemap {

    /** A rectangle with its upper left corner at (x, y). */
    public record Rect(double x, double y, double width, double height) {}

    private final List<Rect> laid = new ArrayList<>();
    private double x;
    private double y;
    private double width;
    private double height;

    private Treemap(Rect whole) {
        this.x = whole.x();
        this.y = whole.y();
        this.width = whole.width();
        this.height = whole.height();
    }

    /**
     * Lays out shares, in their order; they come out best if the largest is first.
     *
     * @param shares none below 0; they need not add up to anything
     * @return a rectangle for each; all empty if the shares are all 0
     */
    public static List<Rect> squarify(double[] shares, Rect whole) {
        double sum = 0;
        for (double share : shares) {
            sum += share;
        }
        double scale = sum == 0 ? 0 : whole.width() * whole.height() / sum;
        double[] areas = new double[shares.length];
        for (int i = 0; i < areas.length; i++) {
            areas[i] = shares[i] * scale;
        }
        Treemap map = new Treemap(whole);
        int from = 0;
        while (from < areas.length) {
            int to = from + 1;
            double row = areas[from];
            while (to < areas.length
                    && map.worst(areas, from, to + 1, row + areas[to]) <= map.worst(areas, from, to, row)) {
                row += areas[to++];
            }
            map.lay(areas, from, to, row);
            from = to;
        }
        return map.laid;
    }

    /** The longest side by the shortest, of the worst of a row along the shorter side. */
    private double worst(double[] areas, int from, int to, double row) {
        double side = Math.min(width, height);
        double most = 0;
        double least = Double.MAX_VALUE;
        for (int i = from; i < to; i++) {
            most = Math.max(most, areas[i]);
            least = Math.min(least, areas[i]);
        }
        double square = side * side;
        return row == 0 || least == 0 || square == 0
                ? Double.MAX_VALUE
                : Math.max(square * most / (row * row), row * row / (square * least));
    }

    /** Lays a row along the shorter side and takes its room away. */
    private void lay(double[] areas, int from, int to, double row) {
        boolean upright = height <= width;
        double side = upright ? height : width;
        double thickness = side == 0 ? 0 : row / side;
        double at = upright ? y : x;
        for (int i = from; i < to; i++) {
            double length = thickness == 0 ? 0 : areas[i] / thickness;
            laid.add(upright ? new Rect(x, at, thickness, length) : new Rect(at, y, length, thickness));
            at += length;
        }
        if (upright) {
            x += thickness;
            width = Math.max(0, width - thickness);
        } else {
            y += thickness;
            height = Math.max(0, height - thickness);
        }
    }
}

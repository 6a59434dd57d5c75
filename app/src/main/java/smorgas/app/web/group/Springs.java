package smorgas.app.web.group;

import java.util.List;
import smorgas.core.group.read.NetOfWords;

/**
 * Places for things that are linked, by springs after Fruchterman and Reingold (1991), beginning on a circle, so that it
 * always comes out the same.
 */
final class Springs {

    private static final int ITERATIONS = 200;
    private static final double GRAVITY = .9;

    private Springs() {}

    /**
     * Places for words.
     *
     * @param size how many
     * @param links those that belong together, the strongest first
     * @return for each word its x and y
     */
    static double[][] lay(int size, List<NetOfWords.Link> links, double width, double height) {
        double[][] at = new double[size][2];
        for (int i = 0; i < size; i++) {
            double angle = 2 * Math.PI * i / Math.max(1, size);
            at[i][0] = width / 2 * (1 + .8 * Math.cos(angle));
            at[i][1] = height / 2 * (1 + .8 * Math.sin(angle));
        }
        double ideal = .8 * Math.sqrt(width * height / Math.max(1, size));
        double most = links.isEmpty() ? 1 : links.getFirst().keywords();
        for (int round = 0; round < ITERATIONS; round++) {
            double[][] push = new double[size][2];
            for (int i = 0; i < size; i++) {
                for (int j = 0; j < size; j++) {
                    if (i != j) {
                        pull(push, at, i, j, distance -> -ideal * ideal / distance);
                    }
                }
            }
            for (NetOfWords.Link link : links) {
                double strength = .1 + .5 * link.keywords() / most;
                pull(push, at, link.one(), link.other(), distance -> strength * distance * distance / ideal);
                pull(push, at, link.other(), link.one(), distance -> strength * distance * distance / ideal);
            }
            // A weak pull to the middle keeps words at hand that stand with few others; wider than high, as the room
            // is.
            for (int i = 0; i < size; i++) {
                push[i][0] += GRAVITY * (width / 2 - at[i][0]);
                push[i][1] += GRAVITY * width / height * (height / 2 - at[i][1]);
            }
            double heat = width / 10 * (1 - round / (double) ITERATIONS);
            for (int i = 0; i < size; i++) {
                double length = Math.max(1e-6, Math.hypot(push[i][0], push[i][1]));
                double step = Math.min(length, heat) / length;
                at[i][0] = Math.clamp(at[i][0] + push[i][0] * step, .06 * width, .94 * width);
                at[i][1] = Math.clamp(at[i][1] + push[i][1] * step, .05 * height, .92 * height);
            }
        }
        return at;
    }

    private interface Force {
        double at(double distance);
    }

    private static void pull(double[][] push, double[][] at, int one, int other, Force force) {
        double dx = at[other][0] - at[one][0];
        double dy = at[other][1] - at[one][1];
        double distance = Math.max(1e-3, Math.hypot(dx, dy));
        push[one][0] += dx / distance * force.at(distance);
        push[one][1] += dy / distance * force.at(distance);
    }
}

package smorgas.core.draw;

import java.util.ArrayList;
import java.util.List;

/**
 * A picture before it is a file. Lengths are in pixels of a screen, from the upper left corner; colours are {@code #rrggbb}.
 *
 * @param title what it shows, in a few words
 * @param tells what can be read off it, for whoever cannot see it
 * @param shapes from the lowest to the uppermost
 */
public record Drawing(String title, String tells, double width, double height, List<Shape> shapes) {

    public Drawing {
        shapes = List.copyOf(shapes);
    }

    /** The ground that everything lies on. */
    public static final String GROUND = "#fffdf8";

    /** Of letters. */
    public static final String INK = "#2b2620";

    /** What is drawn. */
    public sealed interface Shape {}

    /** A rectangle. */
    public record Block(double x, double y, double width, double height, String fill) implements Shape {}

    /** A band that runs from the left to the right and may rise or fall on the way; {@code y} of its upper edge. */
    public record Ribbon(double x1, double y1, double thick1, double x2, double y2, double thick2, String fill)
            implements Shape {

        /** Where the two bends of its edges are. */
        public double middle() {
            return (x1 + x2) / 2;
        }
    }

    /**
     * Letters.
     *
     * @param x of the first of them, or of the last if they end there
     * @param y of their base line
     * @param size of an em
     */
    public record Letters(double x, double y, double size, boolean bold, boolean endsThere, String text, String fill)
            implements Shape {}

    /** How wide letters of a size are about, in the fonts that pictures are seen in. */
    public static double widthOf(String text, double size) {
        return text.codePointCount(0, text.length()) * size * WIDTH_OF_ONE;
    }

    /** The words of a name in lines of so many letters at most; none if a word is longer. */
    public static List<String> lines(String name, int fits) {
        List<String> lines = new ArrayList<>();
        StringBuilder line = new StringBuilder();
        for (String word : name.split(" ")) {
            if (word.codePointCount(0, word.length()) > fits) {
                return List.of();
            }
            if (!line.isEmpty() && line.length() + 1 + word.length() > fits) {
                lines.add(line.toString());
                line.setLength(0);
            }
            line.append(line.isEmpty() ? "" : " ").append(word);
        }
        lines.add(line.toString());
        return lines;
    }

    private static final double WIDTH_OF_ONE = .58;
}

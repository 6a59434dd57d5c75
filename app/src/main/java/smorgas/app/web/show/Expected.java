package smorgas.app.web.show;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Collectors;
import smorgas.core.value.Worth;

/**
 * What keywords may bring together in a month, as pages tell it.
 *
 * @param lines a figure each; none if nothing is assumed or known
 * @param unknown of how many keywords the worth is unknown, as a sentence; empty if of none
 */
public record Expected(List<Line> lines, String unknown) {

    /**
     * A figure.
     *
     * @param middle by the middles of ranges
     * @param range from the low to the high end; empty if they are the same
     */
    public record Line(String label, String middle, String range) {}

    private static final Map<Worth.Part, String> LABELS = Map.of(
            Worth.Part.CLICKS, "Clicks",
            Worth.Part.CONVERSIONS, "Conversions",
            Worth.Part.COST, "Cost",
            Worth.Part.VALUE, "Worth",
            Worth.Part.RETURN, "Return");

    /** As a sum tells it. */
    public static Expected of(Worth.Sum sum) {
        List<Line> lines = new ArrayList<>();
        for (Worth.Part part : Worth.Part.values()) {
            Worth.Total total = sum.parts().get(part);
            if (total != null) {
                String range = Show.whole(total.low(), total.high());
                lines.add(new Line(
                        LABELS.get(part),
                        Show.marked(Show.whole(total.middle(), total.middle()), sum.simulated()),
                        range.contains("\u2013") ? range : ""));
            }
        }
        Worth.Total most =
                sum.parts().getOrDefault(Worth.Part.VALUE, sum.parts().get(Worth.Part.CLICKS));
        return new Expected(
                lines,
                most == null || most.unknown() == 0
                        ? ""
                        : Show.count(most.unknown()) + " of " + Show.count(sum.keywords(), "keyword", "keywords")
                                + " unknown, and not in it");
    }

    /** The worth by the middles of ranges, such as 54,300; empty if it is unknown. */
    public String worth() {
        return lines.stream()
                .filter(line -> line.label().equals(LABELS.get(Worth.Part.VALUE)))
                .map(Line::middle)
                .findFirst()
                .orElse("");
    }

    /** The worth if it is known, else the clicks; empty if there is neither. */
    public String brief() {
        return lines.stream()
                .filter(line -> line.label().equals("Worth"))
                .findFirst()
                .or(() -> lines.stream().findFirst())
                .map(Expected::told)
                .orElse("");
    }

    /** Its figures in one line, such as "5,430 clicks, worth 54,300"; empty if there are none. */
    public String line() {
        return lines.stream().map(Expected::told).collect(Collectors.joining(", "));
    }

    private static String told(Line line) {
        boolean counted = line.label().equals("Clicks") || line.label().equals("Conversions");
        String label = line.label().toLowerCase(Locale.ENGLISH);
        String range = line.range().isEmpty() ? "" : " (" + line.range() + ")";
        return (counted ? line.middle() + " " + label : label + " " + line.middle()) + range;
    }
}

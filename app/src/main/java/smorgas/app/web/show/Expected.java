package smorgas.app.web.show;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import smorgas.core.text.Message;
import smorgas.core.value.EstimatedValue;

/**
 * What keywords may bring together in a month, as pages tell it.
 *
 * @param lines a figure each; none if nothing is assumed or known
 * @param unknown of how many keywords the worth is unknown, as a sentence; empty if of none
 */
public record Expected(List<Line> lines, Message unknown) {

    /**
     * A figure.
     *
     * @param middle by the middles of ranges
     * @param range from the low to the high end; empty if they are the same
     */
    public record Line(EstimatedValue.Part part, Message label, Message middle, String range) {}

    private static final Map<EstimatedValue.Part, Message> LABELS = Map.of(
            EstimatedValue.Part.CLICKS, Message.of("show.expected.clicks"),
            EstimatedValue.Part.CONVERSIONS, Message.of("show.expected.conversions"),
            EstimatedValue.Part.COST, Message.of("show.expected.cost"),
            EstimatedValue.Part.VALUE, Message.of("show.expected.estimated-value"),
            EstimatedValue.Part.RETURN, Message.of("show.expected.return"));

    /** As a sum tells it. */
    public static Expected of(EstimatedValue.Sum sum) {
        List<Line> lines = new ArrayList<>();
        for (EstimatedValue.Part part : EstimatedValue.Part.values()) {
            EstimatedValue.Total total = sum.parts().get(part);
            if (total != null) {
                String range = Show.whole(total.low(), total.high());
                lines.add(new Line(
                        part,
                        LABELS.get(part),
                        Message.verbatim(Show.marked(Show.whole(total.middle(), total.middle()), sum.simulated())),
                        range.contains("\u2013") ? range : ""));
            }
        }
        EstimatedValue.Total most =
                sum.parts().getOrDefault(EstimatedValue.Part.VALUE, sum.parts().get(EstimatedValue.Part.CLICKS));
        return new Expected(
                lines,
                most == null || most.unknown() == 0
                        ? Message.NONE
                        : Message.of("show.expected.keyword-unknown", most.unknown(), sum.keywords()));
    }

    /** The worth by the middles of ranges, such as 54,300; empty if it is unknown. */
    public Message estimatedValue() {
        return lines.stream()
                .filter(line -> line.part() == EstimatedValue.Part.VALUE)
                .map(Line::middle)
                .findFirst()
                .orElse(Message.NONE);
    }

    /** The worth if it is known, else the clicks; {@link Message#NONE} if there is neither. */
    public Message brief() {
        return lines.stream()
                .filter(line -> line.part() == EstimatedValue.Part.VALUE)
                .findFirst()
                .or(() -> lines.stream().findFirst())
                .map(Expected::told)
                .orElse(Message.NONE);
    }

    /** Its figures in one line, such as "5,430 clicks, worth 54,300"; {@link Message#NONE} if there are none. */
    public Message line() {
        return Message.joined("list.comma", lines.stream().map(Expected::told).toList());
    }

    private static Message told(Line line) {
        String part = "show.expected." + line.part().name().toLowerCase(Locale.ROOT) + ".told";
        Message told = Message.of(part, line.middle());
        return line.range().isEmpty() ? told : Message.of("show.expected.range", told, line.range());
    }
}

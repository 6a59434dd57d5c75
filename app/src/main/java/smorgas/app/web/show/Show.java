package smorgas.app.web.show;

import java.net.URLDecoder;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.util.Locale;
import java.util.OptionalDouble;
import org.jspecify.annotations.Nullable;
import smorgas.core.column.FigureColumn;
import smorgas.core.column.Numbers;
import smorgas.core.figure.Computed;
import smorgas.core.figure.Fact;
import smorgas.core.figure.Figure;
import smorgas.core.figure.Searched;
import smorgas.core.serve.Csv;
import smorgas.core.text.Message;
import smorgas.core.text.When;
import smorgas.core.text.Wording;

/** How figures are shown: thousands separators, and nothing where nothing is known. */
public final class Show {

    private Show() {}

    public static String count(long number) {
        return String.format(Locale.ENGLISH, "%,d", number);
    }

    /** {@code 1 keyword}, {@code 1,204 keywords}. */
    public static String count(long number, String one, String many) {
        return count(number) + " " + (number == 1 ? one : many);
    }

    /** The name of a file that was sent, without folders and control characters, of a length that a basket's name may have. */
    public static String fileName(@Nullable String sent, Wording wording) {
        String name = sent == null ? "" : sent;
        String bare = name.substring(Math.max(name.lastIndexOf('/'), name.lastIndexOf('\\')) + 1)
                .replaceAll("\\p{Cntrl}", " ")
                .strip();
        return bare.isEmpty() ? wording.of("show.unnamed-list") : bare.substring(0, Math.min(bare.length(), 180));
    }

    /** Such as "1 May 2026, 09:30:12 UTC". */
    public static Message moment(OffsetDateTime moment) {
        OffsetDateTime utc = moment.withOffsetSameInstant(ZoneOffset.UTC);
        return Message.of(
                "when.moment",
                When.day(utc.toLocalDate()),
                DateTimeFormatter.ofPattern("HH:mm:ss").format(utc));
    }

    /** A text as a value of an address's query. */
    public static String encoded(String text) {
        return URLEncoder.encode(text, StandardCharsets.UTF_8);
    }

    /** A text out of a value of an address's query; empty if it is none. */
    public static String decoded(String text) {
        try {
            return URLDecoder.decode(text, StandardCharsets.UTF_8);
        } catch (IllegalArgumentException e) {
            return "";
        }
    }

    /** A mean amount of money, in {@link Figure#CPC}'s parts; empty if it is unknown. */
    public static String money(OptionalDouble parts) {
        return parts.isEmpty() ? "" : String.format(Locale.ENGLISH, "%,.2f", parts.getAsDouble() / Figure.CPC.scale());
    }

    /** A whole percentage of a share between 0 and 1. */
    public static String percent(double share) {
        return Math.round(share * 100) + "%";
    }

    /** A figure of a row: empty if unknown, a range with its two ends. */
    public static String figure(Figure figure, @Nullable FigureColumn column, int row) {
        return column == null ? "" : number(figure, column, row);
    }

    /** A number of a row: empty if unknown, a range with its two ends. */
    public static String number(Fact fact, Numbers numbers, int row) {
        if (!numbers.known(row)) {
            return "";
        }
        if (fact == Figure.COMPETITION && numbers.low(row) != numbers.high(row)) {
            return marked(word(numbers.high(row)), numbers.simulated(row));
        }
        long scale = fact.scale();
        boolean worked = fact instanceof Computed && scale > 1;
        String low = worked ? hundredths(numbers.low(row)) : part(numbers.low(row), scale);
        String high = worked ? hundredths(numbers.high(row)) : part(numbers.high(row), scale);
        return marked(low.equals(high) ? low : low + "\u2013" + high, numbers.simulated(row));
    }

    /** A figure as it is written, with the mark of those that a stand-in has made up. */
    public static String marked(String figure, boolean simulated) {
        return simulated ? Searched.MARK + figure : figure;
    }

    /** What is searched, with the word behind it. */
    public static Message searches(Searched searches) {
        return searches.simulated()
                ? Message.of("show.searches-simulated", searches.sum())
                : Message.of("show.searches", searches.sum());
    }

    /** An amount in hundredths: with both decimals below a hundred, where they tell something. */
    public static String hundredths(double parts) {
        return String.format(Locale.ENGLISH, Math.abs(parts) < 10_000 ? "%,.2f" : "%,.0f", parts / 100);
    }

    /** An amount in hundredths without decimals, from low to high where they differ. */
    public static String whole(double low, double high) {
        String from = String.format(Locale.ENGLISH, "%,.0f", low / 100);
        String to = String.format(Locale.ENGLISH, "%,.0f", high / 100);
        return from.equals(to) ? from : from + "\u2013" + to;
    }

    /** The word that stood in the list; see {@link Figure#COMPETITION} for the ranges. */
    private static String word(long highest) {
        return highest <= 33 ? "low" : highest <= 66 ? "medium" : "high";
    }

    private static String part(long parts, long scale) {
        return scale == 1 ? count(parts) : grouped(Csv.amount(parts, scale));
    }

    /** The amount with commas between its thousands, as counts have them. */
    private static String grouped(String amount) {
        int point = amount.indexOf('.') < 0 ? amount.length() : amount.indexOf('.');
        StringBuilder grouped = new StringBuilder(amount);
        for (int at = point - 3; at > (amount.startsWith("-") ? 1 : 0); at -= 3) {
            grouped.insert(at, ',');
        }
        return grouped.toString();
    }
}

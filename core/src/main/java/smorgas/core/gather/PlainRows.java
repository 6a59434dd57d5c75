package smorgas.core.gather;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * The rows of a plain list: one keyword a line, without the bullet or the list number before it. A number is a list
 * number only if it has a dot or a bracket and runs on from the line before or into the line after, or is the number of its
 * line, so that {@code 10 frame hive} keeps its 10 and a lone {@code 4. gauge} its 4.
 */
final class PlainRows {

    static final TextFormat FORMAT = TextFormat.of(
            Reading.Format.PLAIN,
            true,
            written -> Optional.of(sink -> forEach(written.text(), !written.cellsChosen(), sink)));

    private static final Pattern NUMBERED = Pattern.compile("\\s*(\\d{1,9})[.)]\\s+(\\S.*)");
    private static final Pattern BULLETED =
            Pattern.compile("\\s*[-*\\u2022\\u2023\\u25E6\\u2043\\u2219\\u2013\\u2014]\\s+(\\S.*)");

    /** Lines on which a list that is written beside each other may go on. */
    private static final int MOST_LISTED = 30;

    private PlainRows() {}

    /** @param beside whether keywords may stand beside each other on a line */
    static void forEach(String text, boolean beside, RowSink sink) {
        List<String> lines = text.lines().toList();
        if (beside && listed(lines)) {
            for (int line = 0; line < lines.size(); line++) {
                for (String keyword : parts(lines.get(line))) {
                    if (!keyword.isBlank()) {
                        sink.row(line + 1, new String[] {keyword.strip()});
                    }
                }
            }
            return;
        }
        int before = -1;
        int place = 0;
        int i = filled(lines, 0);
        int number = i < lines.size() ? number(lines.get(i)) : -1;
        while (i < lines.size()) {
            // Blank lines between do not part a numbered list.
            int next = filled(lines, i + 1);
            int after = next < lines.size() ? number(lines.get(next)) : -1;
            place++;
            boolean runsOn = number >= 0
                    && (number == before + 1 && (before >= 0 || number == 1)
                            || after == number + 1
                            || number == place && place > 1);
            sink.row(i + 1, new String[] {bare(lines.get(i), runsOn)});
            before = number;
            number = after;
            i = next;
        }
    }

    /** The place of the first line from here on that is not blank. */
    private static int filled(List<String> lines, int from) {
        int i = from;
        while (i < lines.size() && lines.get(i).isBlank()) {
            i++;
        }
        return i;
    }

    /** Whether the keywords stand beside each other on a line or a few, parted by semicolons or commas. */
    static boolean listed(List<String> lines) {
        List<String> filled = lines.stream()
                .filter(line -> !line.isBlank())
                .limit(MOST_LISTED + 1)
                .toList();
        int parts = filled.stream().mapToInt(line -> parts(line).length).sum();
        boolean prose = filled.stream()
                .allMatch(line -> parts(line).length > 1
                        && Arrays.stream(parts(line))
                                .allMatch(part -> part.strip().split("\\s+").length <= 8));
        return !filled.isEmpty() && filled.size() <= MOST_LISTED && prose && parts > 2 * filled.size();
    }

    /** A line on which all keywords of a list may stand, parted by semicolons, else by commas. */
    private static String[] parts(String line) {
        return line.split(line.indexOf(';') >= 0 ? ";" : ",");
    }

    private static String bare(String line, boolean runsOn) {
        if (runsOn) {
            Matcher numbered = NUMBERED.matcher(line);
            if (numbered.matches()) {
                return numbered.group(2);
            }
        }
        if (line.length() > 2 && !Character.isLetterOrDigit(line.stripLeading().charAt(0))) {
            Matcher bulleted = BULLETED.matcher(line);
            if (bulleted.matches()) {
                return bulleted.group(1);
            }
        }
        return line;
    }

    /** The list number of a line; -1 if it has none. */
    private static int number(String line) {
        // Most lines do not begin with a digit; the pattern is for those that do.
        int i = 0;
        while (i < line.length() && Character.isWhitespace(line.charAt(i))) {
            i++;
        }
        if (i == line.length() || line.charAt(i) < '0' || line.charAt(i) > '9') {
            return -1;
        }
        Matcher numbered = NUMBERED.matcher(line);
        return numbered.matches() ? Integer.parseInt(numbered.group(1)) : -1;
    }
}

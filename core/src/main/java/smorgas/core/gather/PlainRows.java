package smorgas.core.gather;

import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * The rows of a plain list: one keyword a line, without the bullet or the list number before it. A number is a list
 * number only if it has a dot or a bracket and runs on from the line before or into the line after, so that {@code 10
 * frame hive} keeps its 10 and a lone {@code 4. gauge} its 4.
 */
final class PlainRows {

    private static final Pattern NUMBERED = Pattern.compile("\\s*(\\d{1,9})[.)]\\s+(\\S.*)");
    private static final Pattern BULLETED =
            Pattern.compile("\\s*[-*\\u2022\\u2023\\u25E6\\u2043\\u2219\\u2013\\u2014]\\s+(\\S.*)");

    private PlainRows() {}

    static void forEach(String text, RowSink sink) {
        List<String> lines = text.lines().toList();
        List<String> filled =
                lines.stream().filter(line -> !line.isBlank()).limit(2).toList();
        if (filled.size() == 1 && parts(filled.getFirst()).length > 2) {
            int line = lines.indexOf(filled.getFirst()) + 1;
            for (String keyword : parts(filled.getFirst())) {
                if (!keyword.isBlank()) {
                    sink.row(line, new String[] {keyword.strip()});
                }
            }
            return;
        }
        int before = -1;
        int number = lines.isEmpty() ? -1 : number(lines.getFirst());
        for (int i = 0; i < lines.size(); i++) {
            int after = i + 1 < lines.size() ? number(lines.get(i + 1)) : -1;
            String line = lines.get(i);
            if (!line.isBlank()) {
                boolean runsOn =
                        number >= 0 && (number == before + 1 && (before >= 0 || number == 1) || after == number + 1);
                sink.row(i + 1, new String[] {bare(line, runsOn)});
                before = number;
            }
            number = after;
        }
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

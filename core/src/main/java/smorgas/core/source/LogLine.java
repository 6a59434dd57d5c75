package smorgas.core.source;

import java.time.DateTimeException;
import java.time.LocalDate;
import java.util.List;
import org.jspecify.annotations.Nullable;
import smorgas.core.text.Message;

/**
 * A line of an access log in the common or the combined format, as the documentation of web servers publishes them:
 * {@code host identity user [day/month/year:hour:minute:second zone] "request" status bytes}, and in the combined one behind it
 * {@code "referrer" "agent"}. A server may write its own name and port before the host, and more behind.
 *
 * @param visitor tells visitors apart, no more
 * @param second since 1970 in universal time
 * @param day the day as the server counts it
 * @param target what was asked for, path and query
 * @param referrer where the visitor came from; empty if the log does not tell
 */
record LogLine(long visitor, long second, LocalDate day, String target, int status, String referrer) {

    private static final List<String> MONTHS =
            List.of("Jan", "Feb", "Mar", "Apr", "May", "Jun", "Jul", "Aug", "Sep", "Oct", "Nov", "Dec");

    /** A line that says what it says, or what is wrong with it. */
    sealed interface Read {
        record Line(LogLine line) implements Read {}

        record Strange(Message why) implements Read {}
    }

    static Read read(String line) {
        int open = line.indexOf('[');
        int close = open < 0 ? -1 : line.indexOf(']', open);
        if (open < 6 || close < 0 || spaces(line, open) < 3) {
            return new Read.Strange(
                    open >= 6 && close < 0
                            ? Message.of("source.log-line.cut-off-date")
                            : Message.of("source.log-line.format-known-here"));
        }
        int request = close + 2;
        if (request >= line.length() || line.charAt(request) != '"') {
            return new Read.Strange(
                    request >= line.length()
                            ? Message.of("source.log-line.cut-off-behind-date")
                            : Message.of("source.log-line.it-has-no-request"));
        }
        int requestEnd = quoteEnd(line, request + 1);
        if (requestEnd < 0) {
            return new Read.Strange(Message.of("source.log-line.cut-off-request"));
        }
        @Nullable Time time = Time.read(line, open + 1, close);
        if (time == null) {
            return new Read.Strange(Message.of("source.log-line.date-none"));
        }
        int status = number(line, requestEnd + 2);
        if (status < 100 || status > 999) {
            return new Read.Strange(Message.of("source.log-line.it-has-no-status"));
        }
        int from = line.indexOf('"', requestEnd + 1);
        int end = from < 0 ? -1 : quoteEnd(line, from + 1);
        if (from >= 0 && end < 0) {
            return new Read.Strange(Message.of("source.log-line.cut-off-referrer"));
        }
        String referrer = from < 0 ? "" : plain(line, from + 1, end);
        String agent = from < 0 ? "" : agent(line, end + 1);
        return new Read.Line(new LogLine(
                ((long) host(line).hashCode() << 32) ^ (agent.hashCode() & 0xffffffffL),
                time.second,
                time.day,
                target(plain(line, request + 1, requestEnd)),
                status,
                referrer.equals("-") ? "" : referrer));
    }

    private static String agent(String line, int from) {
        int begin = line.indexOf('"', from);
        int end = begin < 0 ? -1 : quoteEnd(line, begin + 1);
        return begin < 0 ? "" : line.substring(begin + 1, end < 0 ? line.length() : end);
    }

    private static int spaces(String line, int end) {
        int spaces = 0;
        for (int at = 0; at < end; at++) {
            spaces += line.charAt(at) == ' ' ? 1 : 0;
        }
        return spaces;
    }

    /** Who asked; a server's own name and port may stand before. */
    private static String host(String line) {
        int end = line.indexOf(' ');
        String first = line.substring(0, end);
        int colon = first.lastIndexOf(':');
        boolean server =
                colon > 0 && colon == first.indexOf(':') && colon < first.length() - 1 && number(first, colon + 1) > 0;
        return server ? line.substring(end + 1, line.indexOf(' ', end + 1)) : first;
    }

    /** The quote that ends a text; those behind a backslash do not. */
    private static int quoteEnd(String line, int from) {
        for (int at = from; at < line.length(); at++) {
            char sign = line.charAt(at);
            if (sign == '\\') {
                at++;
            } else if (sign == '"') {
                return at;
            }
        }
        return -1;
    }

    private static String plain(String line, int from, int end) {
        String text = line.substring(from, end);
        return text.indexOf('\\') < 0 ? text : text.replace("\\\"", "\"").replace("\\\\", "\\");
    }

    /** Method, target and protocol stand in a request; very old ones have no protocol. */
    private static String target(String request) {
        int first = request.indexOf(' ');
        int last = request.lastIndexOf(' ');
        return first < 0 ? "" : last > first ? request.substring(first + 1, last) : request.substring(first + 1);
    }

    private static int number(String line, int from) {
        int number = 0;
        for (int at = from; at < line.length() && at < from + 3; at++) {
            int digit = line.charAt(at) - '0';
            if (digit < 0 || digit > 9) {
                return 0;
            }
            number = 10 * number + digit;
        }
        return number;
    }

    /** 10/Oct/2000:13:55:36 -0700. */
    private record Time(long second, LocalDate day) {

        private static final int LENGTH = 26;

        static @Nullable Time read(String line, int from, int to) {
            int month = to - from == LENGTH ? MONTHS.indexOf(line.substring(from + 3, from + 6)) + 1 : 0;
            int[] parts = new int[8];
            int[] places = {0, 2, 7, 4, 12, 2, 15, 2, 18, 2, 22, 2, 24, 2};
            for (int part = 0; month > 0 && part < places.length / 2; part++) {
                for (int at = places[2 * part]; at < places[2 * part] + places[2 * part + 1]; at++) {
                    int digit = line.charAt(from + at) - '0';
                    if (digit < 0 || digit > 9) {
                        return null;
                    }
                    parts[part] = 10 * parts[part] + digit;
                }
            }
            if (month == 0) {
                return null;
            }
            try {
                LocalDate day = LocalDate.of(parts[1], month, parts[0]);
                long zone = 60L * (60 * parts[5] + parts[6]) * (line.charAt(from + 21) == '-' ? -1 : 1);
                return new Time(day.toEpochDay() * 86_400 + 3_600L * parts[2] + 60L * parts[3] + parts[4] - zone, day);
            } catch (DateTimeException e) {
                return null;
            }
        }
    }
}

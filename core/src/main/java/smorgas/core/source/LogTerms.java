package smorgas.core.source;

import it.unimi.dsi.fastutil.ints.IntArrayList;
import it.unimi.dsi.fastutil.longs.LongArrayList;
import java.io.IOException;
import java.io.InputStream;
import java.io.PushbackInputStream;
import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;
import java.util.zip.GZIPInputStream;
import org.jspecify.annotations.Nullable;
import smorgas.core.figure.ColumnRole;
import smorgas.core.recipe.gather.LogReading;
import smorgas.core.text.Formulas;
import smorgas.core.text.Message;
import smorgas.core.text.Tidy;

/**
 * Counts the searches of access logs. A visit is what one address does with one program without a pause of half an hour (common
 * practice); a term counts once a visit, and a goal that the visit reaches later counts once for every term it had searched for.
 * Of addresses and programs nothing is kept but what tells the visits of the moment apart, so that memory stays flat however
 * long a log is.
 */
public final class LogTerms {

    /** A visit is over when nothing came for so many seconds. */
    private static final int PAUSE = 1_800;
    /** So many visits are told apart at a time; of more the one that was longest without a line is over. */
    private static final int MOST_VISITS = 200_000;

    private static final int MOST_TERMS = 500_000;
    private static final int LONGEST_TERM = 200;
    private static final int LONGEST_LINE = 64_000;
    /** So many digits are a telephone number, a card or an account, and no size or year. */
    private static final int PERSONAL_DIGITS = 7;

    private static final Charset WINDOWS = Charset.forName("windows-1252");

    private final LogReading wanted;
    private final Set<String> parameters = new HashSet<>();
    private final Map<String, Integer> numbers = new HashMap<>();
    private final List<Term> terms = new ArrayList<>();
    private final Map<Long, Visit> visits;
    /** Where the log is, blank lines too. */
    private long row;

    private long lines;
    private long searches;
    private long strange;
    private Message firstStrange = Message.NONE;
    private long personal;
    private long others;

    /**
     * A term and what was counted of it.
     *
     * @param goals that visits reached after it, by their weights
     */
    public record Found(String text, long visits, LocalDate first, LocalDate last, long goals) {}

    /** What came of logs: the terms, those of most visits first. */
    public record Result(List<Found> terms, LogReading.Counted counted) {

        /**
         * As a list to be gathered.
         *
         * @param goals whether there is a column of goals
         */
        public MadeList list(boolean goals) {
            List<MadeList.Column> columns = new ArrayList<>(List.of(
                    MadeList.Column.KEYWORD,
                    new MadeList.Column("site visits", ColumnRole.VISITS),
                    new MadeList.Column("first seen", ColumnRole.OTHER),
                    new MadeList.Column("last seen", ColumnRole.OTHER)));
            if (goals) {
                columns.add(new MadeList.Column("goals", ColumnRole.GOALS));
            }
            return new MadeList(
                    columns,
                    terms.stream()
                            .map(term -> Stream.of(
                                            term.text(),
                                            String.valueOf(term.visits()),
                                            term.first().toString(),
                                            term.last().toString(),
                                            String.valueOf(term.goals()))
                                    .limit(columns.size())
                                    .toList())
                            .toList());
        }
    }

    private static final class Term {
        private final String text;
        private long visits;
        private LocalDate first = LocalDate.MAX;
        private LocalDate last = LocalDate.MIN;
        private long goals;

        Term(String text) {
            this.text = text;
        }
    }

    private static final class Visit {
        private long last;
        private final IntArrayList terms = new IntArrayList(0);
        /** Goal and term, of those that were counted. */
        private final LongArrayList counted = new LongArrayList(0);
    }

    public LogTerms(LogReading wanted) {
        this.wanted = wanted;
        wanted.parameters().forEach(name -> parameters.add(name.toLowerCase(Locale.ROOT)));
        this.visits = new LinkedHashMap<>(1_024, 0.75f, true) {
            @Override
            protected boolean removeEldestEntry(Map.Entry<Long, Visit> eldest) {
                return size() > MOST_VISITS;
            }
        };
    }

    /**
     * Reads one log, plain or packed with gzip; lines that are none are counted.
     *
     * @param going asked now and then; it may throw to end the reading
     * @throws IOException if the bytes cannot be read to their end; what was counted before stands
     */
    public void read(InputStream bytes, Runnable going) throws IOException {
        row = 0;
        PushbackInputStream ahead = new PushbackInputStream(bytes, 2);
        byte[] magic = ahead.readNBytes(2);
        ahead.unread(magic);
        boolean packed = magic.length == 2 && (magic[0] & 0xff) == 0x1f && (magic[1] & 0xff) == 0x8b;
        InputStream plain = packed ? new GZIPInputStream(ahead, 1 << 16) : ahead;
        Lines all = new Lines(plain);
        for (String line = all.next(); line != null; line = all.next()) {
            if (row % 8_192 == 0) {
                going.run();
            }
            row++;
            if (!line.isBlank()) {
                lines++;
                line(line);
            }
        }
    }

    /** The lines of a stream, cut where they are longer than any line is. Every byte is a sign: what is in addresses is decoded later. */
    private static final class Lines {
        private final InputStream in;
        private final byte[] buffer = new byte[1 << 16];
        private byte[] line = new byte[1_024];
        private int at;
        private int end;

        Lines(InputStream in) {
            this.in = in;
        }

        @Nullable
        String next() throws IOException {
            int size = 0;
            boolean any = false;
            while (true) {
                if (at == end) {
                    end = in.read(buffer);
                    at = 0;
                    if (end < 0) {
                        end = 0;
                        return any ? text(size) : null;
                    }
                }
                any |= end > at;
                int from = at;
                while (at < end && buffer[at] != '\n') {
                    at++;
                }
                int some = Math.min(at - from, LONGEST_LINE - size);
                if (size + some > line.length) {
                    line = Arrays.copyOf(line, Math.max(size + some, 2 * line.length));
                }
                System.arraycopy(buffer, from, line, size, some);
                size += some;
                if (at < end) {
                    at++;
                    return text(size);
                }
            }
        }

        private String text(int size) {
            int without = size > 0 && line[size - 1] == '\r' ? size - 1 : size;
            return new String(line, 0, without, StandardCharsets.ISO_8859_1);
        }
    }

    private void line(String text) {
        switch (LogLine.read(text)) {
            case LogLine.Read.Strange why -> {
                if (strange++ == 0) {
                    firstStrange = Message.of("source.log-terms.line", row, why.why());
                }
            }
            case LogLine.Read.Line read -> {
                if (read.line().status() < 400) {
                    follow(read.line());
                }
            }
        }
    }

    private void follow(LogLine line) {
        Visit visit = visits.get(line.visitor());
        if (visit == null || Math.abs(line.second() - visit.last) > PAUSE) {
            visit = new Visit();
            visits.put(line.visitor(), visit);
        }
        visit.last = line.second();
        reach(visit, line.target());
        search(visit, line.target(), line.day());
        if (wanted.referrers() && !line.referrer().isEmpty()) {
            search(visit, line.referrer(), line.day());
        }
    }

    private void reach(Visit visit, String target) {
        if (wanted.goals().isEmpty() || visit.terms.isEmpty()) {
            return;
        }
        int query = target.indexOf('?');
        String path = query < 0 ? target : target.substring(0, query);
        for (int goal = 0; goal < wanted.goals().size(); goal++) {
            if (wanted.goals().get(goal).reached(path)) {
                long first = (long) goal * MOST_TERMS;
                int weight = wanted.goals().get(goal).weight();
                for (int term : visit.terms.toIntArray()) {
                    if (!visit.counted.contains(first + term)) {
                        visit.counted.add(first + term);
                        terms.get(term).goals += weight;
                    }
                }
            }
        }
    }

    private void search(Visit visit, String address, LocalDate day) {
        int query = address.indexOf('?');
        if (query < 0) {
            return;
        }
        int end = address.indexOf('#', query);
        String part = address.substring(query + 1, end < 0 ? address.length() : end);
        for (int from = 0; from <= part.length(); ) {
            int and = part.indexOf('&', from);
            int to = and < 0 ? part.length() : and;
            int equals = part.indexOf('=', from);
            if (equals > from
                    && equals < to
                    && parameters.contains(decoded(part.substring(from, equals)).toLowerCase(Locale.ROOT))) {
                term(visit, searched(decoded(part.substring(equals + 1, to))), day);
            }
            from = to + 1;
        }
    }

    /** What was searched for, without the signs in front that a spreadsheet would take for the start of a formula. */
    private static String searched(String typed) {
        String text = Tidy.of(typed);
        int start = 0;
        while (start < text.length() && Formulas.runs(text.substring(start))) {
            start++;
        }
        return start == 0 ? text : Tidy.of(text.substring(start));
    }

    private void term(Visit visit, String text, LocalDate day) {
        if (text.isEmpty()) {
            return;
        }
        Integer known = numbers.get(text);
        if (known != null && visit.terms.contains(known.intValue())) {
            return;
        }
        searches++;
        if (personal(text)) {
            personal++;
        } else if (text.length() > LONGEST_TERM || known == null && terms.size() >= MOST_TERMS) {
            others++;
        } else {
            int number = known != null ? known : terms.size();
            if (known == null) {
                numbers.put(text, number);
                terms.add(new Term(text));
            }
            Term term = terms.get(number);
            term.visits++;
            term.first = day.isBefore(term.first) ? day : term.first;
            term.last = day.isAfter(term.last) ? day : term.last;
            visit.terms.add(number);
        }
    }

    /** Whether a term looks like a mail address, or holds a number as persons have them. */
    static boolean personal(String text) {
        int digits = 0;
        for (int at = 0; at < text.length(); at++) {
            char sign = text.charAt(at);
            if (Character.isDigit(sign)) {
                if (++digits >= PERSONAL_DIGITS) {
                    return true;
                }
            } else if (" -./()+".indexOf(sign) < 0) {
                digits = 0;
            }
        }
        int at = text.indexOf('@');
        return at > 0 && at < text.length() - 1 && text.charAt(at - 1) != ' ' && text.charAt(at + 1) != ' ';
    }

    /** Percent signs and pluses as forms write them; bytes that are no UTF-8 are those of older pages. */
    private static String decoded(String text) {
        byte[] bytes = new byte[text.length()];
        int size = 0;
        for (int at = 0; at < text.length(); at++) {
            char sign = text.charAt(at);
            int high = sign == '%' && at + 2 < text.length() ? Character.digit(text.charAt(at + 1), 16) : -1;
            int low = high >= 0 ? Character.digit(text.charAt(at + 2), 16) : -1;
            if (low >= 0) {
                bytes[size++] = (byte) (16 * high + low);
                at += 2;
            } else {
                bytes[size++] = (byte) (sign == '+' ? ' ' : sign);
            }
        }
        try {
            return StandardCharsets.UTF_8
                    .newDecoder()
                    .decode(ByteBuffer.wrap(bytes, 0, size))
                    .toString();
        } catch (CharacterCodingException e) {
            return new String(bytes, 0, size, WINDOWS);
        }
    }

    /** What was counted until now. */
    public Result result() {
        List<Found> found = terms.stream()
                .filter(term -> term.visits >= wanted.least())
                .map(term -> new Found(term.text, term.visits, term.first, term.last, term.goals))
                .sorted(Comparator.comparingLong(Found::visits).reversed().thenComparing(Found::text))
                .toList();
        return new Result(
                found,
                new LogReading.Counted(
                        lines, searches, strange, firstStrange, personal, others, terms.size() - found.size()));
    }
}

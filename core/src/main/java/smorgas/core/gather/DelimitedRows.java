package smorgas.core.gather;

import de.siegmar.fastcsv.reader.CommentStrategy;
import de.siegmar.fastcsv.reader.CsvParseException;
import de.siegmar.fastcsv.reader.CsvReader;
import de.siegmar.fastcsv.reader.CsvRecord;
import de.siegmar.fastcsv.reader.CsvRecordHandler;
import de.siegmar.fastcsv.reader.FieldMismatchStrategy;
import java.io.Reader;
import java.util.Arrays;
import java.util.Iterator;
import java.util.Optional;
import smorgas.core.text.Message;

/**
 * The rows of a delimited text (RFC 4180, any delimiter). A quote that is opened and not closed within {@value
 * #LONGEST_CELL_LINES} lines is taken for a slip: that one line is set aside and reading goes on with the next, instead of
 * swallowing the rest of the file.
 */
final class DelimitedRows implements RowSource {

    static final TextFormat FORMAT = TextFormat.of(Reading.Format.DELIMITED, true, written -> {
        char delimiter = written.delimiter();
        return delimiter == Reading.PLAIN
                ? Optional.empty()
                : Optional.of(new DelimitedRows(written.text(), delimiter, written.problems()));
    });

    static final int LONGEST_CELL_LINES = 20;

    private final String text;
    private final char delimiter;
    private final Problems problems;
    /** Where reading stands after a slip: offset in the text, and lines before it. */
    private int from;

    private int linesBefore;

    DelimitedRows(String text, char delimiter, Problems problems) {
        this.text = text;
        this.delimiter = delimiter;
        this.problems = problems;
    }

    @Override
    public char delimiter() {
        return delimiter;
    }

    @Override
    public void forEach(RowSink sink) {
        boolean more = true;
        while (more) {
            more = readUntilSlip(sink);
        }
    }

    /** Reads up to the end or to a slip; true if there is a rest to read after a slip. */
    private boolean readUntilSlip(RowSink sink) {
        int base = linesBefore;
        // From where it stands, without a copy of the rest: a text with a slip every few lines is read in one go all
        // the same.
        try (CsvReader<CsvRecord> reader = reader(new RestOf(text, from), delimiter)) {
            Iterator<CsvRecord> records = reader.iterator();
            while (records.hasNext()) {
                CsvRecord record = records.next();
                int line = base + (int) record.getStartingLineNumber();
                String[] cells = cells(record);
                if (longestCell(cells) > LONGEST_CELL_LINES) {
                    return slip(line);
                }
                boolean last;
                try {
                    last = !records.hasNext();
                } catch (CsvParseException e) {
                    // Of the next row; this one is as it should be.
                    sink.row(line, cells);
                    return tooMuch(filled(line + 1 + breaks(cells)));
                }
                if (last && unclosed(line, cells)) {
                    return slip(line);
                }
                sink.row(line, cells);
            }
            return false;
        } catch (CsvParseException e) {
            return tooMuch(filled(base + 1));
        } catch (java.io.IOException e) {
            throw new java.io.UncheckedIOException(e);
        }
    }

    // The lenient switch has no successor yet, and lists do hold cells such as "bee" hive.
    @SuppressWarnings("removal")
    static CsvReader<CsvRecord> reader(Reader text, char delimiter) {
        return CsvReader.builder()
                .fieldSeparator(delimiter)
                .commentStrategy(CommentStrategy.NONE)
                .extraFieldStrategy(FieldMismatchStrategy.IGNORE)
                .missingFieldStrategy(FieldMismatchStrategy.IGNORE)
                .allowExtraCharsAfterClosingQuote(true)
                .skipEmptyLines(true)
                .build(
                        CsvRecordHandler.of(handler -> handler.maxFields(ListBounds.MOST_CELLS)
                                .maxFieldSize(ListBounds.LONGEST_LINE)
                                .maxRecordSize(2 * ListBounds.LONGEST_LINE)),
                        text);
    }

    static String[] cells(CsvRecord record) {
        String[] cells = new String[record.getFieldCount()];
        for (int i = 0; i < cells.length; i++) {
            cells[i] = record.getField(i);
        }
        return cells;
    }

    /** A text from some place on, which counts what is taken of it. */
    static final class RestOf extends Reader {
        private final String text;
        private int at;

        RestOf(String text, int from) {
            this.text = text;
            this.at = from;
        }

        @Override
        public int read(char[] into, int start, int length) {
            int count = Math.min(length, text.length() - at);
            if (count <= 0) {
                return -1;
            }
            text.getChars(at, at + count, into, start);
            at += count;
            return count;
        }

        @Override
        public void close() {
            // There is nothing to give back.
        }
    }

    private static int longestCell(String[] cells) {
        int longest = 0;
        for (String cell : cells) {
            if (cell.length() > LONGEST_CELL_LINES) {
                int breaks = 0;
                for (int i = 0; i < cell.length(); i++) {
                    breaks += cell.charAt(i) == '\n' ? 1 : 0;
                }
                longest = Math.max(longest, breaks);
            }
        }
        return longest;
    }

    /** Whether the last row, which begins on this line, runs over several lines because a quote was never closed. */
    private boolean unclosed(int line, String[] cells) {
        if (Arrays.stream(cells).noneMatch(cell -> cell.indexOf('\n') >= 0 || cell.indexOf('\r') >= 0)) {
            return false;
        }
        int start = from;
        for (int at = linesBefore + 1; at < line && start >= 0; at++) {
            start = lineEnd(start);
        }
        return start >= 0 && text.chars().skip(start).filter(c -> c == '"').count() % 2 == 1;
    }

    private static int breaks(String[] cells) {
        int breaks = 0;
        for (String cell : cells) {
            breaks += (int) cell.lines().count();
            breaks -= cell.isEmpty() ? 0 : 1;
        }
        return breaks;
    }

    /** The first line from this one on that is not empty. */
    private int filled(int line) {
        int at = from;
        for (int before = linesBefore + 1; before < line && at >= 0; before++) {
            at = lineEnd(at);
        }
        int found = line;
        while (at >= 0 && at < text.length() && (text.charAt(at) == '\n' || text.charAt(at) == '\r')) {
            at = lineEnd(at);
            found++;
        }
        return found;
    }

    private boolean tooMuch(int line) {
        return skipped(
                line,
                Message.of("gather.delimited-rows.row-more-than-cells", ListBounds.MOST_CELLS),
                Message.of("gather.delimited-rows.it-was-skipped"));
    }

    private boolean slip(int line) {
        return skipped(
                line,
                Message.of("gather.delimited-rows.quote-opened-closed-neither", LONGEST_CELL_LINES),
                Message.of("gather.delimited-rows.line-set-aside-reading"));
    }

    /** Goes on behind a line that cannot be read; true if there is anything behind it. */
    private boolean skipped(int line, Message what, Message todo) {
        problems.addRow(line, what, todo);
        while (linesBefore < line) {
            int end = lineEnd(from);
            if (end < 0) {
                return false;
            }
            from = end;
            linesBefore++;
        }
        return from < text.length();
    }

    /** The offset behind the line that begins at the offset (line feed, carriage return, or both); -1 if it is the last. */
    private int lineEnd(int start) {
        for (int i = start; i < text.length(); i++) {
            char c = text.charAt(i);
            if (c == '\n') {
                return i + 1;
            }
            if (c == '\r') {
                return i + 1 < text.length() && text.charAt(i + 1) == '\n' ? i + 2 : i + 1;
            }
        }
        return -1;
    }
}

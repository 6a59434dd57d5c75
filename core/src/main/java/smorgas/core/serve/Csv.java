package smorgas.core.serve;

import de.siegmar.fastcsv.writer.CsvWriter;
import de.siegmar.fastcsv.writer.LineDelimiter;
import de.siegmar.fastcsv.writer.QuoteStrategy;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.io.Writer;
import java.util.List;
import smorgas.core.column.FigureColumn;
import smorgas.core.column.Numbers;
import smorgas.core.figure.Figure;
import smorgas.core.text.Formulas;

/**
 * Writes tables for reading as RFC 4180 CSV. Cells that a spreadsheet would run as a formula are neutralised (OWASP, CSV
 * injection): they get a leading apostrophe.
 */
public final class Csv implements AutoCloseable {

    /** In quotes a semicolon parts no cell, where a spreadsheet takes it for the delimiter. */
    private static final QuoteStrategy SEMICOLONS = new QuoteStrategy() {
        @Override
        public boolean quoteValue(int line, int field, String value) {
            return value.indexOf(';') >= 0 || value.indexOf('\t') >= 0;
        }
    };

    private final CsvWriter out;

    public Csv(Writer to) {
        this(to, ',');
    }

    /** Cells with tabs between them, as spreadsheets take them from a paste. */
    public static Csv forPasting(Writer to) {
        return new Csv(to, '\t');
    }

    private Csv(Writer to, char between) {
        out = CsvWriter.builder()
                .fieldSeparator(between)
                .lineDelimiter(LineDelimiter.CRLF)
                .quoteStrategy(SEMICOLONS)
                .build(to);
    }

    /** Writes one row, each cell neutralised if need be. */
    public void row(String... cells) {
        String[] safe = new String[cells.length];
        for (int i = 0; i < cells.length; i++) {
            safe[i] = Formulas.safe(cells[i]);
        }
        out.writeRecord(safe);
    }

    /** Writes what is written yet to where it goes. */
    void flush() {
        try {
            out.flush();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    @Override
    public void close() {
        try {
            out.close();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** Several texts for a cell, with bars between them; most cells have one or none, and there are millions of them. */
    public static String texts(List<String> texts) {
        return switch (texts.size()) {
            case 0 -> "";
            case 1 -> texts.getFirst();
            default -> String.join(" | ", texts);
        };
    }

    /** A figure for a cell: empty if unknown, {@code 1000-10000} for a range, decimals with a point. */
    public static String figure(Figure figure, @org.jspecify.annotations.Nullable FigureColumn column, int row) {
        return column == null ? "" : number(column, figure.scale(), row);
    }

    /** A number for a cell: empty if unknown, {@code 1000-10000} for a range, decimals with a point. */
    public static String number(Numbers numbers, long scale, int row) {
        if (!numbers.known(row)) {
            return "";
        }
        long low = numbers.low(row);
        long high = numbers.high(row);
        return low == high ? amount(low, scale) : amount(low, scale) + "-" + amount(high, scale);
    }

    /** Parts of a unit as a decimal number without needless zeros; money keeps two decimals. */
    public static String amount(long parts, long scale) {
        int least = scale == Figure.CPC.scale() ? 2 : 0;
        if (scale == 1) {
            return Long.toString(parts);
        }
        long rest = Math.abs(parts % scale);
        StringBuilder written = new StringBuilder(24);
        if (parts < 0) {
            written.append('-');
        }
        written.append(Math.abs(parts / scale));
        int point = written.length();
        written.append('.');
        // Scales are powers of ten, so that each further digit is a tenth of the one before it.
        for (long unit = scale / 10; unit > 0 && (rest > 0 || written.length() - point <= least); unit /= 10) {
            written.append((char) ('0' + rest / unit));
            rest %= unit;
        }
        return written.length() == point + 1 ? written.substring(0, point) : written.toString();
    }
}

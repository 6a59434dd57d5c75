package smorgas.core.serve;

import de.siegmar.fastcsv.writer.CsvWriter;
import de.siegmar.fastcsv.writer.LineDelimiter;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.io.Writer;
import java.math.BigDecimal;
import smorgas.core.column.Figure;
import smorgas.core.column.FigureColumn;

/**
 * Writes tables for reading as RFC 4180 CSV. Cells that a spreadsheet would run as a formula are neutralised (OWASP, CSV
 * injection): they get a leading apostrophe.
 */
public final class Csv implements AutoCloseable {

    private static final String FORMULA_STARTS = "=+-@\t\r\uFF1D\uFF0B\uFF0D\uFF20";

    private final CsvWriter out;

    public Csv(Writer to) {
        out = CsvWriter.builder().lineDelimiter(LineDelimiter.CRLF).build(to);
    }

    /** Writes one row, each cell neutralised if need be. */
    public void row(String... cells) {
        String[] safe = new String[cells.length];
        for (int i = 0; i < cells.length; i++) {
            safe[i] = looksLikeFormula(cells[i]) ? "'" + cells[i] : cells[i];
        }
        out.writeRecord(safe);
    }

    @Override
    public void close() {
        try {
            out.close();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** Whether a spreadsheet might run the text; a plain number is none, also below zero. */
    public static boolean looksLikeFormula(String cell) {
        return !cell.isEmpty()
                && FORMULA_STARTS.indexOf(cell.charAt(0)) >= 0
                && !cell.matches("-\\d{1,15}(\\.\\d{1,9})?");
    }

    /** A figure for a cell: empty if unknown, {@code 1000-10000} for a range, decimals with a point. */
    public static String figure(Figure figure, @org.jspecify.annotations.Nullable FigureColumn column, int row) {
        if (column == null || !column.known(row)) {
            return "";
        }
        String low = amount(column.low(row), figure.scale());
        String high = amount(column.high(row), figure.scale());
        return low.equals(high) ? low : low + "-" + high;
    }

    /** Parts of a unit as a decimal number without needless zeros; money keeps two decimals. */
    public static String amount(long parts, long scale) {
        BigDecimal value =
                BigDecimal.valueOf(parts).divide(BigDecimal.valueOf(scale)).stripTrailingZeros();
        int decimals = scale == Figure.CPC.scale() ? 2 : 0;
        return value.setScale(Math.max(decimals, value.scale()), java.math.RoundingMode.UNNECESSARY)
                .toPlainString();
    }
}

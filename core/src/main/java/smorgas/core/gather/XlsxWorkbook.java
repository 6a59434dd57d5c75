package smorgas.core.gather;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.util.stream.Stream;
import org.dhatim.fastexcel.reader.Cell;
import org.dhatim.fastexcel.reader.CellType;
import org.dhatim.fastexcel.reader.ReadableWorkbook;
import org.dhatim.fastexcel.reader.Row;
import org.dhatim.fastexcel.reader.Sheet;
import smorgas.core.gather.Reading.Format;
import smorgas.core.text.Message;

/** A workbook in Office Open XML (ECMA-376), read row by row. */
final class XlsxWorkbook extends Workbook {

    static final WorkbookFormat FORMAT =
            new WorkbookFormat(part -> part.startsWith("xl/"), (bytes, problems) -> new XlsxWorkbook(bytes));

    /** Characters of a number that anybody means. */
    private static final int LONGEST_NUMBER = 40;

    /** Kept open: each opening reads all shared texts anew. */
    private final ReadableWorkbook workbook;

    XlsxWorkbook(byte[] bytes) throws Unreadable {
        super(Format.XLSX);
        try {
            workbook = new ReadableWorkbook(new ByteArrayInputStream(bytes));
        } catch (IOException | RuntimeException e) {
            throw Unreadable.damaged();
        }
        try {
            boolean any = false;
            for (Sheet sheet : workbook.getSheets().toList()) {
                sheet(sheet.getName());
                if (!any && holds(sheet)) {
                    any = true;
                    filled(sheet.getName());
                }
            }
        } catch (IOException | RuntimeException e) {
            close();
            throw Unreadable.damaged();
        }
        if (sheets().isEmpty()) {
            close();
            throw new Unreadable(
                    Message.of("gather.xlsx-workbook.workbook-sheet"), Message.of("gather.xlsx-workbook.nothing-read"));
        }
    }

    @Override
    public void close() {
        try {
            workbook.close();
        } catch (IOException e) {
            throw new java.io.UncheckedIOException(e);
        }
    }

    private static boolean holds(Sheet sheet) throws IOException {
        try (Stream<Row> rows = sheet.openStream()) {
            return rows.limit(100).anyMatch(row -> cells(row).length > 0);
        }
    }

    @Override
    RowSource rows(String name) {
        return sink -> {
            try (Stream<Row> rows = workbook.findSheet(name).orElseThrow().openStream()) {
                long places = 0;
                for (var each = rows.iterator(); each.hasNext(); ) {
                    Row row = each.next();
                    places += row.getCellCount();
                    if (places > ListBounds.MOST_PLACES) {
                        throw new MarkupBounds.Past(Message.of("gather.xlsx-workbook.cells-sheet-stand-so", name));
                    }
                    String[] cells = cells(row);
                    if (cells.length > 0) {
                        sink.row(row.getRowNum(), cells);
                    }
                }
            } catch (IOException e) {
                throw new java.io.UncheckedIOException(e);
            }
        };
    }

    /** The cells up to the last that holds something; none if all are empty. */
    private static String[] cells(Row row) {
        int last = 0;
        String[] cells = new String[Math.min(row.getCellCount(), HeldRows.MOST_COLUMNS)];
        for (int i = 0; i < cells.length; i++) {
            Cell cell = row.getOptionalCell(i).orElse(null);
            cells[i] = cell == null ? "" : text(cell);
            last = cells[i].isBlank() ? last : i + 1;
        }
        return java.util.Arrays.copyOf(cells, last);
    }

    private static String text(Cell cell) {
        if (cell.getType() == CellType.NUMBER && cell.getRawValue() != null) {
            if (cell.getRawValue().length() > LONGEST_NUMBER) {
                return cell.getRawValue();
            }
            // As decimals, not as a date or with the machine's noise: 0.1 + 0.2 is stored as 0.30000000000000004.
            try {
                java.math.BigDecimal number = new java.math.BigDecimal(cell.getRawValue());
                // Written out, 1E+20000000 has twenty million digits.
                return Math.abs(number.scale()) > LONGEST_NUMBER
                        ? cell.getRawValue()
                        : number.round(new java.math.MathContext(15))
                                .stripTrailingZeros()
                                .toPlainString();
            } catch (NumberFormatException e) {
                return cell.getRawValue();
            }
        }
        String text = cell.getText();
        return text == null ? "" : text;
    }
}

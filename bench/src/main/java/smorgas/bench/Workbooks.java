package smorgas.bench;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.List;
import java.util.Locale;
import java.util.stream.Stream;
import org.dhatim.fastexcel.Workbook;
import org.dhatim.fastexcel.Worksheet;
import org.dhatim.fastexcel.reader.Cell;
import org.dhatim.fastexcel.reader.ReadableWorkbook;
import org.dhatim.fastexcel.reader.Row;
import smorgas.core.gather.BasketReader;

/** A workbook read by the core into lines, beside the streaming library alone that takes the text of every cell. */
final class Workbooks {

    private static final int ROUNDS = 8;

    private Workbooks() {}

    static void run(int rows) throws IOException {
        byte[] bytes = made(rows);
        long ours = Long.MAX_VALUE;
        long library = Long.MAX_VALUE;
        int lines = 0;
        long cells = 0;
        for (int round = 0; round < ROUNDS; round++) {
            long start = System.nanoTime();
            lines = BasketReader.lines(1, "made.xlsx", bytes)
                    .lines()
                    .orElseThrow()
                    .size();
            ours = Math.min(ours, System.nanoTime() - start);
            start = System.nanoTime();
            cells = cells(bytes);
            library = Math.min(library, System.nanoTime() - start);
        }
        System.out.printf(
                Locale.ENGLISH,
                "%nXLSX of %,d rows and 4 columns, %,d bytes, warm, the best of %d rounds: core %,d ms (%,d lines);"
                        + " fastexcel-reader alone, the text of %,d cells, %,d ms: %.2f times%n",
                rows,
                bytes.length,
                ROUNDS,
                ours / 1_000_000,
                lines,
                cells,
                library / 1_000_000,
                ours / (double) library);
    }

    private static byte[] made(int rows) throws IOException {
        List<String> phrases = MadeLists.phrases(rows);
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (Workbook workbook = new Workbook(out, "bench", "1.0")) {
            Worksheet sheet = workbook.newWorksheet("Keywords");
            String[] header = {"Keyword", "Search volume", "CPC", "Competition"};
            for (int column = 0; column < header.length; column++) {
                sheet.value(0, column, header[column]);
            }
            for (int row = 0; row < rows; row++) {
                sheet.value(row + 1, 0, phrases.get(row));
                sheet.value(row + 1, 1, row % 5_000);
                sheet.value(row + 1, 2, row % 300 / 100.0);
                sheet.value(row + 1, 3, row % 3 == 0 ? "Low" : "High");
            }
        }
        return out.toByteArray();
    }

    private static long cells(byte[] bytes) throws IOException {
        long cells = 0;
        try (ReadableWorkbook workbook = new ReadableWorkbook(new ByteArrayInputStream(bytes));
                Stream<Row> rows = workbook.getFirstSheet().openStream()) {
            for (var each = rows.iterator(); each.hasNext(); ) {
                for (Cell cell : each.next()) {
                    cells += cell != null && !cell.getText().isEmpty() ? 1 : 0;
                }
            }
        }
        return cells;
    }
}

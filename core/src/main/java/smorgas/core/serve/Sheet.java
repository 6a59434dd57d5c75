package smorgas.core.serve;

import java.io.IOException;
import java.io.OutputStream;
import java.math.BigDecimal;
import java.util.List;
import org.dhatim.fastexcel.Workbook;
import org.dhatim.fastexcel.Worksheet;

/** A sheet of a workbook that is filled row by row, its headings in sight. */
final class Sheet {

    /** A sheet has no more rows than this (ECMA-376 leaves it open; common practice of programs). */
    private static final int MOST_ROWS = 1_048_576;

    private static final int FLUSHED = 1_000;

    /** A workbook to be filled. */
    static Workbook book(OutputStream to) {
        // Its version is asked for; it is not ours to tell which day it is.
        return new Workbook(to, "Smorgas", "1.0");
    }

    private final Worksheet sheet;
    private int row;

    Sheet(Workbook book, String name, List<String> headings, List<Integer> widths) {
        sheet = book.newWorksheet(name);
        for (int column = 0; column < headings.size(); column++) {
            sheet.width(column, widths.get(column));
            sheet.value(0, column, headings.get(column));
            sheet.style(0, column).bold().set();
        }
        sheet.freezePane(0, 1);
        row = 1;
    }

    /** Texts and numbers; an empty text is an empty cell. What no longer fits is left out. */
    void row(Object... cells) throws IOException {
        if (row >= MOST_ROWS) {
            return;
        }
        for (int column = 0; column < cells.length; column++) {
            switch (cells[column]) {
                case Number number -> {
                    sheet.value(row, column, number);
                    sheet.style(row, column)
                            .format(number instanceof BigDecimal ? "#,##0.00" : "#,##0")
                            .set();
                }
                case String text -> {
                    if (!text.isEmpty()) {
                        sheet.value(row, column, text);
                    }
                }
                default -> sheet.value(row, column, String.valueOf(cells[column]));
            }
        }
        row++;
        if (row % FLUSHED == 0) {
            sheet.flush();
        }
    }

    void finish() throws IOException {
        sheet.finish();
    }
}

package smorgas.core.gather;

import java.util.List;
import java.util.function.Predicate;

/**
 * A kind of workbook in a ZIP file. A new one is a {@link Workbook} and its place in {@link #ALL}.
 *
 * @param mark whether a part of this name is in such workbooks only
 * @param opener opens one
 */
record WorkbookFormat(Predicate<String> mark, Opener opener) {

    static final List<WorkbookFormat> ALL = List.of(XlsxWorkbook.FORMAT, OdsWorkbook.FORMAT);

    @FunctionalInterface
    interface Opener {
        Workbook open(byte[] bytes, Problems problems) throws Workbook.Unreadable;
    }
}

package smorgas.core.gather;

import smorgas.core.text.Message;

/**
 * How much of a list is held at once, whatever its bytes claim: past a bound a row is set aside or a cell is cut, which is told,
 * and reading goes on.
 * No list that somebody has made comes near any of these.
 */
final class ListBounds {

    /** Characters of a line in lists that are written line by line; a list of 100,000 keywords with commas between them fits. */
    static final int LONGEST_LINE = 2_000_000;

    /** Characters of a cell: what the cell of a spreadsheet can hold (common practice). */
    static final int LONGEST_CELL = 32_767;

    /** Cells of a row: the columns of a spreadsheet (A to XFD, ECMA-376, from memory). */
    static final int MOST_CELLS = 16_384;

    /** Characters of the rows that are not exported until it is known what their columns are. */
    static final int MOST_HELD = 4_000_000;

    /** Places that are looked at for cells in one sheet: a million rows of a hundred columns. */
    static final long MOST_PLACES = 100_000_000;

    private ListBounds() {}

    /** A text without its lines that are too long, which are told of; the others keep their numbers. */
    static String withoutLongLines(String text, Problems problems) {
        StringBuilder kept = null;
        int from = 0;
        int start = 0;
        int line = 1;
        while (start < text.length()) {
            int end = end(text, start);
            if (end - start > LONGEST_LINE) {
                problems.addRow(
                        line,
                        Message.of("gather.list-bounds.line-more-than-2"),
                        Message.of("gather.list-bounds.it-was-skipped"));
                kept = kept == null ? new StringBuilder() : kept;
                kept.append(text, from, start);
                from = end;
            }
            boolean both = end + 1 < text.length() && text.charAt(end) == '\r' && text.charAt(end + 1) == '\n';
            start = end + (both ? 2 : 1);
            line++;
        }
        return kept == null
                ? text
                : kept.append(text, Math.min(from, text.length()), text.length())
                        .toString();
    }

    private static int end(String text, int start) {
        int end = start;
        while (end < text.length() && text.charAt(end) != '\n' && text.charAt(end) != '\r') {
            end++;
        }
        return end;
    }

    /** Whether a cell of the row is too long. */
    static boolean tooLong(String[] cells) {
        for (String cell : cells) {
            if (cell.length() > LONGEST_CELL) {
                return true;
            }
        }
        return false;
    }

    /** The cells, those that are too long without their end. */
    static String[] cut(String[] cells) {
        if (!tooLong(cells)) {
            return cells;
        }
        String[] cut = cells.clone();
        for (int i = 0; i < cut.length; i++) {
            cut[i] = cut[i].substring(0, Math.min(cut[i].length(), LONGEST_CELL));
        }
        return cut;
    }
}

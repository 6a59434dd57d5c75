package smorgas.core.gather;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Function;
import smorgas.core.recipe.gather.ReadAs;
import smorgas.core.text.Message;

/** Holds the first rows of a list back until it is decided what its columns are, then hands all on. */
final class HeldRows implements RowSink {

    /** More rows than this are not read: a bound for what a small packed file can claim to hold. */
    static final int MOST_ROWS = 5_000_000;

    /** More columns than this are not looked at. */
    static final int MOST_COLUMNS = 500;

    /** Thrown when a list has too many rows. */
    static final class Full extends RuntimeException {
        private static final long serialVersionUID = 1;

        private final int line;

        Full(int line) {
            super("full", null, false, false);
            this.line = line;
        }

        int line() {
            return line;
        }
    }

    private final ReadAs readAs;
    private final Problems problems;
    private final Function<Layout.Columns, RowSink> sinks;
    private RowSink sink = (line, cells) -> {};
    private final List<Integer> lines = new ArrayList<>();
    private final List<String[]> rows = new ArrayList<>();
    private Layout.Columns columns = new Layout.Columns(-1, List.of(), List.of());
    private boolean open;
    private int count;
    private int held;
    private int lastLine;

    HeldRows(ReadAs readAs, Problems problems, Function<Layout.Columns, RowSink> sinks) {
        this.readAs = readAs;
        this.problems = problems;
        this.sinks = sinks;
    }

    @Override
    public void row(int line, String[] read) {
        lastLine = line;
        if (ListBounds.tooLong(read)) {
            problems.add(
                    line,
                    Message.of("gather.held-rows.cell-row-more-than"),
                    Message.of("gather.held-rows.rest-cell-left-out"));
        }
        if (++count > MOST_ROWS) {
            throw new Full(line);
        }
        String[] cells =
                ListBounds.cut(read.length > MOST_COLUMNS ? java.util.Arrays.copyOf(read, MOST_COLUMNS) : read);
        if (open) {
            sink.row(line, cells);
            return;
        }
        lines.add(line);
        rows.add(cells);
        for (String cell : cells) {
            held += cell.length();
        }
        if (rows.size() == Layout.SAMPLE_ROWS || held > ListBounds.MOST_HELD) {
            decide();
        }
    }

    void decide() {
        if (open) {
            return;
        }
        open = true;
        columns = readAs.headerLine() >= 0
                ? Layout.columnsBelow(rows, lines.indexOf(readAs.headerLine()))
                : Layout.columns(rows);
        if (!readAs.roles().isEmpty()) {
            columns = new Layout.Columns(columns.headerRow(), columns.headers(), readAs.roles());
        }
        sink = sinks.apply(columns);
        if (readAs.roles().isEmpty() && !rows.isEmpty()) {
            columns.doubts(rows).forEach(doubt -> problems.add(0, doubt.what(), doubt.todo()));
        }
        for (int i = 0; i < columns.headerRow(); i++) {
            problems.addRow(
                    lines.get(i),
                    Message.of("gather.held-rows.stands-above-column-names"),
                    Message.of("gather.held-rows.set-aside-title-read"));
        }
        for (int i = columns.headerRow() + 1; i < rows.size(); i++) {
            sink.row(lines.get(i), rows.get(i));
        }
    }

    /** The line of the last row; 0 before the first. */
    int lastLine() {
        return lastLine;
    }

    boolean empty() {
        return rows.isEmpty();
    }

    Layout.Columns columns() {
        return columns;
    }

    int headerLine() {
        return columns.headerRow() < 0 ? 0 : lines.get(columns.headerRow());
    }
}

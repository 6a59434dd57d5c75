package smorgas.core.gather;

import it.unimi.dsi.fastutil.ints.IntArrayList;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import smorgas.core.column.FigureColumn;
import smorgas.core.column.TextColumn;
import smorgas.core.figure.ColumnRole;
import smorgas.core.figure.Decimals;
import smorgas.core.figure.Figure;
import smorgas.core.figure.FigureReader;
import smorgas.core.text.Characters;
import smorgas.core.text.Message;

/**
 * Turns the stored cells of one basket into {@link Lines} by the columns of its reading. Rows are given one after the
 * other as a {@link RowSink}; the same cells and columns always give the same lines.
 */
public final class Interpreter implements RowSink {

    /** A keyword of more characters than this is none, but a paragraph that slipped in. */
    public static final int LONGEST_KEYWORD = 400;

    private final long basket;
    private final String name;
    private final List<String> headers;
    private final int keywordColumn;
    /** Several where every column is a list of its own. */
    private final int[] keywordColumns;

    private final List<Column> columns = new ArrayList<>();
    private final List<Texts> textColumns = new ArrayList<>();
    private final List<MonthColumn.Builder> months = new ArrayList<>();
    private final Problems problems;
    private final FigureReader numbers;
    private final List<String> texts = new ArrayList<>();
    private final IntArrayList lineNumbers = new IntArrayList();
    private int setAside;

    private record Texts(int place, ColumnRole role, TextColumn.Builder builder) {}

    private static final class Column {
        private final int place;
        private final Figure figure;
        private final FigureColumn.Builder builder = new FigureColumn.Builder();
        private boolean filled;

        Column(int place, Figure figure) {
            this.place = place;
            this.figure = figure;
        }
    }

    /** Interprets the stored rows of a reading. */
    public Interpreter(long basket, String name, Reading reading, Decimals decimals) {
        this(basket, name, reading.headers(), reading.columns(), decimals);
    }

    Interpreter(long basket, String name, List<String> headers, List<ColumnRole> roles, Decimals decimals) {
        this.numbers = new FigureReader(decimals);
        this.basket = basket;
        this.name = name;
        this.headers = headers;
        this.problems = new Problems(name);
        this.keywordColumn = roles.indexOf(ColumnRole.KEYWORD);
        this.keywordColumns = IntStream.range(0, roles.size())
                .filter(column -> roles.get(column) == ColumnRole.KEYWORD)
                .toArray();
        for (int i = 0; i < roles.size(); i++) {
            int place = i;
            roles.get(i).figure().ifPresent(figure -> columns.add(new Column(place, figure)));
            if (roles.get(i) == ColumnRole.MONTH) {
                String header = i < headers.size() ? headers.get(i) : "";
                months.add(new MonthColumn.Builder(i, ColumnNames.month(header)));
            }
            if (roles.get(i).text()) {
                textColumns.add(new Texts(i, roles.get(i), new TextColumn.Builder()));
            }
        }
    }

    @Override
    public void row(int line, String[] cells) {
        if (keywordColumns.length > 1) {
            grid(line, cells);
            return;
        }
        if (keywordColumn < 0) {
            setAside++;
            return;
        }
        String text = keywordColumn >= 0 && keywordColumn < cells.length ? cells[keywordColumn].strip() : "";
        if (text.isEmpty()) {
            setAside++;
            if (columns.stream().anyMatch(c -> c.place < cells.length && !cells[c.place].isBlank())) {
                problems.add(
                        line,
                        Message.of("gather.interpreter.figures-but-keyword"),
                        Message.of("gather.interpreter.line-set-aside-total"));
            }
        } else if (text.length() > LONGEST_KEYWORD && Characters.count(text) > LONGEST_KEYWORD) {
            setAside++;
            problems.add(
                    line,
                    Message.of(
                            "gather.interpreter.keyword-characters-more-than", Characters.count(text), LONGEST_KEYWORD),
                    Message.of("gather.interpreter.line-set-aside-check"));
        } else if (isHeader(text, cells)) {
            setAside++;
            problems.add(
                    line,
                    Message.of("gather.interpreter.column-names-stand-here"),
                    Message.of("gather.interpreter.line-set-aside"));
        } else if (texts.isEmpty() && isTotal(text)) {
            setAsideTotal(line, text);
        } else {
            add(line, text, cells);
        }
    }

    /** Each cell is a keyword, and none has figures. */
    private void grid(int line, String[] cells) {
        for (int column : keywordColumns) {
            String text = column < cells.length ? cells[column].strip() : "";
            if (text.length() > LONGEST_KEYWORD) {
                setAside++;
                problems.add(
                        line,
                        Message.of("gather.interpreter.cell-more-than-characters", LONGEST_KEYWORD),
                        Message.of("gather.interpreter.set-aside"));
            } else if (!text.isEmpty()) {
                add(line, text, new String[0]);
            }
        }
    }

    private boolean isHeader(String text, String[] cells) {
        if (keywordColumn >= headers.size()
                || headers.isEmpty()
                || !text.equalsIgnoreCase(headers.get(keywordColumn).strip())) {
            return false;
        }
        for (int i = 0; i < Math.min(cells.length, headers.size()); i++) {
            if (!cells[i].strip().equalsIgnoreCase(headers.get(i).strip())) {
                return false;
            }
        }
        return true;
    }

    /** A total stands right below the column names or at the end; elsewhere it is a keyword that reads like one. */
    private boolean isTotal(String text) {
        return !columns.isEmpty() && ColumnNames.total(text);
    }

    private void setAsideTotal(int line, String text) {
        setAside++;
        problems.add(
                line,
                Message.of("gather.interpreter.looks-like-line-totals", text),
                Message.of("gather.interpreter.set-aside-read-keyword"));
    }

    private void takeTotalsOffTheEnd() {
        int last = texts.size();
        while (last > 0 && isTotal(texts.get(last - 1))) {
            last--;
            setAsideTotal(lineNumbers.getInt(last), texts.get(last));
        }
        int end = last;
        texts.subList(end, texts.size()).clear();
        lineNumbers.size(end);
        for (Column column : columns) {
            column.builder.truncate(end);
        }
        textColumns.forEach(column -> column.builder().truncate(end));
        months.forEach(month -> month.truncate(end));
    }

    private void add(int line, String text, String[] cells) {
        texts.add(text);
        lineNumbers.add(line);
        for (Column column : columns) {
            readFigure(column, column.place < cells.length ? cells[column.place] : "", line);
        }
        for (Texts column : textColumns) {
            column.builder().add(column.place() < cells.length ? cells[column.place()] : "");
        }
        for (MonthColumn.Builder month : months) {
            if (month.place() < cells.length
                    && numbers.read(cells[month.place()], Figure.SEARCHES) == FigureReader.Outcome.READ) {
                month.add(numbers.low(), numbers.high());
            } else {
                month.addUnknown();
            }
        }
    }

    private void readFigure(Column column, String cell, int line) {
        switch (numbers.read(cell, column.figure)) {
            case READ -> {
                column.filled = true;
                column.builder.add(numbers.low(), numbers.high());
            }
            case EMPTY -> column.builder.add(FigureColumn.UNKNOWN, FigureColumn.UNKNOWN);
            case FAULT -> {
                column.filled = true;
                column.builder.add(FigureColumn.UNKNOWN, FigureColumn.UNKNOWN);
                problems.add(
                        line,
                        Message.of("gather.interpreter.number-we-know", column.figure.label(), shortened(cell)),
                        Message.of("gather.interpreter.keyword-figure-left-empty"));
            }
        }
    }

    private static String shortened(String cell) {
        return cell.length() <= 40 ? cell : cell.substring(0, 40) + "...";
    }

    /**
     * The lines of all rows given.
     *
     * @param reading the reading that the rows are of, whose problems come first
     */
    public Lines lines(Reading reading) {
        takeTotalsOffTheEnd();
        Map<Figure, FigureColumn> figures = new EnumMap<>(Figure.class);
        for (Column column : columns) {
            if (!column.filled && !texts.isEmpty()) {
                problems.add(
                        0,
                        Message.of("gather.interpreter.column-holds-figure", reading.columnName(column.place)),
                        Message.of("gather.interpreter.if-should-choose-what"));
            }
            figures.putIfAbsent(column.figure, column.builder.seal());
        }
        textColumns.stream()
                .filter(column -> column.role() == ColumnRole.SIMULATED)
                .forEach(column -> MadeUpMarks.put(column.builder().seal(), figures));
        Map<ColumnRole, List<TextColumn>> textsByRole = new EnumMap<>(ColumnRole.class);
        for (Texts column : textColumns) {
            TextColumn sealed = column.builder().seal();
            if (sealed.tells()) {
                textsByRole
                        .computeIfAbsent(column.role(), role -> new ArrayList<>())
                        .add(sealed);
            }
        }
        Problems all = new Problems(name);
        reading.problems().forEach(p -> all.add(p.line(), p.what(), p.todo()));
        all.addAll(problems);
        return new Lines(
                basket,
                Kinds.guessed(name, reading),
                texts.toArray(String[]::new),
                lineNumbers.toIntArray(),
                figures,
                textsByRole,
                MonthColumn.ordered(
                        months.stream().map(MonthColumn.Builder::seal).toList()),
                all,
                setAside + reading.setAside());
    }
}

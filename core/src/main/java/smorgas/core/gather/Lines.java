package smorgas.core.gather;

import java.util.BitSet;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;
import smorgas.core.column.FigureColumn;
import smorgas.core.column.TextColumn;
import smorgas.core.figure.ColumnRole;
import smorgas.core.figure.Figure;
import smorgas.core.recipe.gather.Asked;
import smorgas.core.recipe.gather.BasketInfo;
import smorgas.core.recipe.gather.BasketState;

/**
 * The lines of one basket with their figures; cannot change. Rows run from 0 to {@link #size()} - 1 in the order of the
 * file; what was set aside is not among them.
 */
public final class Lines {

    private final long basket;
    private final BasketInfo info;
    private final boolean brings;
    private final String[] texts;
    private final int[] lineNumbers;
    private final Map<Figure, FigureColumn> figures;
    private final Map<ColumnRole, List<TextColumn>> columns;
    private final List<MonthColumn> months;
    private final List<Problem> problems;
    private final int problemCount;
    private final int setAside;

    Lines(
            long basket,
            BasketInfo info,
            String[] texts,
            int[] lineNumbers,
            Map<Figure, FigureColumn> figures,
            Map<ColumnRole, List<TextColumn>> columns,
            List<MonthColumn> months,
            Problems problems,
            int setAside) {
        this.basket = basket;
        this.info = info;
        this.texts = texts;
        this.lineNumbers = lineNumbers;
        this.figures = new EnumMap<>(Figure.class);
        this.figures.putAll(figures);
        this.columns = new EnumMap<>(ColumnRole.class);
        this.columns.putAll(columns);
        this.months = months;
        this.problems = problems.first();
        this.problemCount = problems.count();
        this.setAside = setAside;
        this.brings = true;
    }

    private Lines(Lines other, BasketInfo info, boolean brings, Map<Figure, FigureColumn> figures) {
        this.basket = other.basket;
        this.info = info;
        this.texts = other.texts;
        this.lineNumbers = other.lineNumbers;
        this.figures = new EnumMap<>(Figure.class);
        this.figures.putAll(figures);
        this.columns = other.columns;
        this.months = other.months;
        this.problems = other.problems;
        this.problemCount = other.problemCount;
        this.setAside = other.setAside;
        this.brings = brings;
    }

    /** The same lines as a project has them: with what was written of their basket, and what a tool of ours was asked for. */
    public Lines as(BasketState state) {
        BasketInfo known = state.info().orElseGet(() -> BasketInfo.of(state.name(), kind(state)));
        Lines described = described(known).bringing(state.brings());
        return state.asked().madeUp() ? described.simulated() : described;
    }

    /** What its columns tell says more than that it was pasted; what a tool of ours made is known. */
    private BasketInfo.Kind kind(BasketState state) {
        boolean ours = !(state.asked() instanceof Asked.Nothing);
        return ours || info.kind() == BasketInfo.Kind.OTHER ? state.kind() : info.kind();
    }

    /** The same lines of a basket of which something else is written down. */
    public Lines described(BasketInfo written) {
        return written.equals(info) ? this : new Lines(this, written, brings, figures);
    }

    /** The same lines, which bring keywords or only tell about those that others bring. */
    public Lines bringing(boolean keywords) {
        return keywords == brings ? this : new Lines(this, info, keywords, figures);
    }

    /** The same lines, all figures of which a stand-in for a service has made up. */
    public Lines simulated() {
        BitSet rows = new BitSet();
        rows.set(0, texts.length);
        Map<Figure, FigureColumn> marked = new EnumMap<>(Figure.class);
        figures.forEach((figure, column) -> marked.put(figure, column.simulated(column, rows)));
        return new Lines(this, info, brings, marked);
    }

    /** The same lines, of which only those figures are told that a stand-in for a service has made up, or only the others. */
    public Lines telling(boolean madeUp) {
        Map<Figure, FigureColumn> told = new EnumMap<>(Figure.class);
        figures.forEach((figure, column) -> {
            if (column.simulated()) {
                FigureColumn left = column.only(madeUp);
                if (IntStream.range(0, left.size()).anyMatch(left::known)) {
                    told.put(figure, left);
                }
            } else if (!madeUp) {
                told.put(figure, column);
            }
        });
        return new Lines(this, info, brings, told);
    }

    /** Whether a stand-in for a service has made any of their figures up. */
    public boolean tellsMadeUp() {
        return figures.values().stream().anyMatch(FigureColumn::simulated);
    }

    /** Whether they bring keywords. */
    public boolean brings() {
        return brings;
    }

    /** What is known of the basket; until a hand has written it, its name and a guess of its kind. */
    public BasketInfo info() {
        return info;
    }

    /** The number of the basket, unique among those that are folded together. */
    public long basket() {
        return basket;
    }

    public String name() {
        return info.name();
    }

    public int size() {
        return texts.length;
    }

    /** The keyword cell as it stands in the file, but for its list number or bullet. */
    public String text(int row) {
        return texts[row];
    }

    /** The line of the file on which the row begins, from 1. */
    public int lineNumber(int row) {
        return lineNumbers[row];
    }

    /** The column of a figure; empty if the list has none. */
    public Optional<FigureColumn> figure(Figure figure) {
        return Optional.ofNullable(figures.get(figure));
    }

    /** The columns of texts with a role, from the left; none if the list has none that tells anything. */
    public List<TextColumn> texts(ColumnRole role) {
        return columns.getOrDefault(role, List.of());
    }

    /** What is searched month by month: by date if all columns tell theirs, else from the left; none if the list has none. */
    public List<MonthColumn> months() {
        return months;
    }

    /** The first thousand problems by line number. */
    public List<Problem> problems() {
        return problems;
    }

    /** All problems, also those past the first thousand. */
    public int problemCount() {
        return problemCount;
    }

    /** Rows that are no lines: without a keyword, or with one too long to be one. */
    public int setAside() {
        return setAside;
    }
}

package smorgas.core.fold;

import java.util.Arrays;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import smorgas.core.column.FigureColumn;
import smorgas.core.figure.Figure;
import smorgas.core.figure.Merge;
import smorgas.core.gather.Lines;

/** Merges the figures of the lines that were folded into one keyword. */
final class FigureMerger {

    private final Merge merge;
    private final FigureColumn.Builder builder;
    /** Lines that had one, by keyword; for the average only. */
    private final int[] counts;

    private FigureMerger(Merge merge, int keywords) {
        this.merge = merge;
        this.builder = FigureColumn.Builder.ofSize(keywords);
        this.counts = new int[merge == Merge.AVERAGE ? keywords : 0];
    }

    /** The merged column of every figure that some basket has. */
    static Map<Figure, FigureColumn> merged(
            List<Lines> baskets, int[] starts, int[] keywordOfLine, int keywords, Map<Figure, Merge> merges) {
        Map<Figure, FigureColumn> merged = new EnumMap<>(Figure.class);
        for (Figure figure : Figure.values()) {
            FigureMerger merger = null;
            for (int b = 0; b < baskets.size(); b++) {
                FigureColumn column = baskets.get(b).figure(figure).orElse(null);
                if (column != null) {
                    merger = merger == null
                            ? new FigureMerger(Objects.requireNonNull(merges.get(figure)), keywords)
                            : merger;
                    merger.add(column, starts[b], keywordOfLine);
                }
            }
            if (merger != null) {
                merged.put(figure, merger.seal());
            }
        }
        return merged;
    }

    private void add(FigureColumn column, int start, int[] keywordOfLine) {
        for (int row = 0; row < column.size(); row++) {
            int keyword = keywordOfLine[start + row];
            if (keyword >= 0 && column.known(row)) {
                add(keyword, column.low(row), column.high(row));
            }
        }
    }

    private void add(int keyword, long low, long high) {
        long present = builder.twiceMiddle(keyword);
        boolean first = present == FigureColumn.UNKNOWN;
        switch (merge) {
            case LARGEST -> set(first || low + high > present, keyword, low, high);
            case BEST -> set(first || low + high < present, keyword, low, high);
            case FIRST -> set(first, keyword, low, high);
            case LATEST -> builder.set(keyword, low, high);
            case SUM, AVERAGE -> {
                if (merge == Merge.AVERAGE) {
                    counts[keyword]++;
                }
                builder.set(
                        keyword, first ? low : builder.low(keyword) + low, first ? high : builder.high(keyword) + high);
            }
        }
    }

    private void set(boolean wins, int keyword, long low, long high) {
        if (wins) {
            builder.set(keyword, low, high);
        }
    }

    private FigureColumn seal() {
        if (merge == Merge.AVERAGE && Arrays.stream(counts).anyMatch(count -> count > 1)) {
            for (int keyword = 0; keyword < counts.length; keyword++) {
                if (counts[keyword] > 1) {
                    builder.set(
                            keyword,
                            Math.round(builder.low(keyword) / (double) counts[keyword]),
                            Math.round(builder.high(keyword) / (double) counts[keyword]));
                }
            }
        }
        return builder.seal();
    }
}

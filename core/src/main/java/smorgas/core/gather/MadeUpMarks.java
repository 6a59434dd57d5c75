package smorgas.core.gather;

import java.util.BitSet;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.regex.Pattern;
import smorgas.core.column.FigureColumn;
import smorgas.core.column.TextColumn;
import smorgas.core.figure.Figure;

/** Marks the figures that a list's own column names as made up, so that they pass for measured ones nowhere, also not gathered again. */
final class MadeUpMarks {

    private static final Pattern BETWEEN = Pattern.compile("\\s*[,|;]\\s*");
    private static final Set<String> NONE = Set.of("no", "none", "false", "0", "-");

    private MadeUpMarks() {}

    /** Puts marked columns in the place of those that the cells name; a cell that names no figure at all means all of them. */
    static void put(TextColumn cells, Map<Figure, FigureColumn> figures) {
        Map<Figure, BitSet> rows = new EnumMap<>(Figure.class);
        for (int row = 0; row < cells.size(); row++) {
            for (Figure figure : named(cells.text(row), figures.keySet())) {
                rows.computeIfAbsent(figure, none -> new BitSet()).set(row);
            }
        }
        rows.forEach((figure, marked) ->
                figures.computeIfPresent(figure, (same, column) -> column.simulated(column, marked)));
    }

    private static Set<Figure> named(String cell, Set<Figure> all) {
        String told = cell.toLowerCase(Locale.ROOT);
        if (told.isEmpty() || NONE.contains(told)) {
            return Set.of();
        }
        Set<String> words = new HashSet<>(List.of(BETWEEN.split(told)));
        Set<Figure> named = EnumSet.allOf(Figure.class);
        named.removeIf(figure -> !words.contains(figure.fixedName().toLowerCase(Locale.ROOT)));
        return named.isEmpty() ? all : named;
    }
}

package smorgas.core.fold;

import java.util.BitSet;
import java.util.EnumMap;
import java.util.Map;
import smorgas.core.column.FigureColumn;
import smorgas.core.figure.Figure;

/**
 * Puts what stand-ins have made up where nothing is known: never beside a figure of its family, for together they would tell a
 * range nobody knows.
 */
final class MadeUp {

    private MadeUp() {}

    /**
     * The columns with what was made up in them, marked.
     *
     * @param known what lists tell
     * @param made what stand-ins say
     */
    static Map<Figure, FigureColumn> beside(
            Map<Figure, FigureColumn> known, Map<Figure, FigureColumn> made, int keywords) {
        Map<Figure, FigureColumn> all = new EnumMap<>(known.isEmpty() ? new EnumMap<>(Figure.class) : known);
        made.forEach((figure, column) -> {
            FigureColumn present = known.getOrDefault(
                    figure, FigureColumn.Builder.ofSize(keywords).seal());
            all.put(figure, present.simulated(column, untold(figure, known, keywords)));
        });
        return all;
    }

    /** The keywords of which no list tells anything of a figure's family. */
    private static BitSet untold(Figure figure, Map<Figure, FigureColumn> known, int keywords) {
        BitSet untold = new BitSet(keywords);
        untold.set(0, keywords);
        for (Figure relative : figure.family()) {
            FigureColumn column = known.get(relative);
            for (int keyword = 0; column != null && keyword < keywords; keyword++) {
                if (column.known(keyword)) {
                    untold.clear(keyword);
                }
            }
        }
        return untold;
    }
}

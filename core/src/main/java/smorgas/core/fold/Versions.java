package smorgas.core.fold;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import smorgas.core.column.FigureColumn;
import smorgas.core.figure.Figure;
import smorgas.core.gather.Lines;

/**
 * What a newer version of a list changed, by folded meaning.
 *
 * @param fresh keywords that only the newer has
 * @param gone keywords that only the older has
 * @param changed keywords that both have and of which some figure is known otherwise
 */
public record Versions(int fresh, int gone, int changed) {

    public static Versions compare(Lines older, Lines newer) {
        Keywords before = Folder.fold(List.of(older));
        Keywords after = Folder.fold(List.of(newer));
        Map<Figure, FigureColumn> old = columns(before);
        Map<Figure, FigureColumn> now = columns(after);
        int both = 0;
        int changed = 0;
        for (int keyword = 0; keyword < after.size(); keyword++) {
            Optional<Integer> there = before.find(after.text(keyword));
            if (there.isPresent()) {
                both++;
                changed += differs(old, there.get(), now, keyword) ? 1 : 0;
            }
        }
        return new Versions(after.size() - both, before.size() - both, changed);
    }

    private static Map<Figure, FigureColumn> columns(Keywords keywords) {
        Map<Figure, FigureColumn> columns = new HashMap<>();
        for (Figure figure : Figure.values()) {
            keywords.figure(figure).ifPresent(column -> columns.put(figure, column));
        }
        return columns;
    }

    private static boolean differs(
            Map<Figure, FigureColumn> old, int before, Map<Figure, FigureColumn> now, int after) {
        for (Figure figure : Figure.values()) {
            FigureColumn left = old.get(figure);
            FigureColumn right = now.get(figure);
            long leftLow = left == null ? FigureColumn.UNKNOWN : left.low(before);
            long rightLow = right == null ? FigureColumn.UNKNOWN : right.low(after);
            long leftHigh = left == null ? FigureColumn.UNKNOWN : left.high(before);
            long rightHigh = right == null ? FigureColumn.UNKNOWN : right.high(after);
            if (leftLow != rightLow || leftHigh != rightHigh) {
                return true;
            }
        }
        return false;
    }
}

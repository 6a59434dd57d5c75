package smorgas.core.group.engine;

import java.util.Map;
import smorgas.core.column.Figure;
import smorgas.core.column.FigureColumn;
import smorgas.core.recipe.Edition;

/**
 * What an engine is asked.
 *
 * @param words of every keyword
 * @param scope the keywords to be grouped, rising
 * @param figures by which groups may be ranked; those that no basket has are missing
 * @param barred what may not be
 * @param edition whose rules hold
 */
public record Question(
        ThemeWords words, int[] scope, Map<Figure, FigureColumn> figures, Barred barred, Edition edition) {

    /** Themes on which no group forms, and by keyword those that may not take it. */
    public record Barred(RemovedThemes everywhere, Map<Integer, RemovedThemes> byKeyword) {
        /** Everything may be. */
        public static final Barred NOTHING = new Barred(RemovedThemes.NONE, Map.of());
    }
}

package smorgas.core.group.engine;

import java.util.Map;
import java.util.function.IntFunction;
import smorgas.core.column.FigureColumn;
import smorgas.core.figure.Figure;
import smorgas.core.recipe.group.SimilarityRules;
import smorgas.core.recipe.group.ThemeRules;

/**
 * What an engine is asked.
 *
 * @param words of every keyword
 * @param texts of every keyword, its lead spelling, tidy
 * @param all keywords that are grouped by anything, rising: what is common among them is told by all
 * @param scope those of them that are to be grouped by the engine, rising
 * @param figures by which groups may be ranked; those that no basket has are missing
 * @param barred what may not be
 * @param language ISO 639-1
 * @param meaning what is known of what texts mean
 * @param similarity the numbers of groups by similarity
 * @param themes those of groups by themes
 * @param cache remembers what was found for these keywords before
 */
public record Question(
        ThemeWords words,
        IntFunction<String> texts,
        int[] all,
        int[] scope,
        Map<Figure, FigureColumn> figures,
        Barred barred,
        String language,
        MeaningVectors meaning,
        SimilarityRules similarity,
        ThemeRules themes,
        EngineCache cache) {

    /** Themes on which no group forms, and by keyword those that may not take it. */
    public record Barred(RemovedThemes everywhere, Map<Integer, RemovedThemes> byKeyword) {
        /** Everything may be. */
        public static final Barred NOTHING = new Barred(RemovedThemes.NONE, Map.of());
    }
}

package smorgas.core.group;

import java.util.Arrays;
import java.util.BitSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.IntFunction;
import java.util.stream.Collectors;
import smorgas.core.column.FigureColumn;
import smorgas.core.figure.Figure;
import smorgas.core.fold.FoldedWords;
import smorgas.core.group.engine.EngineCache;
import smorgas.core.group.engine.MeaningVectors;
import smorgas.core.group.engine.MemoryLimit;
import smorgas.core.group.hand.Hand;
import smorgas.core.recipe.group.SimilarityRules;
import smorgas.core.recipe.group.ThemeRules;
import smorgas.core.recipe.value.Intent;

/**
 * What is grouped, and by what.
 *
 * @param words of every keyword
 * @param texts of every keyword, its lead spelling, tidy
 * @param scope the keywords to be grouped
 * @param figures by which themes may be ranked; those that no basket has are missing
 * @param language ISO 639-1; decides further forms of words
 * @param intents of every keyword, what it is for; asked only if intents are kept apart
 * @param rules the groups that rules make, those of the highest priority first
 * @param hand what a hand decided
 * @param meaning what is known of what texts mean
 * @param similarity the numbers of groups by similarity
 * @param themes those of groups by themes
 * @param cache remembers what was found for these keywords before
 */
public record GroupingInput(
        FoldedWords words,
        IntFunction<String> texts,
        BitSet scope,
        Map<Figure, FigureColumn> figures,
        String language,
        IntFunction<Optional<Intent>> intents,
        List<RuleMembers> rules,
        Hand hand,
        MeaningVectors meaning,
        SimilarityRules similarity,
        ThemeRules themes,
        EngineCache cache) {

    /** Nothing but words: no figures, no rules, no hand. */
    public static GroupingInput of(
            FoldedWords words, BitSet scope, String language, SimilarityRules similarity, ThemeRules themes) {
        return of(words, scope, Map.of(), language, List.of(), Hand.NONE, similarity, themes);
    }

    /** No other texts than the words as they are shown, and nothing known of what they mean. */
    public static GroupingInput of(
            FoldedWords words,
            BitSet scope,
            Map<Figure, FigureColumn> figures,
            String language,
            List<RuleMembers> rules,
            Hand hand,
            SimilarityRules similarity,
            ThemeRules themes) {
        return new GroupingInput(
                words,
                keyword -> Arrays.stream(words.rows().row(keyword))
                        .mapToObj(words::text)
                        .collect(Collectors.joining(" ")),
                scope,
                figures,
                language,
                keyword -> Optional.empty(),
                rules,
                hand,
                MeaningVectors.NONE,
                similarity,
                themes,
                new EngineCache(MemoryLimit.ENOUGH));
    }
}

package smorgas.core.board;

import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Supplier;
import smorgas.core.column.FigureColumn;
import smorgas.core.figure.Figure;
import smorgas.core.fold.Keywords;
import smorgas.core.group.Grouper;
import smorgas.core.group.Grouping;
import smorgas.core.group.GroupingInput;
import smorgas.core.group.RuleMembers;
import smorgas.core.group.engine.EngineCache;
import smorgas.core.group.engine.MeaningVectors;
import smorgas.core.group.engine.MemoryLimit;
import smorgas.core.group.hand.Hand;
import smorgas.core.group.read.Groups;
import smorgas.core.recipe.GroupsByHand;
import smorgas.core.recipe.Recipe;
import smorgas.core.sift.ConditionContext;
import smorgas.core.sift.Matcher;
import smorgas.core.sift.Statuses;
import smorgas.core.text.Tidy;
import smorgas.core.value.Intents;

/** Brings together what groups are found from. */
final class GroupingInputs {

    /**
     * What groups are found with, beside keywords and recipe.
     *
     * @param room that finding out how alike keywords are may take
     */
    record With(MeaningVectors meaning, MemoryLimit room) {}

    private GroupingInputs() {}

    static Groups group(
            Matcher matcher,
            Statuses statuses,
            Recipe recipe,
            Supplier<Intents> intents,
            MeaningVectors meaning,
            EngineCache cache) {
        Keywords keywords = matcher.keywords();
        Map<Figure, FigureColumn> figures = new EnumMap<>(Figure.class);
        for (Figure figure : List.of(Figure.SEARCHES, Figure.CLICKS, Figure.CONVERSIONS, Figure.VISITS, Figure.GOALS)) {
            keywords.figure(figure).ifPresent(column -> figures.put(figure, column));
        }
        ConditionContext beyond = ConditionContext.ofRules(
                statuses.tags()::with, intent -> intents.get().with(intent));
        Grouping grouping = Grouper.group(
                new GroupingInput(
                        keywords.folded(),
                        keyword -> Tidy.of(keywords.text(keyword)),
                        statuses.remaining(),
                        figures,
                        recipe.folding().language(),
                        keyword -> intents.get().lead(keyword),
                        recipe.grouping().rules().stream()
                                .map(rule -> new RuleMembers(
                                        rule.key(), matcher.match(rule.when(), beyond), rule.ungroupedOnly()))
                                .toList(),
                        Hand.of(recipe.grouping().decisions(), keywords),
                        meaning,
                        recipe.rules().similarity(),
                        recipe.rules().themes(),
                        cache),
                recipe.grouping().settings());
        return new Groups(grouping, keywords, keywords.figure(Figure.SEARCHES), given(recipe));
    }

    /**
     * Names that somebody has typed, by the keys of their groups; a name given later stands before a rule's. What was adopted keeps the
     * name that it had then, however its keywords are spelled most today: an ad group is known by it.
     */
    private static Map<String, String> given(Recipe recipe) {
        Map<String, String> given = new HashMap<>();
        recipe.grouping().rules().forEach(rule -> given.putIfAbsent(rule.key(), rule.name()));
        given.putAll(recipe.grouping().decisions().names());
        recipe.grouping().decisions().adopted().values().stream()
                .filter(key -> !key.equals(GroupsByHand.NO_GROUP))
                .forEach(key -> given.putIfAbsent(key, key));
        return given;
    }
}

package smorgas.core.board;

import java.util.List;
import java.util.Set;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import smorgas.core.column.Numbers;
import smorgas.core.figure.Figure;
import smorgas.core.fold.Keywords;
import smorgas.core.group.read.Groups;
import smorgas.core.recipe.Recipe;
import smorgas.core.recipe.Valuing;
import smorgas.core.recipe.sift.WordList;
import smorgas.core.serve.Planner;
import smorgas.core.sift.Statuses;
import smorgas.core.text.Words;
import smorgas.core.value.Apart;
import smorgas.core.value.EstimatedValue;
import smorgas.core.value.SearchWords;

/** What some stages work out of others, told by values alone. */
final class StageFunctions {

    private StageFunctions() {}

    static List<Apart.Steer> apart(
            Keywords keywords, SearchWords words, List<Planner.ExportedGroup> exported, Recipe recipe) {
        Numbers searches = keywords.numbers(Figure.SEARCHES);
        return Apart.of(
                words,
                exported.stream().map(Planner.ExportedGroup::keywords).toArray(int[][]::new),
                recipe.serving().plan().matchTypes(),
                recipe.folding().littleWords(),
                keyword -> searches.known(keyword) ? searches.twiceMiddle(keyword) / 2.0 : 0,
                recipe.rules().plan().longestSearch());
    }

    static EstimatedValue estimatedValue(
            Keywords keywords, Statuses statuses, Supplier<Groups> groups, Valuing valuing) {
        return EstimatedValue.of(keywords, valuing, statuses.tags()::with, key -> {
            int group = groups.get().find(key);
            return group < 0 ? new int[0] : groups.get().grouping().members().row(group);
        });
    }

    /** Words that lists of brands have. */
    static Set<String> brands(Recipe recipe) {
        return recipe.sifting().lists().values().stream()
                .filter(list -> list.kind() == WordList.Kind.BRANDS)
                .flatMap(list -> list.words().stream())
                .flatMap(entry -> Words.of(entry).stream())
                .collect(Collectors.toSet());
    }
}

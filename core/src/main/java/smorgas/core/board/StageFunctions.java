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
import smorgas.core.sift.Standings;
import smorgas.core.text.Words;
import smorgas.core.value.Apart;
import smorgas.core.value.SearchWords;
import smorgas.core.value.Worth;

/** What some stages work out of others, told by values alone. */
final class StageFunctions {

    private StageFunctions() {}

    static List<Apart.Steer> apart(
            Keywords keywords, SearchWords words, List<Planner.ServedGroup> served, Recipe recipe) {
        Numbers searches = keywords.numbers(Figure.SEARCHES);
        return Apart.of(
                words,
                served.stream().map(Planner.ServedGroup::keywords).toArray(int[][]::new),
                recipe.serving().plan().matchTypes(),
                recipe.folding().littleWords(),
                keyword -> searches.known(keyword) ? searches.twiceMiddle(keyword) / 2.0 : 0,
                recipe.rules().plan().longestSearch());
    }

    static Worth worth(Keywords keywords, Standings standings, Supplier<Groups> groups, Valuing valuing) {
        return Worth.of(keywords, valuing, standings.tags()::with, key -> {
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

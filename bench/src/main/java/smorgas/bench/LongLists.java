package smorgas.bench;

import java.io.IOException;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.IntStream;
import smorgas.core.fold.Keywords;
import smorgas.core.group.engine.Engines;
import smorgas.core.group.read.Agreement;
import smorgas.core.recipe.Rules;
import smorgas.core.recipe.group.GroupSettings;
import smorgas.core.recipe.group.Method;

/**
 * How near the groups of long lists come to the ad groups of the expert lists that these are made of, by words alone.
 */
final class LongLists {

    private LongLists() {}

    static void run() throws IOException {
        System.out.println("\n| long lists | keywords | groups | ungrouped | B-cubed F1 | adjusted Rand |"
                + "\n|---|---:|---:|---:|---:|---:|");
        for (String language : List.of("en", "de")) {
            for (int size : List.of(10_000, 40_000)) {
                List<ManyTrades.Typed> typed = ManyTrades.typed(language, size);
                measure(language, typed);
            }
        }
    }

    private static void measure(String language, List<ManyTrades.Typed> typed) {
        Keywords keywords =
                Grouping.fold(typed.stream().map(ManyTrades.Typed::phrase).toList());
        // Of two trades that share a keyword the first says where it belongs.
        Map<String, Integer> adGroups = new HashMap<>();
        typed.forEach(one -> adGroups.putIfAbsent(one.phrase(), one.adGroup()));
        int[] known = IntStream.range(0, keywords.size())
                .map(keyword -> adGroups.getOrDefault(keywords.text(keyword), -1 - keyword))
                .toArray();
        GroupSettings settings = Rules.NEWEST
                .settings()
                .byThemes(language)
                .with(new Method.BySimilarity(Method.BySimilarity.USUAL, 2, 0, false, Method.BySimilarity.ALL));
        int[] group = Engines.of(settings)
                .find(Grouping.question(keywords, settings, language, Rules.NEWEST.similarity()))
                .group();
        Agreement agreement = Agreement.of(Grouping.ungroupedAlone(group), known);
        System.out.printf(
                Locale.ENGLISH,
                "| %s | %,d | %,d | %,d | %.3f | %.3f |%n",
                language,
                keywords.size(),
                IntStream.of(group).filter(g -> g >= 0).distinct().count(),
                IntStream.of(group).filter(g -> g < 0).count(),
                agreement.f(),
                agreement.adjustedRand());
    }
}

package smorgas.core.serve;

import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Stream;
import smorgas.core.figure.ColumnRole;
import smorgas.core.fold.Gathered;
import smorgas.core.fold.Keywords;
import smorgas.core.recipe.gather.BasketInfo;
import smorgas.core.recipe.serve.PlanPages;
import smorgas.core.recipe.serve.PlanRules;
import smorgas.core.text.Formulas;
import smorgas.core.value.Reported;

/** What the lines of own campaigns hand down to a new ad group: the page that they lead to, and their ads. */
final class Inherited {

    private final Keywords keywords;
    private final PlanRules rules;
    private final boolean any;

    Inherited(Keywords keywords, PlanRules rules) {
        this.keywords = keywords;
        this.rules = rules;
        this.any = Gathered.any(keywords, BasketInfo.Kind.OWN_CAMPAIGN);
    }

    /** The page that most lines of these keywords lead to; of equal ones the first by the alphabet. */
    Optional<String> page(int[] members) {
        return counted(members, line -> cells(line, ColumnRole.LANDING_PAGE).stream()
                        .filter(PlanPages::isPage)
                        .toList())
                .stream()
                .findFirst();
    }

    /** The best ads that lines of these keywords have, by what reports tell of them; of those alike the ones that most lines have. */
    List<Plan.Ad> ads(int[] members) {
        List<Plan.Ad> most = counted(members, this::ad);
        if (most.size() > 1) {
            Map<Plan.Ad, Reported> told = new HashMap<>();
            for (int keyword : members) {
                for (Keywords.Occurrence line : keywords.occurrences(keyword)) {
                    ad(line).forEach(ad -> told.merge(ad, reported(line), Reported::and));
                }
            }
            most = most.stream()
                    .sorted(Comparator.comparing(told::get, Reported.bestAd(rules.enoughImpressions())))
                    .toList();
        }
        return most.stream().limit(rules.mostAds()).toList();
    }

    /** What a line has; none if a spreadsheet would run it. */
    private List<Plan.Ad> ad(Keywords.Occurrence line) {
        Plan.Ad ad = new Plan.Ad(cells(line, ColumnRole.HEADLINE), cells(line, ColumnRole.DESCRIPTION));
        boolean runs = Stream.concat(ad.headlines().stream(), ad.descriptions().stream())
                .anyMatch(Formulas::runs);
        return ad.headlines().isEmpty() || runs ? List.of() : List.of(ad);
    }

    /** What the lines of keywords tell, what most of them tell first. */
    private <T> List<T> counted(int[] members, Function<Keywords.Occurrence, List<T>> told) {
        if (!any) {
            return List.of();
        }
        Map<T, Integer> counts = new LinkedHashMap<>();
        for (int keyword : members) {
            for (Keywords.Occurrence line : keywords.occurrences(keyword)) {
                told.apply(line).forEach(one -> counts.merge(one, 1, Integer::sum));
            }
        }
        return counts.entrySet().stream()
                .sorted(Comparator.<Map.Entry<T, Integer>>comparingInt(entry -> -entry.getValue())
                        .thenComparing(entry -> entry.getKey().toString()))
                .map(Map.Entry::getKey)
                .toList();
    }

    private Reported reported(Keywords.Occurrence line) {
        return keywords.basket(line)
                .map(lines -> Reported.of(lines, line.row()))
                .orElse(Reported.NOTHING);
    }

    private List<String> cells(Keywords.Occurrence line, ColumnRole role) {
        return keywords.textsAt(line, BasketInfo.Kind.OWN_CAMPAIGN, role);
    }
}

package smorgas.core.serve;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Pattern;
import smorgas.core.column.ColumnRole;
import smorgas.core.column.TextColumn;
import smorgas.core.fold.Keywords;
import smorgas.core.gather.Lines;
import smorgas.core.recipe.BasketInfo;

/** What the lines of own campaigns hand down to a new ad group: the page that they lead to, and their ads. */
final class Inherited {

    /** An address as people type it, with nothing in it that a program on the way could take for something else. */
    private static final Pattern PAGE = Pattern.compile("https?://[^\\s\"'<>\\p{Cntrl}]{1,2000}");

    /** More ads than this are not looked after (common practice). */
    private static final int MOST_ADS = 3;

    private final Keywords keywords;
    /** Baskets of own campaigns by number. */
    private final Map<Long, Lines> own = new HashMap<>();

    Inherited(Keywords keywords) {
        this.keywords = keywords;
        keywords.baskets().stream()
                .filter(lines -> lines.info().kind() == BasketInfo.Kind.OWN_CAMPAIGN)
                .forEach(lines -> own.put(lines.basket(), lines));
    }

    /** The page that most lines of these keywords lead to; of equal ones the first by the alphabet. */
    Optional<String> page(int[] members) {
        return counted(members, (lines, row) -> cells(lines, ColumnRole.LANDING_PAGE, row).stream()
                        .filter(page -> PAGE.matcher(page).matches())
                        .toList())
                .stream()
                .findFirst();
    }

    /** The ads that most lines of these keywords have. */
    List<Plan.Ad> ads(int[] members) {
        return counted(members, (lines, row) -> {
                    Plan.Ad ad = new Plan.Ad(
                            cells(lines, ColumnRole.HEADLINE, row), cells(lines, ColumnRole.DESCRIPTION, row));
                    return ad.headlines().isEmpty() ? List.of() : List.of(ad);
                })
                .stream()
                .limit(MOST_ADS)
                .toList();
    }

    @FunctionalInterface
    private interface Told<T> {
        List<T> by(Lines lines, int row);
    }

    /** What the lines of keywords tell, what most of them tell first. */
    private <T> List<T> counted(int[] members, Told<T> told) {
        Map<T, Integer> counts = new LinkedHashMap<>();
        if (!own.isEmpty()) {
            for (int keyword : members) {
                for (Keywords.Occurrence line : keywords.occurrences(keyword)) {
                    Lines lines = own.get(line.basket());
                    if (lines != null) {
                        told.by(lines, line.row()).forEach(one -> counts.merge(one, 1, Integer::sum));
                    }
                }
            }
        }
        return counts.entrySet().stream()
                .sorted(Comparator.<Map.Entry<T, Integer>>comparingInt(entry -> -entry.getValue())
                        .thenComparing(entry -> entry.getKey().toString()))
                .map(Map.Entry::getKey)
                .toList();
    }

    private static List<String> cells(Lines lines, ColumnRole role, int row) {
        List<String> cells = new ArrayList<>();
        for (TextColumn column : lines.texts(role)) {
            if (!column.text(row).isEmpty()) {
                cells.add(column.text(row));
            }
        }
        return cells;
    }
}

package smorgas.core.fold;

import java.util.List;
import java.util.SortedSet;
import java.util.TreeSet;
import java.util.stream.Collectors;
import smorgas.core.figure.ColumnRole;
import smorgas.core.recipe.gather.BasketInfo;

/**
 * A basket that was folded.
 *
 * @param market where it is of; empty if unknown
 * @param brings whether it brings keywords, or only tells about them
 */
public record Gathered(String name, BasketInfo.Kind kind, String market, int lines, boolean brings) {

    /** What was gathered, in order. */
    public static List<Gathered> of(Keywords keywords) {
        return keywords.baskets().stream()
                .map(lines -> new Gathered(
                        lines.name(), lines.info().kind(), lines.info().market(), lines.size(), lines.brings()))
                .toList();
    }

    /** Whether any basket of this kind was folded. */
    public static boolean any(Keywords keywords, BasketInfo.Kind kind) {
        return keywords.baskets().stream().anyMatch(lines -> lines.info().kind() == kind);
    }

    /** The distinct texts in the columns of a role, in order, of all baskets but those of a kind. */
    public static SortedSet<String> told(Keywords keywords, ColumnRole role, BasketInfo.Kind but) {
        return keywords.baskets().stream()
                .filter(lines -> lines.info().kind() != but)
                .flatMap(lines -> lines.texts(role).stream())
                .flatMap(column -> column.texts().stream())
                .collect(Collectors.toCollection(TreeSet::new));
    }
}

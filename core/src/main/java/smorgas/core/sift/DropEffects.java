package smorgas.core.sift;

import java.math.BigDecimal;
import java.util.BitSet;
import java.util.EnumMap;
import java.util.Map;
import smorgas.core.column.FigureColumn;
import smorgas.core.figure.Figure;
import smorgas.core.fold.Keywords;
import smorgas.core.recipe.sift.Status;

/**
 * What goes along when keywords are dropped and one may not have thought of.
 *
 * @param kept how many of them stand as Kept
 * @param reported what reports tell of them together: clicks and conversions, those that are known and not zero
 */
public record DropEffects(int kept, Map<Figure, BigDecimal> reported) {

    /** Of keywords that would be dropped. */
    public static DropEffects of(BitSet dropped, Keywords keywords, Statuses statuses) {
        BitSet kept = statuses.with(Status.KEPT);
        kept.and(dropped);
        Map<Figure, BigDecimal> reported = new EnumMap<>(Figure.class);
        for (Figure figure : new Figure[] {Figure.CLICKS, Figure.CONVERSIONS}) {
            FigureColumn column = keywords.figure(figure).orElse(null);
            long twice = column == null
                    ? 0
                    : dropped.stream()
                            .filter(column::known)
                            .mapToLong(column::twiceMiddle)
                            .sum();
            if (twice != 0) {
                reported.put(
                        figure,
                        BigDecimal.valueOf(twice)
                                .divide(BigDecimal.valueOf(2 * figure.scale()))
                                .stripTrailingZeros());
            }
        }
        return new DropEffects(kept.cardinality(), Map.copyOf(reported));
    }
}

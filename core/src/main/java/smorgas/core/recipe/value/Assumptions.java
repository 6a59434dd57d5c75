package smorgas.core.recipe.value;

import java.util.Collections;
import java.util.EnumMap;
import java.util.Map;
import java.util.Optional;

/**
 * What is assumed of some keywords. What is not in it is not assumed, or of a tag or a group is as elsewhere.
 *
 * @param figures in parts of their units
 */
public record Assumptions(Map<Assumed, Span> figures, CostBy cost) {

    /** Nothing is assumed. */
    public static final Assumptions NONE = new Assumptions(Map.of(), CostBy.AS_ELSEWHERE);

    public Assumptions {
        figures.forEach(Assumed::require);
        Map<Assumed, Span> sorted = new EnumMap<>(Assumed.class);
        sorted.putAll(figures);
        figures = Collections.unmodifiableMap(sorted);
    }

    /** Whether anything is assumed. */
    public boolean says() {
        return !figures.isEmpty() || cost != CostBy.AS_ELSEWHERE;
    }

    public Optional<Span> figure(Assumed assumed) {
        return Optional.ofNullable(figures.get(assumed));
    }

    /** These where they say something, else the others; who says a place does not mean the others' share of clicks. */
    public Assumptions over(Assumptions others) {
        Map<Assumed, Span> merged = new EnumMap<>(Assumed.class);
        merged.putAll(others.figures);
        if (figures.containsKey(Assumed.PLACE)) {
            merged.remove(Assumed.CLICK_SHARE);
        }
        merged.putAll(figures);
        return new Assumptions(merged, cost == CostBy.AS_ELSEWHERE ? others.cost : cost);
    }
}

package smorgas.core.recipe.value;

import smorgas.core.text.Refusal;

/**
 * What somebody assumes: a number, or a range of one, in parts of its unit.
 *
 * @param low at least 0
 * @param high at least as much as low; the same for a plain number
 */
public record Span(long low, long high) {
    public Span {
        if (low < 0 || high < low) {
            throw new Refusal("value.span.range-goes-from-smaller");
        }
    }

    /** A plain number. */
    public static Span of(long number) {
        return new Span(number, number);
    }

    /** Half of the sum of both ends. */
    public double middle() {
        return (low + (double) high) / 2;
    }
}

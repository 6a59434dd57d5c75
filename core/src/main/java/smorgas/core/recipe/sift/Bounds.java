package smorgas.core.recipe.sift;

import java.util.OptionalLong;
import java.util.function.LongFunction;
import org.jspecify.annotations.Nullable;
import smorgas.core.text.Refusal;

/**
 * What a number must lie between, both ends included; an end that is null is open.
 *
 * @param least at most {@code most}
 */
public record Bounds(@Nullable Long least, @Nullable Long most) {

    /** Nothing is asked. */
    public static final Bounds ANY = new Bounds(null, null);

    public Bounds {
        if (least != null && most != null && least > most) {
            throw new Refusal("From " + least + " to " + most + " there is nothing: swap the two");
        }
    }

    /** This number and more. */
    public static Bounds from(long least) {
        return new Bounds(least, null);
    }

    /** At most this number. */
    public static Bounds upTo(long most) {
        return new Bounds(null, most);
    }

    /** Nothing but this number. */
    public static Bounds of(long number) {
        return new Bounds(number, number);
    }

    /** Whether a number given as its double lies between the ends; a range is asked by twice its middle. */
    public boolean holdTwice(long twice) {
        return (least == null || twice >= 2 * least) && (most == null || twice <= 2 * most);
    }

    /** So many times as far out. */
    public Bounds times(long factor) {
        return new Bounds(
                least == null ? null : Math.multiplyExact(least, factor),
                most == null ? null : Math.multiplyExact(most, factor));
    }

    public boolean hold(long number) {
        return (least == null || number >= least) && (most == null || number <= most);
    }

    /** Whether nothing is asked. */
    public boolean open() {
        return least == null && most == null;
    }

    /** The lower end; empty if it is open. */
    public OptionalLong lower() {
        return least == null ? OptionalLong.empty() : OptionalLong.of(least);
    }

    /** The upper end; empty if it is open. */
    public OptionalLong upper() {
        return most == null ? OptionalLong.empty() : OptionalLong.of(most);
    }

    /** In words; {@code open} stands before the unit where nothing is asked. */
    String told(LongFunction<String> shown, String unit, String open) {
        String what = unit.isEmpty() ? "" : " " + unit;
        if (least != null && most != null) {
            return least.equals(most)
                    ? shown.apply(least) + what
                    : shown.apply(least) + " to " + shown.apply(most) + what;
        }
        if (least != null) {
            return shown.apply(least) + what + " and more";
        }
        return most != null ? "at most " + shown.apply(most) + what : open + unit;
    }
}

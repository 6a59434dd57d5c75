package smorgas.core.recipe.sift;

import java.util.OptionalLong;
import java.util.function.LongFunction;
import org.jspecify.annotations.Nullable;
import smorgas.core.text.Message;
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
            throw new Refusal("sift.bounds.from-nothing-swap-two", least, most);
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

    /**
     * In words.
     *
     * @param unit what is counted; {@link Message#NONE} if it is said before
     * @param open what is said where nothing is asked
     */
    Message told(LongFunction<String> shown, Message unit, Message open) {
        if (least != null && most != null && !least.equals(most)) {
            return Message.of("bounds.from-to", shown.apply(least), counted(shown.apply(most), unit));
        }
        if (least != null) {
            Message from = counted(shown.apply(least), unit);
            return most != null ? from : Message.of("bounds.from", from);
        }
        return most != null ? Message.of("bounds.up-to", counted(shown.apply(most), unit)) : open;
    }

    private static Message counted(String number, Message unit) {
        return unit.isEmpty() ? Message.verbatim(number) : Message.of("bounds.counted", number, unit);
    }
}

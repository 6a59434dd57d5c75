package smorgas.core.figure;

import java.util.BitSet;
import java.util.Locale;
import java.util.stream.IntStream;
import smorgas.core.column.Numbers;
import smorgas.core.text.Message;

/**
 * How often some keywords are searched for in a month together.
 *
 * @param sum of those that are known, ranges by their middle
 * @param simulated whether a stand-in for a service has made some of it up
 */
public record Searched(long sum, boolean simulated) {

    /** Stands before every figure that nobody has measured. */
    public static final String MARK = "sim. ";

    public static final Searched NOTHING = new Searched(0, false);

    /** Of these keywords. */
    public static Searched of(BitSet keywords, Numbers searches) {
        return of(keywords.stream(), searches);
    }

    /** Of these keywords, each as often as it is among them. */
    public static Searched of(IntStream keywords, Numbers searches) {
        int[] known = keywords.filter(searches::known).toArray();
        return new Searched(
                IntStream.of(known).mapToLong(searches::twiceMiddle).sum() / 2,
                IntStream.of(known).anyMatch(searches::simulated));
    }

    /** Both together. */
    public Searched plus(Searched other) {
        return new Searched(sum + other.sum, simulated || other.simulated);
    }

    /** As people read it: with commas between thousands, and marked where it is made up. */
    public String written() {
        return (simulated ? MARK : "") + String.format(Locale.ENGLISH, "%,d", sum);
    }

    /** What of it is made up, for a column beside it; empty if nothing is. */
    public Message told() {
        return simulated ? Figure.SEARCHES.word() : Message.NONE;
    }
}

package smorgas.core.sift;

import java.util.Arrays;
import java.util.Comparator;
import smorgas.core.fold.Keywords;

/** Parts a list of keywords into those that stay and those beyond. */
public final class Trim {

    private Trim() {}

    /** Those behind the first so many, in their order. */
    public static int[] beyond(int[] ordered, int stay) {
        return Arrays.copyOfRange(ordered, Math.clamp(stay, 0, ordered.length), ordered.length);
    }

    /**
     * Those that a random sample of this size leaves out, in their order. Which they are depends on the seed and the
     * texts alone, so the same sample comes again whatever the order.
     */
    public static int[] outsideSample(int[] ordered, int size, long seed, Keywords keywords) {
        record Drawn(int place, long lot) {}
        Drawn[] drawn = new Drawn[ordered.length];
        for (int place = 0; place < ordered.length; place++) {
            drawn[place] = new Drawn(place, lot(keywords.text(ordered[place]), seed));
        }
        Arrays.sort(drawn, Comparator.comparingLong(Drawn::lot).thenComparing(d -> keywords.text(ordered[d.place()])));
        return Arrays.stream(drawn)
                .skip(Math.max(0, size))
                .mapToInt(Drawn::place)
                .sorted()
                .map(place -> ordered[place])
                .toArray();
    }

    /** FNV-1a over the text, begun with the seed and mixed at the end as in SplitMix64 (both from memory). */
    private static long lot(String text, long seed) {
        long hash = 0xCBF29CE484222325L ^ seed * 0x9E3779B97F4A7C15L;
        for (int i = 0; i < text.length(); i++) {
            hash = (hash ^ text.charAt(i)) * 0x100000001B3L;
        }
        hash = (hash ^ hash >>> 30) * 0xBF58476D1CE4E5B9L;
        hash = (hash ^ hash >>> 27) * 0x94D049BB133111EBL;
        return hash ^ hash >>> 31;
    }
}

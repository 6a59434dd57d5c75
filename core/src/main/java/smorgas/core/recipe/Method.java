package smorgas.core.recipe;

import java.util.List;
import smorgas.core.text.Refusal;

/** How groups are found. */
public sealed interface Method {

    /** The most passes. */
    int MOST_PASSES = 5;

    /**
     * Keywords with the same words: each takes the theme that covers most of it.
     *
     * @param passes runs of the engine one after the other, each over what the ones before left; 1 to {@value #MOST_PASSES}
     * @param rank which of two themes that describe a keyword nearly equally well is taken
     */
    record ByThemes(List<Pass> passes, Rank rank) implements Method {
        public ByThemes {
            passes = List.copyOf(passes);
            if (passes.isEmpty() || passes.size() > MOST_PASSES) {
                throw new Refusal("There are 1 to " + MOST_PASSES + " passes, not " + passes.size());
            }
        }
    }

    /**
     * Keywords that are alike: in what they are about, and in what they mean where that is known.
     *
     * @param place between broad and tight: 0, where all that have anything in common are one, to
     *     100, where each keyword is a group; 50 is usual
     * @param smallest the least keywords of a group, from 1; smaller ones go to the nearest group that is near enough
     * @param largest the most keywords of a group; larger ones are divided; 0 for no bound
     * @param meaning whether what keywords mean counts beside their words, once it is known of all
     * @param compared of more keywords groups form by themes, {@value #FEWEST} to {@value #ALL}: to find out how alike they are takes
     *     seconds where themes take a blink. A recipe gives the same everywhere, so this is no setting of a machine
     */
    record ByLikeness(int place, int smallest, int largest, boolean meaning, int compared) implements Method {
        public static final int BROADEST = 0;
        public static final int BROAD = 30;
        public static final int USUAL = 50;
        public static final int TIGHT = 70;
        public static final int TIGHTEST = 100;

        public static final int FEWEST = 100;
        public static final int ALL = 1_000_000;

        public ByLikeness {
            if (place < BROADEST || place > TIGHTEST) {
                throw new Refusal("Between broad and tight is 0 to 100, not " + place);
            }
            if (smallest < 1 || smallest > 100_000) {
                throw new Refusal("The smallest group has 1 to 100,000 keywords, not " + smallest);
            }
            if (compared < FEWEST || compared > ALL) {
                throw new Refusal("So many keywords are compared: 100 to 1,000,000, not " + compared);
            }
            if (largest != 0 && largest < Math.max(2, smallest)) {
                throw new Refusal(
                        "The largest group has 2 keywords at least, and no fewer than the smallest, not " + largest);
            }
        }

        /** Where the dial stands, in a word or by its figure. */
        public String placeName() {
            return switch (place) {
                case BROADEST -> "as broad as can be";
                case BROAD -> "broad";
                case USUAL -> "neither broad nor tight";
                case TIGHT -> "tight";
                case TIGHTEST -> "each keyword by itself";
                default -> "at " + place + " of 100 from broad to tight";
            };
        }

        /** The same at another place. */
        public ByLikeness at(int other) {
            return new ByLikeness(other, smallest, largest, meaning, compared);
        }

        /** The same by words alone, or by meaning too. */
        public ByLikeness with(boolean counts) {
            return new ByLikeness(place, smallest, largest, counts, compared);
        }
    }
}

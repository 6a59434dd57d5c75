package smorgas.core.recipe.group;

import java.util.List;
import java.util.Optional;
import smorgas.core.text.Message;
import smorgas.core.text.Refusal;

/** How groups are found, and what everybody else must know of it. The engine of a method is found by {@code Engines}. */
public interface Method {

    /** The most passes. */
    int MOST_PASSES = 5;

    /** What was chosen, after "Set the groups to". */
    Message told();

    /** So many keywords of a group that is found anew stay one; from 1. */
    default int smallest() {
        return 2;
    }

    /** The most keywords that it groups; of more, groups form by themes. */
    default int most() {
        return Integer.MAX_VALUE;
    }

    /**
     * Whether the keywords of a group share words, by which it goes: it is found anew whenever something changes. Otherwise it goes by
     * one of its keywords, and stays once it was adopted.
     */
    default boolean byWords() {
        return true;
    }

    /** Whether what keywords mean counts beside their words, once it is known of all. */
    default boolean meaning() {
        return false;
    }

    /** The same by words alone, or by meaning too; itself where meaning cannot count. */
    default Method with(boolean counts) {
        return this;
    }

    /** Bytes that finding groups among so many keywords takes beside them. */
    default long needed(int keywords) {
        return 0;
    }

    /** How it tells themes; empty if it has no themes. */
    default Optional<ByThemes> themes() {
        return Optional.empty();
    }

    /**
     * Keywords with the same words: each takes the theme that covers most of it.
     *
     * @param passes runs of the engine one after the other, each over what the ones before left; 1 to {@value #MOST_PASSES}
     * @param rank which of two themes that describe a keyword nearly equally well is taken
     */
    record ByThemes(List<Pass> passes, Rank rank) implements Method {
        /** Themes of one to five words in any order that three keywords have. */
        public static final ByThemes USUAL =
                new ByThemes(List.of(new Pass(3, Pass.ANY, Pass.ANY, 1, Pass.LONGEST, true, 0)), Rank.BY_KEYWORDS);

        public ByThemes {
            passes = List.copyOf(passes);
            if (passes.isEmpty() || passes.size() > MOST_PASSES) {
                throw new Refusal("group.method.1-passes", MOST_PASSES, passes.size());
            }
        }

        @Override
        public Message told() {
            Pass first = passes.getFirst();
            Message more = passes.size() > 1 ? Message.of("group.method.in-passes", passes.size()) : Message.NONE;
            return Message.of(
                    "group.method.keywords-more-themes-words",
                    first.smallest(),
                    first.shortest(),
                    first.longest(),
                    more);
        }

        @Override
        public Optional<ByThemes> themes() {
            return Optional.of(this);
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
    record BySimilarity(int place, int smallest, int largest, boolean meaning, int compared) implements Method {
        public static final int BROADEST = 0;
        public static final int BROAD = 30;
        public static final int USUAL = 50;
        public static final int TIGHT = 70;
        public static final int TIGHTEST = 100;

        public static final int FEWEST = 100;
        public static final int ALL = 1_000_000;

        /** What a keyword takes at the most demanding moment, measured with {@code bench similarity-large}. */
        private static final long A_KEYWORD = 2_600;

        /** And what its meaning takes beside it. */
        private static final long MEANING = 3_200;

        public BySimilarity {
            if (place < BROADEST || place > TIGHTEST) {
                throw new Refusal("group.method.between-broad-tight-0", place);
            }
            if (smallest < 1 || smallest > 100_000) {
                throw new Refusal("group.method.smallest-group-1-100", smallest);
            }
            if (compared < FEWEST || compared > ALL) {
                throw new Refusal("group.method.so-many-keywords-compared", compared);
            }
            if (largest != 0 && largest < Math.max(2, smallest)) {
                throw new Refusal("group.method.largest-group-2-keywords", largest);
            }
        }

        /** Where the dial stands, in a word or by its figure. */
        public Message placeName() {
            return switch (place) {
                case BROADEST -> Message.of("group.method.broad-can");
                case BROAD -> Message.of("group.method.broad");
                case USUAL -> Message.of("group.method.neither-broad-nor-tight");
                case TIGHT -> Message.of("group.method.tight");
                case TIGHTEST -> Message.of("group.method.each-keyword-itself");
                default -> Message.of("group.method.100-from-broad-tight", place);
            };
        }

        /** The same at another place. */
        public BySimilarity at(int other) {
            return new BySimilarity(other, smallest, largest, meaning, compared);
        }

        @Override
        public Message told() {
            return Message.of("group.method.keywords-alike-more", placeName(), smallest);
        }

        @Override
        public int most() {
            return compared;
        }

        @Override
        public boolean byWords() {
            return false;
        }

        @Override
        public long needed(int keywords) {
            return keywords <= compared ? keywords * (A_KEYWORD + (meaning ? MEANING : 0)) : 0;
        }

        @Override
        public BySimilarity with(boolean counts) {
            return new BySimilarity(place, smallest, largest, counts, compared);
        }
    }
}

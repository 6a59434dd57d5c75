package smorgas.core.group.engine;

import java.util.List;
import java.util.Optional;
import java.util.function.IntConsumer;
import smorgas.core.column.RaggedInts;

/**
 * How near keywords are to the groups of a result, as the method by which these were found measures it: what explains a result
 * asks it, and presumes nothing of how the result came about.
 */
public interface Nearness {

    /** How near a keyword is to a group, its own or another: 0 for nothing in common to 1. */
    double of(int keyword, int group);

    /** Calls for each group that a keyword could be in, its own among them; not for those it has nothing in common with. */
    void forEach(int keyword, IntConsumer group);

    /** Whether anything can be said of a group: not of one that only a rule or a hand has made. */
    boolean measures(int group);

    /** How alike the keywords of two groups are on the whole: 0 to 1. */
    double between(int group, int other);

    /** How alike two keywords are: 0 to 1. */
    double alike(int keyword, int other);

    /** Why a keyword is as near to a group as it is; empty where the words of the group's theme say it all. */
    default Optional<Reasons> reasons(int keyword, int group) {
        return Optional.empty();
    }

    /**
     * What makes a keyword like the others of a group. The shares of all parts come to 1.
     *
     * @param words those that make it so, the most telling first
     * @param meaning the share of what they mean beyond their words; 0 where that is not known or does not count
     * @param company the share of being alike to the same third keywords
     * @param nearest the keywords of the group most like it, the most alike first
     */
    record Reasons(List<Word> words, double meaning, double company, List<Integer> nearest) {

        /**
         * A word.
         *
         * @param text as keywords write it
         * @param same whether others that mean the same count with it
         */
        public record Word(String text, boolean same, double share) {}
    }

    /** Which keyword is in which group. */
    interface Membership {

        int groups();

        /** Below 0 for none. */
        int groupOf(int keyword);

        /** The keywords of each group. */
        RaggedInts members();
    }

    /** Makes it for a result. */
    @FunctionalInterface
    interface Measure {
        Nearness over(Membership result);
    }
}

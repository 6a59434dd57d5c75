package smorgas.core.group.engine;

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

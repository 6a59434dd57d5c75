package smorgas.core.group.engine;

import java.util.Arrays;
import java.util.Optional;
import java.util.function.Supplier;

/** Finds groups among keywords, without rules and hands. The result is the same for any order of the keywords. */
public interface Engine {

    /**
     * Finds groups. Who no longer wants them interrupts the thread.
     *
     * @throws java.util.concurrent.CancellationException if they are no longer wanted
     */
    Found find(Question question);

    /**
     * What was found.
     *
     * @param themes the words of each group's theme, in the order in which they stand on the whole
     * @param keys what tells each group apart; empty for its theme, and of two with the same one the keywords are one group
     * @param group for each keyword of the scope its group, or -1
     * @param weights what each word weighs; 0 for an ignored word and for one that no keyword of the scope has
     * @param measure how near keywords are to groups; empty for by their themes
     * @param dial what other places of the dial would give
     */
    record Found(
            int[][] themes,
            String[] keys,
            int[] group,
            double[] weights,
            Optional<Nearness.Measure> measure,
            Supplier<Dial> dial) {

        /** Groups that go by their themes. */
        public static Found byThemes(int[][] themes, int[] group, double[] weights) {
            String[] keys = new String[themes.length];
            Arrays.fill(keys, "");
            return new Found(themes, keys, group, weights, Optional.empty(), () -> Dial.NONE);
        }
    }

    /** Finds no groups, but what else an engine tells: where groups are adopted. What takes long waits until it is asked for. */
    default Found measuring(Question question) {
        return find(question);
    }
}

package smorgas.core.group.engine;

import smorgas.core.recipe.GroupSettings;
import smorgas.core.recipe.Method;

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
     * @param themes the words of each group's theme, in the order in which they stand on the whole; of two groups with the
     *     same theme the keywords are one group
     * @param group for each keyword of the scope its group, or -1
     * @param weights what each word weighs; 0 for a muted word and for one that no keyword of the scope has
     */
    record Found(int[][] themes, int[] group, double[] weights) {}

    /** The engine of a method. */
    static Engine of(GroupSettings settings) {
        return switch (settings.method()) {
            case Method.ByThemes themes -> new ThemeEngine(themes, settings);
        };
    }
}

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
}

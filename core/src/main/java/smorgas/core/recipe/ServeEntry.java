package smorgas.core.recipe;

import java.util.Set;

/** An entry about what leaves. */
public sealed interface ServeEntry extends Entry {
    /**
     * A negative that blocks what the plan serves leaves all the same, or is held back again.
     *
     * @param word as the rule names it, tidy
     */
    record NegativeSettled(String word, boolean leaves) implements ServeEntry {
        @Override
        public Set<String> touches() {
            return Set.of("negative:" + word);
        }

        @Override
        public String sentence() {
            return leaves
                    ? "Serves the negative \"" + word + "\" whatever it blocks"
                    : "Holds the negative \"" + word + "\" back where it blocks what is served";
        }
    }

    /** The choices of Serve were set. */
    record PlanSettingsChosen(PlanSettings settings) implements ServeEntry {
        @Override
        public Set<String> touches() {
            return Set.of("plan");
        }

        @Override
        public String sentence() {
            return "Set the plan for campaign " + settings.campaign();
        }
    }
}

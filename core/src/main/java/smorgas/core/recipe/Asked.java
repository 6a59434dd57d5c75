package smorgas.core.recipe;

import java.util.List;

/** What a tool of ours was asked for when it made a basket, so that it can be asked again. */
public sealed interface Asked {

    /** Nothing: the list came from elsewhere. */
    record Nothing() implements Asked {}

    /** Word lists were multiplied. */
    record Paired(Pairing pairing) implements Asked {}

    /** Access logs were counted; the logs are not kept, so that other settings need them again. */
    record Logged(LogReading reading, LogReading.Counted counted) implements Asked {}

    /**
     * Sources were asked for suggestions.
     *
     * @param simulated whether some of them only stand in for services
     * @param left what was not asked yet when it was stopped; empty if all was
     * @param failed what no answer came to
     */
    record Foraged(Foraging foraging, boolean simulated, List<Foraging.Left> left, List<Foraging.Failed> failed)
            implements Asked {
        public Foraged {
            left = List.copyOf(left);
            failed = List.copyOf(failed);
        }
    }

    /**
     * Phrases were taken out of pages.
     *
     * @param pages that were read
     * @param problems pages that could not be, each a sentence
     */
    record Gleaned(Gleaning gleaning, int pages, List<String> problems) implements Asked {
        public Gleaned {
            problems = List.copyOf(problems);
        }
    }

    /** Phrases were thought up around what somebody wrote, and judged. */
    record Thought(Brainstorm brainstorm) implements Asked {}

    /**
     * A planner was asked for figures of keywords that had none. The basket only tells about them.
     *
     * @param simulated whether the planner only stands in for a service, so that its figures are marked wherever they show
     * @param left keywords that it was not asked for yet, or did not answer; empty if none
     * @param failed what no answer came to
     */
    record Estimated(Estimation estimation, boolean simulated, List<String> left, List<Foraging.Failed> failed)
            implements Asked {
        public Estimated {
            left = List.copyOf(left);
            failed = List.copyOf(failed);
        }

        @Override
        public boolean brings() {
            return false;
        }

        @Override
        public boolean madeUp() {
            return simulated;
        }
    }

    /** Whether what came brings keywords, rather than only telling about those that others bring. */
    default boolean brings() {
        return true;
    }

    /** Whether its figures are made up, and to be marked wherever they show. */
    default boolean madeUp() {
        return false;
    }

    /** Nothing was asked. */
    Asked NOTHING = new Nothing();
}

package smorgas.app.web.show;

import java.util.Arrays;
import java.util.Optional;

/** The five steps, in their one direction. */
public enum Step {
    GATHER(
            "Gather",
            "gather",
            "Drop every list you have; each stays as it came, and what was understood wrongly is put right here."),
    FOLD(
            "Fold",
            "fold",
            "What means the same is one keyword already; look at the doubtful sets and the likely misspellings."),
    SIFT(
            "Sift",
            "sift",
            "Drop a word that does not fit and all its keywords go; then K, X or U from the top until it gets irrelevant."),
    GROUP(
            "Group",
            "group",
            "Turn the dial from broad to tight until the largest groups are what one ad answers, then adopt them."),
    SERVE("Serve, export", "serve", "Choose match types and a bid, look at the checks, and download the plan.");

    private final String label;
    private final String path;
    private final String hint;

    Step(String label, String path, String hint) {
        this.label = label;
        this.path = path;
        this.hint = hint;
    }

    /** The step of such a path; none of another. */
    public static Optional<Step> of(String path) {
        return Arrays.stream(values()).filter(step -> step.path.equals(path)).findFirst();
    }

    public String label() {
        return label;
    }

    /** The last part of the step's URL. */
    public String path() {
        return path;
    }

    /** What is done here, a sentence for the first visit. */
    public String hint() {
        return hint;
    }
}

package smorgas.app.web.show;

/** The five steps, in their one direction. */
public enum Step {
    GATHER("Gather", "gather"),
    FOLD("Fold", "fold"),
    SIFT("Sift", "sift"),
    GROUP("Group", "group"),
    SERVE("Serve, export", "serve");

    private final String label;
    private final String path;

    Step(String label, String path) {
        this.label = label;
        this.path = path;
    }

    public String label() {
        return label;
    }

    /** The last part of the step's URL. */
    public String path() {
        return path;
    }
}

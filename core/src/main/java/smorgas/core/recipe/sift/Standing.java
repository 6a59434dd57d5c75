package smorgas.core.recipe.sift;

/** Whether a keyword is what the client sells. */
public enum Standing {
    KEPT("Kept", "keep"),
    UNDECIDED("Undecided", "leave undecided"),
    DROPPED("Dropped", "drop");

    private final String label;
    private final String act;

    Standing(String label, String act) {
        this.label = label;
        this.act = act;
    }

    /** The word for pages and files. */
    public String label() {
        return label;
    }

    /** The verb for what a rule or a hand does to give this standing. */
    public String act() {
        return act;
    }
}

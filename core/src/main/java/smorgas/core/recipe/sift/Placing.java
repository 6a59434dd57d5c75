package smorgas.core.recipe.sift;

/** Where the words of a {@link Condition.Worded} condition stand in the keyword. */
public enum Placing {
    ANY_ORDER("with the words", "in any order"),
    IN_ORDER("with the words", "in this order"),
    EXACTLY("that are exactly", ""),
    STARTS("that start with", ""),
    ENDS("that end with", "");

    private final String before;
    private final String behind;

    Placing(String before, String behind) {
        this.before = before;
        this.behind = behind;
    }

    /** What stands before the words in the sentence. */
    public String before() {
        return before;
    }

    /** What stands behind the words in the sentence; empty if nothing does. */
    public String behind() {
        return behind;
    }
}

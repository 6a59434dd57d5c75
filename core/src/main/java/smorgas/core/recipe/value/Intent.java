package smorgas.core.recipe.value;

/** What somebody wants who searches for a keyword; the trade's five. */
public enum Intent {
    /** To know something. */
    INFORMATIONAL("informational"),
    /** To compare what could be bought. */
    COMMERCIAL("commercial"),
    /** To buy, hire or order now. */
    TRANSACTIONAL("transactional"),
    /** To get to one maker or shop. */
    NAVIGATIONAL("navigational"),
    /** To find something nearby. */
    LOCAL("local");

    private final String label;

    Intent(String label) {
        this.label = label;
    }

    public String label() {
        return label;
    }
}

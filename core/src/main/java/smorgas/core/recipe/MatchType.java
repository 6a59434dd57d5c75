package smorgas.core.recipe;

/** How close a search must come to a keyword for its ad to show; the trade's three. */
public enum MatchType {
    BROAD("Broad"),
    PHRASE("Phrase"),
    EXACT("Exact");

    private final String label;

    MatchType(String label) {
        this.label = label;
    }

    /** The word that stands in the column Match type. */
    public String label() {
        return label;
    }
}

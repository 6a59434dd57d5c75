package smorgas.core.recipe.serve;

/** How close a search must come to a keyword for its ad to show; the trade's three. */
public enum MatchType {
    BROAD("Broad"),
    PHRASE("Phrase"),
    EXACT("Exact");

    private final String label;

    MatchType(String label) {
        this.label = label;
    }

    /** A keyword in the notation of ad platforms (common practice): bare, in quotes, in brackets. */
    public String written(String keyword) {
        return switch (this) {
            case BROAD -> keyword;
            case PHRASE -> '"' + keyword + '"';
            case EXACT -> '[' + keyword + ']';
        };
    }

    /** The word that stands in the column Match type. */
    public String label() {
        return label;
    }
}

package smorgas.core.recipe;

/**
 * A kind of folding that can be switched, in the order in which the page shows them. Tidying comes before all of them and
 * cannot be switched off. What each does is documented where it is done, in {@code fold.WordFolds}.
 */
public enum FoldKind {
    PUNCTUATION("Punctuation", "bee-keeper's hat = bee keepers hat; 4.5 mm, #10 and c++ keep theirs", true),
    ACCENTS("Accents", "café = cafe", true),
    REPEATED("Words said twice", "bee hive bee = bee hive", true),
    ORDER("Word order", "smoker bee = bee smoker", true),
    PLURALS("Singular and plural", "bee hives = bee hive", true),
    STEMS("Further word forms", "keeping bees = keep bees", false),
    JOINED("Joined and split words", "beekeeping = bee keeping, where both occur", true),
    LITTLE_WORDS("Little words", "suit for beekeepers = suit beekeepers", false),
    MISSPELLINGS("Misspellings", "those that were accepted; never by itself", true);

    private final String label;
    private final String example;
    private final boolean onAtFirst;

    FoldKind(String label, String example, boolean onAtFirst) {
        this.label = label;
        this.example = example;
        this.onAtFirst = onAtFirst;
    }

    public String label() {
        return label;
    }

    /** What it folds, by an example. */
    public String example() {
        return example;
    }

    /** Whether a new project folds so. */
    public boolean onAtFirst() {
        return onAtFirst;
    }
}

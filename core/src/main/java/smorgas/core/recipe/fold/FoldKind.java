package smorgas.core.recipe.fold;

/**
 * A kind of folding that can be switched, in the order in which the page shows them. Tidying comes before all of them and
 * cannot be switched off. What each does is documented where it is done, in {@code fold.WordFolds}.
 */
public enum FoldKind {
    PUNCTUATION("Punctuation", "bee-keeper's hat = bee keepers hat; 4.5 mm, #10 and c++ keep theirs"),
    ACCENTS("Accents", "café = cafe"),
    REPEATED("Words said twice", "bee hive bee = bee hive"),
    ORDER("Word order", "smoker bee = bee smoker"),
    PLURALS("Singular and plural", "bee hives = bee hive"),
    STEMS("Further word forms", "keeping bees = keep bees"),
    JOINED("Joined and split words", "beekeeping = bee keeping, where both occur"),
    LITTLE_WORDS("Little words", "suit for beekeepers = suit beekeepers"),
    MISSPELLINGS("Misspellings", "those that were accepted; never by itself");

    private final String label;
    private final String example;

    FoldKind(String label, String example) {
        this.label = label;
        this.example = example;
    }

    public String label() {
        return label;
    }

    /** What it folds, by an example. */
    public String example() {
        return example;
    }
}

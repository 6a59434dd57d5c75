package smorgas.core.recipe.fold;

import smorgas.core.text.Message;

/**
 * A kind of folding that can be switched, in the order in which the page shows them. Tidying comes before all of them and
 * cannot be switched off. What each does is documented where it is done, in {@code fold.WordFolds}.
 */
public enum FoldKind {
    PUNCTUATION("fold-kind.punctuation", "fold-kind.punctuation.example"),
    ACCENTS("fold-kind.accents", "fold-kind.accents.example"),
    REPEATED("fold-kind.repeated", "fold-kind.repeated.example"),
    ORDER("fold-kind.order", "fold-kind.order.example"),
    PLURALS("fold-kind.plurals", "fold-kind.plurals.example"),
    STEMS("fold-kind.stems", "fold-kind.stems.example"),
    JOINED("fold-kind.joined", "fold-kind.joined.example"),
    LITTLE_WORDS("fold-kind.little-words", "fold-kind.little-words.example"),
    MISSPELLINGS("fold-kind.misspellings", "fold-kind.misspellings.example");

    private final Message label;
    private final Message example;

    FoldKind(String label, String example) {
        this.label = Message.of(label);
        this.example = Message.of(example);
    }

    public Message label() {
        return label;
    }

    /** The same within a sentence. */
    public Message word() {
        return Message.of(label.key() + ".word");
    }

    /** What it folds, by an example. */
    public Message example() {
        return example;
    }
}

package smorgas.core.recipe.fold;

/** A word that is taken for a misspelling, and the word that is meant; both as folding sees them, without accents. */
public record WordPair(String wrong, String right) {}

package smorgas.core.recipe.fold;

/**
 * The numbers by which words are folded. Lengths are in characters.
 *
 * @param shortestPart parts of a joined word have so many letters at least, or all sorts of words would fall apart
 * @param shortestJoined a shorter word is not taken for a joined one
 * @param misspelling which words are proposed as misspellings
 */
public record FoldRules(int shortestPart, int shortestJoined, Misspelling misspelling) {

    /** Tried on a published list of misspellings; see MisspellingsTest. */
    public static final FoldRules FIRST = new FoldRules(2, 5, new Misspelling(4, 2, 4, 50, 8));

    /**
     * A word looks misspelt beside one that is close and far more frequent.
     *
     * @param times the right word is in so many times as many spellings
     * @param timesTransposed the same where only two neighbouring letters changed places
     * @param shortest shorter words are close to too many
     * @param longest no word that anybody means to type is longer
     * @param longWord from this length on two letters may be wrong
     */
    public record Misspelling(int times, int timesTransposed, int shortest, int longest, int longWord) {}
}

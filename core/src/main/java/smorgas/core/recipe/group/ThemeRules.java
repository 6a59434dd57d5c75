package smorgas.core.recipe.group;

/**
 * The numbers by which groups form by themes.
 *
 * @param rounds choices after the first, each with words weighed anew
 * @param leastWeight no word weighs less than this part of what its rarity says, so that a keyword of common words only still has
 *     a tightness
 * @param nearly of themes whose coverages differ by no more the one of the highest rank is taken
 * @param mostWords of more words in a keyword only the first so many are put into themes of any order: eighty words have millions
 * @param mostShared of a theme with more words, which only a hand makes, sets of one and two are looked at for broader themes
 * @param mostLookedUp of more words in a keyword only the first so many are looked up among the themes
 * @param usual how themes are told where settings do not say it, which also serves to split a group
 */
public record ThemeRules(
        int rounds,
        double leastWeight,
        double nearly,
        int mostWords,
        int mostShared,
        int mostLookedUp,
        Method.ByThemes usual) {

    public static final ThemeRules FIRST = new ThemeRules(3, .02, .08, 12, 8, 16, Method.ByThemes.USUAL);
}

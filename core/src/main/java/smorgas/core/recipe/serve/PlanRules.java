package smorgas.core.recipe.serve;

/**
 * The numbers by which the plan is made.
 *
 * @param longestKeyword characters of a keyword that an ad platform takes (common practice)
 * @param mostWords words of one (common practice)
 * @param sharedWords a page that is picked for an ad group shares at least this part of the words of its theme
 * @param mostAds an ad group takes over so many ads of a campaign
 * @param longestSearch of searches with more words, runs are looked for in other groups and no sets: there are too many
 * @param enoughImpressions an ad that was shown more rarely tells nothing (common practice)
 */
public record PlanRules(
        int longestKeyword, int mostWords, double sharedWords, int mostAds, int longestSearch, int enoughImpressions) {

    public static final PlanRules FIRST = new PlanRules(80, 10, .5, 3, 8, 100);
}

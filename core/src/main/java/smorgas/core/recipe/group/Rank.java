package smorgas.core.recipe.group;

import smorgas.core.text.Refusal;

/**
 * What makes one of two themes that describe a keyword nearly equally well the better one: a weighting of the shares that
 * its keywords have of all keywords, searches, clicks, conversions, visits and goals. Weights are 0 to 100, one of them above 0.
 */
public record Rank(int keywords, int searches, int clicks, int conversions, int visits, int goals) {

    /** The theme that more keywords have. */
    public static final Rank BY_KEYWORDS = new Rank(1, 0, 0, 0, 0, 0);

    public Rank {
        for (int weight : new int[] {keywords, searches, clicks, conversions, visits, goals}) {
            if (weight < 0 || weight > 100) {
                throw new Refusal("group.rank.weight-0-100", weight);
            }
        }
        if (keywords + searches + clicks + conversions + visits + goals == 0) {
            throw new Refusal("group.rank.one-weight-must-above");
        }
    }
}

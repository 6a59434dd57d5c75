package smorgas.core.recipe.value;

/**
 * How strong signs of an intent are, beside those that the shipped lists say (common practice; set by hand).
 *
 * @param said a word of which somebody has said so; 1 to 100, as all of these
 * @param ofAList a word that a project's own list names
 * @param ofABrand a brand of such a list
 * @param ofAPlace a place of such a list
 * @param muchCompetition from here on an index of competition, 0 to 100, is high
 * @param dearest the part of the keywords for which others bid high: one of so many
 * @param mixed keywords mix intents if they have at least this part of both
 */
public record IntentRules(
        int said, int ofAList, int ofABrand, int ofAPlace, int muchCompetition, int dearest, double mixed) {

    public static final IntentRules FIRST = new IntentRules(100, 88, 95, 60, 67, 5, .25);
}

package smorgas.core.serve;

import smorgas.core.fold.Keywords;
import smorgas.core.group.read.Groups;
import smorgas.core.recipe.Recipe;
import smorgas.core.sift.Standings;

/**
 * What leaves, and what tells of it.
 *
 * @param project the name of the project
 * @param currency of bids, such as EUR
 */
public record Handover(
        String project,
        String currency,
        Plan plan,
        Keywords keywords,
        Standings standings,
        Groups groups,
        Recipe recipe) {}

package smorgas.core.recipe;

import java.util.List;
import smorgas.core.recipe.serve.PlanBids;
import smorgas.core.text.Characters;
import smorgas.core.text.Formulas;
import smorgas.core.text.Message;
import smorgas.core.text.Refusal;

/**
 * What a hand said of one campaign, beside what the plan says of all.
 *
 * @param name at most 255 characters; empty for as the plan names it
 * @param ownBids whether its bids go by a rule of its own
 * @param bids that rule; {@link PlanBids#NONE} if there is none
 * @param negatives that leave in it too, or, of those that all campaigns share, never leave in it
 */
public record OwnCampaign(String name, boolean ownBids, PlanBids bids, List<ServeEntry.Said> negatives) {

    /** Nothing said. */
    public static final OwnCampaign NONE = new OwnCampaign("", false, PlanBids.NONE, List.of());

    private static final int LONGEST = 255;
    private static final int MOST_NEGATIVES = 5_000;

    public OwnCampaign {
        name = name.strip();
        negatives = List.copyOf(negatives);
        if (Characters.count(name) > LONGEST) {
            throw new Refusal("recipe.own-campaign.name-campaign-most-255");
        }
        // A campaign of such a name would not be exported at all, and nobody could open it to give it another name.
        Formulas.refuse(Message.of("recipe.own-campaign.campaign"), name);
        if (negatives.size() > MOST_NEGATIVES) {
            throw new Refusal("recipe.own-campaign.campaign-most-5-000");
        }
        if (!ownBids && !bids.equals(PlanBids.NONE)) {
            throw new Refusal("recipe.own-campaign.say-campaign-bids-rule");
        }
        if (negatives.stream().anyMatch(said -> !said.group().isEmpty())) {
            throw new Refusal("recipe.own-campaign.negative-campaign-one-group");
        }
    }
}

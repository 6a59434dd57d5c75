package smorgas.core.recipe.serve;

import java.util.Collections;
import java.util.EnumSet;
import java.util.Set;
import smorgas.core.text.Refusal;

/**
 * What the ad plan holds and how it is made.
 *
 * @param structure what ad groups are made of
 * @param campaigns which of them make a campaign
 * @param groups which groups and keywords are exported
 * @param matchTypes at least one
 * @param names how campaigns and ad groups are named
 * @param bids what a click may cost
 * @param pages where ad groups lead to
 */
public record PlanSettings(
        PlanStructure structure,
        PlanCampaigns campaigns,
        PlanGroups groups,
        Set<MatchType> matchTypes,
        PlanNames names,
        PlanBids bids,
        PlanPages pages) {

    public PlanSettings {
        if (matchTypes.isEmpty()) {
            throw new Refusal("serve.plan-settings.choose-least-one-match");
        }
        matchTypes = Collections.unmodifiableSet(EnumSet.copyOf(matchTypes));
    }

    /** Whether each ad group holds one match type of several. */
    public boolean oneTypeEach() {
        return structure.oneMatchType() && matchTypes.size() > 1;
    }

    /** The same with other ad groups. */
    public PlanSettings with(PlanStructure other) {
        return new PlanSettings(other, campaigns, groups, matchTypes, names, bids, pages);
    }

    /** The same with other campaigns. */
    public PlanSettings with(PlanCampaigns other) {
        return new PlanSettings(structure, other, groups, matchTypes, names, bids, pages);
    }

    /** The same of other groups. */
    public PlanSettings with(PlanGroups other) {
        return new PlanSettings(structure, campaigns, other, matchTypes, names, bids, pages);
    }

    /** The same in other match types. */
    public PlanSettings with(Set<MatchType> others) {
        return new PlanSettings(structure, campaigns, groups, others, names, bids, pages);
    }

    /** The same with other names. */
    public PlanSettings with(PlanNames other) {
        return new PlanSettings(structure, campaigns, groups, matchTypes, other, bids, pages);
    }

    /** The same with other bids. */
    public PlanSettings with(PlanBids other) {
        return new PlanSettings(structure, campaigns, groups, matchTypes, names, other, pages);
    }

    /** The same with other pages. */
    public PlanSettings with(PlanPages other) {
        return new PlanSettings(structure, campaigns, groups, matchTypes, names, bids, other);
    }
}

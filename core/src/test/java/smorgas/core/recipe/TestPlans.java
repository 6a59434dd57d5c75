package smorgas.core.recipe;

import java.util.Set;
import smorgas.core.recipe.serve.MatchType;
import smorgas.core.recipe.serve.PlanBids;
import smorgas.core.recipe.serve.PlanGroups;
import smorgas.core.recipe.serve.PlanNames;
import smorgas.core.recipe.serve.PlanSettings;
import smorgas.core.recipe.serve.PlanStructure;

/** Settings of plans as tests ask for them. */
public final class TestPlans {

    private TestPlans() {}

    /** One campaign. */
    public static PlanSettings settings(
            String campaign,
            String pattern,
            boolean titleCase,
            int depth,
            Set<MatchType> types,
            long bidMicros,
            boolean keptOnly,
            boolean ungrouped) {
        return Rules.NEWEST
                .settings()
                .plan()
                .with(PlanNames.of(campaign, pattern)
                        .with(titleCase ? PlanNames.Letters.TITLE : PlanNames.Letters.AS_THEY_ARE))
                .with(new PlanStructure(depth, false, false))
                .with(types)
                .with(PlanBids.fixed(bidMicros))
                .with(new PlanGroups(keptOnly, ungrouped, 1, PlanGroups.Small.LEFT_OUT, false));
    }
}

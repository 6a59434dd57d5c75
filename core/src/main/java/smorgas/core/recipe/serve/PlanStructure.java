package smorgas.core.recipe.serve;

import smorgas.core.recipe.group.Pass;
import smorgas.core.text.Refusal;

/**
 * What ad groups are made of.
 *
 * @param depth of which broader themes: 1 for the broadest, up to {@value Pass#LONGEST}; 0 for the groups themselves
 * @param oneKeyword whether each keyword is an ad group of its own
 * @param oneMatchType whether each ad group holds one match type, so that there is one for each that is chosen
 */
public record PlanStructure(int depth, boolean oneKeyword, boolean oneMatchType) {

    /** The groups themselves, with all their keywords in all match types. */
    public static final PlanStructure THEMED = new PlanStructure(0, false, false);

    public PlanStructure {
        if (depth < 0 || depth > Pass.LONGEST) {
            throw new Refusal("serve.plan-structure.depth-0", Pass.LONGEST, depth);
        }
    }
}

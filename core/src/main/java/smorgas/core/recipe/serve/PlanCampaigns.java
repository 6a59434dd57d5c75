package smorgas.core.recipe.serve;

import smorgas.core.recipe.group.Pass;
import smorgas.core.text.Refusal;

/**
 * Which ad groups make a campaign.
 *
 * @param depth of campaigns by broader theme, which: 1 for the broadest, up to {@value Pass#LONGEST}; 0 for others
 */
public record PlanCampaigns(By by, int depth) {

    /** What parts campaigns. */
    public enum By {
        /** Nothing: there is one. */
        ONE("one for everything"),
        THEME("one for each broader theme"),
        /** The first tag of a keyword by the alphabet; what has none is a campaign too. */
        TAG("one for each tag"),
        /** What leads in a keyword. */
        INTENT("one for each intent"),
        /** Where the lists with a keyword are of, as their baskets say; a keyword of several markets is in each of theirs. */
        MARKET("one for each market"),
        MATCH_TYPE("one for each match type");

        private final String label;

        By(String label) {
            this.label = label;
        }

        public String label() {
            return label;
        }
    }

    /** One for everything. */
    public static final PlanCampaigns ONE = new PlanCampaigns(By.ONE, 0);

    public PlanCampaigns {
        if (by == By.THEME ? depth < 1 || depth > Pass.LONGEST : depth != 0) {
            throw new Refusal("Campaigns by theme are of the themes 1 to " + Pass.LONGEST + " deep, not " + depth);
        }
    }

    /** By something; of themes the broadest. */
    public static PlanCampaigns by(By by) {
        return new PlanCampaigns(by, by == By.THEME ? 1 : 0);
    }
}

package smorgas.core.recipe.serve;

import smorgas.core.recipe.group.Pass;
import smorgas.core.text.Message;
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
        ONE("campaigns-by.one"),
        THEME("campaigns-by.theme"),
        /** The first tag of a keyword by the alphabet; what has none is a campaign too. */
        TAG("campaigns-by.tag"),
        /** What leads in a keyword. */
        INTENT("campaigns-by.intent"),
        /** Where the lists with a keyword are of, as their baskets say; a keyword of several markets is in each of theirs. */
        MARKET("campaigns-by.market"),
        MATCH_TYPE("campaigns-by.match-type");

        private final Message label;

        By(String label) {
            this.label = Message.of(label);
        }

        public Message label() {
            return label;
        }
    }

    /** One for everything. */
    public static final PlanCampaigns ONE = new PlanCampaigns(By.ONE, 0);

    public PlanCampaigns {
        if (by == By.THEME ? depth < 1 || depth > Pass.LONGEST : depth != 0) {
            throw new Refusal("serve.plan-campaigns.campaigns-theme-themes-1", Pass.LONGEST, depth);
        }
    }

    /** By something; of themes the broadest. */
    public static PlanCampaigns by(By by) {
        return new PlanCampaigns(by, by == By.THEME ? 1 : 0);
    }
}

package smorgas.core.recipe.serve;

import java.util.List;
import smorgas.core.text.Characters;
import smorgas.core.text.Formulas;
import smorgas.core.text.Message;
import smorgas.core.text.Refusal;

/**
 * How campaigns and ad groups are named.
 *
 * @param campaign the name of the campaign, or of each; where there are several, {@value #PART} stands for what is its own
 *     and is put at the end if it is nowhere
 * @param adGroup the pattern of ad group names; what stands for something is in {@link #FIELDS}
 * @param prefix put before every name of a campaign or an ad group, so that those of one plan can be told from others
 * @param suffix put behind every name
 * @param letters what becomes of capitals
 * @param longest the most characters of a name, 10 to {@value #LONGEST}; what is longer is cut between words
 * @param plain whether characters that some platforms refuse in names become spaces
 * @param date what stands for {@value #DATE}; empty for nothing
 */
public record PlanNames(
        String campaign,
        String adGroup,
        String prefix,
        String suffix,
        Letters letters,
        int longest,
        boolean plain,
        String date) {

    /** Names longer than this are refused by ad platforms (common practice: 255 characters). */
    public static final int LONGEST = 255;

    private static final int SHORTEST = 10;

    /** Stands in a pattern for the name of the group. */
    public static final String THEME = "{theme}";

    /** Stands in a pattern for what a campaign does not share with the others. */
    public static final String PART = "{part}";

    public static final String CAMPAIGN = "{campaign}";
    public static final String MATCH_TYPE = "{match type}";
    public static final String INTENT = "{intent}";
    /** The place of the ad group in its campaign, from 1. */
    public static final String NUMBER = "{number}";

    public static final String DATE = "{date}";

    /** What can stand in the pattern of ad group names. */
    public static final List<String> FIELDS = List.of(THEME, CAMPAIGN, PART, MATCH_TYPE, INTENT, NUMBER, DATE);

    /** What becomes of the capitals of names. */
    public enum Letters {
        AS_THEY_ARE("letters.as-they-are"),
        /** Of what a hand has named the capitals stay. */
        TITLE("letters.title"),
        SMALL("letters.small"),
        CAPITALS("letters.capitals");

        private final Message label;

        Letters(String label) {
            this.label = Message.of(label);
        }

        public Message label() {
            return label;
        }
    }

    public PlanNames {
        campaign = campaign.strip();
        adGroup = adGroup.strip();
        date = date.strip();
        check(campaign, Message.of("serve.plan-names.campaign"));
        check(adGroup, Message.of("serve.plan-names.pattern-ad-group-names-2"));
        check(prefix, Message.of("serve.plan-names.text-before-names"));
        check(suffix, Message.of("serve.plan-names.text-behind-names"));
        check(date, Message.of("serve.plan-names.date"));
        if (!adGroup.contains(THEME)) {
            throw new Refusal("serve.plan-names.pattern-ad-group-names", THEME);
        }
        if (campaign.isEmpty()) {
            throw new Refusal("serve.plan-names.campaign-needs-name");
        }
        if (longest < SHORTEST || longest > LONGEST) {
            throw new Refusal("serve.plan-names.name-most-characters", SHORTEST, LONGEST, longest);
        }
    }

    /** A campaign of this name, and ad groups by this pattern. */
    public static PlanNames of(String campaign, String adGroup) {
        return new PlanNames(campaign, adGroup, "", "", Letters.AS_THEY_ARE, LONGEST, false, "");
    }

    /** The same with other letters. */
    public PlanNames with(Letters others) {
        return new PlanNames(campaign, adGroup, prefix, suffix, others, longest, plain, date);
    }

    private static void check(String name, Message what) {
        if (Characters.count(name) > LONGEST || name.chars().anyMatch(Character::isISOControl)) {
            throw new Refusal("serve.plan-names.most-characters-line-breaks", what, LONGEST);
        }
        Formulas.refuse(what, name);
    }
}

package smorgas.core.recipe;

import java.util.Collections;
import java.util.EnumSet;
import java.util.Set;
import smorgas.core.text.Characters;
import smorgas.core.text.Formulas;
import smorgas.core.text.Refusal;

/**
 * What the ad plan holds and how it is named.
 *
 * @param campaign the name of the one campaign; not blank
 * @param pattern how ad groups are named, with {@value #THEME} where the group's name is put
 * @param titleCase whether names that come from a theme are written In Title Case; what a hand named stays as it is
 * @param depth of which broader themes ad groups are made: 1 for the broadest, up to {@value Pass#LONGEST}; 0 for the
 *     groups themselves
 * @param matchTypes at least one
 * @param bidMicros the bid of every keyword in millionths of the currency; 0 for none
 * @param keptOnly leave Undecided keywords out
 * @param leftovers serve the leftovers too, as an ad group of their own
 */
public record PlanSettings(
        String campaign,
        String pattern,
        boolean titleCase,
        int depth,
        Set<MatchType> matchTypes,
        long bidMicros,
        boolean keptOnly,
        boolean leftovers) {

    /** Names longer than this are refused by ad platforms (common practice: 255 characters). */
    public static final int LONGEST_NAME = 255;

    /** Stands in a pattern for the name of the group. */
    public static final String THEME = "{theme}";

    public PlanSettings {
        campaign = campaign.strip();
        pattern = pattern.strip();
        checkName(campaign, "campaign");
        checkName(pattern, "pattern of ad group names");
        if (!pattern.contains(THEME)) {
            throw new Refusal("The pattern of ad group names needs " + THEME + " where the group's name is to stand");
        }
        if (campaign.isEmpty()) {
            throw new Refusal("The campaign needs a name");
        }
        if (depth < 0 || depth > Pass.LONGEST) {
            throw new Refusal("The depth is 0 to " + Pass.LONGEST + ", not " + depth);
        }
        if (matchTypes.isEmpty()) {
            throw new Refusal("Choose at least one match type");
        }
        if (bidMicros < 0 || bidMicros > 1_000_000_000_000L) {
            throw new Refusal("The bid is 0 to 1,000,000");
        }
        matchTypes = Collections.unmodifiableSet(EnumSet.copyOf(matchTypes));
    }

    /** Exact and phrase, {@code Campaign 1}, names in lower case, the groups themselves, no bid, Kept and Undecided, no leftovers. */
    public static PlanSettings standard() {
        return new PlanSettings(
                "Campaign 1", THEME, false, 0, EnumSet.of(MatchType.PHRASE, MatchType.EXACT), 0, false, false);
    }

    private static void checkName(String name, String what) {
        if (Characters.count(name) > LONGEST_NAME || name.chars().anyMatch(Character::isISOControl)) {
            throw new Refusal(
                    "The " + what + " has at most " + LONGEST_NAME + " characters and no line breaks or tabs");
        }
        Formulas.refuse(what, name);
    }
}

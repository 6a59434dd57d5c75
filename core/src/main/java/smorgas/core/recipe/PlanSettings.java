package smorgas.core.recipe;

import java.util.Collections;
import java.util.EnumSet;
import java.util.Set;

/**
 * What the ad plan holds and how it is named.
 *
 * @param campaign the name of the one campaign; not blank
 * @param prefix put before every ad group's name; may be empty
 * @param matchTypes at least one
 * @param bidMicros the bid of every keyword in millionths of the currency; 0 for none
 * @param keptOnly leave Undecided keywords out
 * @param leftovers serve the leftovers too, as an ad group of their own
 */
public record PlanSettings(
        String campaign,
        String prefix,
        Set<MatchType> matchTypes,
        long bidMicros,
        boolean keptOnly,
        boolean leftovers) {

    /** Names longer than this are refused by ad platforms (common practice: 255 characters). */
    public static final int LONGEST_NAME = 255;

    public PlanSettings {
        campaign = campaign.strip();
        prefix = prefix.stripLeading();
        checkName(campaign, "campaign");
        checkName(prefix, "prefix");
        if (campaign.isEmpty()) {
            throw new IllegalArgumentException("The campaign needs a name");
        }
        if (matchTypes.isEmpty()) {
            throw new IllegalArgumentException("Choose at least one match type");
        }
        if (bidMicros < 0 || bidMicros > 1_000_000_000_000L) {
            throw new IllegalArgumentException("The bid is 0 to 1,000,000");
        }
        matchTypes = Collections.unmodifiableSet(EnumSet.copyOf(matchTypes));
    }

    /** Exact and phrase, {@code Campaign 1}, no prefix, no bid, Kept and Undecided, no leftovers. */
    public static PlanSettings standard() {
        return new PlanSettings("Campaign 1", "", EnumSet.of(MatchType.PHRASE, MatchType.EXACT), 0, false, false);
    }

    private static void checkName(String name, String what) {
        if (name.length() > LONGEST_NAME || name.chars().anyMatch(Character::isISOControl)) {
            throw new IllegalArgumentException(
                    "The " + what + " has at most " + LONGEST_NAME + " characters and no line breaks or tabs");
        }
        if (!name.isEmpty() && "=+-@\uFF1D\uFF0B\uFF0D\uFF20".indexOf(name.charAt(0)) >= 0) {
            throw new IllegalArgumentException("The " + what + " must not begin with " + name.charAt(0)
                    + ", which a spreadsheet would run as a formula");
        }
    }
}

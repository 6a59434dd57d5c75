package smorgas.core.recipe.gather;

import smorgas.core.text.Refusal;

/**
 * What a planner is asked for figures: of keywords that are told beside it, for they are those of the basket.
 *
 * @param planner its name
 * @param language ISO 639-1 code
 * @param place a country or region; empty for anywhere
 */
public record Estimation(String planner, String language, String place) {

    /** So many keywords at once at most. */
    public static final int MOST = 50_000;

    private static final int LONGEST_PLACE = 200;

    public Estimation {
        place = place.strip();
        if (planner.isBlank()) {
            throw new Refusal("gather.estimation.choose-planner-ask");
        }
        if (place.length() > LONGEST_PLACE) {
            throw new Refusal("gather.estimation.place-most-characters", LONGEST_PLACE);
        }
    }
}

package smorgas.core.recipe.gather;

import smorgas.core.text.Refusal;

/**
 * What a basket is and where it came from, as the researcher sees it. Empty texts are unknown.
 *
 * @param name not blank, at most 200 characters
 * @param seed the word that was asked for
 * @param competitor whose keywords they are
 * @param market a country or region
 * @param currency ISO 4217 code
 * @param gathered the day, as 2026-05-01
 */
public record BasketInfo(
        String name,
        Kind kind,
        String seed,
        String competitor,
        String market,
        String currency,
        String gathered,
        String note) {

    /** Where lists come from. */
    public enum Kind {
        PLANNER("planner export"),
        COMPETITOR("competitor export"),
        CONSOLE("search console export"),
        SEARCH_TERMS("search-term report"),
        OWN_CAMPAIGN("own campaign"),
        PASTE("paste"),
        PAGE("words of a page"),
        SUGGESTIONS("suggestions"),
        /** Made of keywords that other baskets have, by comparing sets. */
        COMPARED("comparison of sets"),
        /** Word lists multiplied. */
        PAIRED("pairing"),
        /** Searches that visitors of one's own site made. */
        LOG("access log"),
        /** Phrases around what somebody wrote of customers. */
        BRAINSTORM("brainstorm"),
        /** What a planner that was asked says of keywords. */
        ESTIMATES("estimated figures"),
        OTHER("other");

        private final String label;

        Kind(String label) {
            this.label = label;
        }

        public String label() {
            return label;
        }
    }

    public BasketInfo {
        name = name.strip();
        if (name.isEmpty() || name.length() > 200) {
            throw new Refusal("A basket needs a name of 1 to 200 characters");
        }
        for (String text : new String[] {seed, competitor, market, currency, gathered}) {
            if (text.length() > 200) {
                throw new Refusal("At most 200 characters each: " + text.substring(0, 40) + " ...");
            }
        }
        if (note.length() > 2_000) {
            throw new Refusal("A note has at most 2,000 characters");
        }
        if (!gathered.isEmpty() && !gathered.matches("\\d{4}-\\d{2}-\\d{2}")) {
            throw new Refusal("A day is written as 2026-05-01, not " + gathered);
        }
    }

    /** Only a name and a kind are known. */
    public static BasketInfo of(String name, Kind kind) {
        return new BasketInfo(name, kind, "", "", "", "", "", "");
    }
}

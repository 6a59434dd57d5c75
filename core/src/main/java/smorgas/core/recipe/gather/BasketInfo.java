package smorgas.core.recipe.gather;

import smorgas.core.text.Message;
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
        PLANNER("basket-kind.planner"),
        COMPETITOR("basket-kind.competitor"),
        CONSOLE("basket-kind.console"),
        SEARCH_TERMS("basket-kind.search-terms"),
        OWN_CAMPAIGN("basket-kind.own-campaign"),
        PASTE("basket-kind.paste"),
        PAGE("basket-kind.page"),
        SUGGESTIONS("basket-kind.suggestions"),
        /** Made of keywords that other baskets have, by comparing sets. */
        COMPARED("basket-kind.compared"),
        /** Word lists multiplied. */
        PAIRED("basket-kind.paired"),
        /** Searches that visitors of one's own site made. */
        LOG("basket-kind.log"),
        /** Phrases around what somebody wrote of customers. */
        BRAINSTORM("basket-kind.brainstorm"),
        /** What a planner that was asked says of keywords. */
        ESTIMATES("basket-kind.estimates"),
        OTHER("basket-kind.other");

        private final Message label;

        Kind(String label) {
            this.label = Message.of(label);
        }

        public Message label() {
            return label;
        }
    }

    public BasketInfo {
        name = name.strip();
        if (name.isEmpty() || name.length() > 200) {
            throw new Refusal("gather.basket-info.basket-needs-name-1");
        }
        for (String text : new String[] {seed, competitor, market, currency, gathered}) {
            if (text.length() > 200) {
                throw new Refusal("gather.basket-info.most-200-characters-each", text.substring(0, 40));
            }
        }
        if (note.length() > 2_000) {
            throw new Refusal("gather.basket-info.note-most-2-000");
        }
        if (!gathered.isEmpty() && !gathered.matches("\\d{4}-\\d{2}-\\d{2}")) {
            throw new Refusal("gather.basket-info.day-written-2026-05", gathered);
        }
    }

    /** Only a name and a kind are known. */
    public static BasketInfo of(String name, Kind kind) {
        return new BasketInfo(name, kind, "", "", "", "", "", "");
    }
}

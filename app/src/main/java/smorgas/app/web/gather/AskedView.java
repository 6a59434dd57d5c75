package smorgas.app.web.gather;

import smorgas.app.work.LogBasket;
import smorgas.core.recipe.Asked;
import smorgas.core.recipe.BasketState;

/**
 * What a tool of ours was asked for when it made a basket.
 *
 * @param told in a sentence; empty if there is nothing to tell
 * @param tool the last part of the tool's address; empty if none made the basket
 * @param again what a link there says
 */
record AskedView(String told, String tool, String again) {

    private static final AskedView NOTHING = new AskedView("", "", "");

    static AskedView of(BasketState basket) {
        return switch (basket.asked()) {
            case Asked.Nothing none -> NOTHING;
            case Asked.Paired paired -> new AskedView("", "pairing", "Multiply the same lists again");
            case Asked.Logged log ->
                new AskedView(LogBasket.told(log.counted()) + ".", "logs", "Count a log in the same way");
        };
    }
}

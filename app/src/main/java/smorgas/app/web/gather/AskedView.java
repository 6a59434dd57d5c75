package smorgas.app.web.gather;

import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import smorgas.app.store.Offers;
import smorgas.app.store.Schedules;
import smorgas.core.recipe.gather.Asked;
import smorgas.core.recipe.gather.BasketState;
import smorgas.core.text.Message;

/**
 * What a tool of ours was asked for when it made a basket, and what can go on with it.
 *
 * @param told sentences; none if there is nothing to tell
 * @param tool the last part of the tool's address; empty if none made the basket
 * @param link what a link there says
 * @param rest whether a part was not asked yet
 * @param again whether the same can be asked once more as it stands
 * @param schedule when it is asked by itself; empty if it is not
 * @param offer what waits for the basket
 */
record AskedView(
        List<Message> told,
        String tool,
        Message link,
        boolean rest,
        boolean again,
        Message schedule,
        @Nullable Waiting offer) {

    /** What waits: how many keywords, and the first of them. */
    record Waiting(long id, Message count, String day, List<String> samples, boolean more) {}

    private static final int SAMPLES = 12;

    static AskedView of(BasketState basket, Optional<Offers.Offer> offer, Optional<Schedules.Kept> kept) {
        Asked asked = basket.asked();
        boolean again = asked.notAgain().isEmpty();
        return new AskedView(
                asked.told(),
                asked.tool(),
                asked.otherwise(),
                asked.rest(),
                again,
                again ? AskingController.told(kept) : Message.NONE,
                offer.map(AskedView::waiting).orElse(null));
    }

    private static Waiting waiting(Offers.Offer offer) {
        return new Waiting(
                offer.id(),
                Message.of("gather.asked-view.new-keyword-waits", offer.fresh().size()),
                offer.at().toLocalDate().toString(),
                offer.fresh().stream().limit(SAMPLES).toList(),
                offer.fresh().size() > SAMPLES);
    }
}

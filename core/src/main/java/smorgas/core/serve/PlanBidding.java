package smorgas.core.serve;

import java.util.OptionalDouble;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;
import smorgas.core.column.Numbers;
import smorgas.core.fold.Keywords;
import smorgas.core.recipe.serve.PlanBids;
import smorgas.core.value.EstimatedValue;

/** The bids of keywords. */
final class PlanBidding {

    private static final double PERCENT = 100.0;

    private final PlanBids bids;
    private final @Nullable Numbers figure;
    private final @Nullable EstimatedValue estimatedValue;

    PlanBidding(PlanBids bids, Keywords keywords, Supplier<EstimatedValue> estimatedValue) {
        this.bids = bids;
        this.estimatedValue = bids.from() == PlanBids.From.ESTIMATED_VALUE ? estimatedValue.get() : null;
        this.figure = bids.from().figure().map(keywords::numbers).orElse(null);
    }

    /** The bid that all keywords share, in millionths; 0 if there is none. */
    long ofAll() {
        return bids.from() == PlanBids.From.FIXED ? bids.adopted(bids.micros()) : 0;
    }

    /** The bid of one keyword by its own figures, in millionths; 0 if it has none, or only one that is made up. */
    long of(int keyword) {
        if (estimatedValue != null) {
            OptionalDouble click = estimatedValue.clickEstimatedValue(keyword);
            return click.isPresent()
                    ? bids.adopted(Math.max(0, Math.round(click.getAsDouble() * PERCENT / bids.percent())))
                    : 0;
        }
        return figure == null || !figure.known(keyword) || figure.simulated(keyword)
                ? 0
                : bids.adopted(Math.round(figure.twiceMiddle(keyword) / 2.0 * bids.percent() / PERCENT));
    }
}

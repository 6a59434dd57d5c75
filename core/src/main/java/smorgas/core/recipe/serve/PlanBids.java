package smorgas.core.recipe.serve;

import java.util.Optional;
import org.jspecify.annotations.Nullable;
import smorgas.core.figure.Figure;
import smorgas.core.text.Message;
import smorgas.core.text.Refusal;

/**
 * The most that a click may cost.
 *
 * @param micros of a fixed bid, in millionths of the currency; 0 for others
 * @param percent of figures: how much of them, of worth: the wanted return, 400 for four times what is spent; from 1 to
 *     {@value #MOST_PERCENT}
 * @param stepMicros bids are rounded down to whole ones of this; 0 for none
 * @param capMicros no bid is higher; 0 for none
 */
public record PlanBids(From from, long micros, int percent, long stepMicros, long capMicros) {

    /** What a bid follows from. */
    public enum From {
        NOTHING("bid-from.nothing", null),
        FIXED("bid-from.fixed", null),
        LOW_BID("bid-from.low-bid", Figure.LOW_BID),
        HIGH_BID("bid-from.high-bid", Figure.HIGH_BID),
        CPC("bid-from.cpc", Figure.CPC),
        /** What a click brings by what is assumed of worth, divided by the wanted return. */
        ESTIMATED_VALUE("bid-from.estimated-value", null);

        private final Message label;
        private final @Nullable Figure figure;

        From(String label, @Nullable Figure figure) {
            this.label = Message.of(label);
            this.figure = figure;
        }

        /** The figure that each keyword has of its own; empty if it is of none. */
        public Optional<Figure> figure() {
            return Optional.ofNullable(figure);
        }

        public Message label() {
            return label;
        }
    }

    /** The highest percentage. */
    public static final int MOST_PERCENT = 100_000;

    private static final long MOST = 1_000_000_000_000L;

    /** None. */
    public static final PlanBids NONE = new PlanBids(From.NOTHING, 0, 100, 0, 0);

    public PlanBids {
        amount(micros, Message.of("serve.plan-bids.bid"));
        amount(stepMicros, Message.of("serve.plan-bids.step-bids"));
        amount(capMicros, Message.of("serve.plan-bids.highest-bid"));
        if (percent < 1 || percent > MOST_PERCENT) {
            throw new Refusal("serve.plan-bids.bids-1-100-000", percent);
        }
    }

    /** The same for all; none if it is 0. */
    public static PlanBids fixed(long micros) {
        return micros == 0 ? NONE : new PlanBids(From.FIXED, micros, 100, 0, 0);
    }

    private static void amount(long micros, Message what) {
        if (micros < 0 || micros > MOST) {
            throw new Refusal("serve.plan-bids.0-1-000-000", what);
        }
    }

    /** A bid as it leaves: rounded down and not above the highest. */
    public long adopted(long bid) {
        long rounded = stepMicros == 0 ? bid : bid - bid % stepMicros;
        // A bid that a step takes to nothing is one step, for nothing would be no bid at all.
        long some = bid > 0 && rounded == 0 ? stepMicros : rounded;
        return capMicros == 0 ? some : Math.min(capMicros, some);
    }
}

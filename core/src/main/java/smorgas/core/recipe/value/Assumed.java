package smorgas.core.recipe.value;

import smorgas.core.figure.Figure;
import smorgas.core.text.Message;
import smorgas.core.text.Refusal;

/** What one has to assume to say what a keyword may bring; all are the researcher's own, and none has a default. */
public enum Assumed {
    /** The place hoped for among the results or ads, in whole places; the table of clicks tells the share of clicks there. */
    PLACE("value.assumed.place", "", Figure.SEARCHES, 1, ClickTable.MOST_PLACES),
    /** Of a hundred searches so many clicks, whatever the place. */
    CLICK_SHARE("value.assumed.click-share", "%", Figure.CTR, 0, 10_000),
    /** Of a hundred clicks so many conversions. */
    CONVERSION_RATE("value.assumed.conversion-rate", "%", Figure.CTR, 0, 10_000),
    /** Of a hundred conversions so many customers; without it the value is that of a conversion. */
    CUSTOMER_SHARE("value.assumed.customer-share", "%", Figure.CTR, 0, 10_000),
    /** What a customer is worth, or a conversion where no share of customers is assumed. */
    VALUE("value.assumed.value", "", Figure.CPC, 0, 1_000_000_000L * 1_000_000);

    private final Message label;
    private final String unit;
    private final Figure like;
    private final long least;
    private final long most;

    Assumed(String label, String unit, Figure like, long least, long most) {
        this.label = Message.of(label);
        this.unit = unit;
        this.like = like;
        this.least = least;
        this.most = most;
    }

    /** What it is, with the sign that is written behind the number. */
    public Message label() {
        return unit.isEmpty() ? label : Message.of("value.assumed.in", label, unit);
    }

    /** A figure of lists that is written in the same way and has the same parts. */
    public Figure like() {
        return like;
    }

    /** Of clicks and customers in whole; parts of one in its unit. */
    public long scale() {
        return like.scale();
    }

    /**
     * Refuses what cannot be.
     *
     * @throws Refusal with the range that it has
     */
    void require(Span span) {
        if (span.low() < least || span.high() > most) {
            throw new Refusal(
                    "value.assumed.what-written",
                    label,
                    Message.of("value.assumed.range", least / scale(), most / scale(), unit));
        }
    }
}

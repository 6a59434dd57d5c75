package smorgas.core.recipe.value;

import smorgas.core.text.Message;

/** What a click is assumed to cost. */
public enum CostBy {
    /** Of a tag or a group: as elsewhere in the project; of the project: as {@link #CPC_OR_BIDS}. */
    AS_ELSEWHERE("cost-by.as-elsewhere"),
    /** The CPC; where none is known, from the low to the high bid. */
    CPC_OR_BIDS("cost-by.cpc-or-bids"),
    LOW_BID("cost-by.low-bid"),
    HIGH_BID("cost-by.high-bid"),
    /** Pages pay for no clicks. */
    NOTHING("cost-by.nothing");

    private final Message label;

    CostBy(String label) {
        this.label = Message.of(label);
    }

    public Message label() {
        return label;
    }
}

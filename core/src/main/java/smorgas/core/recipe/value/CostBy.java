package smorgas.core.recipe.value;

/** What a click is assumed to cost. */
public enum CostBy {
    /** Of a tag or a group: as elsewhere in the project; of the project: as {@link #CPC_OR_BIDS}. */
    AS_ELSEWHERE("as elsewhere"),
    /** The CPC; where none is known, from the low to the high bid. */
    CPC_OR_BIDS("the CPC, else the bids"),
    LOW_BID("the low bid"),
    HIGH_BID("the high bid"),
    /** Pages pay for no clicks. */
    NOTHING("nothing");

    private final String label;

    CostBy(String label) {
        this.label = label;
    }

    public String label() {
        return label;
    }
}

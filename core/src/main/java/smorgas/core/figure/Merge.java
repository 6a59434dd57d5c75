package smorgas.core.figure;

import smorgas.core.text.Message;

/** How a figure is merged when the lines of one keyword disagree. What is unknown never wins over what is known. */
public enum Merge {
    /** The largest, ranges by their arithmetic middle. */
    LARGEST("merge.largest"),
    /** The smallest, which of positions is the best; ranges by their arithmetic middle. */
    BEST("merge.best"),
    /** That of the first basket that has one, in the order of the baskets; within a basket the first line. */
    FIRST("merge.first"),
    /** That of the basket gathered last; within a basket the last line. */
    LATEST("merge.latest"),
    /** The arithmetic mean of all lines that have one; of ranges each end by itself. */
    AVERAGE("merge.average"),
    /** The sum of all lines that have one; of ranges each end by itself. */
    SUM("merge.sum");

    private final Message label;

    Merge(String label) {
        this.label = Message.of(label);
    }

    /** To follow "takes". */
    public Message label() {
        return label;
    }
}

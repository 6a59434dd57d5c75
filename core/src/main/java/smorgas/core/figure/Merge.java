package smorgas.core.figure;

/** How a figure is merged when the lines of one keyword disagree. What is unknown never wins over what is known. */
public enum Merge {
    /** The largest, ranges by their arithmetic middle. */
    LARGEST("the largest"),
    /** The smallest, which of positions is the best; ranges by their arithmetic middle. */
    BEST("the best, which is the smallest"),
    /** That of the first basket that has one, in the order of the baskets; within a basket the first line. */
    FIRST("that of the first basket"),
    /** That of the basket gathered last; within a basket the last line. */
    LATEST("that of the latest basket"),
    /** The arithmetic mean of all lines that have one; of ranges each end by itself. */
    AVERAGE("the average"),
    /** The sum of all lines that have one; of ranges each end by itself. */
    SUM("the sum");

    private final String label;

    Merge(String label) {
        this.label = label;
    }

    /** To follow "takes". */
    public String label() {
        return label;
    }
}

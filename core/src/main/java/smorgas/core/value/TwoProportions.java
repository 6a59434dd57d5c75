package smorgas.core.value;

import smorgas.core.text.Message;

/**
 * Whether one share is higher than another, or only seems so: the two-proportion z-test with the pooled share (Fleiss, Levin and
 * Paik, Statistical Methods for Rates and Proportions, 3rd edition 2003, chapter 3; formula from memory), two-sided, at a
 * confidence of 95%.
 *
 * @param firstHits how often it happened first, of {@code firstOf}
 * @param firstOf trials, at least 0
 */
public record TwoProportions(double firstHits, long firstOf, double secondHits, long secondOf) {

    /** The quantile of the standard normal distribution for 95%, two-sided. */
    public static final double CONFIDENCE = 1.959964;

    /** And for a power of 80%. */
    public static final double POWER = .841621;

    /** Fewer expected hits or misses than this, and the normal distribution is no measure (common practice). */
    private static final int LEAST = 5;

    /** What can be said. */
    public enum Verdict {
        ROSE("verdict.rose"),
        FELL("verdict.fell"),
        OPEN("verdict.open");

        private final Message label;

        Verdict(String label) {
            this.label = Message.of(label);
        }

        public Message label() {
            return label;
        }
    }

    public TwoProportions {
        if (firstOf < 0 || secondOf < 0 || firstHits < 0 || secondHits < 0) {
            throw new IllegalArgumentException("counts are not below 0");
        }
        firstHits = Math.min(firstHits, firstOf);
        secondHits = Math.min(secondHits, secondOf);
    }

    /** The share first, 0 to 1; not a number without trials. */
    public double first() {
        return firstHits / firstOf;
    }

    /** The share afterwards. */
    public double second() {
        return secondHits / secondOf;
    }

    /** The statistic; 0 where nothing can be said. */
    public double z() {
        if (firstOf == 0 || secondOf == 0) {
            return 0;
        }
        double pooled = (firstHits + secondHits) / (firstOf + secondOf);
        double error = Math.sqrt(pooled * (1 - pooled) * (1.0 / firstOf + 1.0 / secondOf));
        return error == 0 ? 0 : (second() - first()) / error;
    }

    /** Whether the normal distribution measures it: enough happened, and enough did not, at both times. */
    public boolean enough() {
        if (firstOf == 0 || secondOf == 0) {
            return false;
        }
        double pooled = (firstHits + secondHits) / (firstOf + secondOf);
        double least = Math.min(firstOf, secondOf) * Math.min(pooled, 1 - pooled);
        return least >= LEAST;
    }

    /** What can be said. */
    public Verdict verdict() {
        if (!enough() || Math.abs(z()) < CONFIDENCE) {
            return Verdict.OPEN;
        }
        return z() > 0 ? Verdict.ROSE : Verdict.FELL;
    }

    /**
     * How many more trials afterwards it would take to tell a difference as large as the one seen, with a power of 80% and as many
     * trials at both times (the usual formula for the size of a sample of two proportions, from the same book); 0 if it can be told,
     * {@link Long#MAX_VALUE} if there is no difference to tell.
     */
    public long more() {
        if (verdict() != Verdict.OPEN) {
            return 0;
        }
        if (firstOf == 0 || secondOf == 0 || first() == second()) {
            return Long.MAX_VALUE;
        }
        double mean = (first() + second()) / 2;
        double needed = Math.pow(
                        CONFIDENCE * Math.sqrt(2 * mean * (1 - mean))
                                + POWER * Math.sqrt(first() * (1 - first()) + second() * (1 - second())),
                        2)
                / Math.pow(first() - second(), 2);
        return Math.max(1, (long) Math.ceil(needed) - secondOf);
    }
}

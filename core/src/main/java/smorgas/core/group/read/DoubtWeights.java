package smorgas.core.group.read;

/**
 * How likely a doubt is right: logistic functions of how alike keywords are and how many, fitted to three of the lists grouped by
 * judgement (climbing, desks, gartenhaus; words alone and with meaning).
 */
final class DoubtWeights {

    private DoubtWeights() {}

    private static double logistic(double x) {
        return 1 / (1 + Math.exp(-x));
    }

    private static double part(double like, double tightness) {
        return like / Math.max(.1, tightness);
    }

    /**
     * That one ad answers two groups.
     *
     * @param like how alike their keywords are
     * @param tightness the lesser of theirs
     */
    static double join(double like, double tightness, int fewer, int more) {
        return logistic(
                -3.79 - .31 * like + 4.78 * part(like, tightness) - .15 * Math.log(fewer) - .71 * Math.log(more));
    }

    /** That an ungrouped keyword belongs into a group of so many keywords and such tightness. */
    static double place(double there, double tightness, int keywords) {
        return logistic(-2.89 + 3.63 * there + 1.91 * part(there, tightness) - .94 * Math.log(keywords));
    }

    /** That a keyword of a group belongs into another one. */
    static double move(double own, double there, double tightness, int keywords) {
        return logistic(-.83 + 3.63 * there - 6.12 * own + 1.91 * part(there, tightness) - .94 * Math.log(keywords));
    }

    /** That so many of a group's keywords, so much like the others, want a group of their own. */
    static double part(double like, double tightness, int keywords, int whole) {
        return logistic(
                .37 - 2.79 * like - 1.5 * part(like, tightness) - .01 * Math.log(keywords) + 1.47 * Math.log(whole));
    }
}

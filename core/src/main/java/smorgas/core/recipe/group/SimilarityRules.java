package smorgas.core.recipe.group;

/**
 * The numbers by which it is told how alike keywords are, and which of them are a group. Chosen on three of the lists that were
 * grouped by judgement (climbing, desks, garden houses); reported on the others.
 *
 * @param reading how words are read as they were meant
 * @param letters when words are alike by their letters
 * @param weights what terms weigh
 * @param blend what similarity is made of
 * @param care how much is looked at
 * @param nearest to which others each keyword is compared
 * @param linkage which groups are joined
 * @param dial what the dial's places mean
 * @param themeShare a word that this share of a group's keywords has belongs to what the group is about
 */
public record SimilarityRules(
        Reading reading,
        Letters letters,
        Weights weights,
        Blend blend,
        Effort care,
        Nearest nearest,
        Linkage linkage,
        Dial dial,
        double themeShare) {

    public static final SimilarityRules FIRST = new SimilarityRules(
            new Reading(5, 5, 4, 5, 8, 60, 7, 3, 3),
            new Letters(.3, 1.25, .95, 4, 400, 3),
            new Weights(.8, .6, .75, .35, 1.05, 1.2, .85, 75),
            new Blend(.45, .2, 9, 20_000, .95),
            new Effort(20_000, 1_000_000_000),
            new Nearest(24, 12, 48, 2_000, .05, 1_000, 2_000),
            new Linkage(.08, .35, 48),
            new Dial(.64, .58, 500, .06, .76, 1.01, .8),
            .5);

    /**
     * How words are read.
     *
     * @param rare a word in more keywords than this is meant as it is written
     * @param times a word is common beside a rare one if it is in so many times as many keywords
     * @param common and in so many at least
     * @param shortestWrong a shorter word is close to too many to be taken for one of them
     * @param longWord from this length on two letters may be wrong
     * @param longest longer ones are no words that anybody types
     * @param shortestJoined a shorter word is not taken apart
     * @param shortestPart parts have so many letters at least
     * @param mostJoined in a language that joins few words, one in more keywords is a word of its own
     */
    public record Reading(
            int rare,
            int times,
            int common,
            int shortestWrong,
            int longWord,
            int longest,
            int shortestJoined,
            int shortestPart,
            int mostJoined) {}

    /**
     * When words are alike by their letters (Dice's coefficient of their grams).
     *
     * @param from below this they are not
     * @param times the coefficient counts so many times
     * @param most but no more than this
     * @param shortest shorter words are like nothing but themselves
     * @param commonest grams that more words have tell nothing
     * @param few a word is like so many others at most, where a language does not join words: however long a list, more that look
     *     like it by chance would come before those that are meant
     */
    public record Letters(double from, double times, double most, int shortest, int commonest, int few) {}

    /**
     * What terms weigh: ln(1 + N/df) to a power, times what else is known of them.
     *
     * @param power of the logarithm
     * @param once of a term that one keyword has
     * @param twice of one that two have
     * @param unit of a unit of measure
     * @param said of what words of any trade say
     * @param head of the term that a keyword is one of
     * @param headOfCompounds the same where compounds are one word: their last part is in every form of the thing
     * @param typical what words of any trade say is weighed against a term that one of so many keywords has, however long the list is
     */
    public record Weights(
            double power,
            double once,
            double twice,
            double unit,
            double said,
            double head,
            double headOfCompounds,
            double typical) {}

    /**
     * What similarity is made of.
     *
     * @param meaning so much of it is what keywords mean, where that is known
     * @param shared so much is shared nearest ones
     * @param nearest so many nearest ones are looked at
     * @param sampled so many pairs tell what two texts have in common that have nothing in common
     * @param mostUsual and that is no more than this
     */
    public record Blend(double meaning, double shared, int nearest, int sampled, double mostUsual) {}

    /**
     * How much is looked at.
     *
     * @param longList in lists up to this long a group forgets none of the nearest
     * @param steps so many keywords of terms are gone through over all keywords, the rarest terms of each first; where that is not
     *     enough, keywords that have only common terms in common may not be found
     */
    public record Effort(int longList, long steps) {

        /** Every pair, however long it takes: tells what is lost otherwise. */
        public static final Effort ALL = new Effort(Integer.MAX_VALUE, Long.MAX_VALUE);
    }

    /**
     * To which others each keyword is compared.
     *
     * @param kept so many are kept of each keyword
     * @param keptOfLong the same in long lists
     * @param lookedInto of so many, the most alike by their words, it is seen what they mean
     * @param shortList of lists up to this long that is seen of all
     * @param least less alike than this are no nearest ones
     * @param fewestSteps however many keywords there are, so many keywords of terms are gone through for each
     * @param followed so many or some more of the most alike so far are followed when there were enough steps
     */
    public record Nearest(
            int kept, int keptOfLong, int lookedInto, int shortList, double least, int fewestSteps, int followed) {}

    /**
     * Which groups are joined.
     *
     * @param least groups less alike than this are not joined, however broad somebody wants them
     * @param leastOfLong the same in longer lists
     * @param mostNearest in longer lists a group remembers so many
     */
    public record Linkage(double least, double leastOfLong, int mostNearest) {}

    /**
     * What the dial's places mean.
     *
     * @param byWords how alike the members of a group are at the usual place, by words alone
     * @param withMeaning the same with what keywords mean
     * @param full these hold for so many keywords or fewer
     * @param perDoubling of twice as many the usual place is by this part broader: the more ways there are to say a thing, the less
     *     alike they are on the whole
     * @param broadest and no broader than this part
     * @param tightest no two are so much alike
     * @param nearEnough a group that is too small joins one that is at least this part as near as its own members are
     */
    public record Dial(
            double byWords,
            double withMeaning,
            double full,
            double perDoubling,
            double broadest,
            double tightest,
            double nearEnough) {}

    /** The same with other care. */
    public SimilarityRules with(Effort other) {
        return new SimilarityRules(reading, letters, weights, blend, other, nearest, linkage, dial, themeShare);
    }
}

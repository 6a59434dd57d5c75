package smorgas.core.sift;

import java.util.BitSet;
import java.util.function.Function;
import smorgas.core.column.Numbers;
import smorgas.core.figure.Computed;
import smorgas.core.recipe.sift.Status;
import smorgas.core.recipe.value.Intent;

/**
 * What conditions can ask beyond what a keyword is: what was decided or worked out of it. Rules are given tags and intents;
 * the rest follows from rules and is for views.
 *
 * @param status the keywords that stand so
 * @param tag the keywords that have a tag
 * @param intent the keywords that are for this above all
 * @param priority the keywords of the priority class of this name
 * @param numbers a number of every keyword, see {@link smorgas.core.figure.Fact.Use#VIEW}
 */
public record ConditionContext(
        Function<Status, BitSet> status,
        Function<String, BitSet> tag,
        Function<Intent, BitSet> intent,
        Function<String, BitSet> priority,
        Function<Computed, Numbers> numbers) {

    /** Nothing may be asked. */
    public static final ConditionContext NOTHING = ofRules(ConditionContext::refuse, ConditionContext::refuse);

    /** What rules may ask. */
    public static ConditionContext ofRules(Function<String, BitSet> tag, Function<Intent, BitSet> intent) {
        return new ConditionContext(
                ConditionContext::refuse, tag, intent, ConditionContext::refuse, ConditionContext::refuse);
    }

    private static <T> T refuse(Object asked) {
        throw new IllegalArgumentException("Not known here: " + asked);
    }
}

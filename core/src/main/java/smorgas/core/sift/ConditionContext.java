package smorgas.core.sift;

import java.util.BitSet;
import java.util.function.Function;
import smorgas.core.column.Numbers;
import smorgas.core.figure.Computed;
import smorgas.core.recipe.sift.Standing;
import smorgas.core.recipe.value.Intent;

/**
 * What conditions can ask beyond what a keyword is: what was decided or worked out of it. Rules are given tags and intents;
 * the rest follows from rules and is for views.
 *
 * @param standing the keywords that stand so
 * @param tag the keywords that have a tag
 * @param intent the keywords that are for this above all
 * @param promise the keywords of the class of promise of this name
 * @param numbers a number of every keyword, see {@link smorgas.core.figure.Fact.Use#VIEW}
 */
public record ConditionContext(
        Function<Standing, BitSet> standing,
        Function<String, BitSet> tag,
        Function<Intent, BitSet> intent,
        Function<String, BitSet> promise,
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

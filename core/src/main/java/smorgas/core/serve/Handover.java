package smorgas.core.serve;

import java.util.function.Supplier;
import smorgas.core.fold.Keywords;
import smorgas.core.group.read.Groups;
import smorgas.core.recipe.Recipe;
import smorgas.core.sift.Statuses;
import smorgas.core.text.Wording;
import smorgas.core.value.EstimatedValue;
import smorgas.core.value.Intents;

/**
 * What leaves, and what tells of it.
 *
 * @param project the name of the project
 * @param currency of bids, such as EUR
 * @param intents asked only by what tells of them
 * @param estimatedValue asked only by what tells of it
 * @param wording the words for what people read
 */
public record Handover(
        String project,
        String currency,
        Plan plan,
        Keywords keywords,
        Statuses statuses,
        Groups groups,
        Recipe recipe,
        Supplier<Intents> intents,
        Supplier<EstimatedValue> estimatedValue,
        Wording wording) {

    /** A text for those who read what leaves. */
    String text(String key, Object... arguments) {
        return wording.of(key, arguments);
    }
}

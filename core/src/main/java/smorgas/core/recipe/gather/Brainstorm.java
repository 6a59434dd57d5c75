package smorgas.core.recipe.gather;

import java.util.Collections;
import java.util.EnumSet;
import java.util.Set;
import smorgas.core.text.Message;
import smorgas.core.text.Refusal;

/**
 * What somebody wrote down about customers, to find phrases around it.
 *
 * @param offer what is sold or told
 * @param customers who they are and what they want
 * @param problems what troubles them
 * @param forms of phrases; at least one
 * @param language ISO 639-1 code
 */
public record Brainstorm(String offer, String customers, String problems, Set<Form> forms, String language) {

    /** The most characters of each text. */
    public static final int LONGEST = 5_000;

    /** What phrases say. */
    public enum Form {
        THINGS("brainstorm-form.things"),
        OPENERS("brainstorm-form.openers"),
        NEEDS("brainstorm-form.needs"),
        PROBLEMS("brainstorm-form.problems"),
        COMPARISONS("brainstorm-form.comparisons"),
        AUDIENCES("brainstorm-form.audiences");

        private final Message label;

        Form(String label) {
            this.label = Message.of(label);
        }

        public Message label() {
            return label;
        }
    }

    public Brainstorm {
        forms = forms.isEmpty() ? Set.of() : Collections.unmodifiableSet(EnumSet.copyOf(forms));
        if ((offer + customers + problems).isBlank()) {
            throw new Refusal("gather.brainstorm.write-sentence-two-first");
        }
        if (Math.max(offer.length(), Math.max(customers.length(), problems.length())) > LONGEST) {
            throw new Refusal("gather.brainstorm.each-text-most-5");
        }
        if (forms.isEmpty()) {
            throw new Refusal("gather.brainstorm.choose-what-phrases-say");
        }
    }
}

package smorgas.core.recipe.gather;

import java.util.Collections;
import java.util.EnumSet;
import java.util.Set;
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
        THINGS("what there is"),
        OPENERS("how one asks for it"),
        NEEDS("what they want to do"),
        PROBLEMS("what troubles them"),
        COMPARISONS("one or the other"),
        AUDIENCES("for whom");

        private final String label;

        Form(String label) {
            this.label = label;
        }

        public String label() {
            return label;
        }
    }

    public Brainstorm {
        forms = forms.isEmpty() ? Set.of() : Collections.unmodifiableSet(EnumSet.copyOf(forms));
        if ((offer + customers + problems).isBlank()) {
            throw new Refusal("Write a sentence or two first");
        }
        if (Math.max(offer.length(), Math.max(customers.length(), problems.length())) > LONGEST) {
            throw new Refusal("Each text has at most 5,000 characters");
        }
        if (forms.isEmpty()) {
            throw new Refusal("Choose what phrases say");
        }
    }
}

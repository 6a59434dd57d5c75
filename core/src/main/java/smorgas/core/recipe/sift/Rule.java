package smorgas.core.recipe.sift;

import java.util.Optional;
import smorgas.core.text.Message;
import smorgas.core.text.Refusal;

/**
 * A condition and what it does with the keywords that fulfil it.
 *
 * @param number tells the rule apart within its project, from 1; never given twice
 * @param when must not ask for a status
 */
public record Rule(int number, Condition when, Does does) {

    private static final int HIGHEST = 1_000_000;

    /** What a rule does. */
    public sealed interface Does {

        /** The order that the rule gives, to come before what it is about: {@code Drop keywords}. */
        Message order();
    }

    /** Gives a status, unless a hand or a rule above has. */
    public record Gives(Status status) implements Does {
        @Override
        public Message order() {
            return status.order();
        }
    }

    /** Gives a tag; other rules judge on. */
    public record Tags(String tag) implements Does {
        public Tags {
            if (tag.isBlank() || tag.length() > 60) {
                throw new Refusal("sift.rule.tag-1-60-characters");
            }
        }

        @Override
        public Message order() {
            return Message.of("sift.rule.tag-keywords", tag);
        }
    }

    public Rule {
        checkNumber(number);
        when.requireTexts();
        if (when.followsFromRules()) {
            throw new Refusal("sift.rule.rule-cannot-ask-what", when.sentence());
        }
    }

    /**
     * Refuses a number that cannot tell a rule, or anything else that is numbered from 1 in a project, apart.
     *
     * @throws Refusal if it is not from 1 to {@value #HIGHEST}
     */
    public static void checkNumber(int number) {
        if (number < 1 || number > HIGHEST) {
            throw new Refusal("sift.rule.number-1-1-000", number);
        }
    }

    /** A rule that gives a status. */
    public Rule(int number, Condition when, Status then) {
        this(number, when, new Gives(then));
    }

    /** The status it gives; empty if it gives none. */
    public Optional<Status> status() {
        return does instanceof Gives gives ? Optional.of(gives.status()) : Optional.empty();
    }

    /** The rule as a sentence without a full stop: {@code Drop keywords with the word "free"}. */
    public Message sentence() {
        return Message.of("sift.rule.sentence", does.order(), when.sentence());
    }
}

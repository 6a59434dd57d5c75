package smorgas.core.sift;

import smorgas.core.recipe.sift.Rule;
import smorgas.core.text.Message;

/** Why a keyword stands as it does. */
public sealed interface Reason {

    /** The reason in words, without a full stop. */
    Message sentence();

    /** A hand decided; decisions beat rules. */
    record ByHand() implements Reason {
        @Override
        public Message sentence() {
            return Message.of("sift.reason.by-hand");
        }
    }

    /** The first rule from the top that takes the keyword. */
    record ByRule(Rule rule) implements Reason {
        @Override
        public Message sentence() {
            return Message.of("sift.reason.rule", rule.number(), rule.sentence());
        }
    }

    /** Nobody decided and no rule takes it. */
    record NotJudged() implements Reason {
        @Override
        public Message sentence() {
            return Message.of("sift.reason.judged-yet");
        }
    }
}

package smorgas.core.sift;

import smorgas.core.recipe.sift.Rule;

/** Why a keyword stands as it does. */
public sealed interface Reason {

    /** The reason in words, without a full stop. */
    String sentence();

    /** A hand decided; pins beat rules. */
    record ByHand() implements Reason {
        @Override
        public String sentence() {
            return "by hand";
        }
    }

    /** The first rule from the top that takes the keyword. */
    record ByRule(Rule rule) implements Reason {
        @Override
        public String sentence() {
            return "rule " + rule.number() + ": " + rule.sentence();
        }
    }

    /** Nobody decided and no rule takes it. */
    record NotJudged() implements Reason {
        @Override
        public String sentence() {
            return "not judged yet";
        }
    }
}

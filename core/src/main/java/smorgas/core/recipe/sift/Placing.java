package smorgas.core.recipe.sift;

import smorgas.core.text.Message;

/** Where the words of a {@link Condition.Worded} condition stand in the keyword. */
public enum Placing {
    ANY_ORDER("placing.any-order"),
    IN_ORDER("placing.in-order"),
    EXACTLY("placing.exactly"),
    STARTS("placing.starts"),
    ENDS("placing.ends");

    private final String key;

    Placing(String key) {
        this.key = key;
    }

    /** What is asked of keywords that have these words so. */
    Message sentence(String words) {
        return Message.of(key, words);
    }
}

package smorgas.core.group.engine;

import smorgas.core.recipe.group.Method;
import smorgas.core.text.Message;

/**
 * An example of a method of grouping: keywords with the same first word.
 *
 * @param fewest the least keywords of a group
 */
record FirstWord(int fewest) implements Method {
    @Override
    public Message told() {
        return Message.verbatim("keywords with the same first word, " + fewest + " and more");
    }

    @Override
    public int smallest() {
        return fewest;
    }
}

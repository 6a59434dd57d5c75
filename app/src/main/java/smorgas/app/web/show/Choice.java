package smorgas.app.web.show;

import smorgas.core.text.Message;

/** One of several that a field offers; the template {@code frame/form :: choice} draws them. */
public record Choice(String value, Message label) {

    /** Something that has a name of its own. */
    public Choice(String value, String name) {
        this(value, Message.verbatim(name));
    }

    /** Something with a number. */
    public Choice(long number, Message label) {
        this(String.valueOf(number), label);
    }

    /** Something with a number and a name of its own. */
    public Choice(long number, String name) {
        this(String.valueOf(number), name);
    }
}

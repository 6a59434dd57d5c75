package smorgas.app.work;

import java.util.NoSuchElementException;
import smorgas.core.text.Message;

/** What somebody asked for by an address is not there, or not any more. */
public final class Missing extends NoSuchElementException {

    private static final long serialVersionUID = 1;

    private final transient Message message;

    /** @param key what is missing, as a sentence without a full stop */
    public Missing(String key, Object... arguments) {
        super(key);
        this.message = Message.of(key, arguments);
    }

    public Message message() {
        return message;
    }
}

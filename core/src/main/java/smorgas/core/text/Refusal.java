package smorgas.core.text;

import org.jspecify.annotations.Nullable;

/**
 * What somebody asked for cannot be done, with a message that says why and what to do, without a full stop. Any other exception is a
 * fault of ours.
 */
public final class Refusal extends IllegalArgumentException {

    private static final long serialVersionUID = 1;

    private final transient Message message;

    /**
     * @param key the text that says why
     * @param arguments what is filled in; see {@link Message}
     */
    public Refusal(String key, @Nullable Object... arguments) {
        this(Message.of(key, arguments));
    }

    public Refusal(Message message) {
        super(message.key());
        this.message = message;
    }

    /** One that another fault has led to. */
    public Refusal(Message message, Throwable cause) {
        super(message.key(), cause);
        this.message = message;
    }

    /** What people are told. */
    public Message message() {
        return message;
    }

    /** The message in English, for logs. */
    @Override
    public String getMessage() {
        return message.toString();
    }
}

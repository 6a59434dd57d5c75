package smorgas.core.text;

import java.util.Arrays;
import java.util.List;
import java.util.Objects;
import java.util.function.IntFunction;
import org.jspecify.annotations.Nullable;

/**
 * A text for people before it has words: which text of the catalogue it is, and what is filled in. Two messages are equal if they
 * say the same.
 *
 * @param key the key of a text in {@code messages.properties}, or empty for a text that is somebody else's: a keyword, a name
 * @param arguments what is filled in, in the order of the text's numbers: texts and numbers, further messages, and lists of these
 */
public record Message(String key, List<Object> arguments) {

    /** No text at all. */
    public static final Message NONE = new Message("", List.of(""));

    public Message {
        arguments = List.copyOf(arguments);
    }

    /**
     * @param arguments what is filled in; null says nothing
     */
    public static Message of(String key, @Nullable Object... arguments) {
        return new Message(
                key,
                Arrays.stream(arguments)
                        .map(argument -> Objects.requireNonNullElse(argument, ""))
                        .toList());
    }

    /** A text as somebody else wrote it. */
    public static Message verbatim(String text) {
        return text.isEmpty() ? NONE : new Message("", List.of(text));
    }

    /** Texts in a row as the text of a key of two arguments puts two of them, such as {@code list.and}; {@link #NONE} of none. */
    public static Message joined(String key, List<Message> messages) {
        return joined(messages, place -> key);
    }

    /**
     * Texts in a row, each put behind those before it by a text of its own; {@link #NONE} of none.
     *
     * @param key of two arguments, by the place of the text that is put behind
     */
    public static Message joined(List<Message> messages, IntFunction<String> key) {
        return messages.isEmpty() ? NONE : joined(messages, 0, messages.size(), key);
    }

    /** By halves, so that a thousand texts lie ten deep within each other and not a thousand. */
    private static Message joined(List<Message> messages, int from, int to, IntFunction<String> key) {
        if (to - from == 1) {
            return messages.get(from);
        }
        int half = (from + to) >>> 1;
        return of(key.apply(half), joined(messages, from, half, key), joined(messages, half, to, key));
    }

    /** Whether there is no text. */
    public boolean isEmpty() {
        return equals(NONE);
    }

    /** The text in English, for logs and for who looks at a value; people are shown what a {@link Wording} makes of it. */
    @Override
    public String toString() {
        return Catalogue.english().of(this);
    }
}

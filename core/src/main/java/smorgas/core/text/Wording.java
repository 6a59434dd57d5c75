package smorgas.core.text;

import java.util.Set;

/** What gives messages their words in the language of who reads them. */
public interface Wording {

    /**
     * The text of a message with all its arguments filled in; plain text, nothing in it is escaped.
     *
     * @throws IllegalArgumentException if there is no such text
     */
    String of(Message message);

    /** The keys of all texts. */
    Set<String> keys();

    /** Whether there is a text of this key. */
    default boolean has(String key) {
        return keys().contains(key);
    }

    default String of(String key, Object... arguments) {
        return of(Message.of(key, arguments));
    }
}

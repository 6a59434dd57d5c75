package smorgas.core.recipe;

import com.google.re2j.Pattern;
import com.google.re2j.PatternSyntaxException;

/** Regular expressions of users, on an engine that runs in linear time whatever the expression. */
public final class Patterns {

    private Patterns() {}

    /**
     * The pattern, compiled.
     *
     * @throws IllegalArgumentException with a sentence that tells where the fault is, without a full stop
     */
    public static Pattern compile(String text) {
        try {
            return Pattern.compile(text);
        } catch (PatternSyntaxException e) {
            String part = e.getPattern() == null ? "" : e.getPattern();
            int at = part.isEmpty() ? -1 : text.indexOf(part);
            String place = part.isEmpty() ? "" : " at \"" + part + "\"" + (at < 0 ? "" : ", character " + (at + 1));
            throw new IllegalArgumentException(
                    "The pattern \"" + text + "\" cannot be read: " + e.getDescription() + place, e);
        }
    }
}

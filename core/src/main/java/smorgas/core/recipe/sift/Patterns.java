package smorgas.core.recipe.sift;

import com.google.re2j.Pattern;
import com.google.re2j.PatternSyntaxException;
import smorgas.core.text.Message;
import smorgas.core.text.Refusal;

/** Regular expressions of users, on an engine that runs in linear time whatever the expression. */
public final class Patterns {

    /** Steps of a compiled pattern, which is matched in time proportional to them. */
    static final int MOST_STEPS = 20_000;

    private Patterns() {}

    /**
     * The pattern, compiled.
     *
     * @throws Refusal with a sentence that tells where the fault is, without a full stop
     */
    public static Pattern compile(String text) {
        if (PatternSize.of(text) > MOST_STEPS) {
            throw new Refusal(
                    "sift.patterns.pattern-too-large-written",
                    (text.length() > 60 ? text.substring(0, 60) + "..." : text),
                    MOST_STEPS);
        }
        try {
            return Pattern.compile(text);
        } catch (PatternSyntaxException e) {
            // The engine calls a bracket that closes nothing an internal error of its own.
            int closing = unopened(text);
            if (closing >= 0 && "stack underflow".equals(e.getPattern())) {
                throw new Refusal(Message.of("sift.patterns.pattern-cannot-read-unexpected", text, closing + 1), e);
            }
            String part = e.getPattern() == null ? "" : e.getPattern();
            int at = part.isEmpty() ? -1 : text.indexOf(part);
            Message place = Message.NONE;
            if (!part.isEmpty()) {
                place = at < 0
                        ? Message.of("sift.patterns.at", part)
                        : Message.of("sift.patterns.at-character", part, at + 1);
            }
            throw new Refusal(Message.of("sift.patterns.pattern-cannot-read", text, e.getDescription(), place), e);
        }
    }

    /** Where a closing bracket stands that none opens, outside of classes and not escaped; -1 if there is none. */
    private static int unopened(String text) {
        int open = 0;
        boolean within = false;
        for (int i = 0; i < text.length(); i++) {
            char c = text.charAt(i);
            if (c == '\\') {
                i++;
            } else if (within) {
                within = c != ']';
            } else if (c == '[') {
                within = true;
            } else if (c == '(') {
                open++;
            } else if (c == ')' && open-- == 0) {
                return i;
            }
        }
        return -1;
    }
}

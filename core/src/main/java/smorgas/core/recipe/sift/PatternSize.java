package smorgas.core.recipe.sift;

import java.util.ArrayDeque;
import java.util.Deque;

/**
 * How many steps a regular expression compiles to, told before it is compiled: the engine writes counted repetitions out,
 * so that three of a thousand within each other come to a thousand million. Bounded from above where it is easy; what is
 * no pattern gets some number, and is refused by the engine.
 */
final class PatternSize {

    private static final long HUGE = 1L << 40;

    private final String text;
    private int at;

    private PatternSize(String text) {
        this.text = text;
    }

    static long of(String text) {
        return new PatternSize(text).all();
    }

    private long all() {
        Deque<Long> outer = new ArrayDeque<>();
        long total = 0;
        long last = 0;
        while (at < text.length()) {
            char c = text.charAt(at++);
            switch (c) {
                case '(' -> {
                    outer.push(total);
                    total = 0;
                    last = 0;
                }
                case ')' -> {
                    last = total + 2;
                    total = capped((outer.isEmpty() ? 0 : outer.pop()) + last);
                }
                case '{' -> {
                    long times = times();
                    total = capped(total + last * (times - 1));
                    last = capped(last * times);
                }
                case '*', '+', '?', '|' -> total++;
                default -> {
                    skip(c);
                    last = 1;
                    total++;
                }
            }
        }
        while (!outer.isEmpty()) {
            total += outer.pop();
        }
        return capped(total);
    }

    private static long capped(long size) {
        return Math.min(size, HUGE);
    }

    /** Past what belongs to one character or class. */
    private void skip(char c) {
        if (c == '\\' && at < text.length()) {
            at++;
        } else if (c == '[') {
            int end = text.indexOf(']', at + 1);
            at = end < 0 ? text.length() : end + 1;
        }
    }

    /** The most that the repetition which was just begun repeats; 1 if it is none. */
    private long times() {
        int end = text.indexOf('}', at);
        String inside = end < 0 ? "" : text.substring(at, end);
        if (!inside.matches("\\d{1,9}(,\\d{0,9})?")) {
            return 1;
        }
        at = end + 1;
        long most = 1;
        for (String number : inside.split(",")) {
            most = Math.max(most, Long.parseLong(number));
        }
        return most + (inside.endsWith(",") ? 1 : 0);
    }
}

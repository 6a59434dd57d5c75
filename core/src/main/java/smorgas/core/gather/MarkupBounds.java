package smorgas.core.gather;

import smorgas.core.text.Message;

/**
 * Looks at markup as it passes, without understanding it, for what makes a parser stand still for minutes: a tag with
 * thousands of attributes (each is compared with all others), a number of thousands of digits, a cell so far to the right
 * that its row does not fit. No table that somebody has made has any of it.
 */
final class MarkupBounds {

    /** Words of a tag: its name and its attributes. */
    static final int MOST_WORDS = 1_000;

    /** Digits without anything between them. */
    static final int MOST_DIGITS = 400;

    /** The last column of a worksheet is XFD (ECMA-376, from memory). */
    private static final int MOST_LETTERS = 3;

    /** Past a bound; the message is a sentence without a full stop. */
    static final class Past extends RuntimeException {
        private static final long serialVersionUID = 1;

        private final transient Message what;

        Past(Message what) {
            super(what.key(), null, false, false);
            this.what = what;
        }

        Message what() {
            return what;
        }
    }

    private final boolean cells;
    private boolean within;
    private char quote;
    private boolean space;
    private int words;
    private int digits;
    private int lines = 1;
    private final StringBuilder tag = new StringBuilder();

    /** @param cells whether tags called {@code c} are cells of a worksheet, and digits its numbers */
    MarkupBounds(boolean cells) {
        this.cells = cells;
    }

    void bytes(byte[] bytes, int length) {
        for (int i = 0; i < length; i++) {
            character((char) (bytes[i] & 0xFF));
        }
    }

    void text(String text) {
        for (int i = 0; i < text.length(); i++) {
            character(text.charAt(i));
        }
    }

    private void character(char c) {
        if (c == '\n') {
            lines++;
        }
        if (within) {
            inTag(c);
        } else if (c == '<') {
            within = true;
            quote = 0;
            space = true;
            words = 0;
            digits = 0;
            tag.setLength(0);
        } else if (cells) {
            digits = c >= '0' && c <= '9' ? digits + 1 : 0;
            if (digits > MOST_DIGITS) {
                throw new Past(Message.of("gather.markup-bounds.number-more-than-digits", MOST_DIGITS));
            }
        }
    }

    private void inTag(char c) {
        if (quote != 0) {
            quote = c == quote ? 0 : quote;
        } else if (c == '>') {
            within = false;
            if (cells) {
                cell();
            }
            return;
        } else if (c == '"' || c == '\'') {
            quote = c;
        } else if (c == ' ' || c == '\n' || c == '\t' || c == '\r') {
            space = true;
        } else if (space) {
            space = false;
            if (++words > MOST_WORDS) {
                throw new Past(Message.of("gather.markup-bounds.tag-ends-on-line", lines, MOST_WORDS));
            }
        }
        if (tag.length() < 100) {
            tag.append(c);
        }
    }

    private void cell() {
        if (tag.length() < 3 || tag.charAt(0) != 'c' || tag.charAt(1) != ' ') {
            return;
        }
        int place = tag.indexOf(" r=");
        int letters = 0;
        for (int i = place + 4; place >= 0 && i < tag.length() && Character.isLetter(tag.charAt(i)); i++) {
            letters++;
        }
        if (letters > MOST_LETTERS) {
            throw new Past(Message.of(
                    "gather.markup-bounds.cell-stands-column-past", tag.substring(place + 4, place + 4 + letters)));
        }
    }
}

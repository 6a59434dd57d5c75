package smorgas.core.fold;

import smorgas.core.column.RaggedInts;
import smorgas.core.column.TextDictionary;

/**
 * The spellings as cleaning leaves them, cut at their spaces: what all kinds of folding work on. Few distinct tokens make
 * up many texts, so what is done to a token is done once. Cannot change.
 */
final class Tokens {

    /** Before a token that begins its text with a hyphen, which there marks a negative keyword. */
    static final char FIRST = '\u0001';

    private final Spellings spellings;
    private final Cleaner cleaner;
    private final TextDictionary tokens = new TextDictionary(1 << 12);
    private final RaggedInts rows;
    private final int aside;

    Tokens(Spellings spellings, Cleaner cleaner) {
        this.spellings = spellings;
        this.cleaner = cleaner;
        RaggedInts.Builder builder = new RaggedInts.Builder();
        int away = 0;
        for (int spelling = 0; spelling < spellings.size(); spelling++) {
            String text = text(spelling);
            away += text.isEmpty() ? spellings.lines(spelling) : 0;
            cut(text, builder);
            builder.endRow();
        }
        this.aside = away;
        this.rows = builder.seal();
    }

    private void cut(String text, RaggedInts.Builder row) {
        int length = text.length();
        int start = 0;
        if (length > 1 && text.charAt(0) == '-') {
            int end = text.indexOf(' ');
            start = end < 0 ? length : end;
            row.add(tokens.intern(FIRST + text.substring(0, start)));
            start++;
        }
        while (start < length) {
            int end = text.indexOf(' ', start);
            end = end < 0 ? length : end;
            row.add(tokens.intern(text, start, end));
            start = end + 1;
        }
    }

    Spellings spellings() {
        return spellings;
    }

    /** The text of a spelling after cleaning; empty if it is set aside. */
    String text(int spelling) {
        String text = spellings.text(spelling);
        return cleaner.idle() ? text : cleaner.clean(text);
    }

    boolean cleaned() {
        return !cleaner.idle();
    }

    /** Lines that cleaning set aside. */
    int aside() {
        return aside;
    }

    TextDictionary tokens() {
        return tokens;
    }

    /** The tokens of each spelling; none if it is set aside. */
    RaggedInts rows() {
        return rows;
    }
}

package smorgas.core.text;

import com.ibm.icu.lang.UCharacter;
import com.ibm.icu.lang.UProperty;
import com.ibm.icu.text.Normalizer2;
import java.util.Locale;

/**
 * The tidy text of what somebody wrote: Unicode NFKC (Unicode Standard Annex #15), lower case of the root locale, one
 * space between words, no invisible characters, straight quotes, and without the marks by which lists tell match types:
 * {@code "a b"}, {@code [a b]}, {@code +a +b}. Tidying twice changes nothing more.
 */
public final class Tidy {

    private static final Normalizer2 NFKC = Normalizer2.getNFKCInstance();

    private Tidy() {}

    /** The tidy text; empty if nothing visible is left. Never throws on any text, lone surrogates included. */
    public static String of(String raw) {
        if (isTidyAscii(raw)) {
            return raw;
        }
        String text = raw;
        // Lower case can denormalise and marks can hide marks; three rounds adopt all but hostile text, which the
        // loop below adopts too, since each round that changes something either shortens the text or lowers it.
        for (int round = 0; round < 64; round++) {
            String next = once(text);
            if (next.equals(text)) {
                return next;
            }
            text = next;
        }
        return text;
    }

    private static String once(String raw) {
        return withoutMarks(plainSpaces(NFKC.normalize(raw).toLowerCase(Locale.ROOT)));
    }

    /** Most lines of real lists need nothing done; telling that costs one look at each character. */
    private static boolean isTidyAscii(String raw) {
        boolean space = true;
        for (int i = 0; i < raw.length(); i++) {
            char c = raw.charAt(i);
            if (c == ' ') {
                if (space) {
                    return false;
                }
                space = true;
            } else if (c >= 'a' && c <= 'z' || c >= '0' && c <= '9') {
                space = false;
            } else {
                return false;
            }
        }
        return !space;
    }

    private static String plainSpaces(String text) {
        StringBuilder out = new StringBuilder(text.length());
        boolean pending = false;
        for (int i = 0; i < text.length(); ) {
            int c = text.codePointAt(i);
            i += Character.charCount(c);
            if (UCharacter.isUWhiteSpace(c) || Character.isISOControl(c)) {
                pending = !out.isEmpty();
            } else if (!invisible(c)) {
                if (pending) {
                    out.append(' ');
                    pending = false;
                }
                out.appendCodePoint(straight(c));
            }
        }
        return out.toString();
    }

    private static boolean invisible(int c) {
        // The joiners (U+200C, U+200D) stay between letters of scripts that need them; elsewhere they are noise, but
        // telling which is which is for a later kind of folding.
        return c > 0x7F
                && c != 0x200C
                && c != 0x200D
                && UCharacter.hasBinaryProperty(c, UProperty.DEFAULT_IGNORABLE_CODE_POINT);
    }

    private static int straight(int c) {
        return switch (c) {
            case 0x2018, 0x2019, 0x201A, 0x201B, 0x02BC, 0x2032 -> '\'';
            case 0x201C, 0x201D, 0x201E, 0x201F, 0x2033, 0x00AB, 0x00BB -> '"';
            default -> c;
        };
    }

    private static String withoutMarks(String text) {
        String inner = text;
        if (enclosed(inner, '"', '"') || enclosed(inner, '[', ']')) {
            inner = inner.substring(1, inner.length() - 1).strip();
        }
        return inner.indexOf('+') < 0 ? inner : withoutPlus(inner);
    }

    private static boolean enclosed(String text, char open, char close) {
        return text.length() > 2
                && text.charAt(0) == open
                && text.charAt(text.length() - 1) == close
                && text.indexOf(close, 1) == text.length() - 1;
    }

    private static String withoutPlus(String text) {
        StringBuilder out = new StringBuilder(text.length());
        for (int i = 0; i < text.length(); i++) {
            boolean mark = text.charAt(i) == '+'
                    && (i == 0 || text.charAt(i - 1) == ' ')
                    && i + 1 < text.length()
                    && Character.isLetterOrDigit(text.codePointAt(i + 1));
            if (!mark) {
                out.append(text.charAt(i));
            }
        }
        return out.toString();
    }
}

package smorgas.core.text;

import com.ibm.icu.text.BreakIterator;
import com.ibm.icu.util.ULocale;
import java.util.ArrayList;
import java.util.List;

/**
 * The words of a text by the default word boundaries of Unicode Standard Annex #29: a piece between two boundaries is a
 * word if it holds a letter, a digit, a kana or an ideograph.
 */
public final class Words {

    /** A piece of a text: a word, or what stands between words. The pieces of a text, joined, are the text. */
    public record Piece(String text, boolean word) {}

    // A BreakIterator keeps a place in its text, so each thread has its own.
    private static final ThreadLocal<BreakIterator> BREAKS =
            ThreadLocal.withInitial(() -> BreakIterator.getWordInstance(ULocale.ROOT));

    private Words() {}

    /** The words in the order in which they stand, repeats included; empty if there are none. */
    public static List<String> of(String text) {
        List<String> words = new ArrayList<>(6);
        if (plain(text)) {
            int start = 0;
            while (start < text.length()) {
                int end = text.indexOf(' ', start);
                if (end < 0) {
                    end = text.length();
                }
                if (end > start) {
                    words.add(text.substring(start, end));
                }
                start = end + 1;
            }
            return words;
        }
        for (Piece piece : pieces(text)) {
            if (piece.word()) {
                words.add(piece.text());
            }
        }
        return words;
    }

    /** The text cut at every word boundary; what lies between two words is one piece. */
    public static List<Piece> pieces(String text) {
        List<Piece> pieces = new ArrayList<>();
        BreakIterator breaks = BREAKS.get();
        breaks.setText(text);
        int gap = 0;
        int start = breaks.first();
        for (int end = breaks.next(); end != BreakIterator.DONE; end = breaks.next()) {
            if (breaks.getRuleStatus() >= BreakIterator.WORD_NUMBER) {
                if (gap < start) {
                    pieces.add(new Piece(text.substring(gap, start), false));
                }
                pieces.add(new Piece(text.substring(start, end), true));
                gap = end;
            }
            start = end;
        }
        if (gap < text.length()) {
            pieces.add(new Piece(text.substring(gap), false));
        }
        return pieces;
    }

    /** Only ASCII letters, digits and spaces: there the boundaries of the annex are the spaces. */
    private static boolean plain(String text) {
        for (int i = 0; i < text.length(); i++) {
            char c = text.charAt(i);
            if (!(c >= 'a' && c <= 'z' || c >= 'A' && c <= 'Z' || c >= '0' && c <= '9' || c == ' ')) {
                return false;
            }
        }
        return true;
    }
}

package smorgas.core.language;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Takes punctuation and symbols out of a token where they mean nothing and keeps them where they do. Between letters a
 * hyphen, slash or dot parts words and an apostrophe joins them ({@code keeper's}, {@code keepers}); signs at a number stay
 * with it ({@code 4.5}, {@code #10}, {@code 50/50}, {@code $5}, {@code 20%}), and so do {@code +} and {@code #} behind a
 * word ({@code c++}); {@code &} alone is the language's "and". A number parts from its unit, as if a space stood between, and a
 * short word joins what stands behind its hyphen. Depends on the token and the language only.
 */
public final class Punctuation {

    /** What marks a keyword as a negative one when it stands before its first letter; kept as a word of its own. */
    public static final String NEGATIVE = "-";

    private static final Pattern MEASURED = Pattern.compile("(\\d+(?:[.,]\\d+)?)(\\p{L}{1,4})");

    /** Words that are written as one with a hyphen or without (wi-fi, e-mail) have one or two letters before it. */
    private static final Pattern HYPHENED = Pattern.compile("(\\p{L}{1,2})-(\\p{L}{2,})");

    private final String and;
    private final boolean elides;
    private final Set<String> little;

    /** That of a language (ISO 639-1). */
    public Punctuation(String language) {
        Lexicon lexicon = Lexicon.of(language);
        this.and = lexicon.and();
        this.elides = !lexicon.elided().isEmpty();
        this.little = lexicon.stopWords();
    }

    /**
     * The words of a token.
     *
     * @param token a piece of a tidy text between two spaces
     * @param first whether the text begins with it
     * @return none if it is nothing but punctuation
     */
    public List<String> words(String token, boolean first) {
        if (token.equals("&")) {
            return and.isEmpty() ? List.of() : List.of(and);
        }
        Matcher measured = MEASURED.matcher(token);
        if (measured.matches() && Units.APART.contains(measured.group(2))) {
            return List.of(measured.group(1), measured.group(2));
        }
        Matcher hyphened = HYPHENED.matcher(token);
        if (hyphened.matches() && !little.contains(hyphened.group(1))) {
            return List.of(hyphened.group(1) + hyphened.group(2));
        }
        List<String> words = new ArrayList<>(2);
        StringBuilder word = new StringBuilder();
        int[] points = token.codePoints().toArray();
        if (first && points.length > 1 && points[0] == '-' && Character.isLetter(points[1])) {
            words.add(NEGATIVE);
        }
        for (int i = 0; i < points.length; i++) {
            int c = points[i];
            if (part(c) || means(points, i)) {
                word.appendCodePoint(c);
            } else if (!joins(points, i) && !word.isEmpty()) {
                words.add(word.toString());
                word.setLength(0);
            }
        }
        if (!word.isEmpty()) {
            words.add(word.toString());
        }
        return words;
    }

    private static boolean part(int c) {
        if (Character.isLetterOrDigit(c)) {
            return true;
        }
        return switch (Character.getType(c)) {
            case Character.NON_SPACING_MARK, Character.COMBINING_SPACING_MARK, Character.ENCLOSING_MARK -> true;
            // Joiners of Indic and Persian words, and emoji, which are all the keyword some texts have.
            case Character.FORMAT, Character.OTHER_SYMBOL, Character.SURROGATE, Character.PRIVATE_USE -> true;
            default -> false;
        };
    }

    private boolean joins(int[] points, int i) {
        int c = points[i];
        if (c == '\'') {
            return !elides || !letter(points, i - 1) || !letter(points, i + 1);
        }
        // u.s.a
        return c == '.'
                && letter(points, i - 1)
                && !letter(points, i - 2)
                && (i + 2 >= points.length || !letter(points, i + 2));
    }

    /** Whether the sign belongs to a number or to the word before it. */
    private static boolean means(int[] points, int i) {
        boolean digitBefore = digit(points, i - 1);
        boolean digitAfter = digit(points, i + 1);
        return switch (points[i]) {
            case '.', ',', '/', ':', '\u00D7' -> digitBefore && digitAfter;
            case '-' -> digitAfter && (digitBefore || i == 0);
            case '#' -> digitAfter || letter(points, i - 1) && i == points.length - 1;
            case '+' -> letter(points, i - 1) || i > 0 && points[i - 1] == '+' && letter(points, i - 2);
            case '%', '\u00B0', '"' -> digitBefore;
            case '\'' -> digitBefore && i == points.length - 1;
            default -> Character.getType(points[i]) == Character.CURRENCY_SYMBOL && (digitAfter || digitBefore);
        };
    }

    private static boolean letter(int[] points, int i) {
        return i >= 0 && i < points.length && Character.isLetter(points[i]);
    }

    private static boolean digit(int[] points, int i) {
        return i >= 0 && i < points.length && Character.isDigit(points[i]);
    }
}

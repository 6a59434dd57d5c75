package smorgas.core.language;

import com.ibm.icu.text.Transliterator;
import java.text.Normalizer;

/**
 * Takes accents off letters by ICU's Latin-ASCII transform ({@code é} is {@code e}, {@code ø} is {@code o}, {@code ß} is
 * {@code ss}), but for letters that a language writes otherwise or holds apart: German {@code ä} is {@code ae}; Spanish
 * {@code ñ} stays. Letters of other scripts are left as they are, but for Greek ones.
 */
public final class Accents {

    private final Transliterator transform;

    /** Those of a language (ISO 639-1). */
    public Accents(String language) {
        String own = Lexicon.of(language).accents();
        transform = own.isEmpty()
                ? Transliterator.getInstance("Latin-ASCII")
                : Transliterator.createFromRules("smorgas-" + language, own + rest(own), Transliterator.FORWARD);
    }

    /** Everything that no exception names goes the common way; a rule set cannot call a transform for single letters. */
    private static String rest(String own) {
        Transliterator common = Transliterator.getInstance("Latin-ASCII");
        StringBuilder rules = new StringBuilder();
        for (int c = 0x80; c < 0x250; c++) {
            String letter = Character.toString(c);
            String plain = common.transliterate(letter);
            if (Character.isLetter(c) && !plain.equals(letter) && own.indexOf(c) < 0) {
                rules.append(letter)
                        .append(" > '")
                        .append(plain.replace("'", "''"))
                        .append("';");
            }
        }
        return rules.toString();
    }

    /** Greek letters without accents, and the sigma at the end as any other. */
    private static String plainGreek(String word) {
        if (word.codePoints().noneMatch(c -> Character.UnicodeScript.of(c) == Character.UnicodeScript.GREEK)) {
            return word;
        }
        StringBuilder plain = new StringBuilder(word.length());
        Normalizer.normalize(word, Normalizer.Form.NFD)
                .codePoints()
                .filter(c -> Character.getType(c) != Character.NON_SPACING_MARK)
                .map(c -> c == '\u03C2' ? '\u03C3' : c)
                .forEach(plain::appendCodePoint);
        return plain.toString();
    }

    /** The word without accents. */
    public String plain(String word) {
        for (int i = 0; i < word.length(); i++) {
            if (word.charAt(i) > 0x7F) {
                return transform.transliterate(plainGreek(word));
            }
        }
        return word;
    }
}

package smorgas.core.language;

import java.util.HashMap;
import java.util.Map;
import java.util.function.UnaryOperator;

/**
 * German plurals that change a vowel, by a list of them, which stand at the end of compounds too: Häuser, Gartenstühle. By
 * rule alone they cannot be told from other words: größe is not the plural of groß.
 */
final class GermanPlurals implements UnaryOperator<String> {

    private static final int LONGEST = 14;

    private final Map<String, String> singulars = new HashMap<>();
    private int shortest = LONGEST;

    /** @param plain whether words come with ae for ä */
    GermanPlurals(boolean plain) {
        Accents accents = new Accents("de");
        for (String line : Lexicon.of("de").lines("plurals.txt")) {
            String[] pair = line.split(" ");
            String plural = plain ? accents.plain(pair[0]) : pair[0];
            String singular = plain ? accents.plain(pair[1]) : pair[1];
            singulars.put(plural, singular);
            // The third case: in Häusern.
            singulars.put(plural.endsWith("n") ? plural : plural + "n", singular);
            shortest = Math.min(shortest, plural.length());
        }
    }

    @Override
    public String apply(String word) {
        // The longest end that is one: Bachläufe are no Käufe.
        for (int from = Math.max(0, word.length() - LONGEST); from <= word.length() - shortest; from++) {
            String singular = singulars.get(word.substring(from));
            boolean whole = from == 0 || from > 2;
            if (singular != null && whole) {
                return word.substring(0, from) + singular;
            }
        }
        return word;
    }
}

package smorgas.core.language;

import java.util.HashMap;
import java.util.HashSet;
import java.util.Map;
import java.util.Set;

/**
 * One form for the singular and the plural of an English word: irregular ones by a list, the others by their ending. Safe for
 * many threads. The form is a key, not always a word: so that {@code case} and {@code cases}, {@code bus} and {@code buses}
 * each agree without a dictionary, a last {@code e} after a hissing sound goes too.
 */
final class EnglishPlurals {

    private final Map<String, String> irregular = new HashMap<>();
    private final Set<String> singular = new HashSet<>(Lexicon.of("en").lines("singular-s.txt"));

    EnglishPlurals() {
        for (String line : Lexicon.of("en").lines("plurals.txt")) {
            String[] pair = line.split(" ");
            irregular.put(pair[0], pair[1]);
        }
    }

    /** The form that singular and plural share. */
    String form(String word) {
        String one = one(word);
        return withoutSilent(irregular.getOrDefault(one, one));
    }

    private String one(String word) {
        String known = irregular.get(word);
        int length = word.length();
        if (known != null || length < 4 || !word.endsWith("s") || singular.contains(word)) {
            return known != null ? known : word;
        }
        if (ends(word, "ss") || ends(word, "us") || ends(word, "is")) {
            return word;
        }
        if (length > 4 && ends(word, "ies")) {
            return word.substring(0, length - 3) + "y";
        }
        if (length > 4
                && (ends(word, "ses")
                        || ends(word, "xes")
                        || ends(word, "zes")
                        || ends(word, "ches")
                        || ends(word, "shes")
                        || ends(word, "oes"))) {
            return word.substring(0, length - 2);
        }
        return word.substring(0, length - 1);
    }

    private static String withoutSilent(String word) {
        int length = word.length();
        if (length > 3 && ends(word, "ie")) {
            return word.substring(0, length - 2) + "y";
        }
        boolean silent = length > 3
                && (ends(word, "se")
                        || ends(word, "xe")
                        || ends(word, "ze")
                        || ends(word, "che")
                        || ends(word, "she")
                        || ends(word, "oe"));
        return silent ? word.substring(0, length - 1) : word;
    }

    private static boolean ends(String word, String ending) {
        return word.endsWith(ending);
    }
}

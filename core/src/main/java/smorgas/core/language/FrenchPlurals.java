package smorgas.core.language;

import java.util.Set;

/** French plurals with an x: cadeaux, jeux, journaux (rules of school grammars; from memory). */
final class FrenchPlurals {

    /** Those in -ail. */
    private static final Set<String> IN_AIL = Set.of(
            "travaux",
            "vitraux",
            "coraux",
            "baux",
            "emaux",
            "émaux",
            "soupiraux",
            "vantaux",
            "aspiraux",
            "fermaux",
            "gemmaux");

    private FrenchPlurals() {}

    /** What singular and plural have in common; words in -au and in -al, which share their plural, are alike. */
    static String common(String word) {
        if (word.endsWith("eaux")) {
            return word.substring(0, word.length() - 1);
        }
        if (IN_AIL.contains(word)) {
            return word.substring(0, word.length() - 3) + "ail";
        }
        if (word.endsWith("aux") && word.length() > 4) {
            return word.substring(0, word.length() - 2) + "l";
        }
        if (word.endsWith("au") && !word.endsWith("eau") && word.length() > 3) {
            return word.substring(0, word.length() - 1) + "l";
        }
        // Adjectives in -eux are the same in both, and so stay alike.
        return (word.endsWith("eux") || word.endsWith("oux")) && word.length() > 3
                ? word.substring(0, word.length() - 1)
                : word;
    }
}

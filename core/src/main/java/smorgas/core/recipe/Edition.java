package smorgas.core.recipe;

import java.util.Arrays;
import java.util.stream.Collectors;
import smorgas.core.text.Refusal;

/**
 * How Smorgas of a time folds keywords, merges their figures and groups them. A project keeps the edition in which it was made, and a
 * recipe names its own, so that neither comes out otherwise when the rules are bettered; a newer one is an act.
 */
public enum Edition {
    /** Each figure of a keyword merged by itself; plurals by endings. */
    FIRST("each figure of a keyword comes from whichever line has it"),
    /**
     * Figures that belong together come from the same line, the lead spelling's first; plurals with changed vowels, Greek
     * accents, numbers with their units and words with a hyphen are folded too; an ambiguous number is read by the
     * project's language.
     */
    SECOND(
            "figures that belong together come from one line, the lead spelling's first; more plurals and accents are folded,"
                    + " and a number is one with its unit"),
    /** Groups form by likeness unless somebody has chosen how. */
    THIRD("groups form of keywords that are alike, unless you have chosen otherwise"),
    /** Likeness looks at more pairs and is broader in longer lists; what a hand joins or takes out follows it. */
    FOURTH(
            "groups by likeness are broader in longer lists and look at more pairs, leftovers are seated by likeness, and groups"
                    + " that a hand made are joined and divided like any other"),
    /** Likeness looks at every pair that can matter, however long the list. */
    FIFTH("groups by likeness of more than 20,000 keywords come of a look at every pair of keywords that can matter"),
    /** Bids, and words of French, Spanish, Italian and Dutch, say something of what keywords are for. */
    SIXTH(
            "keywords for which many bid more than for most are seen as commercial too, and words of French, Spanish, Italian and"
                    + " Dutch tell intents"),
    /** Of the ads of an own campaign the best are taken over, and settled groups keep their names. */
    SEVENTH(
            "an ad group takes over those ads of an own campaign that did best, by conversions and then by click-through, not those"
                    + " that most of its lines have, and groups that were settled keep their names however their "
                    + "keywords are spelled most"),
    /** Words are like few others by their letters. */
    EIGHTH(
            "in languages that do not join words a word counts as like three others by its letters at most, so that in long lists"
                    + " words that look alike by chance bring fewer keywords together"),
    /** Likeness knows more languages; words that stand in no keyword by themselves are shown as written. */
    NINTH(
            "groups by likeness know words of French, Spanish, Italian and Dutch that say the same in any trade, leave out articles"
                    + " as in l'eau, and in Romance languages take the first noun for what a keyword is of; a word that only stands in"
                    + " another is shown as it is written");

    /** What new projects are made in. */
    public static final Edition NEWEST = NINTH;

    private final String what;

    Edition(String what) {
        this.what = what;
    }

    /** From 1; persisted. */
    public int number() {
        return ordinal() + 1;
    }

    /** What is special about it, a sentence without a capital and a full stop. */
    public String what() {
        return what;
    }

    /**
     * The edition of a number.
     *
     * @throws Refusal if there is none
     */
    public static Edition of(int number) {
        if (number < 1 || number > values().length) {
            throw new Refusal("There is no edition " + number);
        }
        return values()[number - 1];
    }

    /** What all later ones do otherwise. */
    public String newer() {
        return Arrays.stream(values())
                .filter(other -> other.compareTo(this) > 0)
                .map(Edition::what)
                .collect(Collectors.joining("; "));
    }

    public boolean atLeast(Edition other) {
        return compareTo(other) >= 0;
    }
}

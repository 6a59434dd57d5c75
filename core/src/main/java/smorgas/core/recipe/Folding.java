package smorgas.core.recipe;

import java.util.ArrayList;
import java.util.Collections;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import java.util.SortedMap;
import java.util.SortedSet;
import java.util.TreeMap;
import java.util.TreeSet;
import smorgas.core.text.WordLists;

/**
 * Everything that decides which lines are one keyword.
 *
 * @param edition whose rules hold
 * @param language ISO 639-1
 * @param on the kinds of folding that are switched on
 * @param littleWords tidy words that a keyword can do without
 * @param misspellings accepted ones: the wrong word and the right one
 * @param refused wrong words that were said to be right as they are
 * @param pins decisions by hand, later ones win
 * @param leads tidy texts that a hand made the lead spelling of their keyword, later ones win
 * @param cleanings in the order in which they are made
 */
public record Folding(
        Edition edition,
        String language,
        Set<FoldKind> on,
        SortedSet<String> littleWords,
        SortedMap<String, String> misspellings,
        SortedSet<String> refused,
        List<FoldPin> pins,
        List<String> leads,
        List<NumberedCleaning> cleanings) {

    /** A cleaning with its number, unique among those in force. */
    public record NumberedCleaning(int number, Cleaning cleaning) {}

    public Folding {
        EnumSet<FoldKind> kinds = EnumSet.noneOf(FoldKind.class);
        kinds.addAll(on);
        on = Collections.unmodifiableSet(kinds);
        littleWords = Collections.unmodifiableSortedSet(new TreeSet<>(littleWords));
        misspellings = Collections.unmodifiableSortedMap(new TreeMap<>(misspellings));
        refused = Collections.unmodifiableSortedSet(new TreeSet<>(refused));
        pins = List.copyOf(pins);
        leads = List.copyOf(leads);
        cleanings = List.copyOf(cleanings);
    }

    /** The kinds that are on at first, the language's little words, nothing decided by hand. */
    public static Folding standard(String language) {
        return standard(language, Edition.NEWEST);
    }

    /** The same of an edition. */
    public static Folding standard(String language, Edition edition) {
        EnumSet<FoldKind> on = EnumSet.noneOf(FoldKind.class);
        for (FoldKind kind : FoldKind.values()) {
            if (kind.onAtFirst()) {
                on.add(kind);
            }
        }
        return new Folding(
                edition,
                language,
                on,
                WordLists.littleWords(language),
                new TreeMap<>(),
                new TreeSet<>(),
                List.of(),
                List.of(),
                List.of());
    }

    /** The same after one more decision. */
    Folding after(Entry.OfFolding entry) {
        return switch (entry) {
            case Entry.EditionChosen e ->
                new Folding(e.edition(), language, on, littleWords, misspellings, refused, pins, leads, cleanings);
            case Entry.FoldKindSwitched e -> switched(e);
            case Entry.LittleWordsChosen e ->
                new Folding(
                        edition, language, on, new TreeSet<>(e.words()), misspellings, refused, pins, leads, cleanings);
            case Entry.MisspellingsJudged e -> judged(e);
            case Entry.SpellingsTakenOut e -> withPin(new FoldPin.Apart(e.texts()));
            case Entry.KeywordsJoined e -> withPin(new FoldPin.Together(e.texts()));
            case Entry.LeadChosen e ->
                new Folding(
                        edition,
                        language,
                        on,
                        littleWords,
                        misspellings,
                        refused,
                        pins,
                        last(leads, e.text()),
                        cleanings);
            case Entry.CleaningAdded e -> cleaned(and(cleanings, new NumberedCleaning(e.number(), e.cleaning())));
            case Entry.CleaningRemoved e ->
                cleaned(cleanings.stream().filter(c -> c.number() != e.number()).toList());
        };
    }

    private Folding switched(Entry.FoldKindSwitched entry) {
        EnumSet<FoldKind> kinds = EnumSet.noneOf(FoldKind.class);
        kinds.addAll(on);
        if (entry.on()) {
            kinds.add(entry.kind());
        } else {
            kinds.remove(entry.kind());
        }
        return with(kinds);
    }

    /** The same with other kinds switched on, to look at before they are. */
    public Folding with(Set<FoldKind> kinds) {
        return new Folding(edition, language, kinds, littleWords, misspellings, refused, pins, leads, cleanings);
    }

    /** The same under the rules of another edition, to look at before they are followed. */
    public Folding with(Edition other) {
        return new Folding(other, language, on, littleWords, misspellings, refused, pins, leads, cleanings);
    }

    private Folding judged(Entry.MisspellingsJudged entry) {
        TreeMap<String, String> accepted = new TreeMap<>(misspellings);
        TreeSet<String> right = new TreeSet<>(refused);
        for (WordPair pair : entry.pairs()) {
            if (entry.accepted()) {
                accepted.put(pair.wrong(), pair.right());
                right.remove(pair.wrong());
            } else {
                accepted.remove(pair.wrong());
                right.add(pair.wrong());
            }
        }
        return new Folding(edition, language, on, littleWords, accepted, right, pins, leads, cleanings);
    }

    private Folding withPin(FoldPin pin) {
        return new Folding(edition, language, on, littleWords, misspellings, refused, and(pins, pin), leads, cleanings);
    }

    private Folding cleaned(List<NumberedCleaning> next) {
        return new Folding(edition, language, on, littleWords, misspellings, refused, pins, leads, next);
    }

    /** The number for the next cleaning. */
    public int nextCleaning() {
        return cleanings.stream().mapToInt(NumberedCleaning::number).max().orElse(0) + 1;
    }

    private static <T> List<T> and(List<T> some, T more) {
        List<T> all = new ArrayList<>(some);
        all.add(more);
        return all;
    }

    private static List<String> last(List<String> some, String text) {
        List<String> all = new ArrayList<>(some);
        all.remove(text);
        all.add(text);
        return all;
    }
}

package smorgas.core.recipe;

import java.util.ArrayList;
import java.util.Collections;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.SortedMap;
import java.util.SortedSet;
import java.util.TreeMap;
import java.util.TreeSet;
import smorgas.core.figure.Decimals;
import smorgas.core.figure.Figure;
import smorgas.core.figure.Merge;
import smorgas.core.language.Lexicon;
import smorgas.core.recipe.fold.Cleaning;
import smorgas.core.recipe.fold.FoldDecision;
import smorgas.core.recipe.fold.FoldKind;
import smorgas.core.recipe.fold.FoldRules;
import smorgas.core.recipe.fold.WordPair;

/**
 * Everything that decides which lines are one keyword.
 *
 * @param rules the numbers by which words are folded
 * @param language ISO 639-1
 */
public record Folding(FoldRules rules, String language, Dials dials, Hands hands) {

    /** A cleaning with its number, unique among those in force. */
    public record NumberedCleaning(int number, Cleaning cleaning) {}

    /**
     * What is set for all keywords.
     *
     * @param on the kinds of folding that are switched on
     * @param littleWords tidy words that a keyword can do without
     * @param merges how each figure is merged when lines disagree
     * @param cleanings in the order in which they are made
     */
    public record Dials(
            Set<FoldKind> on,
            SortedSet<String> littleWords,
            Map<Figure, Merge> merges,
            List<NumberedCleaning> cleanings) {
        public Dials {
            EnumSet<FoldKind> kinds = EnumSet.noneOf(FoldKind.class);
            kinds.addAll(on);
            on = Collections.unmodifiableSet(kinds);
            littleWords = Collections.unmodifiableSortedSet(new TreeSet<>(littleWords));
            merges = Collections.unmodifiableMap(new EnumMap<>(merges));
            cleanings = List.copyOf(cleanings);
        }
    }

    /**
     * What a hand has decided of single words and keywords.
     *
     * @param misspellings accepted ones: the wrong word and the right one
     * @param refused wrong words that were said to be right as they are
     * @param decisions later ones win
     * @param leads tidy texts that were made the lead spelling of their keyword, later ones win
     */
    public record Hands(
            SortedMap<String, String> misspellings,
            SortedSet<String> refused,
            List<FoldDecision> decisions,
            List<String> leads) {
        private static final Hands NONE = new Hands(new TreeMap<>(), new TreeSet<>(), List.of(), List.of());

        public Hands {
            misspellings = Collections.unmodifiableSortedMap(new TreeMap<>(misspellings));
            refused = Collections.unmodifiableSortedSet(new TreeSet<>(refused));
            decisions = List.copyOf(decisions);
            leads = List.copyOf(leads);
        }

        private Hands with(FoldDecision decision) {
            return new Hands(misspellings, refused, and(decisions, decision), leads);
        }

        private Hands judged(FoldEntry.MisspellingsJudged entry) {
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
            return new Hands(accepted, right, decisions, leads);
        }
    }

    /** The kinds of folding that are switched on. */
    public Set<FoldKind> on() {
        return dials.on();
    }

    /** Tidy words that a keyword can do without. */
    public SortedSet<String> littleWords() {
        return dials.littleWords();
    }

    /** How each figure is merged when lines disagree. */
    public Map<Figure, Merge> merges() {
        return dials.merges();
    }

    /** Cleanings in the order in which they are made. */
    public List<NumberedCleaning> cleanings() {
        return dials.cleanings();
    }

    /** Accepted misspellings: the wrong word and the right one. */
    public SortedMap<String, String> misspellings() {
        return hands.misspellings();
    }

    /** Wrong words that were said to be right as they are. */
    public SortedSet<String> refused() {
        return hands.refused();
    }

    /** Decisions by hand, later ones win. */
    public List<FoldDecision> decisions() {
        return hands.decisions();
    }

    /** Texts that a hand made the lead spelling of their keyword, later ones win. */
    public List<String> leads() {
        return hands.leads();
    }

    /** Nothing decided: the kinds that are on at first, the language's little words. */
    public static Folding standard(String language, Rules rules) {
        Dials dials = new Dials(
                rules.settings().folds(),
                Lexicon.of(language).littleWords(),
                rules.settings().merges(),
                List.of());
        return new Folding(rules.fold(), language, dials, Hands.NONE);
    }

    /** The same after one more decision. */
    Folding after(FoldEntry entry) {
        return switch (entry) {
            case FoldEntry.FoldKindSwitched e -> switched(e);
            case FoldEntry.LittleWordsChosen e ->
                with(new Dials(on(), new TreeSet<>(e.words()), merges(), cleanings()));
            case FoldEntry.MisspellingsJudged e -> with(hands.judged(e));
            case FoldEntry.SpellingsTakenOut e -> with(hands.with(new FoldDecision.Apart(e.texts())));
            case FoldEntry.KeywordsJoined e -> with(hands.with(new FoldDecision.Together(e.texts())));
            case FoldEntry.LeadChosen e ->
                with(new Hands(misspellings(), refused(), decisions(), last(leads(), e.text())));
            case FoldEntry.MergeChosen e -> merged(e);
            case FoldEntry.CleaningAdded e -> cleaned(and(cleanings(), new NumberedCleaning(e.number(), e.cleaning())));
            case FoldEntry.CleaningRemoved e ->
                cleaned(cleanings().stream()
                        .filter(c -> c.number() != e.number())
                        .toList());
        };
    }

    private Folding with(Dials other) {
        return new Folding(rules, language, other, hands);
    }

    private Folding with(Hands other) {
        return new Folding(rules, language, dials, other);
    }

    /** Figures that belong together are merged in one way: that of the first of them. */
    private Folding merged(FoldEntry.MergeChosen entry) {
        Map<Figure, Merge> next = new EnumMap<>(merges());
        next.put(entry.figure(), entry.merge());
        entry.figure().family().forEach(figure -> next.put(figure, entry.merge()));
        return with(new Dials(on(), littleWords(), next, cleanings()));
    }

    private Folding switched(FoldEntry.FoldKindSwitched entry) {
        EnumSet<FoldKind> kinds = EnumSet.noneOf(FoldKind.class);
        kinds.addAll(on());
        if (entry.on()) {
            kinds.add(entry.kind());
        } else {
            kinds.remove(entry.kind());
        }
        return with(kinds);
    }

    /** The same with other kinds switched on, to look at before they are. */
    public Folding with(Set<FoldKind> kinds) {
        return with(new Dials(kinds, littleWords(), merges(), cleanings()));
    }

    private Folding cleaned(List<NumberedCleaning> next) {
        return with(new Dials(on(), littleWords(), merges(), next));
    }

    /** The number for the next cleaning. */
    public int nextCleaning() {
        return cleanings().stream().mapToInt(NumberedCleaning::number).max().orElse(0) + 1;
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

    /** How an ambiguous number of a list is read, such as 1.000: by the language. */
    public Decimals decimals() {
        return Decimals.of(language);
    }
}

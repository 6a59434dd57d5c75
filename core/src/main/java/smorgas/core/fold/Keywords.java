package smorgas.core.fold;

import java.time.YearMonth;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.function.BiFunction;
import java.util.function.Consumer;
import java.util.function.IntConsumer;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import smorgas.core.column.FigureColumn;
import smorgas.core.column.Numbers;
import smorgas.core.column.RaggedInts;
import smorgas.core.column.TextDictionary;
import smorgas.core.figure.ColumnRole;
import smorgas.core.figure.Fact;
import smorgas.core.figure.Figure;
import smorgas.core.gather.Lines;
import smorgas.core.gather.MonthColumn;
import smorgas.core.recipe.Folding;
import smorgas.core.recipe.gather.BasketInfo;

/**
 * The keywords of a project: each line in use is in exactly one of them. Keywords are numbered from 0 in the order in
 * which they were first met; a number means nothing outside this object. Cannot change.
 */
public final class Keywords {

    /** One spelling of a keyword where it stands: which basket, which line, with which text. */
    public record Occurrence(long basket, String basketName, int row, int lineNumber, String text) {}

    private final List<Lines> baskets;
    private final Prepared prepared;
    private final Tokens tokens;
    private final Folding folding;
    private final int[] keywordOfSpelling;
    private final int[] leadSpellings;
    private final String[] leads;
    private final TextDictionary vocabulary;
    private final RaggedInts words;
    private final LinePlaces places;
    private final RaggedInts lines;
    private final int[] basketCounts;
    private final Map<Figure, FigureColumn> figures;
    /** Lead spellings that are no spelling of a line, as cleaning makes them. */
    private final Map<String, Integer> cleaned = new HashMap<>();

    private volatile @Nullable FoldedWords folded;
    private volatile @Nullable KeywordLookup meant;

    Keywords(
            Prepared prepared,
            Folding folding,
            Merges merges,
            String[] leads,
            TextDictionary vocabulary,
            RaggedInts words,
            RaggedInts lines,
            Map<Figure, FigureColumn> figures) {
        this.prepared = prepared;
        this.tokens = prepared.tokens();
        this.folding = folding;
        this.baskets = prepared.tokens().spellings().baskets();
        this.keywordOfSpelling = merges.keywordOf();
        this.leadSpellings = merges.leads();
        this.leads = leads;
        this.vocabulary = vocabulary;
        this.words = words;
        this.places = new LinePlaces(tokens.spellings().starts());
        this.lines = lines;
        this.figures = new EnumMap<>(figures);
        this.basketCounts = places.counts(lines, leads.length);
        if (tokens.cleaned()) {
            for (int keyword = 0; keyword < leads.length; keyword++) {
                cleaned.putIfAbsent(leads[keyword], keyword);
            }
        }
    }

    public int size() {
        return leads.length;
    }

    /** The lead spelling, tidy. */
    public String text(int keyword) {
        return leads[keyword];
    }

    /** The keyword that this tidy text is a spelling of. */
    public Optional<Integer> find(String tidy) {
        Integer lead = cleaned.get(tidy);
        if (lead != null) {
            return Optional.of(lead);
        }
        int spelling = tokens.spellings().find(tidy);
        return spelling < 0 || keywordOfSpelling[spelling] < 0
                ? Optional.empty()
                : Optional.of(keywordOfSpelling[spelling]);
    }

    /** The keyword that this tidy text is a spelling of, or would be folded into if a list had it. */
    public Optional<Integer> meant(String tidy) {
        return find(tidy).or(() -> Optional.of(meant().find(tidy)).filter(keyword -> keyword != KeywordLookup.NONE));
    }

    private KeywordLookup meant() {
        KeywordLookup known = meant;
        if (known == null) {
            // Two that are made side by side know the same.
            known = new KeywordLookup(folded(), folding);
            meant = known;
        }
        return known;
    }

    /** The tidy spellings, but some texts themselves, of the keywords that have these texts for their lead spellings. */
    public List<String> otherSpellings(List<String> texts) {
        Set<String> named = new HashSet<>(texts);
        return texts.stream()
                .flatMap(text -> find(text).stream())
                .flatMap(keyword -> tidyTexts(keyword).stream())
                .filter(spelling -> !named.contains(spelling))
                .distinct()
                .toList();
    }

    /** The tidy texts that were folded into the keyword, its lines' and not cleaned, in the order in which they were met. */
    public List<String> tidyTexts(int keyword) {
        return IntStream.range(0, lines.length(keyword))
                .map(place -> spelling(keyword, place))
                .distinct()
                .mapToObj(tokens.spellings()::text)
                .toList();
    }

    /** Whether this tidy text leads the keyword. */
    public boolean leads(int keyword, String tidy) {
        return tokens.spellings().text(leadSpellings[keyword]).equals(tidy);
    }

    /** The spelling that leads. */
    int leadOf(int keyword) {
        return leadSpellings[keyword];
    }

    /** What they were folded from. */
    Prepared prepared() {
        return prepared;
    }

    private int spelling(int keyword, int place) {
        return tokens.spellings().ofLine()[lines.get(keyword, place)];
    }

    /** Hands each spelling of the keyword to the action, one that stands in several lines as often. */
    void forEachSpelling(int keyword, IntConsumer action) {
        for (int place = 0; place < lines.length(keyword); place++) {
            action.accept(spelling(keyword, place));
        }
    }

    /** What decided that they are these. */
    public Folding folding() {
        return folding;
    }

    /** All distinct words; their numbers are those in {@link #words()}. */
    public TextDictionary vocabulary() {
        return vocabulary;
    }

    /** The words of each keyword in the order in which they stand. */
    public RaggedInts words() {
        return words;
    }

    /** The words as the project folds them, worked out when first asked for. */
    public FoldedWords folded() {
        FoldedWords known = folded;
        if (known == null) {
            synchronized (this) {
                known = folded;
                if (known == null) {
                    known = FoldedWords.of(WordFolds.of(tokens, folding), vocabulary, words);
                    folded = known;
                }
            }
        }
        return known;
    }

    /** The keywords that have this word, or these words next to each other in this order. */
    public BitSet withWord(String word) {
        return folded().find(word).map(folded()::together).orElseGet(() -> new BitSet(size()));
    }

    /** The keywords of which some line is in a basket of this name. */
    public BitSet inBasket(String name) {
        BitSet found = new BitSet(size());
        BitSet wanted = places(Set.of(name));
        for (int keyword = 0; keyword < size(); keyword++) {
            for (int i = 0; i < lines.length(keyword); i++) {
                if (wanted.get(places.basket(lines.get(keyword, i)))) {
                    found.set(keyword);
                    break;
                }
            }
        }
        return found;
    }

    /** The places of the baskets that the keyword is in, among {@link #baskets()}. */
    public BitSet basketPlaces(int keyword) {
        BitSet places = new BitSet(baskets.size());
        addBasketPlaces(keyword, places);
        return places;
    }

    void addBasketPlaces(int keyword, BitSet places) {
        for (int i = 0; i < lines.length(keyword); i++) {
            places.set(this.places.basket(lines.get(keyword, i)));
        }
    }

    /** The places of the baskets of these names. */
    public BitSet places(Set<String> names) {
        BitSet places = new BitSet(baskets.size());
        for (int place = 0; place < baskets.size(); place++) {
            places.set(place, names.contains(baskets.get(place).name()));
        }
        return places;
    }

    /**
     * What is a number and follows from the keywords alone.
     *
     * @throws IllegalArgumentException for anything else
     */
    public Numbers numbers(Fact fact) {
        return KeywordNumbers.of(this, fact);
    }

    /** Words of the lead spelling as ad platforms count them: what stands between spaces. */
    public int wordCount(int keyword) {
        String text = leads[keyword];
        int count = 1;
        for (int i = 0; i < text.length(); i++) {
            count += text.charAt(i) == ' ' ? 1 : 0;
        }
        return count;
    }

    /** In how many baskets the keyword is. */
    public int basketCount(int keyword) {
        return basketCounts[keyword];
    }

    /** How many lines were folded into the keyword, itself included; at least 1. */
    public int lineCount(int keyword) {
        return lines.length(keyword);
    }

    /** Every line of the keyword, in the order of the baskets and of their lines. */
    public List<Occurrence> occurrences(int keyword) {
        List<Occurrence> found = new ArrayList<>();
        lines.forEach(keyword, line -> {
            int place = places.basket(line);
            Lines basket = baskets.get(place);
            int row = places.row(line, place);
            found.add(new Occurrence(basket.basket(), basket.name(), row, basket.lineNumber(row), basket.text(row)));
        });
        return found;
    }

    /** Hands the text of every row of the baskets to the action, as it came. */
    public void forEachLine(Consumer<String> action) {
        for (Lines basket : baskets) {
            for (int row = 0; row < basket.size(); row++) {
                action.accept(basket.text(row));
            }
        }
    }

    /** The distinct texts that were folded into the keyword, in the order in which they were met. */
    public List<String> spellings(int keyword) {
        return distinct(keyword, (basket, row) -> basket.text(row));
    }

    /** The names of the baskets that the keyword is in, in their order. */
    public List<String> basketNames(int keyword) {
        return distinct(keyword, (basket, row) -> basket.name());
    }

    /** What is told of the lines of a keyword, each text once; most have one line or few, and there are millions of them. */
    private List<String> distinct(int keyword, BiFunction<Lines, Integer, String> told) {
        if (lines.length(keyword) == 1) {
            return List.of(told(lines.get(keyword, 0), told));
        }
        List<String> texts = new ArrayList<>(2);
        Set<String> seen = lines.length(keyword) > FEW_LINES ? new HashSet<>() : Set.of();
        lines.forEach(keyword, line -> {
            String text = told(line, told);
            if (lines.length(keyword) > FEW_LINES ? seen.add(text) : !texts.contains(text)) {
                texts.add(text);
            }
        });
        return List.copyOf(texts);
    }

    private String told(int line, BiFunction<Lines, Integer, String> told) {
        int place = places.basket(line);
        return told.apply(baskets.get(place), places.row(line, place));
    }

    private static final int FEW_LINES = 16;

    /** The basket that a line is of. */
    public Optional<Lines> basket(Occurrence occurrence) {
        return baskets.stream().filter(b -> b.basket() == occurrence.basket()).findFirst();
    }

    /** What a basket says of a figure at one line; empty if the basket has no such column or the cell is empty. */
    public Optional<FigureColumn> figureAt(Occurrence occurrence, Figure figure) {
        return basket(occurrence).flatMap(b -> b.figure(figure)).filter(column -> column.known(occurrence.row()));
    }

    /** What is searched of a keyword in each month that some list tells, the most that a line of it says; by month. */
    public SortedMap<YearMonth, Integer> months(int keyword) {
        SortedMap<YearMonth, Integer> months = new TreeMap<>();
        lines.forEach(keyword, line -> {
            int place = places.basket(line);
            for (MonthColumn column : baskets.get(place).months()) {
                column.month().ifPresent(month -> column.searches(places.row(line, place))
                        .ifPresent(searches -> months.merge(month, searches, Math::max)));
            }
        });
        return months;
    }

    /** The texts that a line has in the columns of a role, from the left, if its basket is of this kind. */
    public List<String> textsAt(Occurrence occurrence, BasketInfo.Kind kind, ColumnRole role) {
        return baskets.stream()
                .filter(lines ->
                        lines.basket() == occurrence.basket() && lines.info().kind() == kind)
                .flatMap(lines -> lines.texts(role).stream())
                .map(column -> column.text(occurrence.row()))
                .filter(text -> !text.isEmpty())
                .toList();
    }

    /** The merged column of a figure; empty if no basket has it. */
    public Optional<FigureColumn> figure(Figure figure) {
        return Optional.ofNullable(figures.get(figure));
    }

    /** Whether a stand-in for a service has made a figure of any keyword up. */
    public boolean simulated() {
        return baskets.stream().anyMatch(Lines::tellsMadeUp);
    }

    /** The figures of a keyword that a stand-in for a service has made up. */
    public Set<Figure> simulated(int keyword) {
        return simulated()
                ? figures.entrySet().stream()
                        .filter(figure -> figure.getValue().simulated(keyword))
                        .map(Map.Entry::getKey)
                        .collect(Collectors.toCollection(() -> EnumSet.noneOf(Figure.class)))
                : Set.of();
    }

    /** The baskets that were folded, in order. */
    public List<Lines> baskets() {
        return baskets;
    }

    /** Lines in use, of all baskets that bring keywords. */
    public int linesInUse() {
        return baskets.stream().filter(Lines::brings).mapToInt(Lines::size).sum();
    }

    /** Rows that are no lines: set aside by the baskets, and lines of which tidying or cleaning left nothing. */
    public int setAside() {
        return baskets.stream().mapToInt(Lines::setAside).sum()
                + tokens.spellings().nothing()
                + tokens.aside();
    }
}

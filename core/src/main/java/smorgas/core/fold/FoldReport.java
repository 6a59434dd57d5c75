package smorgas.core.fold;

import it.unimi.dsi.fastutil.ints.IntArrays;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import java.util.function.IntConsumer;
import java.util.stream.IntStream;
import smorgas.core.column.FigureColumn;
import smorgas.core.recipe.Folding;
import smorgas.core.recipe.fold.FoldKind;
import smorgas.core.text.Message;

/**
 * What each kind of folding did to some keywords or would do: the stair from lines to keywords, which kind brought a
 * spelling to its keyword, and how doubtful that is. Cannot change.
 */
public final class FoldReport {

    private final Keywords keywords;
    private final FoldKind[] kinds = FoldKind.values();
    /** Keys with no kind, and then with all kinds up to each one. */
    private final WordFolds.Keys[] keys;

    private final Spellings spellings;
    private final FoldSteps stair;

    private FoldReport(Keywords keywords) {
        this.keywords = keywords;
        this.spellings = keywords.prepared().tokens().spellings();
        Prepared prepared = keywords.prepared();
        Folding folding = keywords.folding();
        // Each way of folding is worked out by itself, so they can be worked out side by side.
        this.keys = IntStream.rangeClosed(0, kinds.length)
                .parallel()
                .mapToObj(step -> prepared.keys(folding, step == 0 ? Set.of() : upTo(kinds[step - 1], folding)))
                .toArray(WordFolds.Keys[]::new);
        this.stair = stair();
    }

    /** The report on these keywords. */
    public static FoldReport of(Keywords keywords) {
        return new FoldReport(keywords);
    }

    /** The kinds that are on up to this one; or all that are on and this one, which is not. */
    private static Set<FoldKind> upTo(FoldKind kind, Folding folding) {
        EnumSet<FoldKind> kinds = EnumSet.noneOf(FoldKind.class);
        kinds.addAll(folding.on());
        if (folding.on().contains(kind)) {
            kinds.removeIf(other -> other.compareTo(kind) > 0);
        }
        kinds.add(kind);
        return kinds;
    }

    private boolean on(FoldKind kind) {
        return keywords.folding().on().contains(kind);
    }

    private FoldSteps stair() {
        WordFolds.Keys all = keys[0];
        for (FoldKind kind : kinds) {
            all = on(kind) ? keys[kind.ordinal() + 1] : all;
        }
        List<FoldSteps.Tread> treads = new ArrayList<>();
        WordFolds.Keys before = keys[0];
        for (FoldKind kind : kinds) {
            WordFolds.Keys after = keys[kind.ordinal() + 1];
            WordFolds.Keys from = on(kind) ? before : all;
            before = on(kind) ? after : before;
            treads.add(new FoldSteps.Tread(
                    kind, on(kind), from.size() - after.size(), before.size(), samples(from, after)));
        }
        return new FoldSteps(
                keywords.linesInUse(),
                spellings.broughtCount(),
                spellings.broughtCount() - keys[0].size(),
                treads,
                keywords.size() - all.size());
    }

    private List<FoldSteps.Sample> samples(WordFolds.Keys before, WordFolds.Keys after) {
        if (before.size() == after.size()) {
            return List.of();
        }
        int[] first = new int[after.size()];
        Arrays.fill(first, Spellings.NONE);
        SamplePairs best = new SamplePairs(spellings);
        for (int spelling = 0; spelling < after.of().length; spelling++) {
            int key = after.of()[spelling];
            if (key < 0) {
                continue;
            }
            int other = first[key];
            if (other < 0) {
                first[key] = spelling;
            } else if (before.of()[other] != before.of()[spelling]) {
                best.offer(other, spelling);
            }
        }
        return best.found();
    }

    /** The stair from lines to keywords. */
    public FoldSteps steps() {
        return stair;
    }

    /** What brought a spelling to its keyword. */
    public enum By {
        /** It is the lead spelling, or differs from it in what tidying takes away. */
        TIDYING("folded-by.tidying", 0),
        /** What a cleaning of the recipe takes away or puts in. */
        CLEANING("folded-by.cleaning", 0),
        PUNCTUATION("folded-by.punctuation", .15),
        ACCENTS("folded-by.accents", .2),
        REPEATED("folded-by.repeated", .2),
        ORDER("folded-by.order", .35),
        PLURALS("folded-by.plurals", .25),
        STEMS("folded-by.stems", .6),
        JOINED("folded-by.joined", .5),
        LITTLE_WORDS("folded-by.little-words", .5),
        MISSPELLINGS("folded-by.misspellings", .7),
        HAND("folded-by.hand", 0);

        private final Message label;
        private final double doubt;

        By(String label, double doubt) {
            this.label = Message.of(label);
            this.doubt = doubt;
        }

        public Message label() {
            return label;
        }
    }

    private static final By[] BY = Arrays.stream(FoldKind.values())
            .map(kind -> By.valueOf(kind.name()))
            .toArray(By[]::new);

    /** What brought a spelling, by its tidy text, to its keyword: the first kind with which it agrees with the lead. */
    public By broughtBy(int keyword, String tidy) {
        int spelling = spellings.find(tidy);
        By by = by(spelling, keywords.leadOf(keyword));
        boolean cleaned =
                spelling >= 0 && !keywords.prepared().tokens().text(spelling).equals(spellings.text(spelling));
        return by == By.TIDYING && cleaned ? By.CLEANING : by;
    }

    private By by(int spelling, int lead) {
        if (spelling < 0 || keys[0].of()[spelling] == keys[0].of()[lead]) {
            return By.TIDYING;
        }
        for (FoldKind kind : kinds) {
            int[] of = keys[kind.ordinal() + 1].of();
            if (on(kind) && of[spelling] == of[lead]) {
                return BY[kind.ordinal()];
            }
        }
        return By.HAND;
    }

    /**
     * How much a fold set wants looking at, 0 to 1: by the boldest kind of folding in it, and more if its spellings have
     * searches that differ by two times and more, for planners give close variants one figure (common practice).
     */
    public double doubt(int keyword) {
        Doubt doubt = new Doubt(keywords.leadOf(keyword));
        keywords.forEachSpelling(keyword, doubt);
        return doubt.of();
    }

    /** Looks at the spellings of one keyword. */
    private final class Doubt implements IntConsumer {
        private final int lead;
        private double most;
        private long least = Long.MAX_VALUE;
        private long largest;

        Doubt(int lead) {
            this.lead = lead;
        }

        @Override
        public void accept(int spelling) {
            if (spelling != lead) {
                most = Math.max(most, by(spelling, lead).doubt);
            }
            long searches = spellings.twiceSearches(spelling);
            if (searches != FigureColumn.UNKNOWN) {
                least = Math.min(least, searches);
                largest = Math.max(largest, searches);
            }
        }

        double of() {
            return most == 0 ? 0 : most + (largest >= 2 * least && largest > least ? .3 : 0);
        }
    }

    /** The keywords with more than one line, most doubtful first, of equal doubt those with most lines. */
    public int[] doubtfulFirst() {
        double[] doubts = new double[keywords.size()];
        int[] sets = IntStream.range(0, keywords.size())
                .filter(keyword -> keywords.lineCount(keyword) > 1)
                .toArray();
        for (int keyword : sets) {
            doubts[keyword] = doubt(keyword);
        }
        IntArrays.quickSort(sets, (a, b) -> {
            int byDoubt = Double.compare(doubts[b], doubts[a]);
            if (byDoubt != 0) {
                return byDoubt;
            }
            int byLines = Integer.compare(keywords.lineCount(b), keywords.lineCount(a));
            return byLines != 0 ? byLines : keywords.text(a).compareTo(keywords.text(b));
        });
        return sets;
    }
}

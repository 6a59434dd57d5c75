package smorgas.core.group.themes;

import it.unimi.dsi.fastutil.ints.IntArrayList;
import it.unimi.dsi.fastutil.ints.IntArrays;
import it.unimi.dsi.fastutil.longs.Long2IntOpenHashMap;
import it.unimi.dsi.fastutil.longs.LongArrayList;
import it.unimi.dsi.fastutil.longs.LongArrays;
import java.util.Arrays;
import java.util.List;
import java.util.Set;
import smorgas.core.column.RaggedInts;
import smorgas.core.group.engine.ThemeWords;
import smorgas.core.recipe.group.GroupSettings;
import smorgas.core.recipe.group.GroupSettings.StopAt;
import smorgas.core.recipe.group.Pass;

/**
 * The themes on which groups may form: runs of words that stand next to each other, or sets of words in any order, in at
 * least as many keywords as the smallest group has. A theme can only be frequent if the one without its last word is
 * (Agrawal and Srikant 1994), so rare ones are never extended: runs grow length by length, sets depth first.
 *
 * <p>This file and {@link FrequentSets} are written for speed: a theme of n words is the pair of its first n - 1 and its last word.
 */
public final class Candidates {

    private static final int NONE = -1;

    private final ThemeWords words;
    private final ScopeWords in;
    private final long[] estimatedValue;
    private final Pass pass;
    private final boolean[] begins;
    private final boolean[] ends;
    private final boolean[] holds;

    private final Long2IntOpenHashMap themes = new Long2IntOpenHashMap();
    private final IntArrayList parents = new IntArrayList();
    private final IntArrayList lastWords = new IntArrayList();
    /** The last word of each theme, -1 if it stands in the theme before. */
    private final IntArrayList fresh = new IntArrayList();

    private final IntArrayList lengths = new IntArrayList();
    private final IntArrayList counts = new IntArrayList();
    /** The worth of the keywords of each theme. */
    private final LongArrayList ranks = new LongArrayList();

    private final IntArrayList lastSeenIn = new IntArrayList();

    private int[] byRank = {};
    private final RaggedInts of;

    /**
     * Finds the themes.
     *
     * @param in the words of the keywords to be grouped
     * @param estimatedValue of each of these, as {@link RankWeights} gives it
     * @param mostWords of more words in a keyword only the first so many are put into sets
     */
    public Candidates(ScopeWords in, long[] estimatedValue, GroupSettings settings, Pass pass, int mostWords) {
        this.words = in.words();
        this.in = in;
        this.estimatedValue = estimatedValue;
        this.pass = pass;
        Set<StopAt> stopAt = settings.stopAt();
        this.begins = new boolean[words.size()];
        this.ends = new boolean[words.size()];
        this.holds = new boolean[words.size()];
        for (int w = 0; w < words.size(); w++) {
            boolean says = !words.ignored(w);
            boolean stop = words.stop(w);
            if (pass.anyOrder()) {
                holds[w] = says && !words.fragment(w) && !(stop && !stopAt.isEmpty());
                begins[w] = holds[w];
                ends[w] = holds[w];
            } else {
                holds[w] = says && !(stop && stopAt.contains(StopAt.WITHIN));
                begins[w] = says && !words.fragment(w) && !(stop && stopAt.contains(StopAt.BEGIN));
                ends[w] = says && !words.fragment(w) && !(stop && stopAt.contains(StopAt.END));
            }
        }
        themes.defaultReturnValue(NONE);
        of = pass.anyOrder() ? sets(mostWords) : runs();
    }

    /** Finds the runs and numbers them; the runs of each keyword by their numbers. */
    private RaggedInts runs() {
        int[] scope = in.scope();
        int[] firstToken = new int[scope.length + 1];
        RaggedInts rows = words.rows();
        for (int i = 0; i < scope.length; i++) {
            firstToken[i + 1] = firstToken[i] + rows.length(scope[i]);
        }
        int[][] at = new int[pass.longest()][];
        for (int length = 1; length <= pass.longest(); length++) {
            at[length - 1] = extendRuns(length, length == 1 ? new int[0] : at[length - 2], firstToken);
        }
        int[] numbers = number();
        return RaggedInts.made(scope.length, (i, row) -> {
            for (int[] level : at) {
                for (int token = firstToken[i]; token < firstToken[i + 1]; token++) {
                    int run = level[token];
                    if (run != NONE && numbers[run] != NONE && firstHere(level, firstToken[i], token)) {
                        row.add(numbers[run]);
                    }
                }
            }
        });
    }

    private static boolean firstHere(int[] level, int from, int token) {
        for (int before = from; before < token; before++) {
            if (level[before] == level[token]) {
                return false;
            }
        }
        return true;
    }

    private int[] extendRuns(int length, int[] shorter, int[] firstToken) {
        int[] scope = in.scope();
        RaggedInts rows = words.rows();
        int[] here = new int[firstToken[scope.length]];
        Arrays.fill(here, NONE);
        for (int i = 0; i < scope.length; i++) {
            for (int token = firstToken[i]; token + length <= firstToken[i + 1]; token++) {
                int last = rows.get(scope[i], token - firstToken[i] + length - 1);
                int parent = length == 1 ? NONE : shorter[token];
                boolean goesOn = length == 1
                        ? begins[last]
                        : parent != NONE && counts.getInt(parent) >= pass.smallest() && (holds[last] || ends[last]);
                if (goesOn) {
                    here[token] = count(parent, last, length, i);
                }
            }
        }
        return here;
    }

    /** Finds the frequent sets and numbers them; the sets of each keyword by their numbers. */
    private RaggedInts sets(int mostWords) {
        FrequentSets sets = FrequentSets.of(in, holds, estimatedValue, pass, mostWords);
        for (IntArrayList list : List.of(parents, lastWords, fresh, lengths, counts)) {
            list.ensureCapacity(sets.size());
        }
        ranks.ensureCapacity(sets.size());
        sets.forEach(this::add);
        int[] numbers = number();
        return RaggedInts.made(sets.size(), sets::addKeywords).inverse(in.size(), numbers);
    }

    /** A theme that is not known yet. */
    private void add(int parent, int last, int length, int count, long rank) {
        parents.add(parent);
        lastWords.add(last);
        lengths.add(length);
        counts.add(count);
        ranks.add(rank);
        boolean before = false;
        for (int at = parent; at != NONE && !before; at = parents.getInt(at)) {
            before = lastWords.getInt(at) == last;
        }
        fresh.add(before ? NONE : last);
    }

    private int count(int parent, int last, int length, int seenIn) {
        long key = ((long) parent + 1) << 32 | last;
        int theme = themes.get(key);
        if (theme == NONE) {
            theme = counts.size();
            themes.put(key, theme);
            add(parent, last, length, 0, 0);
            lastSeenIn.add(NONE);
        }
        if (lastSeenIn.getInt(theme) != seenIn) {
            lastSeenIn.set(theme, seenIn);
            counts.set(theme, counts.getInt(theme) + 1);
            ranks.set(theme, ranks.getLong(theme) + estimatedValue[seenIn]);
        }
        return theme;
    }

    /**
     * The themes that may be one are numbered by rank: the worth of their keywords, of equal ones the longer, of these by
     * their words, never by the order in which keywords came. Back come the numbers, -1 for what may be none.
     */
    private int[] number() {
        IntArrayList candidates = new IntArrayList();
        for (int theme = 0; theme < counts.size(); theme++) {
            if (lengths.getInt(theme) >= pass.shortest()
                    && counts.getInt(theme) >= pass.smallest()
                    && ends[lastWords.getInt(theme)]) {
                candidates.add(theme);
            }
        }
        int[] sorted = candidates.toIntArray();
        if (!pass.anyOrder()) {
            // Sets are found in the order of their words, runs as they come.
            int[][] byTheme = new int[counts.size()][];
            candidates.forEach(theme -> byTheme[theme] = wordsOf(theme));
            IntArrays.parallelQuickSort(sorted, (a, b) -> Arrays.compare(byTheme[a], byTheme[b]));
        }
        int[] places = new int[sorted.length];
        long[] smallerFirst = new long[sorted.length];
        for (int at = 0; at < sorted.length; at++) {
            places[at] = at;
            smallerFirst[at] = -(ranks.getLong(sorted[at]) * (Pass.LONGEST + 1) + lengths.getInt(sorted[at]));
        }
        LongArrays.parallelRadixSortIndirect(places, smallerFirst, true);
        byRank = Arrays.stream(places).map(at -> sorted[at]).toArray();
        int[] rankOf = new int[counts.size()];
        Arrays.fill(rankOf, NONE);
        for (int number = 0; number < byRank.length; number++) {
            rankOf[byRank[number]] = number;
        }
        return rankOf;
    }

    private int[] wordsOf(int theme) {
        int[] parts = new int[lengths.getInt(theme)];
        for (int place = parts.length - 1, at = theme; place >= 0; place--) {
            parts[place] = lastWords.getInt(at);
            at = parents.getInt(at);
        }
        return parts;
    }

    /** How many there are; they are numbered from 0, the one of the highest rank. */
    public int size() {
        return byRank.length;
    }

    /** The words of a theme: of a run in their order, of a set in the order of their numbers. */
    public int[] words(int candidate) {
        return wordsOf(byRank[candidate]);
    }

    /** What the distinct words of each candidate weigh together. */
    public double[] weigh(double[] weights) {
        // The theme without its last word was found before.
        double[] sums = new double[counts.size()];
        for (int theme = 0; theme < sums.length; theme++) {
            int parent = parents.getInt(theme);
            int word = fresh.getInt(theme);
            sums[theme] = (parent == NONE ? 0 : sums[parent]) + (word == NONE ? 0 : weights[word]);
        }
        double[] byNumber = new double[byRank.length];
        Arrays.setAll(byNumber, number -> sums[byRank[number]]);
        return byNumber;
    }

    /** In how many keywords of the scope the theme stands. */
    public int members(int candidate) {
        return counts.getInt(byRank[candidate]);
    }

    /** The themes of each keyword of the scope, once each. */
    public RaggedInts of() {
        return of;
    }
}

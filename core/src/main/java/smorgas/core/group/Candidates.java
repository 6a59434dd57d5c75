package smorgas.core.group;

import it.unimi.dsi.fastutil.ints.IntArrayList;
import it.unimi.dsi.fastutil.ints.IntArrays;
import it.unimi.dsi.fastutil.longs.Long2IntOpenHashMap;
import it.unimi.dsi.fastutil.longs.LongArrayList;
import it.unimi.dsi.fastutil.longs.LongArrays;
import java.util.Arrays;
import java.util.Set;
import java.util.SortedMap;
import java.util.concurrent.ConcurrentSkipListMap;
import java.util.function.Consumer;
import smorgas.core.column.Cores;
import smorgas.core.column.RaggedInts;
import smorgas.core.recipe.GroupSettings;
import smorgas.core.recipe.GroupSettings.StopAt;
import smorgas.core.recipe.Pass;

/**
 * The themes on which groups may form: runs of words that stand next to each other, or sets of words in any order, in at
 * least as many keywords as the smallest group has. A theme can only be frequent if the one without its last word is
 * (Agrawal and Srikant 1994), so rare ones are never extended: runs grow length by length, sets depth first.
 *
 * <p>This file is written for speed: a theme of n words is the pair of its first n - 1 and its last word.
 */
final class Candidates {

    /** Of more words in a keyword only the first so many are put into sets: eighty words have millions of them. */
    private static final int MOST_WORDS_OF_SETS = 12;

    private static final int NONE = -1;

    private final ThemeWords words;
    private final int[] scope;
    private final long[] worth;
    private final Pass pass;
    private final boolean[] begins;
    private final boolean[] ends;
    private final boolean[] holds;

    private final Long2IntOpenHashMap themes = new Long2IntOpenHashMap();
    private final IntArrayList parents = new IntArrayList();
    private final IntArrayList lastWords = new IntArrayList();
    private final IntArrayList lengths = new IntArrayList();
    private final IntArrayList counts = new IntArrayList();
    /** The worth of the keywords of each theme. */
    private final LongArrayList ranks = new LongArrayList();

    private final IntArrayList lastSeenIn = new IntArrayList();

    private int[] byRank = {};
    private int[][] wordsByRank = {};
    private final RaggedInts of;

    /**
     * Finds the themes.
     *
     * @param scope the keywords to be grouped, rising
     * @param worth of each of them, as {@link Worth} gives it
     */
    Candidates(ThemeWords words, int[] scope, long[] worth, GroupSettings settings, Pass pass) {
        this.words = words;
        this.scope = scope;
        this.worth = worth;
        this.pass = pass;
        Set<StopAt> stopAt = settings.stopAt();
        this.begins = new boolean[words.size()];
        this.ends = new boolean[words.size()];
        this.holds = new boolean[words.size()];
        for (int w = 0; w < words.size(); w++) {
            boolean in = !words.muted(w);
            boolean stop = words.stop(w);
            if (pass.anyOrder()) {
                holds[w] = in && !words.fragment(w) && !(stop && !stopAt.isEmpty());
                begins[w] = holds[w];
                ends[w] = holds[w];
            } else {
                holds[w] = in && !(stop && stopAt.contains(StopAt.WITHIN));
                begins[w] = in && !words.fragment(w) && !(stop && stopAt.contains(StopAt.BEGIN));
                ends[w] = in && !words.fragment(w) && !(stop && stopAt.contains(StopAt.END));
            }
        }
        themes.defaultReturnValue(NONE);
        of = RaggedInts.scattered(scope.length, pass.anyOrder() ? sets() : runs());
    }

    /** Finds the runs and numbers them; gives those of each keyword by their numbers. */
    private Consumer<RaggedInts.Sink> runs() {
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
        return sink -> {
            for (int i = 0; i < scope.length; i++) {
                for (int[] level : at) {
                    for (int token = firstToken[i]; token < firstToken[i + 1]; token++) {
                        int run = level[token];
                        if (run != NONE && numbers[run] != NONE && firstHere(level, firstToken[i], token)) {
                            sink.add(i, numbers[run]);
                        }
                    }
                }
            }
        };
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

    /**
     * Finds the frequent sets depth first, for the keywords of a set are looked through for what they share, and numbers
     * them; gives those of each keyword by their numbers.
     */
    private Consumer<RaggedInts.Sink> sets() {
        RaggedInts items = frequentItems();
        RaggedInts having = items.inverse(words.size());
        SortedMap<Integer, Extensions> parts = new ConcurrentSkipListMap<>();
        Cores.run(words.size(), (from, to) -> {
            Extensions extensions = new Extensions(items);
            for (int word = from; word < to; word++) {
                if (having.length(word) >= pass.smallest()) {
                    extensions.begin(word, having.row(word));
                }
            }
            parts.put(from, extensions);
        });
        parts.values().forEach(Extensions::append);
        int[] numbers = number();
        return sink -> parts.values().forEach(part -> part.give(numbers, sink));
    }

    /** Grows sets by one word at a time and keeps which keywords have them. */
    private final class Extensions {
        private final RaggedInts items;
        private final int[] counted = new int[words.size()];
        private final int[] next = new int[words.size()];
        private final IntArrayList parentsHere = new IntArrayList();
        private final IntArrayList lastWordsHere = new IntArrayList();
        private final IntArrayList lengthsHere = new IntArrayList();
        private final IntArrayList countsHere = new IntArrayList();
        private final LongArrayList ranksHere = new LongArrayList();
        /** The keywords of the sets, set after set. */
        private final IntArrayList keywordsHere = new IntArrayList();
        /** The number of the first set of this part among all. */
        private int first;

        Extensions(RaggedInts items) {
            this.items = items;
        }

        /** The frequent sets whose first word is this one, which these keywords have. */
        void begin(int word, int[] in) {
            int[] places = new int[in.length];
            for (int h = 0; h < in.length; h++) {
                int place = 0;
                while (items.get(in[h], place) != word) {
                    place++;
                }
                places[h] = place;
            }
            add(NONE, word, 1, in, places, 0, in.length);
        }

        /** A frequent set; its keywords, and in each the place of its last word, are a stretch of two arrays. */
        private void add(int parent, int last, int length, int[] in, int[] places, int from, int to) {
            int set = countsHere.size();
            long rank = 0;
            parentsHere.add(parent);
            lastWordsHere.add(last);
            lengthsHere.add(length);
            countsHere.add(to - from);
            for (int h = from; h < to; h++) {
                rank += worth[in[h]];
            }
            keywordsHere.addElements(keywordsHere.size(), in, from, to - from);
            ranksHere.add(rank);
            if (length < pass.longest()) {
                extend(set, length, in, places, from, to);
            }
        }

        private void extend(int set, int length, int[] in, int[] places, int from, int to) {
            int[] touched = count(in, places, from, to);
            int frequent = 0;
            for (int word : touched) {
                if (counted[word] >= pass.smallest()) {
                    touched[frequent++] = word;
                } else {
                    next[word] = NONE;
                    counted[word] = 0;
                }
            }
            if (frequent == 0) {
                return;
            }
            // Sets are found in the order of their words.
            Arrays.sort(touched, 0, frequent);
            int[] starts = new int[frequent + 1];
            for (int f = 0; f < frequent; f++) {
                int word = touched[f];
                next[word] = starts[f];
                starts[f + 1] = starts[f] + counted[word];
                counted[word] = 0;
            }
            int total = starts[frequent];
            int[] further = new int[total];
            int[] furtherPlaces = new int[total];
            for (int h = from; h < to; h++) {
                for (int p = places[h] + 1; p < items.length(in[h]); p++) {
                    int word = items.get(in[h], p);
                    if (next[word] != NONE) {
                        further[next[word]] = in[h];
                        furtherPlaces[next[word]++] = p;
                    }
                }
            }
            for (int f = 0; f < frequent; f++) {
                add(set, touched[f], length + 1, further, furtherPlaces, starts[f], starts[f + 1]);
            }
        }

        /** Counts the words behind; the words that were met at all. */
        private int[] count(int[] in, int[] places, int from, int to) {
            int[] touched = new int[16];
            int size = 0;
            for (int h = from; h < to; h++) {
                for (int p = places[h] + 1; p < items.length(in[h]); p++) {
                    int word = items.get(in[h], p);
                    if (counted[word]++ == 0) {
                        touched = size == touched.length ? Arrays.copyOf(touched, 2 * size) : touched;
                        touched[size++] = word;
                    }
                }
            }
            return Arrays.copyOf(touched, size);
        }

        /** Adds what was found behind what is found already. */
        void append() {
            first = counts.size();
            for (int i = 0; i < parentsHere.size(); i++) {
                int parent = parentsHere.getInt(i);
                parents.add(parent == NONE ? NONE : first + parent);
            }
            lastWords.addAll(lastWordsHere);
            lengths.addAll(lengthsHere);
            counts.addAll(countsHere);
            ranks.addAll(ranksHere);
        }

        /** Gives the keywords of the sets found here, those of sets that have a number. */
        void give(int[] numbers, RaggedInts.Sink sink) {
            int[] keywords = keywordsHere.elements();
            int from = 0;
            for (int set = 0; set < countsHere.size(); set++) {
                int to = from + countsHere.getInt(set);
                int number = numbers[first + set];
                for (int at = from; number != NONE && at < to; at++) {
                    sink.add(keywords[at], number);
                }
                from = to;
            }
        }
    }

    /** The distinct words of each keyword that can be in a frequent set, by their numbers. */
    private RaggedInts frequentItems() {
        RaggedInts rows = words.rows();
        int[] df = new int[words.size()];
        int[] lastSeen = new int[words.size()];
        Arrays.fill(lastSeen, NONE);
        for (int keyword : scope) {
            for (int t = rows.length(keyword) - 1; t >= 0; t--) {
                int word = rows.get(keyword, t);
                df[word] += lastSeen[word] == keyword ? 0 : 1;
                lastSeen[word] = keyword;
            }
        }
        RaggedInts.Builder items = new RaggedInts.Builder();
        int[] row = new int[MOST_WORDS_OF_SETS];
        for (int keyword : scope) {
            int size = 0;
            for (int t = 0; t < rows.length(keyword) && size < MOST_WORDS_OF_SETS; t++) {
                int word = rows.get(keyword, t);
                if (holds[word] && df[word] >= pass.smallest()) {
                    row[size++] = word;
                }
            }
            Arrays.sort(row, 0, size);
            for (int p = 0; p < size; p++) {
                if (p == 0 || row[p] != row[p - 1]) {
                    items.add(row[p]);
                }
            }
            items.endRow();
        }
        return items.seal();
    }

    private int count(int parent, int last, int length, int seenIn) {
        long key = ((long) parent + 1) << 32 | last;
        int theme = themes.get(key);
        if (theme == NONE) {
            theme = counts.size();
            themes.put(key, theme);
            parents.add(parent);
            lastWords.add(last);
            lengths.add(length);
            counts.add(0);
            ranks.add(0);
            lastSeenIn.add(NONE);
        }
        if (lastSeenIn.getInt(theme) != seenIn) {
            lastSeenIn.set(theme, seenIn);
            counts.set(theme, counts.getInt(theme) + 1);
            ranks.set(theme, ranks.getLong(theme) + worth[seenIn]);
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
        int[][] byTheme = new int[counts.size()][];
        for (int theme : sorted) {
            byTheme[theme] = wordsOf(theme);
        }
        if (!pass.anyOrder()) {
            // Sets are found in the order of their words, runs as they come.
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
        wordsByRank = Arrays.stream(byRank).mapToObj(theme -> byTheme[theme]).toArray(int[][]::new);
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
    int size() {
        return byRank.length;
    }

    /** The words of a theme: of a run in their order, of a set in the order of their numbers; not to be changed. */
    int[] words(int candidate) {
        return wordsByRank[candidate];
    }

    /** In how many keywords of the scope the theme stands. */
    int members(int candidate) {
        return counts.getInt(byRank[candidate]);
    }

    int length(int candidate) {
        return lengths.getInt(byRank[candidate]);
    }

    /** The themes of each keyword of the scope, once each. */
    RaggedInts of() {
        return of;
    }
}

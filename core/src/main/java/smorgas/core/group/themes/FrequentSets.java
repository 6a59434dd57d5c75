package smorgas.core.group.themes;

import it.unimi.dsi.fastutil.ints.IntArrayList;
import it.unimi.dsi.fastutil.longs.LongArrayList;
import java.util.Arrays;
import java.util.SortedMap;
import java.util.concurrent.ConcurrentSkipListMap;
import java.util.stream.IntStream;
import smorgas.core.column.Cores;
import smorgas.core.column.RaggedInts;
import smorgas.core.recipe.group.Pass;

/**
 * The sets of words that enough keywords have, found depth first, for the keywords of a set are looked through for what
 * they share. A set is numbered after those whose words come before its own.
 *
 * <p>This file is written for speed: what the keywords of a word have behind it is copied to one place first, so that all
 * sets that begin with the word are found in what is near.
 */
final class FrequentSets {

    /** Of fewer words one core finds all sets. */
    private static final int FEW_WORDS = 1_000;

    private static final int NONE = -1;

    private final ScopeWords in;
    private final long[] estimatedValue;
    private final Pass pass;
    /** The words that a set may hold, rising. */
    private final int[] words;
    /** The places in {@link #words} of the words of each keyword, rising. */
    private final RaggedInts items;

    private final Part[] parts;
    /** The number of the first set of each part. */
    private final int[] firsts;

    /** Takes the sets in the order of their numbers. */
    @FunctionalInterface
    interface Visitor {
        /**
         * Takes a set.
         *
         * @param parent the number of the set without its last word, -1 if it has one word only
         * @param last its last word
         * @param length how many words it has
         * @param count how many keywords have it
         * @param rank what these are worth
         */
        void visit(int parent, int last, int length, int count, long rank);
    }

    private FrequentSets(ScopeWords in, boolean[] holds, long[] estimatedValue, Pass pass, int mostWords) {
        this.in = in;
        this.estimatedValue = estimatedValue;
        this.pass = pass;
        this.words = IntStream.range(0, holds.length)
                .filter(word -> holds[word] && in.having().length(word) >= pass.smallest())
                .toArray();
        int[] placeOf = new int[holds.length];
        Arrays.fill(placeOf, NONE);
        for (int place = 0; place < words.length; place++) {
            placeOf[words[place]] = place;
        }
        this.items = RaggedInts.made(in.size(), (i, row) -> {
            int from = row.size();
            for (int at = 0; at < in.distinct().length(i) && row.size() - from < mostWords; at++) {
                int place = placeOf[in.distinct().get(i, at)];
                if (place != NONE) {
                    row.add(place);
                }
            }
            Arrays.sort(row.elements(), from, row.size());
        });
        SortedMap<Integer, Part> found = new ConcurrentSkipListMap<>();
        Cores.run(words.length, FEW_WORDS, (from, to) -> {
            Part part = new Part();
            for (int word = from; word < to; word++) {
                part.begin(word);
            }
            found.put(from, part);
        });
        this.parts = found.values().toArray(Part[]::new);
        this.firsts = new int[parts.length];
        for (int part = 1; part < parts.length; part++) {
            firsts[part] = firsts[part - 1] + parts[part - 1].size();
        }
    }

    /**
     * Finds the sets.
     *
     * @param holds whether a set may hold each word
     * @param estimatedValue of each keyword
     * @param mostWords of each keyword that are put into sets
     * @param pass says how many keywords a set needs and how many words it may have
     */
    static FrequentSets of(ScopeWords in, boolean[] holds, long[] estimatedValue, Pass pass, int mostWords) {
        return new FrequentSets(in, holds, estimatedValue, pass, mostWords);
    }

    int size() {
        return firsts[parts.length - 1] + parts[parts.length - 1].size();
    }

    void forEach(Visitor visitor) {
        for (int p = 0; p < parts.length; p++) {
            Part part = parts[p];
            for (int set = 0; set < part.size(); set++) {
                int parent = part.parents.getInt(set);
                visitor.visit(
                        parent == NONE ? NONE : firsts[p] + parent,
                        words[part.lastWords.getInt(set)],
                        part.lengths.getInt(set),
                        part.count(set),
                        part.ranks.getLong(set));
            }
        }
    }

    /** Adds the keywords of a set, by their places in the scope, rising. */
    void addKeywords(int set, IntArrayList row) {
        int part = Arrays.binarySearch(firsts, set);
        part = part < 0 ? -part - 2 : part;
        // Of parts without a set the first number is also that of the next part.
        while (set - firsts[part] >= parts[part].size()) {
            part++;
        }
        parts[part].addKeywords(set - firsts[part], row);
    }

    /** The sets whose first word is one of some. */
    private final class Part {
        /** In how many keywords a word is; of a frequent one, for a while, its place among these, from -1 down. */
        private final int[] counted = new int[words.length];

        private final IntArrayList parents = new IntArrayList();
        private final IntArrayList lastWords = new IntArrayList();
        private final IntArrayList lengths = new IntArrayList();
        private final LongArrayList ranks = new LongArrayList();
        /** The keywords of the sets, set after set, and where those of each end. */
        private final IntArrayList keywords = new IntArrayList();

        private final IntArrayList ends = new IntArrayList();

        /** Of the first word that is being looked at: its keywords, what each is worth, and its words behind the first. */
        private int[] having = {};

        private long[] estimatedValues = {};
        private int[] behind = {};
        private int[] behindEnds = {};

        int size() {
            return ends.size();
        }

        int count(int set) {
            return ends.getInt(set) - from(set);
        }

        private int from(int set) {
            return set == 0 ? 0 : ends.getInt(set - 1);
        }

        void addKeywords(int set, IntArrayList row) {
            row.addElements(row.size(), keywords.elements(), from(set), count(set));
        }

        /** The sets whose first word is this one. */
        void begin(int word) {
            int[] keywordsOf = in.having().row(words[word]);
            int length = keywordsOf.length;
            having = new int[length];
            estimatedValues = new long[length];
            behindEnds = new int[length];
            IntArrayList rest = new IntArrayList(4 * length);
            int size = 0;
            for (int h = 0; h < length; h++) {
                int i = keywordsOf[h];
                int place = place(i, word);
                // A long keyword may have the word among those that no longer count.
                if (place != NONE) {
                    for (int p = place + 1; p < items.length(i); p++) {
                        rest.add(items.get(i, p));
                    }
                    having[size] = i;
                    estimatedValues[size] = estimatedValue[i];
                    behindEnds[size++] = rest.size();
                }
            }
            behind = rest.elements();
            if (size >= pass.smallest()) {
                int[] rows = new int[size];
                int[] starts = new int[size];
                for (int row = 0; row < size; row++) {
                    rows[row] = row;
                    starts[row] = row == 0 ? 0 : behindEnds[row - 1];
                }
                add(NONE, word, 1, new Stretch(rows, starts, 0, size));
            }
        }

        private int place(int i, int word) {
            for (int p = 0; p < items.length(i); p++) {
                if (items.get(i, p) == word) {
                    return p;
                }
            }
            return NONE;
        }

        /** The keywords of a set, and where the words behind its last one start: from one place of two arrays to another. */
        private record Stretch(int[] rows, int[] starts, int from, int to) {}

        /** A frequent set. */
        private void add(int parent, int last, int length, Stretch of) {
            int set = size();
            long rank = 0;
            for (int r = of.from; r < of.to; r++) {
                rank += estimatedValues[of.rows[r]];
                keywords.add(having[of.rows[r]]);
            }
            parents.add(parent);
            lastWords.add(last);
            lengths.add(length);
            ranks.add(rank);
            ends.add(keywords.size());
            if (length < pass.longest()) {
                extend(set, length, of);
            }
        }

        private void extend(int set, int length, Stretch of) {
            int[] touched = count(of.rows, of.starts, of.from, of.to);
            int frequent = 0;
            for (int word : touched) {
                if (counted[word] >= pass.smallest()) {
                    touched[frequent++] = word;
                } else {
                    counted[word] = 0;
                }
            }
            if (frequent == 0) {
                return;
            }
            Arrays.sort(touched, 0, frequent);
            int[] stretches = new int[frequent + 1];
            int[] next = new int[frequent];
            for (int f = 0; f < frequent; f++) {
                next[f] = stretches[f];
                stretches[f + 1] = stretches[f] + counted[touched[f]];
                counted[touched[f]] = -1 - f;
            }
            int[] further = new int[stretches[frequent]];
            int[] furtherStarts = new int[stretches[frequent]];
            for (int r = of.from; r < of.to; r++) {
                for (int p = of.starts[r]; p < behindEnds[of.rows[r]]; p++) {
                    int f = -1 - counted[behind[p]];
                    if (f >= 0) {
                        further[next[f]] = of.rows[r];
                        furtherStarts[next[f]++] = p + 1;
                    }
                }
            }
            for (int f = 0; f < frequent; f++) {
                counted[touched[f]] = 0;
            }
            for (int f = 0; f < frequent; f++) {
                add(set, touched[f], length + 1, new Stretch(further, furtherStarts, stretches[f], stretches[f + 1]));
            }
        }

        /** Counts the words behind; the words that were met at all. */
        private int[] count(int[] rows, int[] starts, int from, int to) {
            int[] touched = new int[16];
            int size = 0;
            for (int r = from; r < to; r++) {
                for (int p = starts[r]; p < behindEnds[rows[r]]; p++) {
                    int word = behind[p];
                    if (counted[word]++ == 0) {
                        touched = size == touched.length ? Arrays.copyOf(touched, 2 * size) : touched;
                        touched[size++] = word;
                    }
                }
            }
            return Arrays.copyOf(touched, size);
        }
    }
}

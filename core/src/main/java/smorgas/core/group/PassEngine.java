package smorgas.core.group;

import it.unimi.dsi.fastutil.ints.Int2IntOpenHashMap;
import it.unimi.dsi.fastutil.ints.IntArrays;
import it.unimi.dsi.fastutil.longs.LongHeapPriorityQueue;
import java.util.Arrays;
import java.util.Map;
import java.util.SortedMap;
import java.util.concurrent.CancellationException;
import java.util.concurrent.ConcurrentSkipListMap;
import smorgas.core.column.Cores;
import smorgas.core.column.RaggedInts;
import smorgas.core.recipe.GroupSettings;
import smorgas.core.recipe.Pass;

/**
 * One pass: gives every keyword to the theme that covers most of its meaning.
 *
 * <p>Words weigh ln(1 + N/df), so that rare words say more than common ones. Every keyword prefers, among the themes with
 * enough members, those that cover most of its weight, and of nearly equal ones the one of the higher rank. Groups that
 * stay too small are dissolved, smallest first, and their keywords choose again. Then each word is weighed anew by how
 * unevenly it is spread over the groups (one minus its entropy over them, as a share of the most that a word of so many
 * keywords can have, squared), and the choice is made again: words that occur with everything fall to almost no weight by
 * themselves. What is too large at the end is divided by longer themes.
 *
 * <p>The result is the same for any order of the keywords. This file is written for speed.
 */
final class PassEngine {

    private static final int NONE = -1;

    /** Choices after the first, each with words weighed anew. */
    private static final int ROUNDS = 3;

    /** Coverages that differ by no more count as nearly equal. */
    private static final double NEARLY = 0.08;

    /** No word weighs nothing, so that a keyword of common words only still has a tightness. */
    private static final double LEAST_WEIGHT = 0.02;

    /** Keeps sums that should be equal in one step, whatever the order in which they were added up. */
    private static final double HAIR = 1e-9;

    private final ThemeWords words;
    private final int[] scope;
    private final long[] worth;
    private final Pass pass;
    private final Candidates candidates;
    /** The distinct unmuted words of each keyword of the scope. */
    private final RaggedInts distinct;

    /**
     * What a pass found.
     *
     * @param themes the words of each group's theme
     * @param group for each keyword of the scope its group, or -1
     * @param weights what each word weighs, as the last choice saw it; 0 for a muted word
     */
    record Found(int[][] themes, int[] group, double[] weights) {}

    /**
     * What may not be: themes on which no group forms, and by keyword those that may not take it.
     */
    record Barred(RemovedThemes everywhere, Map<Integer, RemovedThemes> byKeyword) {}

    private PassEngine(ThemeWords words, int[] scope, long[] worth, GroupSettings settings, Pass pass) {
        this.words = words;
        this.scope = scope;
        this.worth = worth;
        this.pass = pass;
        this.candidates = new Candidates(words, scope, worth, settings, pass);
        this.distinct = distinct();
    }

    /**
     * Runs one pass.
     *
     * @param scope the keywords to be grouped, rising
     * @param worth of each of them, as {@link Worth} gives it
     * @param barred what may not be
     */
    static Found run(ThemeWords words, int[] scope, long[] worth, GroupSettings settings, Pass pass, Barred barred) {
        return new PassEngine(words, scope, worth, settings, pass).run(barred);
    }

    private Found run(Barred barred) {
        double[] rarity = rarity();
        double[] weights = rarity;
        for (int round = 0; round < ROUNDS; round++) {
            goOn();
            // What words weigh must not depend on how tight the groups are to be.
            weights = weighAnew(rarity, choose(new Preferences(weights, barred, 0)));
        }
        goOn();
        Preferences preferences = new Preferences(weights, barred, pass.leastTightness());
        int[] chosen = choose(preferences);
        if (pass.largest() != Pass.ANY) {
            chosen = divide(preferences, chosen);
        }
        return result(chosen, weights);
    }

    /** Who no longer wants the groups interrupts the thread that looks for them. */
    private static void goOn() {
        if (Thread.currentThread().isInterrupted()) {
            throw new CancellationException("these groups are no longer wanted");
        }
    }

    private RaggedInts distinct() {
        RaggedInts.Builder builder = new RaggedInts.Builder();
        RaggedInts rows = words.rows();
        for (int keyword : scope) {
            for (int i = 0; i < rows.length(keyword); i++) {
                int word = rows.get(keyword, i);
                boolean before = words.muted(word);
                for (int j = 0; j < i && !before; j++) {
                    before = rows.get(keyword, j) == word;
                }
                if (!before) {
                    builder.add(word);
                }
            }
            builder.endRow();
        }
        return builder.seal();
    }

    private double[] rarity() {
        int[] df = new int[words.size()];
        for (int i = 0; i < scope.length; i++) {
            distinct.forEach(i, word -> df[word]++);
        }
        double[] weights = new double[df.length];
        for (int word = 0; word < df.length; word++) {
            weights[word] = df[word] == 0 ? 0 : Math.log(1 + scope.length / (double) df[word]);
        }
        return weights;
    }

    /** For each keyword of the scope the candidates in it that may take it, best first. */
    private final class Preferences {
        private final RaggedInts of = candidates.of();
        private final Barred barred;
        private final int[] counts = new int[scope.length];
        private final int[] found = new int[of.start(scope.length)];

        Preferences(double[] weights, Barred barred, double least) {
            this.barred = barred;
            boolean any = !barred.everywhere().isEmpty();
            double[] covered = new double[candidates.size()];
            Cores.run(covered.length, (from, to) -> {
                for (int c = from; c < to; c++) {
                    int[] theme = candidates.words(c);
                    covered[c] = any && barred.everywhere().has(theme) ? 0 : weigh(theme, weights);
                }
            });
            int widest = 0;
            for (int i = 0; i < scope.length; i++) {
                widest = Math.max(widest, of.length(i));
            }
            int places = widest;
            Cores.run(scope.length, (from, to) -> {
                int[] row = new int[places];
                double[] coverages = new double[places];
                for (int i = from; i < to; i++) {
                    counts[i] = prefer(i, covered, weights, least, row, coverages);
                    System.arraycopy(row, 0, found, of.start(i), counts[i]);
                }
            });
        }

        /** Puts what may take the keyword into the row, best first; how many. */
        private int prefer(int i, double[] covered, double[] weights, double least, int[] row, double[] coverages) {
            double whole = 0;
            for (int t = 0; t < distinct.length(i); t++) {
                whole += weights[distinct.get(i, t)];
            }
            int count = 0;
            RemovedThemes without =
                    barred.byKeyword().isEmpty() ? null : barred.byKeyword().get(scope[i]);
            for (int p = 0; p < of.length(i); p++) {
                int c = of.get(i, p);
                if (without != null && without.has(candidates.words(c))) {
                    continue;
                }
                double coverage = whole == 0 ? 0 : Math.min(1, covered[c] / whole);
                if (coverage > 0 && coverage >= least - HAIR) {
                    row[count] = c;
                    coverages[count++] = coverage;
                }
            }
            order(row, coverages, count);
            return count;
        }

        /** Again and again the one of the highest rank of those that cover nearly as much as the best that is left. */
        private void order(int[] row, double[] coverages, int count) {
            for (int place = 1; place < count; place++) {
                int to = place;
                while (to > 0 && coverages[to - 1] < coverages[place]) {
                    to--;
                }
                move(row, coverages, place, to);
            }
            // What is left is in the order of coverage, the best first.
            for (int place = 0; place < count - 1; place++) {
                double least = coverages[place] - NEARLY - HAIR;
                int first = place;
                for (int p = place + 1; p < count && coverages[p] >= least; p++) {
                    first = row[p] < row[first] ? p : first;
                }
                move(row, coverages, first, place);
            }
        }

        private static void move(int[] row, double[] coverages, int from, int to) {
            int candidate = row[from];
            double coverage = coverages[from];
            for (int p = from; p > to; p--) {
                row[p] = row[p - 1];
                coverages[p] = coverages[p - 1];
            }
            row[to] = candidate;
            coverages[to] = coverage;
        }

        int count(int i) {
            return counts[i];
        }

        int candidate(int i, int place) {
            return found[of.start(i) + place];
        }
    }

    private static double weigh(int[] theme, double[] weights) {
        double sum = 0;
        for (int p = 0; p < theme.length; p++) {
            boolean before = false;
            for (int q = 0; q < p; q++) {
                before |= theme[q] == theme[p];
            }
            sum += before ? 0 : weights[theme[p]];
        }
        return sum;
    }

    /** The candidate of each keyword of the scope, or -1, after what is too small was dissolved. */
    private int[] choose(Preferences preferences) {
        int[] size = new int[candidates.size()];
        Members members = new Members(scope.length, candidates.size());
        int groups = 0;
        for (int i = 0; i < scope.length; i++) {
            if (preferences.count(i) > 0) {
                int first = preferences.candidate(i, 0);
                groups += size[first]++ == 0 ? 1 : 0;
                members.add(first, i);
            }
        }
        int[] place = new int[scope.length];
        dissolve(preferences, place, size, members, groups);
        int[] chosen = new int[scope.length];
        for (int i = 0; i < scope.length; i++) {
            chosen[i] = place[i] < preferences.count(i) ? preferences.candidate(i, place[i]) : NONE;
        }
        return chosen;
    }

    /** Too small groups are dissolved, and if there are more than are aimed at the smallest of the others. */
    private void dissolve(Preferences preferences, int[] place, int[] size, Members members, int groups) {
        int left = groups;
        // An element is size and candidate in one long, of one size the last in rank first; one out of date is skipped.
        LongHeapPriorityQueue smallest = new LongHeapPriorityQueue();
        for (int c = 0; c < size.length; c++) {
            if (size[c] > 0 && (pass.about() != Pass.ANY || size[c] < pass.smallest())) {
                smallest.enqueue(element(size[c], c));
            }
        }
        boolean[] dissolved = new boolean[size.length];
        while (!smallest.isEmpty()) {
            long element = smallest.dequeueLong();
            int group = Integer.MAX_VALUE - (int) element;
            if (dissolved[group] || size[group] != (int) (element >> 32)) {
                continue;
            }
            if (size[group] >= pass.smallest() && (pass.about() == Pass.ANY || left <= pass.about())) {
                continue;
            }
            dissolved[group] = true;
            left--;
            for (int i = members.first(group); i >= 0; ) {
                int next = members.next(i);
                while (place[i] < preferences.count(i) && dissolved[preferences.candidate(i, place[i])]) {
                    place[i]++;
                }
                if (place[i] < preferences.count(i)) {
                    int other = preferences.candidate(i, place[i]);
                    left += size[other]++ == 0 ? 1 : 0;
                    members.add(other, i);
                    if (pass.about() != Pass.ANY || size[other] < pass.smallest()) {
                        smallest.enqueue(element(size[other], other));
                    }
                }
                i = next;
            }
        }
    }

    private static long element(int size, int candidate) {
        return (long) size << 32 | Integer.MAX_VALUE - candidate;
    }

    /** Lists of keywords by group, in two arrays. */
    private static final class Members {
        private final int[] first;
        private final int[] next;

        Members(int keywords, int groups) {
            first = new int[groups];
            next = new int[keywords];
            Arrays.fill(first, NONE);
        }

        void add(int group, int keyword) {
            next[keyword] = first[group];
            first[group] = keyword;
        }

        int first(int group) {
            return first[group];
        }

        int next(int keyword) {
            return next[keyword];
        }
    }

    /**
     * Groups that are too large are divided: members take the best narrower theme that enough of them have, until the rest
     * fits. Of a rest that no narrower theme divides, what is worth most stays.
     */
    private int[] divide(Preferences preferences, int[] chosen) {
        int[] divided = chosen.clone();
        RaggedInts groups = RaggedInts.byKey(chosen, candidates.size());
        int[] size = new int[candidates.size()];
        for (int c = 0; c < size.length; c++) {
            size[c] = groups.length(c);
        }
        for (int c = 0; c < size.length; c++) {
            if (groups.length(c) > pass.largest()) {
                divide(c, groups.row(c), preferences, divided, size);
            }
        }
        return divided;
    }

    private void divide(int group, int[] members, Preferences preferences, int[] divided, int[] size) {
        int[] theme = candidates.words(group);
        int[] rest = members;
        while (rest.length > pass.largest()) {
            int narrower = widest(rest, theme, preferences, size);
            if (narrower == NONE) {
                break;
            }
            int[] having = Arrays.stream(rest)
                    .filter(i -> has(preferences, i, narrower))
                    .toArray();
            int[] best = mostWorth(having, takes(narrower, having.length, rest.length, size));
            for (int i : best) {
                divided[i] = narrower;
            }
            size[narrower] += best.length;
            Arrays.sort(best);
            rest = Arrays.stream(rest)
                    .filter(i -> Arrays.binarySearch(best, i) < 0)
                    .toArray();
        }
        size[group] = Math.min(rest.length, pass.largest());
        int[] staying = mostWorth(rest, size[group]);
        Arrays.sort(staying);
        for (int i : rest) {
            divided[i] = Arrays.binarySearch(staying, i) >= 0 ? group : NONE;
        }
    }

    /** The narrower theme that most of these have, of those that can take enough; -1 if there is none. */
    private int widest(int[] rest, int[] theme, Preferences preferences, int[] size) {
        Int2IntOpenHashMap counts = new Int2IntOpenHashMap();
        for (int i : rest) {
            for (int p = 0; p < preferences.count(i); p++) {
                counts.addTo(preferences.candidate(i, p), 1);
            }
        }
        int best = NONE;
        int most = 0;
        for (var entry : counts.int2IntEntrySet()) {
            int c = entry.getIntKey();
            int taken = takes(c, entry.getIntValue(), rest.length, size);
            if (taken > 0 && (taken > most || taken == most && c < best) && narrower(candidates.words(c), theme)) {
                best = c;
                most = taken;
            }
        }
        return best;
    }

    /** How many of a rest a theme can take that so many of it have; 0 if too few. Enough are left for the rest itself. */
    private int takes(int candidate, int having, int rest, int[] size) {
        int taken = Math.min(Math.min(having, pass.largest() - size[candidate]), rest - pass.smallest());
        return size[candidate] + taken >= pass.smallest() ? Math.max(0, taken) : 0;
    }

    private static boolean narrower(int[] theme, int[] wider) {
        if (theme.length <= wider.length) {
            return false;
        }
        for (int word : wider) {
            if (Arrays.stream(theme).noneMatch(other -> other == word)) {
                return false;
            }
        }
        return true;
    }

    private static boolean has(Preferences preferences, int i, int candidate) {
        for (int p = 0; p < preferences.count(i); p++) {
            if (preferences.candidate(i, p) == candidate) {
                return true;
            }
        }
        return false;
    }

    /** So many of these, those worth most; of equal ones those whose words come first. */
    private int[] mostWorth(int[] some, int count) {
        int[] sorted = some.clone();
        RaggedInts rows = words.rows();
        IntArrays.quickSort(sorted, (a, b) -> {
            int byWorth = Long.compare(worth[b], worth[a]);
            if (byWorth != 0) {
                return byWorth;
            }
            int byWords = Arrays.compare(rows.row(scope[a]), rows.row(scope[b]));
            return byWords != 0 ? byWords : Integer.compare(a, b);
        });
        return Arrays.copyOf(sorted, count);
    }

    /** How words are spread over some groups: n ln n summed over them, and how many groups these are. */
    private final class Spread {
        private final int[] total = new int[words.size()];
        private final double[] sum = new double[words.size()];
        private int used;

        void add(RaggedInts groups, int from, int to) {
            int[] here = new int[words.size()];
            for (int group = from; group < to; group++) {
                used += groups.length(group) == 0 ? 0 : 1;
                groups.forEach(group, i -> distinct.forEach(i, word -> here[word]++));
                groups.forEach(
                        group,
                        i -> distinct.forEach(i, word -> {
                            if (here[word] > 0) {
                                total[word] += here[word];
                                sum[word] += here[word] * Math.log(here[word]);
                                here[word] = 0;
                            }
                        }));
            }
        }

        void add(Spread other) {
            used += other.used;
            for (int word = 0; word < total.length; word++) {
                total[word] += other.total[word];
                sum[word] += other.sum[word];
            }
        }
    }

    private double[] weighAnew(double[] rarity, int[] chosen) {
        RaggedInts groups = RaggedInts.byKey(chosen, candidates.size());
        SortedMap<Integer, Spread> parts = new ConcurrentSkipListMap<>();
        Cores.run(groups.size(), (from, to) -> {
            Spread part = new Spread();
            part.add(groups, from, to);
            parts.put(from, part);
        });
        // Always added up in the same order: sums of doubles depend on it.
        Spread all = new Spread();
        parts.values().forEach(all::add);
        int[] total = all.total;
        double[] sum = all.sum;
        int used = all.used;
        double[] weights = new double[rarity.length];
        for (int word = 0; word < weights.length; word++) {
            // The entropy is ln T - (sum n ln n)/T.
            double entropy = total[word] == 0 ? 0 : Math.log(total[word]) - sum[word] / total[word];
            // The most that a word of so many keywords can be spread: a rare one in as many groups as it has keywords.
            double most = Math.log(Math.max(2, Math.min(used, total[word])));
            double held = 1 - entropy / most;
            // Squared: what is spread over half of what it could be is far more a modifier than half a theme.
            weights[word] = rarity[word] == 0 ? 0 : rarity[word] * Math.max(LEAST_WEIGHT, held * held);
        }
        return weights;
    }

    private Found result(int[] chosen, double[] weights) {
        int[] numbers = new int[candidates.size()];
        Arrays.fill(numbers, NONE);
        for (int candidate : chosen) {
            if (candidate >= 0) {
                numbers[candidate] = 0;
            }
        }
        int count = 0;
        for (int c = 0; c < numbers.length; c++) {
            numbers[c] = numbers[c] == 0 ? count++ : NONE;
        }
        int[][] themes = new int[count][];
        for (int c = 0; c < numbers.length; c++) {
            if (numbers[c] != NONE) {
                themes[numbers[c]] = candidates.words(c);
            }
        }
        int[] group = new int[scope.length];
        for (int i = 0; i < scope.length; i++) {
            group[i] = chosen[i] < 0 ? NONE : numbers[chosen[i]];
        }
        return new Found(themes, group, weights);
    }
}

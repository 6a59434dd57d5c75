package smorgas.core.group;

import it.unimi.dsi.fastutil.ints.IntArrays;
import it.unimi.dsi.fastutil.longs.LongHeapPriorityQueue;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.List;
import smorgas.core.column.RaggedInts;
import smorgas.core.fold.FoldedWords;
import smorgas.core.recipe.GroupSettings;

/**
 * Gives every keyword to the theme phrase that covers most of its meaning.
 *
 * <p>Words weigh ln(1 + N/df), so that rare words say more than common ones. Every keyword prefers, among the phrases
 * with enough members, those that cover most of its weight, and of nearly equal ones the one with most members. Groups
 * that stay too small are dissolved, smallest first, and their keywords choose again. Then each word is weighed anew by
 * how unevenly it is spread over the groups (one minus its entropy over them), and the choice is made again: words that
 * occur with everything fall to almost no weight by themselves.
 *
 * <p>The result is the same for any order of the keywords.
 */
public final class Grouper {

    /** Choices after the first, each with words weighed anew. */
    private static final int ROUNDS = 3;

    /** Coverages that lie in one of this many equal steps count as nearly equal. */
    private static final int STEPS = 6;

    /** No word weighs nothing, so that a keyword of common words only still has a tightness. */
    private static final double LEAST_WEIGHT = 0.02;

    private final RaggedInts words;
    private final int vocabularySize;
    private final GroupSettings settings;
    private final Candidates candidates;
    private final int[] scope;

    private Grouper(FoldedWords folded, BitSet inScope, GroupSettings settings) {
        this.words = folded.rows();
        this.vocabularySize = folded.size();
        this.settings = settings;
        this.candidates = new Candidates(folded, inScope, settings);
        this.scope = candidates.scope();
    }

    /**
     * Groups keywords.
     *
     * @param folded the words of every keyword
     * @param inScope the keywords to be grouped; the others are {@link Grouping#OUTSIDE}
     */
    public static Grouping group(FoldedWords folded, BitSet inScope, GroupSettings settings) {
        return new Grouper(folded, inScope, settings).run();
    }

    private Grouping run() {
        double[] rarity = rarity();
        double[] weights = rarity;
        Choice choice = choose(weights);
        for (int round = 0; round < ROUNDS; round++) {
            weights = weighAnew(rarity, choice);
            choice = choose(weights);
        }
        return result(choice);
    }

    private double[] rarity() {
        int[] df = new int[vocabularySize];
        int[] lastSeen = new int[vocabularySize];
        Arrays.fill(lastSeen, -1);
        for (int keyword : scope) {
            words.forEach(keyword, word -> {
                if (lastSeen[word] != keyword) {
                    lastSeen[word] = keyword;
                    df[word]++;
                }
            });
        }
        double[] weights = new double[df.length];
        for (int word = 0; word < df.length; word++) {
            weights[word] =
                    candidates.isMuted(word) || df[word] == 0 ? 0 : Math.log(1 + scope.length / (double) df[word]);
        }
        return weights;
    }

    /** A choice: for each keyword of the scope its candidate (-1 for none) and how much of it that covers. */
    private record Choice(int[] candidate, double[] coverage) {}

    private Choice choose(double[] weights) {
        Preferences preferences = new Preferences(weights);
        int[] place = new int[scope.length];
        int[] size = new int[candidates.size()];
        Members members = new Members(scope.length, candidates.size());
        for (int i = 0; i < scope.length; i++) {
            if (preferences.count(i) > 0) {
                int first = preferences.candidate(i, 0);
                size[first]++;
                members.add(first, i);
            }
        }
        dissolveSmall(preferences, place, size, members);
        int[] chosen = new int[scope.length];
        double[] coverage = new double[scope.length];
        for (int i = 0; i < scope.length; i++) {
            boolean some = place[i] < preferences.count(i);
            chosen[i] = some ? preferences.candidate(i, place[i]) : -1;
            coverage[i] = some ? preferences.coverage(i, place[i]) : 0;
        }
        return new Choice(chosen, coverage);
    }

    private void dissolveSmall(Preferences preferences, int[] place, int[] size, Members members) {
        // An element is size and candidate in one long; one whose size is out of date is skipped.
        LongHeapPriorityQueue smallest = new LongHeapPriorityQueue();
        for (int c = 0; c < size.length; c++) {
            if (size[c] > 0 && size[c] < settings.smallest()) {
                smallest.enqueue((long) size[c] << 32 | c);
            }
        }
        boolean[] dissolved = new boolean[size.length];
        while (!smallest.isEmpty()) {
            long element = smallest.dequeueLong();
            int group = (int) element;
            if (dissolved[group] || size[group] != (int) (element >> 32)) {
                continue;
            }
            dissolved[group] = true;
            for (int i = members.first(group); i >= 0; ) {
                int next = members.next(i);
                while (place[i] < preferences.count(i) && dissolved[preferences.candidate(i, place[i])]) {
                    place[i]++;
                }
                if (place[i] < preferences.count(i)) {
                    int other = preferences.candidate(i, place[i]);
                    size[other]++;
                    members.add(other, i);
                    if (size[other] < settings.smallest()) {
                        smallest.enqueue((long) size[other] << 32 | other);
                    }
                }
                i = next;
            }
        }
    }

    /** Lists of keywords by group, in two arrays. */
    private static final class Members {
        private final int[] first;
        private final int[] next;

        Members(int keywords, int groups) {
            first = new int[groups];
            next = new int[keywords];
            Arrays.fill(first, -1);
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

    /** For each keyword of the scope the candidates in it, best first. */
    private final class Preferences {
        private final int[] starts = new int[scope.length + 1];
        private int[] found = new int[Math.max(16, scope.length * 4)];
        private double[] covers = new double[found.length];

        Preferences(double[] weights) {
            int[] row = new int[16];
            double[] coverage = new double[16];
            int[] order = new int[16];
            for (int i = 0; i < scope.length; i++) {
                int keyword = scope[i];
                int length = words.length(keyword);
                double total = 0;
                for (int t = 0; t < length; t++) {
                    total += weights[words.get(keyword, t)];
                }
                int count = 0;
                for (int t = 0; t < length; t++) {
                    double weight = 0;
                    for (int n = 1; n <= settings.longest() && t + n <= length; n++) {
                        weight += weights[words.get(keyword, t + n - 1)];
                        int candidate = candidates.at(i, t, n);
                        if (candidate >= 0 && weight >= settings.leastTightness() * total * (1 - 1e-9) && weight > 0) {
                            if (count == row.length) {
                                row = Arrays.copyOf(row, count * 2);
                                coverage = Arrays.copyOf(coverage, count * 2);
                                order = Arrays.copyOf(order, count * 2);
                            }
                            row[count] = candidate;
                            coverage[count] = Math.min(1, weight / total);
                            order[count] = count;
                            count++;
                        }
                    }
                }
                sort(order, count, row, coverage);
                append(i, order, count, row, coverage);
            }
        }

        private void sort(int[] order, int count, int[] row, double[] coverage) {
            if (count > 1) {
                IntArrays.quickSort(order, 0, count, (a, b) -> {
                    int bySteps = Integer.compare(step(coverage[b]), step(coverage[a]));
                    if (bySteps != 0) {
                        return bySteps;
                    }
                    int byMembers = Integer.compare(candidates.members(row[b]), candidates.members(row[a]));
                    if (byMembers != 0) {
                        return byMembers;
                    }
                    int byLength = Integer.compare(candidates.length(row[b]), candidates.length(row[a]));
                    return byLength != 0 ? byLength : Integer.compare(row[a], row[b]);
                });
            }
        }

        private void append(int i, int[] order, int count, int[] row, double[] coverage) {
            int start = starts[i];
            if (start + count > found.length) {
                int more = Math.max(found.length * 2, start + count);
                found = Arrays.copyOf(found, more);
                covers = Arrays.copyOf(covers, more);
            }
            for (int j = 0; j < count; j++) {
                found[start + j] = row[order[j]];
                covers[start + j] = coverage[order[j]];
            }
            starts[i + 1] = start + count;
        }

        private static int step(double coverage) {
            // The hair keeps sums that should be equal in one step.
            return (int) (coverage * STEPS + 1e-9);
        }

        int count(int i) {
            return starts[i + 1] - starts[i];
        }

        int candidate(int i, int place) {
            return found[starts[i] + place];
        }

        double coverage(int i, int place) {
            return covers[starts[i] + place];
        }
    }

    private double[] weighAnew(double[] rarity, Choice choice) {
        RaggedInts groups = RaggedInts.byKey(choice.candidate(), candidates.size());
        int[] total = new int[rarity.length];
        double[] sum = new double[rarity.length];
        int[] here = new int[rarity.length];
        int used = 0;
        for (int group = 0; group < groups.size(); group++) {
            if (groups.length(group) == 0) {
                continue;
            }
            used++;
            // n ln n summed over groups; from it the entropy ln T - (sum n ln n)/T.
            groups.forEach(group, i -> words.forEach(scope[i], word -> here[word]++));
            groups.forEach(
                    group,
                    i -> words.forEach(scope[i], word -> {
                        if (here[word] > 0) {
                            total[word] += here[word];
                            sum[word] += here[word] * Math.log(here[word]);
                            here[word] = 0;
                        }
                    }));
        }
        double most = Math.log(Math.max(2, used));
        double[] weights = new double[rarity.length];
        for (int word = 0; word < weights.length; word++) {
            double entropy = total[word] == 0 ? 0 : Math.log(total[word]) - sum[word] / total[word];
            weights[word] = rarity[word] == 0 ? 0 : rarity[word] * Math.max(LEAST_WEIGHT, 1 - entropy / most);
        }
        return weights;
    }

    private Grouping result(Choice choice) {
        int[] numbers = new int[candidates.size()];
        Arrays.fill(numbers, -1);
        for (int candidate : choice.candidate()) {
            if (candidate >= 0) {
                numbers[candidate] = 0;
            }
        }
        List<String> themes = new ArrayList<>();
        for (int c = 0; c < numbers.length; c++) {
            if (numbers[c] == 0) {
                numbers[c] = themes.size();
                themes.add(candidates.textOf(c));
            }
        }
        int[] groupOf = new int[words.size()];
        Arrays.fill(groupOf, Grouping.OUTSIDE);
        double[] tightness = new double[words.size()];
        for (int i = 0; i < scope.length; i++) {
            int candidate = choice.candidate()[i];
            groupOf[scope[i]] = candidate < 0 ? Grouping.LEFTOVER : numbers[candidate];
            tightness[scope[i]] = choice.coverage()[i];
        }
        return new Grouping(themes, groupOf, tightness);
    }
}

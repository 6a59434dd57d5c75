package smorgas.core.group.themes;

import it.unimi.dsi.fastutil.longs.LongHeapPriorityQueue;
import java.util.Arrays;
import java.util.concurrent.CancellationException;
import smorgas.core.group.engine.Engine;
import smorgas.core.group.engine.Question;
import smorgas.core.recipe.group.GroupSettings;
import smorgas.core.recipe.group.Pass;
import smorgas.core.recipe.group.ThemeRules;

/**
 * One pass: gives every keyword to the theme that covers most of its meaning.
 *
 * <p>Words weigh the more the rarer they are. Every keyword prefers, among the themes with enough members, those that cover
 * most of its weight, and of nearly equal ones the one of the higher rank. Groups that stay too small are dissolved,
 * smallest first, and their keywords choose again. Then each word is weighed anew by how unevenly it is spread over the
 * groups, and the choice is made again. What is too large at the end is divided by longer themes.
 *
 * <p>The result is the same for any order of the keywords. This file and those it calls are written for speed.
 */
public final class PassEngine {

    private static final int NONE = Preferences.NONE;

    private final ScopeWords in;
    private final long[] estimatedValue;
    private final Pass pass;
    private final ThemeRules rules;
    private final Candidates candidates;

    PassEngine(ScopeWords in, long[] estimatedValue, GroupSettings settings, Pass pass, ThemeRules rules) {
        this.in = in;
        this.estimatedValue = estimatedValue;
        this.pass = pass;
        this.rules = rules;
        this.candidates = new Candidates(in, estimatedValue, settings, pass, rules.mostWords());
    }

    /**
     * Runs the pass.
     *
     * @param barred what may not be
     */
    Engine.Found run(Question.Barred barred) {
        WordWeights words = new WordWeights(in, rules.leastWeight());
        double[] weights = words.rarity();
        for (int round = 0; round < rules.rounds(); round++) {
            goOn();
            // What words weigh must not depend on how tight the groups are to be.
            int[] chosen = choose(new Preferences(in, candidates, weights, barred, 0, rules.nearly()));
            weights = words.spread(chosen, candidates.size());
        }
        goOn();
        Preferences preferences =
                new Preferences(in, candidates, weights, barred, pass.leastTightness(), rules.nearly());
        int[] chosen = choose(preferences);
        if (pass.largest() != Pass.ANY) {
            chosen = new LargeGroups(in, estimatedValue, pass, candidates, preferences).divide(chosen);
        }
        return result(chosen, weights);
    }

    /** Who no longer wants the groups interrupts the thread that looks for them. */
    private static void goOn() {
        if (Thread.currentThread().isInterrupted()) {
            throw new CancellationException("these groups are no longer wanted");
        }
    }

    /** The candidate of each keyword of the scope, or -1, after what is too small was dissolved. */
    private int[] choose(Preferences preferences) {
        int[] chosen = new int[in.size()];
        int[] size = new int[candidates.size()];
        Members members = new Members(chosen.length, size.length);
        int groups = 0;
        for (int i = 0; i < chosen.length; i++) {
            chosen[i] = preferences.first(i);
            if (chosen[i] != NONE) {
                groups += size[chosen[i]]++ == 0 ? 1 : 0;
            }
        }
        // Only of a group that may be dissolved it is asked who its members are.
        for (int i = 0; i < chosen.length; i++) {
            if (chosen[i] != NONE && mayGo(size[chosen[i]])) {
                members.add(chosen[i], i);
            }
        }
        dissolve(preferences, chosen, size, members, groups);
        return chosen;
    }

    /** Too small groups are dissolved, and if there are more than are aimed at the smallest of the others. */
    private void dissolve(Preferences preferences, int[] chosen, int[] size, Members members, int groups) {
        int left = groups;
        // An element is size and candidate in one long, of one size the last in rank first; one out of date is skipped.
        LongHeapPriorityQueue smallest = new LongHeapPriorityQueue();
        for (int c = 0; c < size.length; c++) {
            if (size[c] > 0 && mayGo(size[c])) {
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
                int other = firstOf(preferences.of(i), dissolved);
                chosen[i] = other;
                if (other != NONE) {
                    left += size[other]++ == 0 ? 1 : 0;
                    // One that has just become large enough is never asked again.
                    if (mayGo(size[other])) {
                        members.add(other, i);
                        smallest.enqueue(element(size[other], other));
                    }
                }
                i = next;
            }
        }
    }

    /** Whether a group of this size may be dissolved yet: too small, or one of more than are aimed at. */
    private boolean mayGo(int size) {
        return pass.about() != Pass.ANY || size < pass.smallest();
    }

    private static long element(int size, int candidate) {
        return (long) size << 32 | Integer.MAX_VALUE - candidate;
    }

    private static int firstOf(int[] preferred, boolean[] dissolved) {
        for (int candidate : preferred) {
            if (!dissolved[candidate]) {
                return candidate;
            }
        }
        return NONE;
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

    private Engine.Found result(int[] chosen, double[] weights) {
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
        int[] group = new int[chosen.length];
        for (int i = 0; i < chosen.length; i++) {
            group[i] = chosen[i] < 0 ? NONE : numbers[chosen[i]];
        }
        return Engine.Found.byThemes(themes, group, weights);
    }
}

package smorgas.core.group.themes;

import it.unimi.dsi.fastutil.ints.Int2IntOpenHashMap;
import it.unimi.dsi.fastutil.ints.IntArrays;
import java.util.Arrays;
import smorgas.core.column.RaggedInts;
import smorgas.core.recipe.group.Pass;

/**
 * Divides groups that are too large: members take the best narrower theme that enough of them have, until the rest fits. Of
 * a rest that no narrower theme divides, all stay together.
 */
final class LargeGroups {

    private static final int NONE = Preferences.NONE;

    private final ScopeWords in;
    private final long[] estimatedValue;
    private final Pass pass;
    private final Candidates candidates;
    private final Preferences preferences;
    private final int[] divided;
    private final int[] size;

    LargeGroups(ScopeWords in, long[] estimatedValue, Pass pass, Candidates candidates, Preferences preferences) {
        this.in = in;
        this.estimatedValue = estimatedValue;
        this.pass = pass;
        this.candidates = candidates;
        this.preferences = preferences;
        this.divided = new int[in.size()];
        this.size = new int[candidates.size()];
    }

    /** For each keyword the candidate it has then, or -1. */
    int[] divide(int[] chosen) {
        System.arraycopy(chosen, 0, divided, 0, divided.length);
        RaggedInts groups = RaggedInts.byKey(chosen, candidates.size());
        Arrays.setAll(size, groups::length);
        for (int c = 0; c < size.length; c++) {
            if (groups.length(c) > pass.largest()) {
                divide(c, groups.row(c));
            }
        }
        return divided;
    }

    private void divide(int group, int[] members) {
        int[] theme = candidates.words(group);
        int[] rest = members;
        while (rest.length > pass.largest()) {
            int narrower = widest(rest, theme);
            if (narrower == NONE) {
                break;
            }
            int[] having = Arrays.stream(rest).filter(i -> has(i, narrower)).toArray();
            int[] best = mostEstimatedValue(having, takes(narrower, having.length, rest.length));
            for (int i : best) {
                divided[i] = narrower;
            }
            size[narrower] += best.length;
            Arrays.sort(best);
            rest = Arrays.stream(rest)
                    .filter(i -> Arrays.binarySearch(best, i) < 0)
                    .toArray();
        }
        size[group] = rest.length;
        for (int i : rest) {
            divided[i] = group;
        }
    }

    /** The narrower theme that most of these have, of those that can take enough; -1 if there is none. */
    private int widest(int[] rest, int[] theme) {
        Int2IntOpenHashMap counts = new Int2IntOpenHashMap();
        for (int i : rest) {
            for (int candidate : preferences.of(i)) {
                counts.addTo(candidate, 1);
            }
        }
        int best = NONE;
        int most = 0;
        for (var entry : counts.int2IntEntrySet()) {
            int c = entry.getIntKey();
            int taken = takes(c, entry.getIntValue(), rest.length);
            if (taken > 0 && (taken > most || taken == most && c < best) && narrower(candidates.words(c), theme)) {
                best = c;
                most = taken;
            }
        }
        return best;
    }

    /** How many of a rest a theme can take that so many of it have; 0 if too few. Enough are left for the rest itself. */
    private int takes(int candidate, int having, int rest) {
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

    private boolean has(int i, int candidate) {
        return Arrays.stream(preferences.of(i)).anyMatch(other -> other == candidate);
    }

    /** So many of these, those worth most; of equal ones those whose words come first. */
    private int[] mostEstimatedValue(int[] some, int count) {
        int[] sorted = some.clone();
        RaggedInts rows = in.words().rows();
        IntArrays.quickSort(sorted, (a, b) -> {
            int byEstimatedValue = Long.compare(estimatedValue[b], estimatedValue[a]);
            if (byEstimatedValue != 0) {
                return byEstimatedValue;
            }
            int byWords = Arrays.compare(rows.row(in.scope()[a]), rows.row(in.scope()[b]));
            return byWords != 0 ? byWords : Integer.compare(a, b);
        });
        return Arrays.copyOf(sorted, count);
    }
}

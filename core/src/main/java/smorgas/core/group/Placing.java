package smorgas.core.group;

import java.util.Arrays;
import java.util.BitSet;
import java.util.List;
import java.util.Optional;
import java.util.function.BiPredicate;
import smorgas.core.column.RaggedInts;
import smorgas.core.group.engine.Nearness;
import smorgas.core.group.engine.ThemeWords;
import smorgas.core.group.hand.Hand;

/** Places ungrouped keywords in the groups to which they are nearest. */
final class Placing {

    private final Draft draft;
    private final Hand hand;
    private final double[] weights;
    private final BiPredicate<Integer, Integer> mayJoin;

    /**
     * Seats for what is left of a draft.
     *
     * @param mayJoin whether a keyword may join a group as far as the settings go
     */
    Placing(Draft draft, Hand hand, double[] weights, BiPredicate<Integer, Integer> mayJoin) {
        this.draft = draft;
        this.hand = hand;
        this.weights = weights;
        this.mayJoin = mayJoin;
    }

    /**
     * Seats them.
     *
     * @param from how near they must be at least, 0 to 1
     * @param measured how the engine tells what is near; empty for by themes
     */
    void place(BitSet left, double from, Optional<Nearness.Measure> measured) {
        measured.ifPresentOrElse(by -> nearest(left, from, by), () -> byThemes(left, from));
    }

    /** Each keyword joins the group to which it is nearest as the engine measures it, if it is near enough. */
    private void nearest(BitSet left, double from, Nearness.Measure measured) {
        Nearness nearness = measured.over(draft);
        int[] into = new int[draft.groupOf().length];
        Arrays.fill(into, Grouping.UNGROUPED);
        left.stream().forEach(keyword -> {
            double[] most = {from};
            nearness.forEach(keyword, group -> {
                String key = draft.made().get(group).key();
                double near = nearness.of(keyword, group);
                boolean may =
                        !hand.bars(keyword, key) && !hand.locked().containsKey(key) && mayJoin.test(keyword, group);
                boolean nearer = near > most[0] || near == most[0] && into[keyword] < 0;
                if (may && nearer) {
                    most[0] = near;
                    into[keyword] = group;
                }
            });
        });
        // Only now, so that none is placed beside one that was itself placed automatically.
        left.stream()
                .filter(keyword -> into[keyword] >= 0)
                .forEach(keyword -> draft.put(keyword, into[keyword], Grouping.By.PLACE));
    }

    /** Each keyword joins the group of whose theme it covers most of its own weight; of equal ones the fuller theme. */
    private void byThemes(BitSet left, double from) {
        ThemeWords words = draft.words();
        List<Grouping.MadeGroup> made = draft.made();
        RaggedInts.Builder themes = new RaggedInts.Builder();
        made.forEach(group -> {
            Arrays.stream(group.theme()).forEach(themes::add);
            themes.endRow();
        });
        RaggedInts groupsOf = themes.seal().inverse(words.size());
        double[] whole = made.stream()
                .mapToDouble(group -> Arrays.stream(group.theme())
                        .mapToDouble(word -> weights[word])
                        .sum())
                .toArray();
        double[] shared = new double[made.size()];
        left.stream().forEach(keyword -> {
            int[] row = Arrays.stream(words.rows().row(keyword)).distinct().toArray();
            double all = Arrays.stream(row).mapToDouble(word -> weights[word]).sum();
            int best = -1;
            for (int word : row) {
                groupsOf.forEach(word, group -> shared[group] += weights[word]);
            }
            for (int word : row) {
                for (int g = 0; g < groupsOf.length(word); g++) {
                    int group = groupsOf.get(word, g);
                    String key = made.get(group).key();
                    boolean may = !hand.bars(keyword, key)
                            && !hand.locked().containsKey(key)
                            && mayJoin.test(keyword, group)
                            && !hand.decisions().joined().containsKey(key);
                    if (may && (best < 0 || nearer(group, best, shared, whole))) {
                        best = group;
                    }
                }
            }
            if (best >= 0 && all > 0 && shared[best] / all >= from - 1e-9) {
                draft.put(keyword, best, Grouping.By.PLACE);
            }
            for (int word : row) {
                groupsOf.forEach(word, group -> shared[group] = 0);
            }
        });
    }

    private boolean nearer(int group, int best, double[] shared, double[] whole) {
        if (Math.abs(shared[group] - shared[best]) > 1e-9) {
            return shared[group] > shared[best];
        }
        double ofGroup = shared[group] / whole[group];
        double ofBest = shared[best] / whole[best];
        if (Math.abs(ofGroup - ofBest) > 1e-9) {
            return ofGroup > ofBest;
        }
        return draft.made().get(group).key().compareTo(draft.made().get(best).key()) < 0;
    }
}

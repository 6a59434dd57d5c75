package smorgas.core.fold;

import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** The few best of many pairs of spellings: those of which the less searched one is searched most, then the first. */
final class SamplePairs {

    private static final int KEPT = 3;

    private final Spellings spellings;
    private final int @Nullable [][] best = new int[KEPT][];

    SamplePairs(Spellings spellings) {
        this.spellings = spellings;
    }

    void offer(int one, int other) {
        int[] moving = {one, other};
        for (int i = 0; i < KEPT; i++) {
            int[] there = best[i];
            if (there == null) {
                best[i] = moving;
                return;
            }
            if (weight(moving) > weight(there)) {
                best[i] = moving;
                moving = there;
            }
        }
    }

    private long weight(int[] pair) {
        return Math.min(spellings.twiceSearches(pair[0]), spellings.twiceSearches(pair[1]));
    }

    List<FoldSteps.Sample> found() {
        List<FoldSteps.Sample> samples = new ArrayList<>();
        for (int[] pair : best) {
            if (pair != null) {
                samples.add(new FoldSteps.Sample(spellings.text(pair[0]), spellings.text(pair[1])));
            }
        }
        return samples;
    }
}

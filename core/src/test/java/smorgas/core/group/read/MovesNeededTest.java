package smorgas.core.group.read;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Random;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.Test;

class MovesNeededTest {

    /** Manning, Raghavan, Schütze, Introduction to Information Retrieval, fig. 16.4: {5,1,0}, {1,4,1}, {2,0,3}; 12 of 17 match. */
    @Test
    void thePublishedClustersNeedFiveOfSeventeenMoved() {
        int[][] cells = {{5, 1, 0}, {1, 4, 1}, {2, 0, 3}};
        int[] found = new int[17];
        int[] wanted = new int[17];
        int at = 0;
        for (int row = 0; row < 3; row++) {
            for (int column = 0; column < 3; column++) {
                for (int i = 0; i < cells[row][column]; i++) {
                    found[at] = row;
                    wanted[at++] = column;
                }
            }
        }
        assertThat(MovesNeeded.share(found, wanted)).isCloseTo(5 / 17.0, Offset.offset(1e-12));
        assertThat(MovesNeeded.share(wanted, found)).isCloseTo(5 / 17.0, Offset.offset(1e-12));
    }

    @Test
    void nothingFoundByTryingEveryMatchingIsBetter() {
        Random random = new Random(7);
        for (int round = 0; round < 200; round++) {
            int[] found = random.ints(12, 0, 1 + random.nextInt(5)).toArray();
            int[] wanted = random.ints(12, 0, 1 + random.nextInt(5)).toArray();
            assertThat(MovesNeeded.share(found, wanted))
                    .isCloseTo(1 - most(found, wanted, 0, new boolean[5]) / 12.0, Offset.offset(1e-12));
        }
    }

    private static int most(int[] found, int[] wanted, int group, boolean[] taken) {
        if (group == 5) {
            return 0;
        }
        int best = most(found, wanted, group + 1, taken);
        for (int into = 0; into < 5; into++) {
            if (!taken[into]) {
                taken[into] = true;
                int shared = 0;
                for (int i = 0; i < found.length; i++) {
                    shared += found[i] == group && wanted[i] == into ? 1 : 0;
                }
                best = Math.max(best, shared + most(found, wanted, group + 1, taken));
                taken[into] = false;
            }
        }
        return best;
    }
}

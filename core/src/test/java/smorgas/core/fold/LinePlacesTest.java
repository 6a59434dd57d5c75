package smorgas.core.fold;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import smorgas.core.column.RaggedInts;

/** Lines of several baskets numbered one after the other, beside a list of whose each is. */
class LinePlacesTest {

    @Test
    void everyLineIsInItsBasketWhateverOnesAreEmpty() {
        Random random = new Random(4);
        for (int round = 0; round < 200; round++) {
            List<Integer> whose = new ArrayList<>();
            List<Integer> rows = new ArrayList<>();
            int baskets = 1 + random.nextInt(6);
            int[] starts = new int[baskets + 1];
            for (int basket = 0; basket < baskets; basket++) {
                int size = random.nextInt(4);
                for (int row = 0; row < size; row++) {
                    whose.add(basket);
                    rows.add(row);
                }
                starts[basket + 1] = starts[basket] + size;
            }
            LinePlaces places = new LinePlaces(starts);
            for (int line = 0; line < whose.size(); line++) {
                assertThat(places.basket(line)).isEqualTo(whose.get(line));
                assertThat(places.row(line, places.basket(line))).isEqualTo(rows.get(line));
            }
        }
    }

    @Test
    void aKeywordIsInAsManyBasketsAsItsLinesAreOf() {
        LinePlaces places = new LinePlaces(new int[] {0, 3, 3, 5, 9});
        RaggedInts lines = RaggedInts.made(4, (keyword, row) -> {
            int[][] of = {{0, 1, 2}, {0, 3, 8}, {4, 5, 6}, {}};
            for (int line : of[keyword]) {
                row.add(line);
            }
        });
        assertThat(places.counts(lines, 4)).containsExactly(1, 3, 2, 0);
    }
}

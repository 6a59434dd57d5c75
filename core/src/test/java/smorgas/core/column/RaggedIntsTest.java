package smorgas.core.column;

import static org.assertj.core.api.Assertions.assertThat;

import it.unimi.dsi.fastutil.ints.IntArrayList;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import java.util.TreeSet;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Rows in arrays, beside lists of lists. */
class RaggedIntsTest {

    private static List<int[]> drawn(int rows, int values, long seed) {
        Random random = new Random(seed);
        return IntStream.range(0, rows)
                .mapToObj(row -> random.ints(random.nextInt(6), 0, values).toArray())
                .toList();
    }

    private static RaggedInts built(List<int[]> rows) {
        RaggedInts.Builder builder = new RaggedInts.Builder();
        for (int[] row : rows) {
            Arrays.stream(row).forEach(builder::add);
            builder.endRow();
        }
        return builder.seal();
    }

    /** More rows than one core does, and fewer. */
    @ParameterizedTest
    @ValueSource(ints = {0, 1, 50, 30_000})
    void rowsAreWhatWasAddedHoweverTheyAreMade(int rows) {
        List<int[]> drawn = drawn(rows, 40, rows);
        RaggedInts built = built(drawn);
        RaggedInts made = RaggedInts.made(rows, (row, into) -> into.addElements(into.size(), drawn.get(row)));
        assertThat(built.size()).isEqualTo(rows);
        int start = 0;
        for (int row = 0; row < rows; row++) {
            int[] own = drawn.get(row);
            assertThat(built.row(row)).isEqualTo(own);
            assertThat(made.row(row)).isEqualTo(own);
            assertThat(built.start(row)).isEqualTo(start);
            start += own.length;
            IntArrayList each = new IntArrayList();
            built.forEach(row, each::add);
            assertThat(each.toIntArray()).isEqualTo(own);
            for (int place = 0; place < own.length; place++) {
                int number = own[place];
                assertThat(built.contains(row, number)).isTrue();
                assertThat(built.firstAt(row, place))
                        .isEqualTo(IntStream.range(0, place).noneMatch(before -> own[before] == number));
            }
            assertThat(built.contains(row, 40)).isFalse();
        }
    }

    /** Of few values and of so many that they are written in two parts. */
    @ParameterizedTest
    @ValueSource(ints = {30, 300_000})
    void theInverseTellsForEachValueItsRowsRisingAndOnce(int values) {
        List<int[]> drawn = drawn(5_000, values, 3);
        List<TreeSet<Integer>> expected = new ArrayList<>();
        IntStream.range(0, values).forEach(value -> expected.add(new TreeSet<>()));
        int[] names = IntStream.range(0, 5_000)
                .map(row -> row % 7 == 0 ? -1 : 2 * row)
                .toArray();
        List<TreeSet<Integer>> named = new ArrayList<>();
        IntStream.range(0, values).forEach(value -> named.add(new TreeSet<>()));
        for (int row = 0; row < drawn.size(); row++) {
            for (int value : drawn.get(row)) {
                expected.get(value).add(row);
                if (names[row] >= 0) {
                    named.get(value).add(names[row]);
                }
            }
        }
        RaggedInts inverse = built(drawn).inverse(values);
        RaggedInts withNames = built(drawn).inverse(values, names);
        for (int value = 0; value < values; value++) {
            assertThat(Arrays.stream(inverse.row(value)).boxed()).containsExactlyElementsOf(expected.get(value));
            assertThat(Arrays.stream(withNames.row(value)).boxed()).containsExactlyElementsOf(named.get(value));
        }
    }

    @Test
    void rowsByKeyLeaveOutWhatHasNoneAndOthersCanBeRenumbered() {
        RaggedInts byKey = RaggedInts.byKey(new int[] {2, -1, 0, 2, -5, 2}, 4);
        assertThat(IntStream.range(0, 4).mapToObj(byKey::row))
                .containsExactly(new int[] {2}, new int[0], new int[] {0, 3, 5}, new int[0]);
        RaggedInts renumbered = byKey.renumbered(new int[] {10, 11, 12, 13, 14, 15});
        assertThat(renumbered.row(2)).containsExactly(10, 13, 15);
        assertThat(byKey.row(2)).containsExactly(0, 3, 5);
    }
}

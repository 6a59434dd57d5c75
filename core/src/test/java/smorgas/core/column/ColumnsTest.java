package smorgas.core.column;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

/** Columns against lists of objects that do the same slowly. */
class ColumnsTest {

    private final Random random = new Random(11);

    private static List<List<Integer>> listed(RaggedInts rows) {
        return IntStream.range(0, rows.size())
                .mapToObj(row -> Arrays.stream(rows.row(row)).boxed().toList())
                .toList();
    }

    private static RaggedInts ragged(List<List<Integer>> rows) {
        RaggedInts.Builder builder = new RaggedInts.Builder();
        for (List<Integer> row : rows) {
            row.forEach(builder::add);
            builder.endRow();
        }
        return builder.seal();
    }

    private List<List<Integer>> rows(int count, int values) {
        List<List<Integer>> rows = new ArrayList<>();
        for (int i = 0; i < count; i++) {
            rows.add(random.ints(random.nextInt(6), 0, values).boxed().toList());
        }
        return rows;
    }

    @Test
    void raggedRowsComeBackAsTheyWereAdded() {
        List<List<Integer>> rows = rows(50, 9);
        RaggedInts ragged = ragged(rows);
        assertThat(listed(ragged)).isEqualTo(rows);
        for (int row = 0; row < rows.size(); row++) {
            assertThat(ragged.length(row)).isEqualTo(rows.get(row).size());
            List<Integer> visited = new ArrayList<>();
            ragged.forEach(row, visited::add);
            assertThat(visited).isEqualTo(rows.get(row));
        }
    }

    @Test
    void rowsMadeOnAllCoresAreTheSameAndRenumberedOnesKeepTheirPlaces() {
        for (int count : new int[] {0, 7, 20_000}) {
            List<List<Integer>> rows = rows(count, 40);
            RaggedInts made = RaggedInts.made(count, (row, values) -> values.addAll(rows.get(row)));
            assertThat(listed(made)).isEqualTo(rows);
            int[] twice = IntStream.range(0, 40).map(value -> 2 * value).toArray();
            assertThat(listed(made.renumbered(twice)))
                    .isEqualTo(rows.stream()
                            .map(row -> row.stream().map(value -> 2 * value).toList())
                            .toList());
        }
    }

    @Test
    void partsOfTheWorkCoverEveryRowOnce() {
        for (int rows : new int[] {0, 1, 7_999, 8_000, 100_003}) {
            java.util.concurrent.atomic.AtomicIntegerArray seen =
                    new java.util.concurrent.atomic.AtomicIntegerArray(rows);
            Cores.run(rows, (from, to) -> {
                for (int row = from; row < to; row++) {
                    seen.incrementAndGet(row);
                }
            });
            assertThat(IntStream.range(0, rows).map(seen::get)).allMatch(times -> times == 1);
        }
    }

    @Test
    void theInverseListsTheRowsOfEachValueOnceAndRising() {
        for (int round = 0; round < 50; round++) {
            // The last has so many values that all cores are at work.
            int values = round < 49 ? 1 + random.nextInt(12) : 300_000;
            List<List<Integer>> rows = rows(random.nextInt(30), values);
            int[] names = IntStream.range(0, rows.size())
                    .map(row -> row % 3 == 0 ? -1 : 2 * row)
                    .toArray();
            List<List<Integer>> inverse = listed(ragged(rows).inverse(values));
            List<List<Integer>> named = listed(ragged(rows).inverse(values, names));
            for (int value = 0; value < values; value++) {
                int its = value;
                List<Integer> having = IntStream.range(0, rows.size())
                        .filter(row -> rows.get(row).contains(its))
                        .boxed()
                        .toList();
                assertThat(inverse.get(value)).isEqualTo(having);
                assertThat(named.get(value))
                        .isEqualTo(having.stream()
                                .map(row -> names[row])
                                .filter(name -> name >= 0)
                                .toList());
            }
        }
    }

    @Test
    void rowsByKeyLeaveNegativeKeysOut() {
        int[] keys = {2, -1, 0, 2, 5, -1, 0};
        assertThat(listed(RaggedInts.byKey(keys, 6)))
                .containsExactly(List.of(2, 6), List.of(), List.of(0, 3), List.of(), List.of(), List.of(4));
    }

    @Test
    void aFigureColumnKeepsRangesAndTellsUnknownFromZero() {
        FigureColumn.Builder builder = new FigureColumn.Builder();
        List<long[]> figures = new ArrayList<>();
        for (int i = 0; i < 100; i++) {
            long low = random.nextInt(4) == 0 ? FigureColumn.UNKNOWN : random.nextInt(50);
            long high = low == FigureColumn.UNKNOWN || random.nextBoolean() ? low : low + random.nextInt(9);
            figures.add(new long[] {low, high});
            builder.add(low, high);
        }
        FigureColumn column = builder.seal();
        assertThat(column.size()).isEqualTo(100);
        for (int row = 0; row < 100; row++) {
            long[] figure = figures.get(row);
            boolean known = figure[0] != FigureColumn.UNKNOWN;
            assertThat(column.known(row)).isEqualTo(known);
            assertThat(column.low(row)).isEqualTo(figure[0]);
            assertThat(column.high(row)).isEqualTo(figure[1]);
            assertThat(column.twiceMiddle(row)).isEqualTo(known ? figure[0] + figure[1] : FigureColumn.UNKNOWN);
        }
    }

    @Test
    void aColumnWithoutRangesStaysOneWhenAPlainNumberFollows() {
        FigureColumn.Builder builder = FigureColumn.Builder.ofSize(3);
        builder.set(0, 7, 7);
        builder.set(2, 1, 5);
        builder.set(0, 9, 9);
        FigureColumn column = builder.seal();
        assertThat(List.of(column.low(0), column.high(0), column.low(2), column.high(2)))
                .containsExactly(9L, 9L, 1L, 5L);
        assertThat(column.known(1)).isFalse();
    }

    @Test
    void theDictionaryNumbersTextsInTheOrderTheyAreMet() {
        TextDictionary dictionary = new TextDictionary();
        assertThat(List.of(dictionary.intern("b"), dictionary.intern("a"), dictionary.intern("b")))
                .containsExactly(0, 1, 0);
        assertThat(dictionary.find("a")).isEqualTo(1);
        assertThat(dictionary.find("c")).isEqualTo(-1);
        assertThat(dictionary.text(1)).isEqualTo("a");
        assertThat(dictionary.size()).isEqualTo(2);
    }

    /** Against maps of lists and strings, on random sequences and words. */
    @Test
    void sequencesAndJoinedTextsAreFoundAsMapsFindThem() {
        Random random = new Random(12);
        IntSequences sequences = new IntSequences(1);
        Map<List<Integer>, Integer> numbers = new HashMap<>();
        for (int i = 0; i < 20_000; i++) {
            List<Integer> sequence =
                    random.ints(random.nextInt(5), -3, 12).boxed().toList();
            int[] padded = new int[8];
            for (int j = 0; j < sequence.size(); j++) {
                padded[j] = sequence.get(j);
            }
            int expected = numbers.computeIfAbsent(sequence, s -> numbers.size());
            assertThat(sequences.intern(padded, sequence.size())).isEqualTo(expected);
        }
        assertThat(sequences.size()).isEqualTo(numbers.size());

        TextDictionary words = new TextDictionary();
        Map<String, Integer> known = new HashMap<>();
        for (int i = 0; i < 400; i++) {
            String word = Integer.toString(random.nextInt(2_000), 3);
            known.put(word, words.intern(word));
        }
        known.forEach((front, first) -> known.forEach((back, second) ->
                assertThat(words.findJoined(first, second)).isEqualTo(known.getOrDefault(front + back, -1))));
    }
}

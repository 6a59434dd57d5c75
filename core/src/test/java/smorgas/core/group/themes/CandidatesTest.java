package smorgas.core.group.themes;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import smorgas.core.fold.FoldedWords;
import smorgas.core.group.engine.ThemeWords;
import smorgas.core.recipe.Rules;
import smorgas.core.recipe.group.GroupSettings;
import smorgas.core.recipe.group.Method;
import smorgas.core.recipe.group.Pass;
import smorgas.core.recipe.group.SameHere;

/** Frequent themes against published examples of frequent itemsets, and against counting them all. */
class CandidatesTest {

    private static final GroupSettings BARE = new GroupSettings(
            new Method.ByThemes(
                    List.of(Rules.NEWEST.settings().themes().passes().getFirst()),
                    smorgas.core.recipe.group.Rank.BY_KEYWORDS),
            false,
            GroupSettings.Ungrouped.APART,
            0,
            new TreeSet<>(),
            Set.of(),
            new TreeSet<>(),
            SameHere.NOTHING,
            Set.of());

    private static Map<String, Integer> frequent(List<String> texts, int support, boolean anyOrder, int longest) {
        ThemeWords words = new ThemeWords(FoldedWords.plain(texts), BARE, "en");
        int[] scope = IntStream.range(0, texts.size()).toArray();
        Candidates candidates = new Candidates(
                ScopeWords.of(words, scope),
                new long[scope.length],
                BARE,
                new Pass(support, 0, 0, 1, longest, anyOrder, 0),
                Rules.NEWEST.themes().mostWords());
        Map<String, Integer> found = new TreeMap<>();
        for (int c = 0; c < candidates.size(); c++) {
            found.put(words.text(candidates.words(c)), candidates.members(c));
        }
        // What each keyword says it has must come to the same counts.
        Map<String, Integer> counted = new TreeMap<>();
        for (int i = 0; i < texts.size(); i++) {
            candidates.of().forEach(i, c -> counted.merge(words.text(candidates.words(c)), 1, Integer::sum));
        }
        assertThat(counted).isEqualTo(found);
        return found;
    }

    /** Han and Kamber, Data Mining, nine transactions at support 2: 13 frequent sets. */
    @Test
    void theNineTransactions() {
        List<String> transactions =
                List.of("i1 i2 i5", "i2 i4", "i2 i3", "i1 i2 i4", "i1 i3", "i2 i3", "i1 i3", "i1 i2 i3 i5", "i1 i2 i3");
        Map<String, Integer> expected = new TreeMap<>(Map.of(
                "i1", 6, "i2", 7, "i3", 6, "i4", 2, "i5", 2, "i1 i2", 4, "i1 i3", 4, "i1 i5", 2, "i2 i3", 4, "i2 i4",
                2));
        expected.putAll(Map.of("i2 i5", 2, "i1 i2 i3", 2, "i1 i2 i5", 2));
        assertThat(frequent(transactions, 2, true, 5)).isEqualTo(expected).hasSize(13);
        // Of the pairs and triples those that stand side by side somewhere, with the counts of these places.
        assertThat(frequent(transactions, 2, false, 5))
                .isEqualTo(Map.of(
                        "i1",
                        6,
                        "i2",
                        7,
                        "i3",
                        6,
                        "i4",
                        2,
                        "i5",
                        2,
                        "i1 i2",
                        4,
                        "i2 i3",
                        4,
                        "i1 i3",
                        2,
                        "i2 i4",
                        2,
                        "i1 i2 i3",
                        2));
    }

    /** Agrawal and Srikant 1994, four transactions at support 2: nine sets. */
    @Test
    void theFourTransactions() {
        assertThat(frequent(List.of("i1 i3 i4", "i2 i3 i5", "i1 i2 i3 i5", "i2 i5"), 2, true, 5))
                .hasSize(9)
                .containsEntry("i2 i3 i5", 2)
                .containsEntry("i2 i5", 3);
    }

    /** Han, Pei and Yin 2000, five transactions at support 3: 18 sets, the largest of four items. */
    @Test
    void theFiveTransactions() {
        List<String> transactions = List.of("facdgimp", "abcflmo", "bfhjo", "bcksp", "afcelpmn").stream()
                .map(items ->
                        Arrays.stream(items.split("")).map(item -> "i" + item).collect(Collectors.joining(" ")))
                .toList();
        assertThat(frequent(transactions, 3, true, 5)).hasSize(18).containsEntry("ia ic if im", 3);
    }

    /** Against counting every set of every text. */
    @Test
    void asCountingThemAll() {
        Random random = new Random(4);
        for (int round = 0; round < 20; round++) {
            List<String> texts = new ArrayList<>();
            for (int i = 0; i < 60; i++) {
                texts.add(random.ints(1 + random.nextInt(7), 0, 14)
                        .mapToObj(n -> "w" + (char) ('a' + n))
                        .collect(Collectors.joining(" ")));
            }
            int support = 2 + random.nextInt(4);
            Map<String, Integer> all = new TreeMap<>();
            for (String text : texts) {
                List<String> items = List.copyOf(new TreeSet<>(List.of(text.split(" "))));
                for (int mask = 1; mask < 1 << items.size(); mask++) {
                    if (Integer.bitCount(mask) <= 3) {
                        int chosen = mask;
                        all.merge(
                                IntStream.range(0, items.size())
                                        .filter(i -> (chosen >> i & 1) == 1)
                                        .mapToObj(items::get)
                                        .collect(Collectors.joining(" ")),
                                1,
                                Integer::sum);
                    }
                }
            }
            all.values().removeIf(count -> count < support);
            assertThat(frequent(texts, support, true, 3)).isEqualTo(all);
            Set<String> runs = new HashSet<>(frequent(texts, support, false, 3).keySet());
            assertThat(runs)
                    .allMatch(run -> texts.stream()
                                    .filter(text -> (" " + text + " ").contains(" " + run + " "))
                                    .count()
                            >= support);
        }
    }
}

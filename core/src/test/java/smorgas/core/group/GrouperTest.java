package smorgas.core.group;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.TreeMap;
import java.util.TreeSet;
import org.junit.jupiter.api.Test;
import smorgas.core.fold.FoldedWords;
import smorgas.core.recipe.GroupSettings;
import smorgas.core.text.Words;

class GrouperTest {

    private static final GroupSettings STANDARD = GroupSettings.standard("en");

    private static Map<String, String> group(List<String> keywords, GroupSettings settings) {
        BitSet all = new BitSet();
        all.set(0, keywords.size());
        Grouping grouping = Grouper.group(FoldedWords.plain(keywords), all, settings);
        Map<String, String> themes = new TreeMap<>();
        for (int k = 0; k < keywords.size(); k++) {
            int group = grouping.groupOf(k);
            themes.put(keywords.get(k), group < 0 ? "" : grouping.theme(group));
        }
        return themes;
    }

    /** Phrases of things, qualifiers and buying words, drawn with a seed. */
    static List<String> drawn(int count, long seed) {
        Random random = new Random(seed);
        String[] things = {"hive stand", "hive", "smoker", "veil", "queen cage", "honey jar", "feeder", "glove"};
        String[] before = {"best", "cheap", "wooden", "large", "buy", "used", "two story", "plastic"};
        String[] after = {"for sale", "near me", "price", "kit", "uk", "for beginners", "with lid", ""};
        TreeSet<String> drawn = new TreeSet<>();
        while (drawn.size() < count) {
            String keyword =
                    before[random.nextInt(8)] + " " + things[random.nextInt(8)] + " " + after[random.nextInt(8)];
            drawn.add(keyword.strip() + (random.nextInt(3) == 0 ? " " + random.nextInt(40) : ""));
        }
        return new ArrayList<>(drawn);
    }

    @Test
    void groupsByTheWordsThatSayMost() {
        List<String> keywords = drawn(600, 1);
        Map<String, String> themes = group(keywords, STANDARD);
        assertThat(themes.get("best honey jar")).contains("honey jar");
        assertThat(themes.get("cheap smoker near me")).contains("smoker");
        assertThat(themes.values()).doesNotContain("for", "near", "near me", "for sale");
    }

    @Test
    void everyMemberHasItsThemeAndNoGroupIsTooSmall() {
        for (int smallest : new int[] {1, 2, 5, 20}) {
            GroupSettings settings = new GroupSettings(smallest, 1, 5, 0, STANDARD.stopWords(), new TreeSet<>());
            Map<String, String> themes = group(drawn(500, smallest), settings);
            Map<String, Integer> sizes = new HashMap<>();
            themes.forEach((keyword, theme) -> {
                assertThat(" " + keyword + " ").contains(theme.isEmpty() ? "" : " " + theme + " ");
                sizes.merge(theme, 1, Integer::sum);
            });
            sizes.remove("");
            assertThat(sizes.values()).allMatch(size -> size >= smallest);
        }
    }

    @Test
    void theOrderOfTheKeywordsDoesNotMatter() {
        List<String> keywords = drawn(700, 3);
        Map<String, String> themes = group(keywords, STANDARD);
        for (int seed = 0; seed < 5; seed++) {
            List<String> shuffled = new ArrayList<>(keywords);
            Collections.shuffle(shuffled, new Random(seed));
            assertThat(group(shuffled, STANDARD)).isEqualTo(themes);
        }
    }

    @Test
    void mutedWordsFormNoGroupAndStopWordsNoEdge() {
        GroupSettings muted = STANDARD.withMuted(new TreeSet<>(List.of("hive")));
        Map<String, String> themes = group(drawn(600, 5), muted);
        assertThat(themes.values()).noneMatch(theme -> Words.of(theme).contains("hive"));
        assertThat(themes.values().stream().filter(t -> !t.isEmpty()).map(Words::of))
                .noneMatch(words -> STANDARD.stopWords().contains(words.getFirst())
                        || STANDARD.stopWords().contains(words.getLast()));
    }

    @Test
    void lengthsAndTightnessBoundTheThemes() {
        List<String> keywords = drawn(600, 6);
        GroupSettings two = new GroupSettings(3, 2, 2, 0, STANDARD.stopWords(), new TreeSet<>());
        assertThat(group(keywords, two).values())
                .filteredOn(theme -> !theme.isEmpty())
                .isNotEmpty()
                .allMatch(theme -> Words.of(theme).size() == 2);
        GroupSettings same = new GroupSettings(1, 1, 5, 1, new TreeSet<>(), new TreeSet<>());
        group(keywords, same).forEach((keyword, theme) -> {
            if (!theme.isEmpty()) {
                assertThat(theme).isEqualTo(keyword);
            }
        });
    }

    @Test
    void nothingAndHostileTextGiveNoGroups() {
        assertThat(group(List.of(), STANDARD)).isEmpty();
        assertThat(group(List.of("a", "for the", "the"), STANDARD).values()).containsOnly("");
    }

    /**
     * Han and Kamber, Data Mining, the nine transactions at support 2 (references: 13 frequent sets). Written as texts
     * whose items stand in rising order, the frequent sets that stand next to each other somewhere must be candidates.
     */
    @Test
    void findsTheFrequentRunsOfAPublishedExample() {
        List<String> transactions =
                List.of("i1 i2 i5", "i2 i4", "i2 i3", "i1 i2 i4", "i1 i3", "i2 i3", "i1 i3", "i1 i2 i3 i5", "i1 i2 i3");
        BitSet all = new BitSet();
        all.set(0, transactions.size());
        Candidates candidates = new Candidates(
                FoldedWords.plain(transactions), all, new GroupSettings(2, 1, 5, 0, new TreeSet<>(), new TreeSet<>()));
        Map<String, Integer> found = new TreeMap<>();
        for (int c = 0; c < candidates.size(); c++) {
            found.put(candidates.textOf(c), candidates.members(c));
        }
        // Single items have the published support; of the pairs and triples those that are runs, with the runs' counts.
        assertThat(found)
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
}

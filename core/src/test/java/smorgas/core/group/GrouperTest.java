package smorgas.core.group;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.TreeSet;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import smorgas.core.column.FigureColumn;
import smorgas.core.figure.Figure;
import smorgas.core.fold.FoldedWords;
import smorgas.core.group.hand.Hand;
import smorgas.core.recipe.GroupsByHand;
import smorgas.core.recipe.Rules;
import smorgas.core.recipe.group.GroupSettings;
import smorgas.core.recipe.group.Method;
import smorgas.core.recipe.group.Pass;
import smorgas.core.recipe.group.Rank;
import smorgas.core.recipe.group.SameHere;
import smorgas.core.text.Words;

class GrouperTest {

    private static final GroupSettings STANDARD = Rules.NEWEST.settings().byThemes("en");

    private static Map<String, String> group(List<String> keywords, GroupSettings settings) {
        BitSet all = new BitSet();
        all.set(0, keywords.size());
        Grouping grouping = Grouper.group(
                GroupingInput.of(
                        FoldedWords.plain(keywords), all, "en", Rules.NEWEST.similarity(), Rules.NEWEST.themes()),
                settings);
        Map<String, String> themes = new TreeMap<>();
        for (int k = 0; k < keywords.size(); k++) {
            int group = grouping.groupOf(k);
            themes.put(keywords.get(k), group < 0 ? "" : grouping.key(group));
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

    private static Grouping grouping(List<String> keywords, GroupSettings settings) {
        BitSet all = new BitSet();
        all.set(0, keywords.size());
        return Grouper.group(
                GroupingInput.of(
                        FoldedWords.plain(keywords), all, "en", Rules.NEWEST.similarity(), Rules.NEWEST.themes()),
                settings);
    }

    private static GroupSettings pass(int smallest, int largest, int about, boolean anyOrder, double tightness) {
        return STANDARD.withPasses(new Pass(smallest, largest, about, 1, 5, anyOrder, tightness));
    }

    @Test
    void groupsByTheWordsThatSayMost() {
        List<String> keywords = drawn(600, 1);
        Map<String, String> themes = group(keywords, STANDARD);
        assertThat(themes.get("best honey jar")).contains("honey jar");
        assertThat(themes.get("cheap smoker near me")).contains("smoker");
        assertThat(themes.values()).doesNotContain("for", "near", "near me", "for sale", "best", "buy");
    }

    /** Over words in any order and side by side, several sizes, bounds and numbers. */
    @ParameterizedTest
    @CsvSource({
        "2, 0, 0, true, 0",
        "5, 0, 0, false, 0",
        "20, 0, 0, true, 0",
        "3, 12, 0, true, 0",
        "5, 10, 0, false, 0",
        "3, 0, 10, true, 0",
        "4, 40, 20, true, .4",
        "1, 2, 0, true, 0"
    })
    void everyKeywordIsInOneGroupOrLeftAndGroupsAreWithinTheirBounds(
            int smallest, int largest, int about, boolean anyOrder, double tightness) {
        List<String> keywords = drawn(500, smallest);
        Grouping grouping = grouping(keywords, pass(smallest, largest, about, anyOrder, tightness));
        int grouped = 0;
        int tooLarge = 0;
        for (int group = 0; group < grouping.size(); group++) {
            int size = grouping.members().length(group);
            grouped += size;
            assertThat(size).isGreaterThanOrEqualTo(smallest);
            tooLarge += largest > 0 && size > largest ? 1 : 0;
            List<String> theme = grouping.theme(group);
            grouping.members().forEach(group, k -> {
                assertThat(Words.of(keywords.get(k))).containsAll(theme);
                assertThat(grouping.tightness(k)).isBetween(tightness - 1e-9, 1.0);
                if (!anyOrder) {
                    assertThat(" " + keywords.get(k) + " ").contains(" " + String.join(" ", theme) + " ");
                }
            });
        }
        assertThat(grouped).isEqualTo(grouping.grouped()).isPositive();
        assertThat(grouped + grouping.ungrouped()).isEqualTo(keywords.size());
        if (about > 0 && largest == 0) {
            assertThat(grouping.size()).isLessThanOrEqualTo(about);
        }
        // The bound divides, and throws nobody out: what no narrower theme divides stays together.
        Grouping unbound = grouping(keywords, pass(smallest, 0, about, anyOrder, tightness));
        assertThat(grouped).isEqualTo(unbound.grouped());
        assertThat(tooLarge * 4).isLessThanOrEqualTo(grouping.size());
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
    void ignoredWordsFormNoGroupAndStopWordsNoEdge() {
        GroupSettings ignored = STANDARD.withIgnored(new TreeSet<>(List.of("hive")));
        assertThat(group(drawn(600, 5), ignored).values())
                .noneMatch(theme -> Words.of(theme).contains("hive"));
        List<String> openers =
                List.of("suit for queens", "veil for queens", "glove for queens", "box for queens", "s", "o s x");
        GroupSettings runs = pass(3, 0, 0, false, 0);
        assertThat(group(openers, runs))
                .containsEntry("veil for queens", "queens")
                .containsEntry("o s x", "");
        GroupSettings anywhere = new GroupSettings(
                new Method.ByThemes(
                        runs.themes(Rules.NEWEST.settings().themes()).passes(), Rank.BY_KEYWORDS),
                false,
                GroupSettings.Ungrouped.APART,
                0,
                runs.stopWords(),
                Set.of(),
                new TreeSet<>(),
                SameHere.NOTHING,
                Set.of());
        assertThat(group(openers, anywhere)).containsEntry("veil for queens", "for queens");
    }

    @Test
    void lengthsBoundTheThemesAndATightnessOfOneTakesOnlyTheSameWords() {
        List<String> keywords = drawn(600, 6);
        GroupSettings two = STANDARD.withPasses(new Pass(3, 0, 0, 2, 2, false, 0));
        assertThat(group(keywords, two).values())
                .filteredOn(theme -> !theme.isEmpty())
                .isNotEmpty()
                .allMatch(theme -> Words.of(theme).size() == 2);
        Map<String, String> same = group(keywords, pass(1, 0, 0, false, 1));
        assertThat(same.values()).anyMatch(theme -> !theme.isEmpty());
        same.forEach((keyword, theme) -> assertThat(theme).isIn("", keyword));
    }

    @Test
    void laterPassesTakeWhatEarlierOnesLeft() {
        List<String> keywords = drawn(400, 7);
        Pass two = new Pass(8, 0, 0, 2, 5, true, .5);
        Grouping first = grouping(keywords, STANDARD.withPasses(two));
        Grouping both = grouping(keywords, STANDARD.withPasses(two, new Pass(3, 0, 0, 1, 1, true, 0)));
        assertThat(both.ungrouped()).isLessThan(first.ungrouped());
        for (int k = 0; k < keywords.size(); k++) {
            if (first.groupOf(k) >= 0) {
                assertThat(both.key(both.groupOf(k))).isEqualTo(first.key(first.groupOf(k)));
            } else if (both.groupOf(k) >= 0) {
                assertThat(both.theme(both.groupOf(k))).hasSize(1);
            }
        }
    }

    @Test
    void furtherFormsAreOneWordWhereChosen() {
        List<String> keywords = List.of("keeping bees", "bees keeper", "keep bees", "bees keepers");
        assertThat(group(keywords, pass(4, 0, 0, true, 0)).values()).containsOnly("bees");
        GroupSettings forms = new GroupSettings(
                new Method.ByThemes(List.of(new Pass(3, 0, 0, 2, 2, true, 0)), Rank.BY_KEYWORDS),
                true,
                GroupSettings.Ungrouped.APART,
                0,
                new TreeSet<>(),
                Set.of(),
                new TreeSet<>(),
                SameHere.NOTHING,
                Set.of());
        assertThat(group(List.of("keeping bees", "bees keeps", "keep bees"), forms)
                        .values())
                .doesNotContain("");
    }

    private static Hand hand(SortedMap<Integer, String> placed, String... removed) {
        GroupsByHand decisions = new GroupsByHand(
                new LinkedHashMap<>(),
                new TreeSet<>(List.of(removed)),
                new TreeMap<>(),
                List.of(),
                new TreeMap<>(),
                new TreeMap<>(),
                new TreeMap<>(),
                new TreeMap<>(),
                new TreeMap<>(),
                new LinkedHashMap<>());
        return new Hand(decisions, placed, new TreeMap<>(), new TreeMap<>(), new TreeMap<>(), new TreeMap<>());
    }

    @Test
    void handsAndRulesComeBeforeTheEngineAndHoldUnderAnySetting() {
        List<String> keywords = drawn(300, 8);
        FoldedWords words = FoldedWords.plain(keywords);
        BitSet all = new BitSet();
        all.set(0, keywords.size());
        SortedMap<Integer, String> placed = new TreeMap<>(Map.of(0, "gifts", 1, "", 2, "hive stand"));
        BitSet ruled = new BitSet();
        ruled.set(2, 20);
        BitSet rest = (BitSet) all.clone();
        GroupingInput input = GroupingInput.of(
                words,
                all,
                Map.of(),
                "en",
                List.of(new RuleMembers("ruled", ruled, false), new RuleMembers("last", rest, true)),
                hand(placed, "smoker", "queen cage"),
                Rules.NEWEST.similarity(),
                Rules.NEWEST.themes());
        for (double tightness : new double[] {0, .3, .6, .9}) {
            Grouping grouping = Grouper.group(input, pass(3, 0, 0, true, tightness));
            assertThat(grouping.key(grouping.groupOf(0))).isEqualTo("gifts");
            assertThat(grouping.groupOf(1)).isEqualTo(Grouping.UNGROUPED);
            assertThat(grouping.key(grouping.groupOf(2))).isEqualTo("hive stand");
            assertThat(grouping.key(grouping.groupOf(3))).isEqualTo("ruled");
            assertThat(grouping.by(3)).isEqualTo(Grouping.By.RULE);
            assertThat(grouping.ungrouped()).isEqualTo(1);
            for (int group = 0; group < grouping.size(); group++) {
                assertThat(grouping.key(group)).isNotIn("smoker", "queen cage", "cage queen");
            }
        }
    }

    @Test
    void ungroupedArePlacedWhereTheyAreNearEnoughOrMakeOneGroup() {
        List<String> keywords =
                List.of("hive stand oak", "hive stand pine", "hive stand ash", "stand alone", "nothing alike", "hive");
        GroupSettings apart = pass(3, 0, 0, true, .4);
        Grouping before = grouping(keywords, apart);
        assertThat(before.ungrouped()).isEqualTo(3);
        Grouping placed = grouping(keywords, with(apart, GroupSettings.Ungrouped.PLACED, .3));
        assertThat(placed.key(placed.groupOf(3))).isEqualTo("hive stand");
        assertThat(placed.by(3)).isEqualTo(Grouping.By.PLACE);
        assertThat(placed.groupOf(4)).isEqualTo(Grouping.UNGROUPED);
        Grouping one = grouping(keywords, with(apart, GroupSettings.Ungrouped.ONE_GROUP, 0));
        assertThat(one.ungrouped()).isZero();
        assertThat(one.key(one.groupOf(4))).isEqualTo(Grouper.REST);
    }

    private static GroupSettings with(GroupSettings settings, GroupSettings.Ungrouped ungrouped, double from) {
        return new GroupSettings(
                new Method.ByThemes(
                        settings.themes(Rules.NEWEST.settings().themes()).passes(),
                        settings.themes(Rules.NEWEST.settings().themes()).rank()),
                false,
                ungrouped,
                from,
                settings.stopWords(),
                settings.stopAt(),
                settings.ignored(),
                SameHere.NOTHING,
                Set.of());
    }

    @Test
    void searchesDecideBetweenNearlyEqualThemesIfTheyAreToRank() {
        // Of the last one "stand" and "table" say nearly the same part.
        List<String> keywords = List.of(
                "stand a1", "stand a2", "stand a3", "stand a4", "table b1", "table b2", "table b3", "stand table c1");
        BitSet all = new BitSet();
        all.set(0, keywords.size());
        FigureColumn.Builder searches = new FigureColumn.Builder();
        for (int k = 0; k < keywords.size(); k++) {
            long of = keywords.get(k).startsWith("table") ? 900 : 10;
            searches.add(of, of);
        }
        GroupingInput input = GroupingInput.of(
                FoldedWords.plain(keywords),
                all,
                Map.of(Figure.SEARCHES, searches.seal()),
                "en",
                List.of(),
                Hand.NONE,
                Rules.NEWEST.similarity(),
                Rules.NEWEST.themes());
        GroupSettings runs = pass(3, 0, 0, false, 0);
        Grouping byCount = Grouper.group(input, runs);
        assertThat(byCount.key(byCount.groupOf(7))).isEqualTo("stand");
        Grouping bySearches = Grouper.group(
                input,
                new GroupSettings(
                        new Method.ByThemes(
                                runs.themes(Rules.NEWEST.settings().themes()).passes(), new Rank(0, 1, 0, 0, 0, 0)),
                        false,
                        GroupSettings.Ungrouped.APART,
                        0,
                        runs.stopWords(),
                        runs.stopAt(),
                        runs.ignored(),
                        SameHere.NOTHING,
                        Set.of()));
        assertThat(bySearches.key(bySearches.groupOf(7))).isEqualTo("table");
    }

    @Test
    void whoNoLongerWantsGroupsInterruptsTheSearch() {
        List<String> keywords = drawn(300, 8);
        GroupSettings settings = pass(3, 0, 0, true, 0);
        Thread.currentThread().interrupt();
        org.assertj.core.api.Assertions.assertThatThrownBy(() -> grouping(keywords, settings))
                .isInstanceOf(java.util.concurrent.CancellationException.class);
        assertThat(Thread.interrupted()).isTrue();
        assertThat(grouping(keywords, settings).size()).isPositive();
    }

    @Test
    void manyKeywordsOnAllCoresComeOutAsFewOnOne() {
        // Enough that the work is cut into parts; whatever their order, the same.
        List<String> keywords = new ArrayList<>();
        for (int i = 0; i < 12_000; i++) {
            keywords.add("thing" + i % 400 + " " + (i % 3 == 0 ? "red" : "blue") + " q" + i % 37 + " n" + i);
        }
        Map<String, String> one = group(keywords, STANDARD);
        List<String> other = new ArrayList<>(keywords);
        Collections.shuffle(other, new Random(3));
        assertThat(group(other, STANDARD)).isEqualTo(one);
        assertThat(new TreeSet<>(one.values())).hasSizeGreaterThan(300);
    }

    @Test
    void nothingAndHostileTextGiveNoGroups() {
        assertThat(group(List.of(), STANDARD)).isEmpty();
        assertThat(group(List.of("a", "for the", "the"), STANDARD).values()).containsOnly("");
        String endless = "w0 w1 w2 w3 w4 w5 w6 w7 w8 w9 ".repeat(8).strip();
        assertThat(group(List.of(endless, endless + " x", endless + " y"), STANDARD)
                        .values())
                .doesNotContain("");
    }
}

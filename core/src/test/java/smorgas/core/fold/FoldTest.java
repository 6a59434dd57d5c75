package smorgas.core.fold;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.TreeSet;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import smorgas.core.column.FigureColumn;
import smorgas.core.column.TextDictionary;
import smorgas.core.figure.Computed;
import smorgas.core.figure.Figure;
import smorgas.core.figure.Merge;
import smorgas.core.gather.Lines;
import smorgas.core.gather.TestLists;
import smorgas.core.recipe.BasketEntry;
import smorgas.core.recipe.Entry;
import smorgas.core.recipe.FoldEntry;
import smorgas.core.recipe.Recipe;
import smorgas.core.recipe.gather.Asked;
import smorgas.core.recipe.gather.BasketInfo;
import smorgas.core.recipe.gather.BasketInfo.Kind;
import smorgas.core.recipe.gather.BasketState;
import smorgas.core.recipe.gather.ReadAs;
import smorgas.core.recipe.sift.Bounds;
import smorgas.core.recipe.sift.Condition;
import smorgas.core.sift.Matcher;

class FoldTest {

    @ParameterizedTest
    @CsvSource({
        "LARGEST, 1000, 9000",
        "BEST, 40, 40",
        "FIRST, 300, 300",
        "LATEST, 40, 40",
        "AVERAGE, 447, 3113",
        "SUM, 1340, 9340"
    })
    void figuresMergeAsChosenAndRangesKeepTheirEnds(Merge merge, long low, long high) {
        List<Entry> all = Arrays.stream(Figure.values())
                .<Entry>map(figure -> new FoldEntry.MergeChosen(figure, merge))
                .toList();
        Keywords keywords = Folder.fold(
                List.of(
                        TestLists.lines(1, "keyword,searches\nbee hive,300\nbee suit,7\n"),
                        TestLists.lines(2, "keyword,searches\nbee hive,1K-9K\nbee hive,\n"),
                        TestLists.lines(3, "keyword,searches\nBee  Hive,40\n")),
                Recipe.of(all, "en").folding());
        FigureColumn searches = keywords.figure(Figure.SEARCHES).orElseThrow();
        int hive = keywords.find("bee hive").orElseThrow();
        assertThat(List.of(searches.low(hive), searches.high(hive))).containsExactly(low, high);
        // One line alone gives what it says, whatever the policy.
        assertThat(searches.low(keywords.find("bee suit").orElseThrow())).isEqualTo(7);
    }

    @Test
    void aBasketThatOnlyTellsGivesFiguresAndBringsNoKeyword() {
        Lines brought = TestLists.lines(1, "keyword,searches\nbee hive,300\nbee suit,7\n");
        Lines told = TestLists.lines(2, "keyword,searches,clicks\nbee hives,9000,12\nqueen cage,50,1\n")
                .bringing(false);
        Keywords keywords = Folder.fold(List.of(brought, told));
        assertThat(keywords.size()).isEqualTo(2);
        assertThat(keywords.find("queen cage")).isEmpty();
        int hive = keywords.find("bee hive").orElseThrow();
        assertThat(keywords.text(hive)).as("what only tells never leads").isEqualTo("bee hive");
        assertThat(keywords.figure(Figure.CLICKS).orElseThrow().low(hive)).isEqualTo(12);
        assertThat(keywords.figure(Figure.SEARCHES).orElseThrow().low(hive)).isEqualTo(9000);
        assertThat(keywords.linesInUse()).isEqualTo(2);
        FoldSteps stair = FoldReport.of(keywords).steps();
        assertThat(stair.lines()).isEqualTo(2);
        assertThat(stair.cleaned() + stair.byHand()).isZero();
        assertThat(Overlap.of(keywords).added().get(1).keywords()).isEqualTo(1);
        // A hand that takes it apart makes it no keyword either.
        Recipe apart = Recipe.of(List.of(new FoldEntry.SpellingsTakenOut(List.of("bee hives"))), "en");
        assertThat(Folder.fold(List.of(brought, told), apart.folding()).size()).isEqualTo(2);
    }

    @Test
    void everyFigureSaysWhyItIsMergedAsItIs() {
        for (Figure figure : Figure.values()) {
            assertThat(figure.because().toString()).isNotBlank().doesNotEndWith(".");
        }
        Map<Figure, Merge> merges = Recipe.empty("en").folding().merges();
        assertThat(merges).hasSize(Figure.values().length);
        assertThat(List.of(
                        merges.get(Figure.SEARCHES),
                        merges.get(Figure.CPC),
                        merges.get(Figure.HIGH_BID),
                        merges.get(Figure.POSITION)))
                .containsExactly(Merge.LARGEST, Merge.LATEST, Merge.LATEST, Merge.BEST);
        Recipe chosen = Recipe.of(List.of(new FoldEntry.MergeChosen(Figure.CPC, Merge.AVERAGE)), "en");
        assertThat(chosen.folding().merges()).containsEntry(Figure.CPC, Merge.AVERAGE);
    }

    /** Against counting with sets, on random baskets. */
    @Test
    void overlapsAreWhatPlainSetsGive() {
        Random random = new Random(17);
        for (int round = 0; round < 30; round++) {
            int baskets = 1 + random.nextInt(6);
            List<Lines> lists = new ArrayList<>();
            List<Set<String>> sets = new ArrayList<>();
            for (int b = 0; b < baskets; b++) {
                Set<String> set = new TreeSet<>();
                StringBuilder text = new StringBuilder("keyword,searches\n");
                for (int i = 0; i < random.nextInt(30); i++) {
                    String keyword = "k" + random.nextInt(20);
                    set.add(keyword);
                    text.append(keyword)
                            .append(',')
                            .append(keyword.substring(1))
                            .append('\n');
                }
                lists.add(TestLists.lines(b, text.toString()));
                sets.add(set);
            }
            Overlap overlap = Overlap.of(Folder.fold(lists));
            Map<BitSet, Integer> expected = new HashMap<>();
            Set<String> all = new HashSet<>();
            sets.forEach(all::addAll);
            for (String keyword : all) {
                BitSet in = new BitSet();
                for (int b = 0; b < baskets; b++) {
                    in.set(b, sets.get(b).contains(keyword));
                }
                expected.merge(in, 1, Integer::sum);
            }
            Map<BitSet, Integer> found = new HashMap<>();
            overlap.combinations().forEach(c -> found.put(c.places(), c.keywords()));
            assertThat(found).isEqualTo(expected);
            for (int a = 0; a < baskets; a++) {
                long searches = sets.get(a).stream()
                        .mapToLong(k -> Long.parseLong(k.substring(1)))
                        .sum();
                assertThat(overlap.added().get(a).searches().sum()).isEqualTo(searches);
                for (int b = 0; b < baskets; b++) {
                    Set<String> both = new HashSet<>(sets.get(a));
                    both.retainAll(sets.get(b));
                    assertThat(overlap.shared(a, b)).isEqualTo(both.size());
                }
            }
        }
    }

    private static Lines of(long basket, String competitor, String text) {
        BasketInfo info = new BasketInfo("list " + basket, Kind.COMPETITOR, "", competitor, "", "", "", "");
        return TestLists.lines(basket, text).described(info);
    }

    @Test
    void twoListsOfOneCompetitorAreOneCompetitor() {
        Keywords keywords = Folder.fold(List.of(
                of(1, "Otterwick", "bee hive\nbee suit\nveil\n"),
                of(2, "Otterwick", "bee hive\nbee suit\n"),
                of(3, "Brumvale", "bee suit\n"),
                TestLists.lines(4, "veil\nbee hive\n")));
        BitSet two = new Matcher(keywords).match(new Condition.Count(Computed.COMPETITORS, Bounds.from(2)));
        assertThat(two.stream().mapToObj(keywords::text)).containsExactly("bee suit");
        BitSet only = new Matcher(keywords).match(new Condition.InExactly(new TreeSet<>(List.of("list 1", "list 4"))));
        assertThat(only.stream().mapToObj(keywords::text)).containsExactly("veil");
    }

    @Test
    void aNewerVersionIsComparedByMeaning() {
        Lines older = TestLists.lines(1, "keyword,searches\nbee hive,10\nbee suit,20\nveil,5\n");
        Lines newer = TestLists.lines(2, "keyword,searches,cpc\nBEE HIVE,10,\nbee suit,30,\nsmoker,1,\n[veil],5,0.2\n");
        assertThat(Versions.compare(older, newer)).isEqualTo(new Versions(1, 0, 2));
        assertThat(Versions.compare(newer, older)).isEqualTo(new Versions(0, 1, 2));
        assertThat(Versions.compare(older, older)).isEqualTo(new Versions(0, 0, 0));
    }

    @Test
    void entriesAboutBasketsComeToTheirState() {
        ReadAs read = new ReadAs("KOI8-R", "", "", -1, List.of());
        Recipe recipe = Recipe.of(
                List.of(
                        new BasketEntry.BasketAdded(1, "a"),
                        new BasketEntry.BasketAdded(2, "b"),
                        new BasketEntry.BasketAdded(3, "c"),
                        new BasketEntry.BasketSwitched(2, "b", false),
                        new BasketEntry.BasketReadAs(3, "c", read),
                        new BasketEntry.BasketDescribed(2, BasketInfo.of("new name", Kind.PLANNER)),
                        new BasketEntry.BasketRenewed(1, 9, "a", Asked.NOTHING, false),
                        new BasketEntry.BasketRemoved(3, "c"),
                        new BasketEntry.BasketSwitched(77, "never there", true)),
                "en");
        assertThat(recipe.gathering().baskets()).extracting(BasketState::basket).containsExactly(9L, 2L);
        assertThat(recipe.gathering().baskets().getLast().on()).isFalse();
        assertThat(recipe.gathering().baskets().getLast().name()).isEqualTo("new name");
        assertThat(recipe.gathering().baskets().getFirst().readAs()).isEqualTo(ReadAs.FOUND);
    }

    /** The dictionary against a map, with parts of texts, colliding hashes and growth. */
    @Test
    void theDictionaryAgreesWithAMap() {
        Random random = new Random(23);
        TextDictionary dictionary = new TextDictionary();
        Map<String, Integer> map = new HashMap<>();
        // "Aa" and "BB" have one hash, and so have all words made of them.
        String[] parts = {"Aa", "BB", "x", "y ", "é", ""};
        for (int i = 0; i < 20_000; i++) {
            StringBuilder text = new StringBuilder();
            for (int p = random.nextInt(8); p >= 0; p--) {
                text.append(parts[random.nextInt(parts.length)]);
            }
            int start = random.nextInt(text.length() + 1);
            String part = text.substring(start);
            Integer known = map.putIfAbsent(part, map.size());
            int number = random.nextBoolean()
                    ? dictionary.intern(part)
                    : dictionary.intern(text.toString(), start, text.length());
            assertThat(number).isEqualTo(known == null ? map.size() - 1 : known);
            assertThat(dictionary.text(number)).isEqualTo(part);
        }
        assertThat(dictionary.size()).isEqualTo(map.size());
        assertThat(dictionary.find("never")).isEqualTo(-1);
    }
}

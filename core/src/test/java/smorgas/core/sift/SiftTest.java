package smorgas.core.sift;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.TreeMap;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import smorgas.core.fold.Folder;
import smorgas.core.fold.Keywords;
import smorgas.core.gather.TestLists;
import smorgas.core.recipe.Entry;
import smorgas.core.recipe.Folding;
import smorgas.core.recipe.Recipe;
import smorgas.core.recipe.Rules;
import smorgas.core.recipe.SiftEntry;
import smorgas.core.recipe.sift.Condition;
import smorgas.core.recipe.sift.Rule;
import smorgas.core.recipe.sift.Status;

class SiftTest {

    /** Nothing but tidying, so that each text is a keyword. */
    private static final Folding TIDIED = Folding.standard("en", Rules.NEWEST).with(Set.of());

    private static final Keywords KEYWORDS =
            Folder.fold(List.of(TestLists.lines(1, """
            keyword,searches
            comb honey,1K - 10K
            beard combination,900
            honey comb,40
            Bee Hive,
            c++ hive,0
            """), TestLists.lines(2, "bee hive\nqueen's cage\n")), TIDIED);

    private static final Matcher MATCHER = new Matcher(KEYWORDS);

    private static List<String> texts(BitSet found) {
        return found.stream().mapToObj(KEYWORDS::text).toList();
    }

    private record Asked(Condition condition, String sentence, List<String> found) {}

    static List<Asked> conditions() {
        Condition comb = new Condition.HasWord("Comb");
        return List.of(
                // Whole words: "comb" never means "combination".
                new Asked(comb, "with the word \"Comb\"", List.of("comb honey", "honey comb")),
                new Asked(
                        new Condition.HasText("COMB"),
                        "with \"COMB\" in them",
                        List.of("comb honey", "beard combination", "honey comb")),
                new Asked(
                        new Condition.InBasket("list 2"), "in basket \"list 2\"", List.of("bee hive", "queen's cage")),
                // The range counts by its middle; unknown is not zero.
                new Asked(Condition.searchesFrom(1_000), "with 1,000 searches and more", List.of("comb honey")),
                new Asked(
                        Condition.searchesFrom(0),
                        "with 0 searches and more",
                        List.of("comb honey", "beard combination", "honey comb", "c++ hive")),
                new Asked(
                        new Condition.AllOf(List.of(comb, Condition.searchesFrom(100))),
                        "with the word \"Comb\" and with 100 searches and more",
                        List.of("comb honey")),
                new Asked(new Condition.HasWord("wasp"), "with the word \"wasp\"", List.of()),
                new Asked(
                        new Condition.AllOf(List.of()),
                        "of any kind",
                        List.of(
                                "comb honey",
                                "beard combination",
                                "honey comb",
                                "bee hive",
                                "c++ hive",
                                "queen's cage")));
    }

    @ParameterizedTest
    @MethodSource("conditions")
    void aConditionFindsItsKeywordsAndReadsAsASentence(Asked asked) {
        assertThat(texts(MATCHER.match(asked.condition()))).containsExactlyElementsOf(asked.found());
        assertThat(asked.condition().sentence()).hasToString(asked.sentence());
    }

    @Test
    void aViewMayAskForAStatus() {
        Statuses statuses =
                Judge.judge(MATCHER, intent -> new BitSet(), Map.of("bee hive", Status.KEPT), Map.of(), List.of());
        assertThat(texts(MATCHER.match(
                        new Condition.Stands(Status.KEPT),
                        new ConditionContext(
                                statuses::with,
                                statuses.tags()::with,
                                intent -> new BitSet(),
                                name -> new BitSet(),
                                fact -> smorgas.core.column.Numbers.none()))))
                .containsExactly("bee hive");
    }

    private static Rule drop(int number, String word) {
        return new Rule(number, new Condition.HasWord(word), Status.DROPPED);
    }

    @Test
    void reasonsNameTheRuleTheHandOrNobody() {
        Statuses statuses = Judge.judge(
                MATCHER,
                intent -> new BitSet(),
                Map.of("honey comb", Status.KEPT, "gone", Status.KEPT),
                Map.of(),
                List.of(drop(4, "comb")));
        assertThat(statuses.reason(KEYWORDS.find("comb honey").orElseThrow()).sentence())
                .hasToString("rule 4: Drop keywords with the word \"comb\"");
        assertThat(statuses.reason(KEYWORDS.find("honey comb").orElseThrow()).sentence())
                .hasToString("by hand");
        assertThat(statuses.reason(KEYWORDS.find("bee hive").orElseThrow()).sentence())
                .hasToString("not judged yet");
        assertThat(List.of(
                        statuses.figures().getFirst().touched(),
                        statuses.figures().getFirst().decided(),
                        statuses.lostDecisions()))
                .containsExactly(2, 1, 1);
        assertThat(statuses.count(Status.DROPPED)).isEqualTo(1);
        assertThat(statuses.remaining().cardinality()).isEqualTo(KEYWORDS.size() - 1);
    }

    @Test
    void anUndecidedDecisionBeatsARuleToo() {
        Statuses statuses = Judge.judge(
                MATCHER,
                intent -> new BitSet(),
                Map.of("comb honey", Status.UNDECIDED),
                Map.of(),
                List.of(drop(1, "comb")));
        assertThat(statuses.of(KEYWORDS.find("comb honey").orElseThrow())).isEqualTo(Status.UNDECIDED);
    }

    /** The counts of words against counting with a map, on random keywords. */
    @Test
    void theCommonestWordsAreThoseThatAPlainCountGives() {
        Random random = new Random(3);
        for (int round = 0; round < 40; round++) {
            StringBuilder list = new StringBuilder();
            for (int i = 0; i < 60; i++) {
                for (int word = 0; word < 1 + random.nextInt(4); word++) {
                    list.append((char) ('a' + random.nextInt(14))).append("w ");
                }
                list.append('\n');
            }
            Keywords keywords = Folder.fold(List.of(TestLists.lines(1, list.toString())));
            Statuses statuses = Judge.judge(
                    new Matcher(keywords),
                    intent -> new BitSet(),
                    Map.of(),
                    Map.of(),
                    List.of(drop(1, "aw"), drop(2, "bw")));
            BitSet view = new BitSet();
            Map<String, Integer> counts = new TreeMap<>();
            for (int k = 0; k < keywords.size(); k++) {
                if (random.nextInt(3) > 0) {
                    view.set(k);
                    List.of(keywords.text(k).split(" ")).stream()
                            .distinct()
                            .forEach(word -> counts.merge(word, 1, Integer::sum));
                }
            }
            List<String> expected = new ArrayList<>(counts.keySet());
            expected.sort(
                    Comparator.comparing((String word) -> -counts.get(word)).thenComparing(Comparator.naturalOrder()));
            int most = 1 + random.nextInt(20);
            List<WordCounts.WordCount> found = WordCounts.of(
                            view, new Phrases(keywords), statuses, Set.of(), WordCounts.Asked.words(most))
                    .words();
            assertThat(found)
                    .extracting(WordCounts.WordCount::word)
                    .containsExactlyElementsOf(expected.subList(0, Math.min(most, expected.size())));
            assertThat(found).allSatisfy(count -> {
                assertThat(count.count()).isEqualTo(counts.get(count.word()));
                assertThat(count.kept() + count.undecided() + count.dropped()).isEqualTo(count.count());
                if (count.word().equals("aw")) {
                    assertThat(count.dropped()).isEqualTo(count.count());
                }
            });
        }
    }

    /** Two decisions can meet in one keyword when it is folded otherwise than when they were made. */
    @Test
    void ofTwoDecisionsThatMeetInOneKeywordTheLaterWins() {
        List<Entry> entries = new ArrayList<>(List.of(
                new SiftEntry.Judged(List.of("bee hives"), Status.DROPPED),
                new SiftEntry.Judged(List.of("bee hive"), Status.KEPT)));
        Keywords folded = Folder.fold(List.of(TestLists.lines(1, "bee hive\nbee hives\n")));
        assertThat(folded.size()).isEqualTo(1);
        Recipe recipe = Recipe.of(entries, "en");
        assertThat(Judge.judge(
                                new Matcher(folded),
                                intent -> new BitSet(),
                                recipe.sifting().decisions(),
                                Map.of(),
                                List.of())
                        .of(0))
                .isEqualTo(Status.KEPT);

        entries.add(new SiftEntry.Judged(List.of("bee hives"), Status.DROPPED));
        Recipe later = Recipe.of(entries, "en");
        assertThat(Judge.judge(
                                new Matcher(folded),
                                intent -> new BitSet(),
                                later.sifting().decisions(),
                                Map.of(),
                                List.of())
                        .of(0))
                .isEqualTo(Status.DROPPED);
        assertThat(later.sifting().judgesAs(recipe.sifting())).isFalse();
    }
}

package smorgas.core.group.similarity;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.Collections;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import smorgas.core.fold.FoldedWords;
import smorgas.core.group.Grouper;
import smorgas.core.group.Grouping;
import smorgas.core.group.GroupingInput;
import smorgas.core.group.engine.Dial;
import smorgas.core.group.engine.MeaningVectors;
import smorgas.core.group.engine.MemoryLimit;
import smorgas.core.group.engine.Nearness;
import smorgas.core.group.same.SameWords;
import smorgas.core.language.WordForms;
import smorgas.core.recipe.Rules;
import smorgas.core.recipe.StandardSettings;
import smorgas.core.recipe.group.GroupRule;
import smorgas.core.recipe.group.GroupSettings;
import smorgas.core.recipe.group.Method;
import smorgas.core.recipe.group.SimilarityRules;
import smorgas.core.text.Refusal;

class SimilarityTest {

    private static final StandardSettings USUAL = Rules.NEWEST.settings();
    private static final SimilarityRules SIMILARITY = Rules.NEWEST.similarity();

    private static final List<String> SHOES = List.of(
            "climbing shoes",
            "buy climbing shoes",
            "climbing shoes online",
            "climing shoes",
            "climbing shoe",
            "cheap climbing shoes",
            "climbing shoes sale",
            "discount climbing shoes",
            "affordable climbing shoes",
            "womens climbing shoes",
            "climbing shoes for women",
            "ladies climbing shoes",
            "best climbing shoes",
            "climbing shoes reviews",
            "top rated climbing shoes",
            "how to clean climbing shoes",
            "how to wash climbing shoes",
            "chalk bag",
            "chalkbag",
            "chalk bags",
            "buy chalk bag",
            "crash pad",
            "crashpad",
            "cheap crash pad",
            "crash pad sale",
            "60m rope",
            "60 m rope",
            "rope 60m",
            "70m rope",
            "rope 70 m");

    private static Grouping group(List<String> keywords, Method method, String language) {
        BitSet all = new BitSet();
        all.set(0, keywords.size());
        return Grouper.group(
                GroupingInput.of(FoldedWords.plain(keywords), all, language, SIMILARITY, Rules.NEWEST.themes()),
                USUAL.byThemes(language).with(method));
    }

    private static Set<Set<String>> sets(List<String> keywords, Grouping grouping) {
        return IntStream.range(0, grouping.size())
                .mapToObj(group -> Arrays.stream(grouping.members().row(group))
                        .mapToObj(keywords::get)
                        .collect(Collectors.toSet()))
                .collect(Collectors.toSet());
    }

    @Test
    void pricesAudiencesJudgementsAndQuestionsPartAndSpellingsDoNot() {
        Set<Set<String>> groups = sets(SHOES, group(SHOES, USUAL.similarity(), "en"));
        assertThat(groups)
                .contains(
                        Set.of(
                                "climbing shoes",
                                "buy climbing shoes",
                                "climbing shoes online",
                                "climing shoes",
                                "climbing shoe"),
                        Set.of("womens climbing shoes", "climbing shoes for women", "ladies climbing shoes"),
                        Set.of("best climbing shoes", "climbing shoes reviews", "top rated climbing shoes"),
                        Set.of("how to clean climbing shoes", "how to wash climbing shoes"),
                        Set.of("chalk bag", "chalkbag", "chalk bags", "buy chalk bag"),
                        Set.of("60m rope", "60 m rope", "rope 60m"),
                        Set.of("70m rope", "rope 70 m"));
    }

    @Test
    void partsOfCompoundsAreWords() {
        List<String> sheds = List.of(
                "gartenhaus metall",
                "metallgartenhaus",
                "gartenhaus aus metall",
                "gartenhaus kosten",
                "was kostet ein gartenhaus",
                "gartenhauskosten",
                "hochbeet",
                "hochbeet kaufen",
                "gewächshaus",
                "gewächshaus kaufen");
        assertThat(sets(sheds, group(sheds, USUAL.similarity(), "de")))
                .contains(
                        Set.of("gartenhaus metall", "metallgartenhaus", "gartenhaus aus metall"),
                        Set.of("gartenhaus kosten", "was kostet ein gartenhaus", "gartenhauskosten"),
                        Set.of("hochbeet", "hochbeet kaufen"));
    }

    @Test
    void aGroupGoesByAKeywordThatSaysItsThemeAndNothingElse() {
        Grouping grouping = group(SHOES, USUAL.similarity(), "en");
        assertThat(IntStream.range(0, grouping.size()).mapToObj(grouping::key))
                .contains("climbing shoe", "chalkbag")
                .doesNotHaveDuplicates();
        int women = grouping.groupOf(SHOES.indexOf("ladies climbing shoes"));
        assertThat(grouping.key(women))
                .isIn("womens climbing shoes", "climbing shoes for women", "ladies climbing shoes");
    }

    @Test
    void theResultIsTheSameForAnyOrder() {
        Set<Set<String>> inOrder = sets(SHOES, group(SHOES, USUAL.similarity(), "en"));
        for (int seed = 1; seed <= 5; seed++) {
            List<String> turned = new ArrayList<>(SHOES);
            Collections.shuffle(turned, new Random(seed));
            assertThat(sets(turned, group(turned, USUAL.similarity(), "en"))).isEqualTo(inOrder);
        }
    }

    @Test
    void tighterGroupsAreWholeInBroaderOnesAndTheDialSaysHowManyThereAre() {
        Set<Set<String>> broader = Set.of(new HashSet<>(SHOES));
        Dial dial = group(SHOES, USUAL.similarity(), "en").dial();
        for (int place = 0; place <= 100; place += 10) {
            Grouping grouping = group(SHOES, new Method.BySimilarity(place, 2, 0, false, 100_000), "en");
            Set<Set<String>> groups = sets(SHOES, grouping);
            Set<Set<String>> around = broader;
            assertThat(groups).allMatch(one -> around.stream().anyMatch(broad -> broad.containsAll(one)));
            int at = place;
            assertThat(dial.points())
                    .filteredOn(point -> point.place() == at)
                    .containsExactly(new Dial.Point(place, grouping.size(), grouping.ungrouped()));
            broader = groups.isEmpty() ? broader : groups;
        }
        assertThat(group(SHOES, new Method.BySimilarity(100, 1, 0, false, 100_000), "en")
                        .size())
                .isEqualTo(SHOES.size());
    }

    @ParameterizedTest
    @CsvSource({"2, 3", "2, 4", "3, 5", "1, 2"})
    void whatIsTooLargeIsDividedAndNoKeywordIsThrownOut(int smallest, int largest) {
        Grouping whole = group(SHOES, new Method.BySimilarity(40, smallest, 0, false, 100_000), "en");
        Grouping divided = group(SHOES, new Method.BySimilarity(40, smallest, largest, false, 100_000), "en");
        for (int group = 0; group < divided.size(); group++) {
            assertThat(divided.members().length(group)).isLessThanOrEqualTo(largest);
        }
        for (int keyword = 0; keyword < SHOES.size(); keyword++) {
            if (whole.groupOf(keyword) >= 0) {
                assertThat(divided.groupOf(keyword)).as(SHOES.get(keyword)).isGreaterThanOrEqualTo(0);
            }
        }
    }

    @Test
    void aMixedBagIsNotTight() {
        Grouping broad = group(SHOES, new Method.BySimilarity(0, 2, 0, false, 100_000), "en");
        Grouping tight = group(SHOES, USUAL.similarity(), "en");
        int mixed = broad.groupOf(0);
        assertThat(broad.members().length(mixed)).isGreaterThan(15);
        assertThat(broad.meanTightness(mixed)).isLessThan(.48);
        assertThat(tight.meanTightness(tight.groupOf(SHOES.indexOf("70m rope"))))
                .isGreaterThan(.8);
    }

    @Test
    void nothingOneAllAlikeAllDifferentAndManyOfOneWordGiveAResult() {
        assertThat(group(List.of(), USUAL.similarity(), "en").size()).isZero();
        assertThat(group(List.of("hive"), USUAL.similarity(), "en").ungrouped()).isEqualTo(1);
        assertThat(group(List.of("hive", "smoker", "veil"), USUAL.similarity(), "en")
                        .ungrouped())
                .isEqualTo(3);
        assertThat(group(List.of("the", "of", "?!"), USUAL.similarity(), "en").keywords())
                .isEqualTo(3);
        List<String> alike = List.of("hive", "hives", "buy hive", "hive online");
        assertThat(group(alike, USUAL.similarity(), "en").size()).isEqualTo(1);
        List<String> many =
                IntStream.range(0, 500).mapToObj(i -> "hive part " + i).toList();
        assertThat(group(many, USUAL.similarity(), "en").keywords()).isEqualTo(500);
    }

    @ParameterizedTest
    @ValueSource(ints = {1, 2, 3, 4})
    void joiningIsAverageLinkageOverAllPairs(int seed) {
        // Words that everything shares, so that all are nearest ones; compared with joining the most alike pair again
        // and
        // again.
        Random random = new Random(seed);
        List<String> texts = new ArrayList<>(new TreeSet<>(IntStream.range(0, 14)
                .mapToObj(i ->
                        "hive " + (char) ('a' + random.nextInt(3)) + "ab " + (char) ('k' + random.nextInt(4)) + "ok")
                .toList()));
        GroupSettings settings = USUAL.byThemes("en");
        Terms terms = Terms.of(texts, settings, "en", SIMILARITY.reading());
        Similarity similarity = new Similarity(texts, terms, "en", MeaningVectors.NONE, SIMILARITY);
        Dendrogram tree = Linkage.of(similarity);
        List<Double> found =
                IntStream.range(0, tree.joins()).mapToObj(tree::like).toList();
        List<List<Integer>> sets = new ArrayList<>();
        IntStream.range(0, texts.size()).forEach(i -> sets.add(List.of(i)));
        List<Double> heights = new ArrayList<>();
        while (sets.size() > 1) {
            int[] best = {0, 1};
            double most = -1;
            for (int i = 0; i < sets.size(); i++) {
                for (int j = 0; j < i; j++) {
                    double like = mean(similarity, sets.get(i), sets.get(j));
                    if (like > most) {
                        most = like;
                        best = new int[] {j, i};
                    }
                }
            }
            List<Integer> joined = new ArrayList<>(sets.get(best[0]));
            joined.addAll(sets.get(best[1]));
            sets.remove(best[1]);
            sets.set(best[0], joined);
            heights.add(most);
        }
        heights.sort(Collections.reverseOrder());
        assertThat(found).hasSameSizeAs(heights);
        for (int i = 0; i < found.size(); i++) {
            assertThat(found.get(i)).isCloseTo(heights.get(i), org.assertj.core.data.Offset.offset(1e-5));
        }
    }

    private static double mean(Similarity similarity, List<Integer> one, List<Integer> other) {
        return one.stream()
                        .mapToDouble(a -> other.stream()
                                .mapToDouble(b -> similarity.between(similarity.sum(a), similarity.sum(b)))
                                .sum())
                        .sum()
                / (one.size() * other.size());
    }

    @Test
    void whatTextsMeanJoinsThemWhereItIsKnownOfAll() {
        List<String> texts =
                List.of("walking pad", "under desk treadmill", "walking pads", "kneeling chair", "kneeling stool");
        Map<String, float[]> known = Map.of(
                "walking pad", new float[] {1, 0},
                "walking pads", new float[] {1, 0},
                "under desk treadmill", new float[] {1, 0},
                "kneeling chair", new float[] {0, 1},
                "kneeling stool", new float[] {0, 1});
        Terms terms = Terms.of(texts, USUAL.byThemes("en"), "en", SIMILARITY.reading());
        Similarity words = new Similarity(texts, terms, "en", MeaningVectors.NONE, SIMILARITY);
        Similarity both = new Similarity(texts, terms, "en", known::get, SIMILARITY);
        Similarity partly = new Similarity(
                texts, terms, "en", text -> text.equals("walking pad") ? new float[] {1, 0} : null, SIMILARITY);
        assertThat(both.knowsMeaning()).isTrue();
        assertThat(both.between(both.sum(0), both.sum(1)))
                .isGreaterThan(words.between(words.sum(0), words.sum(1)) + .2);
        assertThat(partly.knowsMeaning()).isFalse();
    }

    @Test
    void theShippedListsReadAndPhrasesComeBeforeWords() {
        SameWords same = SameWords.of("en");
        SameWords.Match used = same.match(List.of("second", "hand", "hive"), 0, WordForms.stems("en"));
        assertThat(used).isNotNull();
        assertThat(same.meaning(used.meaning()).name()).isEqualTo("used");
        assertThat(used.words()).isEqualTo(2);
        SameWords.Match under = same.match(List.of("hive", "under", "60"), 1, WordForms.stems("en"));
        assertThat(under).isNotNull();
        assertThat(same.meaning(under.meaning()).name()).isEqualTo("cheap");
        assertThat(SameWords.of("de").size()).isGreaterThan(20);
        assertThat(SameWords.of("fi").size()).isZero();
    }

    @Test
    void groupsOfMoreKeywordsThanAreComparedFormByThemes() {
        int most = 2_000;
        GroupSettings asked =
                USUAL.byThemes("en").with(new Method.BySimilarity(Method.BySimilarity.USUAL, 2, 0, false, most));
        assertThat(MemoryLimit.possible(asked, most, Rules.NEWEST.themes())).isEqualTo(asked);
        assertThat(MemoryLimit.possible(asked, most + 1, Rules.NEWEST.themes()).method())
                .isInstanceOf(Method.ByThemes.class);
        MemoryLimit wide = new MemoryLimit(asked.method().needed(most));
        wide.require(asked, most);
        assertThatThrownBy(() -> new MemoryLimit(wide.bytes() - 1).require(asked, most))
                .as("less memory makes no other groups: it is refused")
                .isInstanceOf(Refusal.class)
                .hasMessageContaining("-Xmx")
                .hasMessageContaining("by themes");
        // Three of a thing, one more than may be: the engine says what it went by, and none is lost.
        List<String> many = IntStream.rangeClosed(0, most)
                .mapToObj(i ->
                        "thing" + i / 3 + List.of(" lid", " roof", " stand").get(i % 3))
                .toList();
        Grouping grouping = group(many, asked.method(), "en");
        assertThat(grouping.settings().method()).isInstanceOf(Method.ByThemes.class);
        assertThat(grouping.dial().points()).isEmpty();
        assertThat(grouping.ungrouped()
                        + IntStream.range(0, grouping.size())
                                .map(group -> grouping.members().length(group))
                                .sum())
                .isEqualTo(many.size());
    }

    @Test
    void aGroupGoesByAKeywordThatCanBeAName() {
        String endless = "crash pad " + "very ".repeat(20) + "large";
        List<String> pads = List.of(endless, "crash pad large", "chalk bag", "chalk bags");
        Grouping grouping = group(pads, new Method.BySimilarity(0, 2, 0, false, 100_000), "en");
        assertThat(IntStream.range(0, grouping.size()).mapToObj(grouping::key))
                .contains("crash pad large")
                .allMatch(GroupRule::fits);
        assertThat(grouping.groupOf(0)).as("it is in the group all the same").isEqualTo(grouping.groupOf(1));
        List<String> none = List.of(endless, endless + " mat");
        assertThat(group(none, USUAL.similarity(), "en").ungrouped()).isEqualTo(2);
    }

    @Test
    void aWordThatNobodyCouldTypeIsReadWithoutLookingAtItsRests() {
        String endless = "a".repeat(200_000);
        List<String> keywords = List.of(endless, endless + "b", "chalk bag", "chalk bags");
        assertThat(sets(keywords, group(keywords, USUAL.similarity(), "en")))
                .contains(Set.of("chalk bag", "chalk bags"));
    }

    /** Pairs of 50,000 are more than a number of 31 bits can count. */
    @Test
    void theUsualOfVeryManyMeaningsIsFoundFromASample() {
        float[][] same = new float[50_000][];
        Arrays.setAll(same, i -> new float[] {.6f, .8f});
        assertThat(Similarity.usual(same, SIMILARITY.blend())).isEqualTo(.95);
        Arrays.setAll(same, i -> new float[] {i % 2, 1 - i % 2});
        assertThat(Similarity.usual(same, SIMILARITY.blend())).isIn(0.0, .95);
    }

    @Test
    void whatMakesAKeywordLikeItsGroupIsToldAndComesToOne() {
        Grouping grouping = group(SHOES, USUAL.similarity(), "en");
        int cheap = SHOES.indexOf("affordable climbing shoes");
        int own = grouping.groupOf(cheap);
        Nearness.Reasons reasons = grouping.nearness().reasons(cheap, own).orElseThrow();
        assertThat(reasons.words())
                .extracting(Nearness.Reasons.Word::text)
                .contains("climbing", "shoes", "cheap")
                .doesNotContain("affordable");
        assertThat(reasons.words().stream()
                        .filter(word -> word.text().equals("cheap"))
                        .findFirst()
                        .orElseThrow()
                        .same())
                .isTrue();
        double all = reasons.words().stream()
                .mapToDouble(Nearness.Reasons.Word::share)
                .sum();
        assertThat(all + reasons.meaning() + reasons.company()).isCloseTo(1, within(1e-6));
        assertThat(reasons.meaning()).isZero();
        assertThat(reasons.nearest())
                .hasSizeBetween(1, 3)
                .allMatch(keyword -> grouping.groupOf(keyword) == own && keyword != cheap);
        assertThat(group(SHOES, USUAL.themes(), "en").nearness().reasons(0, 0)).isEmpty();
    }
}

package smorgas.core.sift;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.BitSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import smorgas.core.figure.Computed;
import smorgas.core.figure.Figure;
import smorgas.core.figure.Searched;
import smorgas.core.fold.Folder;
import smorgas.core.fold.Keywords;
import smorgas.core.gather.TestLists;
import smorgas.core.recipe.fold.Cleaning;
import smorgas.core.recipe.sift.Bounds;
import smorgas.core.recipe.sift.Condition;
import smorgas.core.recipe.sift.Placing;
import smorgas.core.recipe.sift.Rule;
import smorgas.core.recipe.sift.Status;
import smorgas.core.recipe.sift.WordList;

/** Conditions on folded keywords, and how they combine. */
class ConditionsTest {

    private static final Keywords KEYWORDS = Folder.fold(List.of(TestLists.lines(1, """
            keyword,searches,cpc
            bee hives,1000,0.50
            bee hive,900,
            beehive stand,40,1.25
            stand for a wooden hive,30,2.00
            how to clean a hive,,
            κυψέλη hive,5,
            skeplund smoker,70,0.10
            bee smoker near me,20,0.20
            """)));

    private static final Matcher MATCHER = new Matcher(
            KEYWORDS,
            Map.of(
                    "Rivals",
                    new WordList("Rivals", "en", WordList.Kind.BRANDS, 1, List.of("skeplund", "near me", "nowhere"))));

    private static List<String> texts(BitSet found) {
        return found.stream().mapToObj(KEYWORDS::text).toList();
    }

    private record Asked(Condition condition, String sentence, List<String> found) {}

    private static Condition worded(Placing placing, String words) {
        return new Condition.Worded(placing, words);
    }

    static List<Asked> conditions() {
        Condition hive = new Condition.HasWord("hives");
        return List.of(
                // Singular and plural are one word, and the joined word is the two.
                new Asked(
                        hive,
                        "with the word \"hives\"",
                        List.of(
                                "bee hives",
                                "beehive stand",
                                "stand for a wooden hive",
                                "how to clean a hive",
                                "κυψέλη hive")),
                new Asked(
                        new Condition.HasWord("beehives"),
                        "with the word \"beehives\"",
                        List.of("bee hives", "beehive stand")),
                new Asked(
                        new Condition.HasWord("bee hive"),
                        "with the words \"bee hive\"",
                        List.of("bee hives", "beehive stand")),
                new Asked(
                        worded(Placing.ANY_ORDER, "hive stand"),
                        "with the words \"hive stand\" in any order",
                        List.of("beehive stand", "stand for a wooden hive")),
                new Asked(
                        worded(Placing.IN_ORDER, "stand hive"),
                        "with the words \"stand hive\" in this order",
                        List.of("stand for a wooden hive")),
                new Asked(worded(Placing.EXACTLY, "beehive"), "that are exactly \"beehive\"", List.of("bee hives")),
                new Asked(
                        worded(Placing.STARTS, "how to"), "that start with \"how to\"", List.of("how to clean a hive")),
                new Asked(worded(Placing.ENDS, "near me"), "that end with \"near me\"", List.of("bee smoker near me")),
                new Asked(
                        new Condition.HasAnyWord(List.of("skeplund", "wooden hive", "a", "b", "c")),
                        "with any of the words \"skeplund\", \"wooden hive\", \"a\", \"b\" and 1 more",
                        List.of("stand for a wooden hive", "how to clean a hive", "skeplund smoker")),
                new Asked(
                        new Condition.OnList("Rivals"),
                        "with a word of the list \"Rivals\"",
                        List.of("skeplund smoker", "bee smoker near me")),
                new Asked(new Condition.Matches("^b.*s$"), "that match the pattern \"^b.*s$\"", List.of("bee hives")),
                new Asked(
                        new Condition.Count(Computed.WORDS, new Bounds(4L, 5L)),
                        "with 4 to 5 words",
                        List.of("stand for a wooden hive", "how to clean a hive", "bee smoker near me")),
                new Asked(
                        new Condition.Count(Computed.CHARACTERS, Bounds.upTo(11)),
                        "with at most 11 characters",
                        List.of("bee hives", "κυψέλη hive")),
                new Asked(
                        new Condition.FigureWithin(Figure.CPC, new Bounds(200_000L, 1_250_000L)),
                        "with a CPC of 0.2 to 1.25",
                        List.of("bee hives", "beehive stand", "bee smoker near me")),
                new Asked(
                        new Condition.FigureUnknown(Figure.SEARCHES),
                        "of which no list tells the Searches",
                        List.of("how to clean a hive")),
                new Asked(new Condition.HasScript(Cleaning.Script.GREEK), "with Greek letters", List.of("κυψέλη hive")),
                new Asked(
                        new Condition.AllOf(List.of(
                                hive,
                                new Condition.AnyOf(
                                        List.of(Condition.searchesFrom(1_000), new Condition.HasText("κυ"))),
                                new Condition.NoneOf(List.of(new Condition.HasWord("stand"))))),
                        "with the word \"hives\" and (with 1,000 searches and more or with \"κυ\" in them) but not with the"
                                + " word \"stand\"",
                        List.of("bee hives", "κυψέλη hive")),
                new Asked(new Condition.AnyOf(List.of()), "of no kind", List.of()));
    }

    @ParameterizedTest
    @MethodSource("conditions")
    void aConditionFindsItsKeywordsAndReadsAsASentence(Asked asked) {
        assertThat(texts(MATCHER.match(asked.condition()))).containsExactlyElementsOf(asked.found());
        assertThat(asked.condition().sentence()).hasToString(asked.sentence());
        // Asked again it is remembered, and what a caller does with the answer does not reach that.
        MATCHER.match(asked.condition()).clear();
        assertThat(texts(MATCHER.match(asked.condition()))).containsExactlyElementsOf(asked.found());
    }

    /** The laws of sets, on random conditions. */
    @Test
    void allAnyAndNoneObeyTheLawsOfSets() {
        Random random = new Random(5);
        List<Condition> parts = conditions().stream().map(Asked::condition).toList();
        BitSet everything = MATCHER.match(new Condition.AllOf(List.of()));
        for (int round = 0; round < 200; round++) {
            List<Condition> some = IntStream.range(0, 1 + random.nextInt(4))
                    .mapToObj(i -> parts.get(random.nextInt(parts.size())))
                    .toList();
            BitSet none = MATCHER.match(new Condition.NoneOf(some));
            BitSet any = MATCHER.match(new Condition.AnyOf(some));
            BitSet all = MATCHER.match(new Condition.AllOf(some));
            assertThat(none.intersects(any)).isFalse();
            none.or(any);
            assertThat(none).isEqualTo(everything);
            // De Morgan: all hold if none of their opposites does.
            List<Condition> opposites = some.stream()
                    .map(part -> (Condition) new Condition.NoneOf(List.of(part)))
                    .toList();
            assertThat(MATCHER.match(new Condition.NoneOf(opposites))).isEqualTo(all);
        }
    }

    @Test
    void whatCanFindNothingSaysWhy() {
        assertThat(MATCHER.doubts(new Condition.AllOf(List.of(
                        new Condition.FigureWithin(Figure.POSITION, Bounds.upTo(10)),
                        new Condition.OnList("Towns"),
                        new Condition.InBasket("gone.csv"),
                        new Condition.HasWord("wasp"),
                        new Condition.HasWord("hive")))))
                .map(Object::toString)
                .containsExactly(
                        "No basket tells the Position of its keywords.",
                        "The project has no list \"Towns\": take it in from the pantry.",
                        "There is no basket \"gone.csv\" at present.",
                        "No keyword has \"wasp\" at present.");
    }

    @Test
    void aBadPatternIsRefusedWithThePlaceOfTheFault() {
        assertThatThrownBy(() -> new Condition.Matches("bee [hive"))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining("missing closing ]")
                .hasMessageContaining("\"[hive\", character 5");
    }

    /** Patterns of users must not be able to stop the application: the text would take a backtracking engine ages. */
    @Test
    void aPatternRunsInLinearTime() {
        Keywords long_ = Folder.fold(List.of(TestLists.lines(1, "a".repeat(3_000) + "b\n")));
        assertThat(new Matcher(long_).match(new Condition.Matches("^(a+)+$")).isEmpty())
                .isTrue();
    }

    @Test
    void aListOfAHundredThousandEntriesFindsWhatItHas() {
        List<String> words = IntStream.range(0, 100_000)
                .mapToObj(i -> i == 77_777 ? "wooden hive" : "w" + i)
                .toList();
        Matcher matcher =
                new Matcher(KEYWORDS, Map.of("Long", new WordList("Long", "", WordList.Kind.OTHER, 1, words)));
        assertThat(texts(matcher.match(new Condition.OnList("Long")))).containsExactly("stand for a wooden hive");
    }

    private static int keyword(String text) {
        return KEYWORDS.find(text).orElseThrow();
    }

    @Test
    void rulesTagFromTheTopAndWhatAHandSaysOfATagBeatsThem() {
        List<Rule> rules = List.of(
                new Rule(1, new Condition.HasTag("question"), Status.DROPPED),
                new Rule(2, worded(Placing.STARTS, "how"), new Rule.Tags("question")),
                new Rule(3, new Condition.HasTag("question"), Status.KEPT),
                new Rule(4, new Condition.HasWord("smoker"), new Rule.Tags("smoke")));
        var byHand = new LinkedHashMap<String, Boolean>();
        byHand.put("bee smoker near me", false);
        byHand.put("bee hive", true);
        Statuses statuses = Judge.judge(MATCHER, intent -> new BitSet(), Map.of(), Map.of("smoke", byHand), rules);
        // A rule sees the tags of the rules above it only.
        assertThat(statuses.of(keyword("how to clean a hive"))).isEqualTo(Status.KEPT);
        assertThat(statuses.reason(keyword("how to clean a hive")).sentence().toString())
                .startsWith("rule 3");
        assertThat(texts(statuses.tags().with("smoke"))).containsExactly("bee hives", "skeplund smoker");
        assertThat(statuses.tags().of(keyword("how to clean a hive"))).containsExactly("question");
        assertThat(statuses.tags().all()).containsExactly("question", "smoke");
        assertThat(texts(MATCHER.match(
                        new Condition.HasTag("question"),
                        ConditionContext.ofRules(statuses.tags()::with, intent -> new BitSet()))))
                .containsExactly("how to clean a hive");
        assertThat(statuses.figures().get(3)).extracting(RuleFigures::decided).isEqualTo(1);
    }

    @Test
    void rulesTellWhatTheyTakeAloneWhatTheyContradictAndWhatAHandHasKept() {
        List<Rule> rules = List.of(
                new Rule(1, new Condition.HasWord("stand"), Status.KEPT),
                new Rule(2, new Condition.HasWord("hive"), Status.DROPPED),
                new Rule(3, new Condition.HasWord("wooden"), Status.KEPT),
                new Rule(4, new Condition.HasWord("clean"), Status.DROPPED));
        Statuses statuses =
                Judge.judge(MATCHER, intent -> new BitSet(), Map.of("bee hive", Status.KEPT), Map.of(), rules);
        assertThat(statuses.figures().get(0)).isEqualTo(new RuleFigures(2, 0, 2, new Searched(70, false), 0, 0));
        assertThat(statuses.figures().get(1)).isEqualTo(new RuleFigures(5, 2, 2, new Searched(5, false), 2, 1));
        assertThat(statuses.doubts().get(2).toString()).contains("1 keyword that you kept by hand");
        assertThat(statuses.doubts().get(3).toString()).contains("decides nothing");
        assertThat(statuses.doubts().get(4).toString()).contains("decides nothing");
        Statuses free = Judge.judge(MATCHER, intent -> new BitSet(), Map.of(), Map.of(), rules);
        assertThat(free.doubts().get(2).toString()).contains("decide differently for 2");
        assertThat(free.doubts()).doesNotContainKey(1);
    }

    @Test
    void aNumberInAKeywordIsADigitOfAnyScript() {
        Keywords keywords = Folder.fold(List.of(TestLists.lines(1, "10 frame hive\nframe hive\nhive \u0663\nmp3\n")));
        Condition number = new Condition.HasDigit();
        assertThat(new Matcher(keywords).match(number).stream().mapToObj(keywords::text))
                .containsExactlyInAnyOrder("10 frame hive", "hive \u0663", "mp3");
        assertThat(number.sentence()).hasToString("with a number in them");
    }
}

package smorgas.core.board;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.tuple;

import java.io.StringWriter;
import java.util.ArrayList;
import java.util.Collections;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.TreeMap;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import smorgas.core.figure.Figure;
import smorgas.core.fold.Keywords;
import smorgas.core.gather.BasketReader;
import smorgas.core.gather.Lines;
import smorgas.core.gather.TestLists;
import smorgas.core.group.read.Groups;
import smorgas.core.recipe.Entry;
import smorgas.core.recipe.FoldEntry;
import smorgas.core.recipe.GroupDecision;
import smorgas.core.recipe.GroupEntry;
import smorgas.core.recipe.Recipe;
import smorgas.core.recipe.ServeEntry;
import smorgas.core.recipe.SiftEntry;
import smorgas.core.recipe.TestPlans;
import smorgas.core.recipe.Themed;
import smorgas.core.recipe.fold.Cleaning;
import smorgas.core.recipe.fold.FoldKind;
import smorgas.core.recipe.group.GroupRule;
import smorgas.core.recipe.serve.MatchType;
import smorgas.core.recipe.serve.PlanSettings;
import smorgas.core.recipe.sift.Condition;
import smorgas.core.recipe.sift.Rule;
import smorgas.core.recipe.sift.Status;
import smorgas.core.recipe.sift.WordList;
import smorgas.core.serve.Csv;
import smorgas.core.serve.Plan;
import smorgas.core.serve.TestPlan;
import smorgas.core.text.Formulas;
import smorgas.core.text.Tidy;

/** The whole way, from lists to plan. */
class BoardTest {

    private static final Lines PLANNER = TestLists.lines(
            1,
            "keyword,searches,cpc,position\nbee hive,100,0.50,4\nBee Hive,90,0.60,2\nfree bee hive,10,,\n"
                    + "hive stand,1K - 10K,0.20,\nhive stand oak,,,\n=hive stand lift,5,,\n");
    private static final Lines PASTE = TestLists.lines(2, "[bee hive]\nhive stand tall\nfree hive stand\n");

    private static Entry drop(int number, String word) {
        return new SiftEntry.RuleAdded(new Rule(number, new Condition.HasWord(word), Status.DROPPED));
    }

    private static Board board(List<Entry> entries) {
        return Board.of(List.of(PLANNER, PASTE), Themed.recipe(entries));
    }

    private static int find(Board board, String text) {
        return board.keywords().find(text).orElseThrow();
    }

    @Test
    void foldsSpellingsIntoOneKeywordAndKeepsEachOfThem() {
        Keywords keywords = board(List.of()).keywords();
        int hive = keywords.find("bee hive").orElseThrow();
        assertThat(keywords.spellings(hive)).containsExactly("bee hive", "Bee Hive", "[bee hive]");
        assertThat(keywords.basketCount(hive)).isEqualTo(2);
        assertThat(keywords.occurrences(hive))
                .extracting(Keywords.Occurrence::lineNumber)
                .containsExactly(2, 3, 1);
        assertThat(keywords.linesInUse()).isEqualTo(9);
        assertThat(keywords.size()).isEqualTo(7);
    }

    @Test
    void searchesTakeTheLargestBidsTheLatestPositionTheBest() {
        Keywords keywords = board(List.of()).keywords();
        int hive = keywords.find("bee hive").orElseThrow();
        assertThat(keywords.figure(Figure.SEARCHES).orElseThrow().low(hive)).isEqualTo(100);
        assertThat(keywords.figure(Figure.CPC).orElseThrow().low(hive)).isEqualTo(600_000);
        assertThat(keywords.figure(Figure.POSITION).orElseThrow().low(hive)).isEqualTo(200);
        int stand = keywords.find("hive stand").orElseThrow();
        assertThat(Csv.figure(Figure.SEARCHES, keywords.figure(Figure.SEARCHES).orElseThrow(), stand))
                .isEqualTo("1000-10000");
        assertThat(keywords.figure(Figure.SEARCHES).orElseThrow().known(find(board(List.of()), "hive stand tall")))
                .isFalse();
    }

    @Test
    void theFirstRuleThatMatchesWinsAndDecisionsBeatRules() {
        Board board = board(List.of(
                drop(1, "free"),
                new SiftEntry.RuleAdded(new Rule(2, new Condition.HasText("hive"), Status.KEPT)),
                new SiftEntry.Judged(List.of("free hive stand", "not here"), Status.KEPT)));
        assertThat(board.statuses().of(find(board, "free bee hive"))).isEqualTo(Status.DROPPED);
        assertThat(board.statuses().reason(find(board, "free bee hive")).sentence())
                .hasToString("rule 1: Drop keywords with the word \"free\"");
        assertThat(board.statuses().of(find(board, "free hive stand"))).isEqualTo(Status.KEPT);
        assertThat(board.statuses().reason(find(board, "free hive stand")).sentence())
                .hasToString("by hand");
        assertThat(board.statuses().lostDecisions()).isEqualTo(1);
        assertThat(board.statuses().figures().get(0).touched()).isEqualTo(2);
        assertThat(board.statuses().figures().get(0).decided()).isEqualTo(1);
    }

    @Test
    void aRuleHoldsForABasketGatheredLater() {
        Recipe recipe = Themed.recipe(List.of(drop(1, "free")));
        Board before = Board.of(List.of(PLANNER), recipe);
        Board after = before.next(List.of(PLANNER, PASTE), recipe);
        assertThat(before.statuses().count(Status.DROPPED)).isEqualTo(1);
        assertThat(after.statuses().count(Status.DROPPED)).isEqualTo(2);
    }

    @Test
    void aStageRunsAgainOnlyIfItsInputsChanged() {
        Board first = board(List.of(drop(1, "free")));
        first.plan();
        Recipe dials = Themed.recipe(List.of(drop(1, "free"), new GroupEntry.WordsIgnored(List.of("bee"), true)));
        Board regrouped = first.next(List.of(PLANNER, PASTE), dials);
        assertThat(regrouped.keywords()).isSameAs(first.keywords());
        assertThat(regrouped.statuses()).isSameAs(first.statuses());
        assertThat(regrouped.groups()).isNotSameAs(first.groups());

        Board kept = first.next(
                List.of(PLANNER, PASTE),
                Themed.recipe(List.of(drop(1, "free"), new SiftEntry.Judged(List.of("bee hive"), Status.KEPT))));
        assertThat(kept.groups()).as("the same keywords are left").isSameAs(first.groups());
        assertThat(kept.plan()).isNotSameAs(first.plan());
    }

    @Test
    void whatIsOneKeywordAndHowItStandsDoesNotDependOnTheOrderOfBaskets() {
        Random random = new Random(9);
        for (int round = 0; round < 30; round++) {
            List<Lines> baskets = new ArrayList<>();
            for (int b = 0; b < 4; b++) {
                StringBuilder text = new StringBuilder("keyword;searches\n");
                for (int i = 0; i < 30; i++) {
                    text.append(random.nextBoolean() ? "Hive " : "hive ")
                            .append(random.nextInt(9))
                            .append(random.nextInt(4) == 0 ? " free" : "")
                            .append(';')
                            .append(random.nextInt(50))
                            .append('\n');
                }
                baskets.add(TestLists.lines(b, text.toString()));
            }
            Map<String, String> one = picture(baskets);
            Collections.shuffle(baskets, random);
            assertThat(picture(baskets)).isEqualTo(one);
        }
    }

    private static Map<String, String> picture(List<Lines> baskets) {
        Board board = Board.of(baskets, Themed.recipe(List.of(drop(1, "free"))));
        Map<String, String> picture = new TreeMap<>();
        for (int k = 0; k < board.keywords().size(); k++) {
            int group = board.groups().grouping().groupOf(k);
            picture.put(
                    board.keywords().text(k),
                    board.statuses().of(k) + " "
                            + board.keywords()
                                    .figure(Figure.SEARCHES)
                                    .orElseThrow()
                                    .low(k) + " "
                            + (group < 0 ? group : board.groups().grouping().key(group)));
        }
        return picture;
    }

    @Test
    void thePlanServesGroupsAndHoldsBackFormulas() {
        PlanSettings settings = TestPlans.settings(
                "Shop", "p {theme}", false, 0, EnumSet.of(MatchType.EXACT, MatchType.BROAD), 750_000, false, false);
        Board board = board(List.of(drop(1, "free"), new ServeEntry.PlanSettingsChosen(settings)));
        Plan plan = board.plan();
        assertThat(plan.notExported()).extracting(Plan.NotExported::keyword).containsExactly("=hive stand lift");
        assertThat(plan.rows())
                .contains(new Plan.Row("Shop", "p hive stand", "hive stand", MatchType.BROAD, "0.75", ""))
                .noneMatch(
                        row -> row.keyword().contains("free") || row.keyword().startsWith("="));
        assertThat(plan.negatives()).containsExactly(new Plan.Negative("free", MatchType.PHRASE));

        String csv = TestPlan.written(board, "plan.csv");
        List<List<String>> back = new ArrayList<>();
        BasketReader.read(
                "plan", csv.getBytes(java.nio.charset.StandardCharsets.UTF_8), (l, c) -> back.add(List.of(c)));
        assertThat(back)
                .hasSize((int) plan.count().rows() + 1)
                .contains(List.of("Shop", "", "free", "Negative phrase", ""));
    }

    @Test
    void keptOnlyLeavesUndecidedOutAndUngroupedComeOnlyIfChosen() {
        Entry decision = new SiftEntry.Judged(List.of("hive stand"), Status.KEPT);
        PlanSettings kept = TestPlans.settings("C", "{theme}", false, 0, EnumSet.of(MatchType.EXACT), 0, true, false);
        assertThat(board(List.of(decision, new ServeEntry.PlanSettingsChosen(kept)))
                        .plan()
                        .rows())
                .extracting(Plan.Row::keyword)
                .containsExactly("hive stand");
        PlanSettings all = TestPlans.settings("C", "{theme}", false, 0, EnumSet.of(MatchType.EXACT), 0, false, true);
        Plan plan = board(List.of(new ServeEntry.PlanSettingsChosen(all))).plan();
        assertThat(plan.count().keywords() + plan.notExported().size()).isEqualTo(7);
    }

    @Test
    void aNegativeThatWouldBlockAnExportedKeywordIsNotExportedUntilSomebodySaysThatItIsMeant() {
        WordList list = new WordList("Unwanted", "en", WordList.Kind.NEGATIVES, 1, List.of("jobs", "hive stand"));
        List<Entry> entries = List.of(
                drop(1, "free"),
                new SiftEntry.Judged(List.of("free hive stand"), Status.KEPT),
                new SiftEntry.ListTaken(list),
                new SiftEntry.RuleAdded(new Rule(2, new Condition.OnList("Unwanted"), Status.DROPPED)),
                new SiftEntry.Judged(List.of("hive stand"), Status.KEPT));
        Plan plan = board(entries).plan();
        assertThat(plan.conflicts())
                .extracting(Plan.Conflict::word, Plan.Conflict::sample, Plan.Conflict::exported)
                .contains(tuple("free", "free hive stand", false));
        assertThat(plan.negatives())
                .extracting(Plan.Negative::keyword)
                .contains("jobs")
                .doesNotContain("free", "hive stand");

        List<Entry> meant = new ArrayList<>(entries);
        meant.add(new ServeEntry.NegativeDecided("free", true));
        Plan adopted = board(meant).plan();
        assertThat(adopted.negatives()).extracting(Plan.Negative::keyword).contains("free", "jobs");
        assertThat(adopted.conflicts()).anyMatch(conflict -> conflict.word().equals("free") && conflict.exported());
        assertThat(board(meant).planCount()).isEqualTo(adopted.count());
        assertThat(adopted.rows()).hasSize((int) adopted.count().rows());
    }

    @Test
    void groupsAreTakenOverInQuickActsThatLeaveTheSameKeywords() {
        Board first = board(List.of());
        Groups found = first.groups();
        Entry one = new SiftEntry.Judged(List.of("hive stand"), Status.KEPT);
        Entry two = new SiftEntry.Judged(List.of("hive lid"), Status.KEPT);
        Board quick = first.next(List.of(PLANNER, PASTE), Themed.recipe(List.of(one)))
                .next(List.of(PLANNER, PASTE), Themed.recipe(List.of(one, two)));
        assertThat(quick.groupsKnown()).isFalse();
        assertThat(quick.groups()).isSameAs(found);
        Entry drop = new SiftEntry.Judged(List.of("hive stand"), Status.DROPPED);
        Board other = first.next(List.of(PLANNER, PASTE), Themed.recipe(List.of(drop)));
        assertThat(other.groups()).isNotSameAs(found);
    }

    @Test
    void aGroupOfARuleIsFoundByItsTidyNameAndCalledAsTyped() {
        GroupRule rule = new GroupRule(1, "Gifts & More", new Condition.HasWord("stand"), false);
        Board board = board(List.of(new GroupEntry.GroupRuleSet(rule)));
        int group = board.groups().find(rule.key());
        assertThat(group).isNotNegative();
        assertThat(board.groups().name(group)).isEqualTo("Gifts & More");
        assertThat(rule.key()).isEqualTo(Tidy.of("Gifts & More"));
        Board named =
                board(List.of(new GroupEntry.GroupRuleSet(rule), new GroupDecision.GroupNamed(rule.key(), "Presents")));
        assertThat(named.groups().name(named.groups().find(rule.key()))).isEqualTo("Presents");
    }

    @Test
    void aThemeOfThirtyWordsThatAHandMadeIsAThemeLikeOthers() {
        String theme = java.util.stream.IntStream.range(0, 30)
                .mapToObj(i -> (char) ('b' + i % 20) + (i < 20 ? "x" : "z"))
                .collect(java.util.stream.Collectors.joining(" "));
        Lines list = TestLists.lines(9, theme + "\n" + theme + " more\n" + theme + " yet\n");
        Board board =
                Board.of(List.of(list), Themed.recipe(List.of(new GroupDecision.ThemesMade(List.of(theme), true))));
        assertThat(board.groups().tree().size()).isPositive();
        assertThat(board.groups().find(theme)).isNotNegative();
    }

    @Test
    void aKeywordGivenBackStandsAsTheRulesSayAndAnotherOrderIsAnotherDecision() {
        Entry keep = new SiftEntry.Judged(List.of("hive stand"), Status.KEPT);
        Entry rule = drop(1, "stand");
        assertThat(board(List.of(rule, keep)).statuses().of(find(board(List.of(rule, keep)), "hive stand")))
                .isEqualTo(Status.KEPT);
        Board back = board(List.of(rule, keep, new SiftEntry.GivenBack(List.of("hive stand"), List.of())));
        assertThat(back.statuses().of(find(back, "hive stand"))).isEqualTo(Status.DROPPED);

        Entry other = new SiftEntry.Judged(List.of("hive lid"), Status.DROPPED);
        Recipe one = Themed.recipe(List.of(keep, other));
        Recipe turned = Themed.recipe(List.of(other, keep));
        assertThat(one).isEqualTo(turned);
        assertThat(one.sameAs(turned))
                .as("of two on one keyword the later holds")
                .isFalse();
    }

    /** OWASP, CSV injection (from memory): what begins with = + - @ TAB CR or their full-width forms is neutralised. */
    @Test
    void tablesForReadingNeutraliseFormulas() {
        StringWriter out = new StringWriter();
        try (Csv csv = new Csv(out)) {
            csv.row("=1+1", "+a", "-a", "-4.5", "@x", "\tx", "＝x", ";=x", "a;=x", "plain");
        }
        assertThat(out.toString()).isEqualTo("'=1+1,'+a,'-a,-4.5,'@x,\"'\tx\",'＝x,\"';=x\",\"a;=x\",plain\r\n");
    }

    @ParameterizedTest
    @ValueSource(strings = {"=", "+", "-", "@", "\t", "\r", "\uFF1D", "\uFF0B", "\uFF0D", "\uFF20", ";="})
    void noCellOfThePlanBeginsAsAFormulaWhateverARecipeBrings(String start) {
        String run = start + "HYPERLINK(1)";
        assertThatThrownBy(() -> new GroupDecision.KeywordsPlaced(List.of("hive stand"), List.of(), run))
                .hasMessageContaining("formula");
        assertThatThrownBy(() -> new GroupDecision.GroupNamed("hive stand", run))
                .hasMessageContaining("formula");
        assertThatThrownBy(() -> new GroupRule(1, run, new Condition.HasWord("x"), false))
                .hasMessageContaining("formula");
        String csv = TestPlan.written(board(List.of(drop(1, run))), "plan.csv");
        BasketReader.read("plan", csv.getBytes(java.nio.charset.StandardCharsets.UTF_8), (line, cells) -> {
            for (String cell : cells) {
                assertThat(Formulas.runs(cell)).as(cell).isFalse();
            }
        });
    }

    @Test
    void anEmptyProjectIsAnEmptyBoard() {
        Board board = Board.of(List.of(), Themed.recipe(List.of()));
        assertThat(board.keywords().size()).isZero();
        assertThat(board.groups().grouping().size()).isZero();
        assertThat(board.plan().rows()).isEmpty();
    }

    /** What a change of folding leaves as it was is taken over, and what it touches is not. */
    @Test
    void anotherKindOfFoldingTidiesNothingAgainAndJudgesAnew() {
        Entry decision = new SiftEntry.Judged(List.of("hive stand"), Status.KEPT);
        Board first = board(List.of(decision));
        Keywords keywords = first.keywords();
        Entry noOrder = new FoldEntry.FoldKindSwitched(FoldKind.ORDER, false);
        Board otherwise = first.next(List.of(PLANNER, PASTE), Themed.recipe(List.of(decision, noOrder)));
        assertThat(otherwise.spellings()).isSameAs(first.spellings());
        assertThat(otherwise.misspellings()).isSameAs(first.misspellings());
        assertThat(otherwise.keywords()).isNotSameAs(keywords);
        assertThat(otherwise.statuses().of(find(otherwise, "hive stand"))).isEqualTo(Status.KEPT);

        Entry cleaning = new FoldEntry.CleaningAdded(1, new Cleaning.Replace(Cleaning.Match.WORDS, "hive", ""));
        Board cleaned = otherwise.next(List.of(PLANNER, PASTE), Themed.recipe(List.of(decision, noOrder, cleaning)));
        assertThat(cleaned.spellings()).isSameAs(first.spellings());
        assertThat(cleaned.keywords().text(find(cleaned, "hive stand"))).isEqualTo("stand");
        // The decision was made on the spelling of the line and still finds its keyword.
        assertThat(cleaned.statuses().of(find(cleaned, "stand"))).isEqualTo(Status.KEPT);
        assertThat(cleaned.foldReport().steps().lines()).isEqualTo(9);

        Board undone = cleaned.next(List.of(PLANNER, PASTE), Themed.recipe(List.of(decision)));
        assertThat(undone.keywords().size()).isEqualTo(keywords.size());
        assertThat(undone.plan()).isEqualTo(first.plan());
    }

    @Test
    void aGroupsBidIsTheMeanOfTheKnownOnesAndSomeKeywordsComeMostSearchedFirst() {
        Lines lines = smorgas.core.gather.BasketReader.lines(
                        1,
                        "bids",
                        "keyword,searches,cpc\nred hive,10,0.50\ntall hive,30,1.50\nold hive,20,\nred lid,5,\ntall lid,5,\nold lid,9,\n"
                                .getBytes(java.nio.charset.StandardCharsets.UTF_8))
                .lines()
                .orElseThrow();
        Board board = Board.of(List.of(lines), Themed.recipe(List.of()));
        int hive = board.groups().find("hive");
        assertThat(board.groups().bid(hive).orElseThrow()).isEqualTo(1_000_000);
        assertThat(board.groups().bid(board.groups().find("lid"))).isEmpty();
        assertThat(java.util.Arrays.stream(board.orders()
                                .mostSearched(
                                        board.groups().grouping().members().row(hive)))
                        .mapToObj(board.keywords()::text))
                .containsExactly("tall hive", "old hive", "red hive");
    }
}

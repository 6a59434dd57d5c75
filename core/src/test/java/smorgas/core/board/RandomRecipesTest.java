package smorgas.core.board;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.TreeMap;
import java.util.TreeSet;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import smorgas.core.figure.Computed;
import smorgas.core.figure.Figure;
import smorgas.core.gather.Lines;
import smorgas.core.gather.TestLists;
import smorgas.core.recipe.Entry;
import smorgas.core.recipe.FoldEntry;
import smorgas.core.recipe.GroupDecision;
import smorgas.core.recipe.GroupEntry;
import smorgas.core.recipe.Recipe;
import smorgas.core.recipe.Rules;
import smorgas.core.recipe.ServeEntry;
import smorgas.core.recipe.SiftEntry;
import smorgas.core.recipe.ValueEntry;
import smorgas.core.recipe.fold.FoldKind;
import smorgas.core.recipe.group.GroupRule;
import smorgas.core.recipe.group.Pass;
import smorgas.core.recipe.group.SplitBy;
import smorgas.core.recipe.sift.Bounds;
import smorgas.core.recipe.sift.Condition;
import smorgas.core.recipe.sift.Placing;
import smorgas.core.recipe.sift.Rule;
import smorgas.core.recipe.sift.Status;
import smorgas.core.recipe.sift.WordList;
import smorgas.core.recipe.value.Assumed;
import smorgas.core.recipe.value.Assumptions;
import smorgas.core.recipe.value.CostBy;
import smorgas.core.recipe.value.Intent;
import smorgas.core.recipe.value.PrioritySettings;
import smorgas.core.recipe.value.Span;

/** Drawn acts, done, undone and done again: what a board shows depends on nothing but its baskets and recipe. */
class RandomRecipesTest {

    private static final String[] WORDS = {
        "hive", "stand", "oak", "smoker", "free", "veil", "queen", "cage", "price", "jar", "honey", "tall"
    };

    private static Lines basket(long id, int lines, Random random) {
        StringBuilder list = new StringBuilder("keyword;searches\n");
        for (int i = 0; i < lines; i++) {
            list.append(word(random))
                    .append(' ')
                    .append(word(random))
                    .append(' ')
                    .append(word(random))
                    .append(';')
                    .append(random.nextInt(1_000))
                    .append('\n');
        }
        return TestLists.lines(id, list.toString());
    }

    private static String word(Random random) {
        return WORDS[random.nextInt(WORDS.length)];
    }

    private static Condition condition(Random random, int depth) {
        return switch (random.nextInt(depth > 0 ? 9 : 6)) {
            case 0 -> new Condition.HasWord(word(random));
            case 1 -> new Condition.HasText(word(random).substring(1, 3));
            case 2 -> new Condition.FigureWithin(Figure.SEARCHES, Bounds.from(random.nextInt(1_000)));
            case 3 -> new Condition.HasTag("t" + random.nextInt(2));
            case 4 -> new Condition.OnList("list");
            case 5 -> new Condition.Worded(Placing.values()[random.nextInt(5)], word(random) + " " + word(random));
            case 6 -> new Condition.AllOf(List.of(condition(random, 0), condition(random, 0)));
            case 7 -> new Condition.AnyOf(List.of(condition(random, 0), condition(random, 0)));
            default -> new Condition.NoneOf(List.of(condition(random, 0)));
        };
    }

    private static Entry act(Board board, Random random) {
        Recipe recipe = board.recipe();
        List<String> some = new ArrayList<>();
        for (int i = 0; i <= random.nextInt(3); i++) {
            some.add(board.keywords().text(random.nextInt(board.keywords().size())));
        }
        int rule = recipe.sifting().rules().isEmpty()
                ? 1
                : recipe.sifting()
                        .rules()
                        .get(random.nextInt(recipe.sifting().rules().size()))
                        .number();
        return switch (random.nextInt(28)) {
            case 0, 1 -> new SiftEntry.Judged(some, Status.values()[random.nextInt(3)]);
            case 2, 3 ->
                new SiftEntry.RuleAdded(new Rule(
                        recipe.sifting().nextRule(),
                        condition(random, 1),
                        random.nextBoolean() ? Status.DROPPED : Status.KEPT));
            case 4 ->
                new SiftEntry.RuleAdded(new Rule(
                        recipe.sifting().nextRule(), condition(random, 1), new Rule.Tags("t" + random.nextInt(2))));
            case 5 -> new SiftEntry.RuleRemoved(rule);
            case 6 -> new SiftEntry.RuleMoved(rule, random.nextInt(4));
            case 7 -> new SiftEntry.Tagged(some, List.of(), "t" + random.nextInt(2), random.nextBoolean());
            case 8 ->
                new SiftEntry.ListTaken(new WordList(
                        "list", "", WordList.Kind.BRANDS, 1 + random.nextInt(9), List.of(word(random), word(random))));
            case 9 -> new GroupEntry.WordsIgnored(List.of(word(random)), random.nextBoolean());
            case 10 -> new GroupDecision.KeywordsPlaced(some, List.of(), random.nextBoolean() ? "mine" : "hive stand");
            case 11 ->
                new GroupEntry.GroupRuleSet(
                        new GroupRule(1 + random.nextInt(2), "ruled", condition(random, 1), random.nextBoolean()));
            case 12 ->
                new GroupEntry.GroupSettingsChosen(Rules.NEWEST
                        .settings()
                        .byThemes("en")
                        .withPasses(new Pass(2 + random.nextInt(3), 0, 0, 1, 3, random.nextBoolean(), 0))
                        .withIgnored(new TreeSet<>(List.of(word(random)))));
            case 13 ->
                new GroupDecision.ThemesMade(
                        List.of(word(random), word(random) + " " + word(random)), random.nextBoolean());
            case 14 ->
                new GroupDecision.GroupsJoined(List.of(theme(board, random)), random.nextBoolean() ? "mine" : "");
            case 15 ->
                new GroupDecision.GroupSplit(
                        theme(board, random), new SplitBy(random.nextInt(3), new TreeSet<>(List.of(word(random)))));
            case 16 -> new GroupDecision.GroupLocked(theme(board, random), some, random.nextBoolean());
            case 17 ->
                new GroupDecision.Membership(
                        some,
                        List.of(),
                        theme(board, random),
                        random.nextBoolean() ? GroupDecision.Held.BARRED : GroupDecision.Held.ALLOWED);
            case 18 ->
                new GroupDecision.Membership(
                        some,
                        List.of(),
                        theme(board, random),
                        random.nextBoolean() ? GroupDecision.Held.ALSO : GroupDecision.Held.NOT_ALSO);
            case 19 -> new ValueEntry.AssumptionsSet("", "", assumed(random));
            case 20 -> new ValueEntry.AssumptionsSet("t" + random.nextInt(2), "", assumed(random));
            case 21 -> new ValueEntry.AssumptionsSet("", theme(board, random), assumed(random));
            case 22 ->
                new ValueEntry.IntentWorded(
                        word(random), Intent.values()[random.nextInt(Intent.values().length)], random.nextBoolean());
            case 23 ->
                new ValueEntry.PrioritySet(
                        random.nextBoolean() ? PrioritySettings.FOR_ADS : PrioritySettings.FOR_PAGES);
            case 24 ->
                new ServeEntry.NegativesSaid(List.of(new ServeEntry.Said(
                        word(random),
                        random.nextBoolean() ? "" : theme(board, random),
                        ServeEntry.Say.values()[random.nextInt(5)])));
            case 26 -> new GroupDecision.Membership(some, List.of(), theme(board, random), GroupDecision.Held.ALONE);
            case 25 -> new ServeEntry.GroupsKeptApart(random.nextBoolean());
            default -> new FoldEntry.FoldKindSwitched(FoldKind.values()[random.nextInt(5)], random.nextBoolean());
        };
    }

    private static Assumptions assumed(Random random) {
        Map<Assumed, Span> figures = new TreeMap<>();
        for (Assumed one : Assumed.values()) {
            if (random.nextInt(3) > 0) {
                long low = 1 + random.nextInt(5);
                figures.put(one, new Span(low, low + random.nextInt(5)));
            }
        }
        return new Assumptions(figures, CostBy.values()[random.nextInt(CostBy.values().length)]);
    }

    /** The key of a group that is there, or of one that is not. */
    private static String theme(Board board, Random random) {
        int groups = board.groups().grouping().size();
        return groups == 0 || random.nextInt(6) == 0
                ? "hive stand"
                : board.groups().grouping().key(random.nextInt(groups));
    }

    /** Everything that pages show of sifting, grouping and values, by lead spelling. */
    private static Map<String, String> shown(Board board) {
        Map<String, String> shown = new TreeMap<>();
        for (int k = 0; k < board.keywords().size(); k++) {
            int group = board.groups().grouping().groupOf(k);
            shown.put(
                    board.keywords().text(k),
                    board.statuses().of(k) + ", " + board.statuses().reason(k).sentence() + ", "
                            + board.statuses().tags().of(k) + ", "
                            + (group < 0 ? group : board.groups().name(group)) + ", "
                            + board.intents().seen(k) + ", " + board.priority().named(k) + ", "
                            + board.facts().exported(Computed.EXPECTED_CLICKS, k) + ", "
                            + board.facts().exported(Computed.ESTIMATED_VALUE, k));
        }
        shown.put("left", String.valueOf(board.estimatedValueLeft()));
        shown.put("apart", String.valueOf(board.apart()));
        shown.put("plan", String.valueOf(board.plan().hashCode()));
        return shown;
    }

    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8})
    void aBoardReachedByActsIsThatOfItsRecipeAndUndoGivesTheVeryStateBack(long seed) {
        Random random = new Random(seed);
        List<Lines> baskets = new ArrayList<>(List.of(basket(1, 60, random), basket(2, 40, random)));
        List<Entry> entries = new ArrayList<>();
        Board board = Board.of(baskets, Recipe.empty("en"));
        List<Map<String, String>> before = new ArrayList<>(List.of(shown(board)));
        for (int step = 0; step < 40; step++) {
            if (entries.size() > 3 && random.nextInt(4) == 0) {
                entries.removeLast();
                before.removeLast();
                board = board.next(baskets, Recipe.of(entries, "en"));
                assertThat(shown(board)).isEqualTo(before.getLast());
            } else {
                entries.add(act(board, random));
                board = board.next(baskets, Recipe.of(entries, "en"));
                before.add(shown(board));
                assertThat(before.getLast()).isEqualTo(shown(Board.of(baskets, board.recipe())));
            }
        }
        // Another basket comes: every decision holds, that of the latest hand where two meet in one keyword.
        baskets.add(basket(3, 50, random));
        Board more = board.next(baskets, board.recipe());
        Map<Integer, Status> decided = new TreeMap<>();
        board.recipe()
                .sifting()
                .decisions()
                .forEach(
                        (text, status) -> decided.put(more.keywords().find(text).orElseThrow(), status));
        decided.forEach((k, status) -> assertThat(more.statuses().of(k)).isEqualTo(status));
        Map<Integer, String> placed = new TreeMap<>();
        board.recipe()
                .grouping()
                .decisions()
                .placed()
                .forEach((text, group) -> placed.put(more.keywords().find(text).orElseThrow(), group));
        more.recipe().grouping().decisions().barred().forEach((text, groups) -> {
            int group =
                    more.groups().grouping().groupOf(more.keywords().find(text).orElseThrow());
            // Of several texts that have become one keyword one may have been placed there later.
            if (group >= 0 && !placed.containsKey(more.keywords().find(text).orElseThrow())) {
                assertThat(groups).doesNotContain(more.groups().grouping().key(group));
            }
        });
        placed.forEach((k, group) -> {
            if (more.statuses().of(k) != Status.DROPPED) {
                // Where a hand joined that group into another, its keywords are there.
                assertThat(more.groups().grouping().key(more.groups().grouping().groupOf(k)))
                        .isEqualTo(more.recipe().grouping().decisions().joined().getOrDefault(group, group));
            }
        });
    }
}

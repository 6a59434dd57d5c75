package smorgas.core.recipe;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.EnumSet;
import java.util.List;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Test;
import smorgas.core.recipe.serve.MatchType;
import smorgas.core.recipe.sift.Condition;
import smorgas.core.recipe.sift.Rule;
import smorgas.core.recipe.sift.Status;

class RecipeTest {

    private static Entry keep(String text) {
        return new SiftEntry.Judged(List.of(text), Status.KEPT);
    }

    private static SiftEntry.RuleAdded rule(int number, String word) {
        return new SiftEntry.RuleAdded(new Rule(number, new Condition.HasWord(word), Status.DROPPED));
    }

    @Test
    void undoTakesBackTheLastActAndRedoBringsItAgain() {
        History history = new History(List.of()).act(keep("a"), 1).act(keep("b"), 2);
        assertThat(history.undo(3).effective()).containsExactly(keep("a"));
        assertThat(history.undo(3).undo(4).redo(5).redo(6).effective()).isEqualTo(history.effective());
        assertThat(history.undo(3).undo(4).undo(5).effective()).isEmpty();
    }

    @Test
    void actingAfterAnUndoLeavesTheUndoneActInTheHistoryButOutOfReach() {
        History history = new History(List.of())
                .act(keep("a"), 1)
                .act(keep("b"), 2)
                .undo(3)
                .act(keep("c"), 4);
        assertThat(history.steps()).hasSize(3);
        assertThat(history.redoable()).isEmpty();
        assertThat(history.effective()).containsExactly(keep("a"), keep("c"));
        assertThat(history.undo(5).undo(6).redo(7).effective()).containsExactly(keep("a"));
    }

    @Test
    void anySequenceOfActsUndosAndRedosKeepsUndoAndRedoInverse() {
        Random random = new Random(2);
        History history = new History(List.of());
        for (int i = 1; i < 300; i++) {
            history = switch (random.nextInt(3)) {
                case 0 -> history.undo(i);
                case 1 -> history.redo(i);
                default -> history.act(keep("k" + i), i);
            };
            if (history.undoable().isPresent()) {
                assertThat(history.undo(i).redo(i).effective()).isEqualTo(history.effective());
            }
        }
    }

    @Test
    void aLaterDecisionWinsAndRulesMoveAndGo() {
        Recipe recipe = Recipe.of(
                List.of(
                        keep("a"),
                        rule(1, "x"),
                        rule(2, "y"),
                        rule(3, "z"),
                        new SiftEntry.Judged(List.of("a", "b"), Status.DROPPED),
                        new SiftEntry.RuleMoved(3, 0),
                        new SiftEntry.RuleRemoved(1),
                        new GroupEntry.WordsIgnored(List.of("bee"), true)),
                "en");
        assertThat(recipe.sifting().decisions())
                .containsEntry("a", Status.DROPPED)
                .containsEntry("b", Status.DROPPED);
        assertThat(recipe.sifting().rules()).extracting(Rule::number).containsExactly(3, 2);
        assertThat(recipe.sifting().nextRule()).isEqualTo(4);
        assertThat(recipe.grouping().settings().ignored()).containsExactly("bee");
        // A number that is given twice, as only a recipe from elsewhere can: the later rule wins.
        assertThat(Recipe.of(List.of(rule(1, "x"), rule(1, "y")), "en")
                        .sifting()
                        .rules())
                .containsExactly(rule(1, "y").rule());
        assertThat(recipe.grouping().settings().stopWords()).contains("for", "the");
    }

    @Test
    void aRecipeThatIsTakenTakesThePlaceOfDecisionsAndBasketsStay() {
        RecipeTaken taken = new RecipeTaken("old.json", List.of(rule(7, "free"), keep("b")));
        BasketEntry.BasketAdded basket = new BasketEntry.BasketAdded(1, "list.csv");
        List<Entry> entries = List.of(keep("a"), basket, rule(1, "x"), taken, rule(8, "y"));
        Recipe recipe = Recipe.of(entries, "en");
        assertThat(recipe.sifting().decisions()).containsOnlyKeys("b");
        assertThat(recipe.sifting().rules()).extracting(Rule::number).containsExactly(7, 8);
        assertThat(recipe.gathering().baskets()).hasSize(1);
        assertThat(Recipe.decisions(entries)).containsExactly(rule(7, "free"), keep("b"), rule(8, "y"));
        // It meets whatever was decided since its page was shown.
        assertThat(taken.surprises(keep("z").touches())).isTrue();
        assertThat(taken.surprises(Set.of())).isFalse();
        assertThat(rule(7, "z").surprises(taken.touches())).isTrue();
        assertThatThrownBy(() -> new RecipeTaken("r", List.of(basket))).hasMessageContaining("no baskets");
        assertThatThrownBy(() -> new RecipeTaken("r", List.of(taken))).hasMessageContaining("no other recipe");
        assertThatThrownBy(() -> new RecipeTaken("r", List.of())).hasMessageContaining("holds no decision");
    }

    @Test
    void whatTwoTabsTouchTellsWhetherTheyMeet() {
        History history = new History(List.of()).act(keep("a"), 1).act(rule(1, "x"), 2);
        assertThat(history.touchedSince(1)).containsExactly("rule:1");
        assertThat(history.touchedSince(0)).contains("keyword:a");
        // Undoing in one tab is an act that a page in the other has not seen.
        assertThat(history.undo(3).touchedSince(2)).containsExactly("rule:1");
        assertThat(history.undo(3).touchedSince(3)).isEmpty();
    }

    @Test
    void settingsRefuseWhatCannotBeMeant() {
        assertThatThrownBy(() ->
                        TestPlans.settings("=cmd()", "{theme}", false, 0, EnumSet.of(MatchType.EXACT), 0, false, false))
                .hasMessageContaining("formula");
        assertThatThrownBy(() ->
                        TestPlans.settings(" ", "{theme}", false, 0, EnumSet.of(MatchType.EXACT), 0, false, false))
                .hasMessageContaining("name");
        assertThatThrownBy(() ->
                        TestPlans.settings("C", "{theme}", false, 0, EnumSet.noneOf(MatchType.class), 0, false, false))
                .hasMessageContaining("match type");
        assertThatThrownBy(() -> new Rule(1, new Condition.Stands(Status.KEPT), Status.DROPPED))
                .isInstanceOf(IllegalArgumentException.class);
    }
}

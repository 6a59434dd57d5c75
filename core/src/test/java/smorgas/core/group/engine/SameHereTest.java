package smorgas.core.group.engine;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.BitSet;
import java.util.List;
import java.util.TreeSet;
import org.junit.jupiter.api.Test;
import smorgas.core.fold.FoldedWords;
import smorgas.core.group.Grouper;
import smorgas.core.group.Grouping;
import smorgas.core.group.GroupingInput;
import smorgas.core.recipe.GroupEntry.WordsSame;
import smorgas.core.recipe.Recipe;
import smorgas.core.recipe.Rules;
import smorgas.core.recipe.group.Method;
import smorgas.core.recipe.group.Pass;
import smorgas.core.recipe.group.SameHere;
import smorgas.core.text.Refusal;

class SameHereTest {

    private static final List<String> KEYWORDS = List.of(
            "belay tuition",
            "belay tuitions near me",
            "belay lessons",
            "belay class near me",
            "crag holdall",
            "crag holdalls",
            "crag rucksack",
            "crag rucksacks",
            "harness kit",
            "harness equipment",
            "chalk bag",
            "chalk ball");

    private static SameHere same(String... words) {
        return SameHere.NOTHING.joined(List.of(words));
    }

    private static Grouping group(Method method, SameHere same) {
        BitSet all = new BitSet();
        all.set(0, KEYWORDS.size());
        return Grouper.group(
                GroupingInput.of(
                        FoldedWords.plain(KEYWORDS), all, "en", Rules.NEWEST.similarity(), Rules.NEWEST.themes()),
                Rules.NEWEST.settings().byThemes("en").with(method).with(same));
    }

    private static boolean together(Grouping grouping, String one, String other) {
        int group = grouping.groupOf(KEYWORDS.indexOf(one));
        return group >= 0 && group == grouping.groupOf(KEYWORDS.indexOf(other));
    }

    @Test
    void wordsThatMeanTheSameHereBringTheirKeywordsTogetherWhateverTheirForm() {
        Method method = Rules.NEWEST.settings().similarity();
        Grouping before = group(method, SameHere.NOTHING);
        assertThat(together(before, "crag holdall", "crag rucksack")).isFalse();
        Grouping after = group(method, same("holdall", "rucksack"));
        assertThat(together(after, "crag holdalls", "crag rucksack")).isTrue();
        assertThat(together(after, "crag holdall", "crag rucksacks")).isTrue();
    }

    @Test
    void aWordJoinsWhatAShippedListSaysAndAnotherLeavesIt() {
        Method method = Rules.NEWEST.settings().similarity();
        Grouping before = group(method, SameHere.NOTHING);
        assertThat(together(before, "belay tuition", "belay lessons")).isFalse();
        assertThat(together(before, "harness kit", "harness equipment")).isTrue();
        SameHere same = same("tuition", "lessons").parted(List.of("kit"));
        Grouping after = group(method, same);
        assertThat(together(after, "belay tuition", "belay lessons")).isTrue();
        assertThat(together(after, "belay tuitions near me", "belay class near me"))
                .isTrue();
        assertThat(together(after, "harness kit", "harness equipment")).isFalse();
        assertThat(together(group(method, same.asShipped(List.of("kit"))), "harness kit", "harness equipment"))
                .isTrue();
    }

    @Test
    void themesCountThemAsOneWordToo() {
        Method method = new Method.ByThemes(
                List.of(new Pass(3, 0, 0, 1, 2, true, 0)),
                Rules.NEWEST.settings().themes().rank());
        Grouping grouping = group(method, same("holdall", "rucksack"));
        assertThat(together(grouping, "crag holdall", "crag rucksacks")).isTrue();
        assertThat(grouping.words().find("crag rucksack")).hasValueSatisfying(found -> assertThat(found)
                .isEqualTo(grouping.words().find("crag holdall").orElseThrow()));
    }

    @Test
    void theRecipeHoldsThemAndSetsThatShareAWordAreOne() {
        List<SameHere> steps = new java.util.ArrayList<>();
        Recipe recipe = Recipe.of(
                List.of(
                        WordsSame.of(WordsSame.Way.SAME, "holdall", "rucksack"),
                        WordsSame.of(WordsSame.Way.SAME, "bag", "pack"),
                        WordsSame.of(WordsSame.Way.SAME, "rucksack", "pack"),
                        WordsSame.of(WordsSame.Way.APART, "bag")),
                "en");
        steps.add(recipe.grouping().settings().same());
        assertThat(steps)
                .containsExactly(new SameHere(
                        List.of(new TreeSet<>(List.of("holdall", "pack", "rucksack"))), new TreeSet<>(List.of("bag"))));
        assertThatThrownBy(() -> WordsSame.of(WordsSame.Way.SAME, "bag")).isInstanceOf(Refusal.class);
        assertThatThrownBy(() -> WordsSame.of(WordsSame.Way.SAME, "bag", "- /")).isInstanceOf(Refusal.class);
    }
}

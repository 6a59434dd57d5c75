package smorgas.core.recipe;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.TreeSet;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import smorgas.core.recipe.group.GroupRule;
import smorgas.core.recipe.group.Pass;
import smorgas.core.recipe.serve.MatchType;
import smorgas.core.recipe.sift.Condition;
import smorgas.core.recipe.sift.Status;

/** What entries about groups come to. */
class GroupRecipeTest {

    private static Recipe of(Entry... entries) {
        return Recipe.of(List.of(entries), "en");
    }

    private static Entry rule(int number, String name) {
        return new GroupEntry.GroupRuleSet(new GroupRule(number, name, new Condition.HasWord(name), false));
    }

    /** What a plan could not take, or a spreadsheet would run, names no group. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "bee hive 10 frame | true",
                "bienenkästen & co | true",
                "3x3 | true",
                "-5 | true",
                "'  bees' | true",
                "'' | false",
                "'   ' | false",
                "=1+1 | false",
                "+hive | false",
                "-hive | false",
                "@hive | false",
                ";=1+1 | false"
            })
    void aNameIsNotBlankAndNothingThatRuns(String name, boolean fits) {
        assertThat(GroupRule.fits(name)).isEqualTo(fits);
    }

    @Test
    void aNameHasAHundredCharactersAtMost() {
        for (String letter : List.of("a", "ä", "😀")) {
            assertThat(GroupRule.fits(letter.repeat(100))).as(letter).isTrue();
            assertThat(GroupRule.fits(letter.repeat(101))).as(letter).isFalse();
        }
    }

    @Test
    void rulesThatMakeGroupsKeepTheirOrderAndTheirNumbers() {
        Recipe three = of(rule(1, "gifts"), rule(2, "jobs"), rule(3, "books"));
        assertThat(three.grouping().rules()).extracting(GroupRule::name).containsExactly("gifts", "jobs", "books");
        assertThat(three.grouping().nextRule()).isEqualTo(4);
        assertThat(three.sifting().nextRule()).isEqualTo(1);
        Recipe changed = of(
                rule(1, "gifts"),
                rule(2, "jobs"),
                rule(3, "books"),
                rule(2, "work"),
                new GroupEntry.GroupRuleMoved(3, 0));
        assertThat(changed.grouping().rules()).extracting(GroupRule::name).containsExactly("books", "gifts", "work");
        Recipe fewer = of(
                rule(1, "gifts"),
                rule(2, "jobs"),
                new GroupEntry.GroupRuleRemoved(2),
                new GroupEntry.GroupRuleRemoved(9));
        assertThat(fewer.grouping().rules()).extracting(GroupRule::number).containsExactly(1);
        // A number is never given twice.
        assertThat(fewer.grouping().nextRule()).isEqualTo(3);
    }

    @Test
    void ofTwoHandsOnOneTextTheLaterWinsAndComesLast() {
        GroupsByHand decisions = of(
                        new GroupDecision.KeywordsPlaced(List.of("a", "b"), List.of("as"), "one"),
                        new GroupDecision.KeywordsPlaced(List.of("c"), List.of(), GroupsByHand.NO_GROUP),
                        new GroupDecision.KeywordsPlaced(List.of("a"), List.of(), "two"))
                .grouping()
                .decisions();
        assertThat(List.copyOf(decisions.placed().keySet())).containsExactly("b", "as", "c", "a");
        assertThat(decisions.placed())
                .containsEntry("a", "two")
                .containsEntry("c", "")
                .containsEntry("as", "one");
    }

    @Test
    void themesAreRemovedAndNamedAndBothCanBeTakenBack() {
        GroupsByHand decisions = of(
                        new GroupDecision.ThemeRemoved("for sale", true),
                        new GroupDecision.ThemeRemoved("near me", true),
                        new GroupDecision.ThemeRemoved("for sale", false),
                        new GroupDecision.GroupNamed("hive", "Hives"),
                        new GroupDecision.GroupNamed("lid", "Lids"),
                        new GroupDecision.GroupNamed("lid", ""))
                .grouping()
                .decisions();
        assertThat(decisions.removed()).containsExactly("near me");
        assertThat(decisions.names()).containsOnlyKeys("hive").containsEntry("hive", "Hives");
    }

    @Test
    void onlyWhatChangesGroupsMakesThemComeOutOtherwise() {
        Recipe before = of(rule(1, "gifts"), new GroupDecision.KeywordsPlaced(List.of("a"), List.of(), "one"));
        assertThat(before.grouping()
                        .groupsAs(of(rule(1, "gifts"), new GroupDecision.KeywordsPlaced(List.of("a"), List.of(), "one"))
                                .grouping()))
                .isTrue();
        assertThat(before.grouping().groupsAs(of(rule(1, "gifts")).grouping())).isFalse();
        assertThat(before.grouping()
                        .groupsAs(before.withGroups(Rules.NEWEST.settings().grouping("en"))
                                .grouping()))
                .isTrue();
        assertThat(before.grouping()
                        .groupsAs(before.withGroups(Rules.NEWEST
                                        .settings()
                                        .byThemes("en")
                                        .withIgnored(new TreeSet<>(List.of("bee"))))
                                .grouping()))
                .isFalse();
        // The same decisions in another order may mean another group where two meet in one keyword.
        Recipe one = of(
                new GroupDecision.KeywordsPlaced(List.of("a"), List.of(), "one"),
                new GroupDecision.KeywordsPlaced(List.of("b"), List.of(), "two"));
        Recipe other = of(
                new GroupDecision.KeywordsPlaced(List.of("b"), List.of(), "two"),
                new GroupDecision.KeywordsPlaced(List.of("a"), List.of(), "one"));
        assertThat(one.grouping().groupsAs(other.grouping())).isFalse();
    }

    @Test
    void entriesSayWhatWasDoneAndWhatTheyTouch() {
        Entry placed = new GroupDecision.KeywordsPlaced(List.of("bee hive"), List.of("beehive"), "hives");
        assertThat(placed.sentence()).hasToString("Put \"bee hive\" into group \"hives\"");
        assertThat(placed.touches()).containsExactlyInAnyOrder("keyword:bee hive", "keyword:beehive");
        assertThat(new GroupDecision.KeywordsPlaced(List.of("a", "b"), List.of(), "").sentence())
                .hasToString("Took 2 keywords out of all groups");
        assertThat(new GroupDecision.ThemeRemoved("for sale", true).sentence())
                .hasToString("Removed the theme \"for sale\"");
        assertThat(new GroupDecision.ThemeRemoved("for sale", false).sentence())
                .hasToString("Let the theme \"for sale\" form again");
        assertThat(rule(1, "gifts").sentence())
                .hasToString("Rule for groups: Group \"gifts\": keywords with the word \"gifts\"");
        assertThat(rule(1, "gifts").touches()).isNotEqualTo(rule(2, "gifts").touches());
    }

    @ParameterizedTest
    @CsvSource({
        "0, 0, 0, 1, 5, 0",
        "10001, 0, 0, 1, 5, 0",
        "5, 9, 0, 1, 5, 0",
        "5, 0, -1, 1, 5, 0",
        "5, 0, 0, 0, 5, 0",
        "5, 0, 0, 1, 6, 0",
        "5, 0, 0, 4, 3, 0",
        "5, 0, 0, 1, 5, 1.01",
        "5, 0, 0, 1, 5, NaN"
    })
    void passesThatCannotBeMeantAreRefused(
            int smallest, int largest, int about, int shortest, int longest, double tightness) {
        assertThatThrownBy(() -> new Pass(smallest, largest, about, shortest, longest, true, tightness))
                .isInstanceOf(IllegalArgumentException.class);
    }

    @Test
    void namesAndConditionsOfGroupsAreBounded() {
        assertThatThrownBy(() -> rule(1, " ")).hasMessageContaining("1 to 100 characters");
        assertThatThrownBy(() -> rule(1, "x".repeat(101))).hasMessageContaining("1 to 100 characters");
        assertThatThrownBy(() -> new GroupRule(1, "kept", new Condition.Stands(Status.KEPT), false))
                .hasMessageContaining("cannot ask for what follows from rules");
        assertThatThrownBy(() -> new GroupDecision.KeywordsPlaced(List.of(), List.of(), "x"))
                .isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> TestPlans.settings(
                        "C", "ads", false, 0, java.util.EnumSet.of(MatchType.EXACT), 0, false, false))
                .hasMessageContaining("{theme}");
        assertThatThrownBy(() -> TestPlans.settings(
                        "C", "{theme}", false, 6, java.util.EnumSet.of(MatchType.EXACT), 0, false, false))
                .hasMessageContaining("depth");
    }
}

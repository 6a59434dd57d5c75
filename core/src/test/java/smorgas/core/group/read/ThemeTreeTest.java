package smorgas.core.group.read;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import smorgas.core.board.Board;
import smorgas.core.gather.TestLists;
import smorgas.core.group.Grouping;
import smorgas.core.recipe.Entry;
import smorgas.core.recipe.GroupDecision;
import smorgas.core.recipe.GroupEntry;
import smorgas.core.recipe.Recipe;
import smorgas.core.recipe.Rules;

/** Broader themes, beside what their definition says of every set of words. */
class ThemeTreeTest {

    private static final List<String> WORDS =
            List.of("hive", "stand", "oak", "smoker", "veil", "queen", "jar", "honey", "tall", "wooden");

    private static Groups groups(String list, Entry... more) {
        List<Entry> entries = new ArrayList<>(List.of(new GroupEntry.GroupSettingsChosen(Rules.NEWEST
                .settings()
                .byThemes("en")
                .with(Rules.NEWEST.settings().themes()))));
        entries.addAll(List.of(more));
        return Board.of(List.of(TestLists.lines(1, list)), Recipe.of(entries, "en"))
                .groups();
    }

    private static String drawn(long seed) {
        Random random = new Random(seed);
        StringBuilder list = new StringBuilder("keyword;searches\n");
        for (int line = 0; line < 400; line++) {
            int words = 2 + random.nextInt(3);
            for (int i = 0; i < words; i++) {
                // The first words of the list are drawn most.
                list.append(WORDS.get((int) (WORDS.size() * random.nextDouble() * random.nextDouble())))
                        .append(i < words - 1 ? " " : ";");
            }
            list.append(random.nextInt(1_000)).append('\n');
        }
        return list.toString();
    }

    private static Set<String> words(String text) {
        return new TreeSet<>(Arrays.asList(text.split(" ")));
    }

    private static List<Set<String>> themes(Groups groups) {
        return IntStream.range(0, groups.grouping().size())
                .mapToObj(group -> (Set<String>) new TreeSet<>(groups.grouping().theme(group)))
                .filter(theme -> !theme.isEmpty())
                .toList();
    }

    private static long sharing(List<Set<String>> themes, Set<String> words) {
        return themes.stream().filter(theme -> theme.containsAll(words)).count();
    }

    private static double weight(Grouping grouping, Set<String> words) {
        return words.stream()
                .mapToDouble(
                        word -> grouping.weights()[grouping.words().find(word).orElseThrow()[0]])
                .sum();
    }

    private static List<Set<String>> within(Set<String> words) {
        List<String> all = List.copyOf(words);
        return IntStream.range(1, (1 << all.size()) - 1)
                .mapToObj(mask -> IntStream.range(0, all.size())
                        .filter(i -> (mask >> i & 1) == 1)
                        .mapToObj(all::get)
                        .collect(Collectors.toCollection(TreeSet::new)))
                .map(set -> (Set<String>) set)
                .toList();
    }

    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4, 5})
    void whatStandsAboveIsTheLargestSharedSetThenTheMostSharedThenTheHeaviest(long seed) {
        Groups groups = groups(drawn(seed));
        ThemeTree tree = groups.tree();
        List<Set<String>> themes = themes(groups);
        int nested = 0;
        for (int number = 0; number < tree.size(); number++) {
            ThemeTree.Node node = tree.node(number);
            Set<String> own = words(node.text());
            List<Set<String>> broader = within(own).stream()
                    .filter(set -> sharing(themes, set) > Math.max(1, sharing(themes, own)))
                    .toList();
            if (node.parent() < 0) {
                assertThat(broader).as(node.text()).isEmpty();
                continue;
            }
            Set<String> above = words(tree.node(node.parent()).text());
            if (above.equals(own)) {
                continue;
            }
            nested++;
            assertThat(broader).as(node.text()).contains(above);
            for (Set<String> other : broader) {
                assertThat(other.size()).as(node.text()).isLessThanOrEqualTo(above.size());
                if (other.size() == above.size()) {
                    assertThat(sharing(themes, other)).isLessThanOrEqualTo(sharing(themes, above));
                }
                if (other.size() == above.size() && sharing(themes, other) == sharing(themes, above)) {
                    assertThat(weight(groups.grouping(), other))
                            .isLessThanOrEqualTo(weight(groups.grouping(), above) + 1e-9);
                }
            }
        }
        assertThat(nested).isPositive();
    }

    @ParameterizedTest
    @ValueSource(longs = {6, 7})
    void sumsAreThoseOfTheGroupsBelowAndDepthsCountTheStepsUp(long seed) {
        Groups groups = groups(drawn(seed));
        ThemeTree tree = groups.tree();
        for (int number = 0; number < tree.size(); number++) {
            int node = number;
            int[] below = IntStream.range(0, groups.grouping().size())
                    .filter(group -> isUnder(tree, tree.nodeOf(group), node))
                    .toArray();
            assertThat(tree.node(node).keywords())
                    .isEqualTo(IntStream.of(below).map(groups::keywords).sum());
            assertThat(tree.node(node).searches().sum())
                    .isEqualTo(IntStream.of(below)
                            .mapToLong(group -> groups.searches(group).sum())
                            .sum());
            assertThat(tree.under(node)).allMatch(child -> tree.node(child).parent() == node);
            int parent = tree.node(node).parent();
            assertThat(tree.node(node).depth())
                    .isEqualTo(parent < 0 ? 1 : tree.node(parent).depth() + 1);
        }
        assertThat(tree.under(-1).stream()
                        .mapToInt(top -> tree.node(top).keywords())
                        .sum())
                .isEqualTo(groups.grouping().grouped());
    }

    private static boolean isUnder(ThemeTree tree, int node, int above) {
        int at = node;
        while (at >= 0 && at != above) {
            at = tree.node(at).parent();
        }
        return at == above;
    }

    @Test
    void aGroupKnowsWhatIsAboveItFromTheTopDown() {
        Groups groups = groups(drawn(9));
        ThemeTree tree = groups.tree();
        for (int group = 0; group < groups.grouping().size(); group++) {
            List<String> above = tree.above(group);
            Set<String> own = new TreeSet<>(groups.grouping().theme(group));
            for (int step = 0; step < above.size(); step++) {
                assertThat(own).containsAll(words(above.get(step)));
                assertThat(tree.within(group, above.get(step))).isTrue();
                assertThat(tree.node(tree.at(group, step + 1)).text()).isEqualTo(above.get(step));
                assertThat(step == 0 || words(above.get(step)).containsAll(words(above.get(step - 1))))
                        .isTrue();
            }
            assertThat(tree.at(group, above.size() + 5)).isEqualTo(tree.nodeOf(group));
            assertThat(tree.within(group, "nothing of the kind")).isFalse();
        }
        assertThat(tree.find("nothing of the kind")).isNegative();
    }

    @Test
    void aGroupThatAHandMadeStandsInTheTreeToo() {
        Groups groups = groups(
                drawn(8),
                new GroupDecision.KeywordsPlaced(
                        List.of("hive stand", "stand hive oak"), List.of(), "Stands of all kinds"));
        ThemeTree tree = groups.tree();
        for (int group = 0; group < groups.grouping().size(); group++) {
            assertThat(tree.node(tree.nodeOf(group)).group()).isEqualTo(group);
        }
    }
}

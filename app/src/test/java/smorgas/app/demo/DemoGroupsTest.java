package smorgas.app.demo;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.TreeMap;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import smorgas.app.Themed;
import smorgas.core.board.Board;
import smorgas.core.gather.BasketReader;
import smorgas.core.gather.Lines;
import smorgas.core.group.Grouping;
import smorgas.core.group.read.Explained;
import smorgas.core.group.read.Groups;
import smorgas.core.group.read.ThemeTree;
import smorgas.core.recipe.Entry;
import smorgas.core.recipe.GroupEntry;
import smorgas.core.recipe.Rules;
import smorgas.core.recipe.group.Pass;

/** What the group engine makes of the demo's lists. */
class DemoGroupsTest {

    private static final List<Lines> BASKETS = new ArrayList<>();
    private static Board board = Board.of(List.of(), Themed.recipe(List.of()));

    @BeforeAll
    static void read() {
        long id = 1;
        for (Map.Entry<String, byte[]> list : DemoLists.make().entrySet()) {
            BASKETS.add(BasketReader.lines(id++, list.getKey(), list.getValue())
                    .lines()
                    .orElseThrow());
        }
        board = Board.of(BASKETS, Themed.recipe(List.of()));
    }

    private static Groups groups(Pass... passes) {
        Entry chosen = new GroupEntry.GroupSettingsChosen(
                Rules.NEWEST.settings().byThemes("en").withPasses(passes));
        return board.next(BASKETS, Themed.recipe(List.of(chosen))).groups();
    }

    @Test
    void theShareGroupedDoesNotRiseWithTheLeastTightness() {
        for (boolean anyOrder : new boolean[] {true, false}) {
            int before = Integer.MAX_VALUE;
            for (double least : new double[] {0, .3, .5, .7, .9}) {
                Grouping grouping =
                        groups(new Pass(5, 0, 0, 1, 4, anyOrder, least)).grouping();
                assertThat(grouping.grouped()).isLessThanOrEqualTo(before).isPositive();
                before = grouping.grouped();
            }
        }
    }

    @Test
    void everyGroupIsWithinItsBoundsAndEveryMemberHasItsTheme() {
        Groups groups = groups(new Pass(6, 60, 0, 1, 4, true, 0));
        Grouping grouping = groups.grouping();
        int tooLarge = 0;
        for (int group = 0; group < grouping.size(); group++) {
            assertThat(groups.keywords(group)).isGreaterThanOrEqualTo(6);
            // What no narrower theme divides stays together.
            tooLarge += groups.keywords(group) > 60 ? 1 : 0;
            List<String> theme = grouping.theme(group);
            for (int keyword : grouping.members().row(group)) {
                assertThat(groups.explained().why(keyword).by()).containsExactlyElementsOf(theme);
            }
        }
        // Of the demo's products many have a modifier a keyword, which no theme of six divides.
        assertThat(tooLarge).isLessThan(grouping.size() / 2);
        assertThat(grouping.grouped())
                .as("the bound throws nobody out")
                .isEqualTo(groups(new Pass(6, 0, 0, 1, 4, true, 0)).grouping().grouped());
    }

    @Test
    void nevermoreThanAboutSoManyGroups() {
        int all = groups(new Pass(3, 0, 0, 1, 4, true, 0)).grouping().size();
        for (int about : new int[] {80, 30, 5}) {
            assertThat(groups(new Pass(3, 0, about, 1, 4, true, 0)).grouping().size())
                    .isLessThanOrEqualTo(about)
                    .isLessThan(all);
        }
    }

    @Test
    void theOrderOfTheBasketsMakesNoDifference() {
        Map<String, String> first = byText(board);
        List<Lines> shuffled = new ArrayList<>(BASKETS);
        Collections.shuffle(shuffled, new Random(2));
        assertThat(byText(Board.of(shuffled, Themed.recipe(List.of())))).isEqualTo(first);
    }

    /** By tidy text, for the lead spelling may differ where nothing but the first line decides. */
    private static Map<String, String> byText(Board of) {
        Map<String, String> groups = new TreeMap<>();
        for (int k = 0; k < of.keywords().size(); k++) {
            int group = of.groups().grouping().groupOf(k);
            groups.put(
                    String.join("|", new java.util.TreeSet<>(of.keywords().tidyTexts(k))),
                    group < 0
                            ? ""
                            : String.join(
                                    " ",
                                    new java.util.TreeSet<>(
                                            of.groups().grouping().theme(group))));
        }
        return groups;
    }

    @Test
    void namesAreDistinctAndFiguresAndTreeCountEveryKeywordOnce() {
        Groups groups = board.groups();
        List<String> names = new ArrayList<>();
        for (int group : groups.order()) {
            names.add(groups.name(group).toLowerCase(java.util.Locale.ROOT));
        }
        assertThat(names).doesNotHaveDuplicates();
        ThemeTree tree = groups.tree();
        assertThat(tree.under(-1).stream()
                        .mapToInt(top -> tree.node(top).keywords())
                        .sum())
                .isEqualTo(groups.grouping().grouped());
        Explained.Figures figures = groups.figures();
        assertThat(figures.grouped() + groups.grouping().ungrouped()).isEqualTo(figures.keywords());
        assertThat(figures.smallest()).isGreaterThanOrEqualTo(3).isLessThanOrEqualTo(figures.median());
        assertThat(figures.median()).isLessThanOrEqualTo(figures.largest());
        assertThat(figures.separation()).isBetween(-1.0, 1.0);
    }
}

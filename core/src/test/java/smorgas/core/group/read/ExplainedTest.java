package smorgas.core.group.read;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import smorgas.core.board.Board;
import smorgas.core.gather.TestLists;
import smorgas.core.group.Grouping;
import smorgas.core.recipe.Entry;
import smorgas.core.recipe.GroupDecision;
import smorgas.core.recipe.GroupEntry;
import smorgas.core.recipe.Rules;
import smorgas.core.recipe.Themed;
import smorgas.core.recipe.group.Pass;

/** Names, broader themes, reasons and figures of groups. */
class ExplainedTest {

    private static final String LIST = """
            keyword;searches
            wooden hive stand oak;10
            wooden hive stands pine;90
            wooden hive stand ash;20
            metal hive stand tall;40
            metal hive stand low;30
            metal hive stand grey;5
            hive lid red;7
            hive lid blue;8
            hive lid green;9
            smoker fuel tin;400
            smoker fuel bag;300
            smoker fuel box;200
            something else;1
            """;

    private static Board board(Entry... entries) {
        return Board.of(List.of(TestLists.lines(1, LIST)), Themed.recipe(List.of(entries)));
    }

    private static Entry passes(Pass... passes) {
        return new GroupEntry.GroupSettingsChosen(
                Rules.NEWEST.settings().byThemes("en").withPasses(passes));
    }

    private static List<String> names(Groups groups) {
        return IntStream.of(groups.order()).mapToObj(groups::name).toList();
    }

    @Test
    void groupsBelongToBroaderThemes() {
        Groups groups = board().groups();
        ThemeTree tree = groups.tree();
        assertThat(names(groups)).contains("wooden hive stands", "metal hive stand", "hive lid", "smoker fuel");
        int wooden = groups.find("wooden hive stand");
        ThemeTree.Node node = tree.node(tree.nodeOf(wooden));
        ThemeTree.Node stand = tree.node(node.parent());
        ThemeTree.Node hive = tree.node(stand.parent());
        assertThat(List.of(hive.text(), stand.text(), node.text()))
                .containsExactly("hive", "hive stand", "wooden hive stand");
        assertThat(List.of(hive.keywords(), stand.keywords(), node.keywords())).containsExactly(9, 6, 3);
        assertThat(hive.searches().sum()).isEqualTo(219);
        assertThat(tree.node(tree.at(wooden, 1)).text()).isEqualTo("hive");
        assertThat(tree.under(-1)).extracting(top -> tree.node(top).text()).containsExactly("smoker fuel", "hive");
        // Every group is in the tree once, and what is above counts all that is below.
        int top = tree.under(-1).stream().mapToInt(n -> tree.node(n).keywords()).sum();
        assertThat(top).isEqualTo(groups.grouping().grouped());
    }

    @Test
    void namesAreTheThemeAsItsMostSearchedKeywordWritesItOrWhatAHandSaid() {
        assertThat(names(board().groups())).doesNotHaveDuplicates().contains("wooden hive stands");
        Groups named = board(
                        new GroupDecision.GroupNamed("hive lid", "Smoker Fuel"),
                        new GroupDecision.GroupNamed("metal hive stand", "Metal"))
                .groups();
        assertThat(names(named)).contains("smoker fuel", "Smoker Fuel 2", "Metal");
    }

    @Test
    void aKeywordTellsItsWordsAndTheNextBestGroup() {
        Board board = board(
                passes(new Pass(3, 0, 0, 2, 3, true, 0)),
                new GroupDecision.KeywordsPlaced(List.of("smoker fuel tin"), List.of(), "hive lid"));
        Groups groups = board.groups();
        int tin = board.keywords().find("smoker fuel tin").orElseThrow();
        assertThat(groups.grouping().by(tin)).isEqualTo(Grouping.By.HAND);
        Explained.Why why = groups.explained().why(tin);
        assertThat(why.by()).isEmpty();
        assertThat(why.tightness()).isZero();
        int group = groups.find("hive lid");
        assertThat(groups.explained().odd(group)).containsExactly(tin);
        assertThat(groups.explained().common(group)).first().satisfies(word -> {
            assertThat(word.theme()).isTrue();
            assertThat(word.share()).isCloseTo(.75, within(1e-9));
        });
        // Two keywords are too few for a group, but this was one of three before a hand took one out of it.
        assertThat(groups.grouping().members().length(groups.find("smoker fuel")))
                .isEqualTo(2);
        int red = board.keywords().find("hive lid red").orElseThrow();
        assertThat(groups.explained().why(red).by()).containsExactly("hive", "lid");
        assertThat(groups.explained().why(red).lead()).isPositive();
    }

    @Test
    void relatedGroupsShareWordsAndFiguresAddUp() {
        Board board = board();
        Groups groups = board.groups();
        int wooden = groups.find("wooden hive stand");
        assertThat(groups.explained().near(wooden)).first().satisfies(near -> {
            assertThat(groups.name(near.group())).isEqualTo("metal hive stand");
            assertThat(near.nearness()).isBetween(.005, 1.0);
        });
        Explained.Figures figures = groups.figures();
        assertThat(figures.keywords()).isEqualTo(13);
        assertThat(figures.grouped()).isEqualTo(12);
        assertThat(figures.searches()).isEqualTo(1_120);
        assertThat(figures.groupedSearches()).isEqualTo(1_119);
        assertThat(List.of(figures.groups(), figures.smallest(), figures.median(), figures.largest()))
                .containsExactly(4, 3, 3, 3);
        assertThat(figures.tightness()).isBetween(.4, 1.0);
        assertThat(figures.separation()).isBetween(0.0, 1.0);
    }

    @Test
    void whatIsOfTheThemeIsMarkedHoweverItIsWritten() {
        Groups groups = board().groups();
        assertThat(groups.marks(groups.find("wooden hive stand"), "wooden hive stands pine"))
                .containsExactly(
                        new ThemeMarks.Mark("wooden", true),
                        new ThemeMarks.Mark(" ", false),
                        new ThemeMarks.Mark("hive", true),
                        new ThemeMarks.Mark(" ", false),
                        new ThemeMarks.Mark("stands", true),
                        new ThemeMarks.Mark(" pine", false));
    }
}

package smorgas.core.board;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import smorgas.core.figure.Computed;
import smorgas.core.figure.Fact;
import smorgas.core.figure.Figure;
import smorgas.core.fold.Keywords;
import smorgas.core.gather.TestLists;
import smorgas.core.recipe.Recipe;
import smorgas.core.recipe.Themed;

class OrdersTest {

    private static Board board(String... lists) {
        return Board.of(
                java.util.stream.IntStream.range(0, lists.length)
                        .mapToObj(i -> TestLists.lines(i + 1, lists[i]))
                        .toList(),
                Recipe.empty("en"));
    }

    private static List<String> texts(Board board, Fact by, boolean descending) {
        return Arrays.stream(board.orders().by(by, descending))
                .mapToObj(board.keywords()::text)
                .toList();
    }

    @Test
    void unknownComesLastBothWaysAndTiesGoBySearchesThenText() {
        Board board = board("keyword,searches,position\na,,3\nb,10,3\nc,90,\nd,90,1\ne,,3\nf,5-15,2\n");
        Fact searches = Figure.SEARCHES;
        assertThat(texts(board, searches, true)).containsExactly("c", "d", "b", "f", "a", "e");
        assertThat(texts(board, searches, false)).containsExactly("b", "f", "c", "d", "a", "e");
        Fact position = Figure.POSITION;
        assertThat(texts(board, position, false)).containsExactly("d", "f", "b", "a", "e", "c");
        assertThat(texts(board, position, true)).containsExactly("b", "a", "e", "f", "d", "c");
    }

    @Test
    void aFigureThatNoBasketHasLeavesTheOrderOfSearches() {
        Board board = board("keyword,searches\na,1\nb,2\n");
        assertThat(texts(board, Figure.CPC, true)).containsExactly("b", "a");
    }

    @Test
    void countsOfWordsLinesAndBasketsSort() {
        Board board = board("one\ntwo words\nONE\nhere three words\n", "two words\none\n");
        assertThat(texts(board, Computed.WORDS, true)).containsExactly("here three words", "two words", "one");
        assertThat(texts(board, Computed.LINES, true)).startsWith("one", "two words");
        assertThat(texts(board, Computed.BASKETS, false)).startsWith("here three words");
        assertThat(texts(board, Computed.KEYWORD, false)).containsExactly("here three words", "one", "two words");
    }

    @Test
    void everyOrderHoldsEveryKeywordOnce() {
        Random random = new Random(9);
        StringBuilder list = new StringBuilder("keyword,searches,cpc\n");
        for (int i = 0; i < 500; i++) {
            list.append("k ").append(random.nextInt(300)).append(',');
            list.append(random.nextBoolean() ? random.nextInt(20) : "").append(',');
            list.append(random.nextBoolean() ? random.nextInt(9) + ".25" : "").append('\n');
        }
        Board board = board(list.toString());
        Keywords keywords = board.keywords();
        for (Figure figure : Figure.values()) {
            for (boolean descending : new boolean[] {true, false}) {
                int[] order = board.orders().by(figure, descending);
                assertThat(Arrays.stream(order).distinct().count()).isEqualTo(keywords.size());
            }
        }
    }

    @Test
    void everythingThatASortOrATableShowsCanBeTold() {
        var list = TestLists.lines(1, "keyword,searches\nhive lid,5\nhive stand,7\nhive roof,1\nalone,2\n");
        Board board = Board.of(List.of(list), Themed.recipe(List.of()));
        int lid = board.keywords().find("hive lid").orElseThrow();
        for (Fact fact : Fact.all()) {
            if (fact.since() != Fact.Since.LISTED) {
                assertThat(board.facts().exported(fact, lid)).as(fact.name()).doesNotContain("null", "Optional", "\n");
            }
            assertThat(Fact.find(fact.key())).contains(fact);
        }
        assertThat(board.facts().exported(Computed.KEYWORD, lid)).isEqualTo("hive lid");
        assertThat(board.facts().exported(Figure.SEARCHES, lid)).isEqualTo("5");
        assertThat(board.facts().exported(Figure.CPC, lid)).isEmpty();
        assertThat(board.facts().exported(Computed.WORDS, lid)).isEqualTo("2");
        assertThat(board.facts().exported(Computed.GROUP, lid)).isEqualTo("hive");
        assertThat(Integer.parseInt(board.facts().exported(Computed.TIGHTNESS, lid)))
                .isBetween(1, 99);
        int alone = board.keywords().find("alone").orElseThrow();
        assertThat(board.facts().exported(Computed.TIGHTNESS, alone)).isEmpty();
        assertThat(board.facts().exported(Computed.GROUP, alone)).isEqualTo("ungrouped");
    }
}

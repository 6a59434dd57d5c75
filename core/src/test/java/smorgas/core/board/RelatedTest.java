package smorgas.core.board;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.util.BitSet;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import smorgas.core.gather.Lines;
import smorgas.core.gather.TestLists;
import smorgas.core.group.engine.MeaningVectors;
import smorgas.core.recipe.Recipe;
import smorgas.core.recipe.gather.BasketInfo;

/** What a project has that is related to some of its keywords. */
class RelatedTest {

    private static Lines rival(long basket, String name, String list) {
        return TestLists.lines(basket, name, list.getBytes(StandardCharsets.UTF_8))
                .described(new BasketInfo(name, BasketInfo.Kind.COMPETITOR, "", name, "", "", "", ""));
    }

    private static final Board BOARD = Board.of(
            List.of(
                    rival(
                            1,
                            "first",
                            "keyword,url,position\ncedar hive,https://a.example/hives,1\nwooden hive,https://a.example/hives,2\n"
                                    + "hive stand,https://a.example/hives,3\nsmoker,https://a.example/smoke,1\n"),
                    rival(
                            2,
                            "second",
                            "keyword,url,position\ncedar hive,https://b.example/x,1\nhive stand,https://b.example/x,2\n"
                                    + "bee home,https://b.example/other,2\n"),
                    TestLists.lines(3, "apiary box\nveil\n")),
            Recipe.empty("en"));

    private static final Map<String, float[]> MEANT = Map.of(
            "cedar hive", new float[] {1, 0},
            "apiary box", new float[] {.8f, .6f},
            "bee home", new float[] {.6f, .8f},
            "veil", new float[] {0, 1});

    private static List<String> related(MeaningVectors meaning, int most, String... to) {
        BitSet keywords = new BitSet();
        for (String text : to) {
            keywords.set(BOARD.keywords().find(text).orElseThrow());
        }
        return Related.of(BOARD, keywords, meaning, most).stream()
                .map(term -> BOARD.keywords().text(term.keyword()) + " " + term.pages() + " " + term.competitors() + " "
                        + Math.round(100 * term.nearness()))
                .toList();
    }

    @Test
    void aPageOfFewKeywordsAndAMeaningNearbySayMoreThanCompetitors() {
        assertThat(related(MEANT::get, 10, "cedar hive"))
                .containsExactly("hive stand 2 2 0", "apiary box 0 0 80", "wooden hive 1 1 0", "bee home 0 1 60");
        assertThat(related(MeaningVectors.NONE, 1, "cedar hive")).containsExactly("hive stand 2 2 0");
        assertThat(related(MeaningVectors.NONE, 10, "cedar hive", "hive stand", "wooden hive"))
                .isEmpty();
        assertThat(related(MEANT::get, 10)).isEmpty();
    }
}

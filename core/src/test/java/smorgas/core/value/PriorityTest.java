package smorgas.core.value;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import org.apache.commons.math3.stat.ranking.NaturalRanking;
import org.junit.jupiter.api.Test;
import smorgas.core.board.Board;
import smorgas.core.figure.Computed;
import smorgas.core.gather.TestLists;
import smorgas.core.recipe.Recipe;
import smorgas.core.recipe.ValueEntry;
import smorgas.core.recipe.value.Intent;
import smorgas.core.recipe.value.PrioritySettings;
import smorgas.core.recipe.value.PrioritySettings.Factor;
import smorgas.core.recipe.value.PrioritySettings.PriorityClass;
import smorgas.core.text.Refusal;

class PriorityTest {

    private static final String LIST = "keyword,searches,competition\nbuy hive,1000,80\nhow to hive,1000,20\n"
            + "plastic hive,100,50\nhive,10,\nsmoker,,\n";

    private static Board board(String list, PrioritySettings settings) {
        return Board.of(
                List.of(TestLists.lines(1, list)), Recipe.of(List.of(new ValueEntry.PrioritySet(settings)), "en"));
    }

    private static PrioritySettings settings(Map<Factor, Integer> weights) {
        return new PrioritySettings(
                weights,
                Map.of(Intent.TRANSACTIONAL, 100, Intent.INFORMATIONAL, 0),
                PrioritySettings.words("plastic, -100"),
                List.of(new PriorityClass("first", 25), new PriorityClass("later", 75)));
    }

    private static double score(Board board, String keyword) {
        return board.priority()
                .score(board.keywords().find(keyword).orElseThrow())
                .orElseThrow();
    }

    /** Counted by hand. */
    @Test
    void aVerdictIsTheMeanOfWhatIsKnownByOnesOwnWeights() {
        Board board = board(LIST, settings(Map.of(Factor.SEARCHES, 50, Factor.COMPETITION, -50)));
        assertThat(score(board, "buy hive")).isEqualTo((.75 + .2) / 2, within(1e-9));
        assertThat(score(board, "how to hive")).isEqualTo((.75 + .8) / 2, within(1e-9));
        assertThat(score(board, "hive"))
                .as("its competition is unknown: neither good nor bad")
                .isEqualTo((.125 + .5) / 2, within(1e-9));
        int smoker = board.keywords().find("smoker").orElseThrow();
        assertThat(board.priority().score(smoker)).isEmpty();
        assertThat(board.facts().exported(Computed.PRIORITY, smoker)).isEmpty();
        assertThat(board.priority().unknown(smoker)).containsExactly(Factor.SEARCHES, Factor.COMPETITION);
        assertThat(board.facts()
                        .exported(
                                Computed.PRIORITY,
                                board.keywords().find("how to hive").orElseThrow()))
                .isEqualTo("first");
        Board words = board(LIST, settings(Map.of(Factor.INTENT, 1, Factor.WORDS, 3)));
        assertThat(score(words, "buy hive")).isEqualTo((1 + 3 * .5) / 4, within(1e-9));
        assertThat(score(words, "plastic hive")).isEqualTo((.5 + 0) / 4, within(1e-9));
        assertThat(words.priority().said(words.keywords().find("plastic hive").orElseThrow()))
                .extracting(Priority.Said::factor)
                .containsExactly(Factor.WORDS, Factor.INTENT);
    }

    /** Midranks as a library of statistics has them (average ranks of ties). */
    @Test
    void searchesSpeakByTheirRank() {
        int[] searches = IntStream.range(0, 300).map(i -> i * 7919 % 97 * 10).toArray();
        StringBuilder list = new StringBuilder("keyword,searches\n");
        IntStream.range(0, searches.length).forEach(i -> list.append("word")
                .append((char) ('a' + i % 26))
                .append(i)
                .append(',')
                .append(searches[i])
                .append('\n'));
        Board board = board(list.toString(), settings(Map.of(Factor.SEARCHES, 1)));
        double[] ranks = new NaturalRanking()
                .rank(IntStream.of(searches).asDoubleStream().toArray());
        for (int i = 0; i < searches.length; i++) {
            assertThat(score(board, "word" + (char) ('a' + i % 26) + i))
                    .isEqualTo((ranks[i] - .5) / searches.length, within(1e-9));
        }
        int[] counts = board.priority().counts(board.statuses().remaining());
        assertThat(counts[0])
                .as("those of one score are in the better class together")
                .isBetween(75, 79);
        assertThat(counts[2]).isZero();
    }

    @Test
    void whatCannotBeIsRefusedWithItsLine() {
        assertThatThrownBy(() -> settings(Map.of(Factor.BID, 101))).hasMessage("Bid weighs -100 to 100, not 101");
        assertThatThrownBy(() -> PrioritySettings.words("cheap, 10\n\nbest, 5"))
                .isInstanceOf(Refusal.class)
                .hasMessageStartingWith("Line 2 of the words is empty");
        assertThatThrownBy(() -> PrioritySettings.classes("first 10"))
                .hasMessageContaining("\"first 10\", cannot be read");
        assertThatThrownBy(() -> new PrioritySettings(
                        Map.of(), Map.of(), new LinkedHashMap<>(), PrioritySettings.classes("a, 10\nb, 20%")))
                .hasMessage("The shares of the classes are 30% together, and should be 100%");
    }
}

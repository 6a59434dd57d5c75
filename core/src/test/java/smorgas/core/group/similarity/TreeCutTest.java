package smorgas.core.group.similarity;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import smorgas.core.recipe.group.Method;

/** Trees of joins, made at random or written down, and the groups that a cut gives. */
class TreeCutTest {

    private static final int KEYWORDS = 300;

    /** Joins of any two groups that are left, each less alike than those before or as much. */
    private static Dendrogram random(long seed) {
        Random random = new Random(seed);
        List<Integer> left =
                new ArrayList<>(IntStream.range(0, KEYWORDS).boxed().toList());
        List<Dendrogram.Merge> merges = new ArrayList<>();
        double like = 1;
        while (left.size() > 10) {
            int one = left.remove(random.nextInt(left.size()));
            int other = left.remove(random.nextInt(left.size()));
            like -= random.nextInt(3) * .001;
            merges.add(new Dendrogram.Merge(Math.min(one, other), Math.max(one, other), like));
            left.add(Math.min(one, other));
        }
        return new Dendrogram(KEYWORDS, merges);
    }

    private static List<TreeCut.Piece> pieces(Dendrogram tree, int smallest, int largest, double like) {
        return new TreeCut(tree, new Method.BySimilarity(50, smallest, largest, false, Method.BySimilarity.ALL))
                .groups(like);
    }

    private static int[] labels(List<TreeCut.Piece> pieces) {
        int[] label = new int[KEYWORDS];
        Arrays.fill(label, -1);
        for (int piece = 0; piece < pieces.size(); piece++) {
            for (int member : pieces.get(piece).members()) {
                assertThat(label[member]).as("keyword %d is in one", member).isEqualTo(-1);
                label[member] = piece;
            }
        }
        assertThat(label).as("no keyword is thrown out").doesNotContain(-1);
        return label;
    }

    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3})
    void groupsOfATighterCutAreWithinThoseOfABroaderOne(long seed) {
        Dendrogram tree = random(seed);
        int[] broader = labels(pieces(tree, 2, 0, 0));
        for (double like : new double[] {.5, .8, .9, .95, .99, 1}) {
            int[] tighter = labels(pieces(tree, 2, 0, like));
            int[] within = new int[KEYWORDS];
            Arrays.fill(within, -1);
            for (int keyword = 0; keyword < KEYWORDS; keyword++) {
                int group = tighter[keyword];
                assertThat(within[group]).isIn(-1, broader[keyword]);
                within[group] = broader[keyword];
            }
            assertThat(Arrays.stream(tighter).distinct().count())
                    .isGreaterThanOrEqualTo(Arrays.stream(broader).distinct().count());
            broader = tighter;
        }
    }

    /** The same groups come by going through the joins and by the pieces. */
    @ParameterizedTest
    @ValueSource(doubles = {0, .7, .85, .97, 1.01})
    void piecesAreTheGroupsOfTheTreeThoseOfTheFirstKeywordsFirst(double like) {
        Dendrogram tree = random(7);
        int[] group = tree.cut(like);
        List<TreeCut.Piece> pieces = pieces(tree, 2, 0, like);
        int before = -1;
        for (TreeCut.Piece piece : pieces) {
            assertThat(piece.members()).isSorted();
            assertThat(piece.members()[0]).isGreaterThan(before);
            assertThat(piece.divided()).isFalse();
            before = piece.members()[0];
            assertThat(Arrays.stream(piece.members()).map(member -> group[member]))
                    .as("go by their first keyword")
                    .containsOnly(before);
        }
        assertThat(pieces).hasSize((int) Arrays.stream(group).distinct().count());
    }

    @ParameterizedTest
    @CsvSource({"2, 5", "3, 10", "4, 12", "10, 25", "2, 2"})
    void whatIsTooLargeIsDividedAndNobodyIsThrownOut(int smallest, int largest) {
        Dendrogram tree = random(11);
        List<TreeCut.Piece> pieces = pieces(tree, smallest, largest, 0);
        labels(pieces);
        assertThat(pieces).anyMatch(TreeCut.Piece::divided);
        assertThat(pieces).allSatisfy(piece -> assertThat(piece.members()).hasSizeLessThanOrEqualTo(largest));
    }

    /** Written down: 0 and 1 first, then 2 and 3, then both; a join never counts as tighter than those it is made of. */
    @Test
    void joinsComeTheMostAlikeFirst() {
        Dendrogram tree = new Dendrogram(
                5,
                List.of(
                        new Dendrogram.Merge(2, 3, .6),
                        new Dendrogram.Merge(0, 1, .9),
                        new Dendrogram.Merge(0, 2, .7)));
        assertThat(tree.joins()).isEqualTo(3);
        assertThat(IntStream.range(0, 3).mapToObj(tree::like)).containsExactly(.9, .6, .6);
        assertThat(IntStream.range(0, 3).map(tree::from)).containsExactly(1, 3, 2);
        assertThat(IntStream.range(0, 3).map(tree::into)).containsExactly(0, 2, 0);
        assertThat(tree.cut(.91)).containsExactly(0, 1, 2, 3, 4);
        assertThat(tree.cut(.9)).containsExactly(0, 0, 2, 3, 4);
        assertThat(tree.cut(.6)).containsExactly(0, 0, 0, 0, 4);
    }
}

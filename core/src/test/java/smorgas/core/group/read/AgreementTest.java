package smorgas.core.group.read;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.stream.IntStream;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.Test;

/** Published worked examples; the values that the publications do not print were recomputed with another library. */
class AgreementTest {

    private static final Offset<Double> CLOSE = within(5e-7);

    /** Rows are found groups, columns known classes. */
    private static Agreement of(int[][] table) {
        IntStream.Builder found = IntStream.builder();
        IntStream.Builder known = IntStream.builder();
        for (int row = 0; row < table.length; row++) {
            for (int column = 0; column < table[row].length; column++) {
                for (int i = 0; i < table[row][column]; i++) {
                    found.add(row);
                    known.add(column + 100);
                }
            }
        }
        return Agreement.of(found.build().toArray(), known.build().toArray());
    }

    /** Manning, Raghavan and Schütze, Introduction to Information Retrieval, figure 16.4. */
    @Test
    void theTextbookExample() {
        Agreement agreement = of(new int[][] {{5, 1, 0}, {1, 4, 1}, {2, 0, 3}});
        assertThat(agreement.purity()).isEqualTo(12 / 17.0, CLOSE);
        assertThat(agreement.rand()).isEqualTo(.676471, CLOSE);
        assertThat(agreement.mutualInformation()).isEqualTo(.364562, CLOSE);
        assertThat(agreement.adjustedRand()).isEqualTo(.242915, CLOSE);
        assertThat(agreement.homogeneity()).isEqualTo(.371468, CLOSE);
        assertThat(agreement.completeness()).isEqualTo(.357908, CLOSE);
        assertThat(agreement.precision()).isEqualTo(149 / 255.0, CLOSE);
        assertThat(agreement.recall()).isEqualTo(193 / 340.0, CLOSE);
        assertThat(agreement.f()).isEqualTo(.575860, CLOSE);
    }

    /** Yeung and Ruzzo 2001. */
    @Test
    void theAdjustedRandIndexOfItsDetailsPaper() {
        Agreement agreement = of(new int[][] {{1, 1, 0}, {1, 2, 1}, {0, 0, 4}});
        assertThat(agreement.rand()).isEqualTo(.7111, within(5e-5));
        assertThat(agreement.adjustedRand()).isEqualTo(.312573, CLOSE);
    }

    /** Bagga and Baldwin 1998: which two classes are joined by mistake makes the difference. */
    @Test
    void bCubedOfItsPaper() {
        Agreement small = of(new int[][] {{5, 2, 0}, {0, 0, 5}});
        assertThat(small.precision()).isEqualTo(.761905, CLOSE);
        assertThat(small.recall()).isEqualTo(1, CLOSE);
        Agreement large = of(new int[][] {{5, 0, 5}, {0, 2, 0}});
        assertThat(large.precision()).isEqualTo(.583333, CLOSE);
        assertThat(large.recall()).isEqualTo(1, CLOSE);
    }

    /** Rosenberg and Hirschberg 2007: the V-measure is the normalised mutual information. */
    @Test
    void theVMeasureOfItsPaper() {
        assertThat(of(new int[][] {{3, 1, 1}, {1, 3, 1}, {1, 1, 3}}).mutualInformation())
                .isEqualTo(.135026, CLOSE);
        assertThat(of(new int[][] {{3, 2, 0}, {0, 3, 2}, {2, 0, 3}}).mutualInformation())
                .isEqualTo(.387398, CLOSE);
    }

    @Test
    void theEdges() {
        int[] truth = {0, 0, 1, 1};
        Agreement one = Agreement.of(new int[4], truth);
        assertThat(one.adjustedRand()).isEqualTo(0, CLOSE);
        assertThat(one.mutualInformation()).isEqualTo(0, CLOSE);
        Agreement single = Agreement.of(new int[] {1, 2, 3, 4}, truth);
        assertThat(single.adjustedRand()).isEqualTo(0, CLOSE);
        assertThat(single.homogeneity()).isEqualTo(1, CLOSE);
        assertThat(single.completeness()).isEqualTo(.5, CLOSE);
        assertThat(single.mutualInformation()).isEqualTo(.6667, within(5e-5));
        assertThat(Agreement.of(truth, truth).adjustedRand()).isEqualTo(1, CLOSE);
        assertThatThrownBy(() -> Agreement.of(truth, new int[3])).hasMessageContaining("4 things");
    }
}

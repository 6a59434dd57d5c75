package smorgas.core.value;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Random;
import org.apache.commons.math3.distribution.NormalDistribution;
import org.apache.commons.math3.stat.inference.ChiSquareTest;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import smorgas.core.value.TwoProportions.Verdict;

/** Shares at two times: the square of the statistic is that of the chi-square test of another library, on drawn counts. */
class TwoProportionsTest {

    @Test
    void itsSquareIsTheChiSquareOfTheFourfoldTable() {
        Random random = new Random(1);
        for (int draw = 0; draw < 500; draw++) {
            long firstOf = 50 + random.nextInt(5_000);
            long secondOf = 50 + random.nextInt(5_000);
            long first = 1 + random.nextInt((int) firstOf - 1);
            long second = 1 + random.nextInt((int) secondOf - 1);
            double chi =
                    new ChiSquareTest().chiSquare(new long[][] {{first, firstOf - first}, {second, secondOf - second}});
            TwoProportions test = new TwoProportions(first, firstOf, second, secondOf);
            assertThat(test.z() * test.z()).isCloseTo(chi, within(1e-6 * Math.max(1, chi)));
            assertThat(Math.signum(test.z())).isEqualTo(Math.signum(test.second() - test.first()));
        }
    }

    @Test
    void theQuantilesAreThoseOfTheNormalDistribution() {
        NormalDistribution normal = new NormalDistribution();
        assertThat(TwoProportions.CONFIDENCE).isCloseTo(normal.inverseCumulativeProbability(.975), within(1e-6));
        assertThat(TwoProportions.POWER).isCloseTo(normal.inverseCumulativeProbability(.8), within(1e-6));
    }

    @ParameterizedTest
    @CsvSource({
        "20, 1000, 50, 1000, ROSE",
        "50, 1000, 20, 1000, FELL",
        "20, 1000, 22, 1000, OPEN",
        "1, 10, 4, 10, OPEN",
        "0, 0, 4, 10, OPEN",
        "1000, 1000, 1000, 1000, OPEN"
    })
    void whatCanBeSaidIsSaidAndWhatCannotIsNot(double first, long of, double second, long to, Verdict verdict) {
        assertThat(new TwoProportions(first, of, second, to).verdict()).isEqualTo(verdict);
    }

    /** As many more as it says, and a difference of that size is told in four of five draws. */
    @Test
    void withAsManyTrialsAsItSaysFourOfFiveDrawsTellTheDifference() {
        TwoProportions open = new TwoProportions(20, 1_000, 26, 1_000);
        assertThat(open.verdict()).isEqualTo(Verdict.OPEN);
        int trials = (int) (1_000 + open.more());
        Random random = new Random(7);
        int told = 0;
        for (int draw = 0; draw < 400; draw++) {
            told += new TwoProportions(hits(random, .02, trials), trials, hits(random, .026, trials), trials).verdict()
                            == Verdict.ROSE
                    ? 1
                    : 0;
        }
        assertThat(told / 400.0).isCloseTo(.8, within(.07));
        assertThat(new TwoProportions(20, 1_000, 20, 1_000).more()).isEqualTo(Long.MAX_VALUE);
        assertThat(new TwoProportions(20, 1_000, 50, 1_000).more()).isZero();
    }

    private static int hits(Random random, double share, int trials) {
        int hits = 0;
        for (int trial = 0; trial < trials; trial++) {
            hits += random.nextDouble() < share ? 1 : 0;
        }
        return hits;
    }
}

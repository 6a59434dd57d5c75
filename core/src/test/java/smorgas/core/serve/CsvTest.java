package smorgas.core.serve;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.StringWriter;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.random.RandomGenerator;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import smorgas.core.figure.Figure;

/** Cells of tables for reading. */
class CsvTest {

    private static final long MONEY = Figure.CPC.scale();

    @ParameterizedTest
    @CsvSource({
        "0, 1, 0",
        "-7, 1, -7",
        "450000, 1000000, 0.45",
        "1000000, 1000000, 1.00",
        "-250000, 1000000, -0.25",
        "1, 1000000, 0.000001",
        "1234567890, 1000000, 1234.56789",
        "150, 100, 1.5",
        "100, 100, 1",
        "5, 100, 0.05"
    })
    void amountsAreWrittenWithoutNeedlessZerosMoneyWithTwoDecimals(long parts, long scale, String written) {
        assertThat(Csv.amount(parts, scale)).isEqualTo(written);
    }

    /** Against the decimal numbers of the JDK. */
    @Test
    void drawnAmountsAreWhatDecimalNumbersSay() {
        RandomGenerator random = RandomGenerator.of("L64X128MixRandom");
        for (int round = 0; round < 20_000; round++) {
            long scale = new long[] {1, 10, 100, 1_000, MONEY}[random.nextInt(5)];
            long parts = random.nextLong(-5_000_000_000L, 5_000_000_000L) / (1L << random.nextInt(30));
            BigDecimal value =
                    BigDecimal.valueOf(parts).divide(BigDecimal.valueOf(scale)).stripTrailingZeros();
            int least = scale == MONEY ? 2 : 0;
            String expected = value.setScale(Math.max(least, value.scale()), RoundingMode.UNNECESSARY)
                    .toPlainString();
            assertThat(Csv.amount(parts, scale)).as("%d / %d", parts, scale).isEqualTo(expected);
        }
    }

    /** OWASP on CSV injection: what begins with =, +, -, @, a tab or a return is neutralised. */
    @Test
    void cellsThatASpreadsheetWouldRunAreNeutralised() {
        StringWriter text = new StringWriter();
        try (Csv csv = new Csv(text)) {
            csv.row("=1+1", "+x", "-x", "@x", "-5", "plain", "a;b", "\"");
        }
        assertThat(text).hasToString("'=1+1,'+x,'-x,'@x,-5,plain,\"a;b\",\"\"\"\"\r\n");
    }
}

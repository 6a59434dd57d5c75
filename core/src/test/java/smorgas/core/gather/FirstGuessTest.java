package smorgas.core.gather;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Objects;
import org.junit.jupiter.api.Test;
import smorgas.core.recipe.gather.ReadAs;

/** What is told from a first list. */
class FirstGuessTest {

    @Test
    void aListGroupedByAnExpertIsRecognised() throws IOException {
        try (InputStream in = FirstGuessTest.class.getResourceAsStream("/smorgas/core/group/climbing.csv")) {
            assertThat(FirstGuess.read(
                            "climbing.csv", Objects.requireNonNull(in).readAllBytes(), ReadAs.FOUND))
                    .isEqualTo(new FirstGuess("Climbing", "en", "GBP"));
        }
    }

    @Test
    void headingsAndFiguresTellTheCurrencyInWhateverEncoding() {
        byte[] utf16 =
                "Keyword\tCPC (CHF)\nvelo kaufen\t0,90\nvelo für kinder\t1,10\n".getBytes(StandardCharsets.UTF_16);
        assertThat(FirstGuess.read("liste.csv", utf16, ReadAs.FOUND)).isEqualTo(new FirstGuess("Velo", "de", "CHF"));
        assertThat(FirstGuess.read("broken", new byte[] {'P', 'K', 3, 4}, ReadAs.FOUND))
                .isEqualTo(new FirstGuess("", "en", "GBP"));
    }

    @Test
    void languageCurrencyAndNameComeFromTheListItself() {
        assertThat(FirstGuess.of(
                        List.of("gartenhaus kaufen", "gartenhaus mit terrasse", "gartenhaus für garten", "carport"),
                        "Keyword;CPC\ngartenhaus;0,90 \u20ac"))
                .isEqualTo(new FirstGuess("Gartenhaus", "de", "EUR"));
        assertThat(FirstGuess.of(List.of("bee hive", "bee suit", "honey"), "cpc\n$0.50"))
                .isEqualTo(new FirstGuess("Bee", "en", "USD"));
        assertThat(FirstGuess.of(List.of("cykel till barn", "cykel för vuxen", "cykel och hjälm"), "")
                        .language())
                .isEqualTo("sv");
        assertThat(FirstGuess.of(List.of("vélo pour enfant", "casque de vélo", "prix du vélo à paris"), "")
                        .language())
                .isEqualTo("fr");
        assertThat(FirstGuess.of(List.of(), "")).isEqualTo(new FirstGuess("", "en", "GBP"));
        assertThat(FirstGuess.of(List.of("x1", "\u0000", "7"), new String(new byte[] {0, 1}, StandardCharsets.UTF_8))
                        .name())
                .isEmpty();
    }
}

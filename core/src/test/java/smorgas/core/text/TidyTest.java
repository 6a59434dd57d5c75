package smorgas.core.text;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import smorgas.core.language.WordFormsTest;

class TidyTest {

    @ParameterizedTest
    @CsvSource(delimiter = '|', quoteCharacter = '`', textBlock = """
            Bee  Hive          | bee hive
            "bee hive"         | bee hive
            [bee hive]         | bee hive
            “Bee Hive”         | bee hive
            +bee +hive         | bee hive
            bee\u00A0hive\u200B| bee hive
            ｂｅｅ　ｈｉｖｅ    | bee hive
            ﬁlter              | filter
            keeper’s           | keeper's
            4.5 mm             | 4.5 mm
            c++                | c++
            -bee               | -bee
            5" pot             | 5" pot
            """)
    void bringsOneMeaningToOneText(String raw, String tidy) {
        assertThat(Tidy.of(raw)).isEqualTo(tidy);
    }

    @Test
    void tidyingTwiceChangesNothingMore() {
        Random random = new Random(7);
        String alphabet = "aB +\"[]'\u00A0\u200B\u0130\u00DF\uFB01\uFF0B\uD83D\uDE00\uD800\u0301e\u0345\u2019\t\n";
        for (int round = 0; round < 20_000; round++) {
            StringBuilder raw = new StringBuilder();
            for (int i = random.nextInt(12); i >= 0; i--) {
                raw.append(alphabet.charAt(random.nextInt(alphabet.length())));
            }
            String once = Tidy.of(raw.toString());
            assertThat(Tidy.of(once)).as("%s", raw).isEqualTo(once);
        }
    }

    @Test
    void aTurkishDefaultLocaleChangesNothing() {
        Locale before = Locale.getDefault();
        try {
            Locale.setDefault(Locale.of("tr", "TR"));
            assertThat(Tidy.of("HIVE TITLE")).isEqualTo("hive title");
        } finally {
            Locale.setDefault(before);
        }
    }

    @Test
    void piecesJoinedAreTheTextAndWordsAreWhole() {
        assertThat(Words.of("keeper's 10-frame hive, 4.5 mm"))
                .containsExactly("keeper's", "10", "frame", "hive", "4.5", "mm");
        for (String text : List.of("bee hive", "a, b", "¿qué?", "", "10€", "日本 蜂蜜", "\uD800x")) {
            assertThat(String.join(
                            "",
                            Words.pieces(text).stream().map(Words.Piece::text).toList()))
                    .isEqualTo(text);
        }
    }

    /** Folding cuts tokens, which end at spaces, and not whole texts. */
    @Test
    void noWordSpansASpace() {
        Random random = new Random(5);
        String[] pieces = {
            "bee",
            "'s",
            "\u0301",
            "4.5",
            "mm",
            "\u200D",
            "\uD83D\uDC1D",
            "\uD83C\uDDEC",
            "\u30AB",
            "\u05D0\"",
            "-",
            ".",
            " ",
            " ",
            " "
        };
        for (int round = 0; round < 3_000; round++) {
            StringBuilder text = new StringBuilder();
            for (int i = 0; i < 8; i++) {
                text.append(pieces[random.nextInt(pieces.length)]);
            }
            String tidy = Tidy.of(text.toString());
            assertThat(Words.of(tidy))
                    .as(tidy)
                    .isEqualTo(Arrays.stream(tidy.split(" "))
                            .flatMap(token -> Words.of(token).stream())
                            .toList());
        }
    }

    /** Unicode's own test of normalisation: the five forms that it gives of a text are one tidy text. */
    @Test
    void everyNormalisationFormOfATextIsOneTidyText() {
        int tested = 0;
        for (String[] row : WordFormsTest.rows("normalization-sample.txt")) {
            String[] forms = row[0].split(";");
            String compatible = text(forms[3]);
            for (String form : forms) {
                assertThat(Tidy.of(text(form))).as(row[0]).isEqualTo(Tidy.of(compatible));
            }
            tested++;
        }
        assertThat(tested).isGreaterThan(700);
    }

    private static String text(String codePoints) {
        StringBuilder text = new StringBuilder();
        for (String point : codePoints.split(" ")) {
            text.appendCodePoint(Integer.parseInt(point, 16));
        }
        return text.toString();
    }
}

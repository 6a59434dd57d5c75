package smorgas.core.text;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatCode;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Cells that begin as OWASP's page on CSV injection lists them (from memory), and such as only look like it. */
class FormulasTest {

    @ParameterizedTest
    @ValueSource(
            strings = {
                "=1+1",
                "=cmd|' /C calc'!A0",
                "+1+1",
                "-1+1",
                "-a",
                "@SUM(1+1)",
                "\tx",
                "\rx",
                "\nx",
                "\uFF1D1+1",
                "\uFF0B1",
                "\uFF0D1",
                "\uFF20a",
                ";=1+1",
                ";;-5",
                "-5 degrees",
                "-1234567890123456",
                "-5."
            })
    void whatASpreadsheetMightRunIsHeldAndRefused(String cell) {
        assertThat(Formulas.runs(cell)).isTrue();
        assertThat(Formulas.safe(cell)).isEqualTo("'" + cell);
        assertThat(Formulas.runs(Formulas.safe(cell))).isFalse();
        assertThatThrownBy(() -> Formulas.refuse(Message.verbatim("campaign"), cell))
                .isInstanceOf(Refusal.class)
                .hasMessageContaining("campaign")
                .hasMessageContaining("formula");
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "",
                " ",
                ";",
                ";;",
                "bee hive",
                "a=1",
                "1+1",
                "-5",
                "-5.25",
                "-123456789012345",
                "'=1",
                "\u00FCber",
                "\u2212 5",
                "\uD83D\uDC1D",
                "bee; =1",
                "_x",
                "#10",
                "%5",
                "(a)",
                "/b",
                "*c"
            })
    void allElseStaysAsItIs(String cell) {
        assertThat(Formulas.runs(cell)).isFalse();
        assertThat(Formulas.safe(cell)).isSameAs(cell);
        assertThatCode(() -> Formulas.refuse(Message.verbatim("group"), cell)).doesNotThrowAnyException();
    }
}

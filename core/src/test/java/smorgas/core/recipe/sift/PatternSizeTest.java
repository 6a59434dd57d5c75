package smorgas.core.recipe.sift;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class PatternSizeTest {

    @ParameterizedTest
    @ValueSource(
            strings = {
                "(((x{1000}){1000}){1000})",
                "((a{500}b{500}){500})",
                "(?:(?:\\pL{900}){900})",
                "(([^{]{999}){999}|y)",
                "(x{1000,}){1000,}"
            })
    void repetitionsWithinRepetitionsAreRefusedBeforeTheyAreWrittenOut(String pattern) {
        assertThatThrownBy(() -> Patterns.compile(pattern))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining("too large");
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "x{1000}",
                "(x{100}){100}",
                "[{]{2}",
                "\\{1000\\}{1000}",
                "a{,5}",
                "{",
                "bee|hive{2}",
                "(a{3}b){4,6}"
            })
    void theOthersAreCompiled(String pattern) {
        assertThat(Patterns.compile(pattern).pattern()).isEqualTo(pattern);
    }

    @Test
    void neverLessThanTheEngineMakesOfIt() {
        for (String pattern : new String[] {"(a{3}b){4,6}", "x{50}", "((ab){5}c?){7}", "[a-z]{9}|z+", "(a|b|c){20}"}) {
            assertThat(PatternSize.of(pattern) + 10L)
                    .as(pattern)
                    .isGreaterThanOrEqualTo(Patterns.compile(pattern).programSize());
        }
    }
}

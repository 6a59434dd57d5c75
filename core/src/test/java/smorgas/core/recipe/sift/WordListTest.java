package smorgas.core.recipe.sift;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Word lists, patterns and bounds as users give them. */
class WordListTest {

    @Test
    void aListIsReadAnEntryALine() {
        WordList list = WordList.of(
                " Rivals ", "en", WordList.Kind.BRANDS, "# made up\nSkeplund\r\n\n  otterwick   bees \nskeplund\n");
        assertThat(list.name()).isEqualTo("Rivals");
        assertThat(list.words()).containsExactly("skeplund", "otterwick bees");
        assertThat(list.version()).isEqualTo(1);
        assertThat(list.same(new WordList("other", "en", WordList.Kind.BRANDS, 7, list.words())))
                .isTrue();
        assertThat(list.same(new WordList("Rivals", "en", WordList.Kind.PLACES, 1, list.words())))
                .isFalse();
        assertThat(list.same(new WordList("Rivals", "en", WordList.Kind.BRANDS, 1, List.of("skeplund"))))
                .isFalse();
    }

    @Test
    void aHundredThousandEntriesAreFineAndTooManyAreRefused() {
        String many = IntStream.range(0, 100_000).mapToObj(i -> "word " + i).collect(Collectors.joining("\n"));
        assertThat(WordList.of("many", "", WordList.Kind.OTHER, many).words()).hasSize(100_000);
        String more =
                IntStream.rangeClosed(0, WordList.MOST).mapToObj(i -> "w" + i).collect(Collectors.joining("\n"));
        assertThatThrownBy(() -> WordList.of("more", "", WordList.Kind.OTHER, more))
                .hasMessageContaining("200,000 entries at most, and this one has 200,001");
        assertThatThrownBy(() -> WordList.of("  ", "", WordList.Kind.OTHER, "a"))
                .hasMessageContaining("name");
        assertThatThrownBy(() -> WordList.of("n".repeat(101), "", WordList.Kind.OTHER, "a"))
                .hasMessageContaining("1 to 100 characters");
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            (bee | missing closing )
            bee) | unexpected ) at character 4
            a[)]b\\)c) | unexpected ) at character 9
            [a-z | character 1
            *bee | missing argument
            a{2,1} | character 2
            (?<=a)b | invalid
            \\9 | invalid escape
            """)
    void aFaultyPatternIsRefusedWithThePlaceOfTheFault(String pattern, String told) {
        assertThatThrownBy(() -> new Condition.Matches(pattern))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining("cannot be read")
                .hasMessageContaining(told);
    }

    /** A pattern on which engines that go back and try again take for ever. */
    @Test
    void aPatternRunsInLinearTime() {
        assertThat(Patterns.compile("(a+)+$").matcher("a".repeat(50_000) + "b").find())
                .isFalse();
    }

    @Test
    void boundsHoldTheirEnds() {
        Bounds bounds = new Bounds(2L, 4L);
        assertThat(LongsHeld.of(bounds)).containsExactly(2L, 3L, 4L);
        assertThat(LongsHeld.of(Bounds.from(4))).containsExactly(4L, 5L);
        assertThat(LongsHeld.of(Bounds.upTo(1))).containsExactly(0L, 1L);
        assertThat(LongsHeld.of(Bounds.of(3))).containsExactly(3L);
        // Of a range the middle counts, which may lie between two whole numbers.
        assertThat(bounds.holdTwice(9)).isFalse();
        assertThat(bounds.holdTwice(7)).isTrue();
        assertThat(new Bounds(null, null).open()).isTrue();
        assertThatThrownBy(() -> new Bounds(4L, 2L)).hasMessageContaining("swap the two");
    }

    private static final class LongsHeld {
        static List<Long> of(Bounds bounds) {
            return IntStream.rangeClosed(0, 5)
                    .asLongStream()
                    .filter(bounds::hold)
                    .boxed()
                    .toList();
        }
    }
}

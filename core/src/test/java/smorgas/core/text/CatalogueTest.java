package smorgas.core.text;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.ibm.icu.text.MessageFormat;
import com.ibm.icu.util.ULocale;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

class CatalogueTest {

    private static final Map<String, String> TEXTS = Map.of(
            "plain", "It's 100% {brace}".replace("{brace}", "plain"),
            "list.comma", "{0}, {1}",
            "list.and", "{0} und {1}",
            "count", "{0, plural, one {# Wort} other {# Wörter}}",
            "dropped", "Verworfen: {0}",
            "theme", "mit '{'theme'}' für {0}",
            "on", "{0, select, true {an} other {aus}}");

    private static final Catalogue GERMAN = new Catalogue(ULocale.GERMAN, TEXTS);

    @Test
    void countsAndNumbersAreThoseOfTheLanguage() {
        assertThat(GERMAN.of("count", 1)).isEqualTo("1 Wort");
        assertThat(GERMAN.of("count", 12_345L)).isEqualTo("12.345 Wörter");
        assertThat(GERMAN.of("dropped", 1_000)).isEqualTo("Verworfen: 1.000");
        assertThat(GERMAN.of("on", true)).isEqualTo("an");
    }

    @Test
    void whatIsFilledInIsATextANumberAMessageOrSeveral() {
        assertThat(GERMAN.of("dropped", Message.of("count", 2))).isEqualTo("Verworfen: 2 Wörter");
        assertThat(GERMAN.of("dropped", List.of("bienen", Message.of("count", 1), 3)))
                .isEqualTo("Verworfen: bienen, 1 Wort, 3");
        assertThat(GERMAN.of(Message.joined(
                        "list.and", List.of(Message.verbatim("a"), Message.verbatim("b"), Message.verbatim("c")))))
                .isEqualTo("a und b und c");
        assertThat(GERMAN.of(Message.joined("list.and", List.of()))).isEmpty();
    }

    @Test
    void soManyAreJoinedAsThereAreAndEachInItsOwnWay() {
        List<Message> many = IntStream.range(0, 50_000)
                .mapToObj(i -> Message.verbatim("w" + i))
                .toList();
        assertThat(GERMAN.of(Message.joined("list.comma", many)).split(", "))
                .hasSize(50_000)
                .endsWith("w49999");
        List<Message> four =
                Stream.of("a", "b", "c", "d").map(Message::verbatim).toList();
        assertThat(GERMAN.of(Message.joined(four, place -> place == 2 ? "list.and" : "list.comma")))
                .isEqualTo("a, b und c, d");
    }

    @Test
    void whatSomebodyElseWroteStaysAsItIs() {
        String hostile = "{0} '{' it's # <b> \u202e {1, plural, one {x}}";
        assertThat(GERMAN.of(Message.verbatim(hostile))).isEqualTo(hostile);
        assertThat(GERMAN.of("dropped", hostile)).isEqualTo("Verworfen: " + hostile);
        assertThat(GERMAN.of("theme", "x")).isEqualTo("mit {theme} für x");
        assertThat(GERMAN.of("plain")).isEqualTo("It's 100% plain");
    }

    @Test
    void aTextThatThereIsNotIsAFault() {
        assertThatThrownBy(() -> GERMAN.of("nowhere")).hasMessageContaining("nowhere");
        assertThat(GERMAN.has("nowhere")).isFalse();
        assertThat(GERMAN.has("plain")).isTrue();
    }

    @Test
    void everyTextThatShipsCanBeRead() {
        assertThat(Catalogue.english().patterns()).hasSizeGreaterThan(3_000).allSatisfy((key, text) -> {
            assertThat(text).as(key).isNotEmpty();
            new MessageFormat(text, ULocale.ENGLISH);
        });
    }
}

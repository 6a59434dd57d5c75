package smorgas.app.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.List;
import java.util.Objects;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import smorgas.core.recipe.Entry;
import smorgas.core.recipe.fold.Cleaning;
import smorgas.core.recipe.sift.Condition;

/**
 * What stands in databases and recipes, letter for letter, in {@code entries.txt}: kind, format and body of an entry in a
 * line. Until version 1.0 a changed kind changes its line; from then on a line is never changed, and a new format gets a new one.
 */
class GoldenEntriesTest {

    private record Golden(String kind, int format, String body) {
        Entry entry() {
            return Json.entry(kind, format, body);
        }
    }

    private static List<Golden> golden() {
        try (InputStream in = Objects.requireNonNull(GoldenEntriesTest.class.getResourceAsStream("/entries.txt"))) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8)
                    .lines()
                    .map(line -> line.split(" ", 3))
                    .map(parts -> new Golden(parts[0], Integer.parseInt(parts[1]), parts[2]))
                    .toList();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    static List<Entry> entries() {
        return golden().stream().map(Golden::entry).toList();
    }

    /** The records of a sealed type, however deep. */
    private static Stream<Class<?>> leaves(Class<?> type) {
        return type.isSealed()
                ? Arrays.stream(type.getPermittedSubclasses()).flatMap(GoldenEntriesTest::leaves)
                : Stream.of(type);
    }

    @Test
    void everyEntryIsReadAndWrittenAsItStands() {
        for (Golden golden : golden()) {
            Entry entry = golden.entry();
            assertThat(Json.kind(entry)).isEqualTo(golden.kind());
            assertThat(Json.format(entry)).isEqualTo(golden.format());
            assertThat(Json.tree(Json.body(entry))).isEqualTo(Json.tree(golden.body()));
        }
    }

    @Test
    void everyPermittedKindHasALine() {
        assertThat(entries().stream().map(Object::getClass).toList())
                .containsAll(leaves(Entry.class).toList());
        String all = golden().toString();
        assertThat(leaves(Condition.class))
                .allSatisfy(type -> assertThat(all).contains("\"is\":\"" + dashed(type) + "\""));
        assertThat(leaves(Cleaning.class))
                .allSatisfy(type -> assertThat(all).contains("\"does\":\"" + dashed(type) + "\""));
    }

    private static String dashed(Class<?> type) {
        return type.getSimpleName().replaceAll("(?<=.)([A-Z])", "-$1").toLowerCase(java.util.Locale.ROOT);
    }

    @Test
    void kindsAndFormatsOfANewerVersionAreRefusedWithASentence() {
        assertThatThrownBy(() -> Json.entry("judged-by-moonlight", 1, "{}"))
                .hasMessage("The entry \"judged-by-moonlight\" (format 1) is not known to this version");
        assertThatThrownBy(() -> Json.entry("judged", 99, "{}")).hasMessageContaining("format 99");
    }
}

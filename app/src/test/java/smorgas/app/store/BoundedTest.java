package smorgas.app.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.stream.IntStream;
import org.jooq.DSLContext;
import org.jooq.impl.DSL;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import smorgas.core.gather.Reading;
import smorgas.core.recipe.sift.WordList;
import smorgas.core.text.Message;
import smorgas.core.text.Refusal;

/** What does not fit is refused by field and bound; what is damaged but follows from the bytes is made again. */
class BoundedTest {

    private static final String BEES = "\uD83D\uDC1D".repeat(60);

    @TempDir
    private Path folder;

    private static WordList list(String name, String word) {
        return new WordList(name, "en", WordList.Kind.OTHER, 1, List.of(word));
    }

    @Test
    void textsThatAreTooLongForTheirColumnAreRefusedWithTheBound() {
        try (StoreUnderTest store = new StoreUnderTest(folder)) {
            assertThatThrownBy(() -> store.projects().create("Ferns", "en", "UK", "Pounds"))
                    .isInstanceOf(Refusal.class)
                    .hasMessageContaining("The currency is too long: it has 6 characters, and at most 3");
            assertThatThrownBy(() -> store.projects().create("Ferns", "en", "m".repeat(81), "GBP"))
                    .isInstanceOf(Refusal.class)
                    .hasMessageContaining("The market");
            assertThatThrownBy(() -> store.pantry().save(list(BEES, "fern")))
                    .as("sixty faces are 120 units of UTF-16")
                    .isInstanceOf(Refusal.class)
                    .hasMessageContaining("120 characters, and at most 100");
            assertThat(Bounded.shown("a" + BEES + BEES)).hasSize(1 + 2 * 59 + 3).doesNotContain("\uFFFD");
        }
    }

    @Test
    void timesThatNoPageCanShowAreRefused() {
        for (String never :
                List.of("-999999999-01-01T00:00:00Z", "+999999999-12-31T23:59:59Z", "1969-12-31T23:59:59Z", "soon")) {
            assertThatThrownBy(() -> Bounded.time(never, Message.verbatim("\"at\"")))
                    .isInstanceOf(Refusal.class)
                    .hasMessageContaining("\"at\"");
        }
        assertThat(Bounded.time("2026-12-01T10:00:00Z", Message.verbatim("\"at\""))
                        .getYear())
                .isEqualTo(2026);
    }

    @Test
    void ofListsOfOneNameThatAreSavedAtOnceEachIsAVersionOfItsOwn() throws Exception {
        try (StoreUnderTest store = new StoreUnderTest(folder);
                ExecutorService clients = Executors.newFixedThreadPool(6)) {
            List<Future<WordList>> saved = new ArrayList<>();
            for (int i = 0; i < 60; i++) {
                String word = "fern" + i;
                saved.add(clients.submit(() -> store.pantry().save(list("Places", word))));
            }
            List<Integer> versions = new ArrayList<>();
            for (Future<WordList> each : saved) {
                versions.add(each.get().version());
            }
            assertThat(versions)
                    .containsExactlyInAnyOrderElementsOf(
                            IntStream.rangeClosed(1, 60).boxed().toList());
        }
    }

    @Test
    void aNoteOfAReadingThatIsDamagedIsMadeAgainFromTheBytes() {
        try (StoreUnderTest store = new StoreUnderTest(folder)) {
            long project = store.projects().create("Ferns", "en", "UK", "GBP");
            store.baskets().store(project, "list", "keyword;searches\nfern;5\n".getBytes(StandardCharsets.UTF_8));
            Reading before = store.baskets().of(project).getFirst().reading();
            DSLContext db = DSL.using(store.database(), org.jooq.SQLDialect.H2);
            for (String damaged : List.of("null", "{}", "{\"format\":\"DELIMITED\"", "[1]")) {
                db.execute("update basket set reading = ?", damaged);
                assertThat(store.baskets().of(project).getFirst().reading())
                        .as(damaged)
                        .isEqualTo(before);
            }
            db.execute("update basket set reading = replace(reading, 'format', 'formaz')");
            assertThat(store.baskets().of(project).getFirst().reading()).isEqualTo(before);
        }
    }
}

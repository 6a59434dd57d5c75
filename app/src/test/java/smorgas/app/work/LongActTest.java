package smorgas.app.work;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import smorgas.app.store.StoreUnderTest;
import smorgas.core.group.engine.MeaningVectors;
import smorgas.core.recipe.SiftEntry;
import smorgas.core.recipe.sift.Status;

/** One act about very many keywords is stored whole, and is there after a start. */
class LongActTest {

    private static final int MANY = 60_000;

    @TempDir
    private Path folder;

    @Test
    void anActOfMoreThanAMillionCharactersIsStored() {
        try (StoreUnderTest store = new StoreUnderTest(folder)) {
            long id = store.projects().create("Client", "en", "UK", "GBP");
            OpenProject project = new OpenProject(
                    store.projects().find(id).orElseThrow(),
                    store.baskets(),
                    store.histories(),
                    MeaningVectors.NONE,
                    new Memory());
            List<String> texts = IntStream.range(0, MANY)
                    .mapToObj(number -> "keyword of a usual length " + number)
                    .toList();
            project.gather(Offered.file(
                    "list", texts.stream().collect(Collectors.joining("\n")).getBytes(StandardCharsets.UTF_8)));
            assertThat(project.act(
                            project.snapshot().version(),
                            recipe -> new SiftEntry.Judged(texts, List.of(), Status.KEPT)))
                    .isInstanceOf(Outcome.Done.class);
            OpenProject again = new OpenProject(
                    store.projects().find(id).orElseThrow(),
                    store.baskets(),
                    store.histories(),
                    MeaningVectors.NONE,
                    new Memory());
            assertThat(again.snapshot().board().statuses().count(Status.KEPT)).isEqualTo(MANY);
        }
    }
}

package smorgas.app.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.atomic.AtomicLong;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import smorgas.core.recipe.History;
import smorgas.core.recipe.SiftEntry;
import smorgas.core.recipe.sift.Status;
import smorgas.core.text.Message;

class FullDiskTest {

    @TempDir
    private Path folder;

    @Test
    void aFullDiskRefusesWhatIsWrittenLetsReadAndTakesTheNextActWhenThereIsRoom() {
        AtomicLong free = new AtomicLong(10_000_000);
        try (StoreUnderTest store = new StoreUnderTest(folder, free::get)) {
            long project = store.projects().create("Client", "en", "UK", "GBP");
            History none = new History(List.of());
            History one = none.act(new SiftEntry.Judged(List.of("bee hive"), Status.KEPT), 1);
            byte[] list = "bee hive\n".getBytes(StandardCharsets.UTF_8);
            free.set(500_000);
            assertThatThrownBy(() -> store.histories().advance(project, 0, none, one, Message.NONE))
                    .isInstanceOf(DiskSpace.None.class)
                    .hasMessageContaining("The disk is full")
                    .hasMessageContaining("was not saved");
            assertThatThrownBy(() -> store.baskets().store(project, "list", list))
                    .isInstanceOf(DiskSpace.None.class);
            assertThatThrownBy(() -> store.projects().create("Next", "en", "UK", "GBP"))
                    .isInstanceOf(DiskSpace.None.class);
            assertThat(store.projects().all()).hasSize(1);
            assertThat(store.histories().load(project).steps()).isEmpty();
            free.set(10_000_000);
            store.histories().advance(project, 0, none, one, Message.NONE);
            assertThat(store.histories().load(project)).isEqualTo(one);
            assertThat(store.baskets().store(project, "list", list).basket()).isPresent();
        }
    }
}

package smorgas.app.store;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.BufferedReader;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import smorgas.core.recipe.History;
import smorgas.core.recipe.SiftEntry;
import smorgas.core.recipe.sift.Status;
import smorgas.core.text.Message;

/** What the store has acknowledged survives the process being killed at any moment. */
class KilledTest {

    /** Acts without end, and tells each act after it was acknowledged. Runs in a process of its own. */
    static final class Acting {
        private Acting() {}

        public static void main(String[] args) {
            StoreUnderTest store = new StoreUnderTest(Path.of(args[0]));
            long project = store.projects().create("Client", "en", "", "EUR");
            History history = new History(List.of());
            for (long version = 0; ; version++) {
                History next =
                        history.act(new SiftEntry.Judged(List.of("keyword " + version), Status.KEPT), version + 1);
                store.histories().advance(project, version, history, next, Message.NONE);
                history = next;
                System.out.println("acknowledged " + (version + 1));
                System.out.flush();
            }
        }
    }

    @TempDir
    private Path folder;

    @Test
    void nothingAcknowledgedIsLostWhenTheProcessIsKilledBetweenTwoActs() throws Exception {
        Process process = new ProcessBuilder(
                        Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                        "-cp",
                        System.getProperty("java.class.path"),
                        "-Dorg.jooq.no-logo=true",
                        Acting.class.getName(),
                        folder.toString())
                .redirectError(ProcessBuilder.Redirect.DISCARD)
                .start();
        List<String> told = new ArrayList<>();
        try (BufferedReader out =
                new BufferedReader(new InputStreamReader(process.getInputStream(), StandardCharsets.UTF_8))) {
            for (String line = out.readLine(); line != null; line = out.readLine()) {
                if (line.startsWith("acknowledged")) {
                    told.add(line);
                }
                if (told.size() == 150) {
                    process.toHandle().destroyForcibly();
                }
            }
        }
        assertThat(process.waitFor(20, TimeUnit.SECONDS)).isTrue();
        assertThat(told).hasSizeGreaterThanOrEqualTo(150);

        try (StoreUnderTest store = new StoreUnderTest(folder)) {
            Project project = store.projects().all().getFirst();
            History history = store.histories().load(project.id());
            assertThat(history.steps()).hasSizeGreaterThanOrEqualTo(told.size());
            assertThat(project.version()).isEqualTo(history.steps().size());
            assertThat(history.steps().get(149).entry())
                    .isEqualTo(new SiftEntry.Judged(List.of("keyword 149"), Status.KEPT));
        }
    }
}

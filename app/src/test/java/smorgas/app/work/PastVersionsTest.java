package smorgas.app.work;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import smorgas.app.store.StoreUnderTest;
import smorgas.core.board.Board;
import smorgas.core.gather.Lines;
import smorgas.core.group.engine.MeaningVectors;
import smorgas.core.recipe.BasketEntry;
import smorgas.core.recipe.SiftEntry;
import smorgas.core.recipe.VersionEntry;
import smorgas.core.recipe.sift.Status;
import smorgas.core.text.Refusal;

/** A project at points of its history: the very state it was, after a start too, and without disturbing the one of now. */
class PastVersionsTest {

    @TempDir
    private Path folder;

    private StoreUnderTest store;
    private long id;
    private OpenProject project;

    @BeforeEach
    void open() {
        store = new StoreUnderTest(folder);
        id = store.projects().create("Client", "en", "UK", "GBP");
        project = opened(id);
    }

    private OpenProject opened(long number) {
        return new OpenProject(
                store.projects().find(number).orElseThrow(),
                store.baskets(),
                store.histories(),
                MeaningVectors.NONE,
                new Memory());
    }

    @AfterEach
    void close() {
        store.close();
    }

    private Outcome judge(String keyword, Status status) {
        return project.act(
                project.snapshot().version(), recipe -> new SiftEntry.Judged(List.of(keyword), List.of(), status));
    }

    private long gather(String name, String list) {
        return project.gather(Offered.file(name, list.getBytes(StandardCharsets.UTF_8)))
                .basket()
                .orElseThrow();
    }

    /** Every keyword with its status. */
    private static List<String> state(Board board) {
        List<String> state = new ArrayList<>();
        for (int keyword = 0; keyword < board.keywords().size(); keyword++) {
            state.add(board.keywords().text(keyword) + " "
                    + board.statuses().of(keyword).label());
        }
        return state;
    }

    @Test
    void everyPointOfDrawnActsIsTheStateThatWasSeenAlsoAfterAStart() {
        Random random = new Random(5);
        List<List<String>> seen = new ArrayList<>(List.of(List.of()));
        long first = gather("one", "bee hive\nskep\nsmoker\n");
        seen.add(state(project.snapshot().board()));
        gather("two", "honey jar\nskep\n");
        seen.add(state(project.snapshot().board()));
        String[] keywords = {"bee hive", "skep", "smoker", "honey jar"};
        while (seen.size() < 60) {
            int draw = random.nextInt(8);
            int acts = project.snapshot().history().steps().size();
            if (draw == 0) {
                project.undo(project.snapshot().version());
            } else if (draw == 1) {
                boolean on = random.nextBoolean();
                project.act(project.snapshot().version(), recipe -> new BasketEntry.BasketSwitched(first, "one", on));
            } else if (draw == 2) {
                long to = random.nextInt(seen.size());
                project.act(project.snapshot().version(), recipe -> new VersionEntry.WentBack(to));
            } else {
                judge(keywords[random.nextInt(4)], Status.values()[random.nextInt(3)]);
            }
            if (project.snapshot().history().steps().size() > acts) {
                seen.add(state(project.snapshot().board()));
            }
        }
        OpenProject again = opened(id);
        assertThat(state(again.snapshot().board()))
                .isEqualTo(state(project.snapshot().board()));
        for (int point = 0; point < seen.size(); point++) {
            assertThat(state(again.at(point))).as("point %d", point).isEqualTo(seen.get(point));
        }
        assertThatThrownBy(() -> again.at(999)).isInstanceOf(Refusal.class);
    }

    @Test
    void lookingBackLeavesWhatIsLoadedNowAsItIs() {
        gather("one", "bee hive\n");
        gather("two", "skep\n");
        List<Lines> before = project.snapshot().board().keywords().baskets();
        assertThat(project.at(1).keywords().size()).isEqualTo(1);
        judge("skep", Status.KEPT);
        List<Lines> after = project.snapshot().board().keywords().baskets();
        assertThat(after).hasSameSizeAs(before);
        for (int basket = 0; basket < after.size(); basket++) {
            assertThat(after.get(basket)).as("not read anew").isSameAs(before.get(basket));
        }
    }

    @Test
    void whoActsOnAPageFromBeforeAGoingBackIsTold() {
        gather("one", "bee hive\nskep\n");
        judge("skep", Status.KEPT);
        long shown = project.snapshot().version();
        assertThat(project.act(shown, recipe -> new VersionEntry.WentBack(1))).isInstanceOf(Outcome.Done.class);
        assertThat(project.act(shown, recipe -> new SiftEntry.Judged(List.of("bee hive"), List.of(), Status.KEPT)))
                .isInstanceOf(Outcome.Refused.class);
        assertThat(project.act(project.snapshot().version(), recipe -> new VersionEntry.WentBack(1)))
                .as("it is so already")
                .isInstanceOf(Outcome.NoChange.class);
        assertThat(project.act(project.snapshot().version(), recipe -> new VersionEntry.WentBack(77)))
                .isInstanceOf(Outcome.Refused.class);
    }

    @Test
    void whatAnActChangedIsTold() {
        gather("one", "bee hive\nskep\n");
        judge("skep", Status.KEPT);
        assertThat(store.histories().told(id).getLast().effect()).contains("Kept 0 \u2192 1");
        long copy = store.projects().copy(id, "Copy");
        assertThat(store.histories().told(copy)).isEqualTo(store.histories().told(id));
    }
}

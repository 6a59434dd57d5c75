package smorgas.core.recipe;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import smorgas.core.text.Refusal;

/** Points of a history: each is found again, whatever was done, undone and done again since. */
class HistoryTest {

    private static Entry act(int number) {
        return new NoteEntry.ProjectNoted("note " + number);
    }

    private static History empty() {
        return new History(List.of());
    }

    /** What is in force is written down after each of a thousand drawn acts, undos, redos and goings back, and asked for later. */
    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4, 5})
    void anyPointOfAThousandDrawnActsIsTheVeryStateItWas(long seed) {
        Random random = new Random(seed);
        History history = empty();
        List<List<Entry>> seen = new ArrayList<>(List.of(List.of()));
        List<Integer> asked = new ArrayList<>();
        for (int version = 1; seen.size() <= 1_000; version++) {
            int draw = random.nextInt(10);
            if (draw < 3) {
                history = history.undo(version);
            } else if (draw < 5) {
                history = history.redo(version);
            } else if (draw == 5) {
                int to = random.nextInt(seen.size());
                history = history.act(new VersionEntry.WentBack(to), version);
                assertThat(history.effective()).isEqualTo(seen.get(to));
                seen.add(history.effective());
            } else {
                history = history.act(act(version), version);
                seen.add(history.effective());
            }
            if (random.nextInt(20) == 0) {
                int point = random.nextInt(seen.size());
                asked.add(point);
                assertThat(history.at(point)).as("point %d", point).isEqualTo(seen.get(point));
            }
        }
        assertThat(asked).hasSizeGreaterThan(50);
        for (int point = 0; point < seen.size(); point++) {
            assertThat(history.at(point)).as("point %d", point).isEqualTo(seen.get(point));
        }
    }

    @Test
    void goingBackCutsNothingOffAndIsUndoneLikeAnyAct() {
        History history = empty().act(act(1), 1).act(act(2), 2).act(act(3), 3);
        History back = history.act(new VersionEntry.WentBack(1), 4);
        assertThat(back.effective()).containsExactly(act(1));
        assertThat(back.act(act(5), 5).effective()).containsExactly(act(1), act(5));
        assertThat(back.undo(5).effective()).containsExactly(act(1), act(2), act(3));
        assertThat(back.act(new VersionEntry.WentBack(3), 5).effective()).containsExactly(act(1), act(2), act(3));
        assertThat(back.act(new VersionEntry.WentBack(0), 5).effective()).isEmpty();
        // Whoever acts on a page from before is told.
        assertThat(act(6).surprises(back.touchedSince(3))).isTrue();
        assertThat(act(6).surprises(back.touchedSince(4))).isFalse();
    }

    @Test
    void namesOfPointsStayWhereverOneGoes() {
        History history = empty().act(act(1), 1)
                .act(act(2), 2)
                .act(new VersionEntry.VersionNamed(2, " as the client saw it "), 3)
                .act(new VersionEntry.WentBack(1), 4);
        assertThat(history.versions()).containsExactly(java.util.Map.entry(2L, "as the client saw it"));
        assertThat(history.effective()).containsExactly(act(1));
        assertThat(history.act(new VersionEntry.VersionNamed(2, ""), 5).versions())
                .isEmpty();
    }

    @Test
    void aPointThatIsNotThereYetIsRefused() {
        History history = empty().act(act(1), 1);
        assertThatThrownBy(() -> history.act(new VersionEntry.WentBack(2), 2)).isInstanceOf(Refusal.class);
        assertThatThrownBy(() -> history.at(2)).isInstanceOf(Refusal.class);
        assertThatThrownBy(() -> new VersionEntry.WentBack(-1)).isInstanceOf(Refusal.class);
        assertThatThrownBy(() -> new VersionEntry.VersionNamed(1, "x".repeat(101)))
                .isInstanceOf(Refusal.class);
    }

    /** Each goes back to the one before it: no point is followed more than once. */
    @Test
    void manyGoingsBackAreFollowedAtOnce() {
        History history = empty().act(act(1), 1);
        for (int version = 2; version <= 2_000; version++) {
            history = history.act(new VersionEntry.WentBack(version - 1), version);
        }
        assertThat(history.effective()).containsExactly(act(1));
    }
}

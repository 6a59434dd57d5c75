package smorgas.app.web.frame;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import smorgas.app.web.show.Step;
import smorgas.core.board.Task;
import smorgas.core.figure.Searched;

/** What the line says and where it leads. */
class NextLineTest {

    private static Frame.Next next(Step here, Task... tasks) {
        return NextLine.of("/projects/1/", List.of(tasks), here);
    }

    @Test
    void saysHowMuchThereIsInOneAndInMany() {
        assertThat(next(Step.GATHER, new Task.Misspellings(1)))
                .hasToString("Next[sentence=Next: look at 1 likely misspelling, url=/projects/1/fold]");
        assertThat(next(Step.GATHER, new Task.Ungrouped(1_200, new Searched(45_000, false))))
                .hasToString(
                        "Next[sentence=Next: look at the 1,200 ungrouped keywords, searched 45,000 times a month, url=/projects/1/group?ungrouped=true]");
        assertThat(next(Step.GROUP, new Task.Sift(2_000)))
                .hasToString(
                        "Next[sentence=Next: sift the 2,000 undecided, from the most searched down, url=/projects/1/sift?status=undecided&sort=-searches]");
        assertThat(next(Step.SIFT, new Task.PlaceNew(1)).sentence())
                .hasToString("Next: 1 new keyword waits for a group");
        assertThat(next(Step.SIFT, new Task.Doubtful()).url()).isEqualTo("/projects/1/group?view=doubts");
        assertThat(next(Step.SIFT, new Task.Mend(2)).url()).isEqualTo("/projects/1/serve");
    }

    @Test
    void goesOnToWhatIsDoneElsewhereAndIsSilentIfThereIsNone() {
        assertThat(next(Step.SIFT, new Task.DropWords(9), new Task.Adopt(4), new Task.Download()))
                .hasToString("Next[sentence=Next: look at the 4 groups and adopt them, url=/projects/1/group]");
        assertThat(next(Step.GATHER, new Task.Gather()).sentence().toString()).isEmpty();
        assertThat(next(Step.SERVE, new Task.Download()).sentence().toString()).isEmpty();
    }
}

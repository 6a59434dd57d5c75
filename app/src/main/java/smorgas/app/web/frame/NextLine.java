package smorgas.app.web.frame;

import java.util.List;
import java.util.Locale;
import org.jspecify.annotations.Nullable;
import smorgas.app.web.show.Step;
import smorgas.core.board.Ahead;
import smorgas.core.board.Task;
import smorgas.core.text.Message;

/** The line that says what to do next, somewhere else than where one is. */
final class NextLine {

    private NextLine() {}

    /** What of the tasks is told on the page of a step. */
    static Frame.Next of(String base, List<Task> tasks, @Nullable Step here) {
        Task.Place place = here == null ? null : Task.Place.valueOf(here.name());
        return Ahead.next(tasks, place).map(task -> shown(base, task)).orElse(new Frame.Next(Message.NONE, ""));
    }

    private static Frame.Next shown(String base, Task task) {
        String place = base + task.place().name().toLowerCase(Locale.ROOT);
        return switch (task) {
            case Task.Gather none -> new Frame.Next(Message.of("frame.next-line.next-gather-your-first"), place);
            case Task.Misspellings found ->
                new Frame.Next(Message.of("frame.next-line.next-look-likely-misspelling", found.words()), place);
            case Task.DropWords all -> new Frame.Next(Message.of("frame.next-line.next-drop-words-do"), place);
            case Task.Sift some ->
                new Frame.Next(
                        Message.of("frame.next-line.next-sift-undecided-from", some.undecided()),
                        place + "?status=undecided&sort=-searches");
            case Task.Adopt some ->
                new Frame.Next(Message.of("frame.next-line.next-look-group-adopt", some.groups()), place);
            case Task.PlaceNew some ->
                new Frame.Next(Message.of("frame.next-line.next-new-keyword-waits", some.keywords()), place);
            case Task.Doubtful some ->
                new Frame.Next(Message.of("frame.next-line.next-look-doubtful-groups"), place + "?view=doubts");
            case Task.Ungrouped some ->
                new Frame.Next(
                        Message.of(
                                "frame.next-line.next-look-ungrouped-searched",
                                some.keywords(),
                                some.searches().written()),
                        place + "?ungrouped=true");
            case Task.Mend some ->
                new Frame.Next(Message.of("frame.next-line.next-mend-what-check", some.findings()), place);
            case Task.Download plan -> new Frame.Next(Message.of("frame.next-line.next-download-plan"), place);
        };
    }
}

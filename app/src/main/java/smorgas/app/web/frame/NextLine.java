package smorgas.app.web.frame;

import java.util.List;
import java.util.Locale;
import org.jspecify.annotations.Nullable;
import smorgas.app.web.show.Show;
import smorgas.app.web.show.Step;
import smorgas.core.board.Ahead;
import smorgas.core.board.Task;

/** The line that says what to do next, somewhere else than where one is. */
final class NextLine {

    private NextLine() {}

    /** What of the tasks is told on the page of a step. */
    static Frame.Next of(String base, List<Task> tasks, @Nullable Step here) {
        Task.Place place = here == null ? null : Task.Place.valueOf(here.name());
        return Ahead.next(tasks, place).map(task -> shown(base, task)).orElse(new Frame.Next("", ""));
    }

    private static Frame.Next shown(String base, Task task) {
        String place = base + task.place().name().toLowerCase(Locale.ROOT);
        return switch (task) {
            case Task.Gather none -> new Frame.Next("Next: gather your first lists", place);
            case Task.Misspellings found ->
                new Frame.Next(
                        "Next: look at " + Show.count(found.words(), "likely misspelling", "likely misspellings"),
                        place);
            case Task.DropWords all -> new Frame.Next("Next: drop the words that do not fit", place);
            case Task.Sift some ->
                new Frame.Next(
                        "Next: sift the " + Show.count(some.undecided()) + " undecided, from the most searched down",
                        place + "?standing=undecided&sort=-searches");
            case Task.Settle some ->
                new Frame.Next(
                        "Next: look at the " + Show.count(some.groups(), "group", "groups") + " and adopt them", place);
            case Task.SeatNew some ->
                new Frame.Next(
                        "Next: " + Show.count(some.keywords(), "new keyword waits", "new keywords wait")
                                + " for a group",
                        place);
            case Task.Doubtful some -> new Frame.Next("Next: look at the doubtful groups", place + "?view=doubts");
            case Task.Leftovers some ->
                new Frame.Next(
                        "Next: look at the " + Show.count(some.keywords(), "leftover", "leftovers") + ", searched "
                                + some.searches().written() + " times a month",
                        place + "?leftovers=true");
            case Task.Mend some ->
                new Frame.Next(
                        "Next: mend what " + Show.count(some.findings(), "check", "checks") + " of the plan found",
                        place);
            case Task.Download plan -> new Frame.Next("Next: download the plan", place);
        };
    }
}

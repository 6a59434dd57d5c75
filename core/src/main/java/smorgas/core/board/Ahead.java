package smorgas.core.board;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import smorgas.core.group.read.Groups;
import smorgas.core.recipe.sift.Status;

/** What is left to do of a job, in the order in which it is best done. */
public final class Ahead {

    private Ahead() {}

    /** All that is left to do; nothing is found out for it that is not known yet, so that no page waits. */
    public static List<Task> of(Board board) {
        List<Task> tasks = new ArrayList<>();
        if (board.keywords().baskets().isEmpty()) {
            return List.of(new Task.Gather());
        }
        board.misspellingsKnown()
                .filter(words -> words > 0)
                .ifPresent(words -> tasks.add(new Task.Misspellings(words)));
        int undecided = board.statuses().count(Status.UNDECIDED);
        int kept = board.statuses().count(Status.KEPT);
        if (undecided > 0 && board.statuses().count(Status.DROPPED) == 0) {
            tasks.add(new Task.DropWords(undecided));
        } else if (undecided > kept) {
            tasks.add(new Task.Sift(undecided));
        }
        if (board.groupsKnown() && undecided + kept > 0) {
            groups(
                    board.groups(),
                    !board.recipe().grouping().decisions().adopted().isEmpty(),
                    tasks);
        }
        board.findingsKnown().filter(found -> found > 0).ifPresent(found -> tasks.add(new Task.Mend(found)));
        tasks.add(new Task.Download());
        return tasks;
    }

    private static void groups(Groups groups, boolean adopted, List<Task> tasks) {
        int since = groups.grouping().since().cardinality();
        if (!adopted) {
            tasks.add(new Task.Adopt(groups.grouping().size()));
        } else if (since > 0) {
            tasks.add(new Task.PlaceNew(since));
        }
        if (adopted && !(groups.doubtsKnown() && groups.doubts().isEmpty())) {
            tasks.add(new Task.Doubtful());
        }
        if (groups.ungroupedSearches().sum() > 0) {
            tasks.add(new Task.Ungrouped(groups.grouping().ungrouped(), groups.ungroupedSearches()));
        }
    }

    /** The first that is done somewhere else than where one is; empty if there is none. */
    public static Optional<Task> next(List<Task> tasks, Task.@Nullable Place here) {
        return tasks.stream().filter(task -> task.place() != here).findFirst();
    }
}

package smorgas.core.board;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import smorgas.core.group.read.Groups;
import smorgas.core.recipe.sift.Standing;

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
        int undecided = board.standings().count(Standing.UNDECIDED);
        int kept = board.standings().count(Standing.KEPT);
        if (undecided > 0 && board.standings().count(Standing.DROPPED) == 0) {
            tasks.add(new Task.DropWords(undecided));
        } else if (undecided > kept) {
            tasks.add(new Task.Sift(undecided));
        }
        if (board.groupsKnown() && undecided + kept > 0) {
            groups(board.groups(), !board.recipe().grouping().pins().settled().isEmpty(), tasks);
        }
        board.findingsKnown().filter(found -> found > 0).ifPresent(found -> tasks.add(new Task.Mend(found)));
        tasks.add(new Task.Download());
        return tasks;
    }

    private static void groups(Groups groups, boolean settled, List<Task> tasks) {
        int since = groups.grouping().since().cardinality();
        if (!settled) {
            tasks.add(new Task.Settle(groups.grouping().size()));
        } else if (since > 0) {
            tasks.add(new Task.SeatNew(since));
        }
        if (settled && !(groups.doubtsKnown() && groups.doubts().isEmpty())) {
            tasks.add(new Task.Doubtful());
        }
        if (groups.leftoverSearches().sum() > 0) {
            tasks.add(new Task.Leftovers(groups.grouping().leftovers(), groups.leftoverSearches()));
        }
    }

    /** The first that is done somewhere else than where one is; empty if there is none. */
    public static Optional<Task> next(List<Task> tasks, Task.@Nullable Place here) {
        return tasks.stream().filter(task -> task.place() != here).findFirst();
    }
}

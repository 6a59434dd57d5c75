package smorgas.app.web.gather;

import java.util.List;
import smorgas.app.work.ToolTask;
import smorgas.app.work.ToolTasks;
import smorgas.core.text.Message;

/**
 * The tools at work for a project, and those that were lately.
 *
 * @param pending whether one is at work
 */
record ToolTasksView(long id, boolean pending, List<One> all) {

    private static final int SHOWN = 5;

    /**
     * One of them.
     *
     * @param lines how far it is, or what came of it
     * @param basket that it made or renewed; 0 for none
     */
    record One(long number, String name, boolean pending, List<Message> lines, long basket) {}

    static ToolTasksView of(ToolTasks errands, long project) {
        List<One> all = errands.of(project).stream()
                .limit(SHOWN)
                .map(ToolTasksView::one)
                .toList();
        return new ToolTasksView(project, all.stream().anyMatch(One::pending), all);
    }

    private static One one(ToolTask errand) {
        boolean pending = errand.pending();
        return new One(
                errand.number(),
                errand.name(),
                pending,
                pending ? errand.told() : List.of(errand.sentence()),
                errand.basket());
    }
}

package smorgas.app.web.frame;

import java.util.List;
import org.jspecify.annotations.Nullable;
import smorgas.app.store.Project;
import smorgas.app.web.band.Band;
import smorgas.app.web.show.Step;
import smorgas.core.text.Message;

/**
 * What is around the work on a project page.
 *
 * @param version the version that acts made on this page name as the one they saw
 * @param begun whether it has been worked on: the band is a line then, unless somebody wants it whole
 * @param undo what undo would take back; empty if nothing
 * @param redo what redo would bring back; empty if nothing
 * @param message what the last act did, or why it was not done; empty if there is nothing to tell
 * @param refused whether the message tells of something that was not done
 * @param next what to do next, with where to do it
 * @param tray the tray of the browser tab that asks; null if it has not told its name yet
 */
public record Frame(
        Project project,
        List<Project> others,
        @Nullable Step step,
        long version,
        Band band,
        boolean begun,
        boolean simulated,
        Message undo,
        Message redo,
        Message message,
        boolean refused,
        Next next,
        @Nullable TrayView tray) {

    /** A hint and the page it leads to. */
    public record Next(Message sentence, String url) {}

    public String base() {
        return "/projects/" + project.id();
    }
}

package smorgas.app.web.frame;

import org.springframework.ui.Model;
import smorgas.app.work.OpenProject;
import smorgas.app.work.Snapshot;

/**
 * What the forms of a menu carry that was called to a word, a keyword or a group and stands in no page's frame.
 *
 * @param base of the project's addresses
 * @param version of the project that the menu shows
 */
public record Called(String base, long version) {

    /** Puts it where templates look for the frame. */
    public static void in(Model model, OpenProject project, Snapshot snapshot) {
        model.addAttribute("frame", new Called("/projects/" + project.id(), snapshot.version()));
    }
}

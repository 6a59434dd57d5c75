package smorgas.app.web.group;

import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.util.MultiValueMap;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import smorgas.app.web.frame.Called;
import smorgas.app.web.frame.Frames;
import smorgas.app.work.Missing;
import smorgas.app.work.OpenProject;
import smorgas.app.work.Snapshot;
import smorgas.core.group.read.Groups;

/** The menu of a group, called to wherever the group stands. */
@Controller
class GroupMenuController {

    private final Frames frames;

    GroupMenuController(Frames frames) {
        this.frames = frames;
    }

    @GetMapping("/projects/{id}/menu/group")
    String group(
            @PathVariable long id,
            @RequestParam String of,
            @RequestParam MultiValueMap<String, String> fields,
            Model model) {
        OpenProject project = frames.open(id);
        Snapshot snapshot = project.snapshot();
        Groups groups = snapshot.board().groups();
        // The plan knows groups by their names.
        int group = groups.find(of) >= 0 ? groups.find(of) : groups.called(of);
        if (group < 0) {
            throw new Missing("missing.group", of);
        }
        Called.in(model, project, snapshot);
        GroupMenu.of(snapshot.board(), group, GroupQuery.of(fields, ""), "/projects/" + id)
                .show(model);
        return "menu/group :: menu";
    }
}

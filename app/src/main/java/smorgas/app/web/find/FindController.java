package smorgas.app.web.find;

import java.util.List;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import smorgas.app.web.frame.Frames;
import smorgas.app.web.show.Shown;

/** Answers the field in the head while one types. */
@Controller
class FindController {

    private final Frames frames;

    FindController(Frames frames) {
        this.frames = frames;
    }

    /** What was found, by kind. */
    record FoundPage(String asked, List<Finder.Section> sections) {}

    @GetMapping("/projects/{id}/find")
    String find(@PathVariable long id, @RequestParam(defaultValue = "") String q, Model model) {
        Shown.in(
                model,
                new FoundPage(
                        q, Finder.find("/projects/" + id, q, frames.open(id).snapshot(), frames.wording())));
        return "frame/found :: found";
    }
}

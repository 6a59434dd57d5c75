package smorgas.app.web.frame;

import jakarta.servlet.http.HttpServletResponse;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestAttribute;
import org.springframework.web.bind.annotation.ResponseBody;
import smorgas.app.web.show.Shown;
import smorgas.app.work.Table;

/** What is shown while a project is being opened. */
@Controller
class OpeningController {

    private static final long PATIENCE_MILLIS = 1_500;

    private final Table table;

    OpeningController(Table table) {
        this.table = table;
    }

    /** Asked for while a project is being opened: once it is, the page that was wanted is asked for anew, as a whole. */
    @GetMapping("/projects/{id}/opened")
    @ResponseBody
    String opened(@PathVariable long id, HttpServletResponse response) {
        if (table.openWithin(id, PATIENCE_MILLIS).isPresent()) {
            response.setHeader("HX-Refresh", "true");
        }
        return "";
    }

    /** What was asked for, and of which project. */
    record OpeningPage(
            String wanted, @Nullable Long opening, @Nullable String name) {}

    @GetMapping(Opening.PAGE)
    String opening(
            @RequestAttribute(name = Opening.WANTED, required = false) @Nullable String wanted,
            @RequestAttribute(name = Opening.PROJECT, required = false) @Nullable Long project,
            @RequestAttribute(name = Opening.NAME, required = false) @Nullable String name,
            Model model) {
        if (wanted == null) {
            return "redirect:/projects";
        }
        Shown.in(model, new OpeningPage(wanted, project, name));
        return "frame/opening";
    }
}

package smorgas.app.web.frame;

import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestAttribute;

/** What is shown while a project is being opened. */
@Controller
class OpeningController {

    @GetMapping(Opening.PAGE)
    String opening(
            @RequestAttribute(name = Opening.WANTED, required = false) @Nullable String wanted,
            @RequestAttribute(name = Opening.NAME, required = false) @Nullable String name,
            Model model) {
        if (wanted == null) {
            return "redirect:/projects";
        }
        model.addAttribute("wanted", wanted);
        model.addAttribute("name", name);
        return "frame/opening";
    }
}

package smorgas.app.web.frame;

import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.RequestHeader;

/** Gives every page the name of the browser tab that asks for it; empty on the first request of a tab. */
@ControllerAdvice
class Tabs {

    static final String TAB = "tab";

    @ModelAttribute(TAB)
    String tab(@RequestHeader(name = "X-Tab", defaultValue = "") String tab) {
        return tab;
    }
}

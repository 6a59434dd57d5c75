package smorgas.app.web.group;

import java.util.List;
import org.springframework.stereotype.Controller;
import org.springframework.util.MultiValueMap;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import smorgas.app.web.frame.Act;
import smorgas.app.work.Outcome;
import smorgas.core.recipe.GroupEntry;
import smorgas.core.text.Tidy;

/** What is done with the dials, alternatives and rules of the Group page; each is one entry. */
@Controller
class GroupActs {

    /** The dials as they stand are kept under a name. */
    @PostMapping("/projects/{id}/group/alternative")
    String keep(Act act, @RequestParam MultiValueMap<String, String> fields, @RequestParam String alternative) {
        String name = alternative.strip();
        Outcome outcome = act.make(recipe -> new GroupEntry.AlternativeKept(
                name, Dials.read(fields, recipe.grouping().settings())));
        return act.to("/group?view=compare", outcome);
    }

    @PostMapping("/projects/{id}/group/alternative/forget")
    String forget(Act act, @RequestParam String alternative) {
        return act.done(recipe -> new GroupEntry.AlternativeDropped(alternative));
    }

    /** The dials as they stand become the settings. */
    @PostMapping("/projects/{id}/group")
    String adopt(Act act, @RequestParam MultiValueMap<String, String> fields) {
        Outcome outcome = act.make(recipe -> new GroupEntry.GroupSettingsChosen(
                Dials.read(fields, recipe.grouping().settings())));
        return act.to("/group" + GroupQuery.of(fields, "").with(), outcome);
    }

    @PostMapping("/projects/{id}/mute")
    String mute(Act act, @RequestParam String mutedWord, @RequestParam boolean muted) {
        return act.done(recipe -> new GroupEntry.WordsMuted(List.of(Tidy.of(mutedWord)), muted));
    }

    @PostMapping("/projects/{id}/group/rule/remove")
    String removeRule(Act act, @RequestParam int rule) {
        return act.done(recipe -> new GroupEntry.GroupRuleRemoved(rule));
    }

    @PostMapping("/projects/{id}/group/rule/move")
    String moveRule(Act act, @RequestParam int rule, @RequestParam int place) {
        return act.done(recipe -> new GroupEntry.GroupRuleMoved(rule, place));
    }
}

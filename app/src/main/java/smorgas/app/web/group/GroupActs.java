package smorgas.app.web.group;

import java.util.Arrays;
import java.util.List;
import org.springframework.stereotype.Controller;
import org.springframework.util.MultiValueMap;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import smorgas.app.web.frame.Act;
import smorgas.app.work.Outcome;
import smorgas.core.board.Board;
import smorgas.core.group.Grouping;
import smorgas.core.recipe.GroupEntry;
import smorgas.core.recipe.GroupPin;
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

    /** The groups stay as they are from now on, or form again by themselves. */
    @PostMapping("/projects/{id}/group/settle")
    String settle(Act act, @RequestParam boolean on) {
        Board board = act.snapshot().board();
        return act.done(recipe -> new GroupPin.GroupsSettled(on ? settled(board) : List.of()));
    }

    private static List<GroupPin.GroupsSettled.Settled> settled(Board board) {
        Grouping grouping = board.groups().grouping();
        return Arrays.stream(board.groups().order())
                .filter(group -> grouping.kind(group) != Grouping.Kind.LEFTOVERS)
                .mapToObj(group -> new GroupPin.GroupsSettled.Settled(
                        grouping.key(group),
                        Arrays.stream(grouping.members().row(group))
                                .mapToObj(keyword -> Tidy.of(board.keywords().text(keyword)))
                                .toList()))
                .toList();
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

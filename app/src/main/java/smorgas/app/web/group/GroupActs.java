package smorgas.app.web.group;

import java.util.List;
import org.springframework.stereotype.Controller;
import org.springframework.util.MultiValueMap;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import smorgas.app.web.frame.Act;
import smorgas.app.work.Outcome;
import smorgas.app.work.Previews;
import smorgas.core.board.Board;
import smorgas.core.group.read.Regrouping;
import smorgas.core.recipe.GroupDecision;
import smorgas.core.recipe.GroupEntry;
import smorgas.core.text.Tidy;

/** What is done with the dials, alternatives and rules of the Group page; each is one entry. */
@Controller
class GroupActs {

    private final Previews previews;

    GroupActs(Previews previews) {
        this.previews = previews;
    }

    /** The dials as they stand are kept under a name. */
    @PostMapping("/projects/{id}/group/alternative")
    String keep(Act act, @RequestParam MultiValueMap<String, String> fields, @RequestParam String alternative) {
        String name = alternative.strip();
        Outcome outcome = act.make(recipe -> new GroupEntry.AlternativeKept(
                name,
                Dials.read(fields, recipe.grouping().settings(), recipe.rules().settings())));
        return act.to("/group?view=compare", outcome);
    }

    @PostMapping("/projects/{id}/group/alternative/forget")
    String forget(Act act, @RequestParam String alternative) {
        return act.done(recipe -> new GroupEntry.AlternativeDropped(alternative));
    }

    /** The dials as they stand become the settings; by similarity, or where they are adopted already, the groups stay from then on. */
    @PostMapping("/projects/{id}/group")
    String adopt(Act act, @RequestParam MultiValueMap<String, String> fields) {
        Previews.Part part = Previews.Part.of(GroupQuery.of(fields, "").value("anew"));
        Board board = act.snapshot().board();
        Outcome outcome = act.make(recipe -> previews.adopting(
                board,
                Dials.read(fields, recipe.grouping().settings(), recipe.rules().settings()),
                part));
        return act.to("/group" + GroupQuery.of(fields, "").with("anew", ""), outcome);
    }

    /** The groups stay as they are from now on, or form again by themselves. */
    @PostMapping("/projects/{id}/group/adopt")
    String adopt(Act act, @RequestParam boolean on) {
        Board board = act.snapshot().board();
        return act.done(recipe -> on ? Regrouping.asTheyAre(board.groups()) : GroupDecision.GroupsAsTheyAre.NOT);
    }

    /** What came since the groups were adopted joins those to which it is nearest, if it is near enough. */
    @PostMapping("/projects/{id}/group/since")
    String since(Act act) {
        Board board = act.snapshot().board();
        return act.done(recipe ->
                Regrouping.joining(board.groups(), recipe.grouping().settings().placedFrom()));
    }

    @PostMapping("/projects/{id}/ignore")
    String ignore(Act act, @RequestParam String ignoredWord, @RequestParam boolean ignored) {
        return act.done(recipe -> new GroupEntry.WordsIgnored(List.of(Tidy.of(ignoredWord)), ignored));
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

package smorgas.app.web.group;

import jakarta.servlet.http.HttpServletRequest;
import java.util.List;
import org.springframework.stereotype.Controller;
import org.springframework.util.MultiValueMap;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import smorgas.app.web.frame.Acts;
import smorgas.app.web.frame.Frames;
import smorgas.app.work.Outcome;
import smorgas.core.recipe.Entry;
import smorgas.core.text.Tidy;

/** What is done with the dials, alternatives and rules of the Group page; each is one entry. */
@Controller
class GroupActs {

    private final Frames frames;
    private final Acts acts;

    GroupActs(Frames frames, Acts acts) {
        this.frames = frames;
        this.acts = acts;
    }

    /** The dials as they stand are kept under a name. */
    @PostMapping("/projects/{id}/group/alternative")
    String keep(
            @PathVariable long id,
            @RequestParam MultiValueMap<String, String> fields,
            @RequestParam String alternative,
            @RequestParam long version,
            RedirectAttributes redirect) {
        String name = alternative.strip();
        Outcome outcome = frames.open(id)
                .act(version, recipe -> new Entry.AlternativeKept(name, Dials.read(fields, recipe.groups())));
        Frames.notice(outcome).ifPresent(notice -> redirect.addFlashAttribute("notice", notice));
        redirect.addAttribute("view", "compare");
        return "redirect:/projects/" + id + "/group";
    }

    @PostMapping("/projects/{id}/group/alternative/forget")
    String forget(
            @PathVariable long id,
            @RequestParam String alternative,
            @RequestParam long version,
            HttpServletRequest request,
            RedirectAttributes redirect) {
        return acts.back(
                request,
                redirect,
                id,
                frames.open(id).act(version, recipe -> new Entry.AlternativeDropped(alternative)));
    }

    /** The dials as they stand become the settings. */
    @PostMapping("/projects/{id}/group")
    String adopt(
            @PathVariable long id,
            @RequestParam MultiValueMap<String, String> fields,
            @RequestParam long version,
            RedirectAttributes redirect) {
        var outcome = frames.open(id)
                .act(version, recipe -> new Entry.GroupSettingsChosen(Dials.read(fields, recipe.groups())));
        Frames.notice(outcome).ifPresent(notice -> redirect.addFlashAttribute("notice", notice));
        return "redirect:/projects/" + id + "/group" + GroupQuery.of(fields, "").with();
    }

    @PostMapping("/projects/{id}/mute")
    String mute(
            @PathVariable long id,
            @RequestParam String mutedWord,
            @RequestParam boolean muted,
            @RequestParam long version,
            HttpServletRequest request,
            RedirectAttributes redirect) {
        Entry entry = new Entry.WordsMuted(List.of(Tidy.of(mutedWord)), muted);
        return acts.back(request, redirect, id, frames.open(id).act(version, recipe -> entry));
    }

    @PostMapping("/projects/{id}/group/rule/remove")
    String removeRule(
            @PathVariable long id,
            @RequestParam int rule,
            @RequestParam long version,
            HttpServletRequest request,
            RedirectAttributes redirect) {
        return acts.back(
                request, redirect, id, frames.open(id).act(version, recipe -> new Entry.GroupRuleRemoved(rule)));
    }

    @PostMapping("/projects/{id}/group/rule/move")
    String moveRule(
            @PathVariable long id,
            @RequestParam int rule,
            @RequestParam int place,
            @RequestParam long version,
            HttpServletRequest request,
            RedirectAttributes redirect) {
        return acts.back(
                request, redirect, id, frames.open(id).act(version, recipe -> new Entry.GroupRuleMoved(rule, place)));
    }
}

package smorgas.app.web.group;

import jakarta.servlet.http.HttpServletRequest;
import java.util.List;
import org.springframework.stereotype.Controller;
import org.springframework.util.MultiValueMap;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import smorgas.app.web.frame.Acts;
import smorgas.app.web.frame.Frames;
import smorgas.app.work.OpenProject;
import smorgas.app.work.Outcome;
import smorgas.app.work.Trays;
import smorgas.core.board.Board;
import smorgas.core.group.Groups;
import smorgas.core.recipe.Entry;
import smorgas.core.recipe.GroupPin;
import smorgas.core.text.Tidy;

/** What is done on the Group page; each is one entry. */
@Controller
class GroupActs {

    private final Frames frames;
    private final Acts acts;
    private final Trays trays;

    GroupActs(Frames frames, Acts acts, Trays trays) {
        this.frames = frames;
        this.acts = acts;
        this.trays = trays;
    }

    /** What is on the tray goes into the group of this name, which is made if there is none. */
    @PostMapping("/projects/{id}/tray/group")
    String place(
            @PathVariable long id,
            @RequestParam String intoGroup,
            @RequestParam long version,
            @RequestHeader(name = "X-Tab", defaultValue = "") String tab,
            HttpServletRequest request,
            RedirectAttributes redirect) {
        List<String> texts = trays.texts(id, tab);
        if (texts.isEmpty() || Tidy.of(intoGroup).isEmpty()) {
            String why = texts.isEmpty() ? "Nothing is picked." : "Say the name of the group.";
            return acts.back(request, redirect, id, new Outcome.NoChange(why));
        }
        OpenProject project = frames.open(id);
        Board board = project.snapshot().board();
        String group = key(board.groups(), Tidy.of(intoGroup));
        List<String> also = texts.stream()
                .flatMap(text -> board.keywords().find(text).stream())
                .flatMap(keyword -> board.keywords().tidyTexts(keyword).stream())
                .filter(spelling -> !texts.contains(spelling))
                .distinct()
                .toList();
        Outcome outcome = project.act(version, recipe -> new GroupPin.KeywordsPlaced(texts, also, group));
        if (outcome instanceof Outcome.Done) {
            trays.clear(id, tab);
        }
        return acts.back(request, redirect, id, outcome);
    }

    /** The key of the group that is called so, or the name itself. */
    private static String key(Groups groups, String name) {
        for (int group : groups.order()) {
            if (groups.name(group).equalsIgnoreCase(name)) {
                return groups.grouping().key(group);
            }
        }
        return name;
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
        return "redirect:/projects/" + id + "/group";
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

    /** No group forms on the theme any more, or one may again. */
    @PostMapping("/projects/{id}/group/theme")
    String removeTheme(
            @PathVariable long id,
            @RequestParam String theme,
            @RequestParam boolean gone,
            @RequestParam long version,
            HttpServletRequest request,
            RedirectAttributes redirect) {
        return acts.back(
                request,
                redirect,
                id,
                frames.open(id).act(version, recipe -> new GroupPin.ThemeRemoved(Tidy.of(theme), gone)));
    }

    /** A group is named by hand; an empty name gives it that of its theme back. */
    @PostMapping("/projects/{id}/group/name")
    String name(
            @PathVariable long id,
            @RequestParam String theme,
            @RequestParam String newName,
            @RequestParam long version,
            HttpServletRequest request,
            RedirectAttributes redirect) {
        return acts.back(
                request,
                redirect,
                id,
                frames.open(id).act(version, recipe -> new GroupPin.GroupNamed(theme, newName.strip())));
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

package smorgas.app.web.history;

import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import smorgas.app.store.Histories;
import smorgas.app.store.Project;
import smorgas.app.store.Projects;
import smorgas.app.store.RecipeFile;
import smorgas.app.web.frame.Act;
import smorgas.app.web.frame.Frames;
import smorgas.app.web.show.Show;
import smorgas.app.web.show.Shown;
import smorgas.app.web.show.Step;
import smorgas.app.work.OpenProject;
import smorgas.app.work.Outcome;
import smorgas.app.work.Snapshot;
import smorgas.core.recipe.History;
import smorgas.core.recipe.VersionEntry;
import smorgas.core.text.Message;

/** Undo and redo, the history, the recipe as a file, the keys, and the band while groups are pending. */
@Controller
class HistoryController {

    private static final int SHOWN = 500;
    private static final int LONGEST_NAME = 200;

    /**
     * An act as the history page shows it.
     *
     * @param effect what it changed; empty if nothing is told
     * @param name of the point after it; empty if it has none
     */
    record ActView(
            long number,
            Message sentence,
            String effect,
            Message by,
            Message when,
            Message state,
            boolean done,
            String name) {}

    /** The opened point: just after an act. */
    record Opened(long point, Message sentence, String effect, String name) {}

    private final Frames frames;
    private final Histories histories;
    private final Projects projects;

    HistoryController(Frames frames, Histories histories, Projects projects) {
        this.projects = projects;
        this.frames = frames;
        this.histories = histories;
    }

    @PostMapping("/projects/{id}/undo")
    String undo(Act act) {
        return act.back(act.undo());
    }

    @PostMapping("/projects/{id}/redo")
    String redo(Act act) {
        return act.back(act.redo());
    }

    /** The acts, the last first, and the opened one. */
    record HistoryPage(
            List<ActView> acts,
            int more,
            List<Project> givable,
            @Nullable Opened opened) {}

    @GetMapping("/projects/{id}/history")
    String history(@PathVariable long id, @RequestParam(defaultValue = "-1") long point, Model model) {
        Snapshot snapshot = frames.open(id).snapshot();
        List<Histories.Told> told = histories.told(id);
        List<History.Step> steps = snapshot.history().steps();
        Map<Long, String> names = snapshot.history().versions();
        List<ActView> views = new ArrayList<>();
        for (int i = Math.min(steps.size(), told.size()) - 1; i >= 0 && views.size() < SHOWN; i--) {
            History.Step step = steps.get(i);
            Message state =
                    switch (step.state()) {
                        case DONE -> Message.of("history.history-controller.in-force");
                        case UNDONE -> Message.of("history.history-controller.undone");
                        case LEFT -> Message.of("history.history-controller.undone-left-behind");
                    };
            views.add(new ActView(
                    step.seq(),
                    step.entry().sentence(),
                    effect(step, told.get(i)),
                    told.get(i).by().label(),
                    Show.moment(told.get(i).at()),
                    state,
                    step.state() == History.State.DONE,
                    names.getOrDefault(step.seq(), "")));
        }
        Opened opened = point < 0 || point > Math.min(steps.size(), told.size())
                ? null
                : opened(point, steps, told, names.getOrDefault(point, ""));
        Shown.in(
                model,
                new HistoryPage(
                        views,
                        steps.size() - views.size(),
                        projects.all().stream()
                                .filter(one -> one.id() != id && !one.binned())
                                .toList(),
                        opened));
        frames.frame(model, id, snapshot, null);
        return "history/page";
    }

    private Opened opened(long point, List<History.Step> steps, List<Histories.Told> told, String name) {
        if (point == 0) {
            return new Opened(0, Message.of("history.history-controller.nothing-had-been-done"), "", name);
        }
        History.Step step = steps.get((int) point - 1);
        return new Opened(
                point, Message.of("sentence", step.entry().sentence()), effect(step, told.get((int) point - 1)), name);
    }

    /** What it changed, without saying once more what was done. */
    private String effect(History.Step step, Histories.Told told) {
        String sentence = frames.wording().of(step.entry().sentence());
        String effect = told.effect().startsWith(sentence) ? told.effect().substring(sentence.length()) : told.effect();
        return effect.replaceFirst("^[.\\s]+", "");
    }

    /** All is as it was just after an act. */
    @PostMapping("/projects/{id}/history/back")
    String goBack(Act act, @RequestParam long point) {
        return act.done(recipe -> new VersionEntry.WentBack(point));
    }

    /** A point gets a name, or loses it. */
    @PostMapping("/projects/{id}/history/name")
    String name(Act act, @RequestParam long point, @RequestParam(defaultValue = "") String name) {
        return act.done(recipe -> new VersionEntry.VersionNamed(point, name));
    }

    /** A project of its own that begins where this one was at a point. */
    @PostMapping("/projects/{id}/history/branch")
    String branch(
            @PathVariable long id,
            @RequestParam long point,
            @RequestParam(defaultValue = "") String name,
            RedirectAttributes redirect) {
        String original = frames.project(id).name();
        frames.open(id).snapshot().history().at(point);
        String shown = name.isBlank() ? frames.wording().of("history.branch-name", original, point) : name.strip();
        long branch = projects.copy(id, shown.substring(0, Math.min(LONGEST_NAME, shown.length())));
        OpenProject project = frames.open(branch);
        project.act(project.snapshot().version(), recipe -> new VersionEntry.WentBack(point));
        redirect.addFlashAttribute(
                "notice", Message.of("history.history-controller.project-own-now-from", point, original));
        return "redirect:/projects/" + branch + "/gather";
    }

    /** The recipe as a file; see docs/recipe.md. */
    @GetMapping("/projects/{id}/recipe.json")
    ResponseEntity<String> recipe(@PathVariable long id) {
        OpenProject project = frames.open(id);
        return ResponseEntity.ok()
                .contentType(MediaType.APPLICATION_JSON)
                .header("Content-Disposition", "attachment; filename=\"recipe.json\"")
                .body(RecipeFile.of(
                                project.rules(),
                                project.language(),
                                project.snapshot().history().effective())
                        .json());
    }

    /** A recipe file takes the place of all decisions. */
    @PostMapping("/projects/{id}/recipe")
    String take(Act act, @RequestParam("recipe") MultipartFile file) throws IOException {
        String name = Show.fileName(file.getOriginalFilename(), frames.wording());
        byte[] bytes = file.getBytes();
        return act.done(recipe -> RecipeFile.take(name, bytes, act.project().language()));
    }

    /** The decisions of this project take the place of those of others, each of which can undo that. */
    @PostMapping("/projects/{id}/recipe/give")
    String give(
            @PathVariable long id,
            @RequestParam(name = "project", defaultValue = "") List<Long> others,
            RedirectAttributes redirect) {
        OpenProject project = frames.open(id);
        String name = frames.project(id).name();
        byte[] recipe = RecipeFile.of(
                        project.rules(),
                        project.language(),
                        project.snapshot().history().effective())
                .json()
                .getBytes(StandardCharsets.UTF_8);
        List<Message> told = new ArrayList<>();
        for (long other : others.stream().filter(Objects::nonNull).toList()) {
            OpenProject to = frames.open(other);
            Outcome outcome =
                    to.act(to.snapshot().version(), decisions -> RecipeFile.take(name, recipe, to.language()));
            told.add(Message.of(
                    "work.open-project.of-list", frames.project(other).name(), outcome.sentence()));
        }
        redirect.addFlashAttribute(
                "notice",
                told.isEmpty()
                        ? Message.of("history.history-controller.tick-project-least")
                        : Message.joined("list.sentences", told));
        return "redirect:/projects/" + id + "/history";
    }

    @GetMapping("/projects/{id}/keys")
    String keys(@PathVariable long id, Model model) {
        frames.frame(model, id, frames.open(id).snapshot(), null);
        return "history/keys";
    }

    /** The band alone, asked for again while the groups are pending. */
    @GetMapping("/projects/{id}/band")
    String band(@PathVariable long id, @RequestParam(defaultValue = "") String step, Model model) {
        frames.frameWithGroups(
                model, id, frames.open(id).snapshot(), Step.of(step).orElse(null));
        return "frame/band :: band";
    }

    /** Asked for by a page that stands for one about groups: once they are there it is asked for anew. */
    @GetMapping("/projects/{id}/groups-found")
    String groupsFound(
            @PathVariable long id,
            @RequestParam(defaultValue = "") String step,
            Model model,
            HttpServletResponse response) {
        switch (frames.stillWaiting(model, id, Step.of(step).orElse(Step.GROUP))) {
            case FOUND -> response.setHeader("HX-Refresh", "true");
            case FAILED -> {
                response.setHeader("HX-Retarget", "#waiting");
                return "frame/waiting :: failed";
            }
            case UNDER_WAY -> {}
        }
        return "frame/waiting :: asked";
    }
}

package smorgas.app.web.history;

import java.io.IOException;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import smorgas.app.store.Histories;
import smorgas.app.store.RecipeFile;
import smorgas.app.web.frame.Act;
import smorgas.app.web.frame.Frames;
import smorgas.app.web.show.Show;
import smorgas.app.web.show.Shown;
import smorgas.app.work.OpenProject;
import smorgas.app.work.Snapshot;
import smorgas.core.recipe.History;

/** Undo and redo, the history, the recipe as a file, the keys, and the band while groups are pending. */
@Controller
class HistoryController {

    private static final DateTimeFormatter TIME = DateTimeFormatter.ofPattern("d MMM yyyy, HH:mm:ss", Locale.ENGLISH);
    private static final int SHOWN = 500;

    /** An act as the history page shows it. */
    record ActView(long number, String sentence, String when, String state) {}

    private final Frames frames;
    private final Histories histories;

    HistoryController(Frames frames, Histories histories) {
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

    /** The acts, the last first. */
    record HistoryPage(List<ActView> acts, int more) {}

    @GetMapping("/projects/{id}/history")
    String history(@PathVariable long id, Model model) {
        Snapshot snapshot = frames.open(id).snapshot();
        List<OffsetDateTime> times = histories.times(id);
        List<History.Step> steps = snapshot.history().steps();
        List<ActView> views = new ArrayList<>();
        for (int i = Math.min(steps.size(), times.size()) - 1; i >= 0 && views.size() < SHOWN; i--) {
            History.Step step = steps.get(i);
            String state =
                    switch (step.state()) {
                        case DONE -> "in force";
                        case UNDONE -> "undone";
                        case LEFT -> "undone, left behind";
                    };
            views.add(new ActView(
                    step.seq(),
                    step.entry().sentence(),
                    times.get(i).atZoneSameInstant(ZoneOffset.UTC).format(TIME) + " UTC",
                    state));
        }
        Shown.in(model, new HistoryPage(views, steps.size() - views.size()));
        frames.frame(model, id, snapshot, null);
        return "history/page";
    }

    /** The recipe as a file; see docs/recipe.md. */
    @GetMapping("/projects/{id}/recipe.json")
    ResponseEntity<String> recipe(@PathVariable long id) {
        OpenProject project = frames.open(id);
        return ResponseEntity.ok()
                .contentType(MediaType.APPLICATION_JSON)
                .header("Content-Disposition", "attachment; filename=\"recipe.json\"")
                .body(RecipeFile.of(
                                project.language(),
                                project.edition(),
                                project.snapshot().history().effective())
                        .json());
    }

    /** A recipe file takes the place of all decisions. */
    @PostMapping("/projects/{id}/recipe")
    String take(Act act, @RequestParam("recipe") MultipartFile file) throws IOException {
        String name = Show.fileName(file.getOriginalFilename());
        byte[] bytes = file.getBytes();
        return act.done(recipe -> RecipeFile.take(name, bytes, act.project().language()));
    }

    @GetMapping("/projects/{id}/keys")
    String keys(@PathVariable long id, Model model) {
        frames.frame(model, id, frames.open(id).snapshot(), null);
        return "history/keys";
    }

    /** The band alone, asked for again while the groups are pending. */
    @GetMapping("/projects/{id}/band")
    String band(@PathVariable long id, @RequestParam(defaultValue = "") String step, Model model) {
        var place = java.util.Arrays.stream(smorgas.app.web.show.Step.values())
                .filter(s -> s.path().equals(step))
                .findFirst()
                .orElse(null);
        frames.frameWithGroups(model, id, frames.open(id).snapshot(), place);
        return "frame/band :: band";
    }
}

package smorgas.app.web.history;

import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestParam;
import smorgas.app.store.Projects;
import smorgas.app.web.frame.Frames;
import smorgas.app.web.show.Choice;
import smorgas.app.web.show.Show;
import smorgas.app.web.show.Shown;
import smorgas.app.work.OpenProject;
import smorgas.app.work.PastVersions;
import smorgas.app.work.Snapshot;
import smorgas.app.work.Trays;
import smorgas.core.board.Board;
import smorgas.core.board.Difference;
import smorgas.core.board.DifferenceCsv;
import smorgas.core.column.FigureColumn;
import smorgas.core.recipe.History;
import smorgas.core.serve.Csv;
import smorgas.core.text.Message;
import smorgas.core.text.Refusal;

/** What is otherwise at one point of the history than at another: keywords, statuses, groups and the plan. */
@Controller
class DifferenceController {

    private static final int SHOWN = 20;
    private static final int LATEST = 30;
    private static final String NOW = "now";
    private static final String OTHER = "project-";

    private final Frames frames;
    private final PastVersions points;
    private final Trays trays;
    private final Projects projects;

    DifferenceController(Frames frames, PastVersions points, Trays trays, Projects projects) {
        this.projects = projects;
        this.frames = frames;
        this.points = points;
        this.trays = trays;
    }

    /** Two points, the choice of others, and what is otherwise; that is missing with a fault. */
    record DifferencePage(
            String from,
            String to,
            List<Choice> choices,
            Message fault,
            @Nullable Changed changed) {}

    /**
     * What is changed.
     *
     * @param told in a sentence
     * @param groups whether groups and plan were compared
     */
    record Changed(Message told, List<Part> parts, boolean groups, List<ExportedController.Part> plan) {}

    /**
     * What is otherwise in one way.
     *
     * @param searched whether it is what is searched, so that both sides are figures
     * @param sides whether there is something at both times
     */
    record Part(
            String kind, Message label, String count, boolean searched, boolean sides, List<Row> rows, Message more) {}

    /** A keyword with what it was and what it is. */
    record Row(String text, String searches, Message was, Message is, Message season) {}

    /** Two points of the history, and whether groups are compared too. */
    record Between(String from, String to, boolean groups) {}

    @ModelAttribute("between")
    Between between(
            @RequestParam(defaultValue = "0") String from,
            @RequestParam(defaultValue = NOW) String to,
            @RequestParam(defaultValue = "false") boolean groups) {
        return new Between(from, to, groups);
    }

    @GetMapping("/projects/{id}/difference")
    String page(@PathVariable long id, @ModelAttribute("between") Between between, Model model) {
        OpenProject project = frames.open(id);
        Snapshot snapshot = project.snapshot();
        Message fault = Message.NONE;
        Changed changed = null;
        try {
            changed = changed(board(project, between.from()), board(project, between.to()), between.groups());
        } catch (Refusal refused) {
            fault = Message.of("sentence", refused.message());
        }
        Shown.in(
                model,
                new DifferencePage(
                        between.from(),
                        between.to(),
                        choices(id, snapshot.history(), between.from(), between.to()),
                        fault,
                        changed));
        frames.frame(model, id, snapshot, null);
        return "history/difference";
    }

    private Board board(OpenProject project, String point) {
        if (point.equals(NOW)) {
            return project.snapshot().board();
        }
        if (point.startsWith(OTHER)) {
            return frames.open(number(point.substring(OTHER.length())))
                    .snapshot()
                    .board();
        }
        return points.at(project, number(point));
    }

    private static long number(String point) {
        if (!point.matches("\\d{1,9}")) {
            throw new Refusal("history.difference-controller.such-point");
        }
        return Long.parseLong(point);
    }

    private Changed changed(Board old, Board now, boolean asked) {
        boolean groups = asked || PastVersions.groupsAreNear(old, now);
        Difference difference = points.between(old, now, groups);
        List<Part> parts = Arrays.stream(Difference.Kind.values())
                .filter(kind -> !difference.rows(kind).isEmpty())
                .map(kind -> part(kind, difference.rows(kind)))
                .toList();
        return new Changed(
                Message.of(
                        "history.difference-controller.keyword-then-afterwards-both",
                        difference.before(),
                        difference.after(),
                        difference.same(),
                        difference.nothing()),
                parts,
                groups,
                groups ? ExportedController.parts(points.plan(old, now)) : List.of());
    }

    private static Part part(Difference.Kind kind, List<Difference.Row> rows) {
        boolean searched = kind == Difference.Kind.SEARCHED || kind == Difference.Kind.SEASON;
        return new Part(
                kind.name(),
                kind.label(),
                Show.count(rows.size()),
                searched,
                rows.stream().anyMatch(row -> !row.was().isEmpty())
                        && rows.stream().anyMatch(row -> !row.is().isEmpty()),
                rows.stream()
                        .limit(SHOWN)
                        .map(row -> new Row(
                                row.text(),
                                row.twiceSearches() == FigureColumn.UNKNOWN
                                        ? ""
                                        : Show.marked(Show.count(row.twiceSearches() / 2), row.simulated()),
                                searched ? figure(row.was(), false) : row.was(),
                                searched ? figure(row.is(), row.simulated()) : row.is(),
                                row.season()))
                        .toList(),
                more(rows.size()));
    }

    private static Message figure(Message searches, boolean simulated) {
        return searches.isEmpty()
                ? Message.of("history.difference-controller.not-known")
                : Message.verbatim(Show.marked(Show.count(Long.parseLong(searches.toString())), simulated));
    }

    private static Message more(int rows) {
        return rows > SHOWN ? Message.of("and-more", rows - SHOWN) : Message.NONE;
    }

    /** Those with a name first, then the last acts, then other projects as they are now. */
    private List<Choice> choices(long id, History history, String from, String to) {
        List<Choice> choices =
                new ArrayList<>(List.of(new Choice(NOW, Message.of("history.difference-controller.now"))));
        history.versions()
                .forEach((point, name) -> choices.add(new Choice(String.valueOf(point), name + " (" + point + ")")));
        history.steps().reversed().stream()
                .limit(LATEST)
                .map(step -> new Choice(
                        String.valueOf(step.seq()),
                        Message.of(
                                "history.difference-controller.after-act",
                                step.seq(),
                                step.entry().sentence())))
                .filter(one -> choices.stream().noneMatch(known -> known.value().equals(one.value())))
                .toList()
                .forEach(choices::add);
        choices.add(new Choice("0", Message.of("history.difference-controller.the-beginning")));
        projects.all().stream()
                .filter(project -> project.id() != id && !project.binned())
                .limit(LATEST)
                .forEach(project -> choices.add(new Choice(
                        OTHER + project.id(),
                        Message.of("history.difference-controller.project-now", project.name()))));
        for (String asked : List.of(from, to)) {
            if (choices.stream().noneMatch(known -> known.value().equals(asked))) {
                choices.add(new Choice(asked, Message.of("history.difference-controller.after-act-2", asked)));
            }
        }
        return choices;
    }

    /** All of it as a table. */
    @GetMapping("/projects/{id}/difference.csv")
    void download(@PathVariable long id, @ModelAttribute("between") Between between, HttpServletResponse response)
            throws IOException {
        OpenProject project = frames.open(id);
        Board old = board(project, between.from());
        Board now = board(project, between.to());
        Difference difference = points.between(old, now, between.groups() || PastVersions.groupsAreNear(old, now));
        response.setContentType("text/csv;charset=UTF-8");
        response.setHeader("Content-Disposition", "attachment; filename=\"difference.csv\"");
        try (Csv csv = new Csv(response.getWriter())) {
            DifferenceCsv.write(difference, frames.wording(), csv);
        }
    }

    /** The keywords of one part are picked up, so that the tray can act on them. */
    @PostMapping("/projects/{id}/difference/pick")
    String pick(
            @PathVariable long id,
            @ModelAttribute("between") Between between,
            @RequestParam String kind,
            @RequestHeader(name = "X-Tab", defaultValue = "") String tab,
            Model model) {
        OpenProject project = frames.open(id);
        Optional<Difference.Kind> wanted = Arrays.stream(Difference.Kind.values())
                .filter(one -> one.name().equals(kind))
                .findFirst();
        Board old = board(project, between.from());
        Board now = board(project, between.to());
        List<String> known = points
                .between(old, now, between.groups() || PastVersions.groupsAreNear(old, now))
                .rows(wanted.orElseThrow())
                .stream()
                .map(Difference.Row::text)
                .filter(text -> project.snapshot().board().keywords().find(text).isPresent())
                .toList();
        trays.pick(id, tab, known);
        Frames.say(model, Message.of("history.difference-controller.picked-up-keyword", known.size()));
        return page(id, between, model);
    }
}

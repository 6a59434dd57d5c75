package smorgas.app.web.history;

import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import smorgas.app.store.DiskSpace;
import smorgas.app.store.ExportedPlans;
import smorgas.app.web.frame.Frames;
import smorgas.app.web.show.Show;
import smorgas.app.web.show.Shown;
import smorgas.app.web.show.Step;
import smorgas.app.work.Missing;
import smorgas.app.work.PastVersions;
import smorgas.app.work.Snapshot;
import smorgas.core.serve.PlanChanges;
import smorgas.core.serve.PlanRecord;
import smorgas.core.text.Message;

/** Plans that were exported, and what must be done to an account that has one of them: only what changed leaves. */
@Controller
class ExportedController {

    private static final int SHOWN = 50;
    private static final int LONGEST_NAME = 100;

    private final Frames frames;
    private final ExportedPlans exported;
    private final PastVersions points;

    ExportedController(Frames frames, ExportedPlans exported, PastVersions points) {
        this.points = points;
        this.frames = frames;
        this.exported = exported;
    }

    /** Those there are, and the opened one beside the plan of now. */
    record ExportedPage(
            List<One> plans, Message rowsNow, @Nullable Opened opened) {}

    /** One that was exported. */
    record One(long id, String name, Message at, long point, Message rows, boolean removed) {}

    /** What changed since one. */
    record Opened(long id, String name, List<Part> parts) {}

    /** Rows to which the same is done. */
    record Part(Message label, Message count, List<Message> rows, Message more) {}

    @GetMapping("/projects/{id}/exported")
    String page(@PathVariable long id, @RequestParam(defaultValue = "0") long plan, Model model) {
        Snapshot snapshot = frames.openWithGroups(id, Step.SERVE).snapshot();
        List<ExportedPlans.Exported> all = exported.of(id);
        long opened = plan != 0
                ? plan
                : all.stream()
                        .filter(one -> !one.removed())
                        .findFirst()
                        .map(ExportedPlans.Exported::id)
                        .orElse(0L);
        Shown.in(
                model,
                new ExportedPage(
                        all.stream().map(ExportedController::one).toList(),
                        Message.of("count.rows", snapshot.board().planCount().rows()),
                        all.stream()
                                .filter(one -> one.id() == opened)
                                .findFirst()
                                .map(one -> new Opened(one.id(), one.name(), parts(changes(id, one.id(), snapshot))))
                                .orElse(null)));
        frames.frame(model, id, snapshot, Step.SERVE);
        return "history/exported";
    }

    private static One one(ExportedPlans.Exported plan) {
        return new One(
                plan.id(),
                plan.name(),
                Show.moment(plan.at()),
                plan.point(),
                Message.of("count.rows", plan.rows()),
                plan.removed());
    }

    private PlanChanges changes(long id, long plan, Snapshot snapshot) {
        return points.plan(
                plan,
                () -> exported.plan(id, plan).orElseThrow(() -> new Missing("missing.plan", plan)),
                snapshot.board());
    }

    /** What is to be done, a part for each kind. */
    static List<Part> parts(PlanChanges changes) {
        List<Part> parts = new ArrayList<>();
        for (PlanChanges.Do what : PlanChanges.Do.values()) {
            List<PlanChanges.Change> all = changes.of(what);
            if (!all.isEmpty()) {
                parts.add(new Part(
                        what.label(),
                        Message.of("count.rows", all.size()),
                        all.stream().limit(SHOWN).map(ExportedController::told).toList(),
                        all.size() > SHOWN ? Message.of("and-more", all.size() - SHOWN) : Message.NONE));
            }
        }
        return parts;
    }

    /** A row in words. */
    static Message told(PlanChanges.Change change) {
        PlanRecord.Row row = change.row();
        String where = row.campaign() + (row.adGroup().isEmpty() ? "" : " / " + row.adGroup());
        Message what =
                switch (row.kind()) {
                    case AD_GROUP -> Message.of("history.exported-controller.ad-group");
                    case KEYWORD, NEGATIVE ->
                        Message.of("list.comma", row.keyword(), row.type().toLowerCase(Locale.ENGLISH));
                    case AD ->
                        Message.of(
                                "history.exported-controller.ad",
                                row.texts().lines().findFirst().orElse(""));
                };
        Message told = Message.of("history.exported-controller.row", where, what);
        if (change.what() != PlanChanges.Do.CHANGE) {
            return told;
        }
        List<Message> changes = new ArrayList<>();
        changed(changes, "history.exported-controller.bid", change.was().bid(), row.bid());
        changed(changes, "history.exported-controller.page", change.was().page(), row.page());
        return Message.of("history.exported-controller.changed", told, Message.joined("list.space", changes));
    }

    private static void changed(List<Message> changes, String key, String was, String is) {
        if (!was.equals(is)) {
            changes.add(Message.of(key, orNone(was), orNone(is)));
        }
    }

    private static Message orNone(String written) {
        return written.isEmpty() ? Message.of("history.exported-controller.none") : Message.verbatim(written);
    }

    /** Says that the plan, as it is now, is exported. */
    @PostMapping("/projects/{id}/exported")
    String mark(@PathVariable long id, @RequestParam(defaultValue = "") String name, RedirectAttributes redirect) {
        Snapshot snapshot = frames.open(id).snapshot();
        String shown = name.isBlank()
                ? frames.wording().of("history.plan-name", exported.of(id).size() + 1)
                : name.strip().substring(0, Math.min(LONGEST_NAME, name.strip().length()));
        try {
            long plan = exported.keep(
                    id,
                    shown,
                    snapshot.history().steps().size(),
                    PlanRecord.of(snapshot.board().plan()));
            redirect.addFlashAttribute("notice", Message.of("history.exported-controller.marked-exported", shown));
            return "redirect:/projects/" + id + "/exported?plan=" + plan;
        } catch (DiskSpace.None none) {
            redirect.addFlashAttribute("notice", none.sentence());
            return "redirect:/projects/" + id + "/exported";
        }
    }

    /** Takes one away, or puts it back. */
    @PostMapping("/projects/{id}/exported/{plan}/remove")
    String remove(@PathVariable long id, @PathVariable long plan, @RequestParam boolean away) {
        frames.open(id);
        exported.remove(id, plan, away);
        return "redirect:/projects/" + id + "/exported";
    }

    /** Only what changed since one was exported, for an ad platform. */
    @GetMapping("/projects/{id}/exported/{plan}/changes.csv")
    void download(@PathVariable long id, @PathVariable long plan, HttpServletResponse response) throws IOException {
        Snapshot snapshot = frames.open(id).snapshot();
        PlanChanges changes = changes(id, plan, snapshot);
        response.setContentType("text/csv;charset=UTF-8");
        response.setHeader("Content-Disposition", "attachment; filename=\"plan-changes.csv\"");
        changes.write(response.getWriter());
    }
}

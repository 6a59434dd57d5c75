package smorgas.app.web.frame;

import java.util.NoSuchElementException;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.ui.Model;
import smorgas.app.store.Project;
import smorgas.app.store.Projects;
import smorgas.app.web.band.Band;
import smorgas.app.web.show.Shown;
import smorgas.app.web.show.Step;
import smorgas.app.work.Finding;
import smorgas.app.work.Missing;
import smorgas.app.work.OpenProject;
import smorgas.app.work.Outcome;
import smorgas.app.work.Snapshot;
import smorgas.app.work.Table;
import smorgas.app.work.Trays;
import smorgas.core.board.Ahead;
import smorgas.core.board.Board;
import smorgas.core.recipe.sift.Status;
import smorgas.core.text.Message;
import smorgas.core.text.Wording;

/** Puts the frame around a page. */
@Component
public class Frames {

    /**
     * Of more keywords a page does not wait for the groups, nor begin to look for them, which would keep a core from the
     * next act: its band asks for them once the page is there.
     */
    private static final int FEW_KEYWORDS = 2_000;

    /** Of fewer the groups are found while a page is waited for. */
    private static final int MANY_KEYWORDS = 20_000;

    /** How long a band waits for the groups before it is shown pending once more. */
    private static final long PATIENCE_MILLIS = 2_000;

    private final Projects projects;
    private final Table table;
    private final Trays trays;
    private final Wording wording;

    Frames(Projects projects, Table table, Trays trays, Wording wording) {
        this.projects = projects;
        this.table = table;
        this.trays = trays;
        this.wording = wording;
    }

    /** The words for what pages say. */
    public Wording wording() {
        return wording;
    }

    /**
     * The project, if it is one that can be worked on.
     *
     * @throws NoSuchElementException if there is none, or it is in the bin
     */
    public OpenProject open(long id) {
        Project project =
                projects.find(id).filter(p -> !p.binned()).orElseThrow(() -> new Missing("missing.project", id));
        return table.open(project.id());
    }

    /** What is stored of a project; it must exist. */
    public Project project(long id) {
        return projects.find(id).orElseThrow();
    }

    /** Adds the frame to a page's model as {@code frame}. */
    public Frame frame(Model model, long id, Snapshot snapshot, @Nullable Step step) {
        Board board = snapshot.board();
        boolean groups = step == Step.GROUP
                || step == Step.SERVE
                || board.groupsKnown()
                || step != Step.FOLD && board.statuses().remaining().cardinality() <= FEW_KEYWORDS;
        return frame(model, id, snapshot, step, groups ? Finding.FOUND : Finding.UNDER_WAY);
    }

    /**
     * The project for a page that is about its groups.
     *
     * @throws GroupsPending if those of very many keywords are still being found and will not be there soon, or cannot be
     */
    public OpenProject openWithGroups(long id, Step step) {
        OpenProject project = open(id);
        Board board = project.snapshot().board();
        if (!board.groupsKnown() && board.statuses().remaining().cardinality() > MANY_KEYWORDS) {
            table.findAnew(id);
            if (table.groupsWithin(id, board, PATIENCE_MILLIS / 2) != Finding.FOUND) {
                throw new GroupsPending(id, step);
            }
        }
        return project;
    }

    /**
     * What stands for a page about groups.
     *
     * @param keywords the number of keywords that are compared, as a page tells it
     * @param failed whether their groups could not be found
     * @param why in a sentence, if that can be said; else empty
     */
    record Waiting(Message keywords, boolean failed, String why) {}

    /** The page that stands for one about groups until they are there. */
    String waiting(GroupsPending pending, Model model) {
        waiting(model, pending.project(), pending.step(), 0);
        return "frame/waiting";
    }

    /** The same once more, after waiting for the groups. */
    public Finding stillWaiting(Model model, long id, Step step) {
        return waiting(model, id, step, PATIENCE_MILLIS);
    }

    private Finding waiting(Model model, long id, Step step, long millis) {
        Snapshot snapshot = open(id).snapshot();
        Finding finding = table.groupsWithin(id, snapshot.board(), millis);
        Message keywords = Message.of(
                "count.keywords", snapshot.board().statuses().remaining().cardinality());
        Shown.in(model, new Waiting(keywords, finding == Finding.FAILED, table.whyNotFound(id)));
        frame(model, id, snapshot, step, finding);
        return finding;
    }

    /** The frame whose band waits for the groups. */
    public Frame frameWithGroups(Model model, long id, Snapshot snapshot, @Nullable Step step) {
        return frame(model, id, snapshot, step, table.groupsWithin(id, snapshot.board(), PATIENCE_MILLIS));
    }

    private Frame frame(Model model, long id, Snapshot snapshot, @Nullable Step step, Finding groups) {
        Project project = projects.find(id).orElseThrow();
        Board board = snapshot.board();
        Object notice = model.getAttribute("notice");
        Frame frame = new Frame(
                project,
                projects.all().stream().filter(p -> !p.binned()).toList(),
                step,
                snapshot.version(),
                Band.draw("/projects/" + id, snapshot, groups),
                board.statuses().count(Status.UNDECIDED) < board.keywords().size(),
                board.keywords().simulated(),
                sentence(snapshot.history().undoable()),
                sentence(snapshot.history().redoable()),
                notice instanceof Message told ? told : snapshot.effect(),
                notice != null,
                NextLine.of("/projects/" + id + "/", Ahead.of(board), step),
                tray(model, id, snapshot));
        model.addAttribute("frame", frame);
        return frame;
    }

    private @Nullable TrayView tray(Model model, long id, Snapshot snapshot) {
        String tab = String.valueOf(model.getAttribute(Tabs.TAB));
        return tab.isEmpty()
                ? null
                : TrayView.of(id, trays.texts(id, tab), snapshot.board().keywords());
    }

    private static Message sentence(Optional<smorgas.core.recipe.History.Step> step) {
        return step.map(s -> s.entry().sentence()).orElse(Message.NONE);
    }

    /** Says a sentence in the place of what the last act did. */
    public static void say(Model model, Message sentence) {
        model.addAttribute("notice", sentence);
    }

    /** What the page after an act must be told: nothing if it was done, for the history tells that. */
    public static Optional<Message> notice(Outcome outcome) {
        return switch (outcome) {
            case Outcome.Done done -> Optional.empty();
            case Outcome.NoChange none -> Optional.of(none.sentence());
            case Outcome.Refused refused -> Optional.of(refused.sentence());
        };
    }
}

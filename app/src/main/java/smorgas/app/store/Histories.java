package smorgas.app.store;

import static smorgas.schema.Tables.ENTRY;
import static smorgas.schema.Tables.PROJECT;

import java.time.Clock;
import java.time.OffsetDateTime;
import java.util.ArrayList;
import java.util.List;
import org.jooq.DSLContext;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.annotation.Transactional;
import smorgas.core.recipe.Doer;
import smorgas.core.recipe.History;
import smorgas.core.text.Message;
import smorgas.core.text.Wording;

/** The history of each project. Rows are appended; of an old row only its state changes. */
@Repository
public class Histories {

    private static final int LONGEST_EFFECT = 2_000;

    private final DSLContext db;
    private final Clock clock;
    private final Tally tally;
    private final DiskSpace room;
    private final Wording wording;

    Histories(DSLContext db, Clock clock, Tally tally, DiskSpace room, Wording wording) {
        this.wording = wording;
        this.db = db;
        this.clock = clock;
        this.tally = tally;
        this.room = room;
    }

    /** The whole history of a project. */
    public History load(long project) {
        return load(db, project);
    }

    /** A history with the version of the project that it has come to. */
    public record Stored(long version, History history) {}

    /** Both as they stand at one moment. */
    @Transactional
    public Stored stored(long project) {
        // The version last: had an act come between, it would be newer, and the next act on it would be refused.
        History history = load(db, project);
        long version = db.select(PROJECT.VERSION)
                .from(PROJECT)
                .where(PROJECT.ID.eq(project))
                .fetchSingle()
                .value1();
        return new Stored(version, history);
    }

    static History load(DSLContext db, long project) {
        return new History(db.selectFrom(ENTRY)
                .where(ENTRY.PROJECT_ID.eq(project))
                .orderBy(ENTRY.SEQ)
                .fetch(row -> new History.Step(
                        row.getSeq(),
                        Json.entry(row.getKind(), row.getFormat(), row.getBody()),
                        History.State.valueOf(row.getState()),
                        row.getVersion())));
    }

    /**
     * What is told of an act.
     *
     * @param at when it was made
     * @param by who or what made it
     * @param effect what it changed then, in a sentence with figures; empty if nothing was told
     */
    public record Told(OffsetDateTime at, Doer by, String effect) {}

    /** What is told of each act, in order. */
    public List<Told> told(long project) {
        return told(db, project);
    }

    static List<Told> told(DSLContext db, long project) {
        return db.select(ENTRY.ACTED_AT, ENTRY.DONE_BY, ENTRY.DOER, ENTRY.EFFECT)
                .from(ENTRY)
                .where(ENTRY.PROJECT_ID.eq(project))
                .orderBy(ENTRY.SEQ)
                .fetch(row ->
                        new Told(row.value1(), new Doer(Doer.Kind.valueOf(row.value2()), row.value3()), row.value4()));
    }

    /**
     * Stores the step from one history to the next, durably, or throws and stores nothing.
     *
     * @param effect what it changed, in a sentence with figures, which is kept in the words of the time
     * @param version the version that the project had before; if it has another by now, nothing is stored
     * @throws IllegalStateException if the project is not at that version
     * @throws DiskSpace.None if the disk has no room
     */
    @Transactional
    public void advance(long project, long version, History before, History after, Message effect) {
        room.need(0);
        int moved = db.update(PROJECT)
                .set(PROJECT.VERSION, version + 1)
                .where(PROJECT.ID.eq(project).and(PROJECT.VERSION.eq(version)))
                .execute();
        if (moved != 1) {
            throw new IllegalStateException("project " + project + " is not at version " + version);
        }
        List<History.Step> old = before.steps();
        TallyMarks.OfProject mark = tally.project(project).at(version + 1);
        for (History.Step step : new ArrayList<>(after.steps())) {
            if (step.seq() > old.size()) {
                insert(
                        db,
                        project,
                        step,
                        new Told(OffsetDateTime.now(clock), step.entry().doneBy(), wording.of(effect)));
                mark = mark.and(step.entry());
            } else if (old.get((int) step.seq() - 1).state() != step.state()) {
                db.update(ENTRY)
                        .set(ENTRY.STATE, step.state().name())
                        .set(ENTRY.VERSION, step.version())
                        .where(ENTRY.PROJECT_ID.eq(project).and(ENTRY.SEQ.eq(step.seq())))
                        .execute();
            }
        }
        tally.tell(mark);
    }

    static void insert(DSLContext db, long project, History.Step step, Told told) {
        db.insertInto(ENTRY)
                .set(ENTRY.PROJECT_ID, project)
                .set(ENTRY.SEQ, step.seq())
                .set(ENTRY.KIND, Json.kind(step.entry()))
                .set(ENTRY.FORMAT, Json.format(step.entry()))
                .set(ENTRY.BODY, Json.body(step.entry()))
                .set(ENTRY.STATE, step.state().name())
                .set(ENTRY.VERSION, step.version())
                .set(ENTRY.ACTED_AT, told.at())
                .set(ENTRY.DONE_BY, told.by().kind().name())
                .set(ENTRY.DOER, told.by().name())
                .set(
                        ENTRY.EFFECT,
                        told.effect()
                                .substring(
                                        0,
                                        Math.min(LONGEST_EFFECT, told.effect().length())))
                .execute();
    }
}

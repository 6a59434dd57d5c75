package smorgas.app.store;

import static smorgas.schema.Tables.EXPORTED;

import java.time.Clock;
import java.time.OffsetDateTime;
import java.util.List;
import java.util.Optional;
import org.jooq.DSLContext;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.annotation.Transactional;
import smorgas.core.serve.PlanRecord;

/** Plans that were exported, as they were then. None is an act of the recipe; one that was taken away can be put back. */
@Repository
public class ExportedPlans {

    private final DSLContext db;
    private final Clock clock;
    private final DiskSpace room;

    ExportedPlans(DSLContext db, Clock clock, DiskSpace room) {
        this.db = db;
        this.clock = clock;
        this.room = room;
    }

    /**
     * One of them.
     *
     * @param point the place in the history of the last act before
     * @param rows how many rows of keywords it had
     * @param removed whether it was taken away
     */
    public record Exported(long id, String name, long point, int rows, boolean removed, OffsetDateTime at) {}

    /**
     * Keeps what a plan has in it now.
     *
     * @throws DiskSpace.None if the disk has no room
     */
    @Transactional
    public long keep(long project, String name, long point, PlanRecord plan) {
        return keep(new Exported(0, name, point, 0, false, OffsetDateTime.now(clock)), project, plan);
    }

    /** The same of one that was exported before, elsewhere; its number and its rows are found anew. */
    long keep(Exported one, long project, PlanRecord plan) {
        byte[] packed = plan.packed();
        room.need(packed.length);
        return db.insertInto(EXPORTED)
                .set(EXPORTED.PROJECT_ID, project)
                .set(EXPORTED.NAME, Bounded.text(one.name(), EXPORTED.NAME, "store.bounded.name-of-the-plan"))
                .set(EXPORTED.POINT, one.point())
                .set(EXPORTED.ROWS_COUNT, (int) plan.rows().stream()
                        .filter(row -> row.kind() == PlanRecord.Kind.KEYWORD)
                        .count())
                .set(EXPORTED.CONTENT, packed)
                .set(EXPORTED.REMOVED, one.removed())
                .set(EXPORTED.EXPORTED_AT, one.at())
                .returningResult(EXPORTED.ID)
                .fetchSingle()
                .value1();
    }

    /** Those of a project, the newest first, also those that were taken away. */
    public List<Exported> of(long project) {
        return db.select(
                        EXPORTED.ID,
                        EXPORTED.NAME,
                        EXPORTED.POINT,
                        EXPORTED.ROWS_COUNT,
                        EXPORTED.REMOVED,
                        EXPORTED.EXPORTED_AT)
                .from(EXPORTED)
                .where(EXPORTED.PROJECT_ID.eq(project))
                .orderBy(EXPORTED.ID.desc())
                .fetch(row -> new Exported(
                        row.value1(), row.value2(), row.value3(), row.value4(), row.value5(), row.value6()));
    }

    /** What one had in it. */
    public Optional<PlanRecord> plan(long project, long id) {
        return db.select(EXPORTED.CONTENT)
                .from(EXPORTED)
                .where(EXPORTED.PROJECT_ID.eq(project).and(EXPORTED.ID.eq(id)))
                .fetchOptional(EXPORTED.CONTENT)
                .map(PlanRecord::read);
    }

    /** Takes one away, or puts it back. */
    public void remove(long project, long id, boolean away) {
        db.update(EXPORTED)
                .set(EXPORTED.REMOVED, away)
                .where(EXPORTED.PROJECT_ID.eq(project).and(EXPORTED.ID.eq(id)))
                .execute();
    }
}

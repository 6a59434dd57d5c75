package smorgas.app.store;

import static smorgas.schema.Tables.SERVED;

import java.time.Clock;
import java.time.OffsetDateTime;
import java.util.List;
import java.util.Optional;
import org.jooq.DSLContext;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.annotation.Transactional;
import smorgas.core.serve.PlanRecord;

/** Plans that were served, as they were then. None is an act of the recipe; one that was taken away can be put back. */
@Repository
public class ServedPlans {

    private final DSLContext db;
    private final Clock clock;
    private final DiskSpace room;

    ServedPlans(DSLContext db, Clock clock, DiskSpace room) {
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
    public record Served(long id, String name, long point, int rows, boolean removed, OffsetDateTime at) {}

    /**
     * Keeps what a plan has in it now.
     *
     * @throws DiskSpace.None if the disk has no room
     */
    @Transactional
    public long keep(long project, String name, long point, PlanRecord plan) {
        return keep(new Served(0, name, point, 0, false, OffsetDateTime.now(clock)), project, plan);
    }

    /** The same of one that was served before, elsewhere; its number and its rows are found anew. */
    long keep(Served one, long project, PlanRecord plan) {
        byte[] packed = plan.packed();
        room.need(packed.length);
        return db.insertInto(SERVED)
                .set(SERVED.PROJECT_ID, project)
                .set(SERVED.NAME, Bounded.text(one.name(), SERVED.NAME, "store.bounded.name-of-the-plan"))
                .set(SERVED.POINT, one.point())
                .set(SERVED.ROWS_COUNT, (int) plan.rows().stream()
                        .filter(row -> row.kind() == PlanRecord.Kind.KEYWORD)
                        .count())
                .set(SERVED.CONTENT, packed)
                .set(SERVED.REMOVED, one.removed())
                .set(SERVED.SERVED_AT, one.at())
                .returningResult(SERVED.ID)
                .fetchSingle()
                .value1();
    }

    /** Those of a project, the newest first, also those that were taken away. */
    public List<Served> of(long project) {
        return db.select(SERVED.ID, SERVED.NAME, SERVED.POINT, SERVED.ROWS_COUNT, SERVED.REMOVED, SERVED.SERVED_AT)
                .from(SERVED)
                .where(SERVED.PROJECT_ID.eq(project))
                .orderBy(SERVED.ID.desc())
                .fetch(row ->
                        new Served(row.value1(), row.value2(), row.value3(), row.value4(), row.value5(), row.value6()));
    }

    /** What one had in it. */
    public Optional<PlanRecord> plan(long project, long id) {
        return db.select(SERVED.CONTENT)
                .from(SERVED)
                .where(SERVED.PROJECT_ID.eq(project).and(SERVED.ID.eq(id)))
                .fetchOptional(SERVED.CONTENT)
                .map(PlanRecord::read);
    }

    /** Takes one away, or puts it back. */
    public void remove(long project, long id, boolean away) {
        db.update(SERVED)
                .set(SERVED.REMOVED, away)
                .where(SERVED.PROJECT_ID.eq(project).and(SERVED.ID.eq(id)))
                .execute();
    }
}

package smorgas.app.store;

import static smorgas.schema.Tables.PLAN_LAYOUT;

import java.time.Clock;
import java.time.OffsetDateTime;
import java.util.List;
import java.util.Optional;
import org.jooq.DSLContext;
import org.jooq.impl.DSL;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.annotation.Transactional;
import smorgas.core.serve.PlanLayout;

/** The layouts of the ad plan in the pantry. Every version of one is kept, and so is one that was taken away. */
@Repository
public class Layouts {

    private final DSLContext db;
    private final Clock clock;
    private final DiskSpace room;
    private final OneAtATime oneAtATime;

    Layouts(DSLContext db, Clock clock, DiskSpace room, OneAtATime oneAtATime) {
        this.oneAtATime = oneAtATime;
        this.db = db;
        this.clock = clock;
        this.room = room;
    }

    /** The newest version of every layout that was not taken away, by name. */
    public List<PlanLayout> all() {
        return newest(false).stream().map(Json::layout).toList();
    }

    /** The names of those that were taken away. */
    public List<String> removed() {
        return newest(true).stream().map(Json::layout).map(PlanLayout::name).toList();
    }

    private List<String> newest(boolean removed) {
        var last = DSL.select(DSL.max(PLAN_LAYOUT.as("other").VERSION))
                .from(PLAN_LAYOUT.as("other"))
                .where(PLAN_LAYOUT.as("other").NAME.eq(PLAN_LAYOUT.NAME));
        return db.select(PLAN_LAYOUT.BODY)
                .from(PLAN_LAYOUT)
                .where(PLAN_LAYOUT.VERSION.eq(last))
                .and(PLAN_LAYOUT.REMOVED.eq(removed))
                .orderBy(PLAN_LAYOUT.NAME)
                .fetch(PLAN_LAYOUT.BODY);
    }

    /** The newest version of a layout that was not taken away. */
    public Optional<PlanLayout> find(String name) {
        return all().stream().filter(layout -> layout.name().equals(name)).findFirst();
    }

    /** Stores a layout as the newest version of its name, and puts it back if it was taken away. */
    public void save(PlanLayout layout) {
        Bounded.text(layout.name(), PLAN_LAYOUT.NAME, "store.bounded.name-of-the-layout");
        oneAtATime.make(() -> {
            saved(layout);
            return layout;
        });
    }

    private void saved(PlanLayout layout) {
        room.need(0);
        db.insertInto(PLAN_LAYOUT)
                .set(PLAN_LAYOUT.NAME, layout.name())
                .set(PLAN_LAYOUT.VERSION, version(layout.name()) + 1)
                .set(PLAN_LAYOUT.BODY, Json.pretty(layout))
                .set(PLAN_LAYOUT.SAVED_AT, OffsetDateTime.now(clock))
                .execute();
    }

    private int version(String name) {
        Integer known = db.select(DSL.max(PLAN_LAYOUT.VERSION))
                .from(PLAN_LAYOUT)
                .where(PLAN_LAYOUT.NAME.eq(name))
                .fetchOne(0, Integer.class);
        return known == null ? 0 : known;
    }

    /** Takes a layout away, or puts it back. */
    @Transactional
    public void remove(String name, boolean away) {
        db.update(PLAN_LAYOUT)
                .set(PLAN_LAYOUT.REMOVED, away)
                .where(PLAN_LAYOUT.NAME.eq(name))
                .execute();
    }
}

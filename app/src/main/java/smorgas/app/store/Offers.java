package smorgas.app.store;

import static smorgas.schema.Tables.OFFER;

import java.time.Clock;
import java.time.OffsetDateTime;
import java.util.List;
import java.util.Optional;
import org.jooq.DSLContext;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.annotation.Transactional;
import smorgas.core.recipe.gather.Asked;

/** What came when tools were asked again: it waits until somebody takes or leaves it. */
@Repository
public class Offers {

    private final DSLContext db;
    private final Clock clock;
    private final DiskSpace room;

    Offers(DSLContext db, Clock clock, DiskSpace room) {
        this.db = db;
        this.clock = clock;
        this.room = room;
    }

    /**
     * Something that waits.
     *
     * @param basket that it would renew, as it was when it was asked again
     * @param fresh the keywords that are new
     * @param at when it came
     * @param scheduled whether a schedule asked for it, not a hand
     */
    public record Offer(long id, long basket, Asked asked, List<String> fresh, OffsetDateTime at, boolean scheduled) {}

    /**
     * Keeps what came; what waited for the same basket before is left, since the newer one holds it too.
     *
     * @param fresh the keywords that are new in it, at least one
     * @param scheduled whether a schedule asked for it
     */
    @Transactional
    public long keep(long project, long basket, Asked asked, byte[] content, List<String> fresh, boolean scheduled) {
        room.need(content.length);
        db.update(OFFER)
                .set(OFFER.STATE, "LEFT")
                .where(OFFER.BASKET_ID.eq(basket))
                .and(OFFER.STATE.eq("WAITING"))
                .execute();
        return db.insertInto(OFFER)
                .set(OFFER.PROJECT_ID, project)
                .set(OFFER.BASKET_ID, basket)
                .set(OFFER.ASKED, Json.asked(asked))
                .set(OFFER.CONTENT, content)
                .set(OFFER.FRESH, String.join("\n", fresh))
                .set(OFFER.STATE, "WAITING")
                .set(OFFER.SCHEDULED, scheduled)
                .set(OFFER.MADE_AT, OffsetDateTime.now(clock))
                .returningResult(OFFER.ID)
                .fetchSingle()
                .value1();
    }

    /** Those of a project that wait, the oldest first. */
    public List<Offer> waiting(long project) {
        return db.select(OFFER.ID, OFFER.BASKET_ID, OFFER.ASKED, OFFER.FRESH, OFFER.MADE_AT, OFFER.SCHEDULED)
                .from(OFFER)
                .where(OFFER.PROJECT_ID.eq(project))
                .and(OFFER.STATE.eq("WAITING"))
                .orderBy(OFFER.ID)
                .fetch(row -> new Offer(
                        row.value1(),
                        row.value2(),
                        Json.asked(row.value3()),
                        row.value4().lines().toList(),
                        row.value5(),
                        row.value6()));
    }

    /** The list of one that waits. */
    public Optional<byte[]> content(long project, long offer) {
        return db.select(OFFER.CONTENT)
                .from(OFFER)
                .where(OFFER.PROJECT_ID.eq(project))
                .and(OFFER.ID.eq(offer))
                .and(OFFER.STATE.eq("WAITING"))
                .fetchOptional(OFFER.CONTENT);
    }

    /** Marks one as taken or left; false if it waits no more. */
    @Transactional
    public boolean adopt(long project, long offer, boolean taken) {
        return db.update(OFFER)
                        .set(OFFER.STATE, taken ? "TAKEN" : "LEFT")
                        .where(OFFER.PROJECT_ID.eq(project))
                        .and(OFFER.ID.eq(offer))
                        .and(OFFER.STATE.eq("WAITING"))
                        .execute()
                > 0;
    }
}

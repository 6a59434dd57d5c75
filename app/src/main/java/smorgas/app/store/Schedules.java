package smorgas.app.store;

import static smorgas.schema.Tables.ASKED_AGAIN;

import java.time.Instant;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Optional;
import org.jooq.DSLContext;
import org.jooq.Record6;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.annotation.Transactional;
import smorgas.core.source.Schedule;
import smorgas.core.text.Message;
import smorgas.core.text.Wording;

/** When baskets are asked again by themselves. */
@Repository
public class Schedules {

    private final DSLContext db;
    private final Wording wording;

    Schedules(DSLContext db, Wording wording) {
        this.wording = wording;
        this.db = db;
    }

    /**
     * A schedule of a basket.
     *
     * @param told what its last run came to; empty before the first
     */
    public record Kept(long project, long basket, Schedule schedule, String told) {}

    /** All of them, those that are due first before others. */
    public List<Kept> all() {
        return db.select(
                        ASKED_AGAIN.PROJECT_ID,
                        ASKED_AGAIN.BASKET_ID,
                        ASKED_AGAIN.EVERY_DAYS,
                        ASKED_AGAIN.TIMES_LEFT,
                        ASKED_AGAIN.DUE_AT,
                        ASKED_AGAIN.TOLD)
                .from(ASKED_AGAIN)
                .orderBy(ASKED_AGAIN.DUE_AT)
                .fetch(Schedules::kept);
    }

    private static Kept kept(Record6<Long, Long, Integer, Integer, java.time.OffsetDateTime, String> row) {
        return new Kept(
                row.value1(),
                row.value2(),
                new Schedule(row.value3(), row.value4(), row.value5().toInstant()),
                row.value6());
    }

    /** That of a basket, which is named by its first version. */
    public Optional<Kept> of(long basket) {
        return all().stream().filter(one -> one.basket() == basket).findFirst();
    }

    /** Sets that of a basket, or takes it away. */
    @Transactional
    public void set(long project, long basket, Optional<Schedule> wanted) {
        db.deleteFrom(ASKED_AGAIN).where(ASKED_AGAIN.BASKET_ID.eq(basket)).execute();
        wanted.ifPresent(schedule -> db.insertInto(ASKED_AGAIN)
                .set(ASKED_AGAIN.PROJECT_ID, project)
                .set(ASKED_AGAIN.BASKET_ID, basket)
                .set(ASKED_AGAIN.EVERY_DAYS, schedule.everyDays())
                .set(ASKED_AGAIN.TIMES_LEFT, schedule.timesLeft())
                .set(ASKED_AGAIN.DUE_AT, schedule.due().atOffset(ZoneOffset.UTC))
                .set(ASKED_AGAIN.TOLD, "")
                .execute());
    }

    /**
     * Moves one on before it runs.
     *
     * @return false if somebody else has moved it meanwhile, and then it must not run
     */
    @Transactional
    public boolean moveOn(Kept kept, Instant now) {
        Schedule next = kept.schedule().ran(now);
        return db.update(ASKED_AGAIN)
                        .set(ASKED_AGAIN.TIMES_LEFT, next.timesLeft())
                        .set(ASKED_AGAIN.DUE_AT, next.due().atOffset(ZoneOffset.UTC))
                        .where(ASKED_AGAIN.BASKET_ID.eq(kept.basket()))
                        .and(ASKED_AGAIN.DUE_AT.eq(kept.schedule().due().atOffset(ZoneOffset.UTC)))
                        .and(ASKED_AGAIN.TIMES_LEFT.eq(kept.schedule().timesLeft()))
                        .execute()
                == 1;
    }

    /** Writes down what a run came to. */
    @Transactional
    public void tell(long basket, Message told) {
        String words = wording.of(told);
        db.update(ASKED_AGAIN)
                .set(ASKED_AGAIN.TOLD, words.substring(0, Math.min(1_000, words.length())))
                .where(ASKED_AGAIN.BASKET_ID.eq(basket))
                .execute();
    }
}

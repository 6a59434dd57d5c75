package smorgas.app.store;

import static smorgas.schema.Tables.BASKET;
import static smorgas.schema.Tables.EXPORTED;
import static smorgas.schema.Tables.PROJECT;

import java.math.BigDecimal;
import java.time.Clock;
import java.time.OffsetDateTime;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import org.jooq.Condition;
import org.jooq.DSLContext;
import org.jooq.Field;
import org.jooq.Record;
import org.jooq.Table;
import org.jooq.TableField;
import org.jooq.impl.DSL;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.annotation.Transactional;
import smorgas.core.recipe.BasketEntry;
import smorgas.core.recipe.Entry;
import smorgas.core.recipe.History;
import smorgas.core.recipe.Rules;
import smorgas.schema.tables.records.ProjectRecord;

/** The projects. */
@Repository
public class Projects {

    private final DSLContext db;
    private final Clock clock;
    private final Tally tally;
    private final DiskSpace room;

    Projects(DSLContext db, Clock clock, Tally tally, DiskSpace room) {
        this.db = db;
        this.clock = clock;
        this.tally = tally;
        this.room = room;
    }

    /** All projects, binned ones too, the one opened last first. */
    public List<Project> all() {
        return db.selectFrom(PROJECT)
                .orderBy(PROJECT.OPENED_AT.desc(), PROJECT.ID.desc())
                .fetch(Projects::project);
    }

    public Optional<Project> find(long id) {
        return db.selectFrom(PROJECT).where(PROJECT.ID.eq(id)).fetchOptional(Projects::project);
    }

    /** Makes a project and returns its number. */
    @Transactional
    public long create(String name, String language, String market, String currency) {
        room.need(0);
        OffsetDateTime now = OffsetDateTime.now(clock);
        long project = db.insertInto(PROJECT)
                .set(PROJECT.NAME, Bounded.text(name, PROJECT.NAME, "store.bounded.name-of-the-project"))
                .set(PROJECT.LANGUAGE, Bounded.text(language, PROJECT.LANGUAGE, "store.bounded.language"))
                .set(PROJECT.MARKET, Bounded.text(market, PROJECT.MARKET, "store.bounded.market"))
                .set(PROJECT.CURRENCY, Bounded.text(currency, PROJECT.CURRENCY, "store.bounded.currency"))
                .set(PROJECT.RULES, Rules.NEWEST.number())
                .set(PROJECT.CREATED_AT, now)
                .set(PROJECT.OPENED_AT, now)
                .returning(PROJECT.ID)
                .fetchSingle(PROJECT.ID);
        tally.tell(new TallyMarks.OfProject(project, 0, 0, ""));
        return project;
    }

    public void rename(long id, String name) {
        db.update(PROJECT)
                .set(PROJECT.NAME, Bounded.text(name, PROJECT.NAME, "store.bounded.name-of-the-project"))
                .where(PROJECT.ID.eq(id))
                .execute();
    }

    /** Puts right what a project is about. */
    public void about(long id, String name, String language, String market, String currency) {
        db.update(PROJECT)
                .set(PROJECT.NAME, Bounded.text(name, PROJECT.NAME, "store.bounded.name-of-the-project"))
                .set(PROJECT.LANGUAGE, Bounded.text(language, PROJECT.LANGUAGE, "store.bounded.language"))
                .set(PROJECT.MARKET, Bounded.text(market, PROJECT.MARKET, "store.bounded.market"))
                .set(PROJECT.CURRENCY, Bounded.text(currency, PROJECT.CURRENCY, "store.bounded.currency"))
                .where(PROJECT.ID.eq(id))
                .execute();
    }

    /** Notes that the project is worked on now, which puts it first in the list. */
    public void opened(long id) {
        db.update(PROJECT)
                .set(PROJECT.OPENED_AT, OffsetDateTime.now(clock))
                .where(PROJECT.ID.eq(id))
                .execute();
    }

    public void bin(long id) {
        db.update(PROJECT)
                .set(PROJECT.BINNED_AT, OffsetDateTime.now(clock))
                .where(PROJECT.ID.eq(id))
                .execute();
    }

    public void restore(long id) {
        db.update(PROJECT).setNull(PROJECT.BINNED_AT).where(PROJECT.ID.eq(id)).execute();
    }

    /** Really deletes every project in the bin, with its baskets and history; returns how many there were. */
    @Transactional
    public int emptyBin() {
        List<Long> binned = db.select(PROJECT.ID)
                .from(PROJECT)
                .where(PROJECT.BINNED_AT.isNotNull())
                .fetch(PROJECT.ID);
        // Before they go: a database that has more than must be there is right, one that has less is not.
        tally.without(binned);
        return db.deleteFrom(PROJECT).where(PROJECT.ID.in(binned)).execute();
    }

    /** Copies a project with its baskets, its whole history and the plans that were exported, and returns the copy's number. */
    @Transactional
    public long copy(long id, String name) {
        Project original = find(id).orElseThrow();
        room.need(db.select(DSL.coalesce(DSL.sum(BASKET.SIZE_BYTES), BigDecimal.ZERO))
                        .from(BASKET)
                        .where(BASKET.PROJECT_ID.eq(id))
                        .fetchSingle()
                        .value1()
                        .longValue()
                * 3);
        long copy = create(name, original.language(), original.market(), original.currency());
        Map<Long, Long> baskets = copyBaskets(id, copy);
        copyHistory(original, copy, baskets);
        copyRows(
                EXPORTED.PROJECT_ID,
                copy,
                EXPORTED.PROJECT_ID.eq(id),
                EXPORTED.ID,
                List.of(
                        EXPORTED.NAME,
                        EXPORTED.POINT,
                        EXPORTED.ROWS_COUNT,
                        EXPORTED.CONTENT,
                        EXPORTED.REMOVED,
                        EXPORTED.EXPORTED_AT));
        db.select(BASKET.ID, BASKET.SIZE_BYTES, BASKET.FINGERPRINT)
                .from(BASKET)
                .where(BASKET.PROJECT_ID.eq(copy).and(BASKET.READING.isNotNull()))
                .forEach(row -> tally.tell(new TallyMarks.OfBasket(
                        row.value1(), copy, row.value2(), row.value3() == null ? "" : row.value3())));
        return copy;
    }

    private void copyHistory(Project original, long copy, Map<Long, Long> baskets) {
        History history = Histories.load(db, original.id());
        TallyMarks.OfProject mark = new TallyMarks.OfProject(copy, original.version(), 0, "");
        List<Histories.Told> told = Histories.told(db, original.id());
        for (History.Step step : history.steps()) {
            Entry entry =
                    step.entry() instanceof BasketEntry ofBasket ? ofBasket.renumbered(baskets::get) : step.entry();
            Histories.insert(
                    db,
                    copy,
                    new History.Step(step.seq(), entry, step.state(), step.version()),
                    told.get((int) step.seq() - 1));
            mark = mark.and(entry);
        }
        db.update(PROJECT)
                .set(PROJECT.VERSION, original.version())
                .where(PROJECT.ID.eq(copy))
                .execute();
        tally.tell(mark);
    }

    private Map<Long, Long> copyBaskets(long from, long to) {
        Map<Long, Long> copies = new HashMap<>();
        for (Long basket : db.select(BASKET.ID)
                .from(BASKET)
                .where(BASKET.PROJECT_ID.eq(from))
                .orderBy(BASKET.ID)
                .fetch(BASKET.ID)) {
            copyRows(
                    BASKET.PROJECT_ID,
                    to,
                    BASKET.ID.eq(basket),
                    BASKET.ID,
                    List.of(
                            BASKET.NAME,
                            BASKET.CONTENT,
                            BASKET.SIZE_BYTES,
                            BASKET.READING,
                            BASKET.READ_AS,
                            BASKET.FINGERPRINT,
                            BASKET.GATHERED_AT));
            long copy = db.select(DSL.max(BASKET.ID))
                    .from(BASKET)
                    .where(BASKET.PROJECT_ID.eq(to))
                    .fetchSingle()
                    .value1();
            new LineBlocks(db).copy(basket, copy);
            copies.put(basket, copy);
        }
        return copies;
    }

    /** Gives another project its own of some rows, in their order: what these fields hold. */
    private <R extends Record> void copyRows(
            TableField<R, Long> project, long to, Condition which, Field<?> order, List<Field<?>> told) {
        List<Field<?>> fields = new ArrayList<>(List.of(project));
        fields.addAll(told);
        List<Field<?>> values = new ArrayList<>(List.of(DSL.inline(to)));
        values.addAll(told);
        Table<R> table = Objects.requireNonNull(project.getTable());
        db.insertInto(table, fields)
                .select(DSL.select(values).from(table).where(which).orderBy(order))
                .execute();
    }

    private static Project project(ProjectRecord row) {
        return new Project(
                row.getId(),
                row.getName(),
                row.getLanguage(),
                row.getMarket(),
                row.getCurrency(),
                row.getRules(),
                row.getVersion(),
                row.getOpenedAt(),
                row.getBinnedAt());
    }
}

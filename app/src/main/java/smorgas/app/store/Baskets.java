package smorgas.app.store;

import static smorgas.schema.Tables.BASKET;

import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.time.Clock;
import java.time.OffsetDateTime;
import java.util.HexFormat;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.jooq.DSLContext;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.annotation.Transactional;
import smorgas.core.figure.Decimals;
import smorgas.core.gather.BasketReader;
import smorgas.core.gather.Interpreter;
import smorgas.core.gather.Lines;
import smorgas.core.gather.RawList;
import smorgas.core.gather.Reading;
import smorgas.core.recipe.gather.ReadAs;

/**
 * Baskets: the bytes as they came, their reading, and the lines of that reading. Lines are stored before they are
 * interpreted.
 */
@Repository
public class Baskets {

    private final DSLContext db;
    private final LineBlocks blocks;
    private final Clock clock;
    private final Tally tally;
    private final DiskSpace room;

    Baskets(DSLContext db, Clock clock, Tally tally, DiskSpace room) {
        this.tally = tally;
        this.room = room;
        this.db = db;
        this.blocks = new LineBlocks(db);
        this.clock = clock;
    }

    /** A basket without its lines; {@code readAs} is how the stored lines were read. */
    public record Basket(long id, String name, Reading reading, ReadAs readAs, OffsetDateTime gatheredAt, long bytes) {}

    /**
     * What became of a list: basket and lines are empty if nothing in it could be read, and then nothing is stored.
     *
     * @param lines what {@link #lines} would read back
     */
    public record Stored(Optional<Long> basket, Reading reading, Optional<Lines> lines) {}

    /** Reads a list and stores it whole, or stores nothing. It is in no project before an entry says so. */
    @Transactional
    public Stored store(long project, String name, byte[] bytes) {
        return store(project, RawList.of(name, bytes), Watch.NONE);
    }

    /**
     * Reads a list and stores it whole, or stores nothing.
     *
     * @param watch when it throws {@link smorgas.core.gather.ReadingStopped} nothing is stored and that passes on
     */
    @Transactional
    public Stored store(long project, RawList list, Watch watch) {
        byte[] bytes = list.bytes();
        // The bytes as they came, and the lines of their reading.
        room.need(bytes.length * 3L);
        String fingerprint = fingerprint(bytes);
        long basket = db.insertInto(BASKET)
                .set(BASKET.PROJECT_ID, project)
                .set(BASKET.NAME, Bounded.text(list.name(), BASKET.NAME, "store.bounded.name-of-the-list"))
                .set(BASKET.CONTENT, bytes)
                .set(BASKET.SIZE_BYTES, (long) bytes.length)
                .set(BASKET.FINGERPRINT, fingerprint)
                .set(BASKET.GATHERED_AT, OffsetDateTime.now(clock))
                .returning(BASKET.ID)
                .fetchSingle(BASKET.ID);
        BasketReader.Read read = write(basket, list, watch);
        Reading reading = read.reading();
        watch.keeping();
        if (reading.refused()) {
            db.deleteFrom(BASKET).where(BASKET.ID.eq(basket)).execute();
            return new Stored(Optional.empty(), reading, Optional.empty());
        }
        db.update(BASKET)
                .set(BASKET.READING, Json.reading(reading))
                .set(BASKET.READ_AS, list.readAs().equals(ReadAs.FOUND) ? null : Json.readAs(list.readAs()))
                .where(BASKET.ID.eq(basket))
                .execute();
        tally.tell(new TallyMarks.OfBasket(basket, project, bytes.length, fingerprint));
        return new Stored(Optional.of(basket), reading, read.lines());
    }

    private BasketReader.Read write(long basket, RawList list, Watch watch) {
        LineBlocks.Writer lines = blocks.replace(basket, watch::rows);
        BasketReader.Read read = BasketReader.lines(basket, list, watch, lines);
        lines.finish();
        return read;
    }

    private static String fingerprint(byte[] bytes) {
        try {
            return HexFormat.of().formatHex(MessageDigest.getInstance("SHA-256").digest(bytes));
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException("every JDK has SHA-256", e);
        }
    }

    /** The baskets of a project that hold the very same bytes. */
    public List<Long> withSameBytes(long project, byte[] bytes) {
        return db.select(BASKET.ID)
                .from(BASKET)
                .where(BASKET.PROJECT_ID.eq(project).and(BASKET.FINGERPRINT.eq(fingerprint(bytes))))
                .orderBy(BASKET.ID)
                .fetch(BASKET.ID);
    }

    /**
     * The basket as it is when its bytes are read in this way. If its lines were read otherwise they are read anew from
     * the bytes and replaced.
     */
    @Transactional
    public Basket readAs(Basket basket, ReadAs wanted) {
        if (basket.readAs().equals(wanted)) {
            return basket;
        }
        Reading reading = writeAgain(basket, wanted, Decimals.POINT).reading();
        db.update(BASKET)
                .set(BASKET.READING, Json.reading(reading))
                .set(BASKET.READ_AS, Json.readAs(wanted))
                .where(BASKET.ID.eq(basket.id()))
                .execute();
        return new Basket(basket.id(), basket.name(), reading, wanted, basket.gatheredAt(), basket.bytes());
    }

    private BasketReader.Read writeAgain(Basket basket, ReadAs wanted, Decimals decimals) {
        byte[] bytes = db.select(BASKET.CONTENT)
                .from(BASKET)
                .where(BASKET.ID.eq(basket.id()))
                .fetchSingle(BASKET.CONTENT);
        return write(basket.id(), new RawList(basket.name(), bytes, wanted, decimals), Watch.NONE);
    }

    /** The cells of one line as they stand in the file; empty if there is no such line. */
    public List<String> cells(long basket, int lineNumber) {
        return cells(basket, Set.of(lineNumber)).getOrDefault(lineNumber, List.of());
    }

    /** The cells of these lines as they stand in the file, by line; lines that the basket does not have are left out. */
    public Map<Integer, List<String>> cells(long basket, Set<Integer> lineNumbers) {
        return blocks.cells(basket, lineNumbers);
    }

    /** The baskets of a project, removed ones too, in the order they came. */
    public List<Basket> of(long project) {
        return db.select(BASKET.ID, BASKET.NAME, BASKET.READING, BASKET.READ_AS, BASKET.GATHERED_AT, BASKET.SIZE_BYTES)
                .from(BASKET)
                .where(BASKET.PROJECT_ID.eq(project))
                .orderBy(BASKET.ID)
                .fetch(row -> new Basket(
                        row.value1(),
                        row.value2(),
                        Json.reading(row.value3()).orElseGet(() -> readAgain(row.value1(), row.value2(), row.value4())),
                        Json.readAs(row.value4()),
                        row.value5(),
                        row.value6()));
    }

    /** A reading whose note is damaged follows from the bytes once more. */
    private Reading readAgain(long basket, String name, @Nullable String readAs) {
        byte[] bytes = db.select(BASKET.CONTENT)
                .from(BASKET)
                .where(BASKET.ID.eq(basket))
                .fetchSingle(BASKET.CONTENT);
        return BasketReader.read(name, bytes, Json.readAs(readAs), (line, cells) -> {});
    }

    /**
     * The lines of a basket, interpreted by its reading.
     *
     * @param decimals how a number is meant that can be read in two ways
     */
    @Transactional
    public Lines lines(Basket basket, Decimals decimals) {
        if (!blocks.has(basket.id())) {
            // Stored by a version that kept lines otherwise; or a list without a line, which costs nothing.
            return writeAgain(basket, basket.readAs(), decimals).lines().orElseThrow();
        }
        Interpreter interpreter = new Interpreter(basket.id(), basket.name(), basket.reading(), decimals);
        blocks.forEach(basket.id(), interpreter);
        return interpreter.lines(basket.reading());
    }

    /** How many lines all lists of a project have, those taken away too; it looks at none of them. */
    public long linesAtMost(long project) {
        return blocks.linesAtMost(project);
    }

    /** The bytes as they came. */
    public Optional<byte[]> bytes(long project, long basket) {
        return db.select(BASKET.CONTENT)
                .from(BASKET)
                .where(BASKET.ID.eq(basket).and(BASKET.PROJECT_ID.eq(project)))
                .fetchOptional(BASKET.CONTENT);
    }
}

package smorgas.app.store;

import static smorgas.schema.Tables.REMOVED_LIST;
import static smorgas.schema.Tables.WORD_LIST;

import java.time.Clock;
import java.time.OffsetDateTime;
import java.util.List;
import java.util.Optional;
import org.jooq.DSLContext;
import org.jooq.Record;
import org.jooq.impl.DSL;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.annotation.Transactional;
import smorgas.core.recipe.sift.WordList;

/** The word lists that projects share. Every version of a list is kept, and so is a list that was taken away. */
@Repository
public class Pantry {

    private final DSLContext db;
    private final Clock clock;
    private final Tally tally;
    private final DiskSpace room;
    private final OneAtATime oneAtATime;

    Pantry(DSLContext db, Clock clock, Tally tally, DiskSpace room, OneAtATime oneAtATime) {
        this.oneAtATime = oneAtATime;
        this.db = db;
        this.clock = clock;
        this.tally = tally;
        this.room = room;
    }

    /** The newest version of every list that was not taken away, by name. */
    public List<WordList> all() {
        var newest = DSL.select(DSL.max(WORD_LIST.as("other").VERSION))
                .from(WORD_LIST.as("other"))
                .where(WORD_LIST.as("other").NAME.eq(WORD_LIST.NAME));
        return db.selectFrom(WORD_LIST)
                .where(WORD_LIST.VERSION.eq(newest))
                .and(WORD_LIST.NAME.notIn(DSL.select(REMOVED_LIST.NAME).from(REMOVED_LIST)))
                .orderBy(WORD_LIST.NAME)
                .fetch(Pantry::list);
    }

    /** The newest version of a list, whether it was taken away or not. */
    public Optional<WordList> find(String name) {
        return versions(name).stream().findFirst();
    }

    /** All versions of a list, the newest first. */
    public List<WordList> versions(String name) {
        return db.selectFrom(WORD_LIST)
                .where(WORD_LIST.NAME.eq(name))
                .orderBy(WORD_LIST.VERSION.desc())
                .fetch(Pantry::list);
    }

    /** The names of lists that were taken away. */
    public List<String> removed() {
        return db.select(REMOVED_LIST.NAME)
                .from(REMOVED_LIST)
                .orderBy(REMOVED_LIST.NAME)
                .fetch(REMOVED_LIST.NAME);
    }

    /**
     * Stores a list as the newest version of its name, and puts it back if it was taken away.
     *
     * @return what is stored now: the version before if the list says the same as that
     */
    public WordList save(WordList list) {
        Bounded.text(list.name(), WORD_LIST.NAME, "store.bounded.name-of-the-list");
        Bounded.text(list.language(), WORD_LIST.LANGUAGE, "store.bounded.language");
        // Of two that are saved at once, the later one is a newer version of the other.
        return oneAtATime.make(() -> saved(list));
    }

    private WordList saved(WordList list) {
        room.need(0);
        db.deleteFrom(REMOVED_LIST).where(REMOVED_LIST.NAME.eq(list.name())).execute();
        Optional<WordList> before = find(list.name());
        if (before.isPresent() && before.get().same(list)) {
            return before.get();
        }
        int version = before.map(WordList::version).orElse(0) + 1;
        WordList next = new WordList(list.name(), list.language(), list.kind(), version, list.words());
        String words = String.join("\n", next.words());
        db.insertInto(WORD_LIST)
                .set(WORD_LIST.NAME, next.name())
                .set(WORD_LIST.VERSION, version)
                .set(WORD_LIST.LANGUAGE, next.language())
                .set(WORD_LIST.KIND, next.kind().name())
                .set(WORD_LIST.WORDS, words)
                .set(WORD_LIST.SAVED_AT, OffsetDateTime.now(clock))
                .execute();
        tally.tell(TallyMarks.OfList.of(next.name(), version, words));
        return next;
    }

    /** Stores a list that ships with the application, unless there is or was one of its name. */
    @Transactional
    public void ship(WordList list) {
        if (find(list.name()).isEmpty()) {
            save(list);
        }
    }

    /** Takes a list away; projects keep what they have taken of it. */
    @Transactional
    public void remove(String name) {
        if (find(name).isPresent() && !removed().contains(name)) {
            db.insertInto(REMOVED_LIST).set(REMOVED_LIST.NAME, name).execute();
        }
    }

    /** Puts a list back that was taken away. */
    public void restore(String name) {
        db.deleteFrom(REMOVED_LIST).where(REMOVED_LIST.NAME.eq(name)).execute();
    }

    private static WordList list(Record row) {
        String words = row.get(WORD_LIST.WORDS);
        return new WordList(
                row.get(WORD_LIST.NAME),
                row.get(WORD_LIST.LANGUAGE),
                WordList.Kind.valueOf(row.get(WORD_LIST.KIND)),
                row.get(WORD_LIST.VERSION),
                words.isEmpty() ? List.of() : words.lines().toList());
    }
}

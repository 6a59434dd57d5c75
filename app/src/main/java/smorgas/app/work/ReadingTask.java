package smorgas.app.work;

import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalLong;
import java.util.function.LongSupplier;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import smorgas.app.store.Watch;
import smorgas.core.gather.ReadingStopped;
import smorgas.core.text.Message;

/**
 * One list on its way into a project. Stopped, it is over at once, whatever its reader is in the middle of: that notices at
 * its next row, and what it has stored goes with its transaction.
 */
public final class ReadingTask extends BackgroundTask implements Watch {

    private static final Logger LOG = LoggerFactory.getLogger(ReadingTask.class);

    /** No list that is one takes so long. */
    private static final Duration LONGEST = Duration.ofMinutes(10);

    /** So long a reading waits for memory. */
    private static final long PATIENCE_MILLIS = 60_000;

    /** How a reading stands. */
    public enum State {
        WAITING,
        READING,
        /** Read, and past the moment in which it could be stopped. */
        KEEPING,
        DONE,
        REFUSED,
        STOPPED,
        FAILED
    }

    private final long size;
    private final Memory memory;
    private final Table table;
    private final LongSupplier nanos;
    /** What is needed to read it; nothing once it is over. */
    private volatile @Nullable Wanted wanted;

    /** Bytes that are claimed for it, and the claims beyond the first; only its reader knows them. */
    private long claimed;

    private final List<Memory.Claim> further = new ArrayList<>();

    private volatile State state = State.WAITING;
    private volatile long begun;
    private volatile long rows;
    private OptionalLong firstTold = OptionalLong.empty();

    private record Wanted(OpenProject project, Offered list) {}

    ReadingTask(OpenProject project, Offered list, Memory memory, Table table, LongSupplier nanos) {
        super(project.id(), list.name());
        this.table = table;
        this.size = list.bytes().length;
        this.wanted = new Wanted(project, list);
        this.memory = memory;
        this.nanos = nanos;
    }

    public State state() {
        return state;
    }

    public long bytes() {
        return size;
    }

    /** Rows stored so far. */
    public long rows() {
        return rows;
    }

    @Override
    public List<Message> told() {
        return List.of(Message.of("work.reading-task.rows", rows));
    }

    /** When it was told first that this is over; empty if it is now. */
    synchronized OptionalLong firstTold(long now) {
        OptionalLong before = firstTold;
        firstTold = OptionalLong.of(before.orElse(now));
        return before;
    }

    /** Ends it, unless it is over already or about to be kept. */
    @Override
    synchronized void stop() {
        if (state == State.WAITING || state == State.READING) {
            end(State.STOPPED, Message.of("work.reading-task.stopped-nothing-gathered", name()));
        }
    }

    private synchronized boolean begin() {
        if (state != State.WAITING) {
            return false;
        }
        state = State.READING;
        begun = nanos.getAsLong();
        return true;
    }

    private synchronized void end(State how, Message told) {
        end(how, 0, told);
    }

    private synchronized void end(State how, long made, Message told) {
        if (pending()) {
            state = how;
            came(made, told);
            wanted = null;
            release();
        }
    }

    /** Reads it; the project stays in memory meanwhile. */
    @SuppressWarnings("try") // it is held, not named
    @Override
    void run() {
        Wanted list = wanted;
        if (list == null || !begin()) {
            return;
        }
        claimed = Memory.reading(list.list().bytes());
        try (Table.Visiting visit = table.visit();
                Memory.Claim claim = memory.claim(
                        Message.of("work.reading-task.with-the-project", name()), claimed, PATIENCE_MILLIS)) {
            table.open(project());
            OpenProject.Gathered gathered = list.project().gather(list.list(), this);
            long basket = gathered.basket().orElse(0L);
            boolean told = gathered.outcome() instanceof Outcome.Refused;
            end(
                    basket == 0 ? State.REFUSED : State.DONE,
                    basket,
                    told ? gathered.outcome().sentence() : Message.NONE);
        } catch (Memory.TooLittle e) {
            end(State.REFUSED, Message.of("work.reading-task.was-not-gathered", name(), e.sentence()));
        } catch (ReadingStopped e) {
            // Stopped by hand it is over already.
            end(State.REFUSED, Message.of("work.reading-task.was-not-gathered", name(), e.why()));
        } catch (RuntimeException | StackOverflowError e) {
            LOG.error("{} was not gathered", name(), e);
            end(State.FAILED, Message.of("work.reading-task.gathered-could-stored-check", name()));
        } finally {
            further.forEach(Memory.Claim::close);
            end(State.FAILED, Message.of("work.reading-task.gathered-smorgas-ran-out", name()));
        }
    }

    @Override
    public void check() {
        if (state == State.STOPPED) {
            throw new ReadingStopped();
        }
        if (nanos.getAsLong() - begun > LONGEST.toNanos()) {
            throw new ReadingStopped(Message.of("work.reading-task.still-being-read-after", LONGEST.toMinutes()));
        }
    }

    @Override
    public void rows(long stored) {
        rows = stored;
        check();
        long more = Memory.project(stored, stored);
        if (more > claimed) {
            // Packed, the list has more lines than its bytes tell.
            try {
                long wanted = more + more / 4;
                further.add(memory.claim(
                        Message.of("work.reading-task.with-the-project", name()), wanted - claimed, PATIENCE_MILLIS));
                claimed = wanted;
            } catch (Memory.TooLittle e) {
                throw new ReadingStopped(e.sentence());
            }
        }
    }

    @Override
    public synchronized void keeping() {
        check();
        state = State.KEEPING;
    }
}

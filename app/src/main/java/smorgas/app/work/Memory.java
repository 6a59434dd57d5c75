package smorgas.app.work;

import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.TimeUnit;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.stereotype.Component;
import smorgas.app.store.GivenMemory;
import smorgas.core.group.engine.MemoryLimit;
import smorgas.core.text.Message;

/**
 * The one budget of memory of the whole server. What is held (projects with their boards) is weighed; what is about to be held is
 * claimed first: for that, what was not used for longest is let go, and if that is not enough it waits, or is refused with a
 * sentence before it is held. Nothing else in the application asks how much memory there is.
 */
@Component
public class Memory {

    /** Bytes that a line takes with its spelling and with the work on it; measured with {@code bench memory}. */
    static final long A_LINE = 250;

    /** Bytes that a keyword takes with its words, groups and the pages over it; measured with {@code bench memory}. */
    static final long A_KEYWORD = 380;

    /** Bytes of a list while it is read: the bytes, their text, and rows of it. */
    private static final long TIMES_A_LIST = 4;

    /** Bytes of a line of a list as people gather them; measured with {@code bench memory}. */
    private static final long A_LINE_OF_A_LIST = 30;

    /** Bytes of the application without any list. */
    static final long OF_ALL_ELSE = 150L << 20;

    /** Of what is left, this share can be held; the rest is for what is made and thrown away. */
    private static final double SHARE = .85;

    /** Less is not worth a look at the heap. */
    private static final long LARGE = 16L << 20;

    /** So much of the heap can be used; fuller it is collected all the time. */
    private static final double FULL = .88;

    private static final long WAIT_MILLIS = 1_000;

    /** What holds memory and can let go of it. */
    interface Holder {

        /** Bytes that it holds. */
        long held();

        /** Lets go of what was not used for longest; false if nothing can be let go now. */
        boolean letGo();
    }

    /** Memory that is claimed for a while. */
    public interface Claim extends AutoCloseable {
        @Override
        void close();
    }

    /** Told when there is too little memory for what somebody wants; the sentence says what to do. */
    public static final class TooLittle extends RuntimeException {
        private static final long serialVersionUID = 1;

        private final transient Message sentence;
        private final boolean passing;

        TooLittle(Message sentence, boolean passing) {
            super(sentence.key(), null, false, false);
            this.sentence = sentence;
            this.passing = passing;
        }

        /** What people are told, a sentence or two. */
        public Message sentence() {
            return sentence;
        }

        @Override
        public String getMessage() {
            return sentence.toString();
        }

        /** Whether it may be enough in a moment, when others have done. */
        public boolean passing() {
            return passing;
        }
    }

    private final GivenMemory all;
    private final boolean ofThisRun;
    private final long room;
    private final List<Holder> holders = new ArrayList<>();
    private long claimed;

    /** With the memory that Java was given. */
    @Autowired
    public Memory() {
        this(GivenMemory.ofThisRun(), true);
    }

    /** With so much, whatever this run has; its heap is not looked at. */
    Memory(long all) {
        this(new GivenMemory(all), false);
    }

    private Memory(GivenMemory given, boolean ofThisRun) {
        this.all = given;
        this.ofThisRun = ofThisRun;
        this.room = Math.max(8L << 20, (long) ((given.bytes() - OF_ALL_ELSE) * SHARE));
    }

    /** What may be taken to find out how alike keywords are. */
    public MemoryLimit forSimilarity() {
        return new MemoryLimit(all.forSimilarity());
    }

    /** How much the lists packed in one file may have together: what is set, or less where that would not fit. */
    public long mostUnpacked(long set) {
        return all.mostUnpacked(set);
    }

    /** Bytes that lines and keywords of a project take. */
    static long project(long lines, long keywords) {
        return lines * A_LINE + keywords * A_KEYWORD;
    }

    /** Bytes that reading a list takes at the most demanding moment, with what its lines come to in a project. */
    static long reading(byte[] list) {
        // Packed, it does not tell how many lines it has; those are counted as they come.
        boolean packed = list.length > 1 && list[0] == 'P' && list[1] == 'K';
        long lines = 0;
        for (int i = 0; !packed && i < list.length; i++) {
            lines += list[i] == '\n' ? 1 : 0;
        }
        return TIMES_A_LIST * list.length + project(lines, lines);
    }

    /** The same of a list of so many bytes that nobody has looked at. */
    public static long reading(long bytes) {
        return TIMES_A_LIST * bytes + project(bytes / A_LINE_OF_A_LIST, bytes / A_LINE_OF_A_LIST);
    }

    synchronized void add(Holder holder) {
        holders.add(holder);
    }

    /** Tells those who wait that something may have been let go, or may be now. */
    synchronized void changed() {
        notifyAll();
    }

    /**
     * Claims memory for something; waits for it so long at most.
     *
     * @param what it is for, as the subject of a sentence
     * @throws TooLittle if there is less, or not soon enough
     */
    public Claim claim(Message what, long bytes, long patienceMillis) {
        return claimBeside(0, what, bytes, patienceMillis);
    }

    /** The same for something that needs so many bytes beside it which are held already, so that no wait lets go of them. */
    Claim claimBeside(long held, Message what, long bytes, long patienceMillis) {
        if (held + bytes > room) {
            throw new TooLittle(
                    Message.of(
                            "work.memory.needs-about-mb-memory",
                            what,
                            megabytes(held + bytes),
                            megabytes(room),
                            given(held + bytes)),
                    false);
        }
        long until = System.nanoTime() + TimeUnit.MILLISECONDS.toNanos(patienceMillis);
        synchronized (this) {
            while (claimed + bytes + held() > room || !heapHolds(bytes)) {
                if (!letGo() && !waited(until)) {
                    throw new TooLittle(
                            Message.of("work.memory.needs-memory-others-use", what, given(claimed + bytes + held())),
                            true);
                }
            }
            claimed += bytes;
        }
        return new Claimed(bytes);
    }

    private final class Claimed implements Claim {
        private long bytes;

        Claimed(long bytes) {
            this.bytes = bytes;
        }

        @Override
        public void close() {
            synchronized (Memory.this) {
                claimed -= bytes;
                bytes = 0;
                Memory.this.notifyAll();
            }
        }
    }

    /**
     * Whether the heap itself has room, whatever the weights say. Only for what is large, and only where it is nearly full, is it
     * collected first to find out.
     */
    private boolean heapHolds(long bytes) {
        long most = (long) (all.bytes() * FULL);
        return !ofThisRun
                || bytes < LARGE
                || GivenMemory.used() + bytes <= most
                || GivenMemory.usedAfterCollection() + bytes <= most;
    }

    private long held() {
        return holders.stream().mapToLong(Holder::held).sum();
    }

    private boolean letGo() {
        return holders.stream().anyMatch(Holder::letGo);
    }

    private boolean waited(long until) {
        long left = TimeUnit.NANOSECONDS.toMillis(until - System.nanoTime());
        if (left <= 0) {
            return false;
        }
        try {
            wait(Math.min(left, WAIT_MILLIS));
            return true;
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            return false;
        }
    }

    private static long megabytes(long bytes) {
        return (bytes >> 20) + 1;
    }

    /** What Java must be given so that so much can be held. */
    private static long given(long bytes) {
        return (((long) (bytes / SHARE) + OF_ALL_ELSE) >> 20) / 256 * 256 + 256;
    }
}

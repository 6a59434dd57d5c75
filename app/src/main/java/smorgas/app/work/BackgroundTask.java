package smorgas.app.work;

import java.util.List;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicLong;
import smorgas.core.text.Message;

/** Something of ours at work in the background: it tells how far it is, can be stopped, and tells what came of it. */
public abstract class BackgroundTask {

    private static final AtomicLong NUMBERS = new AtomicLong();

    private final long number = NUMBERS.incrementAndGet();
    private final long project;
    private final String name;
    private final CountDownLatch over = new CountDownLatch(1);
    private volatile long basket;
    private volatile Message sentence = Message.NONE;

    protected BackgroundTask(long project, String name) {
        this.project = project;
        this.name = name;
    }

    /** Tells it apart from all others of this start of the application. */
    public final long number() {
        return number;
    }

    public final long project() {
        return project;
    }

    /** What it is called where it is told of. */
    public final String name() {
        return name;
    }

    public final boolean pending() {
        return over.getCount() > 0;
    }

    /** The basket that it made or renewed; 0 for none. */
    public final long basket() {
        return basket;
    }

    /** What is to be said of it once it is over; empty if nothing. */
    public final Message sentence() {
        return sentence;
    }

    /** How far it is, a line for each thing that goes on beside others. */
    public abstract List<Message> told();

    /** Makes it end soon; may be called at any time, and does nothing if it is over. */
    abstract void stop();

    /** Works until all is done or it was stopped. Who overrides it sees to its failures, and to its end. */
    abstract void run();

    /** What came of it; it is over once that is told on ({@link #release}). */
    final void came(long made, Message told) {
        basket = made;
        sentence = told;
    }

    /** It is over. */
    final void release() {
        over.countDown();
    }

    /** Waits until it is over, so long at most; true if it is. */
    public final boolean await(long millis) {
        try {
            return over.await(millis, TimeUnit.MILLISECONDS);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            return false;
        }
    }
}

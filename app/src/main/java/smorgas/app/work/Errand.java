package smorgas.app.work;

import java.util.List;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import smorgas.core.recipe.gather.Asked;
import smorgas.core.recipe.gather.BasketInfo;
import smorgas.core.source.MadeList;

/** A tool of ours at work in the background, from when it is sent to when what it brings is stored. */
public final class Errand {

    /** What it does; everything it needs is in it. */
    public interface Work {
        /** Works until all is done or {@link #stop} was called; what came until then is what it brings. */
        Came run() throws InterruptedException;

        /** Makes it end soon; may be called at any time. */
        void stop();

        /** How far it is, a line for each thing that goes on beside others. */
        List<String> told();
    }

    /**
     * What it brings.
     *
     * @param asked to be kept with the basket
     * @param told what is to be said of it, a sentence; empty if nothing
     */
    public record Came(MadeList list, BasketInfo.Kind kind, Asked asked, String told) {}

    /** What becomes of what it brings. */
    public sealed interface Purpose {
        /** A basket of this name. */
        record NewBasket(String name) implements Purpose {}

        /** The rest of what a basket has a part of: a newer version of it. */
        record Rest(long basket) implements Purpose {}

        /** The same as for a basket once more, by a schedule or by a hand: what is new waits until somebody takes it. */
        record Again(long basket, boolean scheduled) implements Purpose {}
    }

    private final long number;
    private final long project;
    private final String name;
    private final Purpose purpose;
    private final Work work;
    private final CountDownLatch over = new CountDownLatch(1);
    private volatile long basket;
    private volatile String sentence = "";
    private volatile boolean stopped;

    Errand(long number, long project, String name, Purpose purpose, Work work) {
        this.number = number;
        this.project = project;
        this.name = name;
        this.purpose = purpose;
        this.work = work;
    }

    public long number() {
        return number;
    }

    public long project() {
        return project;
    }

    /** What it is called where it is told of. */
    public String name() {
        return name;
    }

    public Purpose purpose() {
        return purpose;
    }

    public boolean pending() {
        return over.getCount() > 0;
    }

    /** How far it is. */
    public List<String> told() {
        return work.told();
    }

    /** The basket that it made or renewed; 0 for none. */
    public long basket() {
        return basket;
    }

    /** What came of it, once it is over. */
    public String sentence() {
        return sentence;
    }

    /** Whether somebody has stopped it. */
    public boolean stopped() {
        return stopped;
    }

    void stop() {
        stopped = true;
        work.stop();
    }

    Work work() {
        return work;
    }

    /** What came of it; it is over once whoever wants to know was told. */
    void end(long made, String told) {
        basket = made;
        sentence = told;
    }

    void release() {
        over.countDown();
    }

    /** Waits until it is over, so long at most; true if it is. */
    public boolean await(long millis) {
        try {
            return over.await(millis, TimeUnit.MILLISECONDS);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            return false;
        }
    }
}

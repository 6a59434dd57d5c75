package smorgas.app.work;

import java.util.List;
import java.util.function.Consumer;
import smorgas.core.recipe.gather.Asked;
import smorgas.core.recipe.gather.BasketInfo;
import smorgas.core.source.MadeList;
import smorgas.core.text.Message;

/** A tool of ours at work in the background, from when it is sent to when what it brings is stored. */
public final class ToolTask extends BackgroundTask {

    /** What it does; everything it needs is in it. */
    public interface Work {
        /** Works until all is done or {@link #stop} was called; what came until then is what it brings. */
        Came run() throws InterruptedException;

        /** Makes it end soon; may be called at any time. */
        void stop();

        /** How far it is, a line for each thing that goes on beside others. */
        List<Message> told();
    }

    /**
     * What it brings.
     *
     * @param asked to be kept with the basket
     * @param told what is to be said of it, a sentence; empty if nothing
     */
    public record Came(MadeList list, BasketInfo.Kind kind, Asked asked, Message told) {}

    /** What becomes of what it brings. */
    public sealed interface Purpose {
        /** A basket of this name. */
        record NewBasket(String name) implements Purpose {}

        /** The rest of what a basket has a part of: a newer version of it. */
        record Rest(long basket) implements Purpose {}

        /** The same as for a basket once more, by a schedule or by a hand: what is new waits until somebody takes it. */
        record Again(long basket, boolean scheduled) implements Purpose {}
    }

    private final Purpose purpose;
    private final Work work;
    private final Consumer<ToolTask> runner;
    private volatile boolean stopped;

    /** @param runner runs it and stores what it brings */
    ToolTask(long project, String name, Purpose purpose, Work work, Consumer<ToolTask> runner) {
        super(project, name);
        this.purpose = purpose;
        this.work = work;
        this.runner = runner;
    }

    public Purpose purpose() {
        return purpose;
    }

    @Override
    public List<Message> told() {
        return work.told();
    }

    /** Whether somebody has stopped it. */
    public boolean stopped() {
        return stopped;
    }

    @Override
    void stop() {
        stopped = true;
        work.stop();
    }

    Work work() {
        return work;
    }

    @Override
    void run() {
        runner.accept(this);
    }
}

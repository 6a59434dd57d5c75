package smorgas.app.work;

import java.util.Map;
import java.util.concurrent.Callable;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.FutureTask;
import java.util.concurrent.TimeUnit;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.context.annotation.DependsOn;
import org.springframework.stereotype.Component;

/** The threads of all that goes on in the background. What is in one lane runs one after the other, lanes run beside each other. */
@Component
@DependsOn("database") // What runs here is over before the database is closed.
public class Background implements DisposableBean {

    private static final Logger LOG = LoggerFactory.getLogger(Background.class);

    private final ExecutorService threads = Executors.newCachedThreadPool(
            Thread.ofPlatform().name("background-", 0).daemon().factory());

    /** The end of each lane. */
    private final Map<String, CompletableFuture<Void>> lanes = new ConcurrentHashMap<>();

    private final Map<Long, BackgroundTask> pending = new ConcurrentHashMap<>();

    /** Begins at once. */
    Future<?> begin(Runnable work) {
        return threads.submit(work);
    }

    /** Begins at once. */
    <T> Future<T> begin(Callable<T> work) {
        return threads.submit(work);
    }

    /** Begins when what was put into this lane before is over, however it ended. */
    <T> Future<T> begin(String lane, Callable<T> work) {
        FutureTask<T> task = new FutureTask<>(work);
        lanes.values().removeIf(CompletableFuture::isDone);
        lanes.compute(lane, (name, last) -> (last == null ? CompletableFuture.<Void>completedFuture(null) : last)
                .thenRunAsync(task, threads));
        return task;
    }

    /** Runs a task in a lane. */
    void begin(String lane, BackgroundTask task) {
        pending.put(task.number(), task);
        begin(lane, () -> {
            try {
                task.run();
            } catch (RuntimeException | Error e) {
                LOG.error("{} failed", task.name(), e);
                throw e;
            } finally {
                task.release();
                pending.remove(task.number());
            }
            return null;
        });
    }

    /** Lets what has noticed leave the database before it is closed; never by an interrupt, which would close it. */
    @Override
    public void destroy() throws InterruptedException {
        pending.values().forEach(BackgroundTask::stop);
        threads.shutdown();
        threads.awaitTermination(5, TimeUnit.SECONDS);
    }
}

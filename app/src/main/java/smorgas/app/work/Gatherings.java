package smorgas.app.work;

import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.OptionalLong;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicLong;
import java.util.function.LongSupplier;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.stereotype.Component;

/**
 * Lists that are being read in the background: those of one project one after the other, those of several beside each
 * other. Each tells its progress, and each can be stopped at once, after which nothing of it remains.
 */
@Component
public class Gatherings implements DisposableBean {

    private static final Duration TOLD_FOR = Duration.ofSeconds(6);

    private final ConcurrentLinkedQueue<Job> jobs = new ConcurrentLinkedQueue<>();
    private final AtomicLong numbers = new AtomicLong();
    /** The end of each project's line. */
    private final Map<Long, CompletableFuture<Void>> lines = new ConcurrentHashMap<>();

    private final ExecutorService readers = Executors.newCachedThreadPool(
            Thread.ofPlatform().name("gather-", 0).daemon().factory());

    private final Memory memory;
    private final Table table;
    private final LongSupplier nanos;

    @Autowired
    Gatherings(Memory memory, Table table) {
        this(memory, table, System::nanoTime);
    }

    Gatherings(Memory memory, Table table, LongSupplier nanos) {
        this.memory = memory;
        this.table = table;
        this.nanos = nanos;
    }

    /** Puts a list in line to be read. */
    public Job submit(OpenProject project, Offered list) {
        Job job = new Job(numbers.incrementAndGet(), project, list, memory, nanos);
        jobs.add(job);
        lines.values().removeIf(CompletableFuture::isDone);
        lines.compute(project.id(), (id, last) -> (last == null ? CompletableFuture.<Void>completedFuture(null) : last)
                .thenRunAsync(() -> run(job), readers));
        return job;
    }

    @SuppressWarnings("try") // it is held, not named
    private void run(Job job) {
        try (Table.Visiting visit = table.visit()) {
            job.run(table);
        }
    }

    /** Waits until these are over, so long at most; true if they are. */
    public static boolean await(List<Job> some, long millis) {
        long until = System.nanoTime() + TimeUnit.MILLISECONDS.toNanos(millis);
        try {
            for (Job job : some) {
                if (!job.await(Math.max(0, until - System.nanoTime()))) {
                    return false;
                }
            }
            return true;
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            return false;
        }
    }

    /** Those of a project that are not over yet, in line. */
    public List<Job> pending(long project) {
        return jobs.stream()
                .filter(job -> job.project() == project && job.pending())
                .toList();
    }

    /**
     * Those of a project that are over and were not asked for yet.
     *
     * @param again whether those of the last seconds are wanted once more: the answer that told of them may have been
     *     overtaken by the next before anybody saw it
     */
    public synchronized List<Job> over(long project, boolean again) {
        long now = nanos.getAsLong();
        List<Job> over = new ArrayList<>();
        for (Job job : jobs) {
            if (job.project() != project || job.pending()) {
                continue;
            }
            OptionalLong told = job.told(now);
            if (told.isEmpty() || again && now - told.getAsLong() < TOLD_FOR.toNanos()) {
                over.add(job);
            } else {
                jobs.remove(job);
            }
        }
        return over;
    }

    /** Stops one of a project's; one that is over already stays as it is. */
    public void stop(long project, long number) {
        pending(project).stream().filter(job -> job.number() == number).forEach(Job::stop);
    }

    /** Lets readings that have noticed leave the database before it is closed; never by an interrupt, which would close it. */
    @Override
    public void destroy() throws InterruptedException {
        jobs.forEach(Job::stop);
        readers.shutdown();
        readers.awaitTermination(5, TimeUnit.SECONDS);
    }
}

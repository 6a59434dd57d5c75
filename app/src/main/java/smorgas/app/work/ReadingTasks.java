package smorgas.app.work;

import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalLong;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.concurrent.TimeUnit;
import java.util.function.LongSupplier;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.stereotype.Component;

/**
 * Lists that are being read in the background: those of one project one after the other, those of several beside each
 * other. Each tells its progress, and each can be stopped at once, after which nothing of it remains.
 */
@Component
public class ReadingTasks {

    private static final Duration TOLD_FOR = Duration.ofSeconds(6);

    private final ConcurrentLinkedQueue<ReadingTask> tasks = new ConcurrentLinkedQueue<>();
    private final Memory memory;
    private final Table table;
    private final Background background;
    private final LongSupplier nanos;

    @Autowired
    ReadingTasks(Memory memory, Table table, Background background) {
        this(memory, table, background, System::nanoTime);
    }

    ReadingTasks(Memory memory, Table table, Background background, LongSupplier nanos) {
        this.background = background;
        this.memory = memory;
        this.table = table;
        this.nanos = nanos;
    }

    /** Puts a list in line to be read. */
    public ReadingTask submit(OpenProject project, Offered list) {
        ReadingTask task = new ReadingTask(project, list, memory, table, nanos);
        tasks.add(task);
        background.begin("reading " + project.id(), task);
        return task;
    }

    /** Waits until these are over, so long at most; true if they are. */
    public static boolean await(List<ReadingTask> some, long millis) {
        long until = System.nanoTime() + TimeUnit.MILLISECONDS.toNanos(millis);
        return some.stream()
                .allMatch(task -> task.await(Math.max(0, TimeUnit.NANOSECONDS.toMillis(until - System.nanoTime()))));
    }

    /** Those of a project that are not over yet, in line. */
    public List<ReadingTask> pending(long project) {
        return tasks.stream()
                .filter(task -> task.project() == project && task.pending())
                .toList();
    }

    /**
     * Those of a project that are over and were not asked for yet.
     *
     * @param again whether those of the last seconds are wanted once more: the answer that told of them may have been
     *     overtaken by the next before anybody saw it
     */
    public synchronized List<ReadingTask> over(long project, boolean again) {
        long now = nanos.getAsLong();
        List<ReadingTask> over = new ArrayList<>();
        for (ReadingTask task : tasks) {
            if (task.project() != project || task.pending()) {
                continue;
            }
            OptionalLong told = task.firstTold(now);
            if (told.isEmpty() || again && now - told.getAsLong() < TOLD_FOR.toNanos()) {
                over.add(task);
            } else {
                tasks.remove(task);
            }
        }
        return over;
    }

    /** Stops one of a project's; one that is over already stays as it is. */
    public void stop(long project, long number) {
        pending(project).stream().filter(task -> task.number() == number).forEach(ReadingTask::stop);
    }
}

package smorgas.app.work;

import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalLong;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicLong;
import java.util.function.LongSupplier;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.stereotype.Component;
import smorgas.core.gather.Packed;
import smorgas.core.gather.ReadingStopped;

/**
 * Lists that are being read: one after the other in the background, each with its progress, and each can be stopped, after
 * which nothing of it remains.
 */
@Component
public class Gatherings implements DisposableBean {

    private static final Logger LOG = LoggerFactory.getLogger(Gatherings.class);
    private static final Duration TOLD_FOR = Duration.ofSeconds(6);

    /** How a reading stands. */
    public enum State {
        WAITING,
        READING,
        DONE,
        REFUSED,
        STOPPED,
        FAILED
    }

    /** One list on its way into a project. */
    public static final class Job {
        private final long number;
        private final OpenProject project;
        private final String name;
        private final byte[] bytes;
        private final CountDownLatch over = new CountDownLatch(1);
        private volatile State state = State.WAITING;
        private volatile long rows;
        private volatile long basket;
        private volatile String sentence = "";
        private volatile boolean stop;
        private OptionalLong firstTold = OptionalLong.empty();

        private Job(long number, OpenProject project, Packed.NamedBytes list) {
            this.number = number;
            this.project = project;
            this.name = list.name();
            this.bytes = list.bytes();
        }

        public long number() {
            return number;
        }

        public String name() {
            return name;
        }

        public State state() {
            return state;
        }

        public boolean pending() {
            return over.getCount() > 0;
        }

        public long bytes() {
            return bytes.length;
        }

        /** Rows stored so far. */
        public long rows() {
            return rows;
        }

        /** The basket it became; 0 if it did not. */
        public long basket() {
            return basket;
        }

        /** What the researcher should be told when it is over; empty if it simply went in. */
        public String sentence() {
            return sentence;
        }

        /** False if it was stopped before its turn came. */
        private synchronized boolean begin() {
            if (state != State.WAITING) {
                return false;
            }
            state = State.READING;
            return true;
        }

        private synchronized void stop() {
            stop = true;
            if (state == State.WAITING) {
                stopped();
                over.countDown();
            }
        }

        private void stopped() {
            state = State.STOPPED;
            sentence = name + " was stopped; nothing of it was gathered.";
        }

        private void run() {
            if (!begin()) {
                return;
            }
            try {
                OpenProject.Gathered gathered = project.gather(name, bytes, this::stopIfWanted);
                basket = gathered.basket().orElse(0L);
                boolean told = gathered.outcome() instanceof Outcome.Refused;
                sentence = told ? gathered.outcome().sentence() : "";
                state = basket == 0 ? State.REFUSED : State.DONE;
            } catch (ReadingStopped e) {
                stopped();
            } catch (RuntimeException | OutOfMemoryError e) {
                LOG.error("{} was not gathered", name, e);
                state = State.FAILED;
                sentence = name
                        + " was not gathered: it could not be stored. Check that the disk has room and that Smorgas"
                        + " has memory, then gather it again.";
            } finally {
                over.countDown();
            }
        }

        private void stopIfWanted(long stored) {
            rows = stored;
            if (stop) {
                throw new ReadingStopped();
            }
        }
    }

    private final ConcurrentLinkedQueue<Job> jobs = new ConcurrentLinkedQueue<>();
    private final AtomicLong numbers = new AtomicLong();
    private final ExecutorService reader = Executors.newSingleThreadExecutor(
            Thread.ofPlatform().name("gather-", 0).daemon().factory());

    private final LongSupplier nanos;

    public Gatherings() {
        this(System::nanoTime);
    }

    Gatherings(LongSupplier nanos) {
        this.nanos = nanos;
    }

    /** Puts a list in line to be read. */
    public Job submit(OpenProject project, Packed.NamedBytes list) {
        Job job = new Job(numbers.incrementAndGet(), project, list);
        jobs.add(job);
        reader.execute(job::run);
        return job;
    }

    /** Waits until these are over, so long at most; true if they are. */
    public static boolean await(List<Job> some, long millis) {
        long until = System.nanoTime() + TimeUnit.MILLISECONDS.toNanos(millis);
        try {
            for (Job job : some) {
                if (!job.over.await(Math.max(0, until - System.nanoTime()), TimeUnit.NANOSECONDS)) {
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
                .filter(job -> job.project.id() == project && job.pending())
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
            if (job.project.id() != project || job.pending()) {
                continue;
            }
            boolean first = job.firstTold.isEmpty();
            job.firstTold = OptionalLong.of(job.firstTold.orElse(now));
            if (first || again && now - job.firstTold.getAsLong() < TOLD_FOR.toNanos()) {
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

    @Override
    public void destroy() {
        jobs.forEach(Job::stop);
        reader.shutdown();
    }
}

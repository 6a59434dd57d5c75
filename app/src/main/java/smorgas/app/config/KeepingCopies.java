package smorgas.app.config;

import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.ContextClosedEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;
import smorgas.app.store.Copies;

/** Has a copy of the database made after each start, each day while the server runs, and when another process asks. */
@Component
class KeepingCopies {

    private static final Logger LOG = LoggerFactory.getLogger(KeepingCopies.class);

    private final ScheduledExecutorService clock = Executors.newSingleThreadScheduledExecutor(
            Thread.ofPlatform().name("copies").daemon().factory());
    private final Copies copies;
    private final long firstAfter;

    KeepingCopies(Copies copies, @Value("${smorgas.first-copy-after-seconds}") long firstAfter) {
        this.copies = copies;
        this.firstAfter = firstAfter;
    }

    @EventListener(ApplicationReadyEvent.class)
    void begin() {
        clock.scheduleWithFixedDelay(
                () -> run(copies::makeIfChanged), firstAfter, TimeUnit.DAYS.toSeconds(1), TimeUnit.SECONDS);
        clock.scheduleWithFixedDelay(() -> run(copies::makeIfWanted), 1, 1, TimeUnit.SECONDS);
    }

    /** Lets a copy that is being written come to its end; never by an interrupt, which would close the database's file. */
    @EventListener(ContextClosedEvent.class)
    void end() throws InterruptedException {
        clock.shutdown();
        clock.awaitTermination(1, TimeUnit.MINUTES);
    }

    private interface Work {
        Object now() throws Exception;
    }

    private static void run(Work work) {
        try {
            work.now();
        } catch (Exception e) {
            LOG.error("no copy of the database could be made: {}", e.getMessage());
        }
    }
}

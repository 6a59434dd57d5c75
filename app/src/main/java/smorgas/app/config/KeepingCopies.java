package smorgas.app.config;

import java.util.concurrent.Callable;
import java.util.concurrent.TimeUnit;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;
import smorgas.app.store.Copies;

/** Has a copy of the database made after each start, each day while the server runs, and when another process asks. */
@Component
class KeepingCopies {

    private static final Logger LOG = LoggerFactory.getLogger(KeepingCopies.class);

    private static final int A_DAY = 24 * 60 * 60;

    private final Copies copies;

    KeepingCopies(Copies copies) {
        this.copies = copies;
    }

    @Scheduled(
            initialDelayString = "${smorgas.first-copy-after-seconds}",
            fixedDelay = A_DAY,
            timeUnit = TimeUnit.SECONDS)
    void daily() {
        run(copies::makeIfChanged);
    }

    @Scheduled(initialDelay = 1, fixedDelay = 1, timeUnit = TimeUnit.SECONDS)
    void wanted() {
        run(copies::makeIfWanted);
    }

    private static void run(Callable<?> work) {
        try {
            work.call();
        } catch (Exception e) {
            LOG.error("no copy of the database could be made: {}", e.getMessage());
        }
    }
}

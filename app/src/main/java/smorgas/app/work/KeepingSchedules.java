package smorgas.app.work;

import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/** Looks now and then whether something is to be asked again, from when the application is ready. */
@Component
class KeepingSchedules implements DisposableBean {

    private static final Logger LOG = LoggerFactory.getLogger(KeepingSchedules.class);

    private static final int SECONDS = 20;

    private final ScheduledExecutorService clock = Executors.newSingleThreadScheduledExecutor(
            Thread.ofPlatform().name("schedules").daemon().factory());

    private final AskingAgain again;

    KeepingSchedules(AskingAgain again) {
        this.again = again;
    }

    @EventListener(ApplicationReadyEvent.class)
    void begin() {
        clock.scheduleWithFixedDelay(this::look, 1, SECONDS, TimeUnit.SECONDS);
    }

    private void look() {
        try {
            again.runDue();
        } catch (RuntimeException e) {
            // The next look must come all the same.
            LOG.error("schedules could not be looked through", e);
        }
    }

    @Override
    public void destroy() throws InterruptedException {
        clock.shutdown();
        clock.awaitTermination(5, TimeUnit.SECONDS);
    }
}

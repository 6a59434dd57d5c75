package smorgas.app.work;

import java.util.concurrent.TimeUnit;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;

/** Looks now and then whether something is to be asked again. */
@Component
class KeepingSchedules {

    private static final Logger LOG = LoggerFactory.getLogger(KeepingSchedules.class);

    private final AskingAgain again;

    KeepingSchedules(AskingAgain again) {
        this.again = again;
    }

    @Scheduled(initialDelay = 2, fixedDelay = 20, timeUnit = TimeUnit.SECONDS)
    void look() {
        try {
            again.runDue();
        } catch (RuntimeException e) {
            LOG.error("schedules could not be looked through", e);
        }
    }
}

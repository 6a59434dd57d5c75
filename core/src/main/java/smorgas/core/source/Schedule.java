package smorgas.core.source;

import java.time.Duration;
import java.time.Instant;
import smorgas.core.text.Refusal;

/**
 * When something is asked again by itself.
 *
 * @param everyDays from 1 to {@value #RAREST}
 * @param timesLeft how often it will run, from 0 to {@value #MOST_TIMES}; 0 for never again
 * @param due when it runs next
 */
public record Schedule(int everyDays, int timesLeft, Instant due) {

    public static final int RAREST = 366;
    public static final int MOST_TIMES = 1_000;

    public Schedule {
        if (everyDays < 1 || everyDays > RAREST) {
            throw new Refusal("source.schedule.asked-again-after-1", RAREST);
        }
        if (timesLeft < 0 || timesLeft > MOST_TIMES) {
            throw new Refusal("source.schedule.asked-again-1-1");
        }
    }

    /** One that begins: it runs first when its first days are over. */
    public static Schedule from(Instant now, int everyDays, int times) {
        return new Schedule(everyDays, times, now.plus(Duration.ofDays(everyDays)));
    }

    /** Whether it is to run. */
    public boolean isDue(Instant now) {
        return timesLeft > 0 && !due.isAfter(now);
    }

    /**
     * What it is once it has run. Runs that were missed have run with this one: the next keeps to the hour and the days of before,
     * and lies ahead.
     */
    public Schedule ran(Instant now) {
        long days = everyDays;
        long missed = Math.max(0, Duration.between(due, now).toDays() / days);
        return new Schedule(everyDays, timesLeft - 1, due.plus(Duration.ofDays(days * (missed + 1))));
    }
}

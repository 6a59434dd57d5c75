package smorgas.bench;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Locale;

/** How long something took each time, in milliseconds; rounds below 0 only warm up. */
final class Timed {

    private final List<Long> millis = new ArrayList<>();

    /** Ends a round that began at this time of {@link System#nanoTime()}. */
    long ended(int round, long begun) {
        long taken = (System.nanoTime() - begun) / 1_000_000;
        if (round >= 0) {
            millis.add(taken);
        }
        return taken;
    }

    int size() {
        return millis.size();
    }

    /** The time that this share of the rounds was faster than. */
    private long faster(int percent) {
        Collections.sort(millis);
        return millis.get(Math.min(millis.size() - 1, millis.size() * percent / 100));
    }

    long median() {
        return faster(50);
    }

    long most() {
        return faster(100);
    }

    @Override
    public String toString() {
        return String.format(Locale.ENGLISH, "median %d ms, 95th percentile %d ms", median(), faster(95));
    }
}

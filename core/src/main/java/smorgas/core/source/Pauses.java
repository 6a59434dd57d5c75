package smorgas.core.source;

/** How somebody waits before asking again; a test does not. */
public interface Pauses {

    /** Waits as long as it says. */
    Pauses REAL = Thread::sleep;

    void rest(long millis) throws InterruptedException;
}

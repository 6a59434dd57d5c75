package smorgas.core.source;

import java.util.List;

/**
 * A service outside that suggests what else people search for. It is asked from one thread at a time, may be slow, fail, or answer
 * anything at all: {@link Forager} sees to that.
 */
public interface Source {

    /** What is asked. Language is an ISO 639-1 code, place may be empty. */
    record Query(String text, String language, String place) {}

    /**
     * What a source can bear.
     *
     * @param pauseMillis between two queries at least
     * @param patienceMillis after which an answer is not waited for any more
     */
    record Limits(long pauseMillis, long patienceMillis) {}

    /** A source did not answer, and may if it is asked again. The message is a sentence without a full stop. */
    final class Fault extends Exception {
        private static final long serialVersionUID = 1L;

        public Fault(String message) {
            super(message);
        }
    }

    /** What it is called; tells it from others. */
    String name();

    /** Whether it only stands in for a service, so that what it says must be marked wherever it shows. */
    boolean simulated();

    Limits limits();

    /**
     * Suggestions, the best first.
     *
     * @throws Fault if it cannot answer now
     * @throws InterruptedException if it is not waited for any more
     */
    List<String> suggest(Query query) throws Fault, InterruptedException;
}

package smorgas.core.source;

import smorgas.core.text.Message;

/**
 * A service outside that is asked something. It is asked from one thread at a time, may be slow, fail, or answer anything at all:
 * whoever asks sees to that.
 */
public interface Service {

    /**
     * What a service can bear.
     *
     * @param pauseMillis between two questions at least
     * @param patienceMillis after which an answer is not waited for any more
     */
    record Limits(long pauseMillis, long patienceMillis) {}

    /** A service did not answer, and may if it is asked again. The message is a sentence without a full stop. */
    final class Fault extends Exception {
        private static final long serialVersionUID = 1L;

        private final transient Message message;

        public Fault(Message message) {
            super(message.key());
            this.message = message;
        }

        public Message message() {
            return message;
        }
    }

    /** What it is called; tells it from others. */
    String name();

    /** Whether it only stands in for a service, so that what it says must be marked wherever it shows. */
    boolean simulated();

    Limits limits();
}

package smorgas.core.source;

import java.util.Optional;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import java.util.function.BooleanSupplier;
import smorgas.core.text.Message;

/** Asks services that may be slow or fail: each question a few times, after growing pauses, and never longer than it is worth. */
final class Asking implements AutoCloseable {

    /** So many questions in a row without an answer, and a service is not asked any more. */
    static final int PATIENCE = 5;

    private static final int TRIES = 4;
    private static final long FIRST_PAUSE_MILLIS = 250;

    private final ExecutorService askers = Executors.newVirtualThreadPerTaskExecutor();
    private final Pauses pauses;
    private final BooleanSupplier stopped;

    /** A question. */
    interface Call<T> {
        T answer() throws Service.Fault, InterruptedException;
    }

    /**
     * What came of a question.
     *
     * @param came empty if nothing did
     * @param fault why nothing came; empty if something did, or it was stopped
     * @param stopped whether it was ended before it was answered
     */
    record Answer<T>(Optional<T> came, Message fault, boolean stopped) {}

    Asking(Pauses pauses, BooleanSupplier stopped) {
        this.pauses = pauses;
        this.stopped = stopped;
    }

    /** Runs beside others. */
    Future<?> beside(Call<?> work) {
        return askers.submit(work::answer);
    }

    /** Asks until an answer comes, it is worth no more, or it is stopped. */
    <T> Answer<T> ask(Service.Limits limits, Call<T> question) throws InterruptedException {
        Message fault = Message.NONE;
        for (int attempt = 0; attempt < TRIES; attempt++) {
            if (attempt > 0) {
                pauses.rest(FIRST_PAUSE_MILLIS << attempt - 1);
            }
            if (stopped.getAsBoolean()) {
                return new Answer<>(Optional.empty(), Message.NONE, true);
            }
            Future<T> asked = askers.submit(question::answer);
            try {
                return new Answer<>(
                        Optional.ofNullable(asked.get(limits.patienceMillis(), TimeUnit.MILLISECONDS)),
                        Message.NONE,
                        false);
            } catch (TimeoutException e) {
                asked.cancel(true);
                fault = Message.of("source.asking.did-answer-time");
            } catch (ExecutionException e) {
                fault = e.getCause() instanceof Service.Fault known
                        ? known.message()
                        : Message.of("source.asking.answered-nothing-can-understood");
            }
        }
        return new Answer<>(Optional.empty(), fault, false);
    }

    /** Rests as a service wants it between two questions. */
    void rest(Service.Limits limits) throws InterruptedException {
        if (limits.pauseMillis() > 0) {
            pauses.rest(limits.pauseMillis());
        }
    }

    /** A service that does not even hear that it is not waited for is left behind. */
    @Override
    public void close() {
        askers.shutdownNow();
    }
}

package smorgas.core.board;

import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;

/** A value that is computed when it is first asked for, once, whoever asks. A computation that failed is tried again. */
final class Lazy<T> {

    private @Nullable Supplier<T> computation;
    private volatile @Nullable T value;

    Lazy(Supplier<T> computation) {
        this.computation = computation;
    }

    T get() {
        T known = value;
        return known != null ? known : compute();
    }

    private synchronized T compute() {
        T known = value;
        if (known == null) {
            known = java.util.Objects.requireNonNull(computation).get();
            value = known;
            // What the computation holds on to, such as the board before, can go.
            computation = null;
        }
        return known;
    }

    boolean known() {
        return value != null;
    }
}

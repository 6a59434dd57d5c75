package smorgas.app.store;

import smorgas.core.gather.Halt;

/** Who waits for a list that is being read; whatever it is told it may throw {@link smorgas.core.gather.ReadingStopped}. */
public interface Watch extends Halt {

    /** Nobody waits. */
    Watch NONE = new Watch() {};

    @Override
    default void check() {
        // It is wanted.
    }

    /** So many rows are stored so far. */
    default void rows(long stored) {
        // Nobody asks.
    }

    /** The last moment in which it can be stopped. */
    default void keeping() {
        // Nobody stops it.
    }
}

package smorgas.app.work;

import smorgas.core.gather.Halt;

/** Who waits for a list that is being read. */
public interface Watch extends Halt {

    Watch NONE = new Watch() {
        @Override
        public void check() {
            // It is wanted.
        }

        @Override
        public void rows(long stored) {
            // Nobody asks.
        }

        @Override
        public void keeping() {
            // Nobody stops it.
        }
    };

    /** So many rows are stored so far. May throw {@link smorgas.core.gather.ReadingStopped}. */
    void rows(long stored);

    /** The last moment in which it can be stopped. May throw {@link smorgas.core.gather.ReadingStopped}. */
    void keeping();
}

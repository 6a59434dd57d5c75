package smorgas.core.gather;

/** Thrown by a {@link RowSink} that wants no more rows; a reader lets it pass, and what was read so far is void. */
public final class ReadingStopped extends RuntimeException {

    private static final long serialVersionUID = 1;

    public ReadingStopped() {
        // Nobody looks at where it was stopped.
        super("stopped", null, false, false);
    }
}

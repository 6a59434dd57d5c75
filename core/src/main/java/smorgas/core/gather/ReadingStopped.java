package smorgas.core.gather;

/** Thrown by a {@link RowSink} that wants no more rows; a reader lets it pass, and what was read so far is void. */
public final class ReadingStopped extends RuntimeException {

    private static final long serialVersionUID = 1;

    public ReadingStopped() {
        this("");
    }

    /** @param why a sentence for the researcher; empty if it was stopped by hand */
    public ReadingStopped(String why) {
        // Nobody looks at where it was stopped.
        super(why, null, false, false);
    }
}

package smorgas.core.gather;

import smorgas.core.text.Message;

/** Thrown by a {@link RowSink} that wants no more rows; a reader lets it pass, and what was read so far is void. */
public final class ReadingStopped extends RuntimeException {

    private static final long serialVersionUID = 1;

    private final transient Message why;

    public ReadingStopped() {
        this(Message.NONE);
    }

    /** @param why a sentence for the researcher; {@link Message#NONE} if it was stopped by hand */
    public ReadingStopped(Message why) {
        // Nobody looks at where it was stopped.
        super(why.key(), null, false, false);
        this.why = why;
    }

    public Message why() {
        return why;
    }

    @Override
    public String getMessage() {
        return why.toString();
    }
}

package smorgas.core.text;

/**
 * What somebody asked for cannot be done, with a sentence for people that says why and what to do, without a full stop.
 * Any other exception is a fault of ours.
 */
public final class Refusal extends IllegalArgumentException {

    private static final long serialVersionUID = 1;

    public Refusal(String sentence) {
        super(sentence);
    }

    /** One that another fault has led to. */
    public Refusal(String sentence, Throwable cause) {
        super(sentence, cause);
    }

    /** The sentence. */
    @Override
    public String getMessage() {
        return String.valueOf(super.getMessage());
    }
}

package smorgas.app.web.show;

/** One of several that a field offers; the template {@code frame/form :: choice} draws them. */
public record Choice(String value, String label) {

    /** Something with a number. */
    public Choice(long number, String label) {
        this(String.valueOf(number), label);
    }
}

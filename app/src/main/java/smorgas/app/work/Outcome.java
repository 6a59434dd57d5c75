package smorgas.app.work;

/** What became of an act. Each carries a sentence for the researcher. */
public sealed interface Outcome {

    String sentence();

    /** It was stored and is in force; {@code sentence} tells what it did, with figures. */
    record Done(String sentence) implements Outcome {}

    /** It would have changed nothing, so nothing was stored. */
    record NoChange(String sentence) implements Outcome {}

    /** It was not stored, because what it was based on has changed, or because it cannot be meant. */
    record Refused(String sentence) implements Outcome {}
}

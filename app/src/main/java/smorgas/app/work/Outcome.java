package smorgas.app.work;

import smorgas.core.text.Message;

/** What became of an act. Each carries a sentence for the researcher. */
public sealed interface Outcome {

    Message sentence();

    /** It was stored and is in force; {@code sentence} tells what it did, with figures. */
    record Done(Message sentence) implements Outcome {}

    /** It would have changed nothing, so nothing was stored. */
    record NoChange(Message sentence) implements Outcome {}

    /** It was not stored, because what it was based on has changed, or because it cannot be meant. */
    record Refused(Message sentence) implements Outcome {}
}

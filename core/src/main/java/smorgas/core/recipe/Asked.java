package smorgas.core.recipe;

/** What a tool of ours was asked for when it made a basket, so that it can be asked again. */
public sealed interface Asked {

    /** Nothing: the list came from elsewhere. */
    record Nothing() implements Asked {}

    /** Word lists were multiplied. */
    record Paired(Pairing pairing) implements Asked {}

    /** Access logs were counted; the logs are not kept, so that other settings need them again. */
    record Logged(LogReading reading, LogReading.Counted counted) implements Asked {}

    /** Nothing was asked. */
    Asked NOTHING = new Nothing();
}

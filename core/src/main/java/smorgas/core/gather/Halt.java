package smorgas.core.gather;

/**
 * Whether a list is still wanted. Readers ask at every row, and within what they take in before the first one, so that no
 * file, however odd, keeps them longer than somebody wants to wait.
 */
@FunctionalInterface
public interface Halt {

    /** A list that is wanted, however long it takes. */
    Halt NEVER = () -> {};

    /** @throws ReadingStopped if it is not wanted any more; nothing of the list is kept then */
    void check();
}

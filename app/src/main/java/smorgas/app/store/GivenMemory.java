package smorgas.app.store;

/**
 * The memory that Java was given: the one place of the application that asks for it.
 *
 * @param bytes all of it
 */
public record GivenMemory(long bytes) {

    /** That of this run. */
    public static GivenMemory ofThisRun() {
        return new GivenMemory(Runtime.getRuntime().maxMemory());
    }

    /** Bytes in use, with what nobody holds any more and is not collected yet. */
    public static long used() {
        return Runtime.getRuntime().totalMemory() - Runtime.getRuntime().freeMemory();
    }

    /** Bytes that somebody holds: all else is collected first, which takes up to a second. */
    public static long usedAfterCollection() {
        System.gc();
        return used();
    }

    /** What may be taken to find out how alike keywords are: half of all, for the other half is for the lists and all else. */
    public long forSimilarity() {
        return bytes / 2;
    }

    /** How much the lists packed in one file may have together: what is set, or less where that would not fit. */
    public long mostUnpacked(long set) {
        return Math.min(set, bytes / 8);
    }
}

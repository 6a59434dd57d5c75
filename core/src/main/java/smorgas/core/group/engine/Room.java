package smorgas.core.group.engine;

import smorgas.core.recipe.GroupSettings;
import smorgas.core.recipe.Method;

/**
 * Whether there is memory enough to find out how alike keywords are; where there is not, their groups form by themes, for a
 * process that runs out of memory ends.
 *
 * @param bytes that may be taken for it
 */
public record Room(long bytes) {

    /** What a keyword takes at the most demanding moment, measured with {@code bench likeness-large}. */
    private static final long A_KEYWORD = 2_600;

    /** And what its meaning takes beside it. */
    private static final long MEANING = 3_200;

    /** Half of the memory that Java was given: the other half is for the lists and all else. */
    public static Room ofThisRun() {
        return new Room(Runtime.getRuntime().maxMemory() / 2);
    }

    /** Bytes that so many keywords take. */
    public static long needed(int keywords, boolean meaning) {
        return keywords * (A_KEYWORD + (meaning ? MEANING : 0));
    }

    public boolean holds(int keywords, boolean meaning) {
        return needed(keywords, meaning) <= bytes;
    }

    /** What of the settings can be done for so many keywords. */
    public GroupSettings possible(GroupSettings asked, int keywords) {
        boolean may = !(asked.method() instanceof Method.ByLikeness like)
                || keywords <= like.compared() && holds(keywords, like.meaning());
        return may ? asked : asked.with(asked.themes());
    }
}

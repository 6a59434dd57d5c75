package smorgas.core.group.engine;

import java.util.Locale;
import smorgas.core.recipe.GroupSettings;
import smorgas.core.recipe.Method;
import smorgas.core.recipe.ThemeRules;
import smorgas.core.text.Refusal;

/**
 * How much memory may be taken to find out how alike keywords are. The core is told; it asks no machine, so that the same
 * keywords come to the same groups everywhere, or are refused.
 *
 * @param bytes that may be taken for it
 */
public record Room(long bytes) {

    /** What a keyword takes at the most demanding moment, measured with {@code bench likeness-large}. */
    private static final long A_KEYWORD = 2_600;

    /** And what its meaning takes beside it. */
    private static final long MEANING = 3_200;

    /** As much as it takes. */
    public static final Room ENOUGH = new Room(Long.MAX_VALUE);

    /** Bytes that so many keywords take. */
    public static long needed(int keywords, boolean meaning) {
        return keywords * (A_KEYWORD + (meaning ? MEANING : 0));
    }

    /** The settings that hold for so many keywords: of more than likeness compares, groups form by themes. */
    public static GroupSettings possible(GroupSettings asked, int keywords, ThemeRules rules) {
        boolean may = !(asked.method() instanceof Method.ByLikeness like) || keywords <= like.compared();
        return may ? asked : asked.with(asked.themes(rules.usual()));
    }

    /**
     * Looks whether there is room for so many keywords.
     *
     * @throws Refusal with a sentence that says what is needed
     */
    public void require(GroupSettings settings, int keywords) {
        if (settings.method() instanceof Method.ByLikeness like && needed(keywords, like.meaning()) > bytes) {
            long megabytes = needed(keywords, like.meaning()) >> 20;
            throw new Refusal(String.format(
                    Locale.ENGLISH,
                    "Grouping %,d keywords by similarity needs %,d MB of memory, and Smorgas can use %,d MB for it. Start it with"
                            + " more (SMORGAS_JAVA_OPTS=-Xmx%dm), drop what does not fit, or group by themes",
                    keywords,
                    megabytes + 1,
                    bytes >> 20,
                    (2 * megabytes / 256 + 1) * 256));
        }
    }
}

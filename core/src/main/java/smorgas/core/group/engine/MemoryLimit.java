package smorgas.core.group.engine;

import smorgas.core.recipe.group.GroupSettings;
import smorgas.core.recipe.group.ThemeRules;
import smorgas.core.text.Refusal;

/**
 * How much memory may be taken to find out how alike keywords are. The core is told; it asks no machine, so that the same
 * keywords come to the same groups everywhere, or are refused.
 *
 * @param bytes that may be taken for it
 */
public record MemoryLimit(long bytes) {

    /** As much as it takes. */
    public static final MemoryLimit ENOUGH = new MemoryLimit(Long.MAX_VALUE);

    /** The settings that hold for so many keywords: of more than similarity compares, groups form by themes. */
    public static GroupSettings possible(GroupSettings asked, int keywords, ThemeRules rules) {
        return keywords <= asked.method().most() ? asked : asked.with(asked.themes(rules.usual()));
    }

    /**
     * Looks whether there is room for so many keywords.
     *
     * @throws Refusal with a sentence that says what is needed
     */
    public void require(GroupSettings settings, int keywords) {
        long needed = settings.method().needed(keywords);
        if (needed > bytes) {
            long megabytes = needed >> 20;
            throw new Refusal(
                    "engine.memory-limit.grouping-keywords-similarity-needs",
                    keywords,
                    megabytes + 1,
                    bytes >> 20,
                    (2 * megabytes / 256 + 1) * 256);
        }
    }
}

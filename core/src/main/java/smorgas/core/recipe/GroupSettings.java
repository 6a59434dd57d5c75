package smorgas.core.recipe;

import java.util.Collections;
import java.util.SortedSet;
import java.util.TreeSet;
import smorgas.core.text.WordLists;

/**
 * How groups form.
 *
 * @param smallest keywords a group has at least, 1 to 10,000
 * @param shortest words a theme phrase has at least, 1 to {@code longest}
 * @param longest words a theme phrase has at most, up to {@value #LONGEST}
 * @param leastTightness the tightness a keyword must have in its group, 0 to 1
 * @param stopWords tidy words with which no theme phrase begins or ends
 * @param muted tidy words that are in no theme phrase and have no weight
 */
public record GroupSettings(
        int smallest,
        int shortest,
        int longest,
        double leastTightness,
        SortedSet<String> stopWords,
        SortedSet<String> muted) {

    /** The most words that a theme phrase may have. */
    public static final int LONGEST = 5;

    public GroupSettings {
        if (smallest < 1 || smallest > 10_000) {
            throw new IllegalArgumentException("The smallest group has 1 to 10,000 keywords, not " + smallest);
        }
        if (shortest < 1 || longest > LONGEST || shortest > longest) {
            throw new IllegalArgumentException("A theme has 1 to 5 words, not " + shortest + " to " + longest);
        }
        if (!(leastTightness >= 0 && leastTightness <= 1)) {
            throw new IllegalArgumentException("The least tightness is 0 to 1, not " + leastTightness);
        }
        stopWords = Collections.unmodifiableSortedSet(new TreeSet<>(stopWords));
        muted = Collections.unmodifiableSortedSet(new TreeSet<>(muted));
    }

    /** Smallest 3, lengths 1 to 5, any tightness, the language's stop words, nothing muted. */
    public static GroupSettings standard(String language) {
        return new GroupSettings(3, 1, LONGEST, 0, WordLists.stopWords(language), new TreeSet<>());
    }

    /** The same with another set of muted words. */
    public GroupSettings withMuted(SortedSet<String> words) {
        return new GroupSettings(smallest, shortest, longest, leastTightness, stopWords, words);
    }
}

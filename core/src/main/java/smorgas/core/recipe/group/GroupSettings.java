package smorgas.core.recipe.group;

import java.util.Collections;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import java.util.SortedSet;
import java.util.TreeSet;
import smorgas.core.recipe.value.Intent;
import smorgas.core.text.Message;
import smorgas.core.text.Refusal;

/**
 * How groups form.
 *
 * @param method how they are found
 * @param forms whether further forms of a word ("keeping", "keeper") count as one word; singular and plural are one as
 *     the project folds them
 * @param ungrouped what becomes of keywords that no theme takes
 * @param placedFrom the least tightness of keywords that are placed automatically, 0 to 1
 * @param stopWords tidy words that say nothing
 * @param stopAt where a theme may have none of them; a theme in any order may have none at all if this is not empty
 * @param ignored tidy words that are in no theme and have no weight
 * @param same words that count as one
 * @param intentsApart intents whose keywords are in no group with those of others; what a rule or a hand places goes where it says
 */
public record GroupSettings(
        Method method,
        boolean forms,
        Ungrouped ungrouped,
        double placedFrom,
        SortedSet<String> stopWords,
        Set<StopAt> stopAt,
        SortedSet<String> ignored,
        SameHere same,
        Set<Intent> intentsApart) {

    /** What becomes of keywords that no theme takes. */
    public enum Ungrouped {
        /** They stay in no group. */
        APART("ungrouped.apart"),
        /** They join the nearest group, if they are near enough. */
        PLACED("ungrouped.placed"),
        /** They make one group, to be sorted by hand. */
        ONE_GROUP("ungrouped.one-group");

        private final Message label;

        Ungrouped(String label) {
            this.label = Message.of(label);
        }

        public Message label() {
            return label;
        }
    }

    /** A place of a stop word in a theme. */
    public enum StopAt {
        BEGIN("stop-at.begin"),
        END("stop-at.end"),
        WITHIN("stop-at.within");

        private final Message label;

        StopAt(String label) {
            this.label = Message.of(label);
        }

        public Message label() {
            return label;
        }
    }

    public GroupSettings {
        if (!(placedFrom >= 0 && placedFrom <= 1)) {
            throw new Refusal("group.group-settings.least-tightness-placed-keywords", placedFrom);
        }
        stopWords = Collections.unmodifiableSortedSet(new TreeSet<>(stopWords));
        stopAt = stopAt.isEmpty() ? Set.of() : Collections.unmodifiableSet(EnumSet.copyOf(stopAt));
        ignored = Collections.unmodifiableSortedSet(new TreeSet<>(ignored));
        intentsApart = intentsApart.isEmpty() ? Set.of() : Collections.unmodifiableSet(EnumSet.copyOf(intentsApart));
    }

    /** The same with another set of ignored words. */
    public GroupSettings withIgnored(SortedSet<String> words) {
        return new GroupSettings(method, forms, ungrouped, placedFrom, stopWords, stopAt, words, same, intentsApart);
    }

    /** The same with other words that count as one. */
    public GroupSettings with(SameHere others) {
        return new GroupSettings(
                method, forms, ungrouped, placedFrom, stopWords, stopAt, ignored, others, intentsApart);
    }

    /** The same with other passes. */
    public GroupSettings withPasses(Pass... others) {
        return with(new Method.ByThemes(List.of(others), Rank.BY_KEYWORDS));
    }

    /** The same with another method. */
    public GroupSettings with(Method other) {
        return new GroupSettings(other, forms, ungrouped, placedFrom, stopWords, stopAt, ignored, same, intentsApart);
    }

    /** The same with other intents kept apart. */
    public GroupSettings apart(Set<Intent> intents) {
        return new GroupSettings(method, forms, ungrouped, placedFrom, stopWords, stopAt, ignored, same, intents);
    }

    /** How themes are told, which also serves to split a group or to look for one: as set, else as usual. */
    public Method.ByThemes themes(Method.ByThemes usual) {
        return method.themes().orElse(usual);
    }
}

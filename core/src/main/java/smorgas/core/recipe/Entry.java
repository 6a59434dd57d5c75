package smorgas.core.recipe;

import java.util.Collections;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import smorgas.core.text.Message;

/**
 * One act in a project's history. An entry is never changed; undo moves a mark. Its persisted name and format are the
 * store's affair.
 */
public sealed interface Entry
        permits BasketEntry,
                FoldEntry,
                SiftEntry,
                GroupEntry,
                ServeEntry,
                ValueEntry,
                NoteEntry,
                RecipeTaken,
                VersionEntry {

    /** What an act touches after which anything may be otherwise. */
    String EVERYTHING = "everything";

    /**
     * What the act touches, as keys of which two acts share one if and only if the later could surprise the earlier: two
     * tabs that touch different things may both act.
     */
    Set<String> touches();

    /** Whether this act might surprise those who touched these things since the page was shown on which it was made. */
    default boolean surprises(Set<String> between) {
        return between.contains(EVERYTHING) || !Collections.disjoint(between, touches());
    }

    /** Who or what makes it, unless somebody else is named. */
    default Doer doneBy() {
        return Doer.YOU;
    }

    /** What was done, in the past tense, without a full stop. */
    Message sentence();

    /** The keys of keywords and of their other spellings. */
    static Set<String> keywords(List<String> texts, List<String> also) {
        Set<String> keys = keywords(texts);
        keys.addAll(keywords(also));
        return keys;
    }

    /** The keys of keywords. */
    static Set<String> keywords(List<String> texts) {
        Set<String> keys = new LinkedHashSet<>();
        texts.forEach(text -> keys.add("keyword:" + text));
        return keys;
    }

    /** One text in quotes; of several only how many there are, by the text of this key. */
    static Message oneOrCount(List<String> texts, String key) {
        return texts.size() == 1 ? Message.of("quoted", texts.getFirst()) : Message.of(key, texts.size());
    }
}

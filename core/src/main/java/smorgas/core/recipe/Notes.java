package smorgas.core.recipe;

import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.SortedMap;
import java.util.TreeMap;
import smorgas.core.recipe.gather.BasketInfo;

/**
 * What was written down beside keywords, groups and the project. What is written of a basket is part of its {@link BasketInfo}.
 *
 * @param keywords by tidy text; each spelling that the keyword had then has its note
 * @param groups by the group's key
 * @param project on the project; empty if nothing
 */
public record Notes(SortedMap<String, String> keywords, SortedMap<String, String> groups, String project) {

    /** Nothing written. */
    public static final Notes NONE = new Notes(new TreeMap<>(), new TreeMap<>(), "");

    public Notes {
        keywords = Collections.unmodifiableSortedMap(new TreeMap<>(keywords));
        groups = Collections.unmodifiableSortedMap(new TreeMap<>(groups));
    }

    /** After some entries, in order; of two notes on one thing the later one stands. */
    Notes after(List<NoteEntry> entries) {
        SortedMap<String, String> ofKeywords = new TreeMap<>(keywords);
        SortedMap<String, String> ofGroups = new TreeMap<>(groups);
        String ofProject = project;
        for (NoteEntry entry : entries) {
            switch (entry) {
                case NoteEntry.KeywordNoted noted -> {
                    write(ofKeywords, noted.text(), noted.note());
                    noted.also().forEach(text -> write(ofKeywords, text, noted.note()));
                }
                case NoteEntry.GroupNoted noted -> write(ofGroups, noted.group(), noted.note());
                case NoteEntry.ProjectNoted noted -> ofProject = noted.note();
            }
        }
        return new Notes(ofKeywords, ofGroups, ofProject);
    }

    private static void write(Map<String, String> notes, String of, String note) {
        if (note.isEmpty()) {
            notes.remove(of);
        } else {
            notes.put(of, note);
        }
    }
}

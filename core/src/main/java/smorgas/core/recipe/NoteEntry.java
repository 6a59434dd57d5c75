package smorgas.core.recipe;

import java.util.List;
import java.util.Set;
import smorgas.core.text.Message;
import smorgas.core.text.Refusal;

/** An entry by which something is written down beside a keyword, a group or the project; nothing follows from it. */
public sealed interface NoteEntry extends Entry {

    /** The most characters of a note. */
    int LONGEST = 2_000;

    /** What was written; empty where a note was taken away. */
    String note();

    /**
     * Beside a keyword.
     *
     * @param text its lead spelling at that time, tidy
     * @param also the tidy texts of its other spellings, so that the note finds its keyword however it is folded later
     * @param note at most {@value NoteEntry#LONGEST} characters; empty takes the note away
     */
    record KeywordNoted(String text, List<String> also, String note) implements NoteEntry {
        public KeywordNoted {
            also = List.copyOf(also);
            note = bounded(note);
        }

        @Override
        public Set<String> touches() {
            return Set.of("note:" + text);
        }

        @Override
        public Message sentence() {
            return said(note, text);
        }
    }

    /**
     * Beside a group.
     *
     * @param group by its key
     * @param note at most {@value NoteEntry#LONGEST} characters; empty takes the note away
     */
    record GroupNoted(String group, String note) implements NoteEntry {
        public GroupNoted {
            note = bounded(note);
        }

        @Override
        public Set<String> touches() {
            return Set.of("group note:" + group);
        }

        @Override
        public Message sentence() {
            return said(note, group);
        }
    }

    /**
     * On the project; it stands in what people are given to read.
     *
     * @param note at most {@value NoteEntry#LONGEST} characters; empty takes the note away
     */
    record ProjectNoted(String note) implements NoteEntry {
        public ProjectNoted {
            note = bounded(note);
        }

        @Override
        public Set<String> touches() {
            return Set.of("project note");
        }

        @Override
        public Message sentence() {
            return note.isEmpty()
                    ? Message.of("recipe.note-entry.took-note-on-project")
                    : Message.of("recipe.note-entry.noted-on-project", note);
        }
    }

    private static Message said(String note, String of) {
        return note.isEmpty()
                ? Message.of("recipe.note-entry.took-note-on-away", of)
                : Message.of("recipe.note-entry.noted-on", of, note);
    }

    private static String bounded(String note) {
        String stripped = note.strip();
        if (stripped.length() > LONGEST) {
            throw new Refusal("recipe.note-entry.note-most-2-000");
        }
        return stripped;
    }
}

package smorgas.core.recipe;

import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import smorgas.core.figure.Figure;
import smorgas.core.figure.Merge;
import smorgas.core.recipe.fold.Cleaning;
import smorgas.core.recipe.fold.FoldKind;
import smorgas.core.recipe.fold.WordPair;
import smorgas.core.recipe.sift.Rule;
import smorgas.core.text.Refusal;

/** An entry about what is one keyword, and what figures it has. */
public sealed interface FoldEntry extends Entry {
    /** A kind of folding was switched on or off. */
    record FoldKindSwitched(FoldKind kind, boolean on) implements FoldEntry {
        @Override
        public Set<String> touches() {
            return Set.of("fold:" + kind);
        }

        @Override
        public String sentence() {
            return "Switched folding of " + kind.label().toLowerCase(Locale.ENGLISH) + (on ? " on" : " off");
        }
    }

    /**
     * The list of little words was changed.
     *
     * @param words all of it, tidy and distinct
     */
    record LittleWordsChosen(List<String> words) implements FoldEntry {
        public LittleWordsChosen {
            words = List.copyOf(words);
        }

        @Override
        public Set<String> touches() {
            return Set.of("little words");
        }

        @Override
        public String sentence() {
            return "Set the list of little words to " + Entry.count(words.size(), "word");
        }
    }

    /** Words that look misspelt were accepted as such, or said to be right. */
    record MisspellingsJudged(List<WordPair> pairs, boolean accepted) implements FoldEntry {
        public MisspellingsJudged {
            pairs = List.copyOf(pairs);
            if (pairs.isEmpty()) {
                throw new Refusal("No misspelling was chosen");
            }
        }

        @Override
        public Set<String> touches() {
            Set<String> keys = new LinkedHashSet<>();
            pairs.forEach(pair -> keys.add("misspelling:" + pair.wrong()));
            return keys;
        }

        @Override
        public String sentence() {
            WordPair first = pairs.getFirst();
            if (pairs.size() > 1) {
                return (accepted ? "Accepted " : "Refused ") + Entry.count(pairs.size(), "misspelling");
            }
            return accepted
                    ? "Took \"" + first.wrong() + "\" for \"" + first.right() + "\""
                    : "Left \"" + first.wrong() + "\" as it is";
        }
    }

    /** A pin: each of these tidy texts is a keyword of its own. */
    record SpellingsTakenOut(List<String> texts) implements FoldEntry {
        public SpellingsTakenOut {
            texts = List.copyOf(texts);
            if (texts.isEmpty()) {
                throw new Refusal("No spelling was chosen");
            }
        }

        @Override
        public Set<String> touches() {
            return Entry.keywords(texts);
        }

        @Override
        public String sentence() {
            return texts.size() == 1
                    ? "Took \"" + texts.getFirst() + "\" out of its keyword"
                    : "Took " + Entry.count(texts.size(), "spelling") + " apart";
        }
    }

    /** A pin: the keywords that these tidy texts are in are one. */
    record KeywordsJoined(List<String> texts) implements FoldEntry {
        public KeywordsJoined {
            texts = List.copyOf(texts);
            if (texts.size() < 2) {
                throw new Refusal("Choose two keywords or more to be joined");
            }
        }

        @Override
        public Set<String> touches() {
            return Entry.keywords(texts);
        }

        @Override
        public String sentence() {
            return "Joined " + Entry.count(texts.size(), "keyword") + " into \"" + texts.getFirst() + "\"";
        }
    }

    /** A pin: this tidy text is the lead spelling of the keyword that it is in. */
    record LeadChosen(String text) implements FoldEntry {
        @Override
        public Set<String> touches() {
            return Entry.keywords(List.of(text));
        }

        @Override
        public String sentence() {
            return "Made \"" + text + "\" the lead spelling";
        }
    }

    /** A cleaning was put behind the others. */
    record CleaningAdded(int number, Cleaning cleaning) implements FoldEntry {
        public CleaningAdded {
            Rule.checkNumber(number);
        }

        @Override
        public Set<String> touches() {
            return Set.of("cleaning:" + number);
        }

        @Override
        public String sentence() {
            return "Cleaning: " + cleaning.sentence();
        }
    }

    /** A cleaning was taken away. */
    record CleaningRemoved(int number) implements FoldEntry {
        @Override
        public Set<String> touches() {
            return Set.of("cleaning:" + number);
        }

        @Override
        public String sentence() {
            return "Took cleaning " + number + " away";
        }
    }

    /** How a figure is merged when lines disagree was chosen. */
    record MergeChosen(Figure figure, Merge merge) implements FoldEntry {
        @Override
        public Set<String> touches() {
            return Set.of("merge:" + figure);
        }

        @Override
        public String sentence() {
            return figure.label() + " now take " + merge.label();
        }
    }
}

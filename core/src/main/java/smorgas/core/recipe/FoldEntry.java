package smorgas.core.recipe;

import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import smorgas.core.figure.Figure;
import smorgas.core.figure.Merge;
import smorgas.core.recipe.fold.Cleaning;
import smorgas.core.recipe.fold.FoldKind;
import smorgas.core.recipe.fold.WordPair;
import smorgas.core.recipe.sift.Rule;
import smorgas.core.text.Message;
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
        public Message sentence() {
            return Message.of("recipe.fold-entry.switched-folding-on", kind.word(), on);
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
        public Message sentence() {
            return Message.of("recipe.fold-entry.set-list-little-words", words.size());
        }
    }

    /** Words that look misspelt were accepted as such, or said to be right. */
    record MisspellingsJudged(List<WordPair> pairs, boolean accepted) implements FoldEntry {
        public MisspellingsJudged {
            pairs = List.copyOf(pairs);
            if (pairs.isEmpty()) {
                throw new Refusal("recipe.fold-entry.misspelling-chosen");
            }
        }

        @Override
        public Set<String> touches() {
            Set<String> keys = new LinkedHashSet<>();
            pairs.forEach(pair -> keys.add("misspelling:" + pair.wrong()));
            return keys;
        }

        @Override
        public Message sentence() {
            WordPair first = pairs.getFirst();
            if (pairs.size() > 1) {
                return Message.of("recipe.fold-entry.accepted-misspelling", accepted, pairs.size());
            }
            return accepted
                    ? Message.of("recipe.fold-entry.took-for", first.wrong(), first.right())
                    : Message.of("recipe.fold-entry.left-as-it-is", first.wrong());
        }
    }

    /** A decision: each of these tidy texts is a keyword of its own. */
    record SpellingsTakenOut(List<String> texts) implements FoldEntry {
        public SpellingsTakenOut {
            texts = List.copyOf(texts);
            if (texts.isEmpty()) {
                throw new Refusal("recipe.fold-entry.spelling-chosen");
            }
        }

        @Override
        public Set<String> touches() {
            return Entry.keywords(texts);
        }

        @Override
        public Message sentence() {
            return texts.size() == 1
                    ? Message.of("recipe.fold-entry.took-out-keyword", texts.getFirst())
                    : Message.of("recipe.fold-entry.took-spelling-apart", texts.size());
        }
    }

    /** A decision: the keywords that these tidy texts are in are one. */
    record KeywordsJoined(List<String> texts) implements FoldEntry {
        public KeywordsJoined {
            texts = List.copyOf(texts);
            if (texts.size() < 2) {
                throw new Refusal("recipe.fold-entry.choose-two-keywords-more");
            }
        }

        @Override
        public Set<String> touches() {
            return Entry.keywords(texts);
        }

        @Override
        public Message sentence() {
            return Message.of("recipe.fold-entry.joined-keyword-into", texts.size(), texts.getFirst());
        }
    }

    /** A decision: this tidy text is the lead spelling of the keyword that it is in. */
    record LeadChosen(String text) implements FoldEntry {
        @Override
        public Set<String> touches() {
            return Entry.keywords(List.of(text));
        }

        @Override
        public Message sentence() {
            return Message.of("recipe.fold-entry.made-lead-spelling", text);
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
        public Message sentence() {
            return Message.of("recipe.fold-entry.cleaning", cleaning.sentence());
        }
    }

    /** A cleaning was taken away. */
    record CleaningRemoved(int number) implements FoldEntry {
        @Override
        public Set<String> touches() {
            return Set.of("cleaning:" + number);
        }

        @Override
        public Message sentence() {
            return Message.of("recipe.fold-entry.took-cleaning-away", number);
        }
    }

    /** How a figure is merged when lines disagree was chosen. */
    record MergeChosen(Figure figure, Merge merge) implements FoldEntry {
        @Override
        public Set<String> touches() {
            return Set.of("merge:" + figure);
        }

        @Override
        public Message sentence() {
            return Message.of("recipe.fold-entry.now-take", figure.label(), merge.label());
        }
    }
}

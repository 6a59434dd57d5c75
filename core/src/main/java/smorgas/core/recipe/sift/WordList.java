package smorgas.core.recipe.sift;

import java.util.List;
import java.util.Optional;
import smorgas.core.recipe.value.Intent;
import smorgas.core.text.Message;
import smorgas.core.text.Refusal;
import smorgas.core.text.Tidy;

/**
 * A word list of the pantry, in one version of it.
 *
 * @param name tells it apart; not blank, at most 100 characters
 * @param language a two-letter code, or empty if the words are of none in particular
 * @param version from 1; a changed list is another version of the same name
 * @param words words and phrases, tidy, distinct
 */
public record WordList(String name, String language, Kind kind, int version, List<String> words) {

    /** The most entries of a list. */
    public static final int MOST = 200_000;

    /** What the words of a list have in common. */
    public enum Kind {
        STOP_WORDS("word-list.stop-words"),
        LITTLE_WORDS("word-list.little-words"),
        QUESTION_OPENERS("word-list.question-openers"),
        BUYING("word-list.buying"),
        PRICE("word-list.price"),
        PLACES("word-list.places"),
        BRANDS("word-list.brands"),
        NEGATIVES("word-list.negatives"),
        INFORMATIONAL("word-list.informational"),
        COMMERCIAL("word-list.commercial"),
        TRANSACTIONAL("word-list.transactional"),
        LOCAL("word-list.local"),
        NAVIGATIONAL("word-list.navigational"),
        SAME_MEANING("word-list.same-meaning"),
        OTHER("word-list.other");

        private final Message label;

        Kind(String label) {
            this.label = Message.of(label);
        }

        public Message label() {
            return label;
        }

        /** What the list of this kind is called that ships for a language. */
        public String shippedName(String language) {
            String english = label.toString();
            return Character.toUpperCase(english.charAt(0)) + english.substring(1) + " (" + language + ")";
        }

        /** What the words of this kind say of what keywords are for, above all else; empty if nothing of that. */
        public Optional<Intent> intent() {
            return switch (this) {
                case INFORMATIONAL -> Optional.of(Intent.INFORMATIONAL);
                case COMMERCIAL -> Optional.of(Intent.COMMERCIAL);
                case TRANSACTIONAL -> Optional.of(Intent.TRANSACTIONAL);
                case LOCAL -> Optional.of(Intent.LOCAL);
                case NAVIGATIONAL -> Optional.of(Intent.NAVIGATIONAL);
                default -> Optional.empty();
            };
        }
    }

    public WordList {
        words = List.copyOf(words);
        if (name.isBlank() || smorgas.core.text.Characters.count(name) > 100) {
            throw new Refusal("sift.word-list.word-list-name-1");
        }
        if (words.size() > MOST) {
            throw new Refusal("sift.word-list.word-list-entries-most", MOST, words.size());
        }
    }

    /** A list as a text gives it, an entry a line: tidied, each once, blank lines and those that begin with # left out. */
    public static WordList of(String name, String language, Kind kind, String text) {
        if (!language.strip().matches("[a-z]{0,8}")) {
            throw new Refusal("sift.word-list.word-list-names-language");
        }
        List<String> words = text.lines()
                .filter(line -> !line.startsWith("#"))
                .map(Tidy::of)
                .filter(word -> !word.isEmpty())
                .distinct()
                .toList();
        return new WordList(name.strip(), language.strip(), kind, 1, words);
    }

    /** Whether it says the same, whatever its version. */
    public boolean same(WordList other) {
        return words.equals(other.words) && kind == other.kind && language.equals(other.language);
    }
}

package smorgas.core.recipe.fold;

import java.util.List;
import java.util.Locale;
import smorgas.core.text.Message;
import smorgas.core.text.Refusal;

/**
 * A change that is made to the tidy text of every line before it is folded; lines themselves never change. What is
 * nothing afterwards is set aside.
 */
public sealed interface Cleaning {

    /** The most characters that a text to be found or put in may have. */
    int LONGEST = 200;

    /** The most characters that a cleaning may make of a text; one that was longer before may stay so long. */
    int LONGEST_MADE = 4_000;

    /** How many times as long as they were all texts of a project together may become. */
    int MOST_TIMES = 10;

    /** How a text is found in a keyword. */
    enum Match {
        /** Anywhere, also inside words. */
        ANYWHERE("cleaning-match.anywhere"),
        /** As whole words next to each other. */
        WORDS("cleaning-match.words"),
        /** By a regular expression, run in linear time. */
        PATTERN("cleaning-match.pattern");

        private final Message label;

        Match(String label) {
            this.label = Message.of(label);
        }

        public Message label() {
            return label;
        }
    }

    /** A script that keywords can be written in; the names are those of the Unicode Standard's property Script. */
    enum Script {
        LATIN,
        CYRILLIC,
        GREEK,
        ARABIC,
        HEBREW,
        HAN,
        HANGUL,
        HIRAGANA,
        KATAKANA,
        DEVANAGARI,
        THAI;

        public Message label() {
            return Message.of("script." + name().toLowerCase(Locale.ROOT));
        }
    }

    /** What it does, as an order without a full stop. */
    Message sentence();

    /** Puts a text in the place of another; nothing in its place takes it away. */
    record Replace(Match match, String find, String with) implements Cleaning {
        public Replace {
            bounded(find);
            bounded(with);
            if (find.isEmpty()) {
                throw new Refusal("fold.cleaning.say-what-found");
            }
        }

        @Override
        public Message sentence() {
            return with.isEmpty()
                    ? Message.of("fold.cleaning.take-out", match.label(), find)
                    : Message.of("fold.cleaning.replace-by", match.label(), find, with);
        }
    }

    /** Puts words before and behind every keyword that does not begin or end so yet. */
    record Affix(String before, String behind) implements Cleaning {
        public Affix {
            bounded(before);
            bounded(behind);
            if (before.isBlank() && behind.isBlank()) {
                throw new Refusal("fold.cleaning.say-what-put-before");
            }
        }

        @Override
        public Message sentence() {
            String front = before.isBlank() ? "" : "\"" + before + "\" before";
            String back = behind.isBlank() ? "" : "\"" + behind + "\" behind";
            return Message.of("fold.cleaning.put-every-keyword", front, front.isEmpty() || back.isEmpty(), back);
        }
    }

    /** Sets aside every keyword that has a letter of another script than these. */
    record KeepScripts(List<Script> scripts) implements Cleaning {
        public KeepScripts {
            scripts = List.copyOf(scripts);
            if (scripts.isEmpty()) {
                throw new Refusal("fold.cleaning.choose-script-keep");
            }
        }

        @Override
        public Message sentence() {
            return Message.of(
                    "fold.cleaning.keep-only-keywords",
                    List.copyOf(scripts.stream().map(Script::label).toList()));
        }
    }

    /** Takes years out: numbers from 1900 to 2099 that stand alone. */
    record StripYears() implements Cleaning {
        @Override
        public Message sentence() {
            return Message.of("fold.cleaning.take-out-years");
        }
    }

    /** Takes out phrases of a list, such as places, as whole words; of two that overlap the longer one. */
    record StripPhrases(List<String> phrases) implements Cleaning {
        public StripPhrases {
            phrases = phrases.stream().filter(phrase -> !phrase.isBlank()).toList();
            if (phrases.isEmpty()) {
                throw new Refusal("fold.cleaning.say-which-places-taken");
            }
            phrases.forEach(StripPhrases::check);
        }

        private static void check(String phrase) {
            bounded(phrase);
        }

        @Override
        public Message sentence() {
            return phrases.size() == 1
                    ? Message.of("fold.cleaning.take-out-place", phrases.getFirst())
                    : Message.of("fold.cleaning.take-out-places-such", phrases.size(), phrases.getFirst());
        }
    }

    private static void bounded(String text) {
        if (text.length() > LONGEST) {
            throw new Refusal("fold.cleaning.text-find-put-characters", LONGEST);
        }
    }
}

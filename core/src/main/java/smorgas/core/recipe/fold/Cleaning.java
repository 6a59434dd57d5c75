package smorgas.core.recipe.fold;

import java.util.List;
import java.util.Locale;
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
        ANYWHERE("the characters"),
        /** As whole words next to each other. */
        WORDS("the words"),
        /** By a regular expression, run in linear time. */
        PATTERN("the pattern");

        private final String label;

        Match(String label) {
            this.label = label;
        }

        public String label() {
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

        public String label() {
            return name().charAt(0) + name().substring(1).toLowerCase(Locale.ENGLISH);
        }
    }

    /** What it does, as an order without a full stop. */
    String sentence();

    /** Puts a text in the place of another; nothing in its place takes it away. */
    record Replace(Match match, String find, String with) implements Cleaning {
        public Replace {
            bounded(find);
            bounded(with);
            if (find.isEmpty()) {
                throw new Refusal("Say what is to be found");
            }
        }

        @Override
        public String sentence() {
            return with.isEmpty()
                    ? "Take out " + match.label() + " \"" + find + "\""
                    : "Replace " + match.label() + " \"" + find + "\" by \"" + with + "\"";
        }
    }

    /** Puts words before and behind every keyword that does not begin or end so yet. */
    record Affix(String before, String behind) implements Cleaning {
        public Affix {
            bounded(before);
            bounded(behind);
            if (before.isBlank() && behind.isBlank()) {
                throw new Refusal("Say what is to be put before or behind");
            }
        }

        @Override
        public String sentence() {
            String front = before.isBlank() ? "" : "\"" + before + "\" before";
            String back = behind.isBlank() ? "" : "\"" + behind + "\" behind";
            return "Put " + front + (front.isEmpty() || back.isEmpty() ? "" : " and ") + back + " every keyword";
        }
    }

    /** Sets aside every keyword that has a letter of another script than these. */
    record KeepScripts(List<Script> scripts) implements Cleaning {
        public KeepScripts {
            scripts = List.copyOf(scripts);
            if (scripts.isEmpty()) {
                throw new Refusal("Choose a script to keep");
            }
        }

        @Override
        public String sentence() {
            return "Keep only keywords in "
                    + String.join(", ", scripts.stream().map(Script::label).toList());
        }
    }

    /** Takes years out: numbers from 1900 to 2099 that stand alone. */
    record StripYears() implements Cleaning {
        @Override
        public String sentence() {
            return "Take out years";
        }
    }

    /** Takes out phrases of a list, such as places, as whole words; of two that overlap the longer one. */
    record StripPhrases(List<String> phrases) implements Cleaning {
        public StripPhrases {
            phrases = phrases.stream().filter(phrase -> !phrase.isBlank()).toList();
            if (phrases.isEmpty()) {
                throw new Refusal("Say which places are to be taken out, one a line");
            }
            phrases.forEach(StripPhrases::check);
        }

        private static void check(String phrase) {
            bounded(phrase);
        }

        @Override
        public String sentence() {
            return phrases.size() == 1
                    ? "Take out the place \"" + phrases.getFirst() + "\""
                    : String.format(
                            Locale.ENGLISH, "Take out %,d places, such as \"%s\"", phrases.size(), phrases.getFirst());
        }
    }

    private static void bounded(String text) {
        if (text.length() > LONGEST) {
            throw new Refusal("A text to find or put in has " + LONGEST + " characters at most");
        }
    }
}

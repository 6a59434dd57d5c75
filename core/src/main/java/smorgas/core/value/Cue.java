package smorgas.core.value;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import smorgas.core.language.Lexicon;
import smorgas.core.recipe.value.Intent;

/**
 * What a word, a phrase or a form of keywords says of what they are for.
 *
 * @param strength from 1 to 100; the strongest cue of a keyword leads
 * @param form what a keyword must have of it
 * @param words tidy; empty where the form needs none
 */
record Cue(Intent intent, int strength, Form form, String words) {

    /** What of a cue stands in a keyword. */
    enum Form {
        /** Its words, anywhere. */
        HAS,
        /** Its words, where the keyword begins. */
        BEGINS,
        /** What a hand has said so of, in words. */
        SAID,
        /** A number with its unit, such as 60m or 10x8. */
        SIZE,
        /** Whatever a keyword is: what says nothing of itself. */
        ELSE
    }

    private static final Pattern LINE = Pattern.compile("([a-z]+) (\\d{1,3}): (.+)");

    private static final Map<String, List<Cue>> SHIPPED = new ConcurrentHashMap<>();

    /** Those that ship for a language; none where there is no list for it. */
    static List<Cue> shipped(String language) {
        return SHIPPED.computeIfAbsent(language, code -> parse(Lexicon.of(code).lines("intents.txt")));
    }

    private static List<Cue> parse(List<String> lines) {
        List<Cue> cues = new ArrayList<>();
        for (String line : lines) {
            Matcher parts = LINE.matcher(line);
            if (!parts.matches()) {
                throw new IllegalStateException("no cue: " + line);
            }
            Intent intent = Intent.valueOf(parts.group(1).toUpperCase(Locale.ROOT));
            int strength = Integer.parseInt(parts.group(2));
            for (String words : parts.group(3).split(",")) {
                cues.add(of(intent, strength, words.strip()));
            }
        }
        return List.copyOf(cues);
    }

    /** As shipped files write it; what people type is never read so. */
    private static Cue of(Intent intent, int strength, String written) {
        return switch (written) {
            case "{size}" -> new Cue(intent, strength, Form.SIZE, "");
            case "{else}" -> new Cue(intent, strength, Form.ELSE, "");
            default ->
                written.startsWith("^")
                        ? new Cue(intent, strength, Form.BEGINS, written.substring(1))
                        : new Cue(intent, strength, Form.HAS, written);
        };
    }
}

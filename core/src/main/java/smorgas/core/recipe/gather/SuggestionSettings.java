package smorgas.core.recipe.gather;

import java.util.ArrayList;
import java.util.Collections;
import java.util.EnumSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import smorgas.core.text.Characters;
import smorgas.core.text.Message;
import smorgas.core.text.Refusal;
import smorgas.core.text.Tidy;

/**
 * Suggestions that are asked for.
 *
 * @param seeds words or phrases, tidy, each once; 1 to {@value #MOST_SEEDS}
 * @param around what is asked for each of them; at least one way
 * @param letters that stand behind or before a seed, one after the other; tidy
 * @param words openers or endings that stand before or behind a seed; tidy
 * @param rounds how often what came new is asked again, the first time included: 1 to {@value #MOST_ROUNDS}
 * @param most queries of a round at each source, 1 to {@value #MOST_QUERIES}
 * @param sources the names of those that are asked; at least one
 * @param language ISO 639-1 code
 * @param place where those who search are; may be empty
 */
public record SuggestionSettings(
        List<String> seeds,
        Set<Around> around,
        List<String> letters,
        List<String> words,
        int rounds,
        int most,
        List<String> sources,
        String language,
        String place) {

    public static final int MOST_SEEDS = 1_000;
    public static final int MOST_ROUNDS = 4;
    public static final int MOST_QUERIES = 20_000;

    /** So many queries of a round unless one says otherwise. */
    public static final int USUAL = 2_000;

    /** The letters that are commonly put behind a seed (common practice). */
    public static final List<String> ALPHABET =
            "abcdefghijklmnopqrstuvwxyz".chars().mapToObj(Character::toString).toList();

    private static final int MOST_WORDS = 2_000;
    private static final int LONGEST = 200;

    /** What is asked for a seed. */
    public enum Around {
        ALONE("suggestions-around.alone"),
        LETTERS_BEHIND("suggestions-around.letters-behind"),
        LETTERS_BEFORE("suggestions-around.letters-before"),
        WORDS_BEHIND("suggestions-around.words-behind"),
        WORDS_BEFORE("suggestions-around.words-before");

        private final Message label;

        Around(String label) {
            this.label = Message.of(label);
        }

        public Message label() {
            return label;
        }
    }

    /** A query that a source was not asked yet. */
    public record Left(String source, String query) {}

    /** A query that a source did not answer, and why. */
    public record Failed(String source, Message query, Message why) {}

    public SuggestionSettings {
        seeds = tidy(seeds, MOST_SEEDS, "gather.suggestions.what-seeds");
        letters = tidy(letters, 200, "gather.suggestions.what-letters");
        words = tidy(words, MOST_WORDS, "gather.suggestions.what-words");
        around = around.isEmpty() ? Set.of() : Collections.unmodifiableSet(EnumSet.copyOf(around));
        sources = List.copyOf(sources);
        if (seeds.isEmpty()) {
            throw new Refusal("gather.suggestions.write-seed-least-one");
        }
        if (around.isEmpty()) {
            throw new Refusal("gather.suggestions.say-what-asked-each");
        }
        if (words.isEmpty() && (around.contains(Around.WORDS_BEHIND) || around.contains(Around.WORDS_BEFORE))) {
            throw new Refusal("gather.suggestions.write-words-stand-before");
        }
        if (letters.isEmpty() && (around.contains(Around.LETTERS_BEHIND) || around.contains(Around.LETTERS_BEFORE))) {
            throw new Refusal("gather.suggestions.write-letters-stand-before");
        }
        if (sources.isEmpty()) {
            throw new Refusal("gather.suggestions.choose-source-least");
        }
        if (rounds < 1 || rounds > MOST_ROUNDS) {
            throw new Refusal("gather.suggestions.1-rounds", MOST_ROUNDS);
        }
        if (most < 1 || most > MOST_QUERIES) {
            throw new Refusal("gather.suggestions.round-1-20-000");
        }
        if (place.length() > LONGEST) {
            throw new Refusal("gather.suggestions.place-most-characters", LONGEST);
        }
    }

    private static List<String> tidy(List<String> texts, int most, String what) {
        List<String> tidy = texts.stream()
                .map(Tidy::of)
                .filter(text -> !text.isEmpty())
                .distinct()
                .toList();
        if (tidy.size() > most) {
            throw new Refusal("gather.suggestions.at-most", most, Message.of(what));
        }
        tidy.forEach(text -> {
            if (Characters.count(text) > LONGEST) {
                throw new Refusal("gather.suggestions.what-asked-most-characters", LONGEST);
            }
        });
        return tidy;
    }

    /** The queries of the first round, each once, in the order in which they are asked; they may be more than are allowed. */
    public List<String> queries() {
        Set<String> queries = new LinkedHashSet<>();
        for (String seed : seeds) {
            for (Around one : Around.values()) {
                if (around.contains(one)) {
                    queries.addAll(queries(seed, one));
                }
            }
        }
        return List.copyOf(queries);
    }

    private List<String> queries(String seed, Around one) {
        List<String> queries = new ArrayList<>();
        switch (one) {
            case ALONE -> queries.add(seed);
            case LETTERS_BEHIND -> letters.forEach(letter -> queries.add(seed + " " + letter));
            case LETTERS_BEFORE -> letters.forEach(letter -> queries.add(letter + " " + seed));
            case WORDS_BEHIND -> words.forEach(word -> queries.add(seed + " " + word));
            case WORDS_BEFORE -> words.forEach(word -> queries.add(word + " " + seed));
        }
        return queries;
    }
}

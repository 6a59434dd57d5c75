package smorgas.core.recipe.value;

import java.util.Collections;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.SequencedMap;
import java.util.Set;
import smorgas.core.text.Refusal;
import smorgas.core.text.Tidy;

/**
 * How a keyword's promise is judged: one's own weights, and classes with the share of keywords that each aims at.
 *
 * @param weights of each factor from -100 to 100; below 0 the less the better. None for no verdict
 * @param intents how good each intent is, from 0 to 100; one that is not named is 50
 * @param words how much a word or phrase adds, from -100 to 100, tidy
 * @param classes the best first; their shares are 100 per cent together
 */
public record PromiseSettings(
        Map<Factor, Integer> weights,
        Map<Intent, Integer> intents,
        SequencedMap<String, Integer> words,
        List<PromiseClass> classes) {

    /** What a verdict weighs. */
    public enum Factor {
        SEARCHES("Searches"),
        /** The high bid, else the CPC. */
        BID("Bid"),
        COMPETITION("Competition"),
        DIFFICULTY("Difficulty"),
        INTENT("Intent"),
        WORDS("Words");

        private final String label;

        Factor(String label) {
            this.label = label;
        }

        public String label() {
            return label;
        }
    }

    /**
     * A class.
     *
     * @param name of 1 to 40 characters
     * @param share of the keywords, in per cent, that it aims at
     */
    public record PromiseClass(String name, int share) {
        public PromiseClass {
            name = name.strip();
            if (name.isEmpty() || name.length() > 40) {
                throw new Refusal("A class has a name of 1 to 40 characters");
            }
            if (share < 0 || share > 100) {
                throw new Refusal("The class \"" + name + "\" aims at 0 to 100% of the keywords, not " + share);
            }
        }
    }

    private static final int MOST = 100;
    private static final int MOST_WORDS = 1_000;

    private static final List<PromiseClass> USUAL_CLASSES = List.of(
            new PromiseClass("best tenth", 10),
            new PromiseClass("good", 30),
            new PromiseClass("fair", 30),
            new PromiseClass("rest", 30));

    /** No verdict. */
    public static final PromiseSettings NONE =
            new PromiseSettings(Map.of(), Map.of(), new LinkedHashMap<>(), USUAL_CLASSES);

    /** For search ads: who is about to buy, and is searched for where few others bid. */
    public static final PromiseSettings FOR_ADS = new PromiseSettings(
            Map.of(Factor.SEARCHES, 40, Factor.COMPETITION, -15, Factor.INTENT, 45),
            Map.of(
                    Intent.TRANSACTIONAL, 100,
                    Intent.COMMERCIAL, 80,
                    Intent.LOCAL, 70,
                    Intent.NAVIGATIONAL, 20,
                    Intent.INFORMATIONAL, 10),
            new LinkedHashMap<>(),
            USUAL_CLASSES);

    /** For pages that are to be found: much searched, easy to rank for, and worth writing about. */
    public static final PromiseSettings FOR_PAGES = new PromiseSettings(
            Map.of(Factor.SEARCHES, 45, Factor.DIFFICULTY, -35, Factor.INTENT, 20),
            Map.of(
                    Intent.INFORMATIONAL, 90,
                    Intent.COMMERCIAL, 100,
                    Intent.TRANSACTIONAL, 60,
                    Intent.LOCAL, 50,
                    Intent.NAVIGATIONAL, 10),
            new LinkedHashMap<>(),
            USUAL_CLASSES);

    public PromiseSettings {
        weights.forEach((factor, weight) -> require(factor.label(), weight, -MOST));
        intents.forEach((intent, points) -> require("The intent " + intent.label(), points, 0));
        words.forEach((word, points) -> {
            if (word.isBlank()) {
                throw new Refusal("Say which word");
            }
            require("\"" + word + "\"", points, -MOST);
        });
        if (words.size() > MOST_WORDS) {
            throw new Refusal("At most " + MOST_WORDS + " words");
        }
        if (classes.isEmpty() || classes.size() > 12) {
            throw new Refusal("There are 1 to 12 classes");
        }
        Set<String> names = new LinkedHashSet<>();
        int all = 0;
        for (PromiseClass one : classes) {
            all += one.share();
            if (!names.add(one.name())) {
                throw new Refusal("Two classes are called \"" + one.name() + "\"");
            }
        }
        if (all != MOST) {
            throw new Refusal("The shares of the classes are " + all + "% together, and should be 100%");
        }
        Map<Factor, Integer> weighed = new EnumMap<>(Factor.class);
        weights.forEach((factor, weight) -> {
            if (weight != 0) {
                weighed.put(factor, weight);
            }
        });
        Map<Intent, Integer> points = new EnumMap<>(Intent.class);
        points.putAll(intents);
        weights = Collections.unmodifiableMap(weighed);
        intents = Collections.unmodifiableMap(points);
        words = Collections.unmodifiableSequencedMap(new LinkedHashMap<>(words));
        classes = List.copyOf(classes);
    }

    private static void require(String what, int number, int least) {
        if (number < least || number > MOST) {
            throw new Refusal(what + " weighs " + least + " to " + MOST + ", not " + number);
        }
    }

    /** Whether anything is weighed. */
    public boolean asks() {
        return !weights.isEmpty();
    }

    /**
     * Words with their points as people write them, such as {@code plastic, -20}, one a line.
     *
     * @throws Refusal that names the line that is wrong
     */
    public static SequencedMap<String, Integer> words(String text) {
        SequencedMap<String, Integer> words = new LinkedHashMap<>();
        pairs(text, "words").forEach(pair -> words.putLast(Tidy.of(pair.name()), pair.number()));
        return words;
    }

    /**
     * Classes with their shares as people write them, such as {@code best tenth, 10}, one a line.
     *
     * @throws Refusal that names the line that is wrong
     */
    public static List<PromiseClass> classes(String text) {
        return pairs(text, "classes").stream()
                .map(pair -> new PromiseClass(pair.name(), pair.number()))
                .toList();
    }

    private record Pair(String name, int number) {}

    private static List<Pair> pairs(String text, String what) {
        List<Pair> pairs = new java.util.ArrayList<>();
        List<String> lines =
                text.strip().isEmpty() ? List.of() : text.strip().lines().toList();
        for (int i = 0; i < lines.size(); i++) {
            String line = lines.get(i).strip();
            int comma = line.lastIndexOf(',');
            String number =
                    comma < 0 ? "" : line.substring(comma + 1).replace("%", "").strip();
            if (comma <= 0 || !number.matches("[+-]?\\d{1,3}")) {
                throw new Refusal("Line " + (i + 1) + " of the " + what
                        + (line.isEmpty() ? " is empty" : ", \"" + line + "\", cannot be read")
                        + ": write a name, a comma and a whole number");
            }
            pairs.add(new Pair(line.substring(0, comma).strip(), Integer.parseInt(number)));
        }
        return pairs;
    }
}

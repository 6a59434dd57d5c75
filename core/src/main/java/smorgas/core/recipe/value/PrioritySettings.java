package smorgas.core.recipe.value;

import java.util.Collections;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.SequencedMap;
import java.util.Set;
import smorgas.core.text.Message;
import smorgas.core.text.Refusal;
import smorgas.core.text.Tidy;

/**
 * How a keyword's priority is judged: one's own weights, and classes with the share of keywords that each aims at.
 *
 * @param weights of each factor from -100 to 100; below 0 the less the better. None for no verdict
 * @param intents how good each intent is, from 0 to 100; one that is not named is 50
 * @param words how much a word or phrase adds, from -100 to 100, tidy
 * @param classes the best first; their shares are 100 per cent together
 */
public record PrioritySettings(
        Map<Factor, Integer> weights,
        Map<Intent, Integer> intents,
        SequencedMap<String, Integer> words,
        List<PriorityClass> classes) {

    /** What a verdict weighs. */
    public enum Factor {
        SEARCHES("priority-factor.searches"),
        /** The high bid, else the CPC. */
        BID("priority-factor.bid"),
        COMPETITION("priority-factor.competition"),
        DIFFICULTY("priority-factor.difficulty"),
        INTENT("priority-factor.intent"),
        WORDS("priority-factor.words");

        private final Message label;

        Factor(String label) {
            this.label = Message.of(label);
        }

        public Message label() {
            return label;
        }

        /** The same within a sentence. */
        public Message word() {
            return Message.of(label.key() + ".word");
        }
    }

    /**
     * A class.
     *
     * @param name of 1 to 40 characters
     * @param share of the keywords, in per cent, that it aims at
     */
    public record PriorityClass(String name, int share) {
        public PriorityClass {
            name = name.strip();
            if (name.isEmpty() || name.length() > 40) {
                throw new Refusal("value.priority-settings.class-name-1-40");
            }
            if (share < 0 || share > 100) {
                throw new Refusal("value.priority-settings.class-aims-0-100", name, share);
            }
        }
    }

    private static final int MOST = 100;
    private static final int MOST_WORDS = 1_000;

    private static final List<PriorityClass> USUAL_CLASSES = List.of(
            new PriorityClass("best tenth", 10),
            new PriorityClass("good", 30),
            new PriorityClass("fair", 30),
            new PriorityClass("rest", 30));

    /** No verdict. */
    public static final PrioritySettings NONE =
            new PrioritySettings(Map.of(), Map.of(), new LinkedHashMap<>(), USUAL_CLASSES);

    /** For search ads: who is about to buy, and is searched for where few others bid. */
    public static final PrioritySettings FOR_ADS = new PrioritySettings(
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
    public static final PrioritySettings FOR_PAGES = new PrioritySettings(
            Map.of(Factor.SEARCHES, 45, Factor.DIFFICULTY, -35, Factor.INTENT, 20),
            Map.of(
                    Intent.INFORMATIONAL, 90,
                    Intent.COMMERCIAL, 100,
                    Intent.TRANSACTIONAL, 60,
                    Intent.LOCAL, 50,
                    Intent.NAVIGATIONAL, 10),
            new LinkedHashMap<>(),
            USUAL_CLASSES);

    public PrioritySettings {
        weights.forEach((factor, weight) -> require(factor.label(), weight, -MOST));
        intents.forEach((intent, points) ->
                require(Message.of("value.priority-settings.the-intent", intent.label()), points, 0));
        words.forEach((word, points) -> {
            if (word.isBlank()) {
                throw new Refusal("value.priority-settings.say-which-word");
            }
            require(Message.verbatim("\"" + word + "\""), points, -MOST);
        });
        if (words.size() > MOST_WORDS) {
            throw new Refusal("value.priority-settings.most-words", MOST_WORDS);
        }
        if (classes.isEmpty() || classes.size() > 12) {
            throw new Refusal("value.priority-settings.1-12-classes");
        }
        Set<String> names = new LinkedHashSet<>();
        int all = 0;
        for (PriorityClass one : classes) {
            all += one.share();
            if (!names.add(one.name())) {
                throw new Refusal("value.priority-settings.two-classes-called", one.name());
            }
        }
        if (all != MOST) {
            throw new Refusal("value.priority-settings.shares-classes-together-should", all);
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

    private static void require(Message what, int number, int least) {
        if (number < least || number > MOST) {
            throw new Refusal("value.priority-settings.weighs-to-not", what, least, MOST, number);
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
        pairs(text, Message.of("value.priority-settings.words"))
                .forEach(pair -> words.putLast(Tidy.of(pair.name()), pair.number()));
        return words;
    }

    /**
     * Classes with their shares as people write them, such as {@code best tenth, 10}, one a line.
     *
     * @throws Refusal that names the line that is wrong
     */
    public static List<PriorityClass> classes(String text) {
        return pairs(text, Message.of("value.priority-settings.classes")).stream()
                .map(pair -> new PriorityClass(pair.name(), pair.number()))
                .toList();
    }

    private record Pair(String name, int number) {}

    private static List<Pair> pairs(String text, Message what) {
        List<Pair> pairs = new java.util.ArrayList<>();
        List<String> lines =
                text.strip().isEmpty() ? List.of() : text.strip().lines().toList();
        for (int i = 0; i < lines.size(); i++) {
            String line = lines.get(i).strip();
            int comma = line.lastIndexOf(',');
            String number =
                    comma < 0 ? "" : line.substring(comma + 1).replace("%", "").strip();
            if (comma <= 0 || !number.matches("[+-]?\\d{1,3}")) {
                throw new Refusal(
                        "value.priority-settings.line-write-name-comma",
                        i + 1,
                        what,
                        (line.isEmpty()
                                ? Message.of("value.priority-settings.is-empty")
                                : Message.of("value.priority-settings.cannot-read", line)));
            }
            pairs.add(new Pair(line.substring(0, comma).strip(), Integer.parseInt(number)));
        }
        return pairs;
    }
}

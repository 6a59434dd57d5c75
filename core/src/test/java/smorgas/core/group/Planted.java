package smorgas.core.group;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import smorgas.core.fold.Folder;
import smorgas.core.fold.Keywords;
import smorgas.core.gather.BasketReader;
import smorgas.core.group.read.Agreement;

/**
 * Keywords around themes that are known: each theme is a thing with a qualifier ("wooden hive stand"), whose words are in
 * many themes; things share words; keywords add buying words, places, little words and noise, change the order and the
 * number, and some have nothing but the thing. Made with a seed; for tests and measurements only.
 *
 * @param keywords distinct texts
 * @param theme of each keyword, the number of its theme; -1 for noise that belongs to none
 * @param thing of each keyword, the number of its theme's thing; -1 for noise
 */
public record Planted(List<String> keywords, int[] theme, int[] thing) {

    private static final String[] BUYING = {
        "buy",
        "cheap",
        "best",
        "price",
        "for sale",
        "online",
        "near me",
        "reviews",
        "discount",
        "delivery",
        "shop",
        "top rated",
        "used",
        "compare",
        "order"
    };
    private static final String[] PLACES = {
        "fennbury",
        "tarnhope",
        "otterwick",
        "brumvale",
        "skeplund",
        "harlowe",
        "eastmere",
        "wyndale",
        "coldbrook",
        "ashby"
    };
    private static final String[] LITTLE = {"for", "with", "in", "the", "of", "and"};

    /**
     * Makes keywords.
     *
     * @param themes how many themes
     * @param each about how many keywords each has
     */
    public static Planted make(int themes, int each, long seed) {
        Random random = new Random(seed);
        Vocabulary vocabulary = new Vocabulary(random);
        // Things are words of their own, and a third of them share their last word ("hive stand", "lamp stand").
        int things = Math.max(2, themes / 4);
        List<String> shared = vocabulary.some(Math.max(2, things / 6));
        List<String> names = new ArrayList<>();
        for (int i = 0; i < things; i++) {
            String own = vocabulary.next();
            names.add(i % 3 == 0 ? own + " " + shared.get(random.nextInt(shared.size())) : own);
        }
        List<String> qualifiers = vocabulary.some(Math.max(3, themes / 8));
        List<String> noise = vocabulary.some(themes * 2);
        Map<String, Integer> themeNumbers = new LinkedHashMap<>();
        List<int[]> made = new ArrayList<>();
        while (themeNumbers.size() < themes) {
            int thing = themeNumbers.size() < things ? themeNumbers.size() : random.nextInt(things);
            String qualifier = qualifiers.get(random.nextInt(qualifiers.size()));
            if (themeNumbers.putIfAbsent(qualifier + " " + names.get(thing), themeNumbers.size()) == null) {
                made.add(new int[] {thing});
            }
        }
        Map<String, int[]> keywords = new LinkedHashMap<>();
        int theme = 0;
        for (String phrase : themeNumbers.keySet()) {
            int count = each / 2 + random.nextInt(each + 1);
            for (int tries = 0, found = 0; found < count && tries < count * 20; tries++) {
                String keyword = dressed(phrase, noise, random);
                if (keywords.putIfAbsent(keyword, new int[] {theme, made.get(theme)[0]}) == null) {
                    found++;
                }
            }
            theme++;
        }
        for (int i = 0; i < themes * each / 50; i++) {
            keywords.putIfAbsent(vocabulary.next() + " " + vocabulary.next(), new int[] {-1, -1});
        }
        return new Planted(
                List.copyOf(keywords.keySet()),
                keywords.values().stream().mapToInt(labels -> labels[0]).toArray(),
                keywords.values().stream().mapToInt(labels -> labels[1]).toArray());
    }

    /** The keywords folded as a new project folds them. */
    public Keywords fold() {
        String list = "keyword\n" + String.join("\n", keywords);
        return Folder.fold(List.of(BasketReader.lines(1, "planted", list.getBytes(StandardCharsets.UTF_8))
                .lines()
                .orElseThrow()));
    }

    /** The agreement with themes and with things; a keyword in no group, and noise, is a class of its own. */
    public record Judged(Agreement themes, Agreement things) {}

    /**
     * Judges a division of the folded keywords.
     *
     * @param found the group of each; below 0 for none
     */
    public Judged judge(Keywords folded, int[] found) {
        int[] groups = new int[folded.size()];
        int[] themes = new int[folded.size()];
        int[] things = new int[folded.size()];
        boolean[] seen = new boolean[folded.size()];
        for (int i = 0; i < keywords.size(); i++) {
            int k = folded.find(keywords.get(i)).orElseThrow();
            // Of texts that fold into one keyword the first tells the theme.
            if (!seen[k]) {
                seen[k] = true;
                int alone = -1 - k;
                groups[k] = found[k] < 0 ? alone : found[k];
                themes[k] = theme[i] < 0 ? alone : theme[i];
                things[k] = thing[i] < 0 ? alone : thing[i];
            }
        }
        return new Judged(Agreement.of(groups, themes), Agreement.of(groups, things));
    }

    private static String dressed(String phrase, List<String> noise, Random random) {
        String core = random.nextInt(5) == 0 ? reordered(phrase, random) : phrase;
        if (random.nextInt(4) == 0) {
            core = core + "s";
        }
        if (random.nextInt(2) == 0) {
            String buying = BUYING[random.nextInt(BUYING.length)];
            core = random.nextBoolean() ? buying + " " + core : core + " " + buying;
        }
        if (random.nextInt(4) == 0) {
            core = core + (random.nextInt(3) == 0 ? " in " : " ") + PLACES[random.nextInt(PLACES.length)];
        }
        if (random.nextInt(3) == 0) {
            String word = noise.get(random.nextInt(noise.size()));
            core = random.nextBoolean()
                    ? core + " " + LITTLE[random.nextInt(LITTLE.length)] + " " + word
                    : word + " " + core;
        }
        if (random.nextInt(6) == 0) {
            core = core + " " + (2 + random.nextInt(40));
        }
        return core;
    }

    private static String reordered(String phrase, Random random) {
        List<String> words = new ArrayList<>(List.of(phrase.split(" ")));
        // The qualifier goes behind; the words of the thing stay together.
        words.add(words.removeFirst());
        if (words.size() > 2 && random.nextInt(4) == 0) {
            words.add(0, words.remove(1));
        }
        return String.join(" ", words);
    }

    /** Words that nobody knows, each once. */
    private static final class Vocabulary {
        private static final String[] SYLLABLES = {
            "ba", "del", "for", "gin", "hem", "jor", "kal", "lum", "mer", "nod", "pil", "rum", "sol", "tev", "wex",
            "zan", "bri", "clo", "dra", "fen"
        };
        private final Random random;
        private final java.util.Set<String> used = new java.util.HashSet<>();

        Vocabulary(Random random) {
            this.random = random;
        }

        String next() {
            while (true) {
                String word = syllable() + syllable() + syllable() + (used.size() > 4_000 ? syllable() : "");
                if (used.add(word)) {
                    return word;
                }
            }
        }

        private String syllable() {
            return SYLLABLES[random.nextInt(SYLLABLES.length)];
        }

        List<String> some(int count) {
            List<String> words = new ArrayList<>();
            for (int i = 0; i < count; i++) {
                words.add(next());
            }
            return words;
        }
    }
}

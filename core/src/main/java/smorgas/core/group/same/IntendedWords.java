package smorgas.core.group.same;

import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.apache.commons.text.similarity.DamerauLevenshteinDistance;
import smorgas.core.column.Cores;
import smorgas.core.language.Lexicon;
import smorgas.core.language.Units;
import smorgas.core.recipe.group.SimilarityRules;
import smorgas.core.text.Words;

/**
 * The words of keywords as they were meant: sizes in one form, rare words that look misspelt as the common one they are close
 * to, joined words as their parts. Nothing is folded by it; it serves to see what is alike.
 */
public final class IntendedWords {
    /** Of fewer keywords one core has read the words before a second has begun. */
    private static final int FEW = 500;

    private static final Pattern NUMBER = Pattern.compile("\\d+(?:[.,]\\d+)?");
    private static final Pattern SIZE = Pattern.compile("(\\d+(?:[.,]\\d+)?)x(\\d+(?:[.,]\\d+)?)\\p{L}*");
    private static final Pattern MEASURE = Pattern.compile("(\\d+(?:[.,]\\d+)?)(\\p{L}{1,4})");

    private final SimilarityRules.Reading rules;
    private final String language;
    private final Set<String> known;
    private final Map<String, Integer> counts = new HashMap<>();
    private final List<List<String>> rows;
    private final Map<String, List<String>> meant = new HashMap<>();
    private final Set<String> wrong = new HashSet<>();

    /**
     * Reads keywords.
     *
     * @param texts their lead spellings
     * @param known words that are right and may be parts of others
     */
    public IntendedWords(List<String> texts, String language, Set<String> known, SimilarityRules.Reading rules) {
        this.rules = rules;
        this.language = language;
        Set<String> elided = elided(language);
        this.known = known;
        List<List<String>> read = new ArrayList<>(Collections.nCopies(texts.size(), List.of()));
        Cores.run(texts.size(), FEW, (from, to) -> {
            for (int keyword = from; keyword < to; keyword++) {
                read.set(keyword, sizes(Words.of(texts.get(keyword)), elided));
            }
        });
        this.rows = read;
        rows.forEach(row -> new HashSet<>(row).forEach(word -> counts.merge(word, 1, Integer::sum)));
        misspelt();
        joined();
    }

    /** Whether the language writes compounds as one word. */
    public static boolean compounds(String language) {
        return Lexicon.of(language).compounds();
    }

    public static boolean unit(String word) {
        return Units.LITTLE.contains(word);
    }

    /** The words of a keyword, in order. */
    public List<String> words(int keyword) {
        List<String> words = new ArrayList<>(8);
        for (String word : rows.get(keyword)) {
            List<String> as = meant.get(word);
            if (as == null) {
                words.add(word);
            } else {
                words.addAll(as);
            }
        }
        return words;
    }

    /** Whether a word of a keyword looks misspelt. */
    public boolean slips(int keyword) {
        return rows.get(keyword).stream().anyMatch(wrong::contains);
    }

    /** "3 x 3" and "3x3m" are "3x3", "60m" is "60 m"; words without their apostrophe. */
    private static List<String> sizes(List<String> words, Set<String> elided) {
        List<String> row = new ArrayList<>(words.size());
        for (int i = 0; i < words.size(); i++) {
            String word = words.get(i);
            boolean times = i + 2 < words.size() && words.get(i + 1).equals("x");
            if (times
                    && NUMBER.matcher(word).matches()
                    && Character.isDigit(words.get(i + 2).charAt(0))) {
                Matcher second = NUMBER.matcher(words.get(i + 2));
                row.add(second.lookingAt() ? word + "x" + second.group() : word);
                i += 2;
                continue;
            }
            if (!Character.isDigit(word.charAt(0))) {
                row.add(whole(word, elided));
                continue;
            }
            Matcher size = SIZE.matcher(word);
            Matcher measure = MEASURE.matcher(word);
            if (size.matches()) {
                row.add(size.group(1) + "x" + size.group(2));
            } else if (measure.matches() && Units.LITTLE.contains(measure.group(2))) {
                row.add(measure.group(1));
                row.add(measure.group(2));
            } else {
                row.add(whole(word, elided));
            }
        }
        row.removeIf(String::isEmpty);
        return row;
    }

    /** Without its apostrophe, and without an article that lost its vowel before it. */
    private static String whole(String word, Set<String> elided) {
        return withoutArticle(word, elided).replace("'", "").replace("\u2019", "");
    }

    /** A word without an article that lost its vowel before it. */
    static String withoutArticle(String word, Set<String> elided) {
        int apostrophe = word.replace('\u2019', '\'').indexOf('\'');
        return apostrophe > 0 && elided.contains(word.substring(0, apostrophe)) ? word.substring(apostrophe + 1) : word;
    }

    /** What may stand before an apostrophe and says little, in a language. */
    static Set<String> elided(String language) {
        return Lexicon.of(language).elided();
    }

    private void misspelt() {
        Set<String> dictionary = Lexicon.of(language).dictionary();
        Map<String, List<String>> byRest = byRest(!dictionary.isEmpty());
        DamerauLevenshteinDistance distance = new DamerauLevenshteinDistance(2);
        counts.forEach((word, count) -> {
            boolean may = count <= rules.rare()
                    && word.length() >= rules.shortestWrong()
                    && word.length() <= rules.longest()
                    && word.chars().allMatch(Character::isLetter)
                    && !known.contains(word)
                    && !dictionary.contains(word);
            String best = may ? closest(word, count, byRest, distance) : "";
            if (!best.isEmpty()) {
                meant.put(word, List.of(best));
                wrong.add(word);
            }
        });
    }

    /** Words that others may be meant for, by what is left of them when a letter is taken out. */
    private Map<String, List<String>> byRest(boolean dictionary) {
        // Close words have a text in common that is left when a letter is taken out.
        Map<String, List<String>> byRest = new HashMap<>();
        counts.forEach((word, count) -> {
            if (count >= rules.common()
                    && word.length() >= rules.shortestWrong() - 1
                    && word.length() <= rules.longest()) {
                rests(word).forEach(rest -> byRest.computeIfAbsent(rest, r -> new ArrayList<>())
                        .add(word));
            }
        });
        // Words that say the same in any trade are right however few have them; only a dictionary tells that others are
        // too.
        if (dictionary) {
            known.stream()
                    .filter(word ->
                            word.length() >= rules.shortestWrong() && counts.getOrDefault(word, 0) < rules.common())
                    .forEach(word -> rests(word).forEach(rest -> byRest.computeIfAbsent(rest, r -> new ArrayList<>())
                            .add(word)));
        }
        return byRest;
    }

    /** The common word that a rare one is closest to; empty if it is close to none. */
    private String closest(
            String word, int count, Map<String, List<String>> byRest, DamerauLevenshteinDistance distance) {
        int most = word.length() < rules.longWord() ? 1 : 2;
        String best = "";
        int bestDistance = 9;
        for (String rest : rests(word)) {
            for (String common : byRest.getOrDefault(rest, List.of())) {
                boolean may = (counts.getOrDefault(common, 0) >= rules.times() * count || known.contains(common))
                        && common.charAt(0) == word.charAt(0)
                        && !common.startsWith(word)
                        && !word.startsWith(common);
                int apart = may ? distance.apply(word, common) : -1;
                if (apart > 0 && apart <= most && better(common, apart, best, bestDistance)) {
                    best = common;
                    bestDistance = apart;
                }
            }
        }
        return best;
    }

    private boolean better(String common, int apart, String best, int bestDistance) {
        if (apart != bestDistance) {
            return apart < bestDistance;
        }
        int byCount = Integer.compare(counts.getOrDefault(common, 0), counts.getOrDefault(best, 0));
        return byCount != 0 ? byCount > 0 : common.compareTo(best) < 0;
    }

    private static Set<String> rests(String word) {
        Set<String> rests = new HashSet<>();
        rests.add(word);
        for (int i = 0; i < word.length(); i++) {
            rests.add(word.substring(0, i) + word.substring(i + 1));
        }
        return rests;
    }

    private void joined() {
        List<String> links = Lexicon.of(language).joining();
        counts.forEach((word, count) -> {
            // English joins few words; one that many have is a word of its own.
            boolean may = word.length() >= rules.shortestJoined()
                    && word.length() <= rules.longest()
                    && !meant.containsKey(word)
                    && (compounds(language) || count <= rules.mostJoined());
            List<String> parts = may ? parts(word, links) : List.of();
            if (!parts.isEmpty()) {
                meant.put(word, parts);
            }
        });
    }

    /** The two parts of which the shorter is the longest. */
    private List<String> parts(String word, List<String> links) {
        List<String> best = List.of();
        int longest = 0;
        for (int cut = rules.shortestPart(); cut <= word.length() - rules.shortestPart(); cut++) {
            String first = word.substring(0, cut);
            if (!part(first)) {
                continue;
            }
            for (String link : links) {
                String second = word.startsWith(link, cut) ? word.substring(cut + link.length()) : "";
                int shorter = Math.min(first.length(), second.length());
                if (shorter >= rules.shortestPart() && shorter > longest && part(second)) {
                    longest = shorter;
                    best = List.of(first, second);
                }
            }
        }
        return best;
    }

    private boolean part(String word) {
        return counts.getOrDefault(word, 0) >= 2 && !meant.containsKey(word)
                || word.length() >= rules.shortestWrong() && known.contains(word);
    }
}

package smorgas.core.gather;

import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.IntStream;
import smorgas.core.figure.Decimals;
import smorgas.core.language.Lexicon;
import smorgas.core.recipe.gather.ReadAs;
import smorgas.core.text.Tidy;
import smorgas.core.text.Words;

/**
 * What a project is likely to be about, told from its first list: so that nobody fills in a form before work begins. All of it
 * can be put right.
 *
 * @param name what most keywords are about, with a capital; empty if nothing can be told
 * @param language ISO 639-1
 * @param currency ISO 4217
 */
public record FirstGuess(String name, String language, String currency) {

    /** Of a longer list its beginning tells enough. */
    private static final int READ = 5_000;

    /** So many bytes hold its beginning. */
    private static final int ENOUGH = 1 << 20;

    /** Signs of money are looked for in so many rows. */
    private static final int FIGURES = 200;

    /** English is guessed where no language has more of its little words in the list. */
    private static final String OTHERWISE = "en";

    private static final Map<Character, String> SIGNS = Map.of('\u00a3', "GBP", '\u20ac', "EUR", '$', "USD");

    private static final Pattern CODE =
            Pattern.compile("\\b(GBP|EUR|USD|CHF|SEK|DKK|NOK|PLN|CZK|HUF|CAD|AUD|NZD|JPY|INR|BRL|MXN|ZAR)\\b");

    /** Words in fewer keywords than this part of them are not what the list is about. */
    private static final double COMMON = .1;

    /**
     * Guesses from a list in a file.
     *
     * @param name of the file
     * @param readAs how it is read, such as the sheet
     */
    public static FirstGuess read(String name, byte[] bytes, ReadAs readAs) {
        // Packed, its end cannot be cut off.
        boolean cut = bytes.length > ENOUGH && !(bytes[0] == 'P' && bytes[1] == 'K');
        StringBuilder figures = new StringBuilder();
        BasketReader.Read read = BasketReader.lines(
                0,
                new RawList(name, cut ? Arrays.copyOf(bytes, ENOUGH) : bytes, readAs, Decimals.POINT),
                Halt.NEVER,
                (line, cells) -> {
                    if (line <= FIGURES) {
                        figures.append(String.join(" ", cells)).append(' ');
                    }
                });
        figures.append(String.join(" ", read.reading().headers()));
        List<String> keywords = read.lines()
                .map(lines -> IntStream.range(0, Math.min(READ, lines.size()))
                        .mapToObj(lines::text)
                        .toList())
                .orElse(List.of());
        return of(keywords, figures.toString());
    }

    /**
     * Guesses.
     *
     * @param keywords of the first list, as they are written
     * @param figures the list's headings and first figures as they are written, for signs of money
     */
    public static FirstGuess of(List<String> keywords, String figures) {
        List<String> tidy = keywords.stream()
                .limit(READ)
                .map(Tidy::of)
                .filter(text -> !text.isEmpty())
                .toList();
        String language = language(tidy);
        return new FirstGuess(name(tidy, language), language, currency(figures, language));
    }

    private static String language(List<String> keywords) {
        Map<String, Integer> hits = new HashMap<>();
        for (String language : Lexicon.CODES) {
            Set<String> little = new HashSet<>(Lexicon.of(language).littleWords());
            little.addAll(Lexicon.of(language).questionOpeners());
            little.addAll(Lexicon.of(language).buyingWords());
            String letters = Lexicon.of(language).letters();
            for (String keyword : keywords) {
                for (String word : Words.of(keyword)) {
                    boolean its = word.length() > 1 && little.contains(word)
                            || word.chars().anyMatch(letter -> letters.indexOf(letter) >= 0);
                    hits.merge(language, its ? 1 : 0, Integer::sum);
                }
            }
        }
        int most = hits.values().stream().mapToInt(Integer::intValue).max().orElse(0);
        // Of equal ones the first.
        return most == 0
                ? OTHERWISE
                : Lexicon.CODES.stream()
                        .filter(language -> hits.getOrDefault(language, 0) == most)
                        .findFirst()
                        .orElse(OTHERWISE);
    }

    /** The word that most keywords have, as it is written most. */
    private static String name(List<String> keywords, String language) {
        Set<String> little = new HashSet<>(Lexicon.of(language).stopWords());
        little.addAll(Lexicon.of(language).littleWords());
        little.addAll(Lexicon.of(language).questionOpeners());
        little.addAll(Lexicon.of(language).buyingWords());
        little.addAll(Lexicon.of(language).priceWords());
        Map<String, Integer> counts = new HashMap<>();
        for (String keyword : keywords) {
            for (String word : new HashSet<>(Words.of(keyword))) {
                if (word.length() > 2 && !little.contains(word) && !Character.isDigit(word.charAt(0))) {
                    counts.merge(word, 1, Integer::sum);
                }
            }
        }
        return counts.entrySet().stream()
                .filter(word -> word.getValue() >= COMMON * keywords.size())
                .max(Map.Entry.<String, Integer>comparingByValue()
                        .thenComparing(Map.Entry.comparingByKey(Comparator.reverseOrder())))
                .map(word -> word.getKey().substring(0, 1).toUpperCase(Locale.ROOT)
                        + word.getKey().substring(1))
                .orElse("");
    }

    private static String currency(String figures, String language) {
        Map<String, Integer> seen = new HashMap<>();
        figures.chars()
                .mapToObj(letter -> SIGNS.getOrDefault((char) letter, ""))
                .filter(code -> !code.isEmpty())
                .forEach(code -> seen.merge(code, 1, Integer::sum));
        Matcher codes = CODE.matcher(figures);
        while (codes.find()) {
            seen.merge(codes.group(), 1, Integer::sum);
        }
        return seen.entrySet().stream()
                .max(Map.Entry.<String, Integer>comparingByValue()
                        .thenComparing(Map.Entry.comparingByKey(Comparator.reverseOrder())))
                .map(Map.Entry::getKey)
                .orElse(Lexicon.of(language).currency());
    }
}

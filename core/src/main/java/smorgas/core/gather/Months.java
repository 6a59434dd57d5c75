package smorgas.core.gather;

import java.text.Normalizer;
import java.time.DateTimeException;
import java.time.Month;
import java.time.YearMonth;
import java.time.format.TextStyle;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import smorgas.core.language.Lexicon;

/**
 * The month that the name of a column tells: "Searches: Mar 2026", "2026-03", "3 2026", "mai 2026", "Mar-26" as spreadsheets write
 * it; none if it tells no year.
 */
final class Months {

    private static final int CENTURY = 2_000;

    /** Those that tell a month without a year, too. */
    private static final Set<String> ENGLISH = new HashSet<>();

    /** Names in full and short, as Unicode CLDR has them in the main languages, lower case, without dots; without accents too. */
    private static final Map<String, Month> NAMED = new HashMap<>();

    static {
        for (String language : Lexicon.CODES) {
            for (Month month : Month.values()) {
                for (TextStyle style : List.of(
                        TextStyle.FULL, TextStyle.SHORT, TextStyle.FULL_STANDALONE, TextStyle.SHORT_STANDALONE)) {
                    Locale locale = Locale.of(language);
                    String name = month.getDisplayName(style, locale)
                            .toLowerCase(locale)
                            .replace(".", "");
                    NAMED.putIfAbsent(name, month);
                    NAMED.putIfAbsent(
                            Normalizer.normalize(name, Normalizer.Form.NFD).replaceAll("\\p{M}", ""), month);
                    if (language.equals("en")) {
                        ENGLISH.add(name);
                    }
                }
            }
        }
        NAMED.put("sept", Month.SEPTEMBER);
        ENGLISH.add("sept");
    }

    /** The words of a name, as {@link ColumnNames} has them: a year and a month on either side, or an English month alone. */
    private static final Pattern MONTH = Pattern.compile("(?:searches |volume )?(?:"
            + "(?<yearFirst>(?:19|20)\\d\\d) (?<second>0?[1-9]|1[0-2])"
            + "|(?<first>0?[1-9]|1[0-2]) (?<yearSecond>(?:19|20)\\d\\d)"
            + "|(?<word>\\p{L}+)(?: (?<year>(?:19|20)?\\d\\d))?)");

    private Months() {}

    /** Whether the words name a month, in English with or without its year, else with it. */
    static boolean named(String words) {
        Matcher month = MONTH.matcher(words);
        if (!month.matches()) {
            return false;
        }
        String word = month.group("word");
        return word == null || (month.group("year") == null ? ENGLISH.contains(word) : isName(word));
    }

    /** Whether a word in lower case is the name of a month, in full or short, in any of the main languages. */
    static boolean isName(String word) {
        return NAMED.containsKey(word);
    }

    /** The month that the words name, if they tell its year. */
    static Optional<YearMonth> of(String words) {
        Matcher month = MONTH.matcher(words);
        if (!month.matches()) {
            return Optional.empty();
        }
        try {
            if (month.group("word") != null) {
                return Optional.ofNullable(NAMED.get(month.group("word")))
                        .flatMap(named -> Optional.ofNullable(month.group("year"))
                                .map(Integer::parseInt)
                                .map(year -> YearMonth.of(year < 100 ? CENTURY + year : year, named)));
            }
            return Optional.of(
                    month.group("second") != null
                            ? of(month, "yearFirst", "second")
                            : of(month, "yearSecond", "first"));
        } catch (DateTimeException e) {
            return Optional.empty();
        }
    }

    private static YearMonth of(Matcher found, String year, String month) {
        return YearMonth.of(Integer.parseInt(found.group(year)), Integer.parseInt(found.group(month)));
    }
}

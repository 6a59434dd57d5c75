package smorgas.core.gather;

import java.time.DateTimeException;
import java.time.YearMonth;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** The month that the name of a column tells: "Searches: Mar 2026", "2026-03", "3 2026"; none if it tells no year. */
final class Months {

    private static final List<String> NAMES =
            List.of("jan", "feb", "mar", "apr", "may", "jun", "jul", "aug", "sep", "oct", "nov", "dec");

    /** The words of a name, as {@link ColumnNames} has them: a year and a month on either side, or a month alone. */
    private static final Pattern MONTH = Pattern.compile("(?:searches |volume )?(?:"
            + "(?<yearFirst>(?:19|20)\\d\\d) (?<second>0?[1-9]|1[0-2])"
            + "|(?<first>0?[1-9]|1[0-2]) (?<yearSecond>(?:19|20)\\d\\d)"
            + "|(?<name>" + String.join("|", NAMES) + ")[a-z]*(?: (?<year>(?:19|20)\\d\\d))?)");

    private Months() {}

    /** Whether the words name a month, with or without its year. */
    static boolean named(String words) {
        return MONTH.matcher(words).matches();
    }

    /** The month that the words name, if they tell its year. */
    static Optional<YearMonth> of(String words) {
        Matcher month = MONTH.matcher(words);
        if (!month.matches()) {
            return Optional.empty();
        }
        try {
            if (month.group("name") != null) {
                return Optional.ofNullable(month.group("year"))
                        .map(year -> YearMonth.of(Integer.parseInt(year), NAMES.indexOf(month.group("name")) + 1));
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

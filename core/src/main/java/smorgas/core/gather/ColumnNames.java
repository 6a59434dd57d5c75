package smorgas.core.gather;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.time.YearMonth;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.Properties;
import java.util.Set;
import java.util.regex.Pattern;
import smorgas.core.figure.ColumnRole;
import smorgas.core.text.Tidy;
import smorgas.core.text.Words;

/** The names by which lists call their columns, in English and the main European languages, and other words of lists. */
final class ColumnNames {

    private static final Map<String, ColumnRole> ROLES = new HashMap<>();
    private static final Set<String> TOTALS;

    private static final Pattern NUMBER_BEHIND = Pattern.compile(" [1-9]\\d?$");

    /** Longer cells are no column names. */
    private static final int LONGEST = 80;

    static {
        Properties names = new Properties();
        try (InputStream in = ColumnNames.class.getResourceAsStream("column-names.properties")) {
            names.load(new java.io.InputStreamReader(java.util.Objects.requireNonNull(in), StandardCharsets.UTF_8));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        TOTALS = Set.of(names.getProperty("TOTALS").split(", "));
        names.remove("TOTALS");
        names.forEach((role, list) -> {
            for (String name : list.toString().split(", ")) {
                ROLES.put(bare(name), ColumnRole.valueOf(role.toString()));
            }
        });
    }

    private ColumnNames() {}

    /** The role that a header cell names, by its words alone: case, dots and brackets do not matter. */
    static ColumnRole role(String headerCell) {
        if (headerCell.length() > LONGEST) {
            return ColumnRole.OTHER;
        }
        // Units and remarks stand in brackets: "CPC (EUR)", "Searches (monthly)".
        String name = bare(headerCell.replaceAll("[(\\[].*?[)\\]]", " "));
        ColumnRole named = ROLES.get(name);
        if (named != null) {
            return named;
        }
        // An ad has "Headline 1", "Headline 2" and so on.
        ColumnRole numbered = ROLES.get(NUMBER_BEHIND.matcher(name).replaceFirst(""));
        if (numbered != null && numbered.repeats()) {
            return numbered;
        }
        return Months.named(name) ? ColumnRole.MONTH : HeadingWords.role(bare(headerCell));
    }

    /** The month that a header cell tells with its year. */
    static Optional<YearMonth> month(String headerCell) {
        return headerCell.length() > LONGEST ? Optional.empty() : Months.of(bare(headerCell));
    }

    /** Whether a cell is the word with which lists begin their line of totals. */
    static boolean total(String cell) {
        return cell.length() <= LONGEST && TOTALS.contains(bare(cell));
    }

    private static String bare(String text) {
        return String.join(" ", Words.of(Tidy.of(text)));
    }
}

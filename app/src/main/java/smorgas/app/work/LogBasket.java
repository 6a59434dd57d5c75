package smorgas.app.work;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import smorgas.core.column.ColumnRole;
import smorgas.core.recipe.Asked;
import smorgas.core.recipe.BasketInfo;
import smorgas.core.recipe.LogReading;
import smorgas.core.source.LogTerms;
import smorgas.core.text.Refusal;

/** The counted searches of logs as a basket, and what was found beside them in words. */
public final class LogBasket {

    private LogBasket() {}

    /**
     * The basket.
     *
     * @throws Refusal with a sentence, if no term was found
     */
    public static Offered of(String name, LogReading reading, LogTerms.Result result) {
        if (result.terms().isEmpty()) {
            throw new Refusal(told(result.counted()) + ": no search was found in "
                    + String.join(", ", reading.parameters()) + " that can be a keyword");
        }
        boolean goals = !reading.goals().isEmpty();
        List<ColumnRole> roles =
                new ArrayList<>(List.of(ColumnRole.KEYWORD, ColumnRole.VISITS, ColumnRole.OTHER, ColumnRole.OTHER));
        List<String> headings = new ArrayList<>(List.of("keyword", "visits", "first seen", "last seen"));
        if (goals) {
            roles.add(ColumnRole.GOALS);
            headings.add("goals");
        }
        return Offered.table(
                name,
                roles,
                headings,
                result.terms().stream().map(term -> {
                    List<String> row = new ArrayList<>(List.of(
                            term.text(),
                            String.valueOf(term.visits()),
                            term.first().toString(),
                            term.last().toString()));
                    if (goals) {
                        row.add(String.valueOf(term.goals()));
                    }
                    return row;
                }),
                BasketInfo.Kind.LOG,
                new Asked.Logged(reading, result.counted()));
    }

    /** What was read and what was left out, without a full stop. */
    public static String told(LogReading.Counted counted) {
        StringBuilder told = new StringBuilder(count(counted.lines(), "line", "lines"))
                .append(" with ")
                .append(count(counted.searches(), "search", "searches"));
        if (counted.personal() > 0) {
            told.append("; ")
                    .append(count(counted.personal(), "search", "searches"))
                    .append(" left out that looked like mail addresses or numbers of persons");
        }
        if (counted.others() > 0) {
            told.append("; ")
                    .append(count(counted.others(), "search", "searches"))
                    .append(" left out as too long or too many");
        }
        if (counted.seldom() > 0) {
            told.append("; ").append(count(counted.seldom(), "term", "terms")).append(" with too few visits");
        }
        if (counted.strange() > 0) {
            told.append("; ")
                    .append(count(counted.strange(), "line", "lines"))
                    .append(" not understood, the first ")
                    .append(counted.firstStrange());
        }
        return told.toString();
    }

    private static String count(long number, String one, String many) {
        return String.format(Locale.ENGLISH, "%,d %s", number, number == 1 ? one : many);
    }
}

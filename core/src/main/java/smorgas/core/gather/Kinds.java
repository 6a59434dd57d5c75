package smorgas.core.gather;

import java.util.List;
import smorgas.core.figure.ColumnRole;
import smorgas.core.recipe.gather.BasketInfo;
import smorgas.core.recipe.gather.BasketInfo.Kind;

/** Guesses where a list comes from by the columns it has (common practice). */
final class Kinds {

    private static final int LONGEST_NAME = 200;

    private Kinds() {}

    static BasketInfo guessed(String name, Reading reading) {
        String shown = name.isBlank() ? "list" : name.substring(0, Math.min(name.length(), LONGEST_NAME));
        return BasketInfo.of(shown, guess(reading.columns()));
    }

    private static Kind guess(List<ColumnRole> columns) {
        boolean seen = columns.contains(ColumnRole.IMPRESSIONS) || columns.contains(ColumnRole.CLICKS);
        if (seen && columns.contains(ColumnRole.COST)) {
            return Kind.SEARCH_TERMS;
        }
        if (seen && columns.contains(ColumnRole.POSITION)) {
            return Kind.CONSOLE;
        }
        if (columns.contains(ColumnRole.POSITION) || columns.contains(ColumnRole.TRAFFIC)) {
            return Kind.COMPETITOR;
        }
        if (columns.contains(ColumnRole.AD_GROUP) || columns.contains(ColumnRole.MATCH_TYPE)) {
            return Kind.OWN_CAMPAIGN;
        }
        if (columns.contains(ColumnRole.SEARCHES)
                && (columns.contains(ColumnRole.COMPETITION) || columns.contains(ColumnRole.LOW_BID))) {
            return Kind.PLANNER;
        }
        return Kind.OTHER;
    }
}

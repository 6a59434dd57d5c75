package smorgas.core.recipe;

import java.util.ArrayList;
import java.util.List;
import smorgas.core.column.ColumnRole;

/**
 * How the bytes of a basket are to be read, where a hand has put it right. Reading the same bytes in the same way always
 * gives the same lines.
 *
 * @param encoding the name of the character encoding; empty to find it
 * @param delimiter one character between cells, or {@code "\n"} for one keyword a line; empty to find it
 * @param sheet the name of the sheet of a workbook; empty for the first that has a list
 * @param headerLine the line of the column names, from 1; 0 if there is none; -1 to find it
 * @param roles what the columns hold, from the left; empty to find it
 */
public record ReadAs(String encoding, String delimiter, String sheet, int headerLine, List<ColumnRole> roles) {

    /** Everything is found from the bytes. */
    public static final ReadAs FOUND = new ReadAs("", "", "", -1, List.of());

    public ReadAs {
        roles = List.copyOf(roles);
        if (delimiter.length() > 1 || headerLine < -1 || roles.size() > 500) {
            throw new IllegalArgumentException("A delimiter is one character, a header line -1 or more");
        }
        if (!roles.isEmpty()
                && roles.stream().filter(role -> role == ColumnRole.KEYWORD).count() != 1) {
            throw new IllegalArgumentException("Exactly one column holds the keyword");
        }
    }

    /** The same with other roles; of a role that cannot repeat only the column that was chosen last keeps it. */
    public ReadAs with(List<ColumnRole> found, int column, ColumnRole role) {
        List<ColumnRole> next = new ArrayList<>(roles.isEmpty() ? found : roles);
        if (column < 0 || column >= next.size()) {
            throw new IllegalArgumentException("There is no column " + (column + 1));
        }
        if (!role.repeats()) {
            next.replaceAll(other -> other == role ? ColumnRole.OTHER : other);
        }
        next.set(column, role);
        return new ReadAs(encoding, delimiter, sheet, headerLine, next);
    }
}

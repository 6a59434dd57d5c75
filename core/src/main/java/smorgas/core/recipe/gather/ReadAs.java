package smorgas.core.recipe.gather;

import java.nio.charset.Charset;
import java.nio.charset.IllegalCharsetNameException;
import java.util.ArrayList;
import java.util.List;
import smorgas.core.figure.ColumnRole;
import smorgas.core.text.Refusal;

/**
 * How the bytes of a basket are to be read, where a hand has put it right. Reading the same bytes in the same way always
 * gives the same lines.
 *
 * @param encoding the name of the character encoding; empty to find it
 * @param delimiter one character between cells, or {@code "\n"} for one keyword a line; empty to find it
 * @param sheet the name of the sheet of a workbook; empty for the first with anything in it, {@value #ALL_SHEETS} for all lists
 * @param headerLine the line of the column names, from 1; 0 if there is none; -1 to find it
 * @param roles what the columns hold, from the left; empty to find it
 */
public record ReadAs(String encoding, String delimiter, String sheet, int headerLine, List<ColumnRole> roles) {

    /** Names all sheets of a workbook that are lists, one under the other; no sheet can be called so. */
    public static final String ALL_SHEETS = "*";

    /** Everything is found from the bytes. */
    public static final ReadAs FOUND = new ReadAs("", "", "", -1, List.of());

    public ReadAs {
        roles = List.copyOf(roles);
        if (delimiter.length() > 1 || headerLine < -1 || roles.size() > 500) {
            throw new Refusal("gather.read-as.delimiter-one-character-header");
        }
        if (!roles.isEmpty() && !roles.contains(ColumnRole.KEYWORD)) {
            throw new Refusal("gather.read-as.column-must-hold-keyword");
        }
        if (encoding.length() > 100 || sheet.length() > 200) {
            throw new Refusal("gather.read-as.encoding-sheet-name-long");
        }
        if (!encoding.isEmpty() && !isEncoding(encoding)) {
            throw new Refusal("gather.read-as.there-is-no-encoding", encoding);
        }
        if (!delimiter.isEmpty() && !parts(delimiter.charAt(0))) {
            throw new Refusal("gather.read-as.cannot-part-cells", delimiter);
        }
    }

    private static boolean isEncoding(String name) {
        try {
            return Charset.isSupported(name);
        } catch (IllegalCharsetNameException e) {
            return false;
        }
    }

    /** Whether a character can part cells: no letter, digit, space or quote, and of line ends the line feed. */
    private static boolean parts(char c) {
        return c == '\n'
                || c == '\t'
                || !Character.isLetterOrDigit(c)
                        && !Character.isSurrogate(c)
                        && !Character.isISOControl(c)
                        && c != '"'
                        && c != '\''
                        && c != ' ';
    }

    /** The same with other roles; of a role that cannot repeat only the column that was chosen last keeps it. */
    public ReadAs with(List<ColumnRole> found, int column, ColumnRole role) {
        List<ColumnRole> next = new ArrayList<>(roles.isEmpty() ? found : roles);
        if (column < 0 || column >= next.size()) {
            throw new Refusal("gather.read-as.there-is-no-column", column + 1);
        }
        if (!role.repeats()) {
            next.replaceAll(other -> other == role ? ColumnRole.OTHER : other);
        }
        next.set(column, role);
        return new ReadAs(encoding, delimiter, sheet, headerLine, next);
    }
}

package smorgas.core.gather;

import java.util.List;
import smorgas.core.figure.ColumnRole;
import smorgas.core.text.Message;

/**
 * How the bytes of a basket were understood. Lines belong to one reading; another reading of the same bytes replaces
 * them.
 *
 * @param format what kind of file it is
 * @param encoding the IANA name of the character encoding; empty for a workbook
 * @param delimiter the character between cells; {@link #PLAIN} for a list with one keyword a line, and where cells are
 *     parted otherwise
 * @param sheets the names of a workbook's sheets; empty for other files
 * @param sheet the sheet that was read; empty for other files
 * @param headerLine the line of the column names, from 1; 0 if there is none
 * @param headers the column names as they stand in the file; empty if there is no header
 * @param columns the role of each column, from the left
 * @param setAside rows that never became lines: titles above the column names, and rows with a slip in their quotes
 * @param problems faults met while reading the bytes (not while reading their figures), the first thousand
 */
public record Reading(
        Format format,
        String encoding,
        char delimiter,
        List<String> sheets,
        String sheet,
        int headerLine,
        List<String> headers,
        List<ColumnRole> columns,
        int setAside,
        List<Problem> problems) {

    /** The delimiter of a plain list. */
    public static final char PLAIN = '\n';

    /** Kinds of files, told by their content. */
    public enum Format {
        DELIMITED("list-format.delimited"),
        PLAIN("list-format.plain"),
        XLSX("list-format.xlsx", true),
        ODS("list-format.ods", true),
        JSON("list-format.json"),
        HTML("list-format.html"),
        /** Nothing could be read. */
        NONE("list-format.none");

        private final Message label;
        private final boolean workbook;

        Format(String label) {
            this(label, false);
        }

        Format(String label, boolean workbook) {
            this.label = Message.of(label);
            this.workbook = workbook;
        }

        /** Whether it can have several sheets. */
        boolean workbook() {
            return workbook;
        }

        public Message label() {
            return label;
        }
    }

    public Reading {
        sheets = List.copyOf(sheets);
        headers = List.copyOf(headers);
        columns = List.copyOf(columns);
        problems = List.copyOf(problems);
    }

    /** Whether nothing of the bytes could be read at all. */
    public boolean refused() {
        return columns.isEmpty();
    }

    /** What to call a column: its name in the file, else its place from 1. */
    public String columnName(int column) {
        return column < headers.size() && !headers.get(column).isBlank()
                ? headers.get(column)
                : "column " + (column + 1);
    }
}

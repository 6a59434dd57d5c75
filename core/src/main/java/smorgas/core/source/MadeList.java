package smorgas.core.source;

import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import smorgas.core.figure.ColumnRole;
import smorgas.core.recipe.gather.ReadAs;
import smorgas.core.text.Formulas;

/**
 * A list that a tool of ours has made, to be gathered like any other.
 *
 * @param columns from the left; one holds the keyword
 * @param rows as many cells each as there are columns
 */
public record MadeList(List<Column> columns, List<List<String>> rows) {

    /** A column: its heading, and what it holds. */
    public record Column(String heading, ColumnRole role) {
        /** The column of the keywords. */
        public static final Column KEYWORD = new Column("keyword", ColumnRole.KEYWORD);
    }

    public MadeList {
        columns = List.copyOf(columns);
        rows = List.copyOf(rows);
    }

    /** Keywords and nothing else. */
    public static MadeList of(java.util.Collection<String> keywords) {
        return new MadeList(
                List.of(Column.KEYWORD), keywords.stream().map(List::of).toList());
    }

    /** Its bytes: CSV in UTF-8, with a heading and in quotes where need be (RFC 4180), so that nothing is taken for anything else. */
    public byte[] bytes() {
        return Stream.concat(Stream.of(columns.stream().map(Column::heading).toList()), rows.stream())
                .map(row -> row.stream().map(MadeList::cell).collect(Collectors.joining(",")))
                .collect(Collectors.joining("\n", "", "\n"))
                .getBytes(StandardCharsets.UTF_8);
    }

    /** The same for a file that leaves: no spreadsheet runs a cell of it. */
    public MadeList safe() {
        return new MadeList(
                columns,
                rows.stream()
                        .map(row -> row.stream().map(Formulas::safe).toList())
                        .toList());
    }

    /** How its bytes are read. One column is a plain list, a keyword a line, unless a keyword stands in quotes. */
    public ReadAs readAs() {
        boolean plain = columns.size() == 1 && rows.stream().allMatch(row -> plain(row.getFirst()));
        return plain
                ? ReadAs.FOUND
                : new ReadAs(
                        "UTF-8", ",", "", 1, columns.stream().map(Column::role).toList());
    }

    private static boolean plain(String text) {
        return text.chars().noneMatch(sign -> ",;\t\"\n\r".indexOf(sign) >= 0);
    }

    private static String cell(String text) {
        return plain(text) ? text : '"' + text.replace("\"", "\"\"") + '"';
    }
}

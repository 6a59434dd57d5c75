package smorgas.app.work;

import java.nio.charset.StandardCharsets;
import java.util.Collection;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import smorgas.core.column.ColumnRole;
import smorgas.core.gather.Workbooks;
import smorgas.core.recipe.Asked;
import smorgas.core.recipe.BasketInfo;
import smorgas.core.recipe.ReadAs;

/**
 * A list as whoever gathers it offers it, with what is known of it.
 *
 * @param name what it is called, such as its file
 * @param readAs how it is to be read, such as the sheet
 * @param asked what a tool of ours was asked for that made it
 * @param kind where it comes from; {@link BasketInfo.Kind#OTHER} if nobody knows, and then its columns tell
 */
public record Offered(String name, byte[] bytes, ReadAs readAs, BasketInfo.Kind kind, Asked asked) {

    /** A list in a file. */
    public static Offered file(String name, byte[] bytes) {
        return new Offered(name, bytes, ReadAs.FOUND, BasketInfo.Kind.OTHER, Asked.NOTHING);
    }

    /** A list in a file, or in a part of one. */
    public static Offered part(String name, Workbooks.Part part) {
        return new Offered(name, part.list().bytes(), part.readAs(), BasketInfo.Kind.OTHER, Asked.NOTHING);
    }

    /** A text that was pasted. */
    public static Offered paste(String name, String text) {
        return new Offered(
                name, text.getBytes(StandardCharsets.UTF_8), ReadAs.FOUND, BasketInfo.Kind.PASTE, Asked.NOTHING);
    }

    /** Keywords that a tool of ours has made, a line each. */
    public static Offered made(String name, Collection<String> texts, BasketInfo.Kind kind) {
        return made(name, texts, kind, Asked.NOTHING);
    }

    /** The same, with what it was asked for. */
    public static Offered made(String name, Collection<String> texts, BasketInfo.Kind kind, Asked asked) {
        // With a heading and in quotes where need be (RFC 4180), so that no keyword is taken for anything else.
        String list = texts.stream().map(Offered::cell).collect(Collectors.joining("\n", "keyword\n", "\n"));
        return new Offered(name, list.getBytes(StandardCharsets.UTF_8), ReadAs.FOUND, kind, asked);
    }

    /**
     * A table that a tool of ours has made, with a heading.
     *
     * @param roles what its columns hold, from the left
     * @param headings as many
     */
    public static Offered table(
            String name,
            List<ColumnRole> roles,
            List<String> headings,
            Stream<List<String>> rows,
            BasketInfo.Kind kind,
            Asked asked) {
        String table = Stream.concat(Stream.of(headings), rows)
                .map(row -> row.stream().map(Offered::cell).collect(Collectors.joining(",")))
                .collect(Collectors.joining("\n", "", "\n"));
        return new Offered(
                name, table.getBytes(StandardCharsets.UTF_8), new ReadAs("UTF-8", ",", "", 1, roles), kind, asked);
    }

    private static String cell(String text) {
        return text.chars().noneMatch(sign -> ",;\t\"".indexOf(sign) >= 0)
                ? text
                : '"' + text.replace("\"", "\"\"") + '"';
    }
}

package smorgas.app.work;

import java.nio.charset.StandardCharsets;
import java.util.List;
import smorgas.core.gather.Workbooks;
import smorgas.core.recipe.BasketInfo;
import smorgas.core.recipe.ReadAs;

/**
 * A list as whoever gathers it offers it, with what is known of it.
 *
 * @param name what it is called, such as its file
 * @param readAs how it is to be read, such as the sheet
 * @param kind where it comes from; {@link BasketInfo.Kind#OTHER} if nobody knows, and then its columns tell
 */
public record Offered(String name, byte[] bytes, ReadAs readAs, BasketInfo.Kind kind) {

    /** A list in a file. */
    public static Offered file(String name, byte[] bytes) {
        return new Offered(name, bytes, ReadAs.FOUND, BasketInfo.Kind.OTHER);
    }

    /** A list in a file, or in a part of one. */
    public static Offered part(String name, Workbooks.Part part) {
        return new Offered(name, part.list().bytes(), part.readAs(), BasketInfo.Kind.OTHER);
    }

    /** A text that was pasted. */
    public static Offered paste(String name, String text) {
        return new Offered(name, text.getBytes(StandardCharsets.UTF_8), ReadAs.FOUND, BasketInfo.Kind.PASTE);
    }

    /** Keywords that a tool of ours has made, a line each. */
    public static Offered made(String name, List<String> texts, BasketInfo.Kind kind) {
        byte[] bytes = String.join("\n", texts).getBytes(StandardCharsets.UTF_8);
        return new Offered(name, bytes, ReadAs.FOUND, kind);
    }
}

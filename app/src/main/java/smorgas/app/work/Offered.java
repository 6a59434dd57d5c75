package smorgas.app.work;

import java.nio.charset.StandardCharsets;
import java.util.Collection;
import smorgas.core.gather.Workbooks;
import smorgas.core.recipe.gather.Asked;
import smorgas.core.recipe.gather.BasketInfo;
import smorgas.core.recipe.gather.ReadAs;
import smorgas.core.source.MadeList;

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
        return made(name, MadeList.of(texts), kind, Asked.NOTHING);
    }

    /** A list that a tool of ours has made, with what it was asked for. */
    public static Offered made(String name, MadeList list, BasketInfo.Kind kind, Asked asked) {
        return new Offered(name, list.bytes(), list.readAs(), kind, asked);
    }
}

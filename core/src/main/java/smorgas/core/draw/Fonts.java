package smorgas.core.draw;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.Objects;

/** The fonts of prints and pictures, which have Latin, Greek and Cyrillic letters; TrueType files. */
public final class Fonts {

    private Fonts() {}

    /** Of plain text. */
    public static byte[] regular() {
        return bytes("DejaVuSans.ttf");
    }

    /** Of headings. */
    public static byte[] bold() {
        return bytes("DejaVuSans-Bold.ttf");
    }

    private static byte[] bytes(String name) {
        try (InputStream in = Objects.requireNonNull(Fonts.class.getResourceAsStream("fonts/" + name))) {
            return in.readAllBytes();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}

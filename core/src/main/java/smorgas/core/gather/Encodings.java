package smorgas.core.gather;

import com.ibm.icu.text.CharsetDetector;
import com.ibm.icu.text.CharsetMatch;
import java.nio.ByteBuffer;
import java.nio.CharBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.Charset;
import java.nio.charset.CoderResult;
import java.nio.charset.CodingErrorAction;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import org.jspecify.annotations.Nullable;

/** Finds the character encoding of a text: byte order mark, else valid UTF-8, else what letters tell. */
final class Encodings {

    /** A text and the encoding it was in. */
    record Decoded(Charset charset, String text) {}

    private static final Charset WINDOWS = Charset.forName("windows-1252");

    /** Bytes that the detector looks at, and bytes past ASCII among them that it needs. */
    private static final int SAMPLE = 1 << 16;

    private static final int ENOUGH = 40;
    /** How sure it must be, of 100, and by how much surer than of the next; found by trying short keyword lists. */
    private static final int SURE = 30;

    private static final int LEAD = 10;

    private Encodings() {}

    /** The decoded text; null if the bytes are no text at all (they hold NULs and are not UTF-16 or UTF-32). */
    static @Nullable Decoded decode(byte[] bytes) {
        if (starts(bytes, 0xEF, 0xBB, 0xBF)) {
            return from(bytes, 3, StandardCharsets.UTF_8);
        }
        if (starts(bytes, 0xFF, 0xFE, 0, 0)) {
            return from(bytes, 4, Charset.forName("UTF-32LE"));
        }
        if (starts(bytes, 0xFF, 0xFE)) {
            return from(bytes, 2, StandardCharsets.UTF_16LE);
        }
        if (starts(bytes, 0xFE, 0xFF)) {
            return from(bytes, 2, StandardCharsets.UTF_16BE);
        }
        int evenNuls = 0;
        int oddNuls = 0;
        for (int i = 0; i < bytes.length; i++) {
            if (bytes[i] == 0) {
                if (i % 2 == 0) {
                    evenNuls++;
                } else {
                    oddNuls++;
                }
            }
        }
        if (evenNuls + oddNuls > 0) {
            Charset wide = utf32(bytes);
            if (wide != null) {
                return from(bytes, 0, wide);
            }
            // Western text in UTF-16 has a NUL in nearly every second byte, all on one side.
            if (oddNuls > bytes.length / 4 && evenNuls < oddNuls / 20) {
                return from(bytes, 0, StandardCharsets.UTF_16LE);
            }
            if (evenNuls > bytes.length / 4 && oddNuls < evenNuls / 20) {
                return from(bytes, 0, StandardCharsets.UTF_16BE);
            }
            return null;
        }
        return from(bytes, 0, isUtf8(bytes) ? StandardCharsets.UTF_8 : detected(bytes));
    }

    /** UTF-32 without a mark: of each four bytes two are NUL, the highest and the one beside it. */
    private static @Nullable Charset utf32(byte[] bytes) {
        boolean little = bytes.length % 4 == 0;
        boolean big = little;
        for (int i = 0; i + 3 < bytes.length && (little || big); i += 4) {
            little &= bytes[i + 3] == 0 && bytes[i + 2] <= 0x10 && bytes[i + 2] >= 0;
            big &= bytes[i] == 0 && bytes[i + 1] <= 0x10 && bytes[i + 1] >= 0;
        }
        return little ? Charset.forName("UTF-32LE") : big ? Charset.forName("UTF-32BE") : null;
    }

    /** The text in an encoding that somebody has chosen; a byte order mark before it is taken off. */
    static Decoded decode(byte[] bytes, Charset chosen) {
        String text = new String(bytes, chosen);
        return new Decoded(chosen, text.startsWith("\uFEFF") ? text.substring(1) : text);
    }

    /**
     * A guess by the frequency of letters (ICU), where it is sure and there is enough to be sure of; else Windows-1252,
     * which is what western programs write when they do not write Unicode.
     */
    private static Charset detected(byte[] bytes) {
        byte[] sample = bytes.length > SAMPLE ? Arrays.copyOf(bytes, SAMPLE) : bytes;
        int high = 0;
        for (byte b : sample) {
            high += b < 0 ? 1 : 0;
        }
        if (high < ENOUGH) {
            return WINDOWS;
        }
        CharsetMatch[] matches = new CharsetDetector().setText(sample).detectAll();
        CharsetMatch best = matches[0];
        int second = matches.length > 1 ? matches[1].getConfidence() : 0;
        boolean sure = best.getConfidence() >= SURE && best.getConfidence() - second >= LEAD;
        if (!sure || best.getName().startsWith("ISO-8859-1")) {
            return WINDOWS;
        }
        return Charset.isSupported(best.getName()) ? Charset.forName(best.getName()) : WINDOWS;
    }

    private static Decoded from(byte[] bytes, int start, Charset charset) {
        return new Decoded(charset, new String(bytes, start, bytes.length - start, charset));
    }

    private static boolean isUtf8(byte[] bytes) {
        try {
            var decoder = StandardCharsets.UTF_8
                    .newDecoder()
                    .onMalformedInput(CodingErrorAction.REPORT)
                    .onUnmappableCharacter(CodingErrorAction.REPORT);
            // A part at a time: the text itself is made later.
            ByteBuffer in = ByteBuffer.wrap(bytes);
            CharBuffer part = CharBuffer.allocate(1 << 14);
            CoderResult result = decoder.decode(in, part, true);
            while (result.isOverflow()) {
                part.clear();
                result = decoder.decode(in, part, true);
            }
            if (result.isError()) {
                result.throwException();
            }
            return true;
        } catch (CharacterCodingException e) {
            return false;
        }
    }

    private static boolean starts(byte[] bytes, int... mark) {
        if (bytes.length < mark.length) {
            return false;
        }
        for (int i = 0; i < mark.length; i++) {
            if ((bytes[i] & 0xFF) != mark[i]) {
                return false;
            }
        }
        return true;
    }
}

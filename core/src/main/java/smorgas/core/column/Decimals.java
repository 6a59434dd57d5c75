package smorgas.core.column;

import java.util.Set;

/** Which sign parts the decimals from a number, where the number itself does not tell: {@code 1.250} of money. */
public enum Decimals {
    /** {@code 1.250} is one and a quarter, {@code 1,250} a thousand and more. */
    POINT,
    /** The other way round. */
    COMMA;

    private static final Set<String> OF_COMMA =
            Set.of("de", "fr", "es", "it", "pt", "nl", "sv", "da", "no", "fi", "el", "pl", "cs");

    /** As the language writes them; a point if it is not known. */
    public static Decimals of(String language) {
        return OF_COMMA.contains(language) ? COMMA : POINT;
    }
}

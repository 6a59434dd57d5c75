package smorgas.core.figure;

import java.text.DecimalFormatSymbols;
import java.util.Locale;

/** Which sign parts the decimals from a number, where the number itself does not tell: {@code 1.250} of money. */
public enum Decimals {
    /** {@code 1.250} is one and a quarter, {@code 1,250} a thousand and more. */
    POINT,
    /** The other way round. */
    COMMA;

    /** As the language (ISO 639-1) writes them, by the Unicode CLDR. */
    public static Decimals of(String language) {
        return DecimalFormatSymbols.getInstance(Locale.of(language)).getDecimalSeparator() == ',' ? COMMA : POINT;
    }
}

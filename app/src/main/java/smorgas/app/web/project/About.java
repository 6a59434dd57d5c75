package smorgas.app.web.project;

import java.util.Currency;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import smorgas.app.web.show.Language;

/** What a project is about, as a form tells it: without blanks at the ends, the currency in capitals; empty for what it lacks. */
record About(String name, String language, String market, String currency) {

    private static final Set<String> CURRENCIES = Currency.getAvailableCurrencies().stream()
            .map(Currency::getCurrencyCode)
            .collect(Collectors.toUnmodifiableSet());

    About {
        name = text(name);
        language = text(language);
        market = text(market);
        currency = text(currency).toUpperCase(Locale.ROOT);
    }

    private static String text(@Nullable String field) {
        return field == null ? "" : field.strip();
    }

    /** What is wrong with a name, for people; empty if nothing. */
    static Optional<String> fault(String name) {
        return name.isBlank() || name.strip().length() > 200
                ? Optional.of("A project needs a name of 1 to 200 characters.")
                : Optional.empty();
    }

    /** What is wrong first, for people; empty if nothing. */
    Optional<String> fault() {
        return fault(name)
                .or(() -> market.length() > 80 ? Optional.of("A market has at most 80 characters.") : Optional.empty())
                .or(() -> Language.ALL.stream().noneMatch(l -> l.code().equals(language))
                        ? Optional.of("Choose one of the languages.")
                        : Optional.empty())
                .or(() -> CURRENCIES.contains(currency)
                        ? Optional.empty()
                        : Optional.of("A currency is three letters, such as GBP or EUR."));
    }
}

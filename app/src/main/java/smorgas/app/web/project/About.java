package smorgas.app.web.project;

import java.util.Currency;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import smorgas.app.web.show.Language;
import smorgas.core.text.Message;

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
    static Optional<Message> fault(String name) {
        return name.isBlank() || name.strip().length() > 200
                ? Optional.of(Message.of("project.about.project-needs-name-1"))
                : Optional.empty();
    }

    /** What is wrong first, for people; empty if nothing. */
    Optional<Message> fault() {
        return fault(name)
                .or(() -> market.length() > 80
                        ? Optional.of(Message.of("project.about.market-most-80-characters"))
                        : Optional.empty())
                .or(() -> Language.ALL.stream().noneMatch(l -> l.code().equals(language))
                        ? Optional.of(Message.of("project.about.choose-one-languages"))
                        : Optional.empty())
                .or(() -> CURRENCIES.contains(currency)
                        ? Optional.empty()
                        : Optional.of(Message.of("project.about.currency-three-letters-such")));
    }
}

package smorgas.app.store;

import java.time.OffsetDateTime;
import org.jspecify.annotations.Nullable;

/**
 * One client's or site's work, in one market, language and currency.
 *
 * @param language ISO 639-1 code
 * @param market free text, such as a country
 * @param currency ISO 4217 code
 * @param rules the number of the rules by which it is folded, judged and grouped
 * @param version grows by one with every act, undo and redo
 * @param binnedAt when it was moved to the bin; null if it was not
 */
public record Project(
        long id,
        String name,
        String language,
        String market,
        String currency,
        int rules,
        long version,
        OffsetDateTime openedAt,
        @Nullable OffsetDateTime binnedAt) {

    public boolean binned() {
        return binnedAt != null;
    }
}

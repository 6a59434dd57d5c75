package smorgas.core.gather;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.YearMonth;
import java.time.format.DateTimeFormatter;
import java.util.Locale;
import java.util.Optional;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import smorgas.core.figure.ColumnRole;

/** Months in the names of columns, as lists and spreadsheets of several countries write them. */
class MonthsTest {

    @ParameterizedTest
    @CsvSource({
        "Mar 2026, 2026-03",
        "Searches: Mar 2026, 2026-03",
        "March 2026, 2026-03",
        "Sept 2025, 2025-09",
        "2026-03, 2026-03",
        "03/2026, 2026-03",
        "3 2026, 2026-03",
        "mai 2026, 2026-05",
        "März 2026, 2026-03",
        "févr. 2026, 2026-02",
        "ago 2025, 2025-08",
        "Mar-26, 2026-03",
        "Mar 26, 2026-03",
        "Mar '26, 2026-03",
        "Dez 25, 2025-12",
        "Dez. 25, 2025-12",
        "déc.-25, 2025-12",
        "mrt 24, 2024-03",
        "dic-24, 2024-12"
    })
    void aMonthWithItsYearIsToldInFullOrShort(String name, YearMonth month) {
        assertThat(ColumnNames.month(name)).contains(month);
        assertThat(ColumnNames.role(name)).isEqualTo(ColumnRole.MONTH);
    }

    @ParameterizedTest
    @ValueSource(strings = {"Mar", "March", "sep", "Sept"})
    void anEnglishMonthAloneIsOneOfNoYear(String name) {
        assertThat(ColumnNames.role(name)).isEqualTo(ColumnRole.MONTH);
        assertThat(ColumnNames.month(name)).isEmpty();
    }

    /** Each begins as a month does, or is one where somebody else lives. */
    @ParameterizedTest
    @ValueSource(
            strings = {
                "Market",
                "Market 2024",
                "Margin",
                "Decision",
                "Separate",
                "Mayor",
                "Augmented",
                "Mai",
                "Top 24",
                "Mar 126",
                "2026-13",
                "Mar 26 27"
            })
    void whatOnlyLooksLikeAMonthIsNone(String name) {
        assertThat(ColumnNames.month(name)).isEqualTo(Optional.empty());
        assertThat(ColumnNames.role(name)).isNotEqualTo(ColumnRole.MONTH);
    }

    /** As the formats of the Unicode locale data write it, by the JDK's own formatter. */
    @ParameterizedTest
    @CsvSource({
        "en, MMM uuuu",
        "en, MMMM uuuu",
        "en, MMM-uu",
        "de, LLLL uuuu",
        "de, LLL uu",
        "fr, LLLL uuuu",
        "es, LLL-uu"
    })
    void everyMonthIsToldAsFormattersWriteIt(String language, String pattern) {
        DateTimeFormatter formatter = DateTimeFormatter.ofPattern(pattern, Locale.of(language));
        for (int month = 1; month <= 12; month++) {
            YearMonth written = YearMonth.of(2025, month);
            assertThat(ColumnNames.month(formatter.format(written)))
                    .as(formatter.format(written))
                    .contains(written);
        }
    }
}

package smorgas.core.gather;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.time.Month;
import java.time.YearMonth;
import java.time.format.TextStyle;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import smorgas.core.figure.ColumnRole;
import smorgas.core.figure.Decimals;
import smorgas.core.figure.Figure;
import smorgas.core.figure.FigureReader;

/** How lists are laid out, as programs and people write them. */
class LayoutTest {

    private final List<List<String>> rows = new ArrayList<>();

    private Reading read(byte[] bytes) {
        return BasketReader.read("list", bytes, (line, cells) -> rows.add(List.of(cells)));
    }

    private Reading read(String text) {
        return read(text.getBytes(StandardCharsets.UTF_8));
    }

    @ParameterizedTest
    @ValueSource(strings = {",", ";", "\t", "|"})
    void findsEachDelimiter(String delimiter) {
        Reading reading = read("Keyword%Searches%CPC\nbee hive%10%0.5\nbee suit%20%0.6\n".replace("%", delimiter));
        assertThat(String.valueOf(reading.delimiter())).isEqualTo(delimiter);
        assertThat(reading.columns()).containsExactly(ColumnRole.KEYWORD, ColumnRole.SEARCHES, ColumnRole.CPC);
    }

    @Test
    void commasWithinQuotedCellsDoNotMakeItAFileOfCommas() {
        Reading reading = read("Keyword;Searches\n\"hive, painted\";1,300\n\"suit, white, large\";2,400\n");
        assertThat(reading.delimiter()).isEqualTo(';');
        assertThat(rows.getFirst()).containsExactly("hive, painted", "1,300");
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            Keyword | KEYWORD
            KEYWORDS | KEYWORD
            Search term | KEYWORD
            "Suchbegriff" | KEYWORD
            Mot-clé | KEYWORD
            Palabra clave | KEYWORD
            Zoekwoord | KEYWORD
            Sökord | KEYWORD
            Avg. monthly searches | SEARCHES
            Search volume (monthly) | SEARCHES
            Volume | SEARCHES
            Suchvolumen | SEARCHES
            CPC (GBP) | CPC
            Max. CPC | CPC
            Low bid | LOW_BID
            High bid [EUR] | HIGH_BID
            Avg. position | POSITION
            Competition | COMPETITION
            Landing page | LANDING_PAGE
            Keyword difficulty | DIFFICULTY
            Search volume trend | OTHER
            Mar 2026 | MONTH
            2026-03 | MONTH
            Klicks | CLICKS
            Anzeigengruppe | AD_GROUP
            Headline 12 | HEADLINE
            Description 2 | DESCRIPTION
            Day | DATE
            Campaign 2 | OTHER
            '' | OTHER
            """)
    void namesColumnsByTheirHeader(String header, ColumnRole role) {
        assertThat(ColumnNames.role(header)).isEqualTo(role);
    }

    /** ISO 8601 writes a month as 2026-03; the other ways are common practice. */
    @Test
    void monthsAreDatesAndComeInTheirOrder() {
        Lines lines = BasketReaderTest.lines("keyword;Searches: Mar 2026;2026-01;02/2026\nbee hive;30;10;20\n");
        assertThat(lines.months())
                .extracting(
                        one -> one.month().orElseThrow() + " " + one.searches(0).orElseThrow())
                .containsExactly("2026-01 10", "2026-02 20", "2026-03 30");
        Lines yearless = BasketReaderTest.lines("keyword;Mar;Jan\nbee hive;30;10\n");
        assertThat(yearless.months())
                .extracting(
                        one -> one.month().isPresent() + " " + one.searches(0).orElseThrow())
                .containsExactly("false 30", "false 10");
    }

    /** Against the names of months that the JDK ships (Unicode CLDR), in full and short. */
    @ParameterizedTest
    @ValueSource(strings = {"en", "de", "fr", "es", "it", "nl"})
    void monthsAreKnownInTheMainLanguages(String language) {
        for (Month month : Month.values()) {
            for (TextStyle style : new TextStyle[] {
                TextStyle.FULL, TextStyle.SHORT, TextStyle.FULL_STANDALONE, TextStyle.SHORT_STANDALONE
            }) {
                String name = month.getDisplayName(style, Locale.of(language));
                assertThat(ColumnNames.month(name + " 2026")).as(name).contains(YearMonth.of(2026, month));
                assertThat(ColumnNames.role(name + " 2026")).as(name).isEqualTo(ColumnRole.MONTH);
            }
        }
    }

    /** Of other languages a month counts beside a year only: alone it may be any word. */
    @Test
    void aWordThatBeginsLikeAMonthIsNone() {
        assertThat(ColumnNames.role("Set")).isEqualTo(ColumnRole.OTHER);
        assertThat(ColumnNames.role("Magazine")).isEqualTo(ColumnRole.OTHER);
        assertThat(ColumnNames.role("Gender")).isEqualTo(ColumnRole.OTHER);
        assertThat(ColumnNames.role("Magazine 2026")).isEqualTo(ColumnRole.OTHER);
        assertThat(ColumnNames.role("fevr 2026")).isEqualTo(ColumnRole.MONTH);
    }

    /** Searches of months in other people's writing: ranges, thousands, thousandths of a language, nothing. */
    @Test
    void searchesOfMonthsAreReadLikeOthers() {
        Lines lines = BasketReaderTest.lines(
                "Keyword;Suchanfragen;Okt 2025;Mär 2026;Dez 25\nbienenkorb;10;1.000;100 - 300;9\nimker;5;;1K;9\n");
        assertThat(lines.months())
                .extracting(MonthColumn::month)
                .containsExactly(
                        Optional.of(YearMonth.of(2025, 10)),
                        Optional.of(YearMonth.of(2025, 12)),
                        Optional.of(YearMonth.of(2026, 3)));
        assertThat(lines.months().get(2).searches(0)).hasValue(200);
        assertThat(lines.months().get(2).searches(1)).hasValue(1_000);
        assertThat(lines.months().get(0).searches(1)).isEmpty();
    }

    @Test
    void textsAreKeptByTheirRoleAndEachOnce() {
        Lines lines = BasketReaderTest.lines("keyword,ad group,status,headline 1,headline 2\n"
                + "bee hive, Hives ,,Hives,All sizes\nbee hives,Hives,,Hives,\nbee suit,Suits,,,\nTotal,,,,\n");
        assertThat(lines.texts(ColumnRole.AD_GROUP)).singleElement().satisfies(column -> {
            assertThat(column.texts()).containsExactly("Hives", "Suits");
            assertThat(column.text(1)).isEqualTo("Hives");
            assertThat(column.size()).isEqualTo(lines.size());
        });
        assertThat(lines.texts(ColumnRole.HEADLINE)).hasSize(2);
        assertThat(lines.texts(ColumnRole.STATUS)).isEmpty();
    }

    @Test
    void namesInALanguageThatIsNotKnownAreNamesWhereFiguresStandBelow() {
        Reading reading = read("Słowa;Ile\nbee hive;10\nbee suit;20\n");
        assertThat(reading.headers()).containsExactly("Słowa", "Ile");
        assertThat(reading.columns()).containsExactly(ColumnRole.KEYWORD, ColumnRole.SEARCHES);
        assertThat(rows).hasSize(2);
        rows.clear();
        // Without figures nothing tells a name from a keyword.
        assertThat(read("bee hive;bee hives\nbee suit;bee suits\n").headerLine())
                .isZero();
        assertThat(rows).hasSize(2);
    }

    @Test
    void ofTwoColumnsForOneFigureTheLeftCounts() {
        Lines lines = BasketReaderTest.lines("keyword,volume,search volume\nbee hive,10,99\n");
        assertThat(lines.figure(Figure.SEARCHES).orElseThrow().low(0)).isEqualTo(10);
    }

    @Test
    void aByteThatIsNoUtf8MakesTheTextWindows1252() {
        Reading reading = read(new byte[] {'c', 'a', 'f', (byte) 0xE9, '\n', 'b', (byte) 0x80, '\n'});
        assertThat(reading.encoding()).isEqualTo("windows-1252");
        assertThat(rows).containsExactly(List.of("café"), List.of("b€"));
    }

    @Test
    void utf16IsFoundAlsoWithoutItsMark() {
        Reading reading = read("keyword\tsearches\nbee hive\t10\n".getBytes(StandardCharsets.UTF_16LE));
        assertThat(reading.encoding()).isEqualTo("UTF-16LE");
        assertThat(rows).containsExactly(List.of("bee hive", "10"));
    }

    @Test
    void utf32WithItsMarkIsRead() {
        read("\uFEFFbee hive\nbee 🐝\n".getBytes(Charset.forName("UTF-32LE")));
        assertThat(rows).containsExactly(List.of("bee hive"), List.of("bee 🐝"));
    }

    @Test
    void linesMayEndInAnyOfTheThreeWays() {
        for (String end : List.of("\n", "\r\n", "\r")) {
            rows.clear();
            read("keyword,searches" + end + "bee hive,10" + end + end + "bee suit,20");
            assertThat(rows).containsExactly(List.of("bee hive", "10"), List.of("bee suit", "20"));
        }
    }

    @Test
    void problemsAreAllCountedAndTheFirstThousandKept() {
        StringBuilder text = new StringBuilder("keyword,searches\n");
        for (int i = 0; i < 1_500; i++) {
            text.append("hive ").append(i).append(",many\n");
        }
        Lines lines = BasketReaderTest.lines(text.toString());
        assertThat(lines.size()).isEqualTo(1_500);
        assertThat(lines.problemCount()).isEqualTo(1_500);
        assertThat(lines.problems()).hasSize(1_000).first().satisfies(p -> {
            assertThat(p.file()).isEqualTo("list.csv");
            assertThat(p.sentence())
                    .hasToString("Line 2: Searches \"many\" is no number that we know. "
                            + "The keyword is in, this figure is left empty.");
        });
    }

    @Test
    void aParagraphInPlaceOfAKeywordIsSetAside() {
        Lines lines = BasketReaderTest.lines("keyword\nbee hive\n" + "very ".repeat(100) + "long\nbee suit\n");
        assertThat(List.of(lines.size(), lines.setAside())).containsExactly(2, 1);
        assertThat(lines.problems()).singleElement().satisfies(p -> assertThat(p.line())
                .isEqualTo(3));
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            SEARCHES | many
            SEARCHES | 1-2-3
            SEARCHES | 100 - 10
            SEARCHES | 99999999999999
            SEARCHES | bee 12
            CPC | $
            CPC | 0.5.5.5x
            POSITION | first
            """)
    void nonsenseIsAFaultAndNoNumber(Figure figure, String cell) {
        assertThat(new FigureReader(Decimals.POINT).read(cell, figure)).isEqualTo(FigureReader.Outcome.FAULT);
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "  ", "-", "--", "n/a", "N/A", "–", "\u00A0"})
    void whatStandsForNothingIsUnknown(String cell) {
        assertThat(new FigureReader(Decimals.POINT).read(cell, Figure.SEARCHES)).isEqualTo(FigureReader.Outcome.EMPTY);
    }
}

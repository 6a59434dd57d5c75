package smorgas.core.gather;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.stream.IntStream;
import org.dhatim.fastexcel.Workbook;
import org.dhatim.fastexcel.Worksheet;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import smorgas.core.figure.ColumnRole;
import smorgas.core.figure.Decimals;
import smorgas.core.figure.Figure;
import smorgas.core.figure.FigureReader;
import smorgas.core.recipe.gather.ReadAs;

/** What lists say in other people's writing, layouts and languages. */
class UnderstoodTest {

    private static List<String> texts(String list) {
        return texts(BasketReader.lines(1, "list", list.getBytes(StandardCharsets.UTF_8)));
    }

    private static List<String> texts(BasketReader.Read read) {
        Lines lines = read.lines().orElseThrow();
        return IntStream.range(0, lines.size()).mapToObj(lines::text).toList();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "SEARCHES | 1.000 | POINT | 1000", "SEARCHES | 1,000 | COMMA | 1000", "CPC | 0,9 | POINT | 900000",
                "CPC | 1,5 | COMMA | 1500000", "CPC | 1.250 | POINT | 1250000", "CPC | 1.250 | COMMA | 1250000000",
                "CPC | 1,250 | COMMA | 1250000", "CPC | 1.234,50 | POINT | 1234500000",
                        "SEARCHES | 1K - 10K | POINT | 1000"
            })
    void aNumberIsReadAsItIsMeant(Figure figure, String text, Decimals decimals, long low) {
        FigureReader reader = new FigureReader(decimals);
        assertThat(reader.read(text, figure)).isEqualTo(FigureReader.Outcome.READ);
        assertThat(reader.low()).isEqualTo(low);
    }

    @ParameterizedTest
    @CsvSource({
        "Top of page bid (low range), LOW_BID",
        "Top of page bid (high range), HIGH_BID",
        "'Bid, from (EUR)', LOW_BID",
        "Bid to, HIGH_BID",
        "Gebot für obere Positionen (niedriger Bereich), LOW_BID",
        "Niedriges Gebot oben auf der Seite, LOW_BID",
        "Gebot oben (bis), HIGH_BID",
        "Kosten pro Klick in EUR, CPC",
        "Average cost of a click, CPC",
        "Searches per month (average), SEARCHES",
        "Durchschnittliche Suchanfragen im Monat, SEARCHES",
        "Enchère de haut de page (basse), LOW_BID",
        "Puja alta de la página, HIGH_BID",
        "Position last month, PREVIOUS_POSITION",
        "Searches change in three months, CHANGE",
        "Search volume trend, OTHER",
        "Notes, OTHER"
    })
    void aColumnIsUnderstoodByTheWordsInItsName(String name, ColumnRole role) {
        assertThat(ColumnNames.role(name)).isEqualTo(role);
    }

    @Test
    void figuresThatAreNotUnderstoodAreToldAndNumbersAreNotTakenForKeywords() {
        BasketReader.Read read = BasketReader.lines(
                1, "list", "keyword,odd name\nbee hive,7\nbee suit,9\n".getBytes(StandardCharsets.UTF_8));
        assertThat(read.reading().problems())
                .anyMatch(problem ->
                        problem.what().toString().contains("\"odd name\" holds figures that were not understood"));
        BasketReader.Read numbers =
                BasketReader.lines(1, "numbers", "12,7\n13,9\n14,8\n".getBytes(StandardCharsets.UTF_8));
        assertThat(texts(numbers)).isEmpty();
        assertThat(numbers.reading().problems())
                .anyMatch(problem ->
                        problem.what().toString().startsWith("It is not clear which column holds the keyword"));
    }

    @Test
    void pastedListsLoseNothing() {
        assertThat(texts("1. bee hive\n\n2. bee suit\n\n3. smoker\n"))
                .containsExactly("bee hive", "bee suit", "smoker");
        assertThat(texts("bee hive kit\n2. beekeeper suit\n\u2022 smoker fuel\n"))
                .containsExactly("bee hive kit", "beekeeper suit", "smoker fuel");
        assertThat(texts("bee hive, bee suit, smoker\nbee veil, hive tool, frames\n"))
                .containsExactly("bee hive", "bee suit", "smoker", "bee veil", "hive tool", "frames");
        assertThat(texts("10 frame hive\n4. gauge\nbee suit\n")).contains("4. gauge");
    }

    @Test
    void aColumnForEachRivalIsAListForEach() {
        String grid =
                "Skeplund,Brumvale,Otterhive\nbee hive,bee hive kit,smoker fuel\nbee suit,beekeeper suit,bee smoker\n"
                        + "bee veil,bee veil hat,hive smoker\nhive tool,hive tool set,smoker bellows\nbee smoker kit,bee brush,bee feeder\n";
        assertThat(texts(grid))
                .hasSize(15)
                .contains("bee hive kit", "smoker bellows")
                .doesNotContain("Skeplund");
        String categories =
                "bee hive,hives\nbee suit,clothes\nbee veil,clothes\nhive lid,hives\nhive roof,hives\nbee hat,clothes\n";
        assertThat(texts(categories)).hasSize(6).doesNotContain("clothes");
    }

    private static byte[] workbook() throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (Workbook workbook = new Workbook(out, "test", "1.0")) {
            Worksheet note = workbook.newWorksheet("Read me");
            note.value(0, 0, "These lists were exported by a colleague on Monday and are not complete yet");
            for (String name : List.of("Hives", "Suits")) {
                Worksheet list = workbook.newWorksheet(name);
                list.value(0, 0, "Keyword");
                list.value(0, 1, "Searches");
                for (int row = 1; row < 4; row++) {
                    list.value(row, 0, name.toLowerCase(java.util.Locale.ROOT) + " " + row);
                    list.value(row, 1, row);
                }
            }
            workbook.newWorksheet("Empty");
        }
        return out.toByteArray();
    }

    @Test
    void everySheetThatIsAListIsGatheredAndTheOthersAreNamedWithTheReason() throws IOException {
        Packed.NamedBytes file = new Packed.NamedBytes("book.xlsx", workbook());
        Workbooks.Parts parts = Workbooks.of(file, false);
        assertThat(parts.lists())
                .extracting(part -> part.list().name())
                .containsExactly("book.xlsx, Hives", "book.xlsx, Suits");
        assertThat(parts.problems())
                .extracting(Problem::what)
                .map(Object::toString)
                .containsExactly("The sheet \"Read me\" reads like a note", "The sheet \"Empty\" is empty");
        for (Workbooks.Part part : parts.lists()) {
            assertThat(read(part)).hasSize(3);
        }
        Workbooks.Parts joined = Workbooks.of(file, true);
        assertThat(joined.lists()).singleElement().satisfies(part -> {
            assertThat(part.readAs().sheet()).isEqualTo(ReadAs.ALL_SHEETS);
            assertThat(read(part)).containsExactly("hives 1", "hives 2", "hives 3", "suits 1", "suits 2", "suits 3");
        });
    }

    private static List<String> read(Workbooks.Part part) {
        return texts(BasketReader.lines(
                1,
                new RawList(part.list().name(), part.list().bytes(), part.readAs(), Decimals.POINT),
                Halt.NEVER,
                (line, cells) -> {}));
    }
}

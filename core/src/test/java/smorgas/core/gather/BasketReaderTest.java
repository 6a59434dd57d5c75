package smorgas.core.gather;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayOutputStream;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import smorgas.core.figure.ColumnRole;
import smorgas.core.figure.Decimals;
import smorgas.core.figure.Figure;
import smorgas.core.figure.FigureReader;

class BasketReaderTest {

    private final List<List<String>> rows = new ArrayList<>();
    private final List<Integer> lines = new ArrayList<>();

    private Reading read(byte[] bytes) {
        return BasketReader.read("list.csv", bytes, (line, cells) -> {
            lines.add(line);
            rows.add(List.of(cells));
        });
    }

    private Reading read(String text) {
        return read(text.getBytes(StandardCharsets.UTF_8));
    }

    static Lines lines(String text) {
        byte[] bytes = text.getBytes(StandardCharsets.UTF_8);
        return TestLists.lines(1, "list.csv", bytes);
    }

    /** RFC 4180, section 2, rules 6 and 7 (from memory). */
    @Test
    void readsTheExamplesOfRfc4180() {
        read("keyword,b,c\r\n\"aaa\",\"b\r\nbb\",\"ccc\"\r\nzzz,yyy,xxx\r\n\"aaa\",\"b\"\"bb\",\"ccc\"\r\n");
        assertThat(rows)
                .containsExactly(
                        List.of("aaa", "b\r\nbb", "ccc"), List.of("zzz", "yyy", "xxx"), List.of("aaa", "b\"bb", "ccc"));
        assertThat(lines).containsExactly(2, 4, 5);
    }

    /** Apache Commons CSV 1.14.1 (tests jar): its file test.csv, and the records that its own parser must give. */
    @Test
    void givesTheRecordsThatAReferenceLibraryExpectsOfItsFile() throws Exception {
        List<String> found = new ArrayList<>();
        new DelimitedRows(reference("test.csv"), ',', new Problems("test.csv"))
                .forEach((line, cells) -> found.add(cells.length + ":" + Arrays.toString(cells)));
        List<String> expected = reference("test_default.txt").lines().skip(2).toList();
        assertThat(found.stream().map(BasketReaderTest::bare).toList())
                .hasSize(13)
                .isEqualTo(expected.stream().map(BasketReaderTest::bare).toList());
    }

    /** Spaces behind a closing quote are kept here and dropped there; keyword and figures are stripped later anyway. */
    private static String bare(String row) {
        return row.replaceAll("\\s+]", "]").strip();
    }

    private static String reference(String name) throws Exception {
        try (var in = BasketReaderTest.class.getResourceAsStream("/org/apache/commons/csv/CSVFileParser/" + name)) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8);
        }
    }

    @ParameterizedTest
    @ValueSource(strings = {"UTF-8", "UTF-16LE", "UTF-16BE", "windows-1252"})
    void findsTheEncoding(String name) throws Exception {
        String text =
                "Suchbegriff;Suchvolumen;Klickpreis\nkönigin züchten;1.300;0,75 €\nhonig schleuder;2.400;1,20 €\n";
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        if (name.startsWith("UTF")) {
            bytes.write("\uFEFF".getBytes(Charset.forName(name)));
        }
        bytes.write(text.getBytes(Charset.forName(name)));

        Reading reading = read(bytes.toByteArray());

        assertThat(reading.encoding()).isEqualTo(name);
        assertThat(reading.delimiter()).isEqualTo(';');
        assertThat(rows.getFirst()).containsExactly("königin züchten", "1.300", "0,75 €");
    }

    @Test
    void findsTheHeaderBelowPreambleLines() {
        Reading reading = read("Keyword ideas\n1 May 2026 to 31 May 2026\nKeyword\tAvg. monthly searches\tCompetition\n"
                + "bee hive\t1,000\tHigh\nbee suit\t2,400\tLow\n");
        assertThat(reading.headerLine()).isEqualTo(3);
        assertThat(reading.columns()).containsExactly(ColumnRole.KEYWORD, ColumnRole.SEARCHES, ColumnRole.COMPETITION);
        assertThat(reading.problems()).extracting(Problem::line).containsExactly(1, 2);
        assertThat(reading.setAside()).isEqualTo(2);
        assertThat(lines).containsExactly(4, 5);
    }

    @Test
    void aKeywordThatReadsLikeAColumnNameIsAHeaderOnlyAtTheTop() {
        assertThat(read("bee hive\nquery\nqueen cage\n").headerLine()).isZero();
        assertThat(rows).hasSize(3);
        assertThat(read("Keywords\nbee hive\nqueen cage\n").headerLine()).isEqualTo(1);
        assertThat(read("Keywords\nKeyword,Searches\nbee hive,10\nbee suit,20\n")
                        .headerLine())
                .isEqualTo(2);
    }

    @Test
    void understandsColumnsWithoutAHeaderByWhatIsInThem() {
        Reading reading = read("1200,bee hive kit,0.75\n90,bee smoker,1.10\n10,queen cage,0.40\n");
        assertThat(reading.columns()).containsExactly(ColumnRole.SEARCHES, ColumnRole.KEYWORD, ColumnRole.CPC);
    }

    @Test
    void takesListNumbersAndBulletsOffPlainLists() {
        read(
                "1. bee hive\n2. bee suit\n3) smoker\n10 frame hive\n4.5 mm mesh\n7. gauge wire\n- queen cage\n• feeder\n-bee\n");
        assertThat(rows.stream().map(List::getFirst))
                .containsExactly(
                        "bee hive",
                        "bee suit",
                        "smoker",
                        "10 frame hive",
                        "4.5 mm mesh",
                        "7. gauge wire",
                        "queen cage",
                        "feeder",
                        "-bee");
    }

    @Test
    void aPlainListWithSomeCommasStaysAPlainList() {
        Reading reading = read("bee hive\nhive, painted\nbee suit\nbee gloves\nsmoker fuel\n");
        assertThat(reading.delimiter()).isEqualTo(Reading.PLAIN);
        assertThat(rows).hasSize(5);
    }

    /** Too near to the end for the bound on lines to tell. */
    @Test
    void anUnclosedQuoteNearTheEndCostsOneLineTooAndALastCellOfSeveralLinesIsOne() {
        Reading reading = read("keyword,searches\nbee hive,1\n\"bee suit,2\nbee veil,3\nbee hat,4");
        assertThat(lines).containsExactly(2, 4, 5);
        assertThat(reading.problems()).singleElement().satisfies(p -> assertThat(p.line())
                .isEqualTo(3));
        rows.clear();
        lines.clear();
        assertThat(read("keyword,notes\nbee hive,1\nbee suit,\"two\nlines \"\"here\"\"\"\n")
                        .problems())
                .isEmpty();
        assertThat(rows.getLast()).containsExactly("bee suit", "two\nlines \"here\"");
    }

    @Test
    void anUnclosedQuoteCostsOneLineAndNotTheRest() {
        StringBuilder text = new StringBuilder("keyword,searches\nbee hive,10\n\"bee suit,20\n");
        for (int i = 0; i < 100; i++) {
            text.append("hive stand ").append(i).append(",5\n");
        }
        Reading reading = read(text.toString());
        assertThat(rows).hasSize(101);
        assertThat(lines).startsWith(2, 4, 5).endsWith(103);
        assertThat(reading.problems()).singleElement().satisfies(p -> {
            assertThat(p.line()).isEqualTo(3);
            assertThat(p.what().toString()).contains("quote");
        });
    }

    @Test
    void rowsOfUnequalLengthGoInAsTheyAre() {
        read("keyword,searches\nbee hive,10,extra\nbee suit\n\"bee\" gloves,7\n");
        assertThat(rows)
                .containsExactly(List.of("bee hive", "10", "extra"), List.of("bee suit"), List.of("bee gloves", "7"));
    }

    @Test
    void refusesWhatIsNoTextWithOneSentence() {
        for (byte[] bytes : List.of(
                new byte[0], new byte[] {'P', 'K', 3, 4, 0}, new byte[] {1, 0, 0, 7, 0, 9, 9, 0}, new byte[] {'\n', '\n'
                })) {
            Reading reading = read(bytes);
            assertThat(reading.refused()).isTrue();
            assertThat(reading.problems())
                    .singleElement()
                    .satisfies(p -> assertThat(p.sentence().toString()).endsWith("."));
        }
        assertThat(rows).isEmpty();
    }

    @Test
    void noBytesMakeItThrow() {
        Random random = new Random(4);
        byte[] alphabet = "ab1,;\t|\"'\r\n \u00e9[+".getBytes(StandardCharsets.UTF_8);
        int read = 0;
        for (int round = 0; round < 3_000; round++) {
            byte[] bytes = new byte[random.nextInt(200)];
            for (int i = 0; i < bytes.length; i++) {
                bytes[i] =
                        random.nextInt(20) == 0 ? (byte) random.nextInt() : alphabet[random.nextInt(alphabet.length)];
            }
            Lines lines = TestLists.lines(1, "noise", bytes);
            read += lines.size();
            for (int row = 0; row < lines.size(); row++) {
                assertThat(lines.text(row)).isNotBlank();
            }
        }
        assertThat(read).as("lines that were read of all the noise").isGreaterThan(3_000);
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            SEARCHES | 1,300 | 1300 | 1300
            SEARCHES | 1.300 | 1300 | 1300
            SEARCHES | 1 300 | 1300 | 1300
            SEARCHES | 1'234'567 | 1234567 | 1234567
            SEARCHES | 12,345,678 | 12345678 | 12345678
            SEARCHES | 1.5K | 1500 | 1500
            SEARCHES | 1K – 10K | 1000 | 10000
            SEARCHES | 10-100 | 10 | 100
            SEARCHES | <10 | 0 | 10
            SEARCHES | 100K+ | 100000 | 100000
            CPC | $1.20 | 1200000 | 1200000
            CPC | 1,20 € | 1200000 | 1200000
            CPC | EUR 0.05 | 50000 | 50000
            CPC | 1.234,50 kr | 1234500000 | 1234500000
            CPC | 1,234.50 | 1234500000 | 1234500000
            COMPETITION | High | 67 | 100
            COMPETITION | mittel | 34 | 66
            COMPETITION | 42 | 42 | 42
            COMPETITION | 0.37 | 37 | 37
            POSITION | 3.4 | 340 | 340
            """)
    void readsTheNumbersOfLists(Figure figure, String cell, long low, long high) {
        FigureReader numbers = new FigureReader(Decimals.POINT);
        assertThat(numbers.read(cell, figure)).isEqualTo(FigureReader.Outcome.READ);
        assertThat(List.of(numbers.low(), numbers.high())).containsExactly(low, high);
    }

    @Test
    void unknownIsNotZeroAndNonsenseIsReportedByItsLine() {
        Lines lines = lines("keyword,searches\nbee hive,\nbee suit,--\nbee veil,many\n,900\nbee hat,0\n");
        assertThat(lines.size()).isEqualTo(4);
        assertThat(lines.setAside()).isEqualTo(1);
        var searches = lines.figure(Figure.SEARCHES).orElseThrow();
        assertThat(List.of(searches.known(0), searches.known(1), searches.known(2), searches.known(3)))
                .containsExactly(false, false, false, true);
        assertThat(lines.problems()).extracting(Problem::line).containsExactly(4, 5);
    }
}

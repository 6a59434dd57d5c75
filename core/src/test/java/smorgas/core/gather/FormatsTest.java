package smorgas.core.gather;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.zip.GZIPOutputStream;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.dhatim.fastexcel.Workbook;
import org.dhatim.fastexcel.Worksheet;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import smorgas.core.figure.ColumnRole;
import smorgas.core.figure.Figure;
import smorgas.core.gather.Reading.Format;
import smorgas.core.recipe.gather.BasketInfo.Kind;
import smorgas.core.recipe.gather.ReadAs;

/** Lists in every format that a researcher brings, and files that are broken or mean harm. */
class FormatsTest {

    private final List<List<String>> rows = new ArrayList<>();
    private final List<Integer> lines = new ArrayList<>();

    private Reading read(byte[] bytes, ReadAs readAs) {
        rows.clear();
        lines.clear();
        return BasketReader.read("list", bytes, readAs, (line, cells) -> {
            lines.add(line);
            rows.add(List.of(cells));
        });
    }

    private Reading read(byte[] bytes) {
        return read(bytes, ReadAs.FOUND);
    }

    private Reading read(String text) {
        return read(text.getBytes(StandardCharsets.UTF_8));
    }

    private static byte[] zip(Map<String, byte[]> files) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (ZipOutputStream zip = new ZipOutputStream(out)) {
            for (Map.Entry<String, byte[]> file : files.entrySet()) {
                zip.putNextEntry(new ZipEntry(file.getKey()));
                zip.write(file.getValue());
            }
        }
        return out.toByteArray();
    }

    static byte[] gzip(byte[] bytes) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (GZIPOutputStream gzip = new GZIPOutputStream(out)) {
            gzip.write(bytes);
        }
        return out.toByteArray();
    }

    static byte[] bytes(String text) {
        return text.getBytes(StandardCharsets.UTF_8);
    }

    static byte[] xlsx() {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (Workbook workbook = new Workbook(out, "test", "1.0")) {
            workbook.newWorksheet("Notes");
            Worksheet sheet = workbook.newWorksheet("Keywords");
            sheet.value(0, 0, "Exported on a Monday");
            String[] header = {"Keyword", "Search volume", "CPC"};
            for (int column = 0; column < header.length; column++) {
                sheet.value(2, column, header[column]);
            }
            sheet.value(3, 0, "bee hive");
            sheet.value(3, 1, 14_800);
            sheet.value(3, 2, 0.1 + 0.2);
            sheet.value(4, 0, "honey jar");
            sheet.value(6, 0, "bee suit");
            sheet.value(6, 1, "1K - 10K");
            workbook.newWorksheet("More").value(0, 0, "queen cage");
        } catch (IOException e) {
            throw new java.io.UncheckedIOException(e);
        }
        return out.toByteArray();
    }

    @Test
    void aWorkbookOffersItsSheetsAndTheFirstFilledIsRead() {
        Reading reading = read(xlsx());
        assertThat(reading.format()).isEqualTo(Format.XLSX);
        assertThat(reading.sheets()).containsExactly("Notes", "Keywords", "More");
        assertThat(reading.sheet()).isEqualTo("Keywords");
        assertThat(reading.headerLine()).isEqualTo(3);
        assertThat(rows)
                .containsExactly(
                        List.of("bee hive", "14800", "0.3"), List.of("honey jar"), List.of("bee suit", "1K - 10K"));
        assertThat(lines).containsExactly(4, 5, 7);

        Reading other = read(xlsx(), new ReadAs("", "", "More", -1, List.of()));
        assertThat(other.sheet()).isEqualTo("More");
        assertThat(rows).containsExactly(List.of("queen cage"));
    }

    static byte[] ods() throws IOException {
        String content = """
            <?xml version="1.0"?>
            <office:document-content xmlns:office="urn:oasis:names:tc:opendocument:xmlns:office:1.0"
              xmlns:table="urn:oasis:names:tc:opendocument:xmlns:table:1.0"
              xmlns:text="urn:oasis:names:tc:opendocument:xmlns:text:1.0"><office:body><office:spreadsheet>
              <table:table table:name="Empty"><table:table-row table:number-rows-repeated="1048576">
                <table:table-cell table:number-columns-repeated="16384"/></table:table-row></table:table>
              <table:table table:name="Words"><table:table-row>
                <table:table-cell><text:p>Keyword</text:p></table:table-cell>
                <table:table-cell><text:p>Searches</text:p></table:table-cell></table:table-row>
              <table:table-row table:number-rows-repeated="3"><table:table-cell table:number-columns-repeated="9"/>
                </table:table-row>
              <table:table-row><table:table-cell><text:p>bee<text:s/>hive</text:p></table:table-cell>
                <table:table-cell office:value-type="float" office:value="1300"><text:p>1.300,00</text:p>
                </table:table-cell></table:table-row></table:table>
            </office:spreadsheet></office:body></office:document-content>
            """;
        return zip(Map.of("content.xml", bytes(content)));
    }

    @Test
    void anOpenDocumentWorkbookIsReadWithItsRepeats() throws IOException {
        Reading reading = read(ods());
        assertThat(reading.format()).isEqualTo(Format.ODS);
        assertThat(reading.sheets()).containsExactly("Empty", "Words");
        assertThat(rows).containsExactly(List.of("bee hive", "1300"));
        assertThat(lines).containsExactly(5);
    }

    @Test
    void entitiesOfAWorkbookAreNotFollowed() throws IOException {
        String content = "<!DOCTYPE x [<!ENTITY e SYSTEM \"file:///etc/hostname\">]><x>&e;</x>";
        assertThat(read(zip(Map.of("content.xml", bytes(content)))).refused()).isTrue();
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "[{\"keyword\":\"bee hive\",\"searches\":1300},\n{\"keyword\":\"bee suit\",\"extra\":{\"a\":[1,2]}}]",
                "{\"keyword\":\"bee hive\",\"searches\":1300}\n{\"keyword\":\"bee suit\",\"extra\":{\"a\":[1,2]}}\n",
                "{\"made\":\"today\",\"rows\":[{\"keyword\":\"bee hive\",\"searches\":1300},\n"
                        + "{\"keyword\":\"bee suit\",\"extra\":{\"a\":[1,2]}}]}"
            })
    void objectsOfJsonAreRowsInWhateverWayTheyStand(String json) {
        Reading reading = read(json);
        assertThat(reading.format()).isEqualTo(Format.JSON);
        assertThat(reading.headers()).containsExactly("keyword", "searches", "extra.a");
        assertThat(rows).containsExactly(List.of("bee hive", "1300", ""), List.of("bee suit", "", "1 | 2"));
        assertThat(lines).containsExactly(1, 2);
    }

    @Test
    void anArrayOfTextsIsAListAndBrokenJsonKeepsWhatStoodBefore() {
        read("[\"bee hive\", \"bee suit\"]");
        assertThat(rows).containsExactly(List.of("bee hive"), List.of("bee suit"));
        Reading broken = read("[{\"keyword\":\"bee hive\"},\n{\"keyword\":\"bee suit\"},\n{\"keyword\":");
        assertThat(rows).containsExactly(List.of("bee hive"), List.of("bee suit"));
        assertThat(broken.problems()).singleElement().satisfies(p -> assertThat(p.line())
                .isEqualTo(3));
    }

    @Test
    void matchTypeMarksAreNoJsonAndNoMarkup() {
        assertThat(read("[bee hive]\n[bee suit]\n").format()).isEqualTo(Format.PLAIN);
        assertThat(read("<bee> hive\nbee suit\n").format()).isEqualTo(Format.PLAIN);
    }

    @Test
    void theLargestTableOfAPageIsRead() {
        Reading reading = read("<!doctype html><html><body><table><tr><td>menu</td></tr></table>\n<table>\n"
                + "<tr><th>Keyword</th><th>Searches</th></tr>\n<tr><td>bee &amp; hive</td><td>10</td></tr>\n"
                + "<tr><td><b>bee</b> suit<script>alert(1)</script></td><td>20</td></tr></table>");
        assertThat(reading.format()).isEqualTo(Format.HTML);
        assertThat(rows).containsExactly(List.of("bee & hive", "10"), List.of("bee suit", "20"));
        assertThat(lines).containsExactly(4, 5);
    }

    @Test
    void allKeywordsOnOneLineAreAList() {
        read("bee hive, bee suit, queen cage\n");
        assertThat(rows).containsExactly(List.of("bee hive"), List.of("bee suit"), List.of("queen cage"));
        read("hive, painted\n");
        assertThat(rows).containsExactly(List.of("hive, painted"));
    }

    @Test
    void listsComeOutOfPackedFilesAlsoOutOfPackedOnesInThem() throws IOException {
        Map<String, byte[]> files = new LinkedHashMap<>();
        files.put("folder/a.csv", bytes("keyword\nbee hive\n"));
        files.put("b.txt.gz", gzip(bytes("bee suit\n")));
        files.put("__MACOSX/a.csv", bytes("noise"));
        files.put("book.xlsx", xlsx());
        Packed.Contents contents = Packed.open("all.zip", zip(files), 1_000_000);
        assertThat(contents.lists()).extracting(Packed.NamedBytes::name).containsExactly("a.csv", "b.txt", "book.xlsx");
        assertThat(contents.problems()).isEmpty();
        assertThat(Packed.open("plain.csv", bytes("x"), 10).lists())
                .singleElement()
                .satisfies(list -> assertThat(list.name()).isEqualTo("plain.csv"));
    }

    @Test
    void aPackedFileThatClaimsTooMuchIsStoppedAndToldOf() throws IOException {
        byte[] bomb = zip(Map.of("bomb.csv", new byte[50_000_000]));
        assertThat(bomb.length).isLessThan(100_000);
        Packed.Contents contents = Packed.open("bomb.zip", bomb, 10_000_000);
        assertThat(contents.lists()).isEmpty();
        assertThat(contents.problems())
                .singleElement()
                .satisfies(p -> assertThat(p.sentence().toString()).contains("10 MB"));
    }

    @Test
    void whatIsDamagedLockedOrNoListIsRefusedInOneSentence() throws IOException {
        byte[] book = xlsx();
        byte[] half = java.util.Arrays.copyOf(book, book.length / 2);
        byte[] locked = {(byte) 0xD0, (byte) 0xCF, 0x11, (byte) 0xE0, 0, 0, 0, 0};
        Map<byte[], String> refused = new LinkedHashMap<>();
        refused.put(half, "damaged");
        refused.put(locked, "password");
        refused.put(zip(Map.of("picture.png", new byte[100])), "packed file");
        refused.put(zip(Map.of("xl/workbook.xml", bytes("<no"))), "damaged");
        refused.put(new byte[] {0, 1, 2, 0, 0, 9}, "NUL");
        refused.put(bytes("[]"), "no rows");
        refused.put(bytes("<table></table>"), "no table");
        refused.forEach((bytes, word) -> {
            Reading reading = read(bytes);
            assertThat(reading.refused()).as(word).isTrue();
            assertThat(reading.problems()).as(word).isNotEmpty().first().satisfies(p -> assertThat(
                            p.sentence().toString())
                    .contains(word)
                    .endsWith("."));
            assertThat(rows).isEmpty();
        });
        Packed.Contents damaged =
                Packed.open("x.zip", java.util.Arrays.copyOf(zip(Map.of("a", new byte[9999])), 60), 99);
        assertThat(damaged.problems()).isNotEmpty();
        assertThat(Packed.open("x.gz", new byte[] {0x1F, (byte) 0x8B, 8, 9, 9}, 99)
                        .problems())
                .isNotEmpty();
    }

    @Test
    void aHandCanPutEncodingDelimiterHeaderAndColumnsRight() {
        byte[] cyrillic = "улей;100\nмёд;200\n".getBytes(Charset.forName("windows-1251"));
        Reading reading =
                read(cyrillic, new ReadAs("windows-1251", ";", "", 0, List.of(ColumnRole.KEYWORD, ColumnRole.CLICKS)));
        assertThat(reading.encoding()).isEqualTo("windows-1251");
        assertThat(rows).containsExactly(List.of("улей", "100"), List.of("мёд", "200"));
        assertThat(reading.columns()).containsExactly(ColumnRole.KEYWORD, ColumnRole.CLICKS);

        Reading header = read(bytes("bee hive;10\nkw;n\nbee suit;20\n"), new ReadAs("", "", "", 2, List.of()));
        assertThat(header.headers()).containsExactly("kw", "n");
        assertThat(header.columns()).containsExactly(ColumnRole.KEYWORD, ColumnRole.SEARCHES);
        assertThat(rows).containsExactly(List.of("bee suit", "20"));
        assertThat(read(bytes("a,b\nc,d\n"), new ReadAs("", "\n", "", -1, List.of()))
                        .format())
                .isEqualTo(Format.PLAIN);
        assertThatThrownBy(() -> new ReadAs("no-such-charset", "", "", -1, List.of()))
                .hasMessage("There is no encoding \"no-such-charset\"");
        assertThatThrownBy(() -> new ReadAs("", "x", "", -1, List.of())).hasMessage("\"x\" cannot part cells");
    }

    /** ICU's detector needs enough letters to be sure; with few the western guess stands and can be changed. */
    @Test
    void otherEncodingsAreDetectedWhereThereIsEnoughToBeSure() {
        String russian = """
            купить улей для пчёл недорого
            мёд цветочный домашний с доставкой
            как сделать дымарь своими руками
            костюм пчеловода с вентиляцией
            медогонка электрическая цена и отзывы
            как ухаживать за пчёлами весной
            подкормка пчёл сахарным сиропом осенью
            сколько стоит пчелосемья
            что такое прополис и как его принимать
            """;
        for (String encoding : List.of("windows-1251", "KOI8-R")) {
            assertThat(read(russian.getBytes(Charset.forName(encoding))).encoding())
                    .isEqualTo(encoding);
            assertThat(rows.getFirst()).containsExactly("купить улей для пчёл недорого");
        }
        assertThat(read("королева\n".getBytes(Charset.forName("windows-1251"))).encoding())
                .isEqualTo("windows-1252");
        String japanese = "蜂蜜の通販\n養蜂の道具と巣箱\n蜂の巣の販売店\n燻煙器の使い方\n";
        assertThat(read(japanese.repeat(4).getBytes(Charset.forName("Shift_JIS")))
                        .encoding())
                .isEqualTo("Shift_JIS");
    }

    @Test
    void totalsAndRepeatedColumnNamesAreSetAsideWithTheirReason() {
        Lines lines = BasketReaderTest.lines("keyword,searches\nTotal,999\nbee hive,10\nKeyword,Searches\nbee suit,20\n"
                + "total,5\nqueen,7\nGrand total,1036\n");
        List<String> texts = new ArrayList<>();
        for (int row = 0; row < lines.size(); row++) {
            texts.add(lines.text(row));
        }
        // In the middle "total" is a keyword like any other.
        assertThat(texts).containsExactly("bee hive", "bee suit", "total", "queen");
        assertThat(lines.setAside()).isEqualTo(3);
        assertThat(lines.problems()).extracting(Problem::line).containsExactly(2, 4, 8);
    }

    @Test
    void aColumnOfAFigureThatHoldsNoneIsTold() {
        Lines lines = BasketReaderTest.lines("keyword,searches,cpc\nbee hive,10,\nbee suit,20,--\n");
        assertThat(lines.problems())
                .singleElement()
                .satisfies(p -> assertThat(p.sentence().toString()).contains("\"cpc\" holds no figure"));
    }

    @Test
    void theKindIsGuessedFromTheColumns() {
        Map<String, Kind> headers = Map.of(
                "Keyword,Avg. monthly searches,Competition,Low bid", Kind.PLANNER,
                "Keyword,Position,Search volume,Traffic", Kind.COMPETITOR,
                "Query,Clicks,Impressions,CTR,Position", Kind.CONSOLE,
                "Search term,Clicks,Impressions,Cost,Conversions", Kind.SEARCH_TERMS,
                "Campaign,Ad group,Keyword,Match type", Kind.OWN_CAMPAIGN,
                "Keyword,Notes", Kind.OTHER);
        headers.forEach(
                (header, kind) -> assertThat(BasketReaderTest.lines(header + "\nbee hive,b,c,d\nbee suit,b,c,d\n")
                                .info()
                                .kind())
                        .as(header)
                        .isEqualTo(kind));
    }

    @Test
    void newFiguresAreReadWithTheirSigns() {
        Lines lines = BasketReaderTest.lines(
                "keyword,change,ctr,difficulty,conversions,traffic\nbee hive,-12%,3.4%,41,1.5,\"1,300\"\nbee suit,+900%,\"0,5 %\",7,2,10\n");
        assertThat(lines.figure(Figure.CHANGE).orElseThrow().low(0)).isEqualTo(-1_200);
        assertThat(lines.figure(Figure.CHANGE).orElseThrow().low(1)).isEqualTo(90_000);
        assertThat(lines.figure(Figure.CTR).orElseThrow().low(1)).isEqualTo(50);
        assertThat(lines.figure(Figure.CONVERSIONS).orElseThrow().low(0)).isEqualTo(150);
        assertThat(lines.figure(Figure.TRAFFIC).orElseThrow().low(0)).isEqualTo(1_300);
    }

    /** Writes rows in every dialect and reads the same rows back. */
    @Test
    void rowsWrittenInAnyDialectComeBack() {
        Random random = new Random(7);
        String[] cells = {"bee hive", "a,b", "x;y", "say \"hi\"", "tab\tin", "zwei\nZeilen", "ünï", "|", ""};
        for (int round = 0; round < 400; round++) {
            char delimiter = ",;\t|".charAt(random.nextInt(4));
            String end = random.nextBoolean() ? "\n" : "\r\n";
            Charset charset = List.of(StandardCharsets.UTF_8, StandardCharsets.UTF_16LE, StandardCharsets.UTF_16BE)
                    .get(random.nextInt(3));
            List<List<String>> expected = new ArrayList<>();
            StringBuilder text = new StringBuilder("\uFEFFKeyword" + delimiter + "Searches" + delimiter + "Note" + end);
            for (int row = 0; row < 3 + random.nextInt(5); row++) {
                List<String> written = List.of(
                        "k" + row + cells[random.nextInt(cells.length)],
                        String.valueOf(random.nextInt(5_000)),
                        cells[random.nextInt(cells.length)]);
                expected.add(written);
                for (int i = 0; i < 3; i++) {
                    text.append(i == 0 ? "" : delimiter)
                            .append('"')
                            .append(written.get(i).replace("\"", "\"\""))
                            .append('"');
                }
                text.append(end);
            }
            Reading reading = read(text.toString().getBytes(charset));
            assertThat(reading.delimiter()).isEqualTo(delimiter);
            assertThat(rows).isEqualTo(expected);
        }
    }
}

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
import java.util.concurrent.atomic.AtomicInteger;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.Timeout;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import smorgas.core.recipe.gather.ReadAs;
import smorgas.core.text.Message;

/**
 * Files that once ended a run, kept a reader busy for minutes or were told of wrongly. Each gets a sentence, and what is
 * right in it goes in. The time limit is a hundred times what each takes.
 */
@Timeout(60)
class OddFilesTest {

    private static byte[] bytes(String text) {
        return text.getBytes(StandardCharsets.UTF_8);
    }

    private static byte[] zip(Map<String, String> parts) {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (ZipOutputStream zip = new ZipOutputStream(out)) {
            for (Map.Entry<String, String> part : parts.entrySet()) {
                zip.putNextEntry(new ZipEntry(part.getKey()));
                zip.write(bytes(part.getValue()));
            }
        } catch (IOException e) {
            throw new java.io.UncheckedIOException(e);
        }
        return out.toByteArray();
    }

    /** The smallest workbook with these rows. */
    private static byte[] workbook(String rows) {
        String main = "http://schemas.openxmlformats.org/spreadsheetml/2006/main";
        String office = "http://schemas.openxmlformats.org/officeDocument/2006/relationships";
        String packages = "http://schemas.openxmlformats.org/package/2006/";
        Map<String, String> parts = new LinkedHashMap<>();
        parts.put(
                "[Content_Types].xml",
                "<Types xmlns=\"" + packages
                        + "content-types\"><Default Extension=\"xml\" ContentType=\"application/xml\"/>"
                        + "<Override PartName=\"/xl/workbook.xml\" ContentType=\"application/vnd.openxmlformats-officedocument"
                        + ".spreadsheetml.sheet.main+xml\"/></Types>");
        parts.put(
                "_rels/.rels",
                "<Relationships xmlns=\"" + packages + "relationships\"><Relationship Id=\"r1\" Type=\"" + office
                        + "/officeDocument\" Target=\"xl/workbook.xml\"/></Relationships>");
        parts.put(
                "xl/workbook.xml",
                "<workbook xmlns=\"" + main + "\" xmlns:r=\"" + office + "\"><sheets><sheet name=\"List\" sheetId=\"1\""
                        + " r:id=\"r1\"/></sheets></workbook>");
        parts.put(
                "xl/_rels/workbook.xml.rels",
                "<Relationships xmlns=\"" + packages + "relationships\"><Relationship Id=\"r1\" Type=\"" + office
                        + "/worksheet\" Target=\"worksheets/sheet1.xml\"/><Relationship Id=\"r2\" Type=\"" + office
                        + "/sharedStrings\" Target=\"sharedStrings.xml\"/></Relationships>");
        parts.put(
                "xl/worksheets/sheet1.xml",
                "<worksheet xmlns=\"" + main + "\"><sheetData>" + HEADER + row(2, "bee hive", "<v>7</v>") + rows
                        + "</sheetData></worksheet>");
        parts.put(
                "xl/sharedStrings.xml",
                "<sst xmlns=\"" + main + "\" count=\"1\" uniqueCount=\"1\"><si><t>bee veil</t></si></sst>");
        return zip(parts);
    }

    private static final String HEADER = "<row r=\"1\"><c r=\"A1\" t=\"inlineStr\"><is><t>keyword</t></is></c>"
            + "<c r=\"B1\" t=\"inlineStr\"><is><t>searches</t></is></c></row>";

    private static String row(int number, String text, String value) {
        return "<row r=\"" + number + "\"><c r=\"A" + number + "\" t=\"inlineStr\"><is><t>" + text
                + "</t></is></c><c r=\"B" + number + "\">" + value + "</c></row>";
    }

    private static String nested(int depth, int fields) {
        String leaf =
                IntStream.range(0, fields).mapToObj(i -> "\"f" + i + "\":1").collect(Collectors.joining(","));
        return "[{\"keyword\":\"bee hive\"},{\"keyword\":\"bee suit\",\"x\":" + "{\"a\":".repeat(depth) + "{" + leaf
                + "}" + "}".repeat(depth) + "}]";
    }

    /** What a file is, its bytes, what is told of it (nothing if empty), and the keywords that come in. */
    static List<Arguments> files() {
        String attributes =
                IntStream.range(0, 100_000).mapToObj(i -> " a" + i + "=\"\"").collect(Collectors.joining());
        return List.of(
                Arguments.of(
                        "a shared text of number -1",
                        workbook("<row r=\"3\"><c r=\"A3\" t=\"s\"><v>-1</v></c></row>"),
                        "",
                        "bee hive"),
                Arguments.of(
                        "a cell ZZZZZZ4",
                        workbook("<row r=\"4\"><c r=\"ZZZZZZ4\"><v>1</v></c></row>"),
                        "column ZZZZZZ",
                        ""),
                Arguments.of(
                        "a number of a million digits",
                        workbook(row(3, "bee suit", "<v>" + "9".repeat(1_000_000) + "</v>")),
                        "digits",
                        ""),
                Arguments.of(
                        "a number of 400 digits",
                        workbook(row(3, "bee suit", "<v>" + "9".repeat(400) + "</v>")),
                        "",
                        "bee hive, bee suit"),
                Arguments.of(
                        "1E+20000000", workbook(row(3, "bee suit", "<v>1E+20000000</v>")), "", "bee hive, bee suit"),
                Arguments.of(
                        "a row of a workbook with 100,000 attributes",
                        workbook("<row r=\"3\"" + attributes + "/>"),
                        "attributes",
                        ""),
                Arguments.of(
                        "a row of a page with 100,000 attributes",
                        bytes("<table><tr><td>bee hive<tr" + attributes + "><td>x</table>"),
                        "attributes",
                        ""),
                Arguments.of("objects in objects, 400 deep", bytes(nested(400, 20_000)), "", "bee hive, bee suit"),
                Arguments.of(
                        "half a character in JSON",
                        bytes("[\"bee \\ud800 hive\",\"bee suit\"]"),
                        "",
                        "bee \uFFFD hive, bee suit"),
                Arguments.of(
                        "a fault in the first row of JSON",
                        bytes("[{\"keyword\": bee hive}]"),
                        "Line 1: The JSON breaks off here",
                        ""),
                Arguments.of(
                        "UTF-32 without a mark",
                        "bee hive\nbee süit\n".getBytes(Charset.forName("UTF-32LE")),
                        "",
                        "bee hive, bee süit"),
                Arguments.of(
                        "UTF-32 the other way round",
                        "bee hive\nbee süit\n".getBytes(Charset.forName("UTF-32BE")),
                        "",
                        "bee hive, bee süit"));
    }

    @ParameterizedTest(name = "{0}")
    @MethodSource("files")
    void eachIsToldOfAndWhatIsRightGoesIn(String what, byte[] file, String told, String keywords) {
        BasketReader.Read read = BasketReader.lines(1, "list", file);
        List<Problem> problems =
                read.lines().map(Lines::problems).orElse(read.reading().problems());
        String all =
                problems.stream().map(Problem::sentence).map(Object::toString).collect(Collectors.joining("\n"));
        assertThat(all).as(what).contains(told);
        if (told.isEmpty()) {
            assertThat(read.reading().refused()).as(all).isFalse();
        }
        if (!keywords.isEmpty()) {
            Lines lines = read.lines().orElseThrow();
            List<String> texts =
                    IntStream.range(0, lines.size()).mapToObj(lines::text).toList();
            assertThat(texts).isEqualTo(List.of(keywords.split(", ")));
        }
    }

    @Test
    void aQuoteLeftOpenEveryFewLinesIsReadInTimeThatGrowsWithTheFile() {
        for (int every : List.of(3, 21, 25, 40)) {
            StringBuilder text = new StringBuilder("keyword,searches\n");
            for (int i = 1; i <= 100_000; i++) {
                text.append(i % every == 0 ? "\"" : "").append("bee ").append(i).append(",5\n");
            }
            Lines lines = TestLists.lines(1, "f", bytes(text.toString()));
            assertThat(lines.size()).as("every %d lines", every).isGreaterThan(49_000);
        }
    }

    @Test
    void aListThatIsNotWantedAnyMoreEndsWithinAFewRowsOrBeforeTheFirst() {
        byte[] list = bytes("keyword,searches\n" + "bee hive,5\n".repeat(10_000));
        AtomicInteger asked = new AtomicInteger();
        List<Integer> rows = new ArrayList<>();
        Halt afterSome = () -> {
            if (asked.incrementAndGet() > 2_000) {
                throw new ReadingStopped();
            }
        };
        assertThatThrownBy(() -> BasketReader.lines(
                        1,
                        new RawList("f", list, ReadAs.FOUND, smorgas.core.figure.Decimals.POINT),
                        afterSome,
                        (line, cells) -> rows.add(line)))
                .isInstanceOf(ReadingStopped.class);
        assertThat(rows).hasSizeBetween(1_000, 2_000);

        Halt atOnce = () -> {
            throw new ReadingStopped(Message.verbatim("It took too long."));
        };
        for (byte[] file : List.of(list, workbook(""), bytes("[{\"keyword\":\"bee\"}]"))) {
            assertThatThrownBy(() -> BasketReader.lines(
                            1,
                            new RawList("f", file, ReadAs.FOUND, smorgas.core.figure.Decimals.POINT),
                            atOnce,
                            (line, cells) -> {}))
                    .hasMessage("It took too long.");
        }
    }

    @Test
    void whoTakesTheRowsHearsOfHisOwnFaultsAndTheyAreNotTakenForTheFiles() {
        for (byte[] file : List.of(bytes("keyword\nbee hive\n"), workbook(""), bytes("[\"bee hive\"]"))) {
            assertThatThrownBy(() -> BasketReader.read("f", file, (line, cells) -> {
                        throw new IllegalStateException("no room");
                    }))
                    .isInstanceOf(IllegalStateException.class)
                    .hasMessage("no room");
        }
    }

    @Test
    void packedFilesNameWhatIsDamagedInThemAndGiveTheRest() {
        Map<String, String> parts = new LinkedHashMap<>();
        parts.put("good.txt", "bee hive\n");
        parts.put("bad.txt", "bee suit bee suit\n");
        byte[] zip = zip(parts);
        // The sum of the second part, as the directory at the end tells it.
        String text = new String(zip, StandardCharsets.ISO_8859_1);
        zip[text.lastIndexOf("PK\u0001\u0002") + 16] ^= 0x55;
        Packed.Contents contents = Packed.open("lists.zip", zip, 1 << 20);
        assertThat(contents.lists()).extracting(Packed.NamedBytes::name).containsExactly("good.txt");
        assertThat(contents.problems()).singleElement().satisfies(problem -> {
            assertThat(problem.file()).isEqualTo("lists.zip/bad.txt");
            assertThat(problem.what().toString()).contains("checksum");
        });

        Packed.Contents skipped =
                Packed.open("lists.zip", zip(Map.of("__MACOSX/._list.csv", "x", ".DS_Store", "y")), 1 << 20);
        assertThat(skipped.lists()).isEmpty();
        assertThat(skipped.problems())
                .singleElement()
                .satisfies(problem -> assertThat(problem.what().toString()).startsWith("There is no list"));
    }
}

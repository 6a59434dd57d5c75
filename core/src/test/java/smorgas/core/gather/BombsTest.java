package smorgas.core.gather;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.zip.GZIPOutputStream;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.junit.jupiter.api.Test;

/** Small files that claim to hold very much: nothing is held past its bound, each is told with its line, the rest is read. */
class BombsTest {

    private static final int MEGABYTE = 1_000_000;

    private record Came(Reading reading, List<String> rows) {
        String told() {
            return reading.problems().stream()
                    .map(Problem::sentence)
                    .map(Object::toString)
                    .collect(Collectors.joining("\n"));
        }
    }

    private static Came read(byte[] bytes) {
        List<String> rows = new ArrayList<>();
        Reading reading = BasketReader.read("list", bytes, (line, cells) -> rows.add(line + ":" + cells[0]));
        return new Came(reading, rows);
    }

    private static Came read(String text) {
        return read(text.getBytes(StandardCharsets.UTF_8));
    }

    private static byte[] gzip(int nuls) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (GZIPOutputStream zip = new GZIPOutputStream(out)) {
            byte[] some = new byte[MEGABYTE];
            for (int i = 0; i < nuls; i += some.length) {
                zip.write(some);
            }
        }
        return out.toByteArray();
    }

    private static byte[] zip(Map<String, byte[]> parts) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (ZipOutputStream zip = new ZipOutputStream(out)) {
            for (Map.Entry<String, byte[]> part : parts.entrySet()) {
                zip.putNextEntry(new ZipEntry(part.getKey()));
                zip.write(part.getValue());
                zip.closeEntry();
            }
        }
        return out.toByteArray();
    }

    @Test
    void whatIsPackedIsTakenOutUpToTheBoundAndNoFurther() throws IOException {
        byte[] bomb = gzip(100 * MEGABYTE);
        assertThat(bomb.length).isLessThan(MEGABYTE);
        Packed.Contents contents = Packed.open("a.csv.gz", bomb, 10 * MEGABYTE);
        assertThat(contents.lists()).isEmpty();
        assertThat(contents.problems()).hasSize(1);
        assertThat(contents.problems().getFirst().sentence().toString()).contains("10 MB");

        byte[] both = zip(new java.util.TreeMap<>(
                Map.of("a.csv", "keyword\nfern\n".getBytes(StandardCharsets.UTF_8), "b.csv", new byte[30 * MEGABYTE])));
        contents = Packed.open("lists.zip", both, 10 * MEGABYTE);
        assertThat(contents.lists()).extracting(Packed.NamedBytes::name).containsExactly("a.csv");
        assertThat(contents.problems()).hasSize(1);
    }

    @Test
    void packedFilesWithinPackedFilesAreCounted() throws IOException {
        byte[] empty = zip(Map.of());
        Map<String, byte[]> many =
                IntStream.range(0, 150).boxed().collect(Collectors.toMap(i -> i + ".zip", i -> empty));
        byte[] inner = zip(many);
        Map<String, byte[]> outer =
                IntStream.range(0, 150).boxed().collect(Collectors.toMap(i -> i + ".zip", i -> inner));
        Packed.Contents contents = Packed.open("nest.zip", zip(outer), 100 * MEGABYTE);
        assertThat(contents.lists()).isEmpty();
        assertThat(contents.problems()).hasSizeLessThan(2_100);
        assertThat(contents.problems().getLast().sentence().toString()).contains("files when it is unpacked");
    }

    @Test
    void aLineOfMillionsOfCommasIsSkippedAndTheOthersAreRead() {
        Came came = read("keyword,searches\nfern,5\n" + ",".repeat(5 * MEGABYTE) + "\r\nivy,7\n");
        assertThat(came.rows()).containsExactly("2:fern", "4:ivy");
        assertThat(came.told()).contains("2,000,000 characters").contains("skipped");
        assertThat(came.reading().problems().getFirst().line()).isEqualTo(3);
    }

    @Test
    void aRowOfTooManyCellsIsSkippedAndTheOthersAreRead() {
        Came came = read("keyword,searches\n" + "fern,5\n".repeat(100) + "x,".repeat(20_000) + "\nivy,7\n");
        assertThat(came.rows()).hasSize(101).endsWith("101:fern", "103:ivy");
        assertThat(came.told()).contains("16,384 cells");
        assertThat(came.reading().problems().getFirst().line()).isEqualTo(102);
    }

    @Test
    void aCellThatNoSpreadsheetHoldsIsCutInEveryFormatAndTheOthersAreRead() {
        String huge = "x".repeat(40_000);
        for (String list : List.of(
                "keyword,searches\nfern,5\n" + huge + ",6\nivy,7\n",
                "fern\n" + huge + "\nivy\n",
                "[{\"keyword\":\"fern\",\"searches\":5},{\"keyword\":\"" + huge
                        + "\",\"searches\":6},{\"keyword\":\"ivy\",\"searches\":7}]",
                "<table><tr><td>fern</td></tr><tr><td>" + huge + "</td></tr><tr><td>ivy</td></tr></table>")) {
            Came came = read(list);
            assertThat(came.rows().stream().map(row -> row.replaceAll("^\\d+:", "")))
                    .as(list.substring(0, 20))
                    .containsExactly("fern", "x".repeat(32_767), "ivy");
            assertThat(came.told()).contains("32,767 characters");
        }
    }

    @Test
    void aLongLineOfKeywordsIsStillAList() {
        String keywords = IntStream.range(0, 15_000).mapToObj(i -> "fern " + i).collect(Collectors.joining(", "));
        assertThat(read(keywords).rows()).hasSize(15_000);
    }

    @Test
    void nestedTablesAreCountedOnceEach() {
        String nested = "<table><tr><td>".repeat(60_000);
        Came came = read("<html>" + nested + "fern");
        // So deep nobody nests tables; the parser takes what is deeper apart, and what is left has no text in its
        // cells.
        assertThat(came.told()).contains("Nothing was read.");
        assertThat(read("<html>" + "<table><tr><td>".repeat(100) + "fern").rows())
                .containsExactly("1:fern");
        Came page = read("<table><tr><td>menu</td></tr><tr><td><table><tr><td>fern</td></tr><tr><td>ivy</td></tr>"
                + "<tr><td>moss</td></tr></table></td></tr></table>");
        assertThat(page.rows().stream().map(row -> row.replaceAll("^\\d+:", "")))
                .containsExactly("fern", "ivy", "moss");
    }

    @Test
    void cellsInTheLastColumnEndTheReadingWithWhatStandsBefore() throws IOException {
        StringBuilder rows =
                new StringBuilder("<row r=\"1\"><c r=\"A1\" t=\"inlineStr\"><is><t>fern</t></is></c></row>");
        for (int row = 2; row < 9_000; row++) {
            rows.append("<row r=\"")
                    .append(row)
                    .append("\"><c r=\"XFD")
                    .append(row)
                    .append("\"><v>1</v></c></row>");
        }
        byte[] workbook = zip(Map.of(
                "[Content_Types].xml",
                        xml("<Types xmlns=\"http://schemas.openxmlformats.org/package/2006/content-types\"/>"),
                "xl/workbook.xml",
                        xml(
                                "<workbook xmlns=\"http://schemas.openxmlformats.org/spreadsheetml/2006/main\" xmlns:r=\"http://schemas."
                                        + "openxmlformats.org/officeDocument/2006/relationships\"><sheets><sheet name=\"S\" sheetId=\"1\""
                                        + " r:id=\"rId1\"/></sheets></workbook>"),
                "xl/_rels/workbook.xml.rels",
                        xml(
                                "<Relationships xmlns=\"http://schemas.openxmlformats.org/package/2006/relationships\"><Relationship"
                                        + " Id=\"rId1\" Type=\"http://schemas.openxmlformats.org/officeDocument/2006/relationships/worksheet\""
                                        + " Target=\"worksheets/sheet1.xml\"/></Relationships>"),
                "xl/worksheets/sheet1.xml",
                        xml("<worksheet xmlns=\"http://schemas.openxmlformats.org/spreadsheetml/2006/main\"><sheetData>"
                                + rows + "</sheetData></worksheet>")));
        assertThat(workbook.length).isLessThan(MEGABYTE);
        Came came = read(workbook);
        assertThat(came.told()).contains("so far to the right");
    }

    private static byte[] xml(String text) {
        return ("<?xml version=\"1.0\" encoding=\"UTF-8\"?>" + text).getBytes(StandardCharsets.UTF_8);
    }
}

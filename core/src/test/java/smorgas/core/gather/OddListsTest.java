package smorgas.core.gather;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Random;
import java.util.zip.GZIPOutputStream;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.junit.jupiter.api.Test;
import smorgas.core.fold.Folder;
import smorgas.core.fold.Keywords;

/**
 * Lists written by the grammar of each format with what people and programs do wrong, then broken: none throws, none takes
 * long, and a good list is read right after each. {@code ./smorgas bench faults} reads twenty thousand.
 */
class OddListsTest {

    private static final int FILES = "full".equals(System.getProperty("smorgas.faults")) ? 20_000 : 1_500;

    private static final List<String> CELLS = List.of(
            "bee hive",
            "",
            " ",
            "1,300",
            "0,9",
            "1K - 10K",
            "-",
            "n/a",
            "\"",
            "\"\"",
            "'",
            "\\",
            "a\nb",
            "a\r\nb",
            "=1+1",
            "<10",
            "\u0000",
            "\uFEFF",
            "\u2028",
            "käse",
            "\uD83D\uDC1D",
            "x".repeat(500),
            "9".repeat(450),
            "1E+99999",
            "Total",
            "keyword",
            "2025-01",
            "&amp;",
            "<b>",
            "]]>",
            "{",
            "[",
            "|",
            ";",
            "\t",
            "\u001E",
            "\u001F",
            "- item",
            "1. item");

    private final Random random = new Random(7);

    private String cell() {
        return CELLS.get(random.nextInt(CELLS.size()));
    }

    private String one(String... choices) {
        return choices[random.nextInt(choices.length)];
    }

    private byte[] delimited() {
        String delimiter = one(",", ";", "\t", "|");
        String end = one("\n", "\r\n", "\r");
        StringBuilder text = new StringBuilder(one("", "\uFEFF", "A title" + end, "sep=" + delimiter + end));
        text.append("Keyword")
                .append(delimiter)
                .append("Searches")
                .append(delimiter)
                .append("CPC")
                .append(end);
        for (int row = random.nextInt(40); row > 0; row--) {
            for (int c = random.nextInt(5); c >= 0; c--) {
                String cell = cell();
                boolean quoted = random.nextInt(3) == 0;
                text.append(quoted ? "\"" + (random.nextInt(4) == 0 ? cell : cell.replace("\"", "\"\"")) : cell)
                        .append(quoted && random.nextInt(9) > 0 ? "\"" : "")
                        .append(c == 0 ? end : delimiter);
            }
        }
        return text.toString()
                .getBytes(Charset.forName(one("UTF-8", "UTF-16", "UTF-16LE", "windows-1252", "UTF-32BE")));
    }

    private String json(int depth) {
        return switch (random.nextInt(depth > 6 ? 3 : 6)) {
            case 0 -> '"' + cell().replace("\\", "\\\\").replace("\"", "\\\"") + one("", "\\ud800", "\\u0000") + '"';
            case 1 -> one("1", "-0.5", "1e400", "9".repeat(300), "NaN", "nul");
            case 2 -> one("null", "true", "");
            case 3, 4 -> "{" + member(depth) + one(",", "") + member(depth) + one("}", "}", "");
            default -> "[" + json(depth + 1) + one(",", " ") + json(depth + 1) + one("]", "]", "");
        };
    }

    private String member(int depth) {
        return '"' + one("keyword", "searches", "a.b", "") + "\":" + json(depth + 1);
    }

    private String markup() {
        StringBuilder page = new StringBuilder(one("<!doctype html>", "", "<?xml version=\"1.0\"?>") + "<table>");
        for (int row = random.nextInt(20); row > 0; row--) {
            page.append("<tr")
                    .append(one("", " a=1 b='2' c", " a".repeat(random.nextInt(1_500))))
                    .append('>');
            for (int c = random.nextInt(4); c >= 0; c--) {
                page.append(one("<td>", "<th colspan=99999999>", "<td><table><tr><td>", "<script>"))
                        .append(cell());
            }
        }
        return page + one("</table>", "", "<div>".repeat(random.nextInt(3_000)));
    }

    private byte[] workbook() throws IOException {
        StringBuilder sheet = new StringBuilder("<worksheet><sheetData>");
        for (int row = random.nextInt(20); row > 0; row--) {
            sheet.append("<row r=\"")
                    .append(one(String.valueOf(row), "-1", "99999999999", "x"))
                    .append("\">");
            for (int c = random.nextInt(4); c >= 0; c--) {
                sheet.append("<c r=\"")
                        .append(one("A1", "ZZZZZZ4", "", "XFD1048576", "1", "\uFFFD"))
                        .append("\" t=\"")
                        .append(one("s", "n", "str", "inlineStr", "b", "e", "zzz"))
                        .append("\"><v>")
                        .append(one("-1", "0", "99", "1E+20000000", "9".repeat(300), "x", ""))
                        .append("</v></c>");
            }
            sheet.append(one("</row>", "</row>", ""));
        }
        Map<String, String> parts = new LinkedHashMap<>();
        parts.put("[Content_Types].xml", "<Types/>");
        parts.put(
                "xl/workbook.xml",
                "<workbook xmlns:r=\"http://schemas.openxmlformats.org/officeDocument/2006/relationships\"><sheets>"
                        + "<sheet name=\"List\" sheetId=\"1\" r:id=\"r1\"/></sheets></workbook>");
        parts.put(
                "xl/_rels/workbook.xml.rels",
                "<Relationships><Relationship Id=\"r1\" Target=\"worksheets/sheet1.xml\"/></Relationships>");
        parts.put("xl/worksheets/sheet1.xml", sheet + one("</sheetData></worksheet>", ""));
        parts.put("xl/sharedStrings.xml", "<sst><si><t>bee</t></si></sst>");
        if (random.nextInt(3) == 0) {
            parts.clear();
            parts.put("content.xml", markup().replace("<table", "<table:table").replace("<tr", "<table:table-row"));
        }
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (ZipOutputStream zip = new ZipOutputStream(out)) {
            for (Map.Entry<String, String> part : parts.entrySet()) {
                zip.putNextEntry(new ZipEntry(part.getKey()));
                zip.write(part.getValue().getBytes(StandardCharsets.UTF_8));
            }
        }
        return out.toByteArray();
    }

    private byte[] packed(byte[] list) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        if (random.nextBoolean()) {
            try (GZIPOutputStream gzip = new GZIPOutputStream(out)) {
                gzip.write(list);
            }
        } else {
            try (ZipOutputStream zip = new ZipOutputStream(out)) {
                zip.putNextEntry(new ZipEntry(one("list.csv", "../../up.csv", "a/b/c.csv", "__MACOSX/x", "/abs")));
                zip.write(list);
            }
        }
        return out.toByteArray();
    }

    private byte[] file() throws IOException {
        byte[] file =
                switch (random.nextInt(5)) {
                    case 0, 1 -> delimited();
                    case 2 -> ("[" + json(0) + "," + json(0) + one("]", "")).getBytes(StandardCharsets.UTF_8);
                    case 3 -> markup().getBytes(StandardCharsets.UTF_8);
                    default -> workbook();
                };
        if (random.nextInt(40) == 0) {
            file = bomb();
        }
        if (random.nextInt(5) == 0) {
            file = packed(file);
        }
        if (random.nextInt(2) == 0 && file.length > 0) {
            for (int i = 1 + random.nextInt(8); i > 0; i--) {
                file[random.nextInt(file.length)] = (byte) random.nextInt();
            }
        }
        return random.nextInt(8) == 0 ? java.util.Arrays.copyOf(file, random.nextInt(file.length + 1)) : file;
    }

    /** Much of one thing, in each format; packed, some of them are a thousandth as large. */
    private byte[] bomb() {
        int much = 100_000 + random.nextInt(400_000);
        String text = one(
                ",".repeat(much),
                "keyword,searches\nfern,5\n" + ";,|\t".repeat(much / 4) + "\nivy,7\n",
                "\"".repeat(much),
                "x".repeat(much),
                "keyword\n" + "\n".repeat(much),
                "[".repeat(much),
                "{\"a\":".repeat(much / 5),
                "[{\"keyword\":\"" + "x".repeat(much) + "\"}]",
                "<table><tr><td>".repeat(much / 200),
                "<table><tr>" + "<td>x</td>".repeat(much / 40) + "</tr></table>",
                "\u0000".repeat(much));
        return text.getBytes(StandardCharsets.UTF_8);
    }

    @Test
    void noneThrowsNoneTakesLongAndAGoodOneIsReadRightAfterThem() throws IOException {
        long slowest = 0;
        int read = 0;
        for (int number = 0; number < FILES; number++) {
            byte[] file = file();
            long begun = System.nanoTime();
            List<Lines> lines = new ArrayList<>();
            for (Packed.NamedBytes list :
                    Packed.open("file " + number, file, 1 << 25).lists()) {
                assertThat(list.name()).doesNotContain("/", "..\\");
                BasketReader.lines(number, list.name(), list.bytes()).lines().ifPresent(lines::add);
            }
            Keywords keywords = Folder.fold(lines);
            assertThat(keywords.size())
                    .isLessThanOrEqualTo(lines.stream().mapToInt(Lines::size).sum());
            for (int keyword = 0; keyword < keywords.size(); keyword++) {
                assertThat(keywords.text(keyword)).isNotBlank();
            }
            slowest = Math.max(slowest, System.nanoTime() - begun);
            read += lines.isEmpty() ? 0 : 1;
            if (number % 100 == 99) {
                Lines good = TestLists.lines(
                        1, "good", "keyword;searches\nbee hive;1.300\n".getBytes(StandardCharsets.UTF_8));
                assertThat(good.text(0)).isEqualTo("bee hive");
            }
        }
        System.out.printf(
                Locale.ENGLISH,
                "Faults: %,d odd lists, %,d of them read at least in part, none threw, the slowest took %,d ms%n",
                FILES,
                read,
                slowest / 1_000_000);
        assertThat(slowest).isLessThan(10_000_000_000L);
        assertThat(read).isGreaterThan(FILES / 4);
    }
}

package smorgas.core.gather;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Random;
import java.util.Set;
import java.util.TreeSet;
import java.util.zip.ZipEntry;
import java.util.zip.ZipFile;
import java.util.zip.ZipOutputStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Files that broke on their way: told, never thrown over. */
class BrokenFilesTest {

    @Test
    void randomlyBrokenFilesOfEveryFormatNeverThrow() throws IOException {
        Random random = new Random(13);
        List<byte[]> files = List.of(
                FormatsTest.xlsx(),
                FormatsTest.ods(),
                FormatsTest.bytes("[{\"keyword\":\"bee\",\"n\":{\"x\":[1]}},{\"keyword\":\"hive\"}]"),
                FormatsTest.bytes("<html><table><tr><td>bee<td>1<tr><td>hive</table>"),
                FormatsTest.bytes("keyword;searches\n\"bee\";1\nhive;2\n"),
                FormatsTest.gzip(FormatsTest.bytes("keyword\nbee\n")));
        for (int round = 0; round < 1_500; round++) {
            byte[] broken = files.get(round % files.size()).clone();
            for (int i = 1 + random.nextInt(6); i > 0; i--) {
                broken[random.nextInt(broken.length)] = (byte) random.nextInt();
            }
            for (Packed.NamedBytes list : Packed.open("f", broken, 1 << 24).lists()) {
                Lines lines = TestLists.lines(1, "f", list.bytes());
                for (int row = 0; row < lines.size(); row++) {
                    assertThat(lines.text(row)).isNotBlank();
                }
            }
        }
    }

    @Test
    void aWorkbookWhoseTextsBreakOffIsToldAsDamaged(@TempDir Path folder) throws IOException {
        Path whole = Files.write(folder.resolve("whole.xlsx"), FormatsTest.xlsx());
        Set<String> told = new TreeSet<>();
        for (int broken = 1; broken < 12; broken++) {
            byte[] cut = withTextsUpTo(whole, broken);
            BasketReader.lines(1, "f", cut)
                    .reading()
                    .problems()
                    .forEach(problem -> told.add(problem.sentence().toString().replaceAll("^Line \\d+: ", "")));
        }
        assertThat(told).anyMatch(sentence -> sentence.startsWith("The workbook is damaged from here on"));
    }

    /** The workbook, the list of its texts broken off within one of them, as a download does that was cut short. */
    private static byte[] withTextsUpTo(Path whole, int broken) throws IOException {
        ByteArrayOutputStream cut = new ByteArrayOutputStream();
        try (ZipFile from = new ZipFile(whole.toFile());
                ZipOutputStream to = new ZipOutputStream(cut)) {
            for (ZipEntry entry : from.stream().map(ZipEntry.class::cast).toList()) {
                byte[] content = from.getInputStream(entry).readAllBytes();
                to.putNextEntry(new ZipEntry(entry.getName()));
                if (entry.getName().endsWith("sharedStrings.xml")) {
                    String text = new String(content, StandardCharsets.UTF_8);
                    int end = 0;
                    for (int i = 0; i < broken && text.indexOf("</t>", end + 1) > 0; i++) {
                        end = text.indexOf("</t>", end + 1);
                    }
                    content = FormatsTest.bytes(text.substring(0, end - 1));
                }
                to.write(content);
            }
        }
        return cut.toByteArray();
    }

    @Test
    void aReaderLetsASinkStopIt() {
        org.assertj.core.api.Assertions.assertThatThrownBy(
                        () -> BasketReader.read("list", FormatsTest.xlsx(), (line, cells) -> {
                            throw new ReadingStopped();
                        }))
                .isInstanceOf(ReadingStopped.class);
    }
}

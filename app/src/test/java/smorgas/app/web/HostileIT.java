package smorgas.app.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.Base64;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.zip.GZIPOutputStream;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

/** Bad input over HTTP: each gets a sentence that says what is wrong, the rest goes in, and nothing is answered 500. */
class HostileIT {

    private final Running server = Running.shared();
    private final Visitor visitor = new Visitor(server);

    private static byte[] bytes(String text) {
        return text.getBytes(StandardCharsets.UTF_8);
    }

    private static byte[] zip(Map<String, byte[]> files) {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (ZipOutputStream zip = new ZipOutputStream(out)) {
            for (Map.Entry<String, byte[]> file : files.entrySet()) {
                zip.putNextEntry(new ZipEntry(file.getKey()));
                zip.write(file.getValue());
            }
        } catch (IOException e) {
            throw new java.io.UncheckedIOException(e);
        }
        return out.toByteArray();
    }

    private static byte[] gzip(byte[] plain) {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (GZIPOutputStream gzip = new GZIPOutputStream(out)) {
            gzip.write(plain);
        } catch (IOException e) {
            throw new java.io.UncheckedIOException(e);
        }
        return out.toByteArray();
    }

    private static byte[] noise(int length) {
        byte[] noise = new byte[length];
        new Random(1).nextBytes(noise);
        noise[0] = 0;
        return noise;
    }

    private static byte[] manyFiles() {
        Map<String, byte[]> files = new LinkedHashMap<>();
        for (int i = 0; i < 210; i++) {
            files.put("list-" + i + ".txt", bytes("bee " + i + "\n"));
        }
        return zip(files);
    }

    private static byte[] oldWorkbook() {
        byte[] workbook = new byte[600];
        System.arraycopy(new byte[] {(byte) 0xD0, (byte) 0xCF, 0x11, (byte) 0xE0}, 0, workbook, 0, 4);
        return workbook;
    }

    /** What a file is, its bytes, what the page must say of it, and a keyword that must have come in; empty for none. */
    static List<Arguments> files() {
        byte[] brokenZip = zip(Map.of("list.csv", bytes("keyword\nbee hive\n".repeat(50))));
        brokenZip[brokenZip.length / 2] ^= 0x55;
        return List.of(
                Arguments.of("an empty file", new byte[0], "The file is empty", ""),
                Arguments.of("blank lines", bytes("\n \n\t\n"), "only blank lines", ""),
                Arguments.of("a binary file", noise(5_000), "not text", ""),
                Arguments.of("a workbook with a password", oldWorkbook(), "with a password", ""),
                Arguments.of("a damaged packed file", java.util.Arrays.copyOf(brokenZip, 60), "", ""),
                Arguments.of("a damaged list in a packed file", brokenZip, "", ""),
                Arguments.of("too many files", manyFiles(), "files when it is unpacked", ""),
                Arguments.of("a gzip that inflates", gzip(new byte[30_000_000]), "when it is unpacked", ""),
                Arguments.of("a gzip that ends early", java.util.Arrays.copyOf(gzip(bytes("bee hive\n")), 14), "", ""),
                Arguments.of(
                        "a line of a million characters",
                        bytes("keyword,searches\n" + "x".repeat(1_000_000) + ",1\nbee hive,2\n"),
                        "more than 400",
                        "bee hive"),
                Arguments.of(
                        "a cell of two million characters",
                        bytes("keyword,notes\nbee hive," + "x".repeat(2_000_000) + "\nbee suit,ok\n"),
                        "",
                        "bee suit"),
                Arguments.of(
                        "an unclosed quote",
                        bytes("keyword,searches\nbee hive,1\n\"bee suit,2\nbee veil,3\n"),
                        "quote",
                        "bee veil"),
                Arguments.of("NUL bytes", bytes("keyword\nbee\0hive\nbee suit\n"), "NUL", ""),
                Arguments.of(
                        "lone surrogates",
                        bytes("[{\"keyword\":\"bee \\ud800 hive\"},{\"keyword\":\"bee suit\"}]"),
                        "",
                        "bee suit"),
                Arguments.of(
                        "wrong bytes for its encoding",
                        new byte[] {'b', 'e', 'e', '\n', (byte) 0xC3, (byte) 0x28, '\n', 'h', 'i', 'v', 'e', '\n'},
                        "",
                        "hive"),
                Arguments.of(
                        "a column that is all empty",
                        bytes("keyword,searches,notes\nbee hive,1,\nbee suit,2,\n"),
                        "",
                        "bee hive"),
                Arguments.of("deep JSON", bytes("[".repeat(20_000)), "", ""),
                Arguments.of("deep HTML", bytes("<table>" + "<div>".repeat(50_000)), "", ""),
                Arguments.of(
                        "control characters that part stored cells",
                        bytes("keyword,notes\nbee\u001Ehive,a\u001Fb\nbee suit,ok\n"),
                        "",
                        "bee suit"),
                Arguments.of(
                        "a thousand columns",
                        bytes("keyword" + ",c".repeat(1_000) + "\nbee hive" + ",1".repeat(1_000) + "\n"),
                        "",
                        "bee hive"));
    }

    @ParameterizedTest(name = "{0}")
    @MethodSource("files")
    void aBadFileIsToldOfAndTheRestGoesIn(String what, byte[] file, String told, String keyword) {
        long id = visitor.project("Hostile");
        String base = "/projects/" + id;
        HttpResponse<String> page = visitor.upload(base + "/gather", Map.of("list.dat", file));
        assertThat(page.statusCode()).as(what).isEqualTo(200);
        String shown = page.body();
        for (int i = 0; page.body().contains("class=\"readings\"") && i < 600; i++) {
            java.util.concurrent.locks.LockSupport.parkNanos(100_000_000);
            page = visitor.get(base + "/gather");
            shown += page.body();
        }
        assertThat(shown).as(what).contains(told);
        for (String view : List.of("gather", "fold", "sift", "group", "serve", "history")) {
            assertThat(visitor.get(base + "/" + view).statusCode()).as(view).isEqualTo(200);
        }
        if (!keyword.isEmpty()) {
            assertThat(visitor.get(base + "/sift?q=" + keyword.replace(' ', '+'))
                            .body())
                    .contains("data-k=\"" + keyword + "\"");
        }
    }

    @Test
    void manyFilesLongNamesAndLongPastesAreTakenAndWhatIsTooMuchSaysWhatItIs() {
        long id = visitor.project("Many");
        String base = "/projects/" + id;
        Map<String, byte[]> many = new LinkedHashMap<>();
        for (int i = 0; i < 60; i++) {
            many.put("list-" + i + ".txt", bytes("bee " + i + "\n"));
        }
        many.put("x".repeat(450) + ".txt", bytes("bee long\n"));
        assertThat(visitor.upload(base + "/gather", many).statusCode()).isEqualTo(200);
        // So many lists may still be under way when the upload is answered.
        for (int i = 0; i < 240 && visitor.get(base + "/gather").body().contains("class=\"readings\""); i++) {
            java.util.concurrent.locks.LockSupport.parkNanos(250_000_000);
        }
        assertThat(visitor.get(base + "/sift?q=bee").body()).contains("data-k=\"bee 59\"", "data-k=\"bee long\"");
        String pasted = "bee hive number 1234567\n".repeat(17_000_000 / 24);
        assertThat(visitor.post(base + "/gather", Map.of("pasted", pasted)).statusCode())
                .isEqualTo(200);

        HttpResponse<String> tooLarge = visitor.upload(base + "/gather", Map.of("large.txt", new byte[3_000_000]));
        assertThat(tooLarge.statusCode()).isEqualTo(413);
        assertThat(tooLarge.body()).contains("A file is larger than " + Running.LARGEST);
        HttpResponse<String> nul = visitor.upload(base + "/gather", Map.of("nul\u0000name.txt", bytes("bee nul\n")));
        assertThat(nul.statusCode()).isEqualTo(400);
        assertThat(nul.body()).contains("other names");

        Map<String, byte[]> tooMany = new LinkedHashMap<>();
        for (int i = 0; i < 5_100; i++) {
            tooMany.put("l" + i, bytes("b"));
        }
        HttpResponse<String> count = visitor.upload(base + "/gather", tooMany);
        assertThat(count.statusCode()).isEqualTo(413);
        assertThat(count.body()).contains("more than 5000 files");
    }

    @Test
    void actsAndGatheringGoOnAfterEveryConnectionWasRetired() throws java.sql.SQLException {
        long id = visitor.project("Retired");
        assertThat(server.evictAll()).isPositive();
        String base = "/projects/" + id;
        assertThat(visitor.upload(base + "/gather", Map.of("list.txt", bytes("bee hive\n")))
                        .body())
                .contains("list.txt");
        assertThat(visitor.post(base + "/ignore", Map.of("ignoredWord", "bee", "ignored", "true"))
                        .statusCode())
                .isEqualTo(200);
        assertThat(visitor.post(base + "/undo", Map.of()).statusCode()).isEqualTo(200);
    }

    @Test
    void pagesOfRefusalsSayWhatHappened() {
        HttpResponse<String> method = visitor.get("/projects/1/gather/demo", "Accept", "text/html");
        assertThat(method.statusCode()).isEqualTo(405);
        assertThat(method.body()).contains("takes forms only");
        HttpResponse<String> foreign = visitor.post(
                "/projects", Map.of("name", "x"), "Origin", "http://elsewhere.test", "Accept", "text/html");
        assertThat(foreign.statusCode()).isEqualTo(403);
        assertThat(foreign.body()).contains("open the page again");
        HttpResponse<String> missing = visitor.get("/no/such/page", "Accept", "text/html");
        assertThat(missing.statusCode()).isEqualTo(404);
        assertThat(missing.body()).contains("There is no such page");
        assertThat(visitor.get("/projects/1/sift?q=" + "bee+hive+".repeat(70)).statusCode())
                .isEqualTo(200);
        assertThat(visitor.get("/projects/1/" + "x".repeat(600)).statusCode()).isEqualTo(404);
    }

    @Test
    void nothingThatIsAskedOfFoldIsAnswered500() {
        long id = visitor.project("Asked");
        String base = "/projects/" + id;
        visitor.upload(base + "/gather", Map.of("list.txt", bytes("bee hive\nbee hives\nhive bee\n")));
        visitor.get(base + "/fold");
        long version = visitor.version();
        List<Map.Entry<String, Map<String, String>>> asked = List.of(
                Map.entry("kind", Map.of("kind", "NO_SUCH", "on", "true")),
                Map.entry("kind", Map.of("kind", "ORDER", "on", "perhaps")),
                Map.entry("out", Map.of()),
                Map.entry("apart", Map.of("text", "no such keyword")),
                Map.entry("join", Map.of()),
                Map.entry("misspellings", Map.of("least", "99999999999")),
                Map.entry("misspellings", Map.of("least", "100")),
                Map.entry("cleaning", Map.of("does", "nothing of the kind")),
                Map.entry("cleaning", Map.of("does", "replace", "match", "PATTERN", "find", "(((")),
                Map.entry("cleaning", Map.of("does", "replace", "find", "x".repeat(5_000))),
                Map.entry("cleaning", Map.of("does", "scripts", "scripts", "KLINGON")),
                Map.entry("cleaning/x/remove", Map.of()));
        for (Map.Entry<String, Map<String, String>> act : asked) {
            Map<String, String> fields = new HashMap<>(act.getValue());
            fields.put("version", String.valueOf(version));
            assertThat(visitor.post(base + "/fold/" + act.getKey(), fields).statusCode())
                    .as(act.toString())
                    .isLessThan(500);
        }
        visitor.get(base + "/fold");
        assertThat(visitor.version()).as("none of them changed anything").isEqualTo(version);
    }

    @ParameterizedTest
    @CsvSource({
        "page=-5", "page=2147483648", "order=sideways", "q=%00%EF%BF%BF", "does=replace&match=PATTERN&find=%5B",
        "does=replace", "does=affix", "does=places&places=%0A", "does=scripts", "does=years&q=a"
    })
    void anyAddressOfFoldIsAPageOrRefused(String query) {
        long id = visitor.project("Addresses");
        visitor.upload("/projects/" + id + "/gather", Map.of("list.txt", bytes("bee hive 2025\nbee hives\n")));
        assertThat(visitor.get("/projects/" + id + "/fold?" + query).statusCode())
                .isLessThan(500);
    }

    @Test
    void theListOfLittleWordsGoesOutAndInAsText() {
        long id = visitor.project("Words");
        String base = "/projects/" + id;
        visitor.upload(base + "/gather", Map.of("list.txt", bytes("hive chez bee\nhive bee\n")));
        visitor.get(base + "/fold");
        visitor.post(base + "/fold/kind", Map.of("kind", "LITTLE_WORDS", "on", "true"));
        assertThat(visitor.get(base + "/sift").body()).contains("data-k=\"hive chez bee\"");
        String list = visitor.get(base + "/fold/little-words.txt").body();
        assertThat(list.lines()).contains("for", "of").isSorted();
        HttpResponse<String> page = visitor.post(base + "/fold/little-words", Map.of("words", list + "\n Chez \n\n"));
        assertThat(page.statusCode()).isEqualTo(200);
        assertThat(visitor.get(base + "/fold/little-words.txt").body().lines()).contains("chez");
        assertThat(visitor.get(base + "/sift").body()).doesNotContain("data-k=\"hive chez bee\"");
    }

    @Test
    void aTokenOfAnotherSortIsNoWayIn() {
        String forged = Base64.getEncoder().encodeToString(noise(64));
        assertThat(new Visitor(server)
                        .post("/projects/1/fold/kind", Map.of("kind", "ORDER", "on", "false", "_csrf", forged))
                        .statusCode())
                .isEqualTo(403);
    }
}

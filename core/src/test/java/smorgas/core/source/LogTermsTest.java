package smorgas.core.source;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.EOFException;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import java.util.zip.GZIPOutputStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import smorgas.core.recipe.gather.LogReading;
import smorgas.core.text.Refusal;

/** Searches of access logs counted. */
class LogTermsTest {

    private static final LogReading USUAL = LogReading.USUAL;

    private static LogTerms.Result read(LogReading reading, String... lines) throws IOException {
        LogTerms terms = new LogTerms(reading);
        terms.read(new ByteArrayInputStream(String.join("\n", lines).getBytes(StandardCharsets.ISO_8859_1)), () -> {});
        return terms.result();
    }

    private static String line(String host, String time, String target, String referrer) {
        return host + " - - [01/Mar/2026:" + time + " +0000] \"GET " + target + " HTTP/1.1\" 200 512 \"" + referrer
                + "\" \"reader/1.0\"";
    }

    /** The example lines of the log formats' published description: common, and combined with referrer and agent. */
    @Test
    void thePublishedExampleLinesAreUnderstood() {
        String common = "127.0.0.1 - frank [10/Oct/2000:13:55:36 -0700] \"GET /a_pb.gif?q=x HTTP/1.0\" 200 2326";
        String combined = common + " \"http://www.example.com/start.html\" \"reader/4.08 [en] (I ;Nav)\"";
        for (String text : List.of(common, combined)) {
            LogLine line = ((LogLine.Read.Line) LogLine.read(text)).line();
            assertThat(line.second())
                    .isEqualTo(java.time.OffsetDateTime.parse("2000-10-10T13:55:36-07:00")
                            .toEpochSecond());
            assertThat(line.day()).isEqualTo(LocalDate.of(2000, 10, 10));
            assertThat(line.target()).isEqualTo("/a_pb.gif?q=x");
            assertThat(line.status()).isEqualTo(200);
            assertThat(line.referrer()).isEqualTo(text == common ? "" : "http://www.example.com/start.html");
        }
        LogLine plain = ((LogLine.Read.Line) LogLine.read(common)).line();
        assertThat(((LogLine.Read.Line) LogLine.read("shop.example:80 " + common)).line())
                .isEqualTo(plain);
        assertThat(((LogLine.Read.Line) LogLine.read(common.replace("127.0.0.1", "127.0.0.2")))
                        .line()
                        .visitor())
                .isNotEqualTo(plain.visitor());
    }

    @Test
    void aTermCountsOnceAVisitAndAVisitEndsWithAPauseOfHalfAnHour() throws IOException {
        LogTerms.Result result = read(
                USUAL,
                line("10.0.0.1", "10:00:00", "/find?q=Bee+Hive&page=1", "-"),
                line("10.0.0.1", "10:00:40", "/find?page=2&Q=bee%20hive", "https://shop.example/find?q=bee+hive"),
                line("10.0.0.1", "10:29:00", "/find?s=smoker", "-"),
                line("10.0.0.1", "10:59:01", "/find?q=bee+hive", "-"),
                line("10.0.0.2", "10:00:00", "/", "https://search.example/?hl=en&q=bee+hive#top"));
        assertThat(result.terms())
                .extracting(LogTerms.Found::text, LogTerms.Found::visits)
                .containsExactly(
                        org.assertj.core.groups.Tuple.tuple("bee hive", 3L),
                        org.assertj.core.groups.Tuple.tuple("smoker", 1L));
        assertThat(result.counted().lines()).isEqualTo(5);
        assertThat(read(
                                new LogReading(List.of("q"), false, List.of(), 1),
                                line("10.0.0.2", "10:00:00", "/", "https://search.example/?q=bee+hive"))
                        .terms())
                .isEmpty();
    }

    @Test
    void aGoalCountsForWhatWasSearchedBeforeItInTheSameVisitOnce() throws IOException {
        LogReading goals = new LogReading(
                List.of("q"), false, List.of(LogReading.Goal.read("/thanks 10"), LogReading.Goal.read("/basket/*")), 1);
        LogTerms.Result result = read(
                goals,
                line("10.0.0.1", "10:00:00", "/thanks", "-"),
                line("10.0.0.1", "10:01:00", "/?q=hive", "-"),
                line("10.0.0.1", "10:02:00", "/basket/7?add=1", "-"),
                line("10.0.0.1", "10:02:30", "/basket/8", "-"),
                line("10.0.0.1", "10:03:00", "/?q=veil", "-"),
                line("10.0.0.1", "10:04:00", "/thanks", "-"),
                line("10.0.0.1", "10:04:00", "/thanks/more", "-"),
                line("10.0.0.9", "10:04:00", "/thanks", "-"));
        assertThat(result.terms())
                .extracting(LogTerms.Found::text, LogTerms.Found::goals)
                .containsExactly(
                        org.assertj.core.groups.Tuple.tuple("hive", 11L),
                        org.assertj.core.groups.Tuple.tuple("veil", 10L));
    }

    @ParameterizedTest
    @CsvSource({
        "mary@post.example, true",
        "+44 20 7946 0000, true",
        "card 4111-1111-1111-1111, true",
        "bee hive 2026, false",
        "10 x 12 frames, false",
        "honey @ home, false",
        "size 1000 2000, true"
    })
    void termsOfPersonsAreLeftOutAndCounted(String term, boolean left) throws IOException {
        LogTerms.Result result = read(
                USUAL,
                line("10.0.0.1", "10:00:00", "/?q=" + java.net.URLEncoder.encode(term, StandardCharsets.UTF_8), "-"));
        assertThat(result.terms()).hasSize(left ? 0 : 1);
        assertThat(result.counted().personal()).isEqualTo(left ? 1 : 0);
    }

    @ParameterizedTest
    @CsvSource({"%3Dcmd()|hive, cmd()|hive", "%2Bbee+%2Bhive, bee hive", ";;@sum(a1), sum(a1)", "==, ''"})
    void whatASpreadsheetWouldRunIsCountedWithoutItsStart(String typed, String counted) throws IOException {
        assertThat(read(USUAL, line("10.0.0.1", "10:00:00", "/?q=" + typed, "-"))
                        .terms())
                .extracting(LogTerms.Found::text)
                .containsExactlyElementsOf(counted.isEmpty() ? List.of() : List.of(counted));
    }

    @Test
    void linesThatAreNoneAreCountedAndTheFirstIsTold() throws IOException {
        String good = line("10.0.0.1", "10:00:00", "/?q=hive", "-");
        LogTerms.Result result = read(
                USUAL,
                good,
                good.substring(0, 40),
                "{\"json\": 1}",
                "",
                good.substring(0, good.indexOf("HTTP")),
                good.replace("Mar", "Foo"),
                good.replace("01/Mar", "31/Feb"),
                good.replace("200 512", "x 512"),
                good.replace("200 512", "404 512").replace("hive", "nothing"),
                "x".repeat(100_000));
        assertThat(result.counted().strange()).isEqualTo(7);
        assertThat(result.counted().firstStrange()).hasToString("line 2: it is cut off in its date");
        assertThat(result.terms()).extracting(LogTerms.Found::text).containsExactly("hive");
    }

    @Test
    void packedLogsOldLettersAndDamagedOnesAreRead() throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (GZIPOutputStream gzip = new GZIPOutputStream(out)) {
            gzip.write((line("10.0.0.1", "10:00:00", "/?q=K%C3%B6nigin", "-") + "\n"
                            + line("10.0.0.2", "10:00:00", "/?q=k%F6nigin%zz", "-") + "\n")
                    .getBytes(StandardCharsets.ISO_8859_1));
        }
        LogTerms terms = new LogTerms(USUAL);
        terms.read(new ByteArrayInputStream(out.toByteArray()), () -> {});
        assertThat(terms.result().terms())
                .extracting(LogTerms.Found::text)
                .containsExactly("k\u00f6nigin", "k\u00f6nigin%zz");
        byte[] cut = Arrays.copyOf(out.toByteArray(), out.size() - 12);
        assertThatThrownBy(() -> new LogTerms(USUAL).read(new ByteArrayInputStream(cut), () -> {}))
                .isInstanceOf(EOFException.class);
    }

    @Test
    void whatCannotBeMeantIsRefusedWithASentence() {
        assertThatThrownBy(() -> LogReading.Goal.read("thanks")).isInstanceOf(Refusal.class);
        assertThatThrownBy(() -> LogReading.Goal.read("/thanks many")).hasMessageContaining("stands what it counts");
        assertThatThrownBy(() -> LogReading.Goal.read("/thanks 5000")).hasMessageContaining("1 to 1,000");
        assertThatThrownBy(() -> new LogReading(List.of(" "), true, List.of(), 1))
                .hasMessageContaining("Name 1 to");
        assertThat(LogReading.Goal.read("/thanks 10").written()).isEqualTo("/thanks 10");
    }
}

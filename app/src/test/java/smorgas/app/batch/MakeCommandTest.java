package smorgas.app.batch;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import smorgas.app.Main;
import smorgas.core.text.Catalogue;

/** Lists of our own tools from the command line, and the batch that takes them. */
class MakeCommandTest {

    @TempDir
    private Path folder;

    private int run(Object... arguments) {
        return Main.line(Catalogue.english())
                .execute(Stream.concat(Stream.of("make"), Stream.of(arguments).map(Object::toString))
                        .toArray(String[]::new));
    }

    private Path file(String name, String text) throws IOException {
        return Files.writeString(folder.resolve(name), text);
    }

    private List<String> lines(String name) throws IOException {
        return Files.readAllLines(folder.resolve(name));
    }

    @Test
    void listsOfEveryToolAreMadeAndABatchTakesThem() throws IOException {
        Path out = folder.resolve("pairs.csv");
        assertThat(run(
                        "combinations",
                        "--column",
                        file("a.txt", "red\nblue\n"),
                        "--column",
                        file("b.txt", "bee hive\n"),
                        "--out",
                        out))
                .isZero();
        assertThat(lines("pairs.csv")).containsExactly("keyword", "red bee hive", "blue bee hive");
        Path log = file(
                "access.log",
                "10.0.0.1 - - [01/Mar/2026:10:00:00 +0000] \"GET /?find=Bee+Hive HTTP/1.1\" 200 9\n"
                        + "10.0.0.1 - - [01/Mar/2026:10:01:00 +0000] \"GET /thanks HTTP/1.1\" 200 9\n");
        Path terms = folder.resolve("terms.csv");
        assertThat(run("logs", "--in", log, "--parameter", "find", "--goal", "/thanks 5", "--out", terms))
                .isZero();
        assertThat(lines("terms.csv"))
                .containsExactly(
                        "keyword,site visits,first seen,last seen,goals", "bee hive,1,2026-03-01,2026-03-01,5");
        Path page = file("page.html", "<title>Cedar hive</title><p>Cedar hive");
        assertThat(run("pages", "--in", page, "--out", folder.resolve("phrases.csv")))
                .isZero();
        assertThat(lines("phrases.csv"))
                .containsExactly("keyword,weight,times,pages,most on", "cedar hive,6,2,1,page.html 2");
        assertThat(run("ideas", "--offer", "Cedar hives", "--out", folder.resolve("ideas.csv")))
                .isZero();
        assertThat(lines("ideas.csv")).contains("cedar hives", "best cedar hives");
        Path plan = folder.resolve("out");
        assertThat(Main.line(Catalogue.english())
                        .execute(
                                "batch",
                                "--in",
                                out.toString(),
                                "--in",
                                terms.toString(),
                                "--words-only",
                                "--out",
                                plan.toString()))
                .isZero();
        assertThat(Files.readString(plan.resolve("keywords.csv")))
                .contains(",visits,")
                .contains(",goals,")
                .contains("bee hive");
    }

    @Test
    void suggestionsAreAskedOfStandInsOnlyIfThatIsSaid() throws IOException {
        Path seeds = file("seeds.txt", "queen cage\n");
        Path out = folder.resolve("suggestions.csv");
        assertThat(run("suggestions", "--in", seeds, "--out", out)).isEqualTo(2);
        assertThat(run("suggestions", "--in", seeds, "--standins", "--out", out))
                .isZero();
        assertThat(lines("suggestions.csv"))
                .hasSizeGreaterThan(5)
                .anyMatch(line -> line.startsWith("queen cage") && line.contains("(simulated)"));
    }

    @Test
    void noSpreadsheetRunsWhatLeaves() throws IOException {
        assertThat(run(
                        "combinations",
                        "--column",
                        file("a.txt", "=cmd\nred\n"),
                        "--column",
                        file("b.txt", "hive\n"),
                        "--out",
                        folder.resolve("safe.csv")))
                .isZero();
        assertThat(lines("safe.csv")).containsExactly("keyword", "'=cmd hive", "red hive");
    }

    @Test
    void wrongUseAndNothingAreToldByTheirCodes() throws IOException {
        Path out = folder.resolve("none.csv");
        assertThat(run()).isEqualTo(2);
        assertThat(run("combinations", "--column", file("a.txt", "red"), "--out", out))
                .isEqualTo(2);
        assertThat(run("logs", "--in", folder.resolve("missing"), "--out", out)).isEqualTo(1);
        assertThat(run("logs", "--in", file("empty.log", "nothing\n"), "--out", out))
                .isEqualTo(1);
        assertThat(run("ideas", "--out", out)).isEqualTo(2);
        assertThat(out).doesNotExist();
    }
}

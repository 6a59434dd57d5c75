package smorgas.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** Small files of short lines: what is looked for is found, and what is changed is seen. */
class SizesTest {

    private static final int MOST_LINES = 400;
    private static final int LONGEST_LINE = 140;

    private static List<Path> sources() throws IOException {
        List<Path> sources = new ArrayList<>();
        for (String module : List.of("core", "meaning", "app", "bench")) {
            try (Stream<Path> files = Files.walk(Path.of("..", module, "src"))) {
                files.filter(Files::isRegularFile)
                        .filter(file -> file.toString().matches(".*\\.(java|html|css|js)"))
                        .filter(file -> !file.toString().contains("vendor"))
                        .forEach(sources::add);
            }
        }
        return sources;
    }

    @Test
    void noFileIsLongerThanOneLooksThrough() throws IOException {
        List<Path> sources = sources();
        assertThat(sources).hasSizeGreaterThan(500);
        List<String> tooLong = new ArrayList<>();
        for (Path source : sources) {
            int lines = Files.readAllLines(source).size();
            if (lines > MOST_LINES) {
                tooLong.add(source + ": " + lines + " lines");
            }
        }
        assertThat(tooLong).isEmpty();
    }

    @Test
    void noLineIsLongerThanAWindowIsWide() throws IOException {
        List<String> tooLong = new ArrayList<>();
        for (Path source : sources()) {
            if (source.toString().contains("/src/test/") || source.toString().contains("/standin/sites/")) {
                // Lists and pages that are read keep their lines.
                continue;
            }
            List<String> lines = Files.readAllLines(source);
            for (int at = 0; at < lines.size(); at++) {
                if (lines.get(at).length() > LONGEST_LINE) {
                    tooLong.add(source + ":" + (at + 1));
                }
            }
        }
        assertThat(tooLong).isEmpty();
    }
}

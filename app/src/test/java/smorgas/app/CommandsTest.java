package smorgas.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** What the documents tell people to type is what the script offers, and what CI runs. */
class CommandsTest {

    private static final Path TOP = Path.of("..");
    private static final Pattern COMMAND = Pattern.compile("\\./smorgas ([a-z][a-z-]*)");

    @Test
    void theReadmeOpensWithTheTwoCommands() throws IOException {
        List<String> typed = Files.readAllLines(TOP.resolve("README.md")).stream()
                .filter(line -> line.startsWith("    ./smorgas "))
                .map(line -> line.strip().split("\\s+#")[0].strip())
                .toList();
        assertThat(typed.subList(0, 2)).containsExactly("./smorgas demo", "./smorgas test");
    }

    @Test
    void everyCommandThatADocumentNamesIsOneOfHelp() throws IOException, InterruptedException {
        Set<String> named = new TreeSet<>();
        try (Stream<Path> docs = Files.list(TOP.resolve("docs"))) {
            for (Path file : Stream.concat(
                            docs.filter(doc -> doc.toString().endsWith(".md")),
                            Stream.of(TOP.resolve("README.md"), TOP.resolve("CONTRIBUTING.md")))
                    .toList()) {
                named.addAll(commandsIn(Files.readString(file)));
            }
        }
        assertThat(commandsIn(help())).containsAll(named).hasSizeGreaterThan(10);
    }

    private static Set<String> commandsIn(String text) {
        Set<String> found = new TreeSet<>();
        COMMAND.matcher(text).results().forEach(match -> found.add(match.group(1)));
        return found;
    }

    private static String help() throws IOException, InterruptedException {
        Process script = new ProcessBuilder(
                        TOP.resolve("smorgas").toAbsolutePath().toString(), "help")
                .redirectErrorStream(true)
                .start();
        String said = new String(script.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        assertThat(script.waitFor()).isZero();
        return said;
    }
}

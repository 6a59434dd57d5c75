package smorgas.bench;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;

/** Runs commands as a user does, and times them from outside. */
final class Processes {

    /** What a command printed, and how long it took. */
    record Run(String printed, long millis) {}

    private Processes() {}

    static Run run(Map<String, String> environment, List<String> command) throws IOException, InterruptedException {
        Path printed = Files.createTempFile("bench", ".out");
        long start = System.nanoTime();
        ProcessBuilder builder = new ProcessBuilder(command)
                .redirectOutput(printed.toFile())
                .redirectError(ProcessBuilder.Redirect.DISCARD);
        builder.environment().putAll(environment);
        int code = builder.start().waitFor();
        long millis = (System.nanoTime() - start) / 1_000_000;
        String text = Files.readString(printed, StandardCharsets.UTF_8);
        Files.delete(printed);
        if (code != 0) {
            throw new IOException(String.join(" ", command) + " ended with " + code + ": " + text);
        }
        return new Run(text, millis);
    }
}

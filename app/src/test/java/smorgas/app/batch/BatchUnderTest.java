package smorgas.app.batch;

import de.siegmar.fastcsv.reader.CsvReader;
import de.siegmar.fastcsv.reader.CsvRecord;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.io.TempDir;
import smorgas.app.Main;
import smorgas.app.store.RecipeFile;
import smorgas.core.recipe.Rules;
import smorgas.core.text.Catalogue;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Runs of the batch command in a folder of their own, and what came of them. */
abstract class BatchUnderTest {

    /** A recipe or project file with the fingerprint of this version in it. */
    static String ours(String json) {
        String fingerprint = JsonMapper.shared()
                .readTree(RecipeFile.of(Rules.NEWEST, "en", List.of()).json())
                .path("fingerprint")
                .stringValue();
        return json.replaceFirst("1,", "1, \"fingerprint\": \"" + fingerprint + "\",");
    }

    @TempDir
    Path folder;

    final ByteArrayOutputStream printed = new ByteArrayOutputStream();

    int run(Object... arguments) {
        PrintStream out = System.out;
        PrintStream err = System.err;
        System.setOut(new PrintStream(printed, true, StandardCharsets.UTF_8));
        System.setErr(new PrintStream(PrintStream.nullOutputStream(), true, StandardCharsets.UTF_8));
        try {
            return Main.line(Catalogue.english())
                    .execute(Stream.concat(
                                    Stream.of("batch"), Stream.of(arguments).map(Object::toString))
                            .toArray(String[]::new));
        } finally {
            System.setOut(out);
            System.setErr(err);
        }
    }

    Path file(String name, String text) throws IOException {
        return Files.writeString(folder.resolve(name), text);
    }

    JsonNode summary() {
        return JsonMapper.shared().readTree(printed.toString(StandardCharsets.UTF_8));
    }

    List<CsvRecord> csv(String name) throws IOException {
        try (CsvReader<CsvRecord> reader =
                CsvReader.builder().ofCsvRecord(folder.resolve("out").resolve(name))) {
            return reader.stream().toList();
        }
    }

    Path out() {
        return folder.resolve("out");
    }
}

package smorgas.core.gather;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.json.JsonMapper;

/** Delimited text against files whose records others have published, and against another library. */
class ReferenceFilesTest {

    private static byte[] bytes(String name) throws IOException {
        try (InputStream in = ReferenceFilesTest.class.getResourceAsStream("/csv-spectrum/" + name)) {
            return in.readAllBytes();
        }
    }

    private static List<List<String>> rows(String text) {
        List<List<String>> rows = new ArrayList<>();
        new DelimitedRows(text, ',', new Problems("file")).forEach((line, cells) -> rows.add(List.of(cells)));
        return rows;
    }

    /** npm csv-spectrum 2.0.0: each file with the objects it holds. */
    @ParameterizedTest
    @ValueSource(
            strings = {
                "comma_in_quotes",
                "empty",
                "empty_crlf",
                "escaped_quotes",
                "json",
                "newlines",
                "newlines_crlf",
                "quotes_and_newlines",
                "simple",
                "simple_crlf",
                "utf8"
            })
    void givesTheObjectsThatThePublishedFileHolds(String name) throws IOException {
        List<List<String>> rows = rows(new String(bytes(name + ".csv"), StandardCharsets.UTF_8));
        List<Map<String, String>> found = new ArrayList<>();
        for (List<String> row : rows.subList(1, rows.size())) {
            Map<String, String> object = new LinkedHashMap<>();
            for (int i = 0; i < row.size(); i++) {
                object.put(rows.getFirst().get(i), row.get(i));
            }
            found.add(object);
        }
        Object expected = JsonMapper.shared().readValue(bytes(name + ".json"), Object.class);
        assertThat(found).isEqualTo(expected);
    }

    /** Apache Commons CSV 1.14.1 as an oracle: what it reads of random well-formed text, we read. */
    @Test
    void readsWhatAnotherLibraryReads() throws IOException {
        java.util.Random random = new java.util.Random(5);
        String[] parts = {"a", "bee hive", ",", "\"\"", "\n", "\r\n", " ", "é", "1,300"};
        for (int round = 0; round < 300; round++) {
            StringBuilder text = new StringBuilder();
            for (int row = 0; row < 1 + random.nextInt(6); row++) {
                for (int cell = 0; cell < 3; cell++) {
                    text.append(cell == 0 ? "" : ",").append('"').append(cell == 0 ? "k" : "");
                    for (int part = random.nextInt(4); part > 0; part--) {
                        text.append(parts[random.nextInt(parts.length)]);
                    }
                    text.append('"');
                }
                text.append(random.nextBoolean() ? "\r\n" : "\n");
            }
            List<List<String>> expected;
            try (CSVParser parser = CSVParser.parse(text.toString(), CSVFormat.RFC4180)) {
                expected = parser.stream().map(r -> Arrays.asList(r.values())).toList();
            }
            assertThat(rows(text.toString())).as(text.toString()).isEqualTo(expected);
        }
    }
}

package smorgas.core.gather;

import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.BiConsumer;
import smorgas.core.text.Message;
import tools.jackson.core.JacksonException;
import tools.jackson.core.JsonParser;
import tools.jackson.core.JsonToken;
import tools.jackson.core.ObjectReadContext;
import tools.jackson.core.StreamReadConstraints;
import tools.jackson.core.json.JsonFactory;

/**
 * The rows of JSON (RFC 8259): an array of objects or of texts, an object that holds such an array, or objects one after
 * the other (JSON lines). A column for each name in any of the objects; names within names are joined with a dot, texts of
 * an array with a bar.
 */
final class JsonRows implements RowSource {

    static final TextFormat FORMAT = TextFormat.of(
            Reading.Format.JSON,
            false,
            written -> !written.cellsChosen() && looksLike(written.text())
                    ? Optional.of(new JsonRows(written.text(), written.problems(), written.halt()))
                    : Optional.empty());

    private static final int MOST_COLUMNS = 200;

    /** Objects within objects are looked into this deep. */
    private static final int DEEPEST = 10;

    private static final String ALONE = "keyword";

    private static final JsonFactory JSON = JsonFactory.builder()
            .streamReadConstraints(StreamReadConstraints.builder()
                    .maxStringLength(20 * ListBounds.LONGEST_CELL)
                    .build())
            .build();

    private final String text;
    private final Problems problems;
    private final Halt halt;

    JsonRows(String text, Problems problems, Halt halt) {
        this.text = text;
        this.problems = problems;
        this.halt = halt;
    }

    /** Whether it begins as JSON of rows does; {@code [bee hive]} with a match type's marks does not. */
    static boolean looksLike(String text) {
        String begin = text.stripLeading();
        return begin.matches("(?s)(\\{\\s*[\"}]|\\[\\s*[\\[{\"\\]]).{0,10000}.*") && !begin.startsWith("[[");
    }

    @Override
    public void forEach(RowSink sink) {
        Set<String> names = new LinkedHashSet<>();
        // Once for the names of all columns, once for the rows: neither keeps the objects.
        read(
                (line, object) -> object.keySet().stream()
                        .filter(name -> names.size() < MOST_COLUMNS)
                        .forEach(names::add),
                false);
        if (names.isEmpty()) {
            read((line, object) -> {}, true);
            if (problems.count() == 0) {
                problems.add(
                        0,
                        Message.of("gather.json-rows.rows-json"),
                        Message.of("gather.json-rows.should-hold-array-objects"));
            }
            return;
        }
        List<String> columns = List.copyOf(names);
        sink.row(1, columns.toArray(String[]::new));
        read(
                (line, object) -> sink.row(
                        line,
                        columns.stream()
                                .map(name -> object.getOrDefault(name, ""))
                                .toArray(String[]::new)),
                true);
    }

    /** Where all stands on one line, as programs write it, a row has the number of its record. */
    private void read(BiConsumer<Integer, Map<String, String>> rows, boolean telling) {
        boolean oneLine = text.strip().indexOf('\n') < 0;
        int[] record = {0};
        readByLines((line, object) -> rows.accept(oneLine ? ++record[0] : line, object), telling);
    }

    private void readByLines(BiConsumer<Integer, Map<String, String>> rows, boolean telling) {
        int line = 1;
        try (JsonParser json = JSON.createParser(ObjectReadContext.empty(), text)) {
            for (JsonToken token = json.nextToken(); token != null; token = json.nextToken()) {
                line = json.currentTokenLocation().getLineNr();
                if (token == JsonToken.START_ARRAY) {
                    array(json, rows);
                } else if (token == JsonToken.START_OBJECT) {
                    object(json, rows, line);
                }
            }
        } catch (JacksonException e) {
            if (telling) {
                int where = e.getLocation() == null ? line : e.getLocation().getLineNr();
                problems.add(
                        Math.max(1, where),
                        Message.of("gather.json-rows.json-breaks-off-here", e.getOriginalMessage()),
                        Message.of("gather.json-rows.what-stands-before-gathered"));
            }
        }
    }

    private void array(JsonParser json, BiConsumer<Integer, Map<String, String>> rows) {
        for (JsonToken token = json.nextToken();
                token != null && token != JsonToken.END_ARRAY;
                token = json.nextToken()) {
            int line = json.currentTokenLocation().getLineNr();
            if (token == JsonToken.START_OBJECT) {
                rows.accept(line, flat(json));
            } else if (token == JsonToken.START_ARRAY) {
                json.skipChildren();
            } else {
                rows.accept(line, Map.of(ALONE, text(json)));
            }
        }
    }

    /** An object at the top: a row, or what holds the array of rows. */
    private void object(JsonParser json, BiConsumer<Integer, Map<String, String>> rows, int line) {
        Map<String, String> fields = new LinkedHashMap<>();
        boolean held = false;
        for (JsonToken token = json.nextToken();
                token != null && token != JsonToken.END_OBJECT;
                token = json.nextToken()) {
            String name = json.currentName();
            JsonToken value = json.nextToken();
            if (value == JsonToken.START_ARRAY) {
                Map<String, String> texts = new LinkedHashMap<>();
                held |= held(json, rows, texts);
                fields.put(name, String.join(" | ", texts.values()));
            } else {
                put(fields, name, json, value, 1);
            }
        }
        if (!held && !fields.isEmpty()) {
            rows.accept(line, fields);
        }
    }

    /** Hands on the objects of an array within the top object; texts are collected. True if there was an object. */
    private boolean held(JsonParser json, BiConsumer<Integer, Map<String, String>> rows, Map<String, String> texts) {
        boolean objects = false;
        for (JsonToken token = json.nextToken();
                token != null && token != JsonToken.END_ARRAY;
                token = json.nextToken()) {
            if (token == JsonToken.START_OBJECT) {
                objects = true;
                rows.accept(json.currentTokenLocation().getLineNr(), flat(json));
            } else if (token == JsonToken.START_ARRAY) {
                json.skipChildren();
            } else {
                texts.put(String.valueOf(texts.size()), text(json));
            }
        }
        return objects;
    }

    private Map<String, String> flat(JsonParser json) {
        halt.check();
        Map<String, String> fields = new LinkedHashMap<>();
        flat(json, "", 1, fields);
        return fields;
    }

    /** The fields of the object that was just begun, each under its whole name. */
    private static void flat(JsonParser json, String before, int depth, Map<String, String> fields) {
        for (JsonToken token = json.nextToken();
                token != null && token != JsonToken.END_OBJECT;
                token = json.nextToken()) {
            put(fields, before + json.currentName(), json, json.nextToken(), depth);
        }
    }

    private static void put(Map<String, String> fields, String name, JsonParser json, JsonToken value, int depth) {
        switch (value) {
            case START_OBJECT -> {
                if (depth == DEEPEST) {
                    json.skipChildren();
                } else {
                    flat(json, name + ".", depth + 1, fields);
                }
            }
            case START_ARRAY -> {
                StringBuilder texts = new StringBuilder();
                for (JsonToken token = json.nextToken();
                        token != null && token != JsonToken.END_ARRAY;
                        token = json.nextToken()) {
                    if (token.isStructStart()) {
                        json.skipChildren();
                    } else {
                        texts.append(texts.isEmpty() ? "" : " | ").append(text(json));
                    }
                }
                fields.put(name, texts.toString());
            }
            case VALUE_NULL -> fields.put(name, "");
            default -> fields.put(name, text(json));
        }
    }

    /** The text of a value; half a character, which JSON can name and no file can hold, is replaced. */
    private static String text(JsonParser json) {
        String text = json.getString();
        for (int i = 0; i < text.length(); i++) {
            if (Character.isSurrogate(text.charAt(i))) {
                return new String(text.getBytes(StandardCharsets.UTF_16BE), StandardCharsets.UTF_16BE);
            }
        }
        return text;
    }
}

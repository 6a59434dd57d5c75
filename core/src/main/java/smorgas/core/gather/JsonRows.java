package smorgas.core.gather;

import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.BiConsumer;
import tools.jackson.core.JacksonException;
import tools.jackson.core.JsonParser;
import tools.jackson.core.JsonToken;
import tools.jackson.core.ObjectReadContext;
import tools.jackson.core.json.JsonFactory;

/**
 * The rows of JSON (RFC 8259): an array of objects or of texts, an object that holds such an array, or objects one after
 * the other (JSON lines). A column for each name in any of the objects; names within names are joined with a dot, texts of
 * an array with a bar.
 */
final class JsonRows implements RowSource {

    private static final int MOST_COLUMNS = 200;
    private static final String ALONE = "keyword";

    private final String text;
    private final Problems problems;

    JsonRows(String text, Problems problems) {
        this.text = text;
        this.problems = problems;
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
            problems.add(0, "There are no rows in this JSON", "It should hold an array of objects or of texts.");
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

    private void read(BiConsumer<Integer, Map<String, String>> rows, boolean telling) {
        int line = 1;
        try (JsonParser json = new JsonFactory().createParser(ObjectReadContext.empty(), text)) {
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
                        "The JSON breaks off here: " + e.getOriginalMessage(),
                        "What stands before is gathered; put it right and gather it again.");
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
                rows.accept(line, Map.of(ALONE, json.getString()));
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
                put(fields, name, json, value);
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
                texts.put(String.valueOf(texts.size()), json.getString());
            }
        }
        return objects;
    }

    private static Map<String, String> flat(JsonParser json) {
        Map<String, String> fields = new LinkedHashMap<>();
        for (JsonToken token = json.nextToken();
                token != null && token != JsonToken.END_OBJECT;
                token = json.nextToken()) {
            String name = json.currentName();
            put(fields, name, json, json.nextToken());
        }
        return fields;
    }

    private static void put(Map<String, String> fields, String name, JsonParser json, JsonToken value) {
        switch (value) {
            case START_OBJECT -> flat(json).forEach((inner, text) -> fields.put(name + "." + inner, text));
            case START_ARRAY -> {
                StringBuilder texts = new StringBuilder();
                for (JsonToken token = json.nextToken();
                        token != null && token != JsonToken.END_ARRAY;
                        token = json.nextToken()) {
                    if (token.isStructStart()) {
                        json.skipChildren();
                    } else {
                        texts.append(texts.isEmpty() ? "" : " | ").append(json.getString());
                    }
                }
                fields.put(name, texts.toString());
            }
            case VALUE_NULL -> fields.put(name, "");
            default -> fields.put(name, json.getString());
        }
    }
}

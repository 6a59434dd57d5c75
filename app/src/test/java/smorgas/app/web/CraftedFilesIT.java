package smorgas.app.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import java.util.zip.ZipOutputStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * Project files and recipes with crafted values: each is refused in a sentence, or it is taken and then every page of the
 * project opens and it can be written again. {@code ./smorgas bench faults} sends two thousand.
 */
class CraftedFilesIT {

    private static final int FILES = "full".equals(System.getProperty("smorgas.faults")) ? 1_000 : 12;

    /** The values of the file that is being crafted. */
    private final List<JsonNode> found = new ArrayList<>();

    private static final List<String> PAGES =
            List.of("gather", "fold", "sift", "group", "serve", "history", "negatives", "exported", "compare");

    /** So many values are changed for each that is taken away. */
    private static final int OFTEN = 6;

    private static final JsonMapper JSON = JsonMapper.builder().build();

    @TempDir
    private Path data;

    private final Random random = new Random(17);
    private Visitor visitor;
    private final Set<String> faults = new LinkedHashSet<>();

    /** What somebody would write who wants it to break. */
    private JsonNode hostile() {
        List<JsonNode> values = List.of(
                JSON.getNodeFactory().stringNode(""),
                JSON.getNodeFactory().stringNode("x".repeat(3_000)),
                JSON.getNodeFactory().stringNode("\uD83D\uDC1D".repeat(60)),
                JSON.getNodeFactory().stringNode("\uD800"),
                JSON.getNodeFactory().stringNode("\u0000"),
                JSON.getNodeFactory().stringNode("-999999999-01-01T00:00:00Z"),
                JSON.getNodeFactory().stringNode("+999999999-12-31T23:59:59Z"),
                JSON.getNodeFactory().stringNode("ALL"),
                JSON.getNodeFactory().stringNode("=cmd()"),
                JSON.getNodeFactory().numberNode(-1),
                JSON.getNodeFactory().numberNode(0),
                JSON.getNodeFactory().numberNode(Long.MAX_VALUE),
                JSON.getNodeFactory().numberNode(Long.MIN_VALUE),
                JSON.getNodeFactory().numberNode(1e300),
                JSON.getNodeFactory().booleanNode(true),
                JSON.getNodeFactory().nullNode(),
                JSON.createArrayNode(),
                JSON.createObjectNode());
        return values.get(random.nextInt(values.size()));
    }

    /** Mostly of the same type, often what stands elsewhere in the file: what is of another one is turned away at the door. */
    private JsonNode hostile(JsonNode instead) {
        List<JsonNode> alike = found.stream()
                .filter(other -> other.getNodeType() == instead.getNodeType())
                .toList();
        if (!alike.isEmpty() && random.nextBoolean()) {
            return alike.get(random.nextInt(alike.size()));
        }
        for (int i = 0; i < 40 && random.nextInt(20) > 0; i++) {
            JsonNode other = hostile();
            if (other.getNodeType() == instead.getNodeType()) {
                return other;
            }
        }
        return hostile();
    }

    /** Puts hostile values in the place of some, takes some away, doubles some. */
    private void craft(JsonNode node) {
        List<Runnable> changes = new ArrayList<>();
        found.clear();
        collect(node, changes);
        for (int i = 1 + random.nextInt(2); i > 0 && !changes.isEmpty(); i--) {
            changes.get(random.nextInt(changes.size())).run();
        }
    }

    private void collect(JsonNode node, List<Runnable> changes) {
        if (node instanceof ObjectNode object) {
            for (Map.Entry<String, JsonNode> field : object.properties()) {
                for (int i = 0; i < OFTEN; i++) {
                    changes.add(() -> object.set(field.getKey(), hostile(field.getValue())));
                }
                changes.add(() -> object.remove(field.getKey()));
                found.add(field.getValue().deepCopy());
                collect(field.getValue(), changes);
            }
        } else if (node instanceof ArrayNode array) {
            for (int i = 0; i < array.size(); i++) {
                int at = i;
                changes.add(() -> array.set(Math.min(at, Math.max(0, array.size() - 1)), hostile()));
                changes.add(() -> array.add(hostile()));
                collect(array.get(i), changes);
            }
        }
    }

    /** Cleanings that would make ever more of a text. */
    private static void plantCleanings(ArrayNode entries, int version) {
        for (int i = 0; i < 12; i++) {
            ObjectNode entry = entries.addObject();
            entry.put("kind", "cleaning-added").put("format", 1);
            ObjectNode cleaning = entry.putObject("body").put("number", 50 + i).putObject("cleaning");
            cleaning.put("does", "replace")
                    .put("match", "ANYWHERE")
                    .put("find", "e")
                    .put("with", "e".repeat(10));
            entry.put("state", "DONE")
                    .put("version", version + i)
                    .put("at", "2026-01-01T00:00:00Z")
                    .put("effect", "");
        }
    }

    private String project() {
        long id = visitor.project("Crafted");
        String base = "/projects/" + id;
        StringBuilder list = new StringBuilder("keyword;searches;cpc\n");
        for (int i = 0; i < 30; i++) {
            list.append("tree fern ").append(i).append(";").append(i * 10).append(";0,5\n");
        }
        visitor.upload(base + "/gather", Map.of("list.csv", list.toString().getBytes(StandardCharsets.UTF_8)));
        visitor.post(base + "/rules/word", Map.of("ruleWord", "free", "to", "DROPPED"));
        visitor.post(base + "/judge/view", Map.of("q", "tree fern 3", "to", "KEPT"));
        visitor.post(
                base + "/serve",
                Map.of("campaign", "Spring", "pattern", "{theme}", "bid", "0.45", "matchTypes", "EXACT"));
        visitor.get(base + "/exported");
        visitor.post(base + "/exported", Map.of("name", "March"));
        visitor.get(base + "/history");
        return base;
    }

    private static Map<String, byte[]> unpacked(byte[] file) throws IOException {
        Map<String, byte[]> parts = new LinkedHashMap<>();
        try (ZipInputStream zip = new ZipInputStream(new ByteArrayInputStream(file))) {
            for (ZipEntry entry = zip.getNextEntry(); entry != null; entry = zip.getNextEntry()) {
                parts.put(entry.getName(), zip.readAllBytes());
            }
        }
        return parts;
    }

    private static byte[] packed(Map<String, byte[]> parts) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (ZipOutputStream zip = new ZipOutputStream(out)) {
            for (Map.Entry<String, byte[]> part : parts.entrySet()) {
                zip.putNextEntry(new ZipEntry(part.getKey()));
                zip.write(part.getValue());
            }
        }
        return out.toByteArray();
    }

    private byte[] crafted(byte[] file, int number) throws IOException {
        Map<String, byte[]> parts = unpacked(file);
        ObjectNode told = (ObjectNode) JSON.readTree(parts.get("project.json"));
        if (number % 10 == 0) {
            plantCleanings((ArrayNode) told.get("history"), told.get("version").asInt() + 1);
            told.put("version", told.get("version").asInt() + 12);
        } else {
            craft(told);
        }
        parts.put("project.json", JSON.writeValueAsBytes(told));
        if (random.nextInt(6) == 0) {
            String cut = List.copyOf(parts.keySet()).get(random.nextInt(parts.size()));
            parts.computeIfPresent(cut, (name, bytes) -> Arrays.copyOf(bytes, random.nextInt(bytes.length + 1)));
        }
        return packed(parts);
    }

    private void look(String base, String after) {
        for (String page : PAGES) {
            HttpResponse<String> answer = visitor.get(base + "/" + page);
            if (answer.statusCode() >= 500) {
                faults.add(page + " answered " + answer.statusCode() + " after " + after);
            }
        }
    }

    @Test
    void aFileThatIsTakenCanBeOpenedOnAllPagesAndWrittenAgain() throws IOException {
        try (Running server = Running.empty(data)) {
            visitor = new Visitor(server);
            String base = project();
            byte[] file = visitor.bytes(base + "/project.zip");
            byte[] recipe = visitor.bytes(base + "/recipe.json");
            int taken = 0;
            for (int number = 0; number < FILES; number++) {
                byte[] sent = crafted(file, number);
                HttpResponse<String> answer =
                        visitor.upload("/projects/file", "file", Map.of("project.zip", sent), Map.of());
                if (answer.statusCode() >= 500) {
                    faults.add("project file " + number + " was answered " + answer.statusCode());
                }
                Matcher made =
                        Pattern.compile("(/projects/\\d+)").matcher(answer.uri().getPath());
                if (made.find()) {
                    taken++;
                    look(made.group(1), "project file " + number);
                    byte[] again = visitor.bytes(made.group(1) + "/project.zip");
                    HttpResponse<String> back =
                            visitor.upload("/projects/file", "file", Map.of("project.zip", again), Map.of());
                    if (!back.uri().getPath().matches("/projects/\\d+.*")) {
                        faults.add("what was written of project file " + number + " is not taken again");
                    }
                }
                taken += recipe(base, recipe, number) ? 1 : 0;
            }
            System.out.printf(
                    Locale.ENGLISH,
                    "Faults: %,d crafted project files and recipes, %,d taken, %d faults%n",
                    2 * FILES,
                    taken,
                    faults.size());
            assertThat(faults).isEmpty();
            assertThat(taken).as("not all of them are turned away at the door").isGreaterThan(FILES / 10);
        }
    }

    private boolean recipe(String base, byte[] recipe, int number) {
        JsonNode told = JSON.readTree(recipe);
        if (number % 10 == 0) {
            plantCleanings((ArrayNode) told.get("entries"), 1);
        } else {
            craft(told);
        }
        visitor.get(base + "/history");
        HttpResponse<String> answer = visitor.upload(
                base + "/recipe", "recipe", Map.of("recipe.json", JSON.writeValueAsBytes(told)), Map.of());
        if (answer.statusCode() >= 500) {
            faults.add("recipe " + number + " was answered " + answer.statusCode());
        }
        look(base, "recipe " + number);
        boolean taken = answer.body().contains("Took") || answer.body().contains("took");
        visitor.post(base + "/undo", Map.of());
        return taken;
    }
}

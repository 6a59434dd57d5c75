package smorgas.app.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.function.Consumer;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import java.util.zip.ZipOutputStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** A whole project as a file: what is read is what was written, and hostile files are refused with their reason. */
class ProjectFileIT {

    private final Visitor visitor = new Visitor(Running.shared());

    private String project() {
        visitor.get("/projects");
        Matcher number = Pattern.compile("/projects/(\\d+)/")
                .matcher(visitor.post(
                                "/projects",
                                Map.of("name", "Given <away>", "language", "en", "market", "UK", "currency", "GBP"))
                        .uri()
                        .getPath());
        assertThat(number.find()).isTrue();
        String base = "/projects/" + number.group(1);
        visitor.upload(
                base + "/gather",
                Map.of(
                        "list.csv",
                        "keyword,searches\nbee hive,100\nbee hives,40\n=1+1,5\nfree hive,7\nhive küche,3\n"
                                .getBytes(StandardCharsets.UTF_8),
                        "more.txt",
                        "honey jar\nbee hive\n".getBytes(StandardCharsets.UTF_8)));
        visitor.post(base + "/rules/word", Map.of("ruleWord", "free", "to", "DROPPED"));
        visitor.post(base + "/rules/word", Map.of("ruleWord", "jar", "to", "DROPPED"));
        visitor.post(base + "/undo", Map.of());
        visitor.post(
                base + "/serve",
                Map.of("campaign", "Spring", "pattern", "{theme}", "bid", "0.45", "matchTypes", "EXACT"));
        visitor.get(base + "/exported");
        visitor.post(base + "/exported", Map.of("name", "March <plan>"));
        visitor.get(base + "/history");
        visitor.post(base + "/history/name", Map.of("point", "3", "name", "as <exported>"));
        visitor.get(base + "/history");
        visitor.post(base + "/history/back", Map.of("point", "3"));
        return base;
    }

    private byte[] written(String base) {
        return visitor.bytes(base + "/project.zip");
    }

    private HttpResponse<String> open(byte[] file) {
        return visitor.upload("/projects/file", "file", Map.of("project.zip", file), Map.of());
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

    @Test
    void whatIsReadIsWhatWasWrittenWithItsHistory() throws IOException {
        String base = project();
        byte[] file = written(base);
        HttpResponse<String> opened = open(file);
        Matcher number =
                Pattern.compile("(/projects/\\d+)").matcher(opened.uri().getPath());
        assertThat(number.find()).as("%s", opened.body()).isTrue();
        String other = number.group(1);
        assertThat(other).isNotEqualTo(base);
        for (String path : new String[] {"/sift.csv", "/plan.csv", "/recipe.json"}) {
            assertThat(visitor.get(other + path).body())
                    .as(path)
                    .isEqualTo(visitor.get(base + path).body());
        }
        assertThat(visitor.get(other + "/sift.csv").body()).contains("'=1+1");
        // Taken back there, it can be brought back here; and both go on alike.
        for (String project : new String[] {base, other}) {
            visitor.get(project + "/sift");
            visitor.post(project + "/undo", Map.of());
            visitor.post(project + "/undo", Map.of());
        }
        assertThat(visitor.get(other + "/sift.csv").body())
                .isEqualTo(visitor.get(base + "/sift.csv").body());
        Map<String, byte[]> once = unpacked(written(base));
        Map<String, byte[]> again = unpacked(written(other));
        assertThat(again).hasSameSizeAs(once);
        assertThat(again.values().stream().skip(1).toList())
                .as("the bytes as they came")
                .containsExactlyElementsOf(once.values().stream().skip(1).toList());
        assertThat(visitor.get(other + "/history").body()).contains("as &lt;exported&gt;");
        assertThat(visitor.get(other + "/exported").body())
                .as("the plan that was exported, with what changed since")
                .contains("March &lt;plan&gt;");
        String told = new String(again.get("project.json"), StandardCharsets.UTF_8);
        assertThat(told).contains("\"UNDONE\"", "Given <away>");
    }

    /** Each fault is planted in a file that is right otherwise. */
    @ParameterizedTest
    @ValueSource(
            strings = {
                "newer",
                "kind",
                "state",
                "point",
                "sum",
                "missing",
                "path",
                "bomb",
                "rules",
                "print",
                "json",
                "cut",
                "nothing",
                "text",
                "exported",
                "serving",
                "after"
            })
    void aHostileOrBrokenFileIsRefusedWithItsReasonAndMakesNothing(String fault) throws IOException {
        Map<String, byte[]> parts = unpacked(written(project()));
        String first = parts.keySet().stream().skip(1).findFirst().orElseThrow();
        Consumer<String[]> told =
                pair -> parts.compute("project.json", (name, bytes) -> new String(bytes, StandardCharsets.UTF_8)
                        .replaceFirst(pair[0], pair[1])
                        .getBytes(StandardCharsets.UTF_8));
        String reason =
                switch (fault) {
                    case "newer" -> {
                        told.accept(new String[] {"\"project\" *: *1", "\"project\" : 3"});
                        yield "made by a newer Smorgas";
                    }
                    case "kind" -> {
                        told.accept(new String[] {"\"kind\" *: *\"rule-added\"", "\"kind\" : \"rule-guessed\""});
                        yield "rule-guessed";
                    }
                    case "state" -> {
                        told.accept(new String[] {"\"state\" *: *\"DONE\"", "\"state\" : \"PERHAPS\""});
                        yield "neither done nor undone";
                    }
                    case "point" -> {
                        told.accept(new String[] {"\"point\" *: *3", "\"point\" : 3000"});
                        yield "There is no version 3000 before act";
                    }
                    case "rules" -> {
                        told.accept(new String[] {"\"rules\" *: *\\d+", "\"rules\" : 99"});
                        yield "follows rules 99";
                    }
                    case "print" -> {
                        told.accept(new String[] {"\"fingerprint\" *: *\"\\w+\"", "\"fingerprint\" : \"\""});
                        yield "was written by another version";
                    }
                    case "sum" -> {
                        parts.put(first, "honey\nwax\n".getBytes(StandardCharsets.UTF_8));
                        yield "is not what it was";
                    }
                    case "missing" -> {
                        parts.remove(first);
                        yield "is missing in this file";
                    }
                    case "path" -> {
                        parts.put("../../etc/evil", new byte[] {1});
                        yield "it holds &quot;../../etc/evil&quot;";
                    }
                    case "bomb" -> {
                        parts.put("baskets/1/../2", new byte[] {1});
                        yield "it holds";
                    }
                    case "exported" -> {
                        parts.keySet().removeIf(name -> name.startsWith("exported/"));
                        yield "The exported plan &quot;March &lt;plan&gt;&quot; is missing";
                    }
                    case "serving" -> {
                        parts.replaceAll((name, bytes) -> name.startsWith("exported/") ? new byte[] {1, 2} : bytes);
                        yield "The exported plan cannot be read";
                    }
                    case "after" -> {
                        told.accept(new String[] {"(\"exported\"[^]]*\"point\" *: *)\\d+", "$199999"});
                        yield "belongs to no version of it";
                    }
                    case "json" -> {
                        parts.put("project.json", "{\"project\": 1,".getBytes(StandardCharsets.UTF_8));
                        yield "cannot be read";
                    }
                    case "nothing" -> {
                        parts.clear();
                        parts.put("baskets/1", new byte[] {1});
                        yield "holds no project.json";
                    }
                    default -> "no ZIP";
                };
        byte[] file = packed(parts);
        int before = visitor.get("/projects").body().split("project-name", -1).length;
        byte[] sent = fault.equals("cut")
                ? java.util.Arrays.copyOf(file, file.length / 2)
                : fault.equals("text") ? "keyword\nhive\n".getBytes(StandardCharsets.UTF_8) : file;
        HttpResponse<String> answer = open(sent);
        assertThat(answer.statusCode()).isEqualTo(200);
        assertThat(answer.body()).contains(reason);
        assertThat(visitor.get("/projects").body().split("project-name", -1)).hasSize(before);
    }
}

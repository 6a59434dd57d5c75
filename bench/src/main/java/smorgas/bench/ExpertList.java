package smorgas.bench;

import de.siegmar.fastcsv.reader.CsvReader;
import de.siegmar.fastcsv.reader.NamedCsvRecord;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;

/**
 * A keyword list grouped by judgement; see the README beside the lists. Only what is relevant; what is left over is a class of
 * its own each.
 *
 * @param name of its file
 * @param language ISO 639-1
 * @param tuned whether figures were tuned on it
 * @param keywords as they are written
 * @param wanted the number of each keyword's ad group
 * @param second that of a second opinion
 */
record ExpertList(String name, String language, boolean tuned, List<String> keywords, int[] wanted, int[] second) {

    /** All lists, those that were tuned on first. */
    static List<ExpertList> all() throws IOException {
        return List.of(
                read("climbing", "en", true),
                read("desks", "en", true),
                read("gartenhaus", "de", true),
                read("pipes", "en", false),
                read("umzug", "de", false));
    }

    /** Those of other languages, shorter and without a second opinion, which is the first one here. */
    static List<ExpertList> ofOtherLanguages() throws IOException {
        return List.of(read("velos", "fr", true), read("jardin", "es", false));
    }

    private static ExpertList read(String name, String language, boolean tuned) throws IOException {
        List<String> keywords = new ArrayList<>();
        List<String> groups = new ArrayList<>();
        List<String> second = new ArrayList<>();
        try (InputStream in = ExpertList.class.getResourceAsStream("experts/" + name + ".csv");
                CsvReader<NamedCsvRecord> rows = CsvReader.builder()
                        .ofNamedCsvRecord(new InputStreamReader(Objects.requireNonNull(in), StandardCharsets.UTF_8))) {
            for (NamedCsvRecord row : rows) {
                if (row.getField("relevant").equals("yes")) {
                    keywords.add(row.getField("keyword"));
                    groups.add(row.getField("ad_group"));
                    second.add(row.findField("second_opinion").orElse(row.getField("ad_group")));
                }
            }
        }
        return new ExpertList(name, language, tuned, List.copyOf(keywords), numbered(groups), numbered(second));
    }

    private static int[] numbered(List<String> groups) {
        Map<String, Integer> numbers = new HashMap<>();
        int[] numbered = new int[groups.size()];
        for (int i = 0; i < numbered.length; i++) {
            String group = groups.get(i).equals("-") ? "- " + i : groups.get(i);
            numbers.putIfAbsent(group, numbers.size());
            numbered[i] = numbers.get(group);
        }
        return numbered;
    }

    /** How many ad groups there are, those of one keyword that is left over too. */
    int classes() {
        return (int) Arrays.stream(wanted).distinct().count();
    }
}

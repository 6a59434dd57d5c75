package smorgas.app.web;

import static org.assertj.core.api.Assertions.assertThat;

import de.siegmar.fastcsv.reader.CsvReader;
import de.siegmar.fastcsv.reader.CsvRecord;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Assumptions, weights, negatives and reports over plain HTTP: other people's numbers, nonsense, hostile texts, downloads. */
class ValuePagesIT {

    private static final String HOSTILE = "<img src=x onerror=alert(1)>";

    private static final String LIST = "keyword;searches;cpc\nbee hive;18.100;0,50\nwooden bee hive;900;0,40\n"
            + "bee hive uk;200;0,50\nhoney jar;1.000;0,20\nhoney jars with lid;300;0,20\nsmoker;;0,30\n" + HOSTILE
            + " hive;10;0,10\n";

    private final Visitor visitor = new Visitor(Running.shared());
    private String base = "";

    @BeforeEach
    void gather() {
        base = project("en");
    }

    private String project(String language) {
        visitor.get("/projects");
        Matcher number = Pattern.compile("/projects/(\\d+)/")
                .matcher(visitor.post(
                                "/projects",
                                Map.of("name", "Valued", "language", language, "market", "Germany", "currency", "EUR"))
                        .uri()
                        .getPath());
        assertThat(number.find()).isTrue();
        String made = "/projects/" + number.group(1);
        visitor.upload(made + "/gather", Map.of("list.csv", LIST.getBytes(StandardCharsets.UTF_8)));
        return made;
    }

    private static Map<String, String> form(String... pairs) {
        Map<String, String> form = new HashMap<>();
        for (int i = 0; i < pairs.length; i += 2) {
            form.put(pairs[i], pairs[i + 1]);
        }
        return form;
    }

    private List<CsvRecord> csv(String path) {
        return CsvReader.builder().ofCsvRecord(visitor.get(base + path).body()).stream()
                .toList();
    }

    private Map<String, String> row(String path, String first) {
        List<CsvRecord> rows = csv(path);
        Map<String, String> row = new LinkedHashMap<>();
        CsvRecord found = rows.stream()
                .filter(one -> one.getField(0).equals(first))
                .findFirst()
                .orElseThrow();
        for (int i = 0; i < found.getFieldCount(); i++) {
            row.put(rows.getFirst().getField(i), found.getField(i));
        }
        return row;
    }

    /** Percentages and money as people of a language write them. */
    @ParameterizedTest
    @CsvSource({
        "en, 30, 2.5, '2,000', 271500",
        "de, '30%', '2,5', '2.000', 271500",
        "de, '30 - 35', '2,5', '2.000,00', 271500-316750",
    })
    void assumptionsAreReadAsTheyAreWrittenThere(
            String language, String share, String rate, String value, String estimatedValue) {
        base = project(language);
        visitor.post(
                base + "/estimated-value",
                form("of", "", "CLICK_SHARE", share, "CONVERSION_RATE", rate, "VALUE", value, "cost", "CPC_OR_BIDS"));
        Map<String, String> told = row("/sift.csv", "bee hive");
        assertThat(told).containsEntry("Estimated value", estimatedValue);
        assertThat(row("/sift.csv", "smoker"))
                .containsEntry("Estimated value", "")
                .containsEntry("Expected clicks", "");
    }

    @Test
    void nothingIsAssumedUntilSomebodyDoesAndTakingItAwayLeavesNothing() {
        assertThat(csv("/sift.csv").getFirst().getFields()).doesNotContain("Estimated value", "Priority");
        visitor.post(base + "/estimated-value", form("of", "", "PLACE", "1", "cost", "NOTHING"));
        assertThat(row("/sift.csv", "bee hive"))
                .containsEntry("Expected clicks", "5430")
                .containsEntry("Expected cost", "0")
                .containsEntry("Estimated value", "");
        visitor.post(base + "/estimated-value/drop", form("of", ""));
        assertThat(csv("/sift.csv").getFirst().getFields()).doesNotContain("Estimated value");
        visitor.post(base + "/undo", Map.of());
        assertThat(row("/sift.csv", "bee hive")).containsEntry("Expected clicks", "5430");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "PLACE | 0 | Place hoped for is 1 to 100",
                "CLICK_SHARE | 101 | Share of clicks is 0 to 100%",
                "CONVERSION_RATE | 5-3 | is no number for",
                "VALUE | plenty | is no number for",
                "CUSTOMER_SHARE | <script> | is no number for",
            })
    void nonsenseIsRefusedWithASentenceAndThePreviewSaysSoToo(String name, String value, String sentence) {
        String told = visitor.post(base + "/estimated-value", form("of", "", name, value, "cost", "CPC_OR_BIDS"))
                .body();
        assertThat(told).contains(sentence).doesNotContain("<script>\"");
        assertThat(visitor.get(base + "/estimated-value/preview?" + name + "="
                                + java.net.URLEncoder.encode(value, StandardCharsets.UTF_8))
                        .body())
                .contains(sentence);
        assertThat(csv("/sift.csv").getFirst().getFields()).doesNotContain("Estimated value");
    }

    @Test
    void aTagIsAssumedOtherwiseAndAHostileNameIsText() {
        visitor.post(base + "/tag", form("scope", "one", "keyword", "honey jar", "newTag", HOSTILE));
        visitor.post(base + "/estimated-value", form("of", "", "PLACE", "1", "cost", "NOTHING"));
        visitor.post(base + "/estimated-value", form("of", "tag:" + HOSTILE, "PLACE", "2", "cost", "AS_ELSEWHERE"));
        assertThat(row("/sift.csv", "honey jar")).containsEntry("Expected clicks", "150");
        assertThat(row("/sift.csv", "bee hive")).containsEntry("Expected clicks", "5430");
        String page = visitor.get(base + "/sift?assume="
                        + java.net.URLEncoder.encode("tag:" + HOSTILE, StandardCharsets.UTF_8) + "&story=honey+jar")
                .body();
        assertThat(page).contains("&lt;img").doesNotContain("<img");
        String odd = visitor.get(base + "/sift?assume=group:" + "no+such").body();
        assertThat(odd).contains("Assume this of group no such");
    }

    @Test
    void aTableOfClicksIsOnesOwnOrOneThatShips() {
        visitor.post(base + "/estimated-value", form("of", "", "PLACE", "1", "cost", "NOTHING"));
        visitor.post(base + "/estimated-value/clicks", form("table", "Query log of 2006"));
        assertThat(row("/sift.csv", "bee hive")).containsEntry("Expected clicks", "7656.3");
        visitor.post(base + "/estimated-value/clicks", form("shares", "50\r\n20\r\n"));
        assertThat(row("/sift.csv", "bee hive")).containsEntry("Expected clicks", "9050");
        assertThat(visitor.post(base + "/estimated-value/clicks", form("shares", "5\n20"))
                        .body())
                .contains("Place 2 has more clicks");
        assertThat(row("/sift.csv", "bee hive")).containsEntry("Expected clicks", "9050");
    }

    @Test
    void priorityIsSetByAPresetOrByOnesOwnWeightsAndNarrowsTheView() {
        visitor.post(base + "/priority", form("preset", "ads"));
        assertThat(row("/sift.csv", "bee hive").get("Priority")).isNotEmpty();
        visitor.post(
                base + "/priority",
                form("w-SEARCHES", "1", "classes", "top, 20\nrest, 80", "points", "", "i-LOCAL", ""));
        assertThat(row("/sift.csv", "bee hive")).containsEntry("Priority", "top");
        assertThat(row("/sift.csv", "smoker")).containsEntry("Priority", "").containsEntry("Priority score", "");
        assertThat(csv("/sift.csv?priority=top")).hasSize(2);
        assertThat(csv("/sift.csv?intent=NAVIGATIONAL")).hasSize(1);
        assertThat(visitor.post(base + "/rules/view?priority=top", form("priority", "top", "to", "KEPT"))
                        .body())
                .contains("Priority and estimated value follow from rules");
        String saved = visitor.post(
                        base + "/rules/build",
                        form(
                                "how",
                                "ALL",
                                "part",
                                "0",
                                "kind",
                                "priority",
                                "value",
                                "top",
                                "act",
                                "view",
                                "view",
                                "best"))
                .body();
        assertThat(saved).contains(">best</a");
        assertThat(visitor.post(
                                base + "/rules/build",
                                form("how", "ALL", "part", "0", "kind", "priority", "value", "top", "act", "drop"))
                        .body())
                .contains("A rule cannot ask for a status, a priority or an estimated value");
        for (String classes : List.of("top 20", "top, 20", "a, 50\na, 50", "")) {
            assertThat(visitor.post(base + "/priority", form("w-SEARCHES", "1", "classes", classes))
                            .body())
                    .as(classes)
                    .containsAnyOf("cannot be read", "should be 100%", "Two classes", "1 to 12 classes");
        }
        assertThat(row("/sift.csv", "bee hive")).containsEntry("Priority", "top");
        visitor.post(base + "/priority", form("preset", "none"));
        assertThat(csv("/sift.csv").getFirst().getFields()).doesNotContain("Priority");
    }

    /** By a condition, and taken back where it is listed; groups keep apart what was said. */
    @Test
    void anIntentIsSaidOfAllThatFulfilAConditionAndRulesAndGroupsAskForIt() {
        String[] jars = {"how", "ALL", "part", "0", "kind", "word", "value", "jars", "act", "intent", "intent", "LOCAL"
        };
        assertThat(visitor.post(base + "/rules/build", form(jars)).body()).contains("Intents said", "are local");
        assertThat(row("/sift.csv", "honey jars with lid").get("Intent")).startsWith("local");
        visitor.post(
                base + "/rules/build",
                form("how", "ALL", "part", "0", "kind", "intent", "value", "LOCAL", "act", "drop"));
        assertThat(row("/sift.csv", "honey jars with lid").get("Status")).isEqualTo("Dropped");
        String where = "{\"is\":\"has-word\",\"word\":\"jars\"}";
        visitor.post(base + "/intent/rule/remove", form("where", where));
        assertThat(row("/sift.csv", "honey jars with lid"))
                .as("a rule follows what is said")
                .doesNotContainEntry("Status", "Dropped");
        String preview = visitor.get(base + "/group?dials=1&intentApart=NAVIGATIONAL&intentApart=LOCAL")
                .body();
        assertThat(preview).contains("A preview").contains("value=\"LOCAL\" checked");
        assertThat(visitor.get(base + "/group?dials=1&intentApart=NONE").body()).contains("There is no choice");
    }

    @ParameterizedTest
    @ValueSource(strings = {"=1+1", "   ", "a b c d e f g h i j k"})
    void whatCanBeNoNegativeIsRefused(String text) {
        visitor.post(base + "/negatives/add", form("negative", text, "type", "PHRASE", "in", ""));
        assertThat(visitor.get(base + "/plan.csv").body()).doesNotContain("Negative");
    }

    @Test
    void negativesOfTheCampaignAndOfAnAdGroupLeaveWithThePlan() {
        visitor.post(base + "/negatives/add", form("negative", "Jobs", "type", "BROAD", "in", ""));
        String plan = visitor.get(base + "/plan.csv").body();
        assertThat(plan).contains("Campaign 1,,jobs,Negative broad,");
        assertThat(visitor.get(base + "/plan.txt").body()).contains("jobs \u00B7 broad");
        String group = CsvReader.builder().ofCsvRecord(plan).stream()
                .skip(1)
                .filter(row -> row.getField(2).equals("honey jar"))
                .map(row -> row.getField(1))
                .findFirst()
                .orElseThrow();
        visitor.post(base + "/negatives/add", form("negative", "wooden", "type", "PHRASE", "in", group));
        assertThat(visitor.get(base + "/plan.csv").body()).contains("Campaign 1," + group + ",wooden,Negative phrase,");
        assertThat(visitor.post(base + "/negatives/add", form("negative", "oak", "type", "PHRASE", "in", "no such"))
                        .body())
                .contains("There is no ad group");
        visitor.post(base + "/negatives", form("text", "jobs", "say", "NOTHING"));
        assertThat(visitor.get(base + "/plan.csv").body()).doesNotContain("jobs,Negative");
        visitor.post(base + "/undo", Map.of());
        assertThat(visitor.get(base + "/plan.csv").body()).contains("jobs,Negative broad");
        assertThat(visitor.get(base + "/negatives/try?negative=" + "%3Cimg+src=x%3E" + "&type=PHRASE&in=%3Cb%3E")
                        .body())
                .doesNotContain("<img", "<b>\"");
    }

    @Test
    void aReportLeavesAsATableForReadingAndFormulasAreNeutralised() {
        String report =
                "search term,clicks,impressions,cost,conversions\nbee hive,120,1000,60.00,3\n=cmd|' /C calc'!A0,150,900,9.00,0\n"
                        + "-hives for sale,3,20,1.00,\n";
        visitor.upload(base + "/gather", Map.of("Search terms.csv", report.getBytes(StandardCharsets.UTF_8)));
        List<CsvRecord> rows = csv("/feedback.csv");
        assertThat(rows.getFirst().getFields())
                .containsExactly("Term", "Clicks", "Impressions", "Cost", "Conversions", "Hit", "Keyword", "Group");
        assertThat(rows).hasSizeGreaterThanOrEqualTo(3);
        assertThat(row("/feedback.csv", "bee hive"))
                .containsEntry("Cost", "60.00")
                .containsEntry("Conversions", "3")
                .containsEntry("Hit", "exact");
        assertThat(rows.stream().map(row -> row.getField(0)))
                .as("a spreadsheet must run none of them")
                .noneMatch(text -> text.matches("[=+@\\-].*"));
        assertThat(visitor.post(base + "/feedback", form("clicks", "1.000.000.000", "added", "true"))
                        .body())
                .contains("are 1 to 1,000,000");
        assertThat(visitor.post(base + "/feedback", form("clicks", "many", "added", "true"))
                        .body())
                .contains("is no number of clicks");
    }
}

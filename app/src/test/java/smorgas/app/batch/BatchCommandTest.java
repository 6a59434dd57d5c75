package smorgas.app.batch;

import static org.assertj.core.api.Assertions.assertThat;

import de.siegmar.fastcsv.reader.CsvRecord;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;
import smorgas.app.demo.DemoLists;
import smorgas.app.store.RecipeFile;
import smorgas.core.recipe.GroupEntry;
import smorgas.core.recipe.Rules;
import smorgas.core.recipe.SiftEntry;
import smorgas.core.recipe.sift.Condition;
import smorgas.core.recipe.sift.Rule;
import smorgas.core.recipe.sift.Status;
import tools.jackson.databind.JsonNode;

class BatchCommandTest extends BatchUnderTest {

    @Test
    void aBadFileIsToldOfAndTheOthersAreExported() throws IOException {
        Path good = file("good.csv", "keyword,searches\nbee hive,5\nbee hives stand,3\n");
        Path half = file("half.json", "[\"bee \\ud800 suit\",\"bee veil\"]");
        Path odd = file("odd.html", "<table><tr" + " a".repeat(2_000) + "><td>x</table>");
        Path deep = file("deep.json", "[".repeat(5_000));
        Path damaged = file("damaged.xlsx", "PK\u0003\u0004 and no more");
        assertThat(run("--in", good, "--in", half, "--in", odd, "--in", deep, "--in", damaged, "--out", out()))
                .isEqualTo(1);
        assertThat(summary().path("problems").toString()).contains("odd.html", "deep.json", "damaged.xlsx");
        assertThat(csv("keywords.csv"))
                .extracting(row -> row.getField(0))
                .contains("bee hive", "bee veil", "bee \uFFFD suit");
    }

    @Test
    void theDemoListsGoThroughAndEveryCountAddsUp() throws IOException {
        List<Object> arguments = new ArrayList<>();
        for (Map.Entry<String, byte[]> list : DemoLists.make().entrySet()) {
            arguments.add("--in");
            arguments.add(Files.write(folder.resolve(list.getKey()), list.getValue()));
        }
        arguments.add("--out");
        arguments.add(out());

        assertThat(run(arguments.toArray())).isZero();

        JsonNode summary = summary();
        List<CsvRecord> keywords = csv("keywords.csv");
        List<CsvRecord> groups = csv("groups.csv");
        assertThat(summary.at("/lines/total").intValue()).isBetween(11_000, 13_000);
        assertThat(keywords).hasSize(summary.path("keywords").intValue() + 1);
        assertThat(groups).hasSize(summary.path("groups").intValue() + 1);
        assertThat(keywords.getFirst().getFields())
                .startsWith(
                        "keyword", "status", "reason", "group", "tightness", "spellings", "searches", "cpc", "baskets")
                .contains("low bid", "position", "intent")
                .doesNotHaveDuplicates();
        assertThat(summary.path("grouped").intValue()
                        + summary.path("ungrouped").intValue())
                .isEqualTo(summary.path("kept").intValue()
                        + summary.path("undecided").intValue());
        assertThat(Files.readString(out().resolve("summary.json")).strip())
                .isEqualTo(printed.toString(StandardCharsets.UTF_8).strip());

        Map<String, Integer> members = new HashMap<>();
        Set<String> distinct = new HashSet<>();
        for (CsvRecord row : keywords.subList(1, keywords.size())) {
            assertThat(distinct.add(row.getField(0))).as(row.getField(0)).isTrue();
            if (!row.getField(3).isEmpty()) {
                members.merge(row.getField(3), 1, Integer::sum);
                assertThat(Double.parseDouble(row.getField(4))).isBetween(0.0, 1.0);
            }
        }
        for (CsvRecord row : groups.subList(1, groups.size())) {
            assertThat(members.get(row.getField(0))).isEqualTo(Integer.parseInt(row.getField(2)));
        }
        // Exact and phrase by default: two rows for each keyword exported.
        assertThat(csv("plan.csv").stream().skip(1).map(row -> row.getField(3)).distinct())
                .containsExactlyInAnyOrder("Phrase", "Exact");
    }

    @Test
    void aRecipeOfTheApplicationIsFollowed() throws IOException {
        Path list = file(
                "list.csv",
                "keyword,searches,cpc\nhive stand,1K - 10K,0.5\nfree hive,10,\nhive lid,5,\n"
                        + "hive roof,,\n\"Hive  stand\",90,0.75\n");
        Path recipe = file(
                "recipe.json",
                RecipeFile.of(
                                Rules.NEWEST,
                                "en",
                                List.of(
                                        new GroupEntry.GroupSettingsChosen(
                                                Rules.NEWEST.settings().byThemes("en")),
                                        new SiftEntry.RuleAdded(
                                                new Rule(1, new Condition.HasWord("free"), Status.DROPPED))))
                        .json());

        assertThat(run("--in", list, "--recipe", recipe, "--out", out())).isZero();

        List<CsvRecord> keywords = csv("keywords.csv");
        assertThat(keywords.get(0).getFields())
                .containsExactly(
                        "keyword",
                        "status",
                        "reason",
                        "group",
                        "tightness",
                        "spellings",
                        "searches",
                        "cpc",
                        "baskets",
                        "intent");
        assertThat(keywords.get(1).getFields())
                .containsExactly(
                        "hive stand",
                        "Undecided",
                        "not judged yet",
                        "hive",
                        keywords.get(1).getField(4),
                        "hive stand | Hive  stand",
                        "1000-10000",
                        "0.75",
                        "list.csv",
                        "commercial");
        assertThat(keywords.get(2).getFields().subList(0, 4))
                .containsExactly("free hive", "Dropped", "rule 1: Drop keywords with the word \"free\"", "");
        assertThat(csv("plan.csv").getLast().getFields())
                .containsExactly("Campaign 1", "", "free", "Negative phrase", "");
        assertThat(summary().path("dropped").intValue()).isEqualTo(1);
    }

    @Test
    void aFileThatCannotBeReadCostsOnlyItself() throws IOException {
        Path good = file("good.txt", "bee hive\n");
        Path again = Files.createDirectories(folder.resolve("more")).resolve("good.txt");
        Files.writeString(again, "bee suit\n");

        assertThat(run("--in", good, "--in", folder.resolve("missing.csv"), "--in", again, "--out", out()))
                .isEqualTo(1);

        assertThat(summary().at("/lines/total").intValue()).isEqualTo(2);
        assertThat(summary().at("/lines/files").propertyNames())
                .containsExactly("good.txt", "missing.csv", "good.txt (2)");
        assertThat(summary().path("problems").get(0).stringValue()).startsWith("missing.csv: The file cannot be read");
    }

    @Test
    void groupsFormByThemesWhereThatIsAskedForWhateverTheRecipeSays() throws IOException {
        Path list = file(
                "list.csv",
                "keyword,searches\noak hive stand,90\npine hive stand,80\nhive stand kit,70\nbee smoker,60\nbee smokers small,5\n");
        String similarity = RecipeFile.of(Rules.NEWEST, "en", List.of()).json();
        String themes = RecipeFile.of(
                        Rules.NEWEST,
                        "en",
                        List.of(new GroupEntry.GroupSettingsChosen(
                                Rules.NEWEST.settings().byThemes("en"))))
                .json();
        Path asked = folder.resolve("asked");
        Path told = folder.resolve("told");
        assertThat(run("--in", list, "--recipe", file("a.json", similarity), "--by", "themes", "--out", asked))
                .isZero();
        assertThat(run("--in", list, "--recipe", file("b.json", themes), "--out", told))
                .isZero();
        assertThat(run("--in", list, "--recipe", file("a.json", similarity), "--out", out()))
                .isZero();
        assertThat(asked.resolve("groups.csv")).hasSameTextualContentAs(told.resolve("groups.csv"));
        assertThat(Files.readString(asked.resolve("groups.csv")))
                .isNotEqualTo(Files.readString(out().resolve("groups.csv")));
        assertThat(run("--in", list, "--by", "moonlight", "--out", out())).isEqualTo(2);
    }

    @Test
    void wrongUseIsTwo() throws IOException {
        Path list = file("list.txt", "bee hive\n");
        assertThat(run("--out", out())).isEqualTo(2);
        assertThat(run("--in", list)).isEqualTo(2);
        assertThat(run("--in", list, "--recipe", file("r.json", "{\"recipe\": 9}"), "--out", out()))
                .isEqualTo(2);
        assertThat(run("--in", list, "--out", file("a-file", ""))).isEqualTo(2);
        assertThat(printed.size()).isZero();
    }

    @Test
    void whatIsAssumedAndWhatReportsTellIsWrittenToo() throws IOException {
        Path list = file(
                "list.csv", "keyword,searches,cpc\nbee hive,18100,0.5\nbee hive kit,100,0.5\nbee hive stand,200,\n");
        Path report =
                file("search terms.csv", "search term,clicks,impressions,cost,conversions\nbee hive,20,200,9.50,1\n");
        Path recipe = file("recipe.json", ours("""
                {"recipe": 1, "language": "en", "entries": [
                  {"kind": "assumptions", "format": 1, "body": {"tag": "", "group": "", "assumptions": {"figures": {
                    "CLICK_SHARE": {"low": 3000, "high": 3000}, "CONVERSION_RATE": {"low": 500, "high": 500},
                    "VALUE": {"low": 200000000, "high": 200000000}}, "cost": "CPC_OR_BIDS"}}},
                  {"kind": "priority", "format": 1, "body": {"settings": {"weights": {"SEARCHES": 10}, "intents": {},
                    "words": {}, "classes": [{"name": "top", "share": 40}, {"name": "rest", "share": 60}]}}},
                  {"kind": "negatives-said", "format": 1, "body": {"negatives": [
                    {"text": "jobs", "group": "", "say": "EXACT"}]}}]}
                """));
        assertThat(run("--in", list, "--in", report, "--out", out(), "--recipe", recipe))
                .isZero();
        List<CsvRecord> keywords = csv("keywords.csv");
        int estimatedValue = keywords.getFirst().getFields().indexOf("estimated value");
        int priority = keywords.getFirst().getFields().indexOf("priority");
        CsvRecord hive = keywords.stream()
                .filter(row -> row.getField(0).equals("bee hive"))
                .findFirst()
                .orElseThrow();
        assertThat(hive.getField(estimatedValue)).isEqualTo("54300");
        assertThat(hive.getField(priority)).isEqualTo("top");
        assertThat(csv("groups.csv").getFirst().getFields()).endsWith("estimated value");
        assertThat(csv("feedback.csv")).hasSize(2).last().satisfies(row -> assertThat(row.getField(3))
                .isEqualTo("9.50"));
        assertThat(Files.readString(out().resolve("plan.csv"))).contains(",,jobs,Negative exact,");
    }

    @Test
    void thePlanLeavesInTheFormatsAskedForToo() throws IOException {
        Path list = file("list.csv", "keyword,searches\nbee hive,18100\nbee hive kit,100\nbee hive stand,200\n");
        assertThat(run("--in", list, "--out", out(), "--format", "plan.doc")).isEqualTo(2);
        assertThat(run(
                        "--in",
                        list,
                        "--out",
                        out(),
                        "--format",
                        "plan.xlsx,plan.json",
                        "--format",
                        "plan-report.html",
                        "--project",
                        "Shop",
                        "--currency",
                        "EUR",
                        "--layout",
                        file("desk.json", LAYOUT)))
                .isZero();
        assertThat(Files.readString(out().resolve("layout-desk.tsv")).lines().toList())
                .startsWith("Term\tShop");
        assertThat(run("--in", list, "--out", out(), "--layout", file("no.json", "{}")))
                .isEqualTo(2);
        assertThat(Files.readString(out().resolve("plan.json"))).contains("\"project\":\"Shop\",\"currency\":\"EUR\"");
        assertThat(Files.readString(out().resolve("plan-report.html"))).contains("<h1>Shop</h1>");
        assertThat(out().resolve("plan.xlsx")).exists();
        assertThat(out().resolve("plan.tsv")).doesNotExist();
    }

    /** The example of docs/layouts.md, but for what is in it. */
    private static final String LAYOUT = """
            {"name": "Desk", "between": "TAB", "rows": ["KEYWORD"],
             "words": {"signs": false, "broad": "b", "phrase": "p", "exact": "e", "negative": "{type}"},
             "insertion": "{KeyWord:{default}}", "enabled": "on",
             "columns": [{"heading": "Term", "field": "KEYWORD", "number": 0, "text": ""},
                         {"heading": "Shop", "field": "TEXT", "number": 0, "text": "one"}]}
            """;
}

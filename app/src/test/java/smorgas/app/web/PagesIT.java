package smorgas.app.web;

import static org.assertj.core.api.Assertions.assertThat;

import de.siegmar.fastcsv.reader.CsvReader;
import de.siegmar.fastcsv.reader.CsvRecord;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** The pages over plain HTTP: who is answered, what is refused, and that nothing typed or uploaded is run. */
class PagesIT {

    private static final List<String> VIEWS = List.of(
            "gather",
            "compare?left=status:UNDECIDED&right=plan",
            "fold",
            "sift",
            "group",
            "sift?assume=all",
            "serve",
            "negatives",
            "feedback",
            "history",
            "keys",
            "sift?offer=bee&story=bee+hive");

    /** Text that would run, close, or break something if it went anywhere unescaped. */
    private static final String HOSTILE = "<img src=x onerror=alert(1)> \"'&amp;";

    private final Running server = Running.shared();
    private final Visitor visitor = new Visitor(server);

    private static byte[] bytes(String text) {
        return text.getBytes(StandardCharsets.UTF_8);
    }

    private long gathered(String list) {
        long id = visitor.project("Client");
        HttpResponse<String> page = visitor.upload("/projects/" + id + "/gather", Map.of("list.csv", bytes(list)));
        assertThat(page.statusCode()).isEqualTo(200);
        return id;
    }

    private static List<List<String>> csv(String text) {
        return CsvReader.builder().ofCsvRecord(text).stream()
                .map(CsvRecord::getFields)
                .toList();
    }

    @Test
    void anActFromElsewhereOrWithoutTheTokenIsRefusedAndChangesNothing() {
        Map<String, String> fields = Map.of("name", "Intruder", "language", "en", "market", "", "currency", "GBP");
        assertThat(new Visitor(server).post("/projects", fields).statusCode()).isEqualTo(403);
        visitor.get("/projects");
        assertThat(visitor.post("/projects", fields, "Origin", "http://elsewhere.example")
                        .statusCode())
                .isEqualTo(403);
        assertThat(visitor.post("/projects", fields, "Sec-Fetch-Site", "cross-site")
                        .statusCode())
                .isEqualTo(403);
        assertThat(visitor.get("/projects").body()).doesNotContain("Intruder");
    }

    @Test
    void noPageHasScriptOrStyleWithinItAndEachForbidsThem() {
        for (String view : VIEWS) {
            HttpResponse<String> page = visitor.get("/projects/1/" + view);
            assertThat(page.statusCode()).as(view).isEqualTo(200);
            assertThat(page.headers().firstValue("Content-Security-Policy").orElseThrow())
                    .contains("default-src 'none'", "script-src 'self';", "style-src 'self';")
                    .doesNotContain("unsafe");
            assertThat(page.body())
                    .as(view)
                    .doesNotContainPattern("<script(?![^>]*\\ssrc=)")
                    .doesNotContainPattern("<style")
                    .doesNotContainPattern("<[a-z][^>]*\\sstyle=")
                    .doesNotContainPattern("<[a-z][^>]*\\son[a-z]+=")
                    // Nothing is fetched from anywhere else.
                    .doesNotContainPattern("(src|href)=\"(https?:)?//");
        }
    }

    @Test
    void hostileTextsAreShownAsTextOnEveryPage() {
        long id = visitor.project(HOSTILE);
        String list = "keyword,searches\n\"" + HOSTILE.replace("\"", "\"\"") + "\",<b>\n"
                + "hive stand,10\nhive lid,5\n" + "hive roof,6\n";
        visitor.upload("/projects/" + id + "/gather", Map.of(HOSTILE, bytes(list)));
        visitor.post("/projects/" + id + "/rules/word", Map.of("ruleWord", HOSTILE, "to", "DROPPED"));
        for (String view : VIEWS) {
            String page = visitor.get("/projects/" + id + "/" + view).body();
            assertThat(page).as(view).contains("&lt;img src=x onerror=alert(1)&gt;");
            assertThat(page).as(view).doesNotContain("<img", "<b>\n");
        }
    }

    @Test
    void aFileThatIsTooLargeIsExplainedWithTheSettingThatBoundsIt() {
        long id = visitor.project("Client");
        HttpResponse<String> page =
                visitor.upload("/projects/" + id + "/gather", Map.of("large.csv", new byte[3 * 1024 * 1024]));
        assertThat(page.statusCode()).isEqualTo(413);
        assertThat(page.body()).contains(Running.LARGEST, "max-file-size");
    }

    @Test
    void aDropOfGoodAndBadFilesTakesTheGoodAndTellsOfTheBad() {
        long id = visitor.project("Client");
        Map<String, byte[]> files = new LinkedHashMap<>();
        files.put("empty.csv", new byte[0]);
        files.put("noise.bin", new byte[] {1, 0, 0, 7, 0, 9, 9, 0});
        files.put("good.txt", bytes("bee hive\nbee suit\n"));
        files.put("good (1).txt", bytes("bee hive\n"));

        String page = visitor.upload("/projects/" + id + "/gather", files).body();

        assertThat(page).contains("empty.csv: The file is empty", "noise.bin: This is not text", "2 keywords");
        // The first keyword of the second list was there already.
        assertThat(page).contains("3 lines");
    }

    @Test
    void tablesForReadingAreNeutralisedAndThePlanHoldsFormulasBack() {
        long id = gathered("keyword,searches\n=1+1 hive,500\nhive stand,400\nhive lid,300\nhive roof,200\n");
        byThemes(id);

        List<List<String>> table =
                csv(visitor.get("/projects/" + id + "/sift.csv").body());
        assertThat(table.get(1).getFirst()).isEqualTo("'=1+1 hive");

        List<List<String>> plan =
                csv(visitor.get("/projects/" + id + "/plan.csv").body());
        assertThat(plan.getFirst()).containsExactly("Campaign", "Ad group", "Keyword", "Match type", "Max CPC");
        assertThat(plan.stream().skip(1).map(row -> row.get(1) + "|" + row.get(2) + "|" + row.get(3)))
                .containsExactly(
                        "hive|hive stand|Phrase",
                        "hive|hive stand|Exact",
                        "hive|hive lid|Phrase",
                        "hive|hive lid|Exact",
                        "hive|hive roof|Phrase",
                        "hive|hive roof|Exact");
        assertThat(visitor.get("/projects/" + id + "/serve").body()).contains("begins with =");
    }

    @Test
    void twoTabsThatTouchOtherThingsBothActAndThoseThatMeetDoNotOverwrite() {
        long id = gathered("keyword\nbee hive\nbee suit\n");
        String judge = "/projects/" + id + "/judge/row";
        String seen = String.valueOf(visitor.version());
        visitor.post(judge, Map.of("keyword", "bee hive", "to", "KEPT", "row", "0"));

        visitor.post(judge, Map.of("keyword", "bee suit", "to", "DROPPED", "row", "1", "version", seen));
        String refused = visitor.post(
                        judge, Map.of("keyword", "bee hive", "to", "DROPPED", "row", "0", "version", seen))
                .body();

        assertThat(refused).contains("changed in another window");
        List<List<String>> table =
                csv(visitor.get("/projects/" + id + "/sift.csv").body());
        assertThat(table.stream().skip(1).map(row -> row.get(0) + " " + row.get(1)))
                .containsExactlyInAnyOrder("bee hive Kept", "bee suit Dropped");
    }

    @Test
    void anActThatChangesNothingIsNotInTheHistory() {
        long id = gathered("keyword\nbee hive\n");
        Map<String, String> fields = Map.of("keyword", "bee hive", "to", "KEPT", "row", "0");
        visitor.post("/projects/" + id + "/judge/row", fields);
        long before = visitor.version();
        assertThat(visitor.post("/projects/" + id + "/judge/row", fields).body())
                .contains("Nothing to change");
        assertThat(visitor.version()).isEqualTo(before);
    }

    @Test
    void aRuleHoldsForAListGatheredLaterAndUndoTakesItBack() {
        long id = gathered("keyword\nfree hive plans\nbee suit\n");
        visitor.post("/projects/" + id + "/rules/word", Map.of("ruleWord", "Free", "to", "DROPPED"));
        visitor.upload("/projects/" + id + "/gather", Map.of("later.txt", bytes("free smoker\n")));
        assertThat(dropped(id)).containsExactlyInAnyOrder("free hive plans", "free smoker");

        visitor.get("/projects/" + id + "/sift");
        visitor.post("/projects/" + id + "/undo", Map.of());
        visitor.post("/projects/" + id + "/undo", Map.of());
        assertThat(dropped(id)).isEmpty();
        visitor.post("/projects/" + id + "/redo", Map.of());
        assertThat(dropped(id)).containsExactly("free hive plans");
    }

    private HttpResponse<String> take(long id, String recipe, String version) {
        return visitor.upload(
                "/projects/" + id + "/recipe",
                "recipe",
                Map.of("last month.json", bytes(recipe)),
                Map.of("version", version));
    }

    @Test
    void nextMonthsProjectBeginsWithTheRecipeOfThisMonths() {
        long id = gathered("keyword\nfree hive plans\nbee suit\n");
        visitor.post("/projects/" + id + "/rules/word", Map.of("ruleWord", "Free", "to", "DROPPED"));
        visitor.post("/projects/" + id + "/judge/row", Map.of("keyword", "bee suit", "to", "DROPPED", "row", "0"));
        String recipe = visitor.get("/projects/" + id + "/recipe.json").body();

        long next = visitor.project("Next month", recipe);
        visitor.upload(
                "/projects/" + next + "/gather",
                Map.of("list.csv", bytes("keyword\nfree smoker\nBee Suits\nhoney jar\n")));
        // What was said of a spelling holds for what it would be folded into.
        assertThat(dropped(next)).containsExactlyInAnyOrder("free smoker", "bee suits");
        assertThat(visitor.get("/projects/" + next + "/recipe.json").body()).isEqualTo(recipe);
    }

    @Test
    void anEmptyNumberAmongOthersIsNoNumber() {
        long from = gathered("keyword\nfree hive plans\n");
        visitor.post("/projects/" + from + "/rules/word", Map.of("ruleWord", "free", "to", "DROPPED"));
        long to = gathered("keyword\nfree bee suit, large\nhive\n");
        visitor.get("/projects/" + from + "/history");
        assertThat(visitor.post("/projects/" + from + "/recipe/give?project=", Map.of("project", String.valueOf(to)))
                        .statusCode())
                .isEqualTo(200);
        assertThat(dropped(to)).hasSize(1);
        assertThat(visitor.get("/projects/" + to + "/comma/result?on=&on=0&on=99")
                        .statusCode())
                .isEqualTo(200);
    }

    @Test
    void aRecipeTakesThePlaceOfAllDecisionsAndUndoBringsThemBack() {
        long id = gathered("keyword\nfree hive plans\nbee suit\n");
        String nothing = visitor.get("/projects/" + id + "/recipe.json").body();
        visitor.post("/projects/" + id + "/rules/word", Map.of("ruleWord", "Free", "to", "DROPPED"));
        String seen = String.valueOf(visitor.version());

        assertThat(take(id, nothing, seen).body()).contains("Took the recipe last month.json");
        assertThat(dropped(id)).isEmpty();
        visitor.get("/projects/" + id + "/history");
        visitor.post("/projects/" + id + "/undo", Map.of());
        assertThat(dropped(id)).containsExactly("free hive plans");

        // A page that is older than what was decided meanwhile, another language, and what is no recipe.
        assertThat(take(id, nothing, seen).body()).contains("changed in another window");
        String now = String.valueOf(visitor.version());
        assertThat(take(id, nothing.replace("\"language\" : \"en\"", "\"language\" : \"de\""), now)
                        .body())
                .contains("last month.json is a recipe for German keywords");
        assertThat(take(id, nothing.replace("fold-kind", "fold-boom"), now).body())
                .contains("last month.json: Entry 1: The kind &quot;fold-boom&quot;");
        assertThat(dropped(id)).containsExactly("free hive plans");
    }

    @Test
    void theTableIsSortedByWhatActsChangeAndByAnyColumnOfTheLists() {
        long id = gathered(
                "keyword,searches,\"Notes, ours\"\nhive lid,10,9\nhive roof,20,10\nhive stand,30,\nbee suit,40,x\n");
        byThemes(id);
        visitor.post("/projects/" + id + "/tag", Map.of("keyword", "hive roof", "newTag", "a", "scope", "row"));
        visitor.post("/projects/" + id + "/tag", Map.of("keyword", "bee suit", "newTag", "b", "scope", "row"));
        String note = java.net.URLEncoder.encode(
                java.net.URLEncoder.encode("other:Notes, ours", StandardCharsets.UTF_8), StandardCharsets.UTF_8);
        // Without a tag, a note or a group last in both directions; numbers as numbers, before other texts.
        assertThat(sorted(id, "tags")).containsExactly("hive roof", "bee suit", "hive stand", "hive lid");
        assertThat(sorted(id, "-tags")).containsExactly("bee suit", "hive roof", "hive stand", "hive lid");
        assertThat(sorted(id, note)).containsExactly("hive lid", "hive roof", "bee suit", "hive stand");
        assertThat(sorted(id, "-" + note)).containsExactly("bee suit", "hive roof", "hive lid", "hive stand");
        assertThat(sorted(id, "group,-characters")).containsExactly("hive stand", "hive roof", "hive lid", "bee suit");
        assertThat(sorted(id, "words,-tags,searches"))
                .containsExactly("bee suit", "hive roof", "hive lid", "hive stand");
    }

    private List<String> sorted(long id, String sort) {
        return csv(visitor.get("/projects/" + id + "/sift.csv?sort=" + sort).body()).stream()
                .skip(1)
                .map(List::getFirst)
                .toList();
    }

    private List<String> dropped(long id) {
        return csv(visitor.get("/projects/" + id + "/sift.csv?status=dropped").body()).stream()
                .skip(1)
                .map(List::getFirst)
                .toList();
    }

    @Test
    void allThatMatchBecomesOneDecisionOrARule() {
        long id = gathered("keyword,searches\nhive stand,500\nhive lid,5\nbee suit,700\n");
        visitor.get("/projects/" + id + "/sift");
        visitor.post("/projects/" + id + "/judge/view", Map.of("q", "hive", "to", "DROPPED"));
        assertThat(dropped(id)).containsExactly("hive stand", "hive lid");
        visitor.post("/projects/" + id + "/rules/view", Map.of("q", "", "least", "600", "to", "DROPPED"));
        assertThat(dropped(id)).containsExactly("bee suit", "hive stand", "hive lid");
        assertThat(visitor.get("/projects/" + id + "/history").body())
                .contains("Dropped 2 keywords", "Drop keywords with 600 searches and more");
    }

    @Test
    void theTrayOfOneTabIsNotThatOfAnother() {
        long id = gathered("keyword\nbee hive\nbee suit\n");
        String pick = "/projects/" + id + "/tray/pick";
        assertThat(visitor.post(pick, Map.of("keyword", "bee hive"), "X-Tab", "a")
                        .body())
                .contains("1 keyword");
        assertThat(visitor.get("/projects/" + id + "/tray", "X-Tab", "b").body())
                .doesNotContain("picked");
        visitor.post("/projects/" + id + "/judge/tray", Map.of("to", "DROPPED"), "X-Tab", "a");
        assertThat(dropped(id)).containsExactly("bee hive");
        assertThat(visitor.get("/projects/" + id + "/tray", "X-Tab", "a").body())
                .doesNotContain("picked");
    }

    @Test
    void dialsAndChoicesThatCannotBeMeantAreRefusedInWords() {
        long id = gathered("keyword\nbee hive\n");
        assertThat(visitor.get("/projects/" + id + "/group?method=themes&smallest=0")
                        .body())
                .contains("1 to 10,000");
        assertThat(visitor.get("/projects/" + id + "/group?method=themes&shortest=4&longest=2")
                        .body())
                .contains("1 to 5 words");
        for (String wrong : List.of("ungroupedAre=EATEN", "dials=1&at=NOWHERE")) {
            assertThat(visitor.get("/projects/" + id + "/group?method=themes&" + wrong)
                            .body())
                    .contains("There is no choice");
        }
        for (String wrong :
                List.of("rankKeywords=0", "largest=2", "about=-1", "tightness=120", "smallest=%3Cscript%3E")) {
            assertThat(visitor.get("/projects/" + id + "/group?method=themes&" + wrong)
                            .body())
                    .containsAnyOf("must be above 0", "at least twice", "no whole number", "0 to 1")
                    .doesNotContain("<script>");
        }
        assertThat(visitor.post(
                                "/projects/" + id + "/serve",
                                Map.of("campaign", "C", "pattern", "{theme}", "bid", "much", "matchTypes", "EXACT"))
                        .body())
                .contains("is no bid");
        assertThat(visitor.get("/projects/" + id + "/serve?x=" + "y".repeat(3000))
                        .statusCode())
                .isEqualTo(200);
        assertThat(visitor.get("/projects/nonsense/sift").statusCode()).isEqualTo(400);
        assertThat(visitor.get("/projects/999999/sift").statusCode()).isEqualTo(404);
        assertThat(visitor.get("/no/such/page").statusCode()).isEqualTo(404);
    }

    @Test
    void aProjectIsCopiedBinnedTakenBackAndReallyDeleted() {
        long id = gathered("keyword\nbee hive\n");
        visitor.post("/projects/" + id + "/rename", Map.of("name", "Renamed & kept"));
        assertThat(visitor.post("/projects/" + id + "/copy", Map.of()).body()).contains("Renamed &amp; kept (copy)");
        visitor.post("/projects/" + id + "/bin", Map.of());
        assertThat(visitor.get("/projects/" + id + "/sift").statusCode()).isEqualTo(404);
        visitor.post("/projects/" + id + "/restore", Map.of());
        assertThat(visitor.get("/projects/" + id + "/sift").statusCode()).isEqualTo(200);
        visitor.post("/projects/" + id + "/bin", Map.of());
        assertThat(visitor.get("/projects/bin").body()).contains("really deletes", "Renamed &amp; kept");
        visitor.post("/projects/bin/empty", Map.of());
        assertThat(visitor.post("/projects/" + id + "/restore", Map.of()).body())
                .doesNotContain("kept</a>");
        assertThat(visitor.get("/projects/" + id + "/sift").statusCode()).isEqualTo(404);
    }

    /** New projects are grouped by similarity; these lists of four keywords are told by their themes. */
    private void byThemes(long id) {
        visitor.get("/projects/" + id + "/group");
        visitor.post("/projects/" + id + "/group?method=themes", Map.of());
    }
}

package smorgas.core.serve;

import static org.assertj.core.api.Assertions.assertThat;

import com.networknt.schema.InputFormat;
import com.networknt.schema.JsonSchema;
import com.networknt.schema.JsonSchemaFactory;
import com.networknt.schema.SpecVersion;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import org.apache.poi.ss.usermodel.Cell;
import org.apache.poi.ss.usermodel.CellType;
import org.apache.poi.ss.usermodel.DataFormatter;
import org.apache.poi.ss.usermodel.Row;
import org.apache.poi.ss.usermodel.Sheet;
import org.apache.poi.xssf.usermodel.XSSFSheet;
import org.apache.poi.xssf.usermodel.XSSFWorkbook;
import org.apache.xmlbeans.XmlError;
import org.apache.xmlbeans.XmlOptions;
import org.junit.jupiter.api.Test;
import smorgas.core.board.Board;
import smorgas.core.gather.TestLists;
import smorgas.core.recipe.Entry;
import smorgas.core.recipe.GroupDecision;
import smorgas.core.recipe.Recipe;
import smorgas.core.recipe.Rules;
import smorgas.core.recipe.ServeEntry;
import smorgas.core.recipe.SiftEntry;
import smorgas.core.recipe.serve.PlanBids;
import smorgas.core.recipe.sift.Condition;
import smorgas.core.recipe.sift.Rule;
import smorgas.core.recipe.sift.Status;

/** What leaves, read back by other libraries than wrote it. */
class PlanFormatsTest {

    private static final List<Entry> ENTRIES = List.of(
            new GroupDecision.KeywordsPlaced(
                    List.of("hive stand", "hive lid", "hive καπάκι", "=1+1 hive"), List.of(), "hives"),
            new SiftEntry.RuleAdded(new Rule(1, new Condition.HasWord("free"), Status.DROPPED)),
            new ServeEntry.PlanSettingsChosen(Rules.NEWEST.settings().plan().with(PlanBids.fixed(450_000))));

    private static Board board() {
        String list = "keyword,searches,ad group,match type,final url,headline 1,headline 2,description\n"
                + "hive stand,1000,H,Exact,https://shop.example/hives,Hives,\"All \"\"sizes\"\"\",Cedar\nhive lid,,H,Exact,,,,\nhive καπάκι,20,H,Exact,,,,\n"
                + "free hive,30,H,Exact,,,,\n=1+1 hive,5,H,Exact,,,,\n";
        return Board.of(List.of(TestLists.lines(1, list)), Recipe.of(ENTRIES, "en"));
    }

    @Test
    void theWorkbookIsReadBackByAnotherLibraryAndIsValid() throws IOException {
        Board board = board();
        try (XSSFWorkbook book = new XSSFWorkbook(new ByteArrayInputStream(TestPlan.bytes(board, "plan.xlsx")))) {
            List<String> names = new ArrayList<>();
            book.forEach(sheet -> names.add(sheet.getSheetName()));
            assertThat(names)
                    .containsExactly(
                            "Summary", "Campaigns", "Ad groups", "Keywords", "Negatives", "Ads", "Dropped and why");
            List<List<String>> keywords = cells(book.getSheet("Keywords"));
            assertThat(keywords.getFirst()).startsWith("Campaign", "Ad group", "Keyword", "Match type");
            assertThat(keywords.subList(1, keywords.size()).stream().map(row -> row.subList(0, 4)))
                    .containsExactlyElementsOf(board.plan()
                            .rows()
                            .map(row -> List.of(
                                    row.campaign(),
                                    row.adGroup(),
                                    row.keyword(),
                                    row.matchType().fixedName()))
                            .toList());
            assertThat(keywords).anyMatch(row -> row.contains("hive καπάκι"));
            assertThat(cells(book.getSheet("Dropped and why")).toString())
                    .contains("free hive", "=1+1 hive", "not exported");
            for (Sheet sheet : book) {
                assertThat(sheet.getPaneInformation().isFreezePane()).isTrue();
                for (Row row : sheet) {
                    for (Cell cell : row) {
                        assertThat(cell.getCellType()).isNotEqualTo(CellType.FORMULA);
                    }
                }
                List<XmlError> errors = new ArrayList<>();
                boolean valid =
                        ((XSSFSheet) sheet).getCTWorksheet().validate(new XmlOptions().setErrorListener(errors));
                assertThat(valid).as("%s %s", sheet.getSheetName(), errors).isTrue();
            }
        }
    }

    private static List<List<String>> cells(Sheet sheet) {
        DataFormatter formatter = new DataFormatter();
        List<List<String>> rows = new ArrayList<>();
        for (Row row : sheet) {
            List<String> cells = new ArrayList<>();
            row.forEach(cell -> cells.add(formatter.formatCellValue(cell)));
            rows.add(cells);
        }
        return rows;
    }

    @Test
    void theJsonFollowsTheSchemaThatIsPublished() {
        JsonSchema schema = JsonSchemaFactory.getInstance(SpecVersion.VersionFlag.V202012)
                .getSchema(Objects.requireNonNull(PlanFormat.class.getResourceAsStream("plan.schema.json")));
        String json = TestPlan.written(board(), "plan.json");
        assertThat(schema.validate(json, InputFormat.JSON)).isEmpty();
        assertThat(json).contains("\"project\":\"Shop, spring\"", "\"bidMicros\":450000", "\"All \\\"sizes\\\"\"");
        assertThat(schema.validate(json.replace("\"EXACT\"", "\"NEAR\""), InputFormat.JSON))
                .as("a schema that takes anything would hold nothing")
                .isNotEmpty();
    }

    @Test
    void signsAndTabsAreAsPlatformsShareThem() {
        Board board = board();
        assertThat(TestPlan.written(board, "plan-signs.csv"))
                .contains(
                        ",\"\"\"hive lid\"\"\",Keyword,0.45,",
                        ",[hive lid],Keyword,0.45,",
                        ",\"\"\"free\"\"\",Negative keyword,,\r\n");
        assertThat(TestPlan.written(board, "plan.tsv").lines().findFirst())
                .contains("Campaign\tAd group\tKeyword\tMatch type\tMax CPC\tFinal URL");
        assertThat(TestPlan.written(board, "plan-negatives.csv"))
                .isEqualTo("Campaign,Ad group,Keyword,Match type\r\nCampaign 1,,free,Negative phrase\r\n");
        assertThat(TestPlan.written(board, "plan-ad-groups.csv"))
                .isEqualTo("Campaign,Ad group,Status,Max CPC,Final URL\r\n"
                        + "Campaign 1,hives,Enabled,0.45,https://shop.example/hives\r\n");
        assertThat(PlanFormats.ALL).extracting(PlanFormat::file).doesNotHaveDuplicates();
        assertThat(PlanFormats.find("plan.doc")).isEmpty();
    }
}

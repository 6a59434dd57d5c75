package smorgas.core.serve;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Element;
import org.junit.jupiter.api.Test;
import smorgas.core.board.Board;
import smorgas.core.gather.TestLists;
import smorgas.core.recipe.Assumed;
import smorgas.core.recipe.Assumptions;
import smorgas.core.recipe.Condition;
import smorgas.core.recipe.CostBy;
import smorgas.core.recipe.Entry;
import smorgas.core.recipe.GroupPin;
import smorgas.core.recipe.PlanPages;
import smorgas.core.recipe.PlanSettings;
import smorgas.core.recipe.Recipe;
import smorgas.core.recipe.Rule;
import smorgas.core.recipe.ServeEntry;
import smorgas.core.recipe.SiftEntry;
import smorgas.core.recipe.Span;
import smorgas.core.recipe.Standing;
import smorgas.core.recipe.ValueEntry;

/** The report and the plan of pages, read back. */
class ReportTest {

    private static final String HOSTILE = "<img src=x onerror=alert(1)>|*x*";

    private static Board board() {
        String list =
                "keyword,searches\nbee hive,18100\nbuy bee hive,300\nhow to paint a bee hive,200\nκυψέλη,90\nулей,70\n"
                        + "free hive,30\n";
        List<Entry> entries = List.of(
                new SiftEntry.RuleAdded(new Rule(1, new Condition.HasWord("free"), Standing.DROPPED)),
                new GroupPin.KeywordsPlaced(
                        List.of("bee hive", "buy bee hive", "how to paint a bee hive"), List.of(), "bee hives"),
                new GroupPin.KeywordsPlaced(List.of("κυψέλη", "улей"), List.of(), "abroad"),
                new GroupPin.GroupNamed("abroad", HOSTILE),
                new ValueEntry.AssumptionsSet(
                        "",
                        "",
                        new Assumptions(
                                Map.of(
                                        Assumed.CLICK_SHARE, Span.of(3_000),
                                        Assumed.CONVERSION_RATE, Span.of(500),
                                        Assumed.CUSTOMER_SHARE, Span.of(1_000),
                                        Assumed.VALUE, Span.of(2_000_000_000L)),
                                CostBy.NOTHING)),
                new ServeEntry.PlanSettingsChosen(
                        PlanSettings.standard().with(new PlanPages(true, false, "https://shop.example/{theme}"))));
        return Board.of(List.of(TestLists.lines(1, list)), Recipe.of(entries, "en"));
    }

    @Test
    void theReportTellsWhatWasDoneAndIsOneFile() {
        String html = TestPlan.written(board(), "plan-report.html");
        org.jsoup.nodes.Document page = Jsoup.parse(html);
        assertThat(page.title()).isEqualTo("Shop, spring");
        assertThat(page.select("h2").eachText())
                .containsExactly(
                        "What was gathered and folded",
                        "What was dropped and why",
                        "Groups",
                        "The ad plan",
                        "What is expected, and what was assumed");
        assertThat(page.select("table").get(1).select("tbody tr").eachText())
                .containsExactly("Drop keywords with the word \"free\" 1 30");
        // 18,760 searches x 30% x 5% x 10% x 2,000, counted by hand.
        assertThat(page.text()).contains("worth 56,280", "clicks 5,628");
        assertThat(page.select("img, script, link, iframe")).isEmpty();
        assertThat(page.select("td").eachText()).contains(HOSTILE);
        assertThat(page.select("[src], [href]").stream().map(Element::outerHtml))
                .isEmpty();
        String markdown = TestPlan.written(board(), "plan-report.md");
        assertThat(markdown)
                .startsWith("# Shop, spring\n")
                .contains("| bee hives | 3 | 18,600 | ")
                .contains("\\<img src=x onerror=alert(1)\\>\\|\\*x\\*");
    }

    /** Greek and Cyrillic keywords too, read back by another library than wrote it. */
    @Test
    void thePrintHasTheWordsOfTheReport() throws IOException {
        String text;
        try (PDDocument read = Loader.loadPDF(TestPlan.bytes(board(), "plan-report.pdf"))) {
            text = new PDFTextStripper().getText(read);
        }
        assertThat(text.replaceAll("\\s+", " "))
                .contains("Shop, spring", "What was dropped and why", "κυψέλη", "улей", "bee hives", "56,280");
    }

    @Test
    void thePlanOfPagesHasARowForEachAdGroup() {
        List<List<String>> rows = new ArrayList<>();
        de.siegmar.fastcsv.reader.CsvReader.builder()
                .ofCsvRecord(TestPlan.written(board(), "plan-of-pages.csv"))
                .forEach(row -> rows.add(List.copyOf(row.getFields())));
        assertThat(rows.getFirst()).containsExactlyElementsOf(PagePlan.HEADINGS);
        assertThat(rows.get(1))
                .containsExactly(
                        "https://shop.example/bee-hives",
                        "Bee Hive",
                        "bee hive",
                        "buy bee hive",
                        "how to paint a bee hive",
                        "commercial",
                        "18600",
                        "55800");
        assertThat(rows).hasSize(3);
        assertThat(TestPlan.written(board(), "plan-of-pages.md")).contains("| how to paint a bee hive |");
    }
}

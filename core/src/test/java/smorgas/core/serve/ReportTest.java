package smorgas.core.serve;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.withinPercentage;

import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import javax.imageio.ImageIO;
import javax.xml.parsers.DocumentBuilderFactory;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.apache.poi.xssf.usermodel.XSSFWorkbook;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Element;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import smorgas.core.board.Board;
import smorgas.core.draw.Drawing;
import smorgas.core.gather.TestLists;
import smorgas.core.recipe.Entry;
import smorgas.core.recipe.GroupDecision;
import smorgas.core.recipe.NoteEntry;
import smorgas.core.recipe.Recipe;
import smorgas.core.recipe.Rules;
import smorgas.core.recipe.ServeEntry;
import smorgas.core.recipe.SiftEntry;
import smorgas.core.recipe.ValueEntry;
import smorgas.core.recipe.serve.PlanPages;
import smorgas.core.recipe.sift.Condition;
import smorgas.core.recipe.sift.Rule;
import smorgas.core.recipe.sift.Status;
import smorgas.core.recipe.value.Assumed;
import smorgas.core.recipe.value.Assumptions;
import smorgas.core.recipe.value.CostBy;
import smorgas.core.recipe.value.Span;
import smorgas.core.text.Catalogue;

/** The report and the plan of pages, read back. */
class ReportTest {

    private static final String HOSTILE = "<img src=x onerror=alert(1)>|*x*";

    private static Board board(Entry... more) {
        String list =
                "keyword,searches\nbee hive,18100\nbuy bee hive,300\nhow to paint a bee hive,200\nκυψέλη,90\nулей,70\n"
                        + "free hive,30\n";
        List<Entry> entries = new ArrayList<>(List.of(more));
        entries.addAll(List.of(
                new SiftEntry.RuleAdded(new Rule(1, new Condition.HasWord("free"), Status.DROPPED)),
                new GroupDecision.KeywordsPlaced(
                        List.of("bee hive", "buy bee hive", "how to paint a bee hive"), List.of(), "bee hives"),
                new GroupDecision.KeywordsPlaced(List.of("κυψέλη", "улей"), List.of(), "abroad"),
                new GroupDecision.GroupNamed("abroad", HOSTILE),
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
                new ServeEntry.PlanSettingsChosen(Rules.NEWEST
                        .settings()
                        .plan()
                        .with(new PlanPages(true, false, "https://shop.example/{theme}")))));
        return Board.of(List.of(TestLists.lines(1, list)), Recipe.of(entries, "en"));
    }

    /** Written by one library, read by the XML parser of the JDK. */
    @Test
    void theDocumentToEditHasTheSameWordsAndPictures() throws Exception {
        byte[] docx = TestPlan.bytes(
                board(new NoteEntry.ProjectNoted("For the spring sale.\nNot final.")), "plan-report.docx");
        Map<String, byte[]> parts = new HashMap<>();
        try (ZipInputStream zip = new ZipInputStream(new ByteArrayInputStream(docx))) {
            for (ZipEntry entry = zip.getNextEntry(); entry != null; entry = zip.getNextEntry()) {
                parts.put(entry.getName(), zip.readAllBytes());
            }
        }
        org.w3c.dom.Document body = xml(parts.get("word/document.xml"));
        String words = body.getDocumentElement().getTextContent();
        assertThat(words)
                .contains("Shop, spring", "For the spring sale.", "Not final.", "κυψέλη", "улей", HOSTILE, "56,280");
        assertThat(body.getElementsByTagName("w:tbl").getLength()).isEqualTo(5);
        assertThat(body.getElementsByTagName("w:drawing").getLength()).isEqualTo(2);
        assertThat(parts.keySet())
                .filteredOn(name -> name.startsWith("word/media/"))
                .hasSize(2);
    }

    private static org.w3c.dom.Document xml(byte[] bytes) throws Exception {
        return DocumentBuilderFactory.newInstance().newDocumentBuilder().parse(new ByteArrayInputStream(bytes));
    }

    @ParameterizedTest
    @ValueSource(strings = {"flow", "map", "lists"})
    void picturesAreFilesThatOthersOpen(String which) throws Exception {
        Board board = board();
        org.w3c.dom.Document svg = xml(TestPlan.bytes(board, "plan-picture-" + which + ".svg"));
        String tells = svg.getElementsByTagName("desc").item(0).getTextContent();
        assertThat(tells)
                .contains(
                        switch (which) {
                            case "flow" -> "6 lines became 6 keywords; 1 were dropped, the others form 2 groups";
                            case "map" -> "the largest: bee hives";
                            default -> "most, 6, in list 1";
                        });
        BufferedImage png =
                ImageIO.read(new ByteArrayInputStream(TestPlan.bytes(board, "plan-picture-" + which + ".png")));
        double width = Double.parseDouble(svg.getDocumentElement().getAttribute("width"));
        assertThat((double) png.getWidth()).isEqualTo(2 * width);
        Set<Integer> colours = new HashSet<>();
        for (int x = 0; x < png.getWidth(); x += 3) {
            for (int y = 0; y < png.getHeight(); y += 3) {
                colours.add(png.getRGB(x, y));
            }
        }
        assertThat(colours).hasSizeGreaterThan(5);
        String drawn = svg.getDocumentElement().getTextContent();
        assertThat(drawn).contains(which.equals("lists") ? "list 1" : "bee hives");
    }

    /** What a group is as large as is what it is searched: the map shares its room by 18,600 to 160. */
    @Test
    void thePictureOfTheMapKeepsProportions() {
        Drawing map = Pictures.map(board().handover("", "", Catalogue.english()));
        double[] areas = map.shapes().stream()
                .filter(Drawing.Block.class::isInstance)
                .map(Drawing.Block.class::cast)
                .mapToDouble(block -> (block.width() + 1) * (block.height() + 1))
                .sorted()
                .toArray();
        assertThat(areas[areas.length - 1] / areas[0]).isCloseTo(18_600 / 160.0, withinPercentage(2));
    }

    @Test
    void thePagesToWriteAreAWorkbookToo() throws IOException {
        try (XSSFWorkbook book =
                new XSSFWorkbook(new ByteArrayInputStream(TestPlan.bytes(board(), "plan-of-pages.xlsx")))) {
            var sheet = book.getSheetAt(0);
            assertThat(sheet.getRow(0).getCell(2).getStringCellValue()).isEqualTo("Main keyword");
            assertThat(sheet.getRow(1).getCell(2).getStringCellValue()).isEqualTo("bee hive");
            assertThat(sheet.getRow(1).getCell(4).getStringCellValue()).isEqualTo("how to paint a bee hive");
            assertThat(sheet.getRow(1).getCell(6).getNumericCellValue()).isEqualTo(18_600);
        }
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
        assertThat(page.text()).contains("estimated value 56,280", "clicks 5,628");
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
        assertThat(rows.getFirst())
                .containsExactly(
                        "Page",
                        "Working title",
                        "Main keyword",
                        "Other keywords",
                        "Questions",
                        "Intent",
                        "Searches",
                        "Estimated value");
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

package smorgas.core.serve;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.util.List;
import org.apache.poi.xssf.usermodel.XSSFSheet;
import org.apache.poi.xssf.usermodel.XSSFWorkbook;
import org.junit.jupiter.api.Test;
import smorgas.core.board.Board;
import smorgas.core.board.MissingFigures;
import smorgas.core.column.FigureColumn;
import smorgas.core.figure.Computed;
import smorgas.core.figure.Figure;
import smorgas.core.figure.Searched;
import smorgas.core.gather.Lines;
import smorgas.core.gather.TestLists;
import smorgas.core.recipe.GroupDecision;
import smorgas.core.recipe.Recipe;
import smorgas.core.recipe.Rules;
import smorgas.core.recipe.ServeEntry;
import smorgas.core.recipe.serve.PlanBids;
import smorgas.core.text.Catalogue;

/** Made-up figures: only where lists tell none, marked in what leaves, and no bid is made of one. */
class SimulatedTest {

    private static final String KNOWN =
            "keyword,searches,low bid,high bid\nbee hive,100,1,2\ncedar hive,,,\ntall hive,50,,\nhalf hive,,0.5,\n";
    private static final String MADE =
            "keyword,searches,low bid,high bid\nbee hive,9000,8,9\ncedar hive,70,3,4\ntall hive,60,5,6\nhalf hive,80,7,8\n";

    private static Board board(boolean simulated) {
        Recipe recipe = Recipe.of(
                List.of(
                        new GroupDecision.KeywordsPlaced(
                                List.of("bee hive", "cedar hive", "tall hive", "half hive"), List.of(), "hives"),
                        new ServeEntry.PlanSettingsChosen(Rules.NEWEST
                                .settings()
                                .plan()
                                .with(new PlanBids(PlanBids.From.HIGH_BID, 0, 100, 0, 0)))),
                "en");
        Lines made = TestLists.lines(2, MADE).bringing(false);
        return Board.of(List.of(TestLists.lines(1, KNOWN), simulated ? made.simulated() : made), recipe);
    }

    private static FigureColumn column(Board board, Figure figure) {
        return board.keywords().figure(figure).orElseThrow();
    }

    private static int of(Board board, String text) {
        return board.keywords().find(text).orElseThrow();
    }

    @Test
    void theyStandWhereNothingOfTheirFamilyIsKnown() {
        Board board = board(true);
        FigureColumn searches = column(board, Figure.SEARCHES);
        assertThat(searches.low(of(board, "bee hive"))).isEqualTo(100);
        assertThat(searches.simulated(of(board, "bee hive"))).isFalse();
        assertThat(searches.low(of(board, "cedar hive"))).isEqualTo(70);
        assertThat(searches.simulated(of(board, "cedar hive"))).isTrue();
        FigureColumn high = column(board, Figure.HIGH_BID);
        assertThat(high.known(of(board, "half hive")))
                .as("a made-up high bid beside a known low one would be a range that nobody told")
                .isFalse();
        assertThat(high.low(of(board, "tall hive"))).isEqualTo(6_000_000);
        assertThat(board.facts().texts(Computed.SIMULATED, of(board, "tall hive")))
                .containsExactly("low bid", "high bid");
        assertThat(board.facts().texts(Computed.SIMULATED, of(board, "bee hive")))
                .isEmpty();
        assertThat(MissingFigures.of(board))
                .as("what is made up is not asked for again")
                .isEmpty();
        assertThat(board.keywords().text(of(board, "bee hive"))).isEqualTo("bee hive");
    }

    @Test
    void noBidIsMadeOfOneAndThePlanSaysSo() {
        String plan = TestPlan.written(board(true), "plan.csv");
        assertThat(plan).contains("2.00").doesNotContain("6.00", "4.00");
        assertThat(board(true).plan().notes()).anyMatch(note -> note.toString().contains("simulated"));
        assertThat(TestPlan.written(board(false), "plan.csv")).contains("6.00", "4.00");
    }

    @Test
    void everyTableAndReportMarksThem() throws IOException {
        Board board = board(true);
        assertThat(board.facts().exported()).contains(Computed.SIMULATED);
        assertThat(board(false).facts().exported()).doesNotContain(Computed.SIMULATED);
        assertThat(TestPlan.written(board, "plan-report.html")).contains("sim. 300", "nobody has measured");
        assertThat(TestPlan.written(board, "plan-of-pages.csv")).contains("sim. 300");
        assertThat(TestPlan.written(board(false), "plan-report.html")).doesNotContain("sim.");
        try (XSSFWorkbook book = new XSSFWorkbook(new ByteArrayInputStream(TestPlan.bytes(board, "plan.xlsx")))) {
            XSSFSheet keywords = book.getSheet("Keywords");
            assertThat(keywords.getRow(0).getCell(7).getStringCellValue()).isEqualTo("Simulated");
            assertThat(cells(keywords, "cedar hive")).isEqualTo("searches, low bid, high bid");
            assertThat(cells(keywords, "bee hive")).isEmpty();
        }
        try (XSSFWorkbook book =
                new XSSFWorkbook(new ByteArrayInputStream(TestPlan.bytes(board, "plan-of-pages.xlsx")))) {
            assertThat(book.getSheetAt(0).getRow(1).getCell(6).getStringCellValue())
                    .isEqualTo("sim. 300");
        }
    }

    @Test
    void whatIsOtherwiseMarksThem() {
        Board before = Board.of(List.of(TestLists.lines(1, "keyword\nskep\n")), Recipe.empty("en"));
        java.io.StringWriter text = new java.io.StringWriter();
        try (Csv csv = new Csv(text)) {
            smorgas.core.board.DifferenceCsv.write(
                    smorgas.core.board.Difference.between(
                            smorgas.core.board.Standpoint.of(before),
                            smorgas.core.board.Standpoint.of(board(true)),
                            false),
                    Catalogue.english(),
                    csv);
        }
        assertThat(text.toString())
                .contains("what,keyword,searches,was,is,simulated")
                .contains("new,cedar hive,70,,Undecided,searches")
                .contains("new,bee hive,100,,Undecided,\r\n");
    }

    /** One list with both: what is measured goes before, line by line, and what is not is marked. */
    @Test
    void aListSaysWhichOfItsFiguresAreMadeUp() {
        Board board = Board.of(
                List.of(
                        TestLists.lines(
                                1,
                                "keyword,searches,cpc,Simulated\nskep,10,1,searches | cpc\nhive,20,2,CPC\nsmoker,30,3,\n"
                                        + "feeder,40,4,yes\nframe,50,5,no\nlid,60,6,low bid\n"),
                        TestLists.lines(2, "keyword,searches\nskep,4\n")),
                Recipe.empty("en"));
        assertThat(board.facts().texts(Computed.SIMULATED, of(board, "hive"))).containsExactly("CPC");
        assertThat(board.facts().texts(Computed.SIMULATED, of(board, "feeder"))).containsExactly("searches", "CPC");
        assertThat(board.facts().texts(Computed.SIMULATED, of(board, "smoker"))).isEmpty();
        assertThat(board.facts().texts(Computed.SIMULATED, of(board, "frame"))).isEmpty();
        assertThat(board.facts().texts(Computed.SIMULATED, of(board, "lid")))
                .as("a figure that this list does not have")
                .isEmpty();
        FigureColumn searches = column(board, Figure.SEARCHES);
        assertThat(searches.low(of(board, "skep")))
                .as("four that are known against ten that are not")
                .isEqualTo(4);
        assertThat(searches.simulated(of(board, "skep"))).isFalse();
        assertThat(board.facts().texts(Computed.SIMULATED, of(board, "skep"))).containsExactly("CPC");
    }

    @Test
    void sumsAndPicturesOfThemAreMarked() {
        Board board = board(true);
        assertThat(board.groups().searches(0).written()).isEqualTo("sim. 300");
        assertThat(new Searched(1_234, false).plus(new Searched(1, true)).written())
                .isEqualTo("sim. 1,235");
        assertThat(TestPlan.written(board, "plan-picture-map.svg")).contains("simulated");
        assertThat(TestPlan.written(board(false), "plan-picture-map.svg")).doesNotContain("simulated");
    }

    private static String cells(XSSFSheet sheet, String keyword) {
        for (int row = 1; row <= sheet.getLastRowNum(); row++) {
            if (sheet.getRow(row).getCell(2).getStringCellValue().equals(keyword)) {
                return sheet.getRow(row).getCell(7) == null
                        ? ""
                        : sheet.getRow(row).getCell(7).getStringCellValue();
            }
        }
        return "missing";
    }
}

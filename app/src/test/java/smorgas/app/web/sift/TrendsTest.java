package smorgas.app.web.sift;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import smorgas.core.board.Board;
import smorgas.core.figure.Decimals;
import smorgas.core.fold.Keywords;
import smorgas.core.gather.BasketReader;
import smorgas.core.gather.Halt;
import smorgas.core.gather.Lines;
import smorgas.core.gather.RawList;
import smorgas.core.recipe.Recipe;
import smorgas.core.recipe.gather.ReadAs;
import smorgas.core.text.Message;

/** Months as a line: points and words worked out by hand, for a place of 60 by 14 with a pixel left free above and below. */
class TrendsTest {

    private static Lines list(long basket, String text, Decimals decimals) {
        return BasketReader.lines(
                        basket,
                        new RawList("list", text.getBytes(StandardCharsets.UTF_8), ReadAs.FOUND, decimals),
                        Halt.NEVER,
                        (line, cells) -> {})
                .lines()
                .orElseThrow();
    }

    private static Cell.Trend trend(String text) {
        return trend(text, Decimals.POINT);
    }

    private static Cell.Trend trend(String text, Decimals decimals) {
        Keywords keywords = Board.of(List.of(list(1, text, decimals)), Recipe.of(List.of(), "en"))
                .keywords();
        return Trends.of(keywords, 0);
    }

    @Test
    void isDrawnFromNoughtInTheOrderOfTheMonths() {
        Cell.Trend trend = trend("keyword;Mar 2026;Jan 2026;Feb 2026\nbee hive;100;50;0\n");
        // 50 of 100 is half of 12 pixels above the foot at 13, nought is the foot, 100 is the top.
        assertThat(trend.points()).isEqualTo("0,7 30,13 60,1");
        assertThat(trend.told()).hasToString("Searches by month, from 50 in Jan 2026 to 100 in Mar 2026");
    }

    @Test
    void aMonthOfWhichNothingIsKnownIsLeftOutAndItsPlaceStaysFree() {
        Cell.Trend trend = trend("keyword;2026-01;2026-02;2026-03\nbee hive;10;;10\n");
        assertThat(trend.points()).isEqualTo("0,1 60,1");
        assertThat(trend.told()).hasToString("Searches by month, from 10 in Jan 2026 to 10 in Mar 2026");
    }

    @Test
    void monthsWithoutAYearStandAsInTheList() {
        Cell.Trend trend = trend("keyword;Mar;Jan\nbee hive;30;10\n");
        assertThat(trend.points()).isEqualTo("0,1 60,9");
        assertThat(trend.told()).hasToString("Searches by month, from 30 to 10");
    }

    @Test
    void oneMonthOrNoneIsNoTrend() {
        assertThat(trend("keyword;2026-01;2026-02\nbee hive;10;\n")).isEqualTo(new Cell.Trend("", Message.NONE));
        assertThat(trend("keyword;searches\nbee hive;10\n")).isEqualTo(new Cell.Trend("", Message.NONE));
    }

    @Test
    void aPointIsReadAsTheProjectReadsIt() {
        String german = "keyword;Okt 2025;Nov 2025\nbienenkorb;1.000;500\n";
        assertThat(trend(german, Decimals.COMMA).told())
                .hasToString("Searches by month, from 1,000 in Oct 2025 to 500 in Nov 2025");
    }

    @Test
    void theFirstLineThatTellsMonthsIsDrawnWhicheverListItIsIn() {
        Lines without = list(1, "keyword;searches\nbee hive;10\n", Decimals.POINT);
        Lines with = list(2, "keyword;2026-01;2026-02\nhoney;1;1\nbee hive;20;40\n", Decimals.POINT);
        Keywords keywords =
                Board.of(List.of(without, with), Recipe.of(List.of(), "en")).keywords();
        assertThat(Trends.of(keywords, keywords.find("bee hive").orElseThrow()).told())
                .hasToString("Searches by month, from 20 in Jan 2026 to 40 in Feb 2026");
    }

    @Test
    void aWholeYearFitsItsPlace() {
        StringBuilder list = new StringBuilder("keyword");
        StringBuilder row = new StringBuilder("bee hive");
        for (int month = 1; month <= 12; month++) {
            list.append(";2025-").append(month < 10 ? "0" : "").append(month);
            row.append(';').append(month * month * 1_000);
        }
        String[] points = trend(list + "\n" + row + "\n").points().split(" ");
        assertThat(points).hasSize(12);
        assertThat(IntStream.range(0, 12).map(at -> Integer.parseInt(points[at].split(",")[0])))
                .isSorted()
                .startsWith(0)
                .endsWith(60);
        assertThat(IntStream.range(0, 12).map(at -> -Integer.parseInt(points[at].split(",")[1])))
                .as("rising searches rise")
                .isSorted()
                .allMatch(y -> y <= -1 && y >= -13);
    }
}

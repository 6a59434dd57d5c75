package smorgas.app.web.sift;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Element;
import org.jsoup.parser.Parser;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import smorgas.core.text.Catalogue;
import smorgas.core.text.Message;
import smorgas.core.text.Words;

/** Rows as HTML, read back by a parser: whatever a list holds stays text. */
class RowHtmlTest {

    private static SiftTable.Row row(String hostile) {
        return new SiftTable.Row(
                7,
                hostile,
                Words.pieces(hostile),
                "kept",
                Message.verbatim("Kept"),
                Message.verbatim("because " + hostile),
                java.util.Set.of(),
                List.of(
                        new Cell.Text(Message.verbatim(hostile), false),
                        new Cell.Text(Message.verbatim("1,300"), true),
                        new Cell.Searches("10", 250),
                        new Cell.Trend("0,1 60,14", Message.verbatim("Jan " + hostile)),
                        new Cell.Trend("", Message.NONE),
                        new Cell.Baskets(List.of(new Cell.Dot(3, hostile), new Cell.Dot(4, "b"))),
                        new Cell.Tags(List.of(hostile, "t"))),
                7);
    }

    private static Element parsed(String html) {
        return Jsoup.parse("<table><tbody>" + html + "</tbody></table>").selectFirst("tr");
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "<script>alert(1)</script>",
                "\"><img src=x onerror=alert(1)>",
                "' onclick='alert(1)",
                "</td></tr></table><h1>out</h1>",
                "&lt;b&gt; &amp; &#60;",
                "<!-- -->",
                "]]>",
                "wörd \uD83D\uDC1D \u202E right to left",
            })
    void hostileTextStaysText(String hostile) {
        Element row = parsed(RowHtml.of(List.of(row(hostile)), Catalogue.english()));
        assertThat(row.attr("data-k")).isEqualTo(hostile);
        assertThat(row.selectFirst(".pick input").attr("aria-label")).isEqualTo("Pick " + hostile);
        assertThat(row.selectFirst(".mark").attr("title")).isEqualTo("because " + hostile);
        assertThat(row.selectFirst(".keyword .text").wholeText()).isEqualTo(hostile);
        assertThat(row.selectFirst("td.told").wholeText()).isEqualTo(hostile);
        assertThat(row.selectFirst(".trend svg").attr("aria-label")).endsWith("Jan " + hostile);
        assertThat(row.selectFirst(".dot").attr("title")).isEqualTo(hostile);
        assertThat(row.selectFirst(".a-tag").wholeText()).isEqualTo(hostile);
        assertThat(row.select("script, img, h1, b, [onclick], [onerror]")).isEmpty();
        assertThat(row.select("> td")).hasSize(10);
    }

    @Test
    void aRowShowsItsWordsAsHandlesAndItsFigures() {
        Element row = parsed(RowHtml.of(List.of(row("bee hive, 5 l")), Catalogue.english()));
        assertThat(row.select(".w").eachText()).containsExactly("bee", "hive", "5", "l");
        assertThat(row.classNames()).containsExactlyInAnyOrder("keyword-row", "kept");
        assertThat(row.selectFirst(".searches rect").attr("x")).isEqualTo("750");
        assertThat(row.selectFirst(".searches rect").attr("width")).isEqualTo("250");
        assertThat(row.selectFirst("td.number").text()).isEqualTo("1,300");
        assertThat(row.select(".trend svg")).hasSize(1);
        assertThat(row.selectFirst(".dots .unseen").text()).isEqualTo("2 baskets");
        assertThat(row.hasAttr("hx-swap-oob")).isFalse();
    }

    @Test
    void aRowDrawnAnewIsWellFormedAndTakesThePlaceOfItsNumber() {
        String html = RowHtml.anew(row("bee hive"), Catalogue.english());
        assertThat(parsed(html).attr("hx-swap-oob")).isEqualTo("morph");
        assertThat(parsed(html).id()).isEqualTo("r-7");
        Parser strict = Parser.htmlParser().setTrackErrors(20);
        strict.parseInput(
                "<!DOCTYPE html><html><head><title>t</title></head><body><table><tbody>" + html
                        + "</tbody></table></body></html>",
                "");
        assertThat(strict.getErrors()).isEmpty();
    }
}

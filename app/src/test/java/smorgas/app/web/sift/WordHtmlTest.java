package smorgas.app.web.sift;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Element;
import org.junit.jupiter.api.Test;
import smorgas.core.figure.Searched;
import smorgas.core.sift.WordCounts.WordCount;
import smorgas.core.text.Catalogue;

/** Words as HTML, read back by a parser. */
class WordHtmlTest {

    private static Element parsed(String word, boolean searches) {
        return Jsoup.parse("<ol>"
                        + WordHtml.of(
                                List.of(new WordCount(word, 10, new Searched(1_234, false), 3, 5, 2)),
                                searches,
                                Catalogue.english())
                        + "</ol>")
                .selectFirst("li");
    }

    @Test
    void aWordIsAHandleWithABarOfWhatBecameOfItsKeywords() {
        Element item = parsed("hive", false);
        assertThat(item.selectFirst("button.w").text()).isEqualTo("hive");
        assertThat(item.selectFirst("button.w").attr("title"))
                .isEqualTo("1,234 searches \u00B7 3 Kept, 5 Undecided, 2 Dropped");
        assertThat(item.selectFirst("svg").attr("viewBox")).isEqualTo("0 0 10 10");
        assertThat(item.select("rect").eachAttr("x")).containsExactly("0", "3", "8");
        assertThat(item.select("rect").eachAttr("width")).containsExactly("3", "5", "2");
        assertThat(item.selectFirst(".number").text()).isEqualTo("10");
        assertThat(parsed("hive", true).selectFirst(".number").text()).isEqualTo("1,234");
    }

    @Test
    void whateverAListHoldsStaysText() {
        String hostile = "\"><script>alert(1)</script>";
        assertThat(parsed(hostile, false).selectFirst("button").wholeText()).isEqualTo(hostile);
        assertThat(parsed(hostile, false).select("script")).isEmpty();
    }
}

package smorgas.app.web.group;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.List;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.junit.jupiter.api.Test;
import smorgas.app.Themed;
import smorgas.core.board.Board;
import smorgas.core.gather.BasketReader;
import smorgas.core.gather.Lines;
import smorgas.core.group.read.Changes;
import smorgas.core.group.read.NetOfWords;
import smorgas.core.group.read.ThemeMarks;
import smorgas.core.recipe.Entry;
import smorgas.core.recipe.GroupDecision;
import smorgas.core.recipe.GroupEntry;
import smorgas.core.recipe.Rules;
import smorgas.core.recipe.group.Pass;
import smorgas.core.text.Catalogue;
import smorgas.core.text.Message;

/** The pictures of Group, read back by a parser: what they tell, and that names stay text. */
class PicturesTest {

    private static final String HOSTILE = "\"><script>alert(1)</script>";
    private static final GroupQuery QUERY = new GroupQuery("", new LinkedHashMap<>());

    private static Board board(Entry... entries) {
        StringBuilder list = new StringBuilder("keyword,searches\n");
        for (String thing : List.of("oak hive stand", "pine hive stand", "hive lid", "smoker")) {
            for (String dress : List.of("red", "tall", "price")) {
                list.append(thing).append(' ').append(dress).append(",100\n");
            }
        }
        Lines lines = BasketReader.lines(1, "l", (list + "alone,5\n").getBytes(StandardCharsets.UTF_8))
                .lines()
                .orElseThrow();
        return Board.of(List.of(lines), Themed.recipe(List.of(entries)));
    }

    private static Document parsed(String markup) {
        return Jsoup.parse("<svg>" + markup + "</svg>");
    }

    @Test
    void theMapNamesEveryGroupAndLeadsToIt() {
        Document map = parsed(MapHtml.of(board(), QUERY, -1, 0, Catalogue.english()));
        assertThat(map.select("a.area")).hasSize(5);
        assertThat(map.select("a.ungrouped-area").attr("href")).isEqualTo("?ungrouped=true&");
        Element smoker = map.select("a.area").stream()
                .filter(area -> area.attr("aria-label").startsWith("smoker"))
                .findFirst()
                .orElseThrow();
        assertThat(smoker.attr("href")).isEqualTo("?group=smoker&");
        assertThat(smoker.attr("aria-label")).matches("smoker, 3 keywords, 300 searches, tightness \\d+%");
        assertThat(map.select("a.broader-area").eachAttr("href")).contains("?zoom=hive&");
        assertThat(map.select("a[tabindex=0]")).hasSize(1);
        assertThat(map.select(".opened-area")).hasSize(1);
    }

    @Test
    void namesStayTextInEveryPicture() {
        Board hostile = board(new GroupDecision.GroupNamed("smoker", HOSTILE));
        Document map = parsed(MapHtml.of(hostile, QUERY, -1, -1, Catalogue.english()));
        assertThat(map.select("script")).isEmpty();
        assertThat(map.select("a.area").eachAttr("aria-label")).anyMatch(label -> label.startsWith(HOSTILE));
        Board wide = board(
                new GroupDecision.GroupNamed("smoker", HOSTILE),
                new GroupEntry.GroupSettingsChosen(
                        Rules.NEWEST.settings().byThemes("en").withPasses(new Pass(4, 0, 0, 1, 5, true, 0))));
        FlowHtml.Picture flow = FlowHtml.of(
                Changes.between(hostile.groups(), wide.groups()), hostile.groups(), wide.groups(), Catalogue.english());
        assertThat(parsed(flow.markup()).select("script")).isEmpty();
        assertThat(flow.told().toString()).contains(HOSTILE);
    }

    @Test
    void theFlowTellsEveryMoveAndWhatIsTooSmall() {
        Board before = board();
        Board after = board(new GroupDecision.GroupsJoined(List.of("hive lid", "smoker"), "oak hive stand"));
        FlowHtml.Picture flow = FlowHtml.of(
                Changes.between(before.groups(), after.groups()), before.groups(), after.groups(), Catalogue.english());
        assertThat(flow.told().toString().split("; "))
                .containsExactlyInAnyOrder(
                        "3 keywords from hive lid to oak hive stand", "3 keywords from smoker to oak hive stand");
        assertThat(flow.rest()).isZero();
        assertThat(parsed(flow.markup()).select("path.flow-ribbon")).hasSize(2);
        assertThat(parsed(flow.markup()).select("rect.flow-end")).hasSize(3);
    }

    @Test
    void theNetLeadsFromWordsToTheirCandidates() {
        NetOfWords net = NetOfWords.of(board().groups(), 20, 20);
        Document picture = parsed(NetHtml.of(net, 400, 300, QUERY, Catalogue.english()));
        assertThat(picture.select("a").eachAttr("href")).contains("?view=candidates&q=hive&");
        assertThat(picture.select("line")).hasSize(net.links().size());
        assertThat(picture.select("a").first().attr("aria-label")).isEqualTo("hive, in 9 keywords, its candidates");
    }

    @Test
    void membersAreRowsWithTheirThemeSetOffAndStayText() {
        OpenedGroupView.Member member = new OpenedGroupView.Member(
                HOSTILE,
                List.of(new ThemeMarks.Mark("hive", true), new ThemeMarks.Mark(HOSTILE, false)),
                Message.verbatim("1,300"),
                "80%",
                Message.verbatim("by hand"),
                HOSTILE + " 40%",
                "?group=x&q=" + HOSTILE,
                "kept",
                Message.verbatim("Kept"));
        Element row = Jsoup.parse("<table><tbody>" + MemberHtml.of(List.of(member), "/projects/3", Catalogue.english())
                        + "</tbody></table>")
                .selectFirst("tr");
        assertThat(row.select("script")).isEmpty();
        assertThat(row.attr("data-k")).isEqualTo(HOSTILE);
        assertThat(row.selectFirst(".keyword b").text()).isEqualTo("hive");
        assertThat(row.selectFirst(".keyword a").wholeText()).isEqualTo("hive" + HOSTILE);
        assertThat(row.selectFirst(".keyword a").attr("href")).startsWith("/projects/3/sift?q=%22%3E%3Cscript%3E");
        assertThat(row.select("td.number").eachText()).containsExactly("1,300", "80%");
        assertThat(row.selectFirst(".next-best a").wholeText()).isEqualTo(HOSTILE + " 40%");
        assertThat(row.selectFirst("td.mark").attr("title")).isEqualTo("Kept");
    }
}

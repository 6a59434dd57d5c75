package smorgas.app.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** The queue of what is doubtful in groups, and words that mean the same, over HTTP. */
class DoubtsIT {

    private static final String LIST =
            "keyword,searches\noak garden bench,900\npine garden bench,800\nteak garden bench,70\n"
                    + "garden bench cushion,400\nbench cushion,300\nbird feeder,5000\nhanging bird feeder,600\n"
                    + "hanging feeder for birds,500\nbird table,90\nblocked drain,50\nclogged drain,40\nblocked shower,30\n"
                    + "clogged shower,20\nshower kit,10\nshower equipment,5\n";

    private final Visitor visitor = new Visitor(Running.shared());
    private String base = "";

    @BeforeEach
    void gather() {
        base = "/projects/" + visitor.project("Doubtful <i>");
        visitor.upload(base + "/gather", Map.of("list.csv", LIST.getBytes(StandardCharsets.UTF_8)));
    }

    private Document page(String query) {
        HttpResponse<String> page = visitor.get(base + "/group" + query);
        assertThat(page.statusCode()).isEqualTo(200);
        return Jsoup.parse(page.body());
    }

    private Element doubt(String question) {
        return page("?view=doubts").select("li.queued").stream()
                .filter(li -> li.text().contains(question))
                .findFirst()
                .orElseThrow();
    }

    private HttpResponse<String> answer(Element doubt, String answer) {
        return visitor.post(
                base + "/group/doubt",
                Map.of("doubt", doubt.select("input[name=doubt]").attr("value"), "answer", answer));
    }

    private int groupCount() {
        return page("?view=list")
                .select("table.groups tbody tr:not(.ungrouped-row)")
                .size();
    }

    @Test
    void aUngroupedIsPutIntoTheGroupThatIsOfferedAndItCanBeUndone() {
        Element doubt = doubt("bird table");
        assertThat(doubt.text()).contains("Does it belong here?", "in no group, 90 searches", "hanging bird feeder");
        answer(doubt, "move");
        assertThat(page("?ungrouped=true").select("table.members").text()).doesNotContain("bird table");
        assertThat(page("?view=doubts").select("li.queued").text()).doesNotContain("Does it belong here? bird table");
        visitor.post(base + "/undo", Map.of());
        assertThat(page("?ungrouped=true").select("table.members").text()).contains("bird table");
    }

    @Test
    void groupsAreJoinedOrKeptApartForGood() {
        int before = groupCount();
        Element doubt = doubt("Does one ad answer both?");
        answer(doubt, "refuse");
        String key = doubt.select("input[name=doubt]").attr("value");
        assertThat(page("?view=doubts").select("input[name=doubt]").eachAttr("value"))
                .doesNotContain(key);
        assertThat(groupCount()).isEqualTo(before);
        visitor.post(base + "/group/doubt/again", Map.of("of", "groups"));
        assertThat(page("?view=doubts").select("input[name=doubt]").eachAttr("value"))
                .contains(key);
        answer(doubt, "join");
        assertThat(groupCount()).isEqualTo(before - 1);
        // Asked once more by another tab, it is adopted.
        assertThat(answer(doubt, "join").body()).contains("this has been decided");
    }

    @Test
    void partsOfAGroupLeaveForOneOfTheirOwn() {
        int before = groupCount();
        Element doubt = doubt("Are these two things?");
        answer(doubt, "own");
        assertThat(groupCount()).isEqualTo(before + 1);
        visitor.post(base + "/undo", Map.of());
        assertThat(groupCount()).isEqualTo(before);
    }

    @Test
    void proposedWordsTellWhatTheyWouldDoAndCountAsOneOnceAccepted() {
        Document page = page("?view=same");
        assertThat(page.select("table.same-words").text()).contains("blocked 2", "clogged 2");
        Element row = page.select("table.same-words tbody tr").first();
        String effect = row.select("[hx-get]").attr("hx-get");
        assertThat(Jsoup.parse(visitor.get(effect).body()).text())
                .matches("moves \\d+ keywords? of \\d+ groups?|changes no group now");
        visitor.post(base + "/group/same", Map.of("typed", "Blocked, clogged", "way", "same"));
        Document after = page("?view=same");
        assertThat(after.select("ul.same-sets").first().text()).contains("blocked 2", "clogged 2");
        assertThat(after.select("table.same-words").text()).doesNotContain("blocked 2");
        assertThat(after.select("ul.same-sets").get(1).text()).contains("kit 1", "equipment 1");
        visitor.post(base + "/group/same", Map.of("word", "kit", "way", "apart"));
        assertThat(page("?view=same").text()).contains("Told apart here:");
        visitor.post(base + "/group/same", Map.of("word", "kit", "way", "shipped"));
        assertThat(page("?view=same").text()).doesNotContain("Told apart here:");
        visitor.post(base + "/undo", Map.of());
        visitor.post(base + "/undo", Map.of());
        visitor.post(base + "/undo", Map.of());
        assertThat(page("?view=same").select("table.same-words").text()).contains("clogged");
    }

    @Test
    void theyGoThroughThePantryToAnotherProjectAndAreEscaped() {
        visitor.post(base + "/group/same", Map.of("typed", "drain, <b>sink</b>", "way", "same"));
        visitor.post(base + "/group/same/keep", Map.of("list", "House words"));
        String other = "/projects/" + visitor.project("Other");
        visitor.upload(other + "/gather", Map.of("list.csv", LIST.getBytes(StandardCharsets.UTF_8)));
        String page = visitor.get(other + "/group?view=same").body();
        assertThat(page).contains("House words").doesNotContain("<b>sink");
        visitor.post(other + "/group/same/take", Map.of("list", "House words"));
        assertThat(Jsoup.parse(visitor.get(other + "/group?view=same").body())
                        .select("ul.same-sets")
                        .first()
                        .text())
                .contains("drain 2");
        assertThat(visitor.post(other + "/group/same", Map.of("typed", "one", "way", "same"))
                        .body())
                .contains("at least two words");
    }
}

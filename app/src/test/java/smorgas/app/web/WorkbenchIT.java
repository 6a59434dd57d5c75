package smorgas.app.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.URLEncoder;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** The Group page over HTTP: every look, every act, hostile names and what cannot be meant. */
class WorkbenchIT {

    private static final String HOSTILE = "\"><script>alert(1)</script>";

    private final Running server = Running.shared();
    private final Visitor visitor = new Visitor(server);
    private long id;

    @BeforeEach
    void gather() {
        StringBuilder list = new StringBuilder("keyword,searches,cpc\n");
        for (String thing : List.of("oak hive stand", "pine hive stand", "hive lid", "smoker", "honey jar")) {
            for (String dress : List.of("red", "tall", "price", "shop", "old", "gift")) {
                list.append(thing)
                        .append(' ')
                        .append(dress)
                        .append(",100,0.")
                        .append(thing.length())
                        .append('\n');
            }
        }
        id = visitor.project("Workbench");
        list.append("nothing alike,5,\n");
        visitor.upload(
                "/projects/" + id + "/gather",
                Map.of("list.csv", list.toString().getBytes(StandardCharsets.UTF_8)));
        visitor.get(base());
        visitor.post(base() + "?method=themes", Map.of());
    }

    private String base() {
        return "/projects/" + id + "/group";
    }

    private Document page(String query) {
        HttpResponse<String> page = visitor.get(base() + query);
        assertThat(page.statusCode()).as(query).isEqualTo(200);
        return Jsoup.parse(page.body());
    }

    private String act(String path, Map<String, String> fields) {
        HttpResponse<String> answer = visitor.post(base() + path, fields, "Referer", server.url(base() + "?view=list"));
        assertThat(answer.statusCode()).as(path).isEqualTo(200);
        return Jsoup.parse(answer.body()).select("#message").text();
    }

    private List<String> groups() {
        return page("?view=list&sort=name").select("table.groups td.name a").eachText();
    }

    private static String encoded(String text) {
        return URLEncoder.encode(text, StandardCharsets.UTF_8);
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "",
                "?view=nonsense&by=nonsense&tint=nonsense&zoom=nonsense&page=x&sort=nonsense",
                "?zoom=hive&tint=bid",
                "?tint=status&by=keywords",
                "?view=list&q=stand",
                "?view=tree",
                "?view=net",
                "?view=candidates&q=stand",
                "?view=candidates&candidate=hive&parts=true",
                "?candidate=no+such+words&parts=true",
                "?view=compare&base=nonsense&beside=nonsense",
                "?view=compare&smallest=2",
                "?group=hive+lid&parts=true",
                "?group=no+such+group",
                "?ungrouped=true&parts=true&page=99999",
            })
    void everyLookAnswersWhateverItIsAskedFor(String query) {
        Document page = page(query);
        assertThat(page.select("nav.views a[aria-current=true]")).as(query).hasSize(1);
        assertThat(page.select("#h-group").text()).isNotBlank();
    }

    @Test
    void theListIsSortedByItsHeadingsAndFoundByWords() {
        assertThat(groups()).containsExactly("hive lid", "honey jar", "oak hive stand", "pine hive stand", "smoker");
        assertThat(page("?view=list&sort=-name")
                        .select("table.groups td.name a")
                        .eachText())
                .containsExactly("smoker", "pine hive stand", "oak hive stand", "honey jar", "hive lid");
        Document byBid = page("?view=list&sort=-bid");
        assertThat(byBid.select("table.groups td.name a").first().text()).isEqualTo("honey jar");
        assertThat(byBid.select("th[aria-sort=descending]").text()).startsWith("Bid");
        assertThat(page("?view=list&q=stand").select("table.groups td.name a").eachText())
                .containsExactlyInAnyOrder("oak hive stand", "pine hive stand");
    }

    @Test
    void groupsAreJoinedIntoTheFirstTickedOrTheOneNamedAndApartAgain() {
        assertThat(act("/join", Map.of("ticked", "smoker", "intoGroup", "Honey Jar")))
                .startsWith("Joined \"smoker\" into \"honey jar\"");
        assertThat(groups()).doesNotContain("smoker");
        assertThat(page("?group=honey+jar").select(".opened-group").text()).contains("Joined into it smoker");
        assertThat(act("/apart", Map.of("apart", "smoker"))).startsWith("Let \"smoker\" be apart again");
        assertThat(groups()).contains("smoker");
        assertThat(act("/join", Map.of("ticked", "smoker"))).startsWith("Tick two groups");
        assertThat(act("/join", Map.of("ticked", "no such group", "intoGroup", "smoker")))
                .startsWith("Tick two groups");
    }

    @Test
    void aGroupIsSplitByItsOwnSettingsAndMadeWhole() {
        act("/join", Map.of("ticked", "smoker", "intoGroup", "honey jar"));
        assertThat(act("/split", Map.of("theme", "honey jar", "smallestPart", "2", "ignoredHere", "smoker")))
                .startsWith("Split group \"honey jar\"");
        assertThat(groups()).contains("honey jar gift", "honey jar red");
        assertThat(act("/split", Map.of("theme", "honey jar", "smallestPart", "0")))
                .startsWith("Left group \"honey jar\" whole");
        assertThat(groups()).doesNotContain("honey jar gift");
        assertThat(act("/split", Map.of("theme", "honey jar", "smallestPart", "99999")))
                .contains("1 to 10,000 keywords");
    }

    @Test
    void aLockedGroupStaysWhenTheDialTurnsAndSaysSo() {
        assertThat(act("/lock", Map.of("theme", "hive lid", "on", "true"))).startsWith("Locked group \"hive lid\"");
        assertThat(page("?view=list&smallest=15&group=hive+lid")
                        .select(".opened-group")
                        .text())
                .contains("6 keywords")
                .contains("locked");
        act("/lock", Map.of("theme", "hive lid", "on", "false"));
        assertThat(page("?view=list&smallest=15")
                        .select("table.groups td.name a")
                        .eachText())
                .doesNotContain("hive lid");
    }

    @Test
    void aGroupThatOnlyAPreviewShowsIsNotLockedWithNothingInIt() {
        assertThat(page("?view=list&smallest=8")
                        .select("table.groups td.name a")
                        .eachText())
                .contains("hive stand");
        assertThat(act("/lock", Map.of("theme", "hive stand", "on", "true")))
                .contains("There is no group \"hive stand\" to be locked at present");
        assertThat(page("?view=list&smallest=8")
                        .select("table.groups td.name a")
                        .eachText())
                .contains("hive stand");
    }

    @Test
    void whatAGroupWouldGetIsToldAndMadeAndLetGo() {
        String told = page("?candidate=gift").select(".opened-group").text();
        assertThat(told).contains("would get 5 keywords").contains("hive lid 1").contains("smoker 1");
        assertThat(act("/make", Map.of("theme", "gift"))).startsWith("Made \"gift\" a group");
        assertThat(groups()).contains("gift");
        assertThat(page("?view=list&smallest=6")
                        .select("table.groups td.name a")
                        .eachText())
                .contains("gift");
        // Made from a preview, among the candidates: one is still there, and sees the new group.
        String asked = "?smallest=8&view=candidates&candidate=red&parts=true";
        HttpResponse<String> after =
                visitor.post(base() + "/make", Map.of("theme", "tall red"), "Referer", server.url(base() + asked));
        assertThat(after.uri().getRawQuery())
                .contains("smallest=8", "view=candidates", "group=tall+red")
                .doesNotContain("candidate=", "parts=");
        act("/make", Map.of("theme", "tall red", "on", "false"));
        act("/make", Map.of("theme", "gift", "on", "false"));
        assertThat(groups()).doesNotContain("gift");
        assertThat(act("/make", Map.of())).startsWith("Tick what is to become a group");
    }

    @Test
    void alternativesOfAProjectWithoutKeywordsAreComparedToo() {
        String empty = "/projects/" + visitor.project("Nothing in it") + "/group";
        visitor.post(empty + "/alternative?smallest=7", Map.of("alternative", "seven"));
        HttpResponse<String> compared = visitor.get(empty + "?view=compare");
        assertThat(compared.statusCode()).isEqualTo(200);
        assertThat(compared.body()).contains("seven");
    }

    @Test
    void alternativesAreKeptComparedAndForgotten() {
        visitor.post(base() + "/alternative?smallest=7", Map.of("alternative", HOSTILE));
        Document compared = page("?view=compare");
        assertThat(compared.select("table.alternatives thead th").eachText())
                .containsExactly("Figure", "Adopted", HOSTILE);
        assertThat(compared.select("main script")).isEmpty();
        assertThat(compared.select("table.alternatives tr").eachText())
                .anyMatch(row -> row.matches("agrees with Adopted \\(adjusted Rand\\) -?[01]\\.\\d\\d"));
        // Against itself the adopted one has no figure; against the other it has the same.
        Document other = page("?view=compare&base=" + encoded(HOSTILE));
        assertThat(other.select("table.alternatives tr").eachText()).anyMatch(row -> row.startsWith("agrees with \">"));
        assertThat(compared.select(".flow-picture")).hasSize(1);
        assertThat(act("/alternative/forget", Map.of("alternative", HOSTILE))).startsWith("Forgot the alternative");
        assertThat(page("?view=compare").select("main").text()).contains("There is no alternative yet");
        assertThat(visitor.post(base() + "/alternative", Map.of("alternative", " "))
                        .body())
                .contains("1 to 100 characters");
    }

    @ParameterizedTest
    @CsvSource({"/join, ticked, intoGroup", "/split, theme, ignoredHere", "/make, theme, x", "/name, theme, newName"})
    void hostileNamesStayTextAndNothingFails(String path, String one, String other) {
        act(path, Map.of(one, HOSTILE, other, HOSTILE, "smallestPart", "2", "on", "true"));
        act("/name", Map.of("theme", "smoker", "newName", HOSTILE));
        for (String view : List.of("map", "list", "tree", "candidates", "compare&smallest=7")) {
            Document page = page("?view=" + view + "&q=" + encoded(HOSTILE) + "&candidate=" + encoded(HOSTILE));
            assertThat(page.select("main script")).isEmpty();
        }
        assertThat(page("?view=list").select("table.groups td.name a").eachText())
                .contains(HOSTILE);
        Document names = Jsoup.parse(visitor.get(base() + "/names").body());
        assertThat(names.select("option").eachAttr("value")).contains(HOSTILE);
    }
}

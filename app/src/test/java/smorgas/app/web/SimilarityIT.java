package smorgas.app.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** Groups by similarity over HTTP: the dial, what keywords mean, adopted groups, groups from a table. */
class SimilarityIT {

    private static final String LIST =
            "keyword,searches\nclimbing shoes,9900\nbuy climbing shoes,90\nclimbing shoe,70\n"
                    + "cheap climbing shoes,480\nclimbing shoes sale,320\naffordable climbing shoes,20\n"
                    + "womens climbing shoes,590\nladies climbing shoes,90\nchalk bag,1300\nchalkbag,40\nbuy chalk bag,30\n"
                    + "how to clean climbing shoes,70\nhow to wash climbing shoes,20\nquiet word,10\n";

    private final Visitor visitor = new Visitor(Running.shared());
    private String base = "";

    @BeforeEach
    void gather() {
        base = "/projects/" + visitor.project("Alike");
        gather("list.csv", LIST);
    }

    private void gather(String name, String text) {
        visitor.upload(base + "/gather", Map.of(name, text.getBytes(StandardCharsets.UTF_8)));
    }

    private Document page(String query) {
        HttpResponse<String> page = visitor.get(base + "/group" + query);
        assertThat(page.statusCode()).isEqualTo(200);
        return Jsoup.parse(page.body());
    }

    private Map<String, Integer> sizes(String query) {
        Map<String, Integer> sizes = new HashMap<>();
        page("?view=list" + query).select("table.groups tbody tr").forEach(row -> {
            String name = row.select("td.name a").text();
            if (!name.isEmpty()) {
                sizes.put(name, Integer.parseInt(row.select("td.number").first().text()));
            }
        });
        return sizes;
    }

    @Test
    void aNewProjectGroupsBySimilarityAndItsDialIsTurnedInAPreview() {
        Document page = page("");
        assertThat(page.select("select[name=method] option[selected]").attr("value"))
                .isEqualTo("similarity");
        assertThat(page.select("input[type=range][name=place]").attr("value")).isEqualTo("50");
        assertThat(page.select(".dial-named a")).hasSize(4);
        assertThat(page.select(".dial-named a[aria-current]").text()).startsWith("usual");
        assertThat(page.select("svg.dial-curve polyline")).hasSize(2);
        // No theme has formed, so none can be removed.
        assertThat(page.text()).doesNotContain("Remove the theme");
        Map<String, Integer> usual = sizes("");
        assertThat(usual).containsEntry("climbing shoes", 2).containsEntry("cheap climbing shoes", 3);
        String broad = page.select(".dial-named a").get(0).attr("href");
        assertThat(visitor.get(base + "/group" + broad).body()).contains("id=\"preview\"");
        String each = page.select(".dial-named a").get(3).attr("href");
        Document alone = page(each + "&view=list");
        assertThat(alone.select(".result-figures").text()).contains("12 groups");
        assertThat(sizes("")).as("nothing is adopted").isEqualTo(usual);
    }

    @Test
    void fieldsThatCannotBeMeantAreRefusedWithASentence() {
        for (String query : List.of("place=200", "least=0", "place=x", "least=5&most=3")) {
            assertThat(page("?dials=1&method=similarity&" + query)
                            .select("#message")
                            .text())
                    .as(query)
                    .isNotEmpty();
        }
    }

    @Test
    void themesCanBeChosenAndAdopted() {
        Document preview = page("?dials=1&method=themes&smallest=3&longest=4&stop=to+how");
        assertThat(preview.select("fieldset.pass")).hasSize(1);
        assertThat(preview.select("#preview")).hasSize(1);
        String adopt = preview.select("#preview form").first().attr("action");
        visitor.post(adopt, Map.of());
        assertThat(page("").select("select[name=method] option[selected]").attr("value"))
                .isEqualTo("themes");
    }

    @Test
    void groupsOfWhichNothingIsKeptComeFirstWhenAsked() {
        visitor.post(base + "/judge/row", Map.of("keyword", "climbing shoes", "to", "KEPT", "row", "0"));
        List<String> kept = page("?view=list&sort=kept").select("table.groups tbody tr:not(.ungrouped-row)").stream()
                .map(row -> row.select("td.number").get(1).text())
                .toList();
        assertThat(kept).hasSizeGreaterThan(1).endsWith("1").startsWith("0");
        List<String> fell = page("?view=list&sort=-kept").select("table.groups tbody tr:not(.ungrouped-row)").stream()
                .map(row -> row.select("td.number").get(1).text())
                .toList();
        assertThat(fell).startsWith("1");
    }

    @Test
    void adoptedGroupsStayWhileMoreIsGatheredAndFormAgainWhenAsked() {
        Map<String, Integer> before = sizes("");
        visitor.post(base + "/group/adopt", Map.of("on", "true"));
        gather("more.csv", "keyword\nclimbing shoes online\ncrash pad\ncrashpad\n");
        assertThat(sizes("")).isEqualTo(before);
        assertThat(page("").select(".adopting").text()).contains("Adopted");
        assertThat(page("").select("#since").text()).contains("2 keywords wait");
        Document left = page(page("").select("#since a").attr("href"));
        assertThat(left.select("table.members").text())
                .contains("climbing shoes online", "crashpad")
                .doesNotContain("quiet word");
        visitor.post(base + "/group/adopt", Map.of("on", "false"));
        assertThat(sizes("")).containsEntry("climbing shoes", 3).isNotEqualTo(before);
        visitor.post(base + "/undo", Map.of());
        assertThat(sizes("")).isEqualTo(before);
    }

    @Test
    void whatCameSinceJoinsTheNearestGroupsInOneAct() {
        visitor.post(base + "/group/adopt", Map.of("on", "true"));
        Map<String, Integer> before = sizes("");
        gather("more.csv", "keyword\nclimbing shoes online\ncrash pad\n");
        visitor.post(base + "/group/since", Map.of());
        assertThat(sizes(""))
                .containsEntry("climbing shoes", before.get("climbing shoes") + 1)
                .hasSameSizeAs(before);
        assertThat(page("").select("#since")).isEmpty();
        visitor.post(base + "/undo", Map.of());
        assertThat(sizes("")).isEqualTo(before);
    }

    @Test
    void adoptedBySimilarityGroupsStayAndGroupedAnewTheyAreSeenFirst() {
        String broad = page("").select(".dial-named a").get(0).attr("href");
        visitor.post(page(broad).select("#preview form").first().attr("action"), Map.of());
        Map<String, Integer> adopted = sizes("");
        visitor.post(base + "/ignore", Map.of("ignoredWord", "cheap", "ignored", "true"));
        visitor.post(base + "/group/same", Map.of("typed", "chalk, climbing", "way", "same"));
        assertThat(sizes("")).as("adopted").isEqualTo(adopted);
        String query = page("").select("#group-anew").attr("href");
        Document anew = page(query);
        assertThat(anew.select("#preview")).hasSize(1);
        assertThat(anew.select("#changes").text()).isNotEmpty();
        assertThat(sizes("")).isEqualTo(adopted);
        visitor.post(anew.select("#preview form").first().attr("action"), Map.of());
        assertThat(sizes("")).isNotEqualTo(adopted);
        assertThat(page("").select("#preview")).isEmpty();
        visitor.post(base + "/undo", Map.of());
        assertThat(sizes("")).isEqualTo(adopted);
        for (String one : List.of("group climbing shoes", "theme climbing", "group none such", "x")) {
            assertThat(page("?anew=" + one.replace(' ', '+')).select("#h-groups"))
                    .hasSize(1);
        }
    }

    @Test
    void aTableOfAdGroupsSaysWhatItMeansAndBecomesTheGroups() {
        gather(
                "plan.csv",
                "keyword,ad group\nclimbing shoes,Shoes <b>\ncheap climbing shoes,Shoes <b>\nchalk bag,Chalk\nchalk bag,Shoes <b>\n"
                        + "quiet word,-\n");
        Document opened = Jsoup.parse(visitor.get(base + "/gather").body());
        String action = opened.select("form.table-groups").attr("action");
        assertThat(opened.select("form.table-groups p").text())
                .contains("2 ad groups", "3 keywords", "1 stand in two ad groups");
        visitor.post(action, Map.of());
        assertThat(sizes("")).isEqualTo(Map.of("Shoes <b>", 2, "Chalk", 1));
        assertThat(visitor.get(base + "/group").body()).doesNotContain("Shoes <b>");
    }

    @Test
    void theBriefHasEveryKeywordThatIsLeft() {
        visitor.post(base + "/rules/word", Map.of("ruleWord", "chalkbag", "to", "DROPPED"));
        HttpResponse<String> brief = visitor.get(base + "/group/brief.txt");
        assertThat(brief.headers().firstValue("content-type").orElse("")).startsWith("text/plain");
        assertThat(brief.body())
                .startsWith("Please sort the keywords below")
                .contains("keyword,ad group\n", "\nclimbing shoes\n", "\nquiet word\n")
                .doesNotContain("\nchalkbag\n");
    }

    @Test
    void whatKeywordsMeanIsOfferedWhenItIsKnownAndStoppedWhenAsked() throws InterruptedException {
        assertThat(page("").select("#meaning").text()).isNotEmpty();
        Document page = page("");
        for (int i = 0; i < 1_200 && page.select("#meaning a").isEmpty(); i++) {
            Thread.sleep(100);
            page = page("");
        }
        Document with = page(page.select("#meaning a").attr("href").replaceAll(".*/group", ""));
        assertThat(with.select("input[name=meaning]").hasAttr("checked")).isTrue();
        assertThat(with.select("#preview")).hasSize(1);
        assertThat(visitor.post(base + "/group/meaning", Map.of("on", "false")).statusCode())
                .isLessThan(400);
        assertThat(visitor.get(base + "/group/meaning?dials=1").statusCode()).isEqualTo(200);
    }

    @Test
    void moreKeywordsThanAreComparedFormGroupsByThemesAndThePageSaysSo() {
        StringBuilder many = new StringBuilder("keyword\n");
        for (int i = 0; i <= 300; i++) {
            many.append("thing")
                    .append(i / 3)
                    .append(List.of(" lid\n", " roof\n", " stand\n").get(i % 3));
        }
        gather("many.csv", many.toString());
        assertThat(page("").select(".dial-named a")).hasSize(4);
        Document page = page("?dials=1&method=similarity&place=50&least=2&compared=300");
        assertThat(page.select("#meaning").text()).contains("form by themes", "300");
        assertThat(page.select("select[name=method] option[selected]").attr("value"))
                .as("what was asked for stays")
                .isEqualTo("similarity");
        assertThat(page.select(".dial-named a")).isEmpty();
        assertThat(page.select("input[name=compared]").attr("value")).isEqualTo("300");
        visitor.post(page.select("#preview form").first().attr("action"), Map.of());
        assertThat(page("").select("#meaning").text()).contains("form by themes", "300");
    }
}

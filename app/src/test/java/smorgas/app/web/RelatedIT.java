package smorgas.app.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.util.Map;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.junit.jupiter.api.Test;

/** Related terms of a seed and of a group, and put into it. */
class RelatedIT {

    private final Visitor visitor = new Visitor(Running.shared());

    @Test
    void whatSharesAPageIsFoundAndPutIntoTheGroup() {
        String base = "/projects/" + visitor.project("Related");
        visitor.upload(
                base + "/gather",
                Map.of(
                        "rival.csv",
                        ("keyword,url,position\ncedar hive,https://a.example/hives,1\n\"stand, <b>oak</b>\",https://a.example/hives,2\n"
                                        + "smoker,https://a.example/smoke,3\n")
                                .getBytes(StandardCharsets.UTF_8)));
        Document page = Jsoup.parse(visitor.get(base + "/related").body());
        assertThat(page.select("#related table")).isEmpty();
        page = Jsoup.parse(visitor.get(base + "/related?seed=Hive").body());
        assertThat(page.select("#related tbody tr").eachText())
                .singleElement()
                .asString()
                .startsWith("stand, <b>oak</b> 1 shared page");
        assertThat(page.select("#related p").eachText())
                .contains("1 keyword of the seed, and what is related to them.");
        visitor.post(base + "/tray/group", Map.of("intoGroup", "hives", "way", "into", "keyword", "cedar hive"));
        page = Jsoup.parse(visitor.get(base + "/related?group=hives").body());
        assertThat(page.select("#h-related").text()).isEqualTo("Related to hives");
        String text = page.select("#related [name=keyword]").val();
        visitor.post(
                base + "/tray/group",
                Map.of("intoGroup", page.select("#related [name=intoGroup]").val(), "way", "into", "keyword", text));
        assertThat(Jsoup.parse(visitor.get(base + "/related?group=hives").body())
                        .select("#related tbody tr"))
                .isEmpty();
        assertThat(visitor.get(base + "/related?seed=%3Cscript%3E").body()).doesNotContain("<script>\"");
    }
}

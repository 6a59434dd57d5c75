package smorgas.app.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** An existing campaign beside the groups: walked, decided ad group by ad group, and changed and changed back by files. */
class RestructureIT extends ProjectInBrowser {

    private static final String CAMPAIGN = """
            Campaign,Ad group,Keyword,Match type,Status,Max CPC,Final URL,Clicks,Impressions,Cost,Conversions
            C,Hives & more,bee hive,Exact,Enabled,0.50,https://bees.example/b,20,400,9,2
            C,Hives & more,cedar bee hive,Exact,Enabled,0.50,https://bees.example/b,10,200,4,1
            C,Hives & more,honey jar,Broad,Enabled,0.30,https://bees.example/j,7,90,2,0
            C,<b>Jars</b>,honey jars,Exact,Enabled,0.30,https://bees.example/j,5,80,2,0
            """;

    @Test
    void aCampaignIsSeenBesideTheGroupsAndChangedByFiles() {
        page.locator("[name=pasted]").fill(CAMPAIGN);
        press("Gather the paste");
        Visitor visitor = new Visitor(Running.shared());
        String project = base();
        String path = project.replaceAll("https?://[^/]+", "");
        for (String keyword : new String[] {"bee hive", "cedar bee hive"}) {
            visitor.get(path + "/sift");
            visitor.post(path + "/tray/group", Map.of("intoGroup", "hives", "way", "into", "keyword", keyword));
        }
        visitor.get(path + "/sift");
        visitor.post(path + "/tray/group", Map.of("intoGroup", "jars", "way", "into", "keyword", "honey jar"));
        visitor.get(path + "/sift");
        visitor.post(path + "/tray/group", Map.of("intoGroup", "jars", "way", "into", "keyword", "honey jars"));
        page.navigate(project + "/serve");
        page.locator("#to-restructure").click();
        Browsers.calm(page);
        assertThat(page.locator("#restructure")).containsText("2 ad groups run");
        assertThat(page.locator(".flow .ribbon")).hasCount(3);
        assertThat(page.locator(".jumps")).containsText("1 is split");
        assertThat(page.locator("#restructure tbody")).containsText("<b>Jars</b>");
        assertThat(page.locator("#restructure")).containsText("C / <b>Jars</b> as honey jars");
        assertThat(page.locator("#restructure")).containsText("No ad group does.");
        Browsers.axe(page);
        String basket = page.locator("[name=basket]").first().getAttribute("value");
        page.locator("#restructure tbody a").first().click();
        Browsers.calm(page);
        assertThat(page.locator("#h-opened")).containsText("is split");
        assertThat(page.locator("#restructure"))
                .containsText("It takes over from 1 ad group, 30 clicks of 600 impressions");
        String change = visitor.get(path + "/restructure/change.csv?basket=" + basket + "&prefix=New%20")
                .body();
        assertThat(change).contains("New Campaign 1,hives,,,Enabled").contains("C,Hives & more,,,Paused");
        String back = visitor.get(path + "/restructure/way-back.csv?basket=" + basket + "&prefix=New%20")
                .body();
        assertThat(back)
                .contains("New Campaign 1,hives,,,Paused")
                .contains("C,Hives & more,bee hive,Exact,Enabled,0.50");
        assertThat(visitor.get(path + "/restructure/change.csv?basket=" + basket + "&prefix=%3D")
                        .body())
                .contains("must not begin with =");
        assertThat(page.locator("#restructure")).containsText("bid 0.50");
        page.locator("#restructure th a", new Page.LocatorOptions().setHasText("Cost"))
                .click();
        Browsers.calm(page);
        assertThat(page.locator("#restructure th[aria-sort=descending]")).containsText("Cost");
        page.locator("#restructure tbody a").first().click();
        Browsers.calm(page);
        press("Keep it as one group");
        assertThat(page.locator("#message")).containsText("Hives & more".toLowerCase(java.util.Locale.ROOT));
        page.navigate(project + "/restructure?fate=STAYS");
        assertThat(page.locator("#restructure tbody tr")).hasCount(0);
        page.navigate(project + "/restructure?fate=JOINS");
        assertThat(page.locator("#restructure tbody tr")).hasCount(2);
        page.navigate(project + "/restructure/after");
        assertThat(page.locator("#after .empty")).isVisible();
        visitor.get(path + "/gather");
        visitor.upload(
                path + "/gather",
                Map.of(
                        "since.csv",
                        "keyword,clicks,impressions,conversions\nbee hive,90,400,3\n"
                                .getBytes(java.nio.charset.StandardCharsets.UTF_8)));
        page.navigate(project + "/restructure/after?before=" + basket);
        press("Compare");
        assertThat(page.locator("#after tbody tr").first()).containsText("All together");
        assertThat(page.locator("#after tbody")).containsText("rose");
        Browsers.axe(page);
    }
}

package smorgas.app.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.junit.jupiter.api.Test;

/** Word lists multiplied: told while one types, made a basket, a list, lines to copy; and the same lists again. */
class CombineIT extends ProjectInBrowser {

    @Test
    void fromAnEmptyProjectToKeywordsAndTheSameListsAgain() {
        page.locator("#to-combine").click();
        Browsers.calm(page);
        assertThat(page.locator("#combine-comes")).containsText("Write words into two columns");
        page.locator("[name=words0]").fill("red\nblue");
        page.locator("[name=words1]").fill("bee hive\nhoney jar\nsuit");
        assertThat(page.locator(".pair-count")).hasText("6 phrases");
        page.locator("[name=optional0]").check();
        assertThat(page.locator(".pair-count")).hasText("9 phrases");
        assertThat(page.locator("#combine-comes li").first()).hasText("red bee hive");
        page.locator("[name=types][value=EXACT]").check();
        Locator lines = page.locator("#combine-comes textarea");
        assertThat(lines).hasValue(java.util.regex.Pattern.compile("^\\[red bee hive]\n\\[red honey jar]"));
        page.locator("[name=most]").fill("8");
        assertThat(page.locator("#combine-comes .error")).hasText("More than the 8 that may come out.");
        page.locator("[name=most]").fill("100");
        page.locator("[name=name]").fill("Colours");
        Browsers.axe(page);
        press("Make a basket of them");
        assertThat(page.locator("table.baskets tbody tr")).hasCount(1);
        assertThat(page.locator("#h-opened")).hasText("Colours");
        assertThat(page.locator("#gather")).containsText("9 lines, combined word lists");
        page.locator("a:has-text('Combine the same lists again')").click();
        Browsers.calm(page);
        assertThat(page.locator("[name=words0]")).hasValue("red\nblue");
        assertThat(page.locator("[name=optional0]")).isChecked();
        assertThat(page.locator("#combine-comes")).containsText("0 new, 9 known");
        page.locator("[name=words1]").fill("bee hive\nhoney jar\nsuit\nveil");
        assertThat(page.locator("#combine-comes")).containsText("3 new, 9 known");
    }

    /** As somebody without scripts does it. */
    @Test
    void wordsComeOfListsAndGroupsAndVariantsGoIntoTheirGroup() {
        Visitor visitor = new Visitor(Running.shared());
        String base = "/projects/" + visitor.project("Variants");
        visitor.upload(
                base + "/gather",
                Map.of("l.csv", "keyword\nbee hive\n\"hive, <old>\"\nsmoker\n".getBytes(StandardCharsets.UTF_8)));
        for (String keyword : List.of("bee hive", "hive, <old>")) {
            visitor.post(base + "/tray/group", Map.of("intoGroup", "hives", "way", "into", "keyword", keyword));
        }
        visitor.get("/pantry");
        visitor.post("/pantry", Map.of("name", "Offers of tests", "kind", "OTHER", "words", "sale\nprice"));
        Document form =
                Jsoup.parse(visitor.get(base + "/combine?from=group:hives").body());
        assertThat(form.select("[name=words0]").text()).contains("bee hive", "hive, <old>");
        assertThat(form.select("[name=group]").val()).isEqualTo("hives");
        Map<String, String> fields = new LinkedHashMap<>(Map.of(
                "words0", "bee hive\nhive, <old>", "group", "hives", "most", "100", "between", " ", "once", "true"));
        fields.put("from1", "list:Offers of tests");
        fields.put("fill", "1");
        Document filled = Jsoup.parse(visitor.post(base + "/combine", fields).body());
        assertThat(filled.select("[name=words1]").text()).contains("sale", "price");
        assertThat(filled.select(".pair-count").text()).isEqualTo("4 phrases");
        fields.put("words1", "sale\nprice");
        Document gathered =
                Jsoup.parse(visitor.post(base + "/combine/basket", fields).body());
        assertThat(gathered.select("#gather").text()).contains("4 lines, combined word lists");
        // What has a sign in it that platforms refuse is not exported.
        assertThat(visitor.get(base + "/plan.csv").body())
                .contains("hives,bee hive sale,Phrase", "hives,bee hive price,Phrase")
                .doesNotContain("<old>");
        assertThat(visitor.post(base + "/combine/list", fields).body()).contains("is in the pantry");
        fields.put("words1", "");
        assertThat(visitor.post(base + "/combine/basket", fields).body())
                .contains("Combining takes 2 to 6 columns with words in them");
    }
}

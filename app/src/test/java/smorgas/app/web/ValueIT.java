package smorgas.app.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.options.FilePayload;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** What keywords may bring, what they must not trigger, what they did: assumed, looked after and read in the browser. */
class ValueIT extends ProjectInBrowser {

    private static final String LIST = "keyword,searches,cpc\nbee hive,18100,0.50\nwooden bee hive,900,0.40\n"
            + "wooden bee hive for sale,300,0.40\nbee hive uk,200,0.50\nhoney jar,1000,0.20\nhoney jar lids,400,0.20\n"
            + "honey jar with lid,300,\nsmoker,,0.30\nfree honey jar,90,0.10\nhoney job,40,0.10\n";

    private static final String REPORT = "search term,clicks,impressions,cost,conversions\nbee hive,200,2000,100.00,9\n"
            + "bee hive hair,120,900,60.00,0\nmead making kit,30,200,9.00,3\n";

    @BeforeEach
    void gather() {
        gather("list.csv", LIST, 1);
    }

    private void gather(String name, String text, int baskets) {
        page.locator("#files").setInputFiles(new FilePayload(name, "text/csv", text.getBytes(StandardCharsets.UTF_8)));
        assertThat(page.locator("table.baskets tbody tr")).hasCount(baskets);
    }

    private void visit(String step) {
        page.navigate(page.url().replaceAll("(/projects/\\d+).*", "$1/" + step));
        Browsers.calm(page);
    }

    private Locator row(String keyword) {
        return page.locator(".keyword-row[data-k='" + keyword + "']");
    }

    private void axe() {
        Browsers.axe(page);
    }

    @Test
    void assumptionsAreToldBeforeTheyAreSetAndTheTableSortsByEstimatedValue() {
        visit("sift?assume=all");
        page.locator("#a-CLICK_SHARE").fill("30");
        page.locator("#a-CONVERSION_RATE").fill("5%");
        page.locator("#a-CUSTOMER_SHARE").fill("10");
        page.locator("#a-VALUE").fill("lots");
        assertThat(page.locator("#estimated-value-expected")).containsText("\"lots\" is no number for");
        page.locator("#a-VALUE").fill("2,000");
        assertThat(page.locator("#estimated-value-expected")).containsText("63,990");
        assertThat(page.locator("#estimated-value-expected")).containsText("1 of 10 keywords unknown");
        assertThat(page.locator("th:has-text('Estimated value')")).hasCount(1);
        press("Assume this of all keywords");
        assertThat(page.locator("body")).containsText("Set the assumptions about estimated value");
        assertThat(row("bee hive")).containsText("54,300");
        assertThat(page.locator(".showing")).containsText("estimated value 63,9");
        axe();
        visit("sift?sort=-estimated_value&story=bee+hive");
        assertThat(page.locator(".keyword-row").first()).hasAttribute("data-k", "bee hive");
        assertThat(page.locator(".keyword-row").last()).hasAttribute("data-k", "smoker");
        assertThat(page.locator("#story")).containsText("30% of searches click, 5% of clicks convert");
        visit("sift?intent=commercial");
        assertThat(page.locator(".part").first()).containsText("commercial");
        assertThat(row("bee hive")).hasCount(1);
        visit("sift");
        page.evaluate("localStorage.setItem('smorgas-priority', 'open')");
        page.reload();
        Browsers.calm(page);
        press("For search ads");
        assertThat(page.locator("#priority-counts")).containsText("best tenth");
        page.locator("#p-BID").fill("200");
        assertThat(page.locator("#priority-counts")).containsText("Bid weighs -100 to 100, not 200");
        page.locator("#p-BID").fill("-5");
        assertThat(page.locator("#priority-counts")).containsText("fair");
        axe();
        press("Judge by these");
        page.locator("#priority-counts a").first().click();
        Browsers.calm(page);
        assertThat(page.locator(".keyword-row")).hasCount(1);
        visit("sift?assume=all");
        page.locator("#click-table summary").click();
        page.locator("#click-table textarea").fill("30\n40");
        press("Take these");
        assertThat(page.locator("body")).containsText("Place 2 has more clicks (40%) than place 1 (30%)");
    }

    @Test
    void aCarelessNegativeIsFoundMendedAndUndone() {
        visit("sift");
        page.locator(".word-list .w:has-text('honey')").first().click();
        page.locator("#menu a:has-text('Try it as a negative')").click();
        Browsers.calm(page);
        assertThat(page.locator("#tried")).containsText("It would block 4 keywords exported");
        page.locator("#try-text").fill("honey jar");
        assertThat(page.locator("#tried")).containsText("It would block 4 keywords exported");
        press("Export it");
        Locator held = page.locator("tr:has([data-word='honey jar'])");
        assertThat(held).containsText("not exported");
        axe();
        held.locator("button:has-text('Keep both')").click();
        Browsers.calm(page);
        assertThat(held).containsText("yes, as you said");
        press("Undo");
        assertThat(held).containsText("not exported");
        held.locator("button:has-text('Drop these')").click();
        Browsers.calm(page);
        assertThat(held).containsText("yes");
        assertThat(held.locator("details")).hasCount(0);
        page.locator("#try-text").fill("jar honey");
        page.locator("#try-type").selectOption("BROAD");
        assertThat(page.locator("#tried")).containsText("It would block 4 dropped");
        page.locator("summary:has-text('Free of charge')").click();
        assertThat(page.locator("details:has(> summary:has-text('Free of charge')) li"))
                .containsText("free");
    }

    @Test
    void groupsAreKeptApartAndThePlanSaysSo() throws IOException {
        visit("negatives");
        Locator apart = page.locator("section:has(#h-apart)");
        assertThat(apart).containsText("Always export these negatives");
        String told = apart.innerText();
        assertThat(told).contains("steer");
        press("Always export these negatives");
        visit("serve");
        assertThat(page.locator("section:has(#h-plan)")).containsText("of ad groups");
        Path plan =
                page.waitForDownload(() -> page.locator("#download").click()).path();
        assertThat(Files.readString(plan)).containsPattern("Campaign 1,[^,]+,[^,]+,Negative (phrase|exact),");
    }

    @Test
    void aReportIsGatheredAsEvidenceAndItsProposalsAreTaken() {
        gather("search terms.csv", REPORT, 2);
        page.locator("table.baskets a:has-text('search terms.csv')").first().click();
        Browsers.calm(page);
        press("It only adds data to keywords");
        visit("feedback");
        Locator wastes = page.locator("form:has(#h-wastes)");
        assertThat(wastes.locator("tbody tr")).hasCount(1);
        assertThat(wastes).containsText("nothing exported");
        assertThat(page.locator("[aria-label='Tick hair']")).isChecked();
        axe();
        page.locator("input[name=clicks]").fill("0");
        press("Set");
        assertThat(page.locator("body")).containsText("Clicks before a term is judged are 1 to 1,000,000, not 0");
        visit("feedback");
        press("Make the ticked ones negatives");
        assertThat(page.locator("form:has(#h-wastes)")).containsText("is one");
        press("Take the ticked ones as keywords");
        assertThat(page.locator("section:has(#h-wastes)")).containsText("Every term that converted is a keyword here.");
        visit("negatives");
        assertThat(page.locator("tr:has([data-word='hair'])")).containsText("yes");
        visit("sift?q=mead");
        assertThat(row("mead making kit")).hasCount(1);
    }
}

package smorgas.app.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.options.FilePayload;
import de.siegmar.fastcsv.reader.CsvReader;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** The choices of Serve told before they are set, ads, the check and what mends what it finds, and what leaves. */
class ServeIT extends ProjectInBrowser {

    private static final String LIST =
            "keyword,searches,low bid\nbee hive wooden,18100,0.50\nbee hive wooden kit,900,0.40\n"
                    + "bee hive wooden for sale,300,0.40\nhow to paint a bee hive wooden,200,\nhoney jar lid,1000,0.20\n"
                    + "honey jar lid gold,400,0.20\nhoney jar lid @ home,300,\nqueen cage,50,0.10\n";

    @BeforeEach
    void gather() {
        page.locator("#files")
                .setInputFiles(new FilePayload("list.csv", "text/csv", LIST.getBytes(StandardCharsets.UTF_8)));
        assertThat(page.locator("table.baskets tbody tr")).hasCount(1);
    }

    private void visit(String step) {
        page.navigate(page.url().replaceAll("(/projects/\\d+).*", "$1/" + step));
        Browsers.calm(page);
    }

    private Locator check(String kind) {
        return page.locator("#checks [data-kind=" + kind + "]");
    }

    private void axe() {
        Browsers.axe(page);
    }

    private List<List<String>> rows(String link) throws IOException {
        Download download = page.waitForDownload(() -> page.locator(link).click());
        return CsvReader.builder().ofCsvRecord(Files.readString(download.path())).stream()
                .map(record -> List.copyOf(record.getFields()))
                .toList();
    }

    @Test
    void aChoiceIsToldBeforeItIsSetAndAnAdGroupHasItsOwn() throws IOException {
        visit("serve");
        page.locator("[name=campaignsBy]").selectOption("MATCH_TYPE");
        assertThat(page.locator("#would-be")).containsText("Campaign 1 phrase");
        page.locator("[name=pattern]").fill("ads");
        assertThat(page.locator("#would-be")).containsText("needs {theme}");
        page.locator("[name=pattern]").fill("{number} {theme}");
        page.locator("[name=bidFrom]").selectOption("LOW_BID");
        page.locator("[name=oneKeyword]").check();
        assertThat(page.locator("#would-be tr:has-text('Ad groups')")).containsText("12");
        axe();
        press("Set");
        assertThat(page.locator("tr.campaign")).hasCount(2);
        assertThat(page.locator(".ad-group h3")).hasText("1 bee hive wooden");
        page.locator("[name=ownBid]").fill("0.75");
        page.locator("[name=ownPage]").fill("https://shop.example/hives");
        page.locator("form.own button").click();
        Browsers.calm(page);
        assertThat(page.locator(".ad-group")).containsText("Leads to https://shop.example/hives");
        List<List<String>> rows = rows("#download");
        assertThat(rows.getFirst()).endsWith("Max CPC", "Final URL");
        assertThat(rows)
                .contains(List.of(
                        "Campaign 1 exact",
                        "1 bee hive wooden",
                        "bee hive wooden",
                        "Exact",
                        "0.75",
                        "https://shop.example/hives"))
                .anyMatch(row -> row.contains("honey jar lid") && row.contains("0.20"));
        page.locator("button:has-text('Undo')").first().click();
        Browsers.calm(page);
        assertThat(page.locator("[name=ownBid]")).hasValue("");
    }

    @Test
    void theCheckFindsWhatIsOddAndEachIsMendedInPlace() throws IOException {
        visit("ads");
        page.locator("#templates [name=headlines]").first().fill("{Theme} of the Finest and Oldest Oak\n{price}");
        page.locator("#templates [name=descriptions]").first().fill("One.");
        page.locator("#templates [name=words]").fill("offer Free");
        press("Set the templates");
        assertThat(page.locator("body")).containsText("\"offer Free\" cannot be read");
        page.locator("#templates [name=headlines]").first().fill("{Theme} of the Finest and Oldest Oak\n{price}");
        page.locator("#templates [name=descriptions]").first().fill("One.");
        page.locator("#templates [name=words]").fill("offer: Free");
        press("Set the templates");
        assertThat(page.locator(".ad-text").first()).containsText("cut");
        axe();

        visit("serve");
        assertThat(page.locator("#checks li").first()).hasAttribute("data-kind", "NOT_EXPORTED");
        for (String kind : List.of("CUT_TEXT", "OPEN_FIELD", "THIN_AD", "NO_PAGE", "UNGROUPED")) {
            assertThat(check(kind)).hasCount(1);
        }
        axe();
        check("NOT_EXPORTED").locator("button").click();
        Browsers.calm(page);
        assertThat(check("NOT_EXPORTED")).hasCount(0);
        check("UNGROUPED").locator("button").click();
        Browsers.calm(page);
        assertThat(check("UNGROUPED")).hasCount(0);
        page.locator("[name=pagePattern]").fill("https://shop.example/{theme}");
        press("Set");
        assertThat(check("NO_PAGE")).hasCount(0);

        check("CUT_TEXT").locator("a:has-text('To the ads')").click();
        Browsers.calm(page);
        page.locator("#replace [name=find]").fill(" of the Finest and Oldest Oak");
        page.locator("#replace [name=with]").fill(" of Oak");
        press("Replace in all ads");
        page.locator("#replace [name=find]").fill("{price}");
        page.locator("#replace [name=with]").fill("{offer}");
        press("Replace in all ads");
        visit("serve");
        assertThat(check("CUT_TEXT")).hasCount(0);
        assertThat(check("OPEN_FIELD")).hasCount(0);
        page.locator("#other-formats summary").click();
        List<List<String>> everything = rows("#other-formats a:has-text('ad groups and ads')");
        assertThat(everything.getFirst()).contains("Headline 1", "Headline 2", "Description 1");
        assertThat(everything).anyMatch(row -> row.contains("Free") && row.contains("One."));
        assertThat(everything.toString()).doesNotContain("@ home");
    }

    @Test
    void keywordsAreCopiedInPieces() {
        page.context().grantPermissions(List.of("clipboard-write"));
        visit("pieces?size=2&as=SIGNS");
        assertThat(page.locator("#h-piece")).hasText("Piece 1 of 6");
        assertThat(page.locator("textarea.piece")).hasValue("\"bee hive wooden\"\n[bee hive wooden]");
        assertThat(page.locator(".copied")).isHidden();
        page.locator(".copy-piece").click();
        assertThat(page.locator(".copied")).isVisible();
        page.locator("[data-piece] a:has-text('Next')").click();
        Browsers.calm(page);
        assertThat(page.locator(".copied")).isHidden();
        page.locator("[data-piece] a:has-text('Before')").click();
        Browsers.calm(page);
        assertThat(page.locator(".copied")).isVisible();
        axe();
        page.locator("[name=as]").selectOption("FIGURES");
        Browsers.calm(page);
        assertThat(page.locator("textarea.piece")).hasValue("bee hive wooden\t18100\nbee hive wooden kit\t900");
    }

    @Test
    void aCampaignHasItsOwnNameBidAndNegatives() throws IOException {
        visit("serve");
        page.locator("[name=campaignsBy]").selectOption("MATCH_TYPE");
        press("Set");
        page.locator("[data-campaign='MATCH_TYPE:EXACT']").click();
        Browsers.calm(page);
        assertThat(page.locator("#campaign [name=bid]")).isHidden();
        page.locator("#campaign [name=ownName]").fill("Sure ones");
        page.locator("#campaign [name=ownBids]").check();
        page.locator("#campaign [name=bidFrom]").selectOption("LOW_BID");
        page.locator("#campaign [name=negatives]").fill("[bee hive toy]\n\"plastic\"\nbee hive");
        axe();
        page.locator("#campaign button").click();
        Browsers.calm(page);
        assertThat(page.locator("tr.campaign").last()).containsText("Sure ones");
        assertThat(page.locator(".problems").first()).containsText("bee hive would block 4 keywords");
        List<List<String>> rows = rows("#download");
        assertThat(rows)
                .contains(
                        List.of("Sure ones", "bee hive wooden", "bee hive wooden", "Exact", "0.50"),
                        List.of("Campaign 1 phrase", "bee hive wooden", "bee hive wooden", "Phrase", ""),
                        List.of("Sure ones", "", "bee hive toy", "Negative exact", ""));
    }

    /** As a client opens it: from a disk, on another machine. */
    @Test
    void theReportOpensFromAFileAndAsksTheNetworkForNothing() throws IOException {
        visit("serve");
        page.locator("#other-formats summary").click();
        Download download = page.waitForDownload(
                () -> page.locator("a:has-text('Report, a page of its own')").click());
        java.nio.file.Path file = Files.createTempFile("report", ".html");
        try {
            download.saveAs(file);
            List<String> asked = new ArrayList<>();
            page.onRequest(request -> asked.add(request.url()));
            page.navigate(file.toUri().toString());
            assertThat(page.locator("h1")).hasText("In a browser");
            assertThat(page.locator("figure svg")).hasCount(2);
            assertThat(asked).containsExactly(file.toUri().toString());
            axe();
        } finally {
            Files.delete(file);
        }
    }
}

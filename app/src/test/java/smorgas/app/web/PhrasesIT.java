package smorgas.app.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.assertions.LocatorAssertions;
import com.microsoft.playwright.options.FilePayload;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.junit.jupiter.api.Test;

/** Phrases of pages and of what somebody writes down, from an empty project to a basket. */
class PhrasesIT extends ProjectInBrowser {

    private void to(String tool) {
        page.locator("#to-" + tool).click();
        Browsers.calm(page);
    }

    private static byte[] zip() throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (ZipOutputStream zip = new ZipOutputStream(out)) {
            for (String page : new String[] {"a.html", "b.html"}) {
                zip.putNextEntry(new ZipEntry("site/" + page));
                zip.write(("<title>Cedar hive</title><p>Skip this. Start: cedar hive, hive <i>stand</i> <script>hive"
                                + " stand</script></p><p>=cmd|hive stand! <img alt='<b>hive stand</b>'>")
                        .getBytes(StandardCharsets.UTF_8));
            }
        }
        return out.toByteArray();
    }

    @Test
    void pagesOfAZipAreCountedBesideTheProjectAndMadeABasket() throws IOException {
        to("phrases");
        page.locator("[name=files]").setInputFiles(new FilePayload("site.zip", "application/zip", zip()));
        page.locator("[name=from]").fill("start:");
        press("Read the pages");
        Locator rows = page.locator("#phrases-page tbody tr");
        assertThat(rows.filter(new Locator.FilterOptions().setHasText("hive stand"))
                        .first())
                .containsText("a.html 3; b.html 3");
        assertThat(page.locator("#phrases-page tbody")).not().containsText("skip");
        Browsers.axe(page);
        // Settings are tried without sending the pages again.
        page.locator("[name=from]").fill("");
        page.locator("[name=leastWords]").fill("2");
        page.locator("[name=badWords]").fill("cedar");
        press("Read the pages");
        assertThat(page.locator("#phrases-page tbody")).not().containsText("cedar");
        Download text =
                page.waitForDownload(() -> page.getByText("As text with counts").click());
        assertThat(Files.readString(text.path())).contains("hive stand\t6");
        page.locator("[name=name]").fill("Rivals' pages");
        press("Make a basket of them");
        assertThat(page.locator("#h-opened")).hasText("Rivals' pages");
        assertThat(page.locator("#gather")).containsText("words of a page");
        assertThat(page.locator(".opened")).containsText("Phrases of 2 pages.");
        to("phrases");
        page.locator("[name=leastWords]").fill("2");
        page.locator("[name=onlyNew]").check();
        page.locator("[name=badWords]").fill("cedar");
        press("Read the pages");
        assertThat(page.locator(".phrases-told")).containsText("0 new");
    }

    @Test
    void thePagesOfTheDemosRivalsAreReadByAddressAndAgain() {
        to("phrases");
        press("Add the demo's rivals");
        assertThat(page.locator("[name=addresses]"))
                .hasValue(java.util.regex.Pattern.compile("skeplund.example/hives"));
        press("Read the pages");
        assertThat(page.locator(".phrases-told")).containsText("of 4 pages");
        press("Read addresses in the background");
        page.locator("#errands li").first().getByText("See the basket").click();
        Browsers.calm(page);
        assertThat(page.locator(".opened")).containsText("Phrases of 4 pages: https://brumvale.example/honey");
        press("Ask the same again");
        assertThat(page.locator("#errands"))
                .containsText("nothing new came", new LocatorAssertions.ContainsTextOptions().setTimeout(30_000));
        page.locator("a:has-text('Find phrases with other settings')").click();
        Browsers.calm(page);
        page.locator("[name=addresses]").fill("https://elsewhere.example/");
        press("Read the pages");
        assertThat(page.locator("#phrases-page .warns")).containsText("must be fetched: that is off");
        press("Read addresses in the background");
        assertThat(page.locator(".did")).containsText("fetching is off");
    }

    @Test
    void whatCustomersWouldSayIsJudgedBeforeItIsABasket() {
        to("brainstorm");
        press("Think of phrases");
        assertThat(page.locator("#brainstorm-page .error")).hasText("Write a sentence or two first.");
        page.locator("[name=offer]").fill("Cedar hives and <b>bee suits</b>.");
        page.locator("[name=customers]").fill("Beginners who want to keep bees in the city.");
        press("Think of phrases");
        Locator judged = page.locator(".judged");
        assertThat(judged.first()).containsText("cedar hives");
        assertThat(page.locator("[name=phrase][value='how to keep bees in the city']"))
                .isChecked();
        Browsers.axe(page);
        page.locator("[name=phrase][value='bee suits']").uncheck();
        int ticked = page.locator("[name=phrase]:checked").count();
        press("Make a basket of the ticked");
        assertThat(page.locator("#gather")).containsText(ticked + " lines, brainstorm");
        page.locator("a:has-text('Think of more')").click();
        Browsers.calm(page);
        assertThat(page.locator("[name=offer]")).hasValue("Cedar hives and <b>bee suits</b>.");
        assertThat(page.locator("[name=phrase][value='cedar hives']")).not().isChecked();
    }
}

package smorgas.app.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.options.FilePayload;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.List;
import java.util.zip.GZIPOutputStream;
import org.junit.jupiter.api.Test;

/** From the log of a server to groups by what visitors searched for and what they reached. */
class LogsIT extends ProjectInBrowser {

    private static String log() {
        StringBuilder log = new StringBuilder();
        int visitor = 0;
        for (String term : List.of("bee+hive", "bee+hive", "bee+hive+stand", "smoker", "mary%40post.example")) {
            String head = "10.0.0." + ++visitor + " - - [01/Mar/2026:10:0" + visitor + ":00 +0000] \"GET ";
            String tail = " HTTP/1.1\" 200 99 \"-\" \"reader/1.0\"\n";
            log.append(head).append("/find?q=").append(term).append(tail);
            if (visitor < 3) {
                log.append(head).append("/thanks").append(tail);
            }
        }
        return log + "10.0.0.9 - - [01/Mar/2026:10:0";
    }

    private static byte[] cut() throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (GZIPOutputStream gzip = new GZIPOutputStream(out)) {
            gzip.write(log().getBytes(StandardCharsets.UTF_8));
        }
        return Arrays.copyOf(out.toByteArray(), out.size() - 8);
    }

    @Test
    void aDamagedLogIsReadUntilItsDamage() throws IOException {
        page.locator("#to-logs").click();
        Browsers.calm(page);
        page.locator("[name=files]").setInputFiles(new FilePayload("cut.log.gz", "application/gzip", cut()));
        press("Count and make a basket");
        assertThat(page.locator(".did")).containsText("cut.log.gz is damaged and was read until there");
        assertThat(page.locator("#gather")).containsText("3 lines, access log");
    }

    @Test
    void searchesOfVisitorsBecomeABasketWithVisitsAndGoals() {
        page.locator("#to-logs").click();
        Browsers.calm(page);
        page.locator("[name=files]")
                .setInputFiles(new FilePayload("shop.log", "text/plain", log().getBytes(StandardCharsets.UTF_8)));
        page.locator("[name=goals]").fill("/thanks 2,5");
        Browsers.axe(page);
        press("Count and make a basket");
        assertThat(page.locator(".did")).containsText("Behind the page of a goal stands what it counts");
        page.locator("[name=files]")
                .setInputFiles(new FilePayload("shop.log", "text/plain", log().getBytes(StandardCharsets.UTF_8)));
        page.locator("[name=goals]").fill("/thanks 5");
        press("Count and make a basket");
        assertThat(page.locator("#h-opened")).hasText("Searches of shop.log");
        assertThat(page.locator("#gather")).containsText("3 lines, access log");
        assertThat(page.locator("#gather"))
                .containsText("8 lines with 5 searches; 1 search left out that looked like mail addresses or numbers of"
                        + " persons; 1 line not understood, the first line 8: it is cut off in its date.");
        assertThat(page.content()).doesNotContain("10.0.0.1").doesNotContain("post.example");
        page.locator("a:has-text('Count a log in the same way')").click();
        Browsers.calm(page);
        assertThat(page.locator("[name=goals]")).hasValue("/thanks 5");
        page.navigate(base() + "/sift?sort=-visits");
        Browsers.calm(page);
        assertThat(page.locator("thead")).containsText("Visits");
        assertThat(page.locator("tbody tr").first()).containsText("bee hive");
        page.navigate(base() + "/sift?sort=-goals");
        Browsers.calm(page);
        assertThat(page.locator("tbody tr").first()).containsText("10");
    }
}

package smorgas.app.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Route;
import com.microsoft.playwright.assertions.LocatorAssertions;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** Groups of very many keywords: a page that stands for the one asked for, until they are there. */
class WaitingIT extends ProjectInBrowser {

    private static final int LINES = 30_000;
    private static final double PATIENCE_MILLIS = 120_000;

    private static byte[] list() {
        String[] things = {"hive", "frame", "jar", "suit", "veil", "glove", "smoker", "feeder", "lid", "stand"};
        StringBuilder list = new StringBuilder("keyword,searches\n");
        for (int line = 0; line < LINES; line++) {
            list.append("oak")
                    .append(line % 613)
                    .append(' ')
                    .append(things[line % things.length])
                    .append(" kind")
                    .append(line)
                    .append(",10\n");
        }
        return list.toString().getBytes(StandardCharsets.UTF_8);
    }

    @Test
    void thePageOfManyGroupsSaysWhatIsDoneAndThenOpens() {
        Visitor visitor = new Visitor(Running.shared());
        String path = base().replaceAll("https?://[^/]+", "");
        visitor.get(path + "/gather");
        visitor.upload(path + "/gather", Map.of("many.csv", list()));
        page.navigate(base() + "/gather");
        assertThat(page.locator(".baskets tbody tr"))
                .hasCount(1, new LocatorAssertions.HasCountOptions().setTimeout(PATIENCE_MILLIS));
        String first = visitor.get(path + "/group").body();
        assertThat(first).as("at once, whatever there is").contains("id=\"work\"");
        // Held up, so that it stays while it is looked at; it may not be needed on a fast machine.
        page.route(
                "**/groups-found*",
                route -> route.fulfill(
                        new Route.FulfillOptions().setContentType("text/html").setBody("<div></div>")));
        page.navigate(base() + "/group");
        assertThat(page.locator("#group-map, #waiting").first()).isVisible();
        if (page.locator("#waiting").isVisible()) {
            assertThat(page.locator("#waiting")).containsText("30,000 keywords");
            Browsers.axe(page);
        }
        page.unroute("**/groups-found*");
        page.navigate(base() + "/group");
        assertThat(page.locator("#group-map"))
                .isVisible(new LocatorAssertions.IsVisibleOptions().setTimeout(PATIENCE_MILLIS));
        assertThat(page.locator("body")).hasClass("project-page");
        assertThat(visitor.get(path + "/groups-found").headers().firstValue("HX-Refresh"))
                .hasValue("true");
        assertThat(visitor.get(path + "/opened").headers().firstValue("HX-Refresh"))
                .hasValue("true");
    }
}

package smorgas.app.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.assertions.LocatorAssertions;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** Figures of keywords that lack them, asked of the simulated planner, and their mark wherever they show. */
class FiguresIT extends ProjectInBrowser {

    @Test
    void keywordsThatLackFiguresGetMadeUpOnesWhichCarryTheirMarkEverywhere() {
        page.locator("[name=pasted]")
                .fill("keyword,searches,low bid,high bid\nbee hive,100,1,2\ncedar bee hive,,,\nwasp trap,,,\n");
        press("Gather the paste");
        page.navigate(base() + "/gather");
        page.locator("#to-figures").click();
        Browsers.calm(page);
        assertThat(page.locator("#figures-lack"))
                .containsText("2 keywords lack searches or bids: they are asked for in 1 piece");
        assertThat(page.locator("#figures-lack li")).hasText(new String[] {"cedar bee hive", "wasp trap"});
        Browsers.axe(page);
        press("Ask for figures");
        page.locator("#errands li")
                .first()
                .getByText("See the basket")
                .click(new com.microsoft.playwright.Locator.ClickOptions().setTimeout(60_000));
        Browsers.calm(page);
        assertThat(page.locator(".opened")).containsText("Simulated: nobody has measured these.");
        assertThat(page.locator("#made-up")).containsText("Some figures are simulated");
        assertThat(page.locator("table.baskets tbody tr")).hasCount(2);
        String project = base();
        page.navigate(project + "/sift");
        assertThat(page.locator("tr:has-text('cedar')").first()).containsText("sim. ");
        Browsers.axe(page);
        page.navigate(project + "/figures");
        assertThat(page.locator("#figures-lack")).containsText("None of them lacks searches or bids.");

        Visitor visitor = new Visitor(Running.shared());
        String path = project.replaceAll("https?://[^/]+", "");
        assertThat(visitor.get(path + "/sift.csv").body())
                .contains(",Simulated")
                .contains("searches | low bid | high bid | competition");
        page.locator("#undo").click();
        Browsers.calm(page);
        assertThat(page.locator("#made-up")).hasCount(0, new LocatorAssertions.HasCountOptions().setTimeout(5_000));
        assertThat(visitor.get(path + "/sift.csv").body()).doesNotContain("Simulated");
    }

    @Test
    void whatCannotBeAskedIsToldInASentence() {
        Visitor visitor = new Visitor(Running.shared());
        String base = "/projects/" + visitor.project("Figures");
        visitor.get(base + "/figures");
        assertThat(visitor.post(base + "/figures/start", Map.of("planner", "nobody", "language", "en"))
                        .body())
                .contains("There is no planner of the name nobody");
        assertThat(visitor.post(base + "/figures/start", Map.of("planner", "Tollbeck (simulated)", "language", "en"))
                        .body())
                .contains("There is no keyword to ask for");
    }
}

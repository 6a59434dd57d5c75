package smorgas.app.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.assertions.LocatorAssertions;
import java.util.Map;
import java.util.regex.Pattern;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.junit.jupiter.api.Test;

/** Suggestions: told before, asked for in the background, stopped, gone on with, asked again, and waiting to be taken. */
class SuggestionsIT extends ProjectInBrowser {

    private static final Pattern BASKET = Pattern.compile("See the basket");

    private void sent() {
        assertThat(page.locator("#errands li").first().getByText(BASKET))
                .isVisible(new LocatorAssertions.IsVisibleOptions().setTimeout(60_000));
        page.locator("#errands li").first().getByText(BASKET).click();
        Browsers.calm(page);
    }

    @Test
    void fromAnEmptyProjectToSuggestionsAndWhatIsNewTheNextTime() {
        page.locator("#to-suggestions").click();
        Browsers.calm(page);
        assertThat(page.locator("#suggestions-queries")).containsText("Write a seed");
        page.locator("[name=seeds]").fill("bee hive\nhoney jar");
        assertThat(page.locator(".suggestions-count"))
                .hasText("54 queries are asked at each of 2 sources, 108 in all.");
        page.locator("[name=around][value=LETTERS_BEHIND]").uncheck();
        page.locator("[name=around][value=WORDS_BEFORE]").check();
        assertThat(page.locator("#suggestions-queries .error")).containsText("Write the words");
        page.locator("[name=words]").fill("how to make a\nbest");
        assertThat(page.locator(".suggestions-count")).containsText("6 queries are asked");
        assertThat(page.locator("#suggestions-queries li").nth(1)).hasText("how to make a bee hive");
        page.locator("[name=rounds]").fill("2");
        page.locator("[name=most]").fill("5");
        assertThat(page.locator(".suggestions-count"))
                .hasText("5 queries are asked at each of 2 sources, 10 in all; the other 1 of them are not. How many a"
                        + " later round has is told when it begins; it has at most 5.");
        page.locator("[name=name]").fill("Hives and jars");
        Browsers.axe(page);
        press("Ask for suggestions");
        sent();
        assertThat(page.locator("#h-opened")).hasText("Hives and jars");
        assertThat(page.locator("#gather")).containsText("suggestions");
        assertThat(page.locator(".opened")).containsText("Simulated: nobody has searched for these.");
        Locator rows = page.locator("table.baskets tbody tr");
        assertThat(rows).hasCount(1);
        press("Ask the same again");
        assertThat(page.locator("#errands"))
                .containsText(
                        "Hives and jars: nothing new came.",
                        new LocatorAssertions.ContainsTextOptions().setTimeout(60_000));
        page.locator("summary:has-text('Ask again by itself')").click();
        page.locator("[name=days]").fill("1");
        page.locator("[name=times]").fill("3");
        press("Set it");
        assertThat(page.locator(".opened"))
                .containsText("It is asked again by itself every day, 3 more times, next on");
        Browsers.axe(page);
        page.locator("summary:has-text('Ask again by itself')").click();
        press("No longer by itself");
        assertThat(page.locator(".opened")).not().containsText("every day");
        page.locator("a:has-text('Ask with other settings')").click();
        Browsers.calm(page);
        assertThat(page.locator("[name=words]")).hasValue("how to make a\nbest");
        assertThat(page.locator("[name=around][value=LETTERS_BEHIND]")).not().isChecked();
    }

    @Test
    void whatCameBeforeAStopStaysAndTheRestIsAskedLater() {
        page.locator("#to-suggestions").click();
        Browsers.calm(page);
        page.locator("[name=seeds]").fill("bee hive\nhoney jar\nbee suit\nsmoker\nqueen cage\nmite wash\nskep\nframe");
        press("Ask for suggestions");
        assertThat(page.locator("#errands")).containsText("of 216 queries");
        page.locator("#errands button:has-text('Stop')").click();
        sent();
        assertThat(page.locator(".opened")).containsText("not asked yet");
        int lines = lines();
        assertThat(lines).isPositive();
        press("Go on with the rest");
        sent();
        assertThat(page.locator(".opened")).not().containsText("not asked yet");
        assertThat(lines()).isGreaterThan(lines);
        assertThat(page.locator("table.baskets tbody tr")).hasCount(1);
    }

    @Test
    void seedsComeFromTheMenuOfAKeywordAndFromThePantry() {
        Visitor visitor = new Visitor(Running.shared());
        String base = "/projects/" + visitor.project("Seeds");
        visitor.get(base + "/suggestions");
        assertThat(visitor.post(
                                base + "/suggestions/keep",
                                Map.of("seeds", "queen cage\n<b>skep</b>", "name", "Seeds of tests", "rounds", "1"))
                        .body())
                .contains("&quot;Seeds of tests&quot; is in the pantry.");
        Document form = Jsoup.parse(visitor.get(base + "/suggestions?from=list:Seeds%20of%20tests&seed=hive")
                .body());
        assertThat(form.select("[name=seeds]").text()).contains("queen cage").contains("hive");
        assertThat(visitor.post(base + "/suggestions/keep", Map.of("seeds", " ", "name", "None", "rounds", "1"))
                        .body())
                .contains("Nothing was kept.");
        assertThat(visitor.post(base + "/suggestions/start", Map.of("seeds", "bee", "rounds", "9", "most", "1"))
                        .body())
                .contains("Nothing was asked.");
    }

    private int lines() {
        return Integer.parseInt(page.locator("table.baskets tbody tr td.number")
                .first()
                .textContent()
                .replace(",", ""));
    }
}

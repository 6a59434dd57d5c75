package smorgas.app.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.options.FilePayload;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** What a day at work asks for again and again, by mouse and by key. */
class DayIT extends ProjectInBrowser {

    private static final String LIST = "keyword,searches,cpc\nbee hive,900,0.50\nbee hives oak,200,0.40\n"
            + "how to keep bees at home,400,0.10\nlocal honey,90,0.20\nfree honey jar,40,0.05\nwax melter,,\n";

    private void gather() {
        page.locator("#files")
                .setInputFiles(new FilePayload("list.csv", "text/csv", LIST.getBytes(StandardCharsets.UTF_8)));
        assertThat(page.locator("table.baskets tbody tr")).hasCount(1);
    }

    private void visit(String step) {
        page.navigate(page.url().replaceAll("(/projects/\\d+).*", "$1/" + step));
        Browsers.calm(page);
    }

    private Locator row(String keyword) {
        return page.locator(".keyword-row[data-k='" + keyword + "']");
    }

    private Number top(String what) {
        return (Number) page.evaluate("w => document.querySelector(w).getBoundingClientRect().top", what);
    }

    @ParameterizedTest
    @ValueSource(ints = {1024, 1280})
    void theWorkBeginsHighUpAsSoonAsOneHasWorked(int width) {
        page.setViewportSize(width, 800);
        gather();
        assertThat(top("#work").intValue()).as("the whole band at first").isGreaterThan(150);
        visit("sift");
        row("free honey jar").click();
        Browsers.keys(page, "x");
        for (String step : List.of("gather", "fold", "sift", "group", "serve", "history", "keys")) {
            visit(step);
            assertThat(top("#work").intValue()).as(step).isLessThanOrEqualTo(110);
        }
        Browsers.keys(page, "b");
        assertThat(top("#work").intValue()).isGreaterThan(150);
        visit("sift");
        assertThat(top("#work").intValue()).as("it is remembered").isGreaterThan(150);
        page.locator("#band-turn").click();
        assertThat(top("#work").intValue()).isLessThanOrEqualTo(110);
    }

    @Test
    void whatIsNextLeadsOnByOneKey() {
        gather();
        assertThat(page.locator(".next")).hasText("Next: drop the words that do not fit");
        page.locator("h1").click();
        Browsers.keys(page, "l");
        assertThat(page).hasURL(Pattern.compile(".*/sift"));
        assertThat(page.locator(".next")).not().hasText("Next: drop the words that do not fit");
        row("free honey jar").click();
        Browsers.keys(page, "x");
        Browsers.keys(page, "l");
        assertThat(page).hasURL(Pattern.compile(".*/group"));
        assertThat(page.locator(".next")).hasText("Next: sift the 5 undecided, from the most searched down");
    }

    @Test
    void statusesAndViewsAreOneKeyAwayAndARowIsJudgedByMouse() {
        gather();
        visit("sift");
        row("free honey jar").hover();
        page.locator(".row-handles [data-to=DROPPED]").click();
        assertThat(row("free honey jar")).hasClass(Pattern.compile(".*dropped.*"));
        row("bee hive").hover();
        page.locator(".row-handles [data-to='']").click();
        assertThat(page.locator("#story")).containsText("bee hive");
        row("wax melter").click();
        Browsers.keys(page, "9");
        assertThat(page.locator(".keyword-row")).hasCount(1);
        assertThat(page.locator(".showing")).containsText("Searches \u2193");
        Browsers.keys(page, "s", "1");
        assertThat(page.locator(".keyword-row")).hasCount(1);
        assertThat(row("how to keep bees at home")).hasCount(1);
        Browsers.keys(page, "s", "2");
        assertThat(row("local honey")).hasCount(1);
        page.locator("#views-menu summary").click();
        page.locator("#views-menu a:has-text('Cheap and searched')").click();
        assertThat(row("how to keep bees at home")).hasCount(1);
    }

    @Test
    void theFieldInTheHeadFindsWhateverThereIs() {
        gather();
        visit("serve");
        page.locator("h2").first().click();
        Browsers.keys(page, "/");
        page.keyboard().type("split");
        assertThat(page.locator("#found a").first()).hasText(Pattern.compile("Break down, join.*"));
        page.locator("#find").fill("hive");
        assertThat(page.locator("#found")).containsText("bee hives oak");
        assertThat(page.locator("#found")).containsText("2 keywords");
        Browsers.keys(page, "ArrowDown", "Enter");
        assertThat(page.locator("#story")).containsText("bee hive");
        assertThat(page.locator("#found a")).hasCount(0);
        page.locator("#find").fill("<b>'");
        assertThat(page.locator("#found")).hasText("Nothing here is called so.");
    }

    @Test
    void axeFindsNothingOnWhatOpensOverAPage() {
        gather();
        visit("sift");
        row("bee hive").click();
        Browsers.keys(page, " ", "s");
        axe();
        Browsers.keys(page, "Escape");
        page.locator("#find").fill("hive");
        assertThat(page.locator("#found a").first()).isVisible();
        axe();
        row("free honey jar").locator(".w").nth(1).click();
        assertThat(page.locator("#menu")).containsText("Dropping would take");
        axe();
        visit("group");
        page.locator("#more-figures summary").click();
        page.locator("#more-dials summary").click();
        axe();
    }

    private void axe() {
        Browsers.axe(page);
    }

    @Test
    void aHintIsGoneForGoodWhenItWasClosed() {
        assertThat(page.locator(".hint-line")).containsText("Drop every list");
        page.getByLabel("Close the hint for good").click();
        assertThat(page.locator(".hint-line")).isHidden();
        page.reload();
        assertThat(page.locator(".hint-line")).isHidden();
        visit("fold");
        assertThat(page.locator(".hint-line")).isVisible();
    }

    @Test
    void whatIsTypedFiltersWhileOneTypesAndTheToolsStayWhereTheyAre() {
        gather();
        visit("sift");
        int before = top("#table-place").intValue();
        page.locator("#typed-text").click();
        page.keyboard().type("hive");
        assertThat(page.locator(".keyword-row")).hasCount(2);
        assertThat(page.locator(".showing")).containsText("2 of 6 keywords");
        page.keyboard().type("s");
        assertThat(page.locator(".keyword-row")).hasCount(1);
        assertThat(page.locator("#typed-text")).hasValue("hives");
        page.locator("#typed-text").fill("");
        page.locator("#typed-least").click();
        page.keyboard().type("400");
        assertThat(page.locator(".keyword-row")).hasCount(2);
        assertThat(page).hasURL(Pattern.compile(".*least=400.*"));
        assertThat(top("#table-place").intValue()).isEqualTo(before);
    }

    @Test
    void whatIsPickedIsCopiedAsLinesWithCommasAndWithFigures() {
        page.context().grantPermissions(List.of("clipboard-read", "clipboard-write"));
        gather();
        visit("sift");
        row("bee hive").click();
        Browsers.keys(page, " ", "ArrowDown", " ");
        for (Map.Entry<String, String> way : Map.of(
                        "lines", "bee hive\nhow to keep bees at home",
                        "commas", "bee hive, how to keep bees at home")
                .entrySet()) {
            page.locator("[data-copy=" + way.getKey() + "]").click();
            assertThat(page.locator("#message")).containsText("Copied 2 keywords");
            assertThat(page.evaluate("navigator.clipboard.readText()")).isEqualTo(way.getValue());
        }
        page.locator("[data-copy=figures]").click();
        assertThat(page.locator("#message")).containsText("with their figures");
        assertThat(page.evaluate("navigator.clipboard.readText()").toString())
                .startsWith("Keyword\t")
                .contains("bee hive\t", "\t900", "\t0.50");
    }

    @Test
    void aPasteMakesTheFirstProjectAndWhatWasGuessedIsPutRight() {
        Visitor visitor = new Visitor(Running.shared());
        visitor.get("/projects");
        HttpResponse<String> made = visitor.post(
                "/projects/begin",
                Map.of(
                        "pasted",
                        "gartenhaus kaufen\ngartenhaus für garten\n2. gartenhaus mit terrasse 90 \u20ac\ncarport"));
        String base = Pattern.compile("/projects/\\d+")
                .matcher(made.headers().firstValue("Location").orElse(made.uri().getPath()))
                .results()
                .findFirst()
                .orElseThrow()
                .group();
        Document gather = Jsoup.parse(visitor.get(base + "/gather").body());
        assertThat(gather.select("#about summary").text()).isEqualTo("Gartenhaus German \u00b7 EUR");
        assertThat(gather.select(".station").first().text()).contains("4 lines");
        visitor.post(base + "/about", Map.of("name", "Shed", "language", "en", "market", "UK", "currency", "gbp"));
        gather = Jsoup.parse(visitor.get(base + "/gather").body());
        assertThat(gather.select("#about summary").text()).isEqualTo("Shed English \u00b7 UK \u00b7 GBP");
        visitor.post(base + "/about", Map.of("name", "", "language", "xx", "market", "", "currency", "1"));
        gather = Jsoup.parse(visitor.get(base + "/gather").body());
        assertThat(gather.select("#about summary").text()).startsWith("Shed English");
        assertThat(visitor.post("/projects/begin", Map.of("pasted", " ")).statusCode())
                .isLessThan(500);
    }
}

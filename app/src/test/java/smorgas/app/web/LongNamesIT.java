package smorgas.app.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.options.FilePayload;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** A project of long names, long words and figures of twelve digits: nothing is cut off and no field leaves its panel. */
class LongNamesIT extends ProjectInBrowser {

    private static final String LONG_WORD = "donaudampfschifffahrtsgesellschaftskapitaensmuetzenhersteller";
    private static final String LONG_NAME =
            "The autumn campaign of all our shops in the north, with everything that was gathered since the last one in spring";

    private static final List<String> PAGES = List.of(
            "gather?basket=1",
            "compare",
            "fold",
            "sift",
            "sift?story=" + LONG_WORD + "+hive",
            "sift?q=" + LONG_WORD,
            "rules/build?how=ALL&part=0&kind=word&value=" + LONG_WORD + "&least=&most=",
            "group",
            "group?view=list",
            "group?view=doubts",
            "group?view=same",
            "group?view=candidates",
            "group?view=compare",
            "serve",
            "ads",
            "pieces",
            "history",
            "keys");

    /** Controls that stand out of what they are in, and pages that are wider than the window. */
    private static final String OUT = """
            () => {
              const out = [];
              const edge = document.documentElement;
              if (edge.scrollWidth > innerWidth) out.push(`page: ${edge.scrollWidth} px`);
              for (const one of document.querySelectorAll("#head :is(a, button, input, summary), #work :is(input, button, select, textarea, .button)")) {
                const box = one.getBoundingClientRect();
                // A closed menu's content keeps its box in some browsers.
                if (!one.checkVisibility() || one.matches(".unseen") || !box.width) continue;
                let place = one.parentElement;
                while (place !== document.body && !place.matches(".scrolls, .table-place, #head, section, aside, .menu, td, fieldset")) place = place.parentElement;
                const of = place.getBoundingClientRect();
                if (place.scrollWidth > place.clientWidth + 1 && getComputedStyle(place).overflowX === "auto") continue;
                if (box.right > of.right + 1 || box.left < of.left - 1)
                  out.push(`${one.outerHTML.slice(0, 90)} in ${place.className || place.tagName}: ${box.left | 0}-${box.right | 0} of ${of.left | 0}-${of.right | 0}`);
              }
              // Columns of the keyword table that do not fit are left out whole.
              for (const panel of document.querySelectorAll("#work .scrolls")) {
                if (panel.checkVisibility() && panel.scrollWidth > panel.clientWidth + 1)
                  out.push(`panel ${panel.className}: ${panel.scrollWidth} in ${panel.clientWidth}`);
              }
              for (const cell of document.querySelectorAll("#work td.number")) {
                if (cell.checkVisibility() && cell.scrollWidth > cell.clientWidth + 1) out.push(`figure: ${cell.textContent}`);
              }
              return out;
            }""";

    @ParameterizedTest
    @ValueSource(ints = {1024, 1280, 1920})
    void nothingIsCutOffOrLeavesItsPanel(int width) {
        page.setViewportSize(width, 800);
        StringBuilder list =
                new StringBuilder("keyword,searches,cpc,low bid,high bid,clicks,impressions,cost,conversions\n");
        for (String word :
                List.of("%s hive", "%s hive oak", "%s hive buy", "bee %s", "bee %s for sale", "bee hive %s near me")) {
            list.append(word.formatted(LONG_WORD)).append(",123456789012,123456.78,123456.70,123456.79,");
            list.append("123456789012,123456789012,123456789012.50,123456789012\n");
        }
        list.append(
                "bee hive that is asked for in a very long sentence with no end in sight and further words behind them,1\n");
        String name =
                "a-list-whose-name-goes-on-and-on-as-exports-of-some-tools-have-it-2026-05-01-2026-05-31-uk-en-all.csv";
        page.locator("#files")
                .setInputFiles(new FilePayload(name, "text/csv", list.toString().getBytes(StandardCharsets.UTF_8)));
        assertThat(page.locator("table.baskets tbody tr")).hasCount(1);
        page.locator("#about summary").click();
        page.locator("#about [name=name]").fill(LONG_NAME);
        page.locator("#about button").first().click();
        Browsers.calm(page);
        String base = page.url().replaceAll("(/projects/\\d+).*", "$1/");
        List<String> faults = new ArrayList<>();
        for (String step : PAGES) {
            page.navigate(base + step);
            Browsers.calm(page);
            for (Object fault : (List<?>) page.evaluate(OUT)) {
                faults.add(step + ": " + fault);
            }
        }
        assertThat(faults).isEmpty();
    }
}

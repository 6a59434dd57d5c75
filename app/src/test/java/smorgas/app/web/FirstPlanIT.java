package smorgas.app.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.FilePayload;
import de.siegmar.fastcsv.reader.CsvReader;
import de.siegmar.fastcsv.reader.NamedCsvRecord;
import java.io.IOException;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/**
 * From an empty folder to a plan on four ugly lists, as somebody works who knows the pages: what every act is, is counted, and
 * how long the pages let one wait is measured. Told in docs/performance.md; of the time nothing is asserted.
 */
class FirstPlanIT {

    /**
     * Seconds of somebody skilled: to think of it 1.35, to point 1.1, to press 0.2, a letter 0.28 (the keystroke-level model of
     * Card, Moran and Newell, 1980; figures from memory).
     */
    private static final double THINK = 1.35;

    private static final double POINT = 1.1;
    private static final double PRESS = .2;
    private static final double LETTER = .28;

    private static final List<String> PLANTED = List.of("jobs", "game", "drawing", "salary", "wallpaper", "costume");

    private static final List<String> WANTED = List.of(
            "electric cargo bike",
            "electric cargo bike family",
            "electric cargo bike two children",
            "cargo bike rain cover",
            "cargo bike rain cover black");

    @TempDir
    private Path data;

    private Page page;
    private int clicks;
    private int keys;
    private int fields;
    private double seconds;
    private long waited;

    private void click(Locator at) {
        clicks++;
        seconds += THINK + POINT + PRESS;
        at.click();
        adopt();
    }

    private void key(String key) {
        keys++;
        seconds += THINK + LETTER;
        page.keyboard().press(key);
        adopt();
    }

    private void adopt() {
        long from = System.nanoTime();
        Browsers.calm(page);
        waited += System.nanoTime() - from;
    }

    private int acts() {
        return clicks + keys + fields;
    }

    private String told(String until) {
        return String.format(
                "%s: %d acts (%d clicks, %d keys, %d fields), %.0f s by the model and %.1f s of waiting",
                until, acts(), clicks, keys, fields, seconds, waited / 1e9);
    }

    /** Ranges, two lines before the head, UTF-16. */
    private static byte[] planner() {
        StringBuilder text = new StringBuilder("Keywords of the season\n2026-05-01 - 2026-05-31\nKeyword\tCurrency\t")
                .append("Searches\tLow bid\tHigh bid\n");
        for (String kind : List.of("electric", "family", "folding", "used", "long tail")) {
            for (String with : List.of("", " family", " two children", " price", " test", " rental")) {
                text.append(kind)
                        .append(" cargo bike")
                        .append(kind.equals("family") && with.equals(" family") ? " uk" : with)
                        .append("\tGBP\t1K \u2013 10K\t0.40\t1.20\n");
            }
        }
        PLANTED.forEach(word -> text.append("cargo bike ").append(word).append("\tGBP\t100 \u2013 1K\t\t\n"));
        return text.toString().getBytes(StandardCharsets.UTF_16LE);
    }

    /** Semicolons, decimal commas, dots for thousands, a code page from before Unicode. */
    private static byte[] rival() {
        StringBuilder text = new StringBuilder("Position;Keyword;Searches;CPC\r\n");
        int position = 1;
        for (String part : List.of("rain cover", "bench", "battery", "place", "canopy")) {
            for (String with : List.of("", " black", " waterproof", " spare", " caf\u00e9")) {
                text.append(position++)
                        .append(";\"cargo bike ")
                        .append(part)
                        .append(with)
                        .append("\";1.")
                        .append(200 + position)
                        .append(";0,9")
                        .append(position % 10)
                        .append("\r\n");
            }
        }
        PLANTED.forEach(
                word -> text.append("50;\"best cargo bike ").append(word).append("\";90;0,10\r\n"));
        return text.toString().getBytes(Charset.forName("windows-1252"));
    }

    /** Numbers, bullets and blank lines. */
    private static byte[] notes() {
        StringBuilder text = new StringBuilder();
        int number = 1;
        for (String place : List.of("london", "leeds", "bristol", "york")) {
            for (String what : List.of("cargo bike shop", "cargo bike repair", "cargo bike hire")) {
                text.append(number++)
                        .append(". ")
                        .append(what)
                        .append(' ')
                        .append(place)
                        .append("\n\n");
            }
        }
        PLANTED.forEach(word -> text.append("  \u2022 Cargo Bike ").append(word).append(" 2026\n"));
        return text.toString().getBytes(StandardCharsets.UTF_8);
    }

    /** A table of a saved page. */
    private static byte[] saved() {
        StringBuilder text = new StringBuilder("<html><body><p>Report</p><table><tr><th>Keyword<th>Clicks<th>Cost");
        for (String one :
                List.of("electric cargo bike", "cargo bikes electric", "cargo-bike rain cover", "cargo trike")) {
            text.append("<tr><td><b>").append(one).append("</b><td>1,240<td>310.50");
        }
        PLANTED.forEach(word -> text.append("<tr><td>").append(word).append(" cargo bike<td>3<td>1.00"));
        return text.append("</table></body></html>").toString().getBytes(StandardCharsets.UTF_8);
    }

    @Test
    void fourUglyListsBecomeAPlanThatPassesAllChecks() throws IOException {
        try (Running server = Running.empty(data);
                BrowserContext context = Browsers.window()) {
            page = context.newPage();
            page.navigate(server.url("/projects"));
            clicks++;
            seconds += THINK + 2 * POINT + PRESS;
            page.locator("#files").setInputFiles(new FilePayload[] {
                new FilePayload("planner.csv", "text/csv", planner()),
                new FilePayload("rival.csv", "text/csv", rival()),
                new FilePayload("notes.txt", "text/plain", notes()),
                new FilePayload("saved.html", "text/html", saved())
            });
            assertThat(page.locator("table.baskets tbody tr")).hasCount(4);
            page.locator("h1").first().focus();

            key("3");
            for (String word : PLANTED) {
                click(page.locator(".word-list .w")
                        .filter(new Locator.FilterOptions().setHasText(word))
                        .first());
                click(page.locator("#menu .is-drop"));
            }
            key("4");
            assertThat(page.locator(".members .keyword-row").first()).isVisible();
            System.out.println(told("To the first groups"));
            assertThat(acts()).as("acts to the first groups").isLessThanOrEqualTo(30);

            key("3");
            for (String word : List.of("electric", "cover")) {
                click(page.locator(".word-list .w")
                        .filter(new Locator.FilterOptions().setHasText(word))
                        .first());
                click(page.locator("#menu .is-keep"));
            }
            key("4");
            click(page.getByText("Adopt these groups"));
            key("5");
            assertThat(page.locator(".checks .all-well")).hasText("Nothing to mend.");
            Path plan = page.waitForDownload(() -> {
                        clicks++;
                        seconds += THINK + POINT + PRESS;
                        page.locator("a[href$='plan.csv'], a[href*='plan.csv']")
                                .first()
                                .click();
                    })
                    .path();
            System.out.println(told("To the plan"));
            assertThat(acts()).as("acts to the plan").isLessThanOrEqualTo(60);

            List<String> exported = new ArrayList<>();
            try (CsvReader<NamedCsvRecord> rows = CsvReader.builder().ofNamedCsvRecord(plan)) {
                rows.stream()
                        .filter(row -> !row.getField("Keyword").isEmpty())
                        .filter(row -> !row.toString().contains("egative"))
                        .forEach(row -> exported.add(row.getField("Keyword")));
            }
            assertThat(exported).containsAll(WANTED);
            assertThat(exported).noneMatch(keyword -> PLANTED.stream().anyMatch(keyword::contains));
        }
    }
}

package smorgas.app.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.deque.html.axecore.results.Rule;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.ColorScheme;
import com.microsoft.playwright.options.FilePayload;
import de.siegmar.fastcsv.reader.CsvReader;
import de.siegmar.fastcsv.reader.CsvRecord;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import smorgas.app.demo.DemoLists;

/** The whole job in a browser, by hand and by key. */
class BrowserIT {

    private static final List<String> VIEWS = List.of(
            "/projects",
            "/projects/bin",
            "/projects/1/gather",
            "/projects/1/compare?left=status:KEPT&right=plan",
            "/projects/1/fold",
            "/projects/1/sift",
            "/projects/1/sift?offer=hive&story=bee+hive",
            "/projects/1/rules/build?how=ALL&part=0&kind=word&value=hive&least=&most=",
            "/pantry",
            "/projects/1/group",
            "/projects/1/group?view=tree",
            "/projects/1/group?view=list&group=hive+kit&parts=true",
            "/projects/1/group?view=doubts",
            "/projects/1/group?view=same",
            "/projects/1/group?view=net",
            "/projects/1/group?view=candidates&q=hive&candidate=hive+kit&parts=true",
            "/projects/1/group?view=compare&smallest=40",
            "/projects/1/group?smallest=9&shortest=1&longest=3&tightness=0&ignored=bee&stop=for",
            "/projects/1/sift?assume=tag:question&sort=-estimated_value",
            "/projects/1/serve",
            "/projects/1/ads",
            "/projects/1/pieces",
            "/projects/1/negatives",
            "/projects/1/feedback",
            "/projects/1/history",
            "/projects/1/keys",
            "/no/such/page");

    private final Running server = Running.shared();
    private final List<String> complaints = new ArrayList<>();
    private BrowserContext context;
    private Page page;

    @BeforeEach
    void open() {
        context = Browsers.window();
        page = context.newPage();
        page.onConsoleMessage(message -> {
            // The page that does not exist says so in the console by itself.
            if (message.type().equals("error") && !message.text().contains("404")) {
                complaints.add(page.url() + ": " + message.text());
            }
        });
        page.onPageError(fault -> complaints.add(page.url() + ": " + fault));
        page.onDialog(dialog -> {
            complaints.add("a dialog: " + dialog.message());
            dialog.dismiss();
        });
    }

    @AfterEach
    void noScriptComplained() {
        context.close();
        assertThat(complaints).isEmpty();
    }

    private void visit(String path) {
        page.navigate(server.url(path));
    }

    /** A project of its own, with these lists in. */
    private void projectWith(FilePayload... lists) {
        visit("/projects");
        page.getByLabel("Name", new Page.GetByLabelOptions().setExact(true)).fill("Browser test");
        page.getByLabel("Currency").fill("GBP");
        button("Make the project").click();
        page.locator("#files").setInputFiles(lists);
        assertThat(page.locator("table.baskets tbody tr")).hasCount(lists.length);
    }

    private static FilePayload list(String name, String text) {
        return new FilePayload(name, "text/csv", text.getBytes(StandardCharsets.UTF_8));
    }

    private Locator button(String name) {
        return page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name));
    }

    private Locator row(String keyword) {
        return page.locator("tr.keyword-row[data-k=\"" + keyword + "\"]");
    }

    private Locator message() {
        return page.locator("#message");
    }

    private Locator station(String name) {
        return page.locator(".station:has-text(\"" + name + "\")");
    }

    @Test
    void theWholeJobOnADemoList() {
        projectWith(new FilePayload(
                "planner-export-hives.csv", "text/csv", DemoLists.make().get("planner-export-hives.csv")));
        assertThat(station("Gather")).containsText(java.util.regex.Pattern.compile("1,\\d{3} lines"));
        assertThat(page.locator(".opened")).containsText("UTF-16LE");

        station("Sift").click();
        page.locator(".word-list .w", new Page.LocatorOptions().setHasText("national"))
                .first()
                .click();
        Locator drop = page.locator("#menu .is-drop");
        String offered = drop.innerText();
        int count = Integer.parseInt(offered.replaceAll("\\D", ""));
        assertThat(count).isPositive();
        drop.click();
        assertThat(message()).containsText("New rule: Drop keywords with the word \"national\"");
        assertThat(message()).containsText("Dropped 0 → " + count);
        assertThat(page.locator(".piece.dropped")).hasCount(1);

        button("Undo").click();
        assertThat(message()).containsText("Undid: New rule");
        assertThat(page.locator(".piece.dropped")).hasCount(0);
        button("Redo").click();
        assertThat(page.locator(".piece.dropped")).hasCount(1);

        station("Group").click();
        String groups = page.locator(".result-figures b").first().innerText();
        page.getByLabel("Smallest group").fill("12");
        page.getByLabel("Smallest group").press("Tab");
        assertThat(page.locator("#preview")).isVisible();
        assertThat(page.locator(".result-figures")).containsText("(now " + groups + ")");
        button("Adopt").click();
        assertThat(message())
                .containsText("Set the groups to keywords that are alike, neither broad nor tight, 12 and more");
        String adopted = page.locator(".result-figures b").first().innerText();

        station("Serve").click();
        Download download = page.waitForDownload(() -> page.locator("#download").click());
        List<CsvRecord> rows;
        try (var in = download.createReadStream()) {
            rows = CsvReader.builder().ofCsvRecord(new String(in.readAllBytes(), StandardCharsets.UTF_8)).stream()
                    .skip(1)
                    .toList();
        } catch (java.io.IOException e) {
            throw new java.io.UncheckedIOException(e);
        }
        List<CsvRecord> keywords =
                rows.stream().filter(r -> !r.getField(3).startsWith("Negative")).toList();
        assertThat(keywords.stream().map(r -> r.getField(1)).distinct().count())
                .isEqualTo(Long.parseLong(adopted.replace(",", "")));
        assertThat(keywords).allSatisfy(r -> {
            assertThat(List.of(r.getField(2).split(" "))).doesNotContain("national");
        });
        assertThat(rows).anySatisfy(r -> assertThat(r.getFields())
                .containsExactly("Campaign 1", "", "national", "Negative phrase", ""));
    }

    @Test
    void judgingPickingAndUndoingByKeyAlone() {
        projectWith(list("list.csv", "keyword,searches\nbee hive,900\nbee suit,800\nqueen cage,700\nsmoker,600\n"));
        Browsers.keys(page, "3");
        assertThat(row("bee hive")).hasClass(java.util.regex.Pattern.compile(".*\\bat\\b.*"));

        Browsers.keys(page, "k");
        assertThat(row("bee hive")).containsText("Kept");
        // Judging has moved on to the next keyword.
        Browsers.keys(page, "x");
        assertThat(row("bee suit")).containsText("Dropped");
        Browsers.keys(page, "Control+z");
        assertThat(row("bee suit")).containsText("Undecided");

        // Nobody waits for an answer between two keys.
        Browsers.keys(page, "Home");
        for (String key : List.of("x", "k", "u", "Control+z", "Control+z")) {
            page.keyboard().press(key);
        }
        assertThat(row("bee hive")).containsText("Dropped");
        assertThat(message()).containsText("Undid: Kept \"bee suit\"");
        Browsers.keys(page, "End");
        Browsers.keys(page, "Space");
        Browsers.keys(page, "Shift+ArrowUp");
        assertThat(page.locator("#tray")).containsText("2 keywords picked · 1,300 searches");
        Browsers.keys(page, "Shift+X");
        assertThat(row("smoker")).containsText("Dropped");
        assertThat(row("queen cage")).containsText("Dropped");
        assertThat(page.locator(".tray")).hasCount(0);

        Browsers.keys(page, "Home");
        Browsers.keys(page, "w");
        Browsers.keys(page, "ArrowRight");
        Browsers.keys(page, "Enter");
        assertThat(page.locator("#menu .called-name")).hasText("hive");
        Browsers.keys(page, "Escape");
        Browsers.keys(page, "Enter");
        assertThat(page.locator("#story")).containsText("list.csv, line 2");

        Browsers.keys(page, "/");
        page.keyboard().type("queen");
        Browsers.keys(page, "Enter");
        assertThat(page.locator("tr.keyword-row")).hasCount(1);
        Browsers.keys(page, "5");
        assertThat(page.locator("#serve")).isVisible();
        Browsers.keys(page, "?");
        assertThat(page.locator("h1")).hasText("Help and keys");
    }

    @Test
    void aTrayIsKeptAcrossSearchesAndPages() {
        projectWith(list("list.txt", "bee hive\nbee suit\nqueen cage\nhive stand\n"));
        visitStep("sift?q=suit");
        row("bee suit").locator(".pick input").check();
        assertThat(page.locator("#tray")).containsText("1 keyword");
        page.locator(".part").click();
        assertThat(page.locator("tr.keyword-row")).hasCount(4);
        assertThat(row("bee suit").locator(".pick input")).isChecked();
        row("hive stand")
                .click(new Locator.ClickOptions()
                        .setModifiers(List.of(com.microsoft.playwright.options.KeyboardModifier.CONTROL)));
        assertThat(page.locator("#tray")).containsText("2 keywords");
        assertThat(page.locator("#tray-texts")).hasValue("bee suit\nhive stand");
    }

    private void visitStep(String step) {
        page.navigate(page.url().replaceAll("/gather.*", "/" + step));
    }

    @Test
    void hostileListsRunNothing() {
        projectWith(list(
                "<svg onload=alert(1)>.csv",
                "keyword,searches\n<script>alert(1)</script> hive,5\n\"\"\"><img src=x onerror=alert(2)> hive\",7\n"
                        + "javascript:alert(3) hive,9\n"));
        for (String step : List.of("fold", "sift", "group", "serve", "history")) {
            visitStepFrom(step);
            assertThat(page.locator("h1").first()).isAttached();
        }
        visitStepFrom("sift");
        page.locator("tr.keyword-row").nth(1).locator(".w").first().click();
        assertThat(page.locator("#menu .called-name")).isVisible();
        Browsers.keys(page, "Escape");
        Browsers.keys(page, "Enter");
        assertThat(page.locator("#story")).isVisible();
    }

    private void visitStepFrom(String step) {
        page.navigate(page.url().replaceAll("(/projects/\\d+)/.*", "$1/" + step));
    }

    @Test
    void pastingAListAndDroppingAWorkbookAreBothAnsweredInWords() {
        projectWith(list("list.txt", "bee hive\n"));
        page.getByText("Paste a list").click();
        page.getByLabel("Keywords, one a line").fill("1. bee hive\n2. bee suit\n");
        button("Gather the paste").click();
        assertThat(page.locator("table.baskets tbody tr")).hasCount(2);
        assertThat(page.locator(".opened")).containsText("Pasted list");
        page.locator("#files")
                .setInputFiles(new FilePayload("book.xlsx", "application/zip", new byte[] {'P', 'K', 3, 4, 0, 0}));
        assertThat(message()).containsText("book.xlsx: The ZIP file is damaged");
        assertThat(page.locator("table.baskets tbody tr")).hasCount(2);
    }

    @Test
    void anEmptyProjectTellsWhatToDoOnEveryPage() {
        visit("/projects");
        page.getByLabel("Name", new Page.GetByLabelOptions().setExact(true)).fill("Empty");
        page.getByLabel("Currency").fill("EUR");
        button("Make the project").click();
        assertThat(page.locator("h1")).hasText("Gather your first lists");
        for (String step : List.of("fold", "sift", "group", "serve", "history", "keys")) {
            visitStepFrom(step);
            assertThat(page.locator(".next")).hasText("Next: gather your first lists");
        }
        visitStepFrom("gather");
        button("Try it with the demo lists").click();
        assertThat(page.locator("table.baskets tbody tr"))
                .hasCount(DemoLists.make().size());
    }

    /** The dark page is the light one in other colours: only these are looked at again, when the page has followed. */
    @Test
    void axeFindsNothingOnAnyMainViewLightOrDarkAndNoneIsWiderThanTheWindow() {
        List<String> found = new ArrayList<>();
        for (String view : VIEWS) {
            page.setViewportSize(1280, 800);
            page.emulateMedia(new Page.EmulateMediaOptions().setColorScheme(ColorScheme.LIGHT));
            visit(view);
            page.waitForFunction("() => !document.querySelector('.htmx-request')");
            notWiderThanTheWindow(view);
            // The two hundredth row is made as the eighth is.
            page.evaluate("document.querySelectorAll('tbody > tr:nth-child(n+9), .word-list > *:nth-child(n+9),"
                    + " svg g > *:nth-child(n+31)').forEach(more => more.remove())");
            found.addAll(told(view, Browsers.newViolations(page)));
            page.setViewportSize(1024, 800);
            page.emulateMedia(new Page.EmulateMediaOptions().setColorScheme(ColorScheme.DARK));
            page.waitForFunction("() => document.documentElement.dataset.theme === 'dark'");
            notWiderThanTheWindow(view);
            found.addAll(told(view + " (dark)", Browsers.newContrasts(page)));
        }
        assertThat(found).isEmpty();
    }

    private void notWiderThanTheWindow(String view) {
        assertThat((Boolean) page.evaluate("document.documentElement.scrollWidth <= innerWidth"
                        + " && [...document.querySelectorAll('#work, #head')]"
                        + ".every(e => e.scrollWidth <= e.clientWidth + 1)"))
                .as(view)
                .isTrue();
    }

    private static List<String> told(String view, List<Rule> broken) {
        return broken.stream()
                .flatMap(
                        rule -> rule.getNodes().stream().map(node -> view + " " + rule.getId() + ": " + node.getHtml()))
                .toList();
    }

    /** A check that hands over only what is wrong, and looks at one colour once, must still find it. */
    @Test
    void theAccessibilityChecksFindWhatIsPlanted() {
        visit("/projects");
        page.setContent(
                "<html lang='en'><head><title>t</title></head><body><main><h1>x</h1><img width='9' height='9' />"
                        + "<p>pale</p></main></body></html>");
        page.evaluate("document.querySelector('p').style.cssText = 'color: #ccc; background: #fff'");
        assertThat(Browsers.newViolations(page)).extracting(Rule::getId).contains("image-alt", "color-contrast");
        assertThat(Browsers.newContrasts(page)).isEmpty();
        page.evaluate("document.querySelector('p').style.background = '#eee'");
        assertThat(Browsers.newContrasts(page)).extracting(Rule::getId).containsExactly("color-contrast");
    }
}

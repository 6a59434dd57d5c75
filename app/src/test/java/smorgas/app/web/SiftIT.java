package smorgas.app.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.FilePayload;
import java.nio.charset.StandardCharsets;
import java.util.regex.Pattern;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** Sift in a browser: keys, words, rules that are built, families, columns, trims, tags, two tabs, the pantry. */
class SiftIT extends ProjectInBrowser {

    @BeforeEach
    void open() {
        StringBuilder list = new StringBuilder("Keyword,Search volume,Notes,Jan 2026,Feb 2026\n");
        list.append("bee hive,900,ours,10,20\nwooden hives,800,,,\nfree hive plans,700,<b>no</b>,1,2\n");
        list.append("how to use a smoker,600,,,\nskeplund smoker,500,,,\nfree smoker,400,,,\n");
        for (int i = 0; i < 500; i++) {
            list.append("jar ")
                    .append(1_000 + i)
                    .append(",")
                    .append(300 - i / 2)
                    .append(",,,\n");
        }
        page.locator("#files")
                .setInputFiles(
                        new FilePayload("list.csv", "text/csv", list.toString().getBytes(StandardCharsets.UTF_8)));
        assertThat(page.locator("table.baskets tbody tr")).hasCount(1);
        page.navigate(page.url().replaceAll("/gather.*", "/sift"));
        assertThat(rows()).hasCount(200);
    }

    private Locator rows() {
        return page.locator(".keyword-row");
    }

    private Locator row(String keyword) {
        return page.locator(".keyword-row[data-k='" + keyword + "']");
    }

    private Locator message() {
        return page.locator("#message");
    }

    private void keys(String... keys) {
        Browsers.keys(page, keys);
    }

    private void set(String field, String value) {
        page.locator(field).fill(value);
        page.locator(field).press("Tab");
        Browsers.calm(page);
    }

    private void choose(String field, String option) {
        page.locator(field).selectOption(option);
        Browsers.calm(page);
    }

    private void status(String keyword, String status) {
        assertThat(row(keyword)).hasClass(Pattern.compile(".*" + status + ".*"));
    }

    @Test
    void keysGoOnAfterALinkToAnotherListAndSayWhyTheyDoNothing() {
        page.locator("#table-place").focus();
        keys("Home", "k");
        status("bee hive", "kept");
        page.locator(".status-links a >> text=Undecided").click();
        Browsers.calm(page);
        assertThat(page.locator(".keyword-row.at")).hasCount(1);
        String current = page.locator(".keyword-row.at").getAttribute("data-k");
        keys("x");
        Browsers.calm(page);
        page.navigate(page.url().replaceAll("/sift.*", "/sift?status=dropped"));
        assertThat(row(current)).hasCount(1);
        page.navigate(page.url().replaceAll("/sift.*", "/sift?q=nosuchkeyword"));
        keys("k");
        assertThat(message()).containsText("no keyword on view");
    }

    @Test
    void keysAloneAreEnoughAndNothingJudgedIsLostByAReload() {
        page.locator("#table-place").focus();
        keys("Home", "k", "k");
        status("bee hive", "kept");
        status("wooden hives", "kept");
        // Judging moved on to the third: into its words, and drop all with the first.
        keys("w");
        assertThat(page.locator(".w.in")).hasText("free");
        keys("Enter");
        assertThat(page.locator("#menu")).containsText("2 keywords");
        Locator drop = page.getByText("Drop all: changes 2");
        drop.focus();
        keys("Enter");
        assertThat(message()).containsText("New rule: Drop keywords with the word \"free\"");
        status("free hive plans", "dropped");
        status("free smoker", "dropped");
        page.locator("#table-place").focus();
        keys("ArrowDown", "t");
        page.keyboard().type("question");
        keys("Enter");
        assertThat(message()).containsText("Tagged \"how to use a smoker\" \"question\"");
        assertThat(row("how to use a smoker").locator(".a-tag")).hasText("question");
        page.reload();
        status("bee hive", "kept");
        status("free smoker", "dropped");
        assertThat(row("how to use a smoker").locator(".a-tag")).hasText("question");
        keys("Control+z", "Control+z");
        assertThat(message()).containsText("Undid: New rule");
        status("free smoker", "undecided");
    }

    @Test
    void aRuleIsBuiltByPickingAndTellsWhatItWouldDoBeforeItDoes() {
        page.locator("#rules").evaluate("d => d.open = true");
        page.locator("#new-rule").click();
        set("#value-0", "smoker");
        assertThat(page.locator(".build-sentence")).hasText("Keywords with the word \"smoker\"");
        assertThat(page.locator("[aria-labelledby=h-effect]")).containsText("Dropping them changes 3");
        press("Add a row");
        choose("#kind-1", "figure:SEARCHES");
        set("#least-1", "450");
        assertThat(page.locator(".build-sentence")).containsText("and with 450 searches and more");
        press("Add a part that must hold too");
        choose("#how-1", "NONE");
        choose("#kind-2", "starts");
        set("#value-2", "how to");
        assertThat(page.locator(".build-sentence")).containsText("but not that start with \"how to\"");
        assertThat(page.locator(".samples-list li")).hasText(new String[] {"skeplund smoker"});
        press("Drop such keywords");
        assertThat(page.locator("h1")).hasText("Sift");
        status("skeplund smoker", "dropped");
        status("how to use a smoker", "undecided");

        page.locator("#rules").evaluate("d => d.open = true");
        page.locator(".rule-list a[title='Change it']").click();
        set("#least-1", "300");
        press("It drops");
        assertThat(message()).containsText("Rule 1 is now");
        status("free smoker", "dropped");

        page.locator("a", new Page.LocatorOptions().setHasText("More …")).click();
        choose("#kind-0", "pattern");
        set("#value-0", "bee (hive");
        assertThat(page.locator("#build .doubt")).containsText("missing closing )");
        set("#value-0", "^b.*e$");
        page.locator("#build-view").fill("Bees");
        press("Save as view");
        assertThat(rows()).hasCount(1);
        assertThat(page.locator(".part")).containsText("match the pattern");
    }

    @Test
    void wordsAreCountedByLengthAndFamiliesAreTickedOffInOneGo() {
        assertThat(page.locator(".word-list li").first()).containsText("jar");
        choose("#wn", "2");
        assertThat(page.locator(".word-list li").first()).containsText("bee hive");
        choose("#wn", "1");
        set("#wq", "smok");
        assertThat(page.locator(".word-list li")).hasCount(1);
        page.locator("#families > summary").click();
        page.locator("#family-THINGS, #family-MODIFIERS, #family-BRANDS")
                .first()
                .waitFor();
        page.locator(".family").first().locator("summary").click();
        page.locator(".family").first().locator("input[name=words]").first().check();
        assertThat(page.locator("#family-effect")).containsText("Drop: changes");
        press("Drop all with them");
        assertThat(message()).containsText("New rule: Drop keywords with the word");
    }

    @Test
    void columnsAreChosenSortedBySeveralAndRowsFollowAsOneScrolls() {
        assertThat(page.locator(".trend polyline")).hasCount(2);
        page.locator(".columns-menu summary").click();
        page.locator(".columns-menu input[value='other:Notes']").check();
        press("Show these");
        assertThat(row("bee hive")).containsText("ours");
        assertThat(row("free hive plans")).containsText("<b>no</b>");
        press("Notes to the left");
        assertThat(message()).containsText("Chose");
        page.locator("th.keyword a").click();
        assertThat(page.locator("th.keyword")).hasAttribute("aria-sort", "ascending");
        page.locator("th.mark a").click();
        assertThat(page.locator("th.keyword sup")).hasText("2");
        assertThat(rows().first()).hasAttribute("data-k", "bee hive");

        page.locator("th.number a").first().click();
        // Else the page before is scrolled.
        assertThat(page.locator("th.number").first()).hasAttribute("aria-sort", Pattern.compile("(a|de)scending"));
        page.locator(".more-rows").scrollIntoViewIfNeeded();
        assertThat(rows()).hasCount(400);
        page.locator(".more-rows").scrollIntoViewIfNeeded();
        assertThat(rows()).hasCount(506);
        rows().nth(450).click();
        keys("x");
        assertThat(rows().nth(450)).hasClass(Pattern.compile(".*dropped.*"));
        keys("Control+z");
        assertThat(message()).containsText("Undid");
        assertThat(rows()).hasCount(506);
    }

    @Test
    void aListIsTrimmedAndWhatAHandHasKeptStays() {
        row("free smoker").click();
        keys("k");
        row("how to use a smoker").click();
        page.locator(".all-of-these summary").first().click();
        press("Drop everything below the row I am on");
        assertThat(message()).containsText("Dropped 501 keywords");
        status("free smoker", "kept");
        status("how to use a smoker", "undecided");
        keys("Control+z");
        assertThat(message()).containsText("Undid");
        page.locator(".all-of-these summary").first().click();
        page.getByLabel("Keep the first").fill("10");
        press("Drop what follows");
        assertThat(message()).containsText("Dropped 496 keywords");
    }

    @Test
    void aSecondTabIsToldAndBothMerge() {
        Page other = page.context().newPage();
        other.navigate(page.url());
        page.locator("#table-place").focus();
        keys("Home", "k");
        status("bee hive", "kept");
        // The other tab has not seen that: another keyword goes through, the same one does not.
        other.locator(".keyword-row[data-k='wooden hives']").click();
        other.keyboard().press("x");
        assertThat(other.locator("#message")).containsText("Dropped \"wooden hives\"");
        page.locator(".keyword-row[data-k='wooden hives']").click();
        keys("k");
        assertThat(message()).containsText("the same was changed in another window");
        status("wooden hives", "dropped");
        page.reload();
        status("bee hive", "kept");
        status("wooden hives", "dropped");
    }

    @Test
    void aListOfThePantryThatHasChangedIsOfferedToTheProjectThatUsesIt() {
        String project = page.url();
        String name = "Rivals " + System.nanoTime();
        save(name, "skeplund\n");
        page.navigate(project.replaceAll("/sift.*", "/rules/build"));
        choose("#kind-0", "list");
        choose("select#value-0", name);
        assertThat(page.locator("[aria-labelledby=h-effect]")).containsText("1 keyword");
        press("Drop such keywords");
        status("skeplund smoker", "dropped");
        save(name, "skeplund\nwooden\n");
        page.navigate(project);
        status("wooden hives", "undecided");
        page.locator("#rules").evaluate("d => d.open = true");
        assertThat(page.locator(".list-news")).containsText("+1");
        press("Take it");
        status("wooden hives", "dropped");
        assertThat(page.locator(".list-news")).hasCount(0);
    }

    private void save(String name, String words) {
        page.navigate(page.url().replaceAll("(http://[^/]+).*", "$1/pantry"));
        page.locator("[name=name]").fill(name);
        page.locator("[name=words]").fill(words);
        page.locator(".pantry .is-primary").click();
        assertThat(message()).containsText("in version");
    }
}

package smorgas.app.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.FilePayload;
import com.microsoft.playwright.options.MouseButton;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** The menus of a word, a keyword and a group: the same acts wherever they are called, by mouse and by key. */
class MenuIT extends ProjectInBrowser {

    private static final String LIST;

    static {
        StringBuilder list = new StringBuilder("keyword,searches\nbee smoker,400\n");
        for (String thing : List.of("oak hive stand", "bee smoker", "honey jar")) {
            for (String dress : List.of("%s uk", "buy %s", "%s near me", "%s for sale")) {
                list.append(dress.formatted(thing)).append(",100\n");
            }
        }
        LIST = list.append("wax,\n").toString();
    }

    @BeforeEach
    void gather() {
        page.locator("#files")
                .setInputFiles(new FilePayload("list.csv", "text/csv", LIST.getBytes(StandardCharsets.UTF_8)));
        assertThat(page.locator("table.baskets tbody tr")).hasCount(1);
    }

    private void visit(String step) {
        page.navigate(page.url().replaceAll("(/projects/\\d+).*", "$1/" + step));
        Browsers.calm(page);
    }

    private void call(Locator at) {
        at.click(new Locator.ClickOptions().setButton(MouseButton.RIGHT));
        Browsers.calm(page);
        assertThat(menu()).isVisible();
    }

    private Locator menu() {
        return page.locator("#menu");
    }

    private List<String> acts() {
        return menu().locator("a.button, button.button").allInnerTexts();
    }

    private Locator row(String keyword) {
        return page.locator(".keyword-row[data-k='" + keyword + "']");
    }

    @ParameterizedTest
    @ValueSource(ints = {1024, 1280})
    void aKeywordAndAWordHaveTheSameMenuOnEveryPage(int width) {
        page.setViewportSize(width, 800);
        visit("sift");
        call(row("bee smoker").locator(".keyword"));
        List<String> inSift = acts();
        assertThat(inSift)
                .startsWith(
                        "Keep",
                        "Drop",
                        "Undecided",
                        "Its story",
                        "Suggestions for it",
                        "Into group",
                        "Also in",
                        "Never in",
                        "Tag");
        menu().locator(".w").first().click();
        assertThat(menu().locator(".called-name")).hasText("bee");
        List<String> ofWord = acts();
        Browsers.keys(page, "Escape");
        assertThat(menu()).isHidden();
        page.locator(".word-list .w").first().click();
        Browsers.calm(page);
        assertThat(acts()).hasSameSizeAs(ofWord);

        visit("group?ungrouped=true");
        call(page.locator(".members .keyword-row").first().locator("td").nth(3));
        assertThat(acts()).isEqualTo(inSift);
        visit("serve");
        call(page.locator(".plan-keywords .keyword").first());
        assertThat(acts()).isEqualTo(inSift);
    }

    @Test
    void wordsThatStandTogetherBecomeAGroupInTwoActsAndThePageStays() {
        visit("sift?wn=1");
        row("honey jar near me").locator(".w").nth(2).click();
        menu().locator(".chip")
                .filter(new Locator.FilterOptions().setHasText("near me"))
                .click();
        assertThat(menu().locator(".called-name")).hasText("near me");
        press("A group of its own");
        assertThat(page.locator("#message")).containsText("near me");
        assertThat(page).hasURL(java.util.regex.Pattern.compile(".*/sift\\?wn=1"));
        visit("group?view=list&group=near+me");
        assertThat(page.locator(".members tbody tr")).hasCount(3);
    }

    @ParameterizedTest
    @ValueSource(strings = {"list", "map"})
    void aGroupIsRenamedJoinedAndNotedFromListAndMapAlikeAndThePageStays(String view) {
        visit("group?view=" + view);
        Locator smoker = page.locator("#group [data-group*=smoker]").first();
        Locator stand = page.locator("#group [data-group*='hive']").first();
        String other = stand.getAttribute("data-group");
        call(smoker);
        menu().locator("input[name=newName]").fill("Smokers");
        choose("Name it so");
        assertThat(page.locator("#message")).containsText("Smokers");
        assertThat(page).hasURL(java.util.regex.Pattern.compile(".*view=list|.*/group\\?view=map|.*/group"));
        call(smoker);
        menu().locator("[name=note]").fill("ask for <b>fuel</b>");
        choose("Write it down");
        assertThat(page.locator("#message")).containsText("ask for <b>fuel</b>");
        call(smoker);
        assertThat(menu().locator("[name=note]")).hasValue("ask for <b>fuel</b>");
        menu().locator("[name=intoGroup]").fill(other);
        choose("Join it into that");
        assertThat(page.locator("#message")).containsText("Joined");
        assertThat(page.locator("#group [data-group*=smoker]")).hasCount(0);
        button("Undo").click();
        assertThat(page.locator("#message")).containsText("Undid: Joined");
        assertThat(smoker).isAttached();
    }

    private void choose(String label) {
        menu().getByRole(
                        AriaRole.BUTTON,
                        new Locator.GetByRoleOptions().setName(label).setExact(true))
                .click();
        Browsers.calm(page);
    }

    @ParameterizedTest
    @ValueSource(ints = {1024, 1280})
    void byKeysAloneAKeywordIsNotedAndTheNoteIsFoundAndLeaves(int width) throws IOException {
        page.setViewportSize(width, 800);
        visit("sift");
        page.locator("#table-place").focus();
        Browsers.keys(page, "Home", ".");
        assertThat(menu().locator(".called-name")).hasText("bee smoker");
        Browsers.axe(page);
        menu().locator("[name=note]").focus();
        page.keyboard().type("seen at the fair");
        Browsers.keys(page, "Tab", "Enter");
        assertThat(page.locator("#message")).containsText("Noted on \"bee smoker\": seen at the fair");
        assertThat(row("bee smoker")).containsText("seen at the fair");
        assertThat(menu()).isHidden();
        Browsers.keys(page, "Enter");
        assertThat(page.locator("#story .noted")).hasText("seen at the fair");
        page.locator("#find").fill("fair");
        assertThat(page.locator("#found")).containsText("seen at the fair");
        visit("history");
        Download notes =
                page.waitForDownload(() -> page.getByText("Download all notes").click());
        assertThat(Files.readString(notes.path())).contains("keyword,bee smoker,seen at the fair");
    }

    @Test
    void whatAKeywordIsForIsToldWithItsReasonPutRightAndUndone() {
        visit("sift?story=bee+smoker+for+sale");
        assertThat(page.locator("#story")).containsText("Transactional: it has \"for sale\".");
        call(row("bee smoker").locator(".keyword"));
        assertThat(menu()).containsText("Commercial: nothing in it says more.");
        menu().getByText("informational", new Locator.GetByTextOptions().setExact(true))
                .click();
        assertThat(page.locator("#message")).containsText("Said that \"bee smoker\" is informational");
        visit("sift?story=bee+smoker");
        assertThat(page.locator("#story")).containsText("Informational: by hand; commercial is seen in it too.");
        button("Undo").click();
        assertThat(page.locator("#story")).containsText("Commercial: nothing in it says more.");
        // What is picked, at once; the group tells its mix.
        row("honey jar uk").locator(".pick input").check();
        row("buy honey jar").locator(".pick input").check();
        page.getByLabel("Intent of what is picked").selectOption("LOCAL");
        assertThat(page.locator("#message")).containsText("Said that 2 keywords are local");
        visit("group?view=list&group=buy+honey+jar");
        assertThat(page.locator(".opened-group")).containsText("3 local");
    }

    @Test
    void aRuleTellsWhatItWouldDoWhileOneTypes() {
        visit("rules/build");
        page.locator("#value-0").click();
        page.keyboard().type("smok");
        assertThat(page.locator("#h-effect + .build-sentence")).hasCount(1);
        page.keyboard().type("er");
        assertThat(page.locator("section[aria-live] b").first()).containsText("5 keywords");
        assertThat(page.locator("#value-0")).isFocused();
        assertThat(page.locator("#value-0")).hasValue("smoker");
    }

    @Test
    void wordsAndRulesFoldAwayToTheirEdgeAndStaySo() {
        visit("sift");
        Number before = width();
        page.locator("#words > summary").click();
        assertThat(width().intValue()).isGreaterThan(before.intValue() + 100);
        page.reload();
        Browsers.calm(page);
        assertThat(page.locator("#wq")).isHidden();
        page.locator("#words > summary").click();
        assertThat(page.locator("#wq")).isVisible();
    }

    private Number width() {
        return (Number) page.evaluate("() => document.querySelector('#table-place').clientWidth");
    }

    private Locator button(String name) {
        return page.locator("#head button", new com.microsoft.playwright.Page.LocatorOptions().setHasText(name))
                .first();
    }
}

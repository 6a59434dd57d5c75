package smorgas.app.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.FilePayload;
import java.nio.charset.StandardCharsets;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** Fold in a browser: switches, hands, proposals, cleaning. */
class FoldIT extends ProjectInBrowser {

    @BeforeEach
    void open() {
        StringBuilder list =
                new StringBuilder("bee hive\nBee Hives\nhive bee\nglass jar\njar glass\nhoney pot 2025\nsmokr\n");
        for (int i = 0; i < 9; i++) {
            list.append("smoker k").append(i).append('\n');
        }
        page.locator("#files")
                .setInputFiles(new FilePayload(
                        "list.txt", "text/plain", list.toString().getBytes(StandardCharsets.UTF_8)));
        assertThat(page.locator("table.baskets tbody tr")).hasCount(1);
        page.navigate(page.url().replaceAll("/gather.*", "/fold"));
        keywords("13 keywords");
    }

    private void keywords(String figure) {
        assertThat(page.locator(".band")).containsText(figure);
    }

    private void undo() {
        press("Undo");
    }

    private Locator tread(String label) {
        return page.locator(".stair tr").filter(new Locator.FilterOptions().setHasText(label));
    }

    @Test
    void aKindIsSwitchedAndSaysWhatItWouldFoldWhileItIsOff() {
        assertThat(tread("Word order").locator(".number")).hasText("2");
        press("Switch Word order off");
        keywords("15 keywords");
        assertThat(tread("Word order").locator(".number")).hasText("would 2");
        assertThat(page.locator("#message")).containsText("Switched folding of word order off");
        undo();
        keywords("13 keywords");
    }

    @Test
    void aSetIsTakenApartASpellingTakenOutAndAnotherLeads() {
        press("Take bee hive apart");
        keywords("15 keywords");
        undo();
        keywords("13 keywords");
        press("Take jar glass out");
        keywords("14 keywords");
        press("Let hive bee lead");
        assertThat(page.locator(".set-head a").first()).isVisible();
        assertThat(page.locator(".set-head").getByText("hive bee")).isVisible();
        page.reload();
        keywords("14 keywords");
        assertThat(page.locator(".set-head").getByText("hive bee")).isVisible();
        page.locator(".set-head").getByText("hive bee").click();
        assertThat(page.locator("#story")).containsText("Bee Hives");
        assertThat(page.locator("#story")).containsText("singular and plural");
    }

    @Test
    void keywordsOnTheTrayAreJoined() {
        page.navigate(page.url().replace("/fold", "/sift?q=jar"));
        Locator rows = page.locator("tr.keyword-row");
        assertThat(rows).hasCount(1);
        rows.first()
                .click(new Locator.ClickOptions()
                        .setModifiers(java.util.List.of(com.microsoft.playwright.options.KeyboardModifier.CONTROL)));
        assertThat(page.locator("#tray")).containsText("1 keyword picked");
        page.navigate(page.url().replace("q=jar", "q=pot"));
        assertThat(rows).hasCount(1);
        rows.first()
                .click(new Locator.ClickOptions()
                        .setModifiers(java.util.List.of(com.microsoft.playwright.options.KeyboardModifier.CONTROL)));
        assertThat(page.locator("#tray")).containsText("2 keywords picked");
        press("Fold together");
        keywords("12 keywords");
        assertThat(page.locator("#message")).containsText("Joined 2 keywords");
        undo();
        keywords("13 keywords");
    }

    @Test
    void aMisspellingIsProposedAcceptedAndTakenBack() {
        assertThat(page.locator(".proposals")).containsText("smoker");
        press("Take smokr for smoker");
        assertThat(page.getByText("Nothing looks misspelt.")).isVisible();
        assertThat(page.locator("#message")).containsText("Took \"smokr\" for \"smoker\"");
        undo();
        press("Leave smokr as it is");
        assertThat(page.getByText("Nothing looks misspelt.")).isVisible();
    }

    @Test
    void aCleaningIsLookedAtDoneAndTakenAway() {
        press("Take out years …");
        assertThat(page.locator("#preview")).containsText("changes 1 spelling");
        assertThat(page.locator("#preview")).containsText("honey pot 2025");
        keywords("13 keywords");
        press("Clean so");
        assertThat(page.locator("#message")).containsText("Cleaning: Take out years");
        page.getByText("Replace or take out words").click();
        page.getByLabel("Find", new Page.GetByLabelOptions().setExact(true)).fill("(bee|x");
        page.locator("select[name=match]").selectOption("PATTERN");
        page.locator("form:has(input[value=replace]) button").click();
        assertThat(page.getByRole(AriaRole.ALERT)).containsText("(bee|x");
        press("Take away: Take out years");
        assertThat(page.locator("#message")).containsText("Took cleaning 1 away");
    }
}

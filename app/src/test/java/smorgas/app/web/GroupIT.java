package smorgas.app.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Route;
import com.microsoft.playwright.options.FilePayload;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** Group in a browser: dials, passes, broader themes, rules that make groups, what a hand changes. */
class GroupIT extends ProjectInBrowser {

    @BeforeEach
    void open() {
        StringBuilder list = new StringBuilder("keyword,searches\n");
        for (String thing : List.of("oak hive stand", "pine hive stand", "hive lid", "smoker", "honey jar")) {
            for (String dress : List.of("red", "tall", "price", "shop", "old", "gift")) {
                list.append(thing).append(' ').append(dress).append(",100\n");
            }
        }
        list.append("nothing alike,5\n");
        page.locator("#files")
                .setInputFiles(
                        new FilePayload("list.csv", "text/csv", list.toString().getBytes(StandardCharsets.UTF_8)));
        assertThat(page.locator("table.baskets tbody tr")).hasCount(1);
        page.navigate(page.url().replaceAll("/gather.*", "/group?view=list"));
        page.locator("#more-dials summary").click();
        page.getByLabel("Groups form by").selectOption("themes");
        Browsers.calm(page);
        page.locator("#more-dials summary").click();
        assertThat(page.locator("#preview")).isVisible();
        press("Adopt");
        assertThat(page.locator("#preview")).hasCount(0);
        assertThat(groups())
                .hasText(new String[] {"hive lid", "honey jar", "oak hive stand", "pine hive stand", "smoker"});
    }

    private Locator groups() {
        return page.locator("table.groups td.name a");
    }

    private void openGroup(String name) {
        groups().filter(new Locator.FilterOptions().setHasText(name)).first().click();
        assertThat(page.locator("#h-group")).hasText(name);
        Browsers.calm(page);
    }

    private void look(String query) {
        page.navigate(page.url().replaceAll("/group.*", "/group" + query));
    }

    private void set(String label, String value) {
        page.getByLabel(label, new Page.GetByLabelOptions().setExact(true)).fill(value);
        page.getByLabel(label, new Page.GetByLabelOptions().setExact(true)).press("Tab");
        Browsers.calm(page);
    }

    @Test
    void whatTakesLongIsToldWhileWhatIsShownStays() {
        List<Route> held = new ArrayList<>();
        page.route(address -> address.contains("/group?") && address.contains("dials=1"), held::add);
        page.getByLabel("Words from", new Page.GetByLabelOptions().setExact(true))
                .fill("2");
        page.getByLabel("Words from", new Page.GetByLabelOptions().setExact(true))
                .press("Tab");
        assertThat(page.locator("#doing")).hasText("Trying these dials; what is shown is as before.");
        assertThat(groups()).hasCount(5);
        held.forEach(Route::resume);
        assertThat(page.locator("#preview")).isVisible();
        assertThat(page.locator("#doing")).isEmpty();
    }

    @Test
    void dialsArePreviewedAndAdoptedAndPassesAreAdded() {
        set("Words from", "2");
        assertThat(page.locator("#preview")).isVisible();
        assertThat(groups()).not().containsText(new String[] {"smoker"});
        press("Another pass");
        assertThat(page.locator("fieldset.pass")).hasCount(2);
        assertThat(page.locator(".result-figures")).containsText("5 groups");
        press("Adopt");
        assertThat(page.locator("#message")).containsText("in 2 passes");
        page.locator("#more-dials summary").click();
        page.locator("[name=ungroupedAre]").selectOption("ONE_GROUP");
        Browsers.calm(page);
        assertThat(groups().filter(new Locator.FilterOptions().setHasText("Ungrouped")))
                .hasCount(1);
        press("Take pass 2 away");
        assertThat(page.locator("fieldset.pass")).hasCount(1);
        set("Largest group", "4");
        assertThat(page.locator("#message")).containsText("at least twice as many keywords as the smallest, not 4");
    }

    @Test
    void broaderThemesReasonsAndHands() {
        page.getByText("Broader themes").first().click();
        assertThat(page.locator("tr.depth-1 td.name").first()).containsText("hive");
        assertThat(page.locator("tr.depth-3 td.name a")).hasText(new String[] {"oak hive stand", "pine hive stand"});
        groups().filter(new Locator.FilterOptions().setHasText("oak hive stand"))
                .click();
        assertThat(page.locator(".opened-group")).containsText("in hive › hive stand");
        assertThat(page.locator(".opened-group .facts").first()).containsText("Related groups pine hive stand");
        assertThat(page.locator(".members b").first()).hasText("oak");

        page.locator(".opened-group summary").click();
        page.locator("input[name=newName]").fill("<b>Oak</b>");
        press("Name it so");
        assertThat(page.locator("#h-group")).hasText("<b>Oak</b>");
        page.locator(".opened-group summary").click();
        press("Remove the theme");
        assertThat(page.locator("#message")).containsText("Removed the theme \"oak hive stand\"");
        assertThat(page.locator(".removed button")).hasCount(1);
        press("oak hive stand: let it form again");
        assertThat(page.locator(".removed button")).hasCount(0);
        for (int act = 0; act < 3; act++) {
            Browsers.keys(page, "Control+z");
        }
        assertThat(page.locator("#message")).containsText("Undid: Named group");
    }

    @Test
    void aRuleMakesAGroupBeforeTheEngine() {
        page.getByText("Rules, joined groups, removed themes").click();
        page.getByText("Build a rule").click();
        page.locator("#value-0").fill("gift");
        page.locator("#value-0").press("Tab");
        Browsers.calm(page);
        page.locator("#build-group").fill("Gifts");
        press("Make a group");
        assertThat(page.locator("#h-group")).hasText("Gifts");
        assertThat(page.locator(".members tbody tr")).hasCount(5);
        look("?view=list&group=Gifts");
        assertThat(page.locator(".group-rules")).containsText("Group \"Gifts\": keywords with the word \"gift\"");
        press("Take rule 1 away");
        assertThat(page.locator(".group-rules li")).hasCount(0);
        assertThat(groups()).hasCount(5);
        // The same for a word, where it is offered.
        page.navigate(page.url().replaceAll("/group.*", "/sift?offer=gift"));
        press("A group of its own");
        assertThat(page.locator("#message")).containsText("gift");
        page.navigate(page.url().replaceAll("/sift.*", "/group?view=list&group=gift"));
        assertThat(page.locator(".members tbody tr")).hasCount(5);
    }

    @Test
    void whatIsOnTheTrayGoesIntoAGroupWhateverTheDialsSay() {
        page.navigate(page.url().replaceAll("/group.*", "/sift?q=smoker"));
        page.locator("#pick-page").check();
        assertThat(page.locator("#tray")).containsText("6 keywords picked");
        page.getByLabel("Group for what is picked").fill("Hive lid");
        press("Into group");
        assertThat(page.locator("#message")).containsText("Put 6 keywords into group \"hive lid\"");
        assertThat(page.locator(".tray")).hasCount(0);
        page.navigate(page.url().replaceAll("/sift.*", "/group?view=list&group=hive+lid"));
        assertThat(page.locator(".members tbody tr")).hasCount(12);
        assertThat(page.locator(".members tbody tr").filter(new Locator.FilterOptions().setHasText("by hand")))
                .hasCount(6);
        set("Smallest group", "6");
        assertThat(page.locator(".members tbody tr")).hasCount(12);
        look("?view=list");
        Browsers.keys(page, "Control+z");
        assertThat(groups()).hasCount(5);
    }

    @Test
    void theWorkbenchFromADialToAComparisonAndAllUndone() {
        // Turn the dial, see what it did, adopt.
        set("Words to", "1");
        assertThat(page.locator("#changes")).containsText("gone");
        assertThat(page.locator("#changes .flow-picture path").first()).isAttached();
        page.getByLabel("Name of the alternative").fill("broad <b>");
        press("Keep as an alternative");
        assertThat(page.locator("table.alternatives thead th"))
                .hasText(new String[] {"Figure", "Adopted", "broad <b>"});
        assertThat(page.locator("table.alternatives")).containsText("adjusted Rand");
        assertThat(page.locator(".flow-picture")).isVisible();
        look("?view=list&smallest=6&tightness=50");
        page.getByLabel("Name of the alternative").fill("tight");
        press("Keep as an alternative");
        page.getByLabel("Measure against broad <b>").click();
        page.getByLabel("Draw Adopted").click();
        assertThat(page.locator("h3").filter(new Locator.FilterOptions().setHasText("From broad <b> to Adopted")))
                .isVisible();
        page.getByLabel("Draw tight").click();
        assertThat(page.locator("h3").filter(new Locator.FilterOptions().setHasText("From broad <b> to tight")))
                .isVisible();
        assertThat(page.locator("table.alternatives")).containsText("agrees with broad <b> (adjusted Rand)");
        press("Adopt broad <b>");
        assertThat(page.locator("#message")).containsText("1 word");
        Browsers.keys(page, "Control+z");
        set("Smallest group", "2");
        press("Adopt");
        look("?view=list");

        // Remove a theme; break a group down, and make two of its parts groups.
        openGroup("smoker");
        page.locator(".opened-group summary").click();
        press("Remove the theme");
        assertThat(groups().filter(new Locator.FilterOptions().setHasText("smoker")))
                .hasCount(0);
        press("smoker: let it form again");
        look("?view=candidates&candidate=hive");
        assertThat(page.locator(".opened-group")).containsText("A group on it would get 18 keywords");
        page.locator(".opened-group").getByText("Break down").click();
        page.locator("#parts").getByLabel("Tick hive red").check();
        page.locator("#parts").getByLabel("Tick hive tall").check();
        press("Make groups of the ticked parts");
        assertThat(page.locator("#message")).containsText("Made 2 themes groups");
        assertThat(page.locator("#h-group")).hasText("hive red");
        assertThat(page.locator(".members tbody tr")).hasCount(3);

        // Move three keywords by the tray; others are also in a group, and never in one.
        page.locator("#pick-page").check();
        assertThat(page.locator("#tray")).containsText("3 keywords picked");
        page.getByLabel("Group for what is picked").fill("Honey jar");
        press("Into group");
        assertThat(page.locator("#message")).containsText("Put 3 keywords into group \"honey jar\"");
        look("?view=list&group=honey+jar");
        assertThat(page.locator(".members tbody tr")).hasCount(9);
        page.getByLabel("Pick hive lid red").check();
        page.getByLabel("Group for what is picked").fill("smoker");
        press("Also in");
        page.getByLabel("Pick oak hive stand red").check();
        page.getByLabel("Group for what is picked").fill("honey jar");
        press("Never in");
        assertThat(page.locator(".members tbody tr")).hasCount(8);
        assertThat(page.locator(".opened-group")).containsText("Never here oak hive stand red");
        openGroup("smoker");
        assertThat(page.locator(".opened-group")).containsText("Also here, on purpose hive lid red");

        // Join two, split one, lock one: the dial turns and they stay.
        page.getByLabel("Tick smoker", new Page.GetByLabelOptions().setExact(true))
                .check();
        page.getByLabel("Tick honey jar", new Page.GetByLabelOptions().setExact(true))
                .check();
        press("Join");
        assertThat(page.locator("#message")).containsText("Joined \"");
        Locator joined = page.locator("table.groups tr.current .number").first();
        page.locator(".opened-group summary").click();
        press("Lock");
        assertThat(page.locator(".opened-group")).containsText("locked");
        String size = joined.textContent();
        set("Smallest group", "9");
        assertThat(page.locator("#preview")).isVisible();
        assertThat(joined).hasText(size);
        page.getByText("Go back").click();
        look("");
        for (int act = 0; act < 11; act++) {
            Browsers.keys(page, "Control+z");
        }
        look("?view=list");
        assertThat(groups())
                .hasText(new String[] {"hive lid", "honey jar", "oak hive stand", "pine hive stand", "smoker"});
    }

    @Test
    void theMapIsWalkedByKeys() {
        look("?by=keywords");
        assertThat(page.locator("#group-map a.area")).hasCount(6);
        page.locator("#group-map a[tabindex='0']").focus();
        String first = page.evaluate("document.activeElement.getAttribute('aria-label')")
                .toString();
        page.keyboard().press("ArrowDown");
        String second = page.evaluate("document.activeElement.getAttribute('aria-label')")
                .toString();
        org.assertj.core.api.Assertions.assertThat(second).isNotEqualTo(first).contains("keywords");
        assertThat(page.locator("#group-map a[tabindex='0']")).hasCount(1);
        page.locator("#group-map a.area")
                .filter(new Locator.FilterOptions().setHasText("smoker"))
                .focus();
        Browsers.keys(page, "Enter");
        assertThat(page.locator("#h-group")).hasText("smoker");
        // The area is another element now, and one is still on it.
        assertThat(page.locator("#group-map .opened-area")).hasCount(1);
        assertThat(page.locator("#group-map .opened-area")).isFocused();
        page.locator("#group-map a.broader-area").first().focus();
        Browsers.keys(page, "Enter");
        assertThat(page.locator(".trail")).containsText("All groups › hive");
        assertThat(page.locator("#group-map a.area")).hasCount(3);
        page.locator("h1").first().evaluate("() => document.activeElement.blur()");
        Browsers.keys(page, "v");
        assertThat(groups()).hasCount(5);
        page.getByText("Net of words").click();
        assertThat(page.locator("#word-net a")).not().hasCount(0);
        page.locator("#word-net a")
                .filter(new Locator.FilterOptions().setHasText("stand"))
                .click();
        assertThat(page.locator("table.candidates")).containsText("stand");
    }
}

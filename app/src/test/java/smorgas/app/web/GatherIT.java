package smorgas.app.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.FilePayload;
import com.microsoft.playwright.options.SelectOption;
import com.microsoft.playwright.options.WaitUntilState;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.util.zip.GZIPOutputStream;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.junit.jupiter.api.Test;

/** Gathering in a browser: files of every kind at one drop, and everything put right afterwards. */
class GatherIT extends ProjectInBrowser {

    private final Running server = Running.shared();

    private static FilePayload file(String name, byte[] bytes) {
        return new FilePayload(name, "application/octet-stream", bytes);
    }

    private static FilePayload file(String name, String text) {
        return file(name, text.getBytes(StandardCharsets.UTF_8));
    }

    private static byte[] gzip(String text) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (GZIPOutputStream gzip = new GZIPOutputStream(out)) {
            gzip.write(text.getBytes(StandardCharsets.UTF_8));
        }
        return out.toByteArray();
    }

    private static byte[] zip(String name, String text) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (ZipOutputStream zip = new ZipOutputStream(out)) {
            zip.putNextEntry(new ZipEntry(name));
            zip.write(text.getBytes(StandardCharsets.UTF_8));
        }
        return out.toByteArray();
    }

    private void gather(int baskets, FilePayload... files) {
        page.locator("#files").setInputFiles(files);
        assertThat(rows()).hasCount(baskets);
    }

    private Locator rows() {
        return page.locator("table.baskets tbody tr");
    }

    private Locator row(String name) {
        return rows().filter(new Locator.FilterOptions().setHasText(name));
    }

    private Locator message() {
        return page.locator("#message");
    }

    private void undo() {
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Undo"))
                .click();
    }

    @Test
    void sixDifferentFilesAtOneDropAWrongColumnPutRightAndABasketSwitchedOff() throws IOException {
        gather(
                6,
                file(
                        "a.csv",
                        "Keyword,Avg. monthly searches,Competition,Low bid\nbee hive,1K - 10K,High,0.5\nhive kit,90,Low,\n"),
                file(
                        "b.tsv",
                        "Suchbegriff\tPosition\tTraffic\nk\u00F6nigin\t3\t1.300\n"
                                .getBytes(Charset.forName("windows-1252"))),
                file("c.txt", "1. bee hive\n2. bee suit\n"),
                file("d.json", "[{\"keyword\":\"bee veil\",\"searches\":70}]"),
                file("e.html.gz", gzip("<table><tr><th>Keyword<th>Clicks<tr><td>bee hive<td>7</table>")),
                file("f.zip", zip("inner.csv", "Keyword;Number;Note\nsmoker;44;x\nfuel;55;y\n")));
        assertThat(row("a.csv")).containsText("planner export");
        assertThat(row("b.tsv")).containsText("competitor export");
        assertThat(page.locator(".station").first()).containsText("9 lines");

        row("inner.csv").locator("a").click();
        assertThat(page.locator(".opened"))
                .containsText("Read as cells parted by semicolons, UTF-8, column names on line 1");
        page.getByLabel("Understood as, column Number").selectOption("SEARCHES");
        assertThat(message()).containsText("Read basket inner.csv with other settings");
        assertThat(page.getByLabel("Understood as, column Number")).hasValue("SEARCHES");
        assertThat(row("inner.csv")).containsText("99");

        row("a.csv").getByRole(AriaRole.BUTTON).click();
        assertThat(message()).containsText("Switched basket a.csv off");
        assertThat(page.locator(".station").first()).containsText("7 lines");
        undo();
        assertThat(page.locator(".station").first()).containsText("9 lines");
        undo();
        assertThat(message()).containsText("Undid: Read basket inner.csv with other settings");
        row("inner.csv").locator("a").click();
        assertThat(page.getByLabel("Understood as, column Number")).hasValue("OTHER");
    }

    @Test
    void whatWasPutRightIsRememberedForTheNextFileWithTheSameColumns() {
        gather(1, file("may.csv", "Words;Menge\nbee hive;10\nbee suit;20\n"));
        page.getByLabel("Understood as, column Menge").selectOption(new SelectOption().setLabel("clicks"));
        assertThat(message()).containsText("with other settings");
        gather(2, file("june.csv", "Words;Menge\nbee veil;30\nbee hat;40\n"));
        row("june.csv").locator("a").click();
        assertThat(page.getByLabel("Understood as, column Menge")).hasValue("CLICKS");
    }

    @Test
    void anEncodingThatWasNotFoundIsChosenAndTheBytesAreReadAgain() {
        gather(1, file("short.txt", "\u0443\u043B\u0435\u0439\n".getBytes(Charset.forName("windows-1251"))));
        page.getByText("Read it with other settings").click();
        page.getByLabel("Encoding").selectOption("windows-1251");
        page.getByText("Read it so").click();
        assertThat(message()).containsText("Read basket short.txt with other settings");
        assertThat(page.locator(".opened")).containsText("Read as a plain list, windows-1251");
        page.getByText("See its keywords").click();
        assertThat(page.locator("tr.keyword-row")).containsText("\u0443\u043B\u0435\u0439");
    }

    @Test
    void aBasketIsDescribedGatheredAgainAndTheSameFileTwiceComesInSwitchedOff() {
        gather(1, file("rival.csv", "Keyword,Position\nbee hive,4\nbee suit,9\n"));
        page.getByText("Describe it").click();
        page.getByRole(AriaRole.TEXTBOX, new Page.GetByRoleOptions().setName("Competitor"))
                .fill("Otterwick");
        page.getByRole(AriaRole.TEXTBOX, new Page.GetByRoleOptions().setName("Market"))
                .fill("Ireland");
        page.locator("form[action$='/describe'] button").click();
        assertThat(row("rival.csv")).containsText("competitor export of Otterwick");
        assertThat(page.locator(".opened .warns")).containsText("another market Ireland");

        gather(2, file("copy.csv", "Keyword,Position\nbee hive,4\nbee suit,9\n"));
        assertThat(message()).containsText("copy.csv is the very same file as rival.csv");
        assertThat(row("copy.csv")).hasClass(java.util.regex.Pattern.compile(".*off.*"));

        row("rival.csv").locator("a").click();
        assertThat(page.locator("#h-opened")).hasText("rival.csv");
        page.getByText("Gather it again, newer").click();
        page.getByLabel("Newer file").setInputFiles(file("new.csv", "Keyword,Position\nbee hive,2\nbee veil,9\n"));
        page.getByText("Put it in this one's place").click();
        assertThat(message()).containsText("1 new, 1 gone, 1 with other figures");
        assertThat(rows()).hasCount(2);
        undo();
        assertThat(message()).containsText("Undid: Gathered rival.csv again");
        page.getByText("See its keywords").click();
        assertThat(page.locator("tr.keyword-row[data-k='bee suit']")).hasCount(1);
    }

    @Test
    void anOverlapOpensJustItsKeywordsAndFiguresMergeAsChosen() {
        gather(
                3,
                file("one.csv", "Keyword,Position,Search volume\nbee hive,4,100\nbee suit,9,10\nsmoker,1,5\n"),
                file("two.csv", "Keyword,Position,Search volume\nbee hive,2,300\nbee suit,3,10\nveil,1,5\n"),
                file("three.txt", "bee hive\n"));
        page.locator(".overlap a[href*=COMPETITORS]").first().click();
        assertThat(page.locator("tr.keyword-row")).hasCount(2);
        page.goBack();
        page.locator(".combinations a[title='1 keyword in exactly one.csv, two.csv']")
                .click();
        assertThat(page.locator("tr.keyword-row")).hasCount(1);
        assertThat(page.locator("tr.keyword-row")).containsText("bee suit");
        page.goBack();

        page.locator(".merges form")
                .filter(new Locator.FilterOptions().setHasText("Searches take"))
                .locator("select")
                .selectOption("SUM");
        assertThat(message()).containsText("Searches now take the sum");
        page.navigate(page.url().replaceAll("/gather.*", "/sift?q=bee+hive"));
        assertThat(page.locator("tr.keyword-row")).containsText("400");
    }

    @Test
    void aListChosenWhileThePageStillLoadsIsGathered() {
        page.route("**/js/acts-*.js", script -> {
            page.locator("#files").setInputFiles(file("early.txt", "bee hive"));
            script.resume();
        });
        page.navigate(page.url(), new Page.NavigateOptions().setWaitUntil(WaitUntilState.COMMIT));
        assertThat(row("early.txt")).isVisible();
        assertThat(rows()).hasCount(1);
    }

    @Test
    void aLongReadingShowsItsProgressAndLeavesNothingWhenItIsStopped() {
        StringBuilder long_ = new StringBuilder("Keyword\n");
        for (int i = 0; long_.length() < 700_000; i++) {
            long_.append("k").append(i).append('\n');
        }
        // The last waits its turn behind some that take a while on any machine.
        FilePayload[] many = new FilePayload[4];
        for (int i = 0; i < many.length; i++) {
            many[i] = file("many-" + i + ".csv", long_ + "own" + i + "\n");
        }
        page.locator("#files").setInputFiles(many);
        Locator stops = page.locator(".readings button");
        assertThat(stops.first()).isVisible();
        page.locator(".readings li").last().locator("button").click();
        assertThat(message()).containsText("many-3.csv was stopped; nothing of it was gathered.");
        // When the others are in, the page shows them by itself.
        assertThat(page.locator(".readings li"))
                .hasCount(
                        0,
                        new com.microsoft.playwright.assertions.LocatorAssertions.HasCountOptions().setTimeout(90_000));
        assertThat(rows()).hasCount(3);
        assertThat(page.locator(".baskets")).not().containsText("many-3.csv");
    }

    @Test
    void sentencesOfATextBecomeABasketThatKnowsHowItWasMade() {
        page.locator("#to-sentences").click();
        press("Read and make a basket");
        assertThat(page.locator("body")).containsText("Nothing was made. Choose a text or paste one first.");
        page.getByLabel("Questions only").check();
        page.locator("input[name=file]")
                .setInputFiles(
                        file(
                                "mails.txt",
                                "Hello!\nDoes the \"oak hive\" come with a roof? It is, <b>lovely</b>.\nIs \"oak, oiled\" 0,9 m high?\n"));
        press("Read and make a basket");
        assertThat(rows()).hasCount(1);
        String csv = page.request().get(base() + "/sift.csv").text();
        org.assertj.core.api.Assertions.assertThat(csv)
                .as("commas and quotes within keywords")
                .contains("\"is \"\"oak, oiled\"\" 0,9 m high\"", "\"does the \"\"oak hive\"\" come with a roof\"");
        assertThat(page.locator(".opened"))
                .containsText("Questions of 2 to 10 words of a text; 2 other sentences were left out.");
        page.getByText("Read a text in the same way").click();
        assertThat(page.getByLabel("Questions only")).isChecked();
    }

    @Test
    void twoSetsAreComparedAndWhatComesOutIsPickedUpOrMadeABasket() {
        gather(
                2,
                file("one.txt", "bee hive\nbee suit\nBEE VEIL\n"),
                file("two.csv", "Keyword,Notes\nbee suit,ours\nbee veil,\nsmoker,\n"));
        page.getByText("Compare two sets").click();
        assertThat(page.locator("h1")).hasText("Compare two sets");
        page.locator("select[name=left]").selectOption(new SelectOption().setLabel("basket one.txt"));
        page.locator("select[name=right]").selectOption(new SelectOption().setLabel("basket two.csv"));
        page.locator(".compare-form button").click();
        assertThat(page.locator(".part-left li")).hasText("bee hive");
        assertThat(page.locator(".part-both li")).hasCount(2);
        assertThat(page.locator(".part-right li")).hasText("smoker");
        page.getByLabel("by exact text").check();
        page.locator(".compare-form button").click();
        assertThat(page.locator(".part-left li")).hasCount(2);

        page.locator(".part-both").getByText("Pick up on the tray").click();
        assertThat(page.locator("#tray")).containsText("1 keyword picked");
        page.locator("summary").getByText("A pasted list").click();
        page.locator("textarea[name=pasted]").fill("smoker\nnever gathered");
        page.locator("select[name=right]").selectOption("pasted");
        page.locator(".compare-form button").click();
        assertThat(page.locator(".part-right li")).hasCount(2);
        page.locator(".part-right").getByText("Make it a basket").click();
        assertThat(row("Only the right of two")).containsText("2");

        page.navigate(page.url().replaceAll("/gather.*", "/sift?q=suit&story=bee+suit"));
        assertThat(page.locator("#story")).containsText("Notes ours");
    }
}

package smorgas.app.web;

import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;

/** A new project on the page of Gather, in a browser window of its own. */
abstract class ProjectInBrowser {

    private static final Running server = Running.shared();

    private BrowserContext context;
    protected Page page;

    @BeforeEach
    void openProject() {
        context = Browsers.window();
        page = context.newPage();
        page.navigate(server.url("/projects"));
        page.getByLabel("Name", new Page.GetByLabelOptions().setExact(true)).fill("In a browser");
        page.getByLabel("Currency").fill("GBP");
        page.getByLabel("Market").fill("United Kingdom");
        page.getByText("Make the project").click();
        page.waitForURL("**/gather");
    }

    /** The address of the project. */
    protected String base() {
        return page.url().replaceAll("(/projects/\\d+).*", "$1");
    }

    /** Presses the button of this label and waits for the answer. */
    protected void press(String label) {
        page.getByRole(
                        AriaRole.BUTTON,
                        new Page.GetByRoleOptions().setName(label).setExact(true))
                .click();
        Browsers.calm(page);
    }

    @AfterEach
    void close() {
        context.close();
    }
}

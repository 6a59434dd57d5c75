package smorgas.app.web;

import com.deque.html.axecore.args.AxeRunOptions;
import com.deque.html.axecore.playwright.AxeBuilder;
import com.deque.html.axecore.results.Rule;
import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.BrowserType;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import com.microsoft.playwright.assertions.PlaywrightAssertions;
import com.microsoft.playwright.options.ReducedMotion;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Assumptions;

/** Debian's Chromium, started once for all browser tests. */
final class Browsers {

    private static final Path CHROMIUM = Path.of("/usr/bin/chromium-headless-shell");

    private static Browser shared;

    private Browsers() {}

    /** A window of its own, in which nothing fades: what is looked at is there. */
    static BrowserContext window() {
        return shared().newContext(new Browser.NewContextOptions()
                .setViewportSize(1280, 800)
                .setReducedMotion(ReducedMotion.REDUCE));
    }

    /** Presses keys, each after the page has answered the one before. */
    static void keys(Page page, String... keys) {
        for (String key : keys) {
            page.keyboard().press(key);
            settle(page);
        }
    }

    /** Fails if the accessibility checks find anything on a page. */
    static void axe(Page page) {
        org.assertj.core.api.Assertions.assertThat(violations(page, List.of()).stream()
                        .map(rule -> rule.getId() + " " + rule.getNodes())
                        .toList())
                .isEmpty();
    }

    /**
     * What the accessibility checks find on a page. What passes is not handed over: of hundreds of rows that took most of
     * the time.
     *
     * @param rules those that are looked at; all if there are none
     */
    static List<Rule> violations(Page page, List<String> rules) {
        AxeRunOptions options = new AxeRunOptions();
        options.setResultTypes(List.of("violations"));
        AxeBuilder builder = new AxeBuilder(page).setLegacyMode(true).options(options);
        return (rules.isEmpty() ? builder : builder.withRules(rules)).analyze().getViolations();
    }

    /** Waits until the page waits for no answer. */
    static void settle(Page page) {
        page.waitForFunction("() => document.readyState === 'complete'"
                + " && !document.documentElement.hasAttribute('data-waiting')");
    }

    /** The browser; without one the test is skipped, unless {@code ./smorgas test} runs it and it must be there. */
    static synchronized Browser shared() {
        boolean required = "required".equals(System.getProperty("smorgas.browser"));
        boolean present =
                Files.isExecutable(CHROMIUM) && Files.isDirectory(Path.of(System.getProperty("playwright.cli.dir")));
        Assumptions.assumeTrue(required || present, "no Chromium or no driver; ./smorgas test installs both");
        if (shared == null) {
            // A shared machine can stand still for seconds; what never comes fails all the same.
            PlaywrightAssertions.setDefaultAssertionTimeout(20_000);
            Playwright playwright = Playwright.create(
                    new Playwright.CreateOptions().setEnv(Map.of("PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD", "1")));
            shared = playwright
                    .chromium()
                    .launch(new BrowserType.LaunchOptions()
                            .setExecutablePath(CHROMIUM)
                            .setChromiumSandbox(false));
        }
        return shared;
    }
}

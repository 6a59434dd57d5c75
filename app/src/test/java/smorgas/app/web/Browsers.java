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
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Assumptions;

/** Debian's Chromium, started once for all browser tests. */
final class Browsers {

    private static final Path CHROMIUM = Path.of("/usr/bin/chromium-headless-shell");

    private static final String CONTRAST = "color-contrast";

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
            calm(page);
        }
    }

    /** Fails if the accessibility checks find anything on a page. */
    static void axe(Page page) {
        org.assertj.core.api.Assertions.assertThat(violations(page).stream()
                        .map(rule -> rule.getId() + " " + rule.getNodes())
                        .toList())
                .isEmpty();
    }

    /**
     * What the accessibility checks find on a page. What passes is not handed over: of hundreds of rows that took most of
     * the time.
     */
    static List<Rule> violations(Page page) {
        return builder(page).analyze().getViolations();
    }

    private static AxeBuilder builder(Page page) {
        AxeRunOptions options = new AxeRunOptions();
        options.setResultTypes(List.of("violations"));
        return new AxeBuilder(page).setLegacyMode(true).options(options);
    }

    /** All but contrast, and contrast of what looks otherwise than all that this window has shown before. */
    static List<Rule> newViolations(Page page) {
        List<Rule> found = new ArrayList<>(
                builder(page).disableRules(List.of(CONTRAST)).analyze().getViolations());
        found.addAll(newContrasts(page));
        return found;
    }

    /** Contrast of what looks otherwise than all that this window has shown before: text of one size and two colours is looked at once. */
    static List<Rule> newContrasts(Page page) {
        boolean any = (boolean) page.evaluate("""
                () => {
                  const looked = new Set(JSON.parse(sessionStorage.looked || "[]"));
                  const before = looked.size;
                  const behind = (e) => {
                    const at = getComputedStyle(e);
                    const filled = at.backgroundColor !== "rgba(0, 0, 0, 0)" || at.backgroundImage !== "none";
                    const own = at.backgroundColor + at.backgroundImage + at.opacity + at.fill;
                    return filled || !e.parentElement ? own : own + behind(e.parentElement);
                  };
                  document.querySelectorAll("[data-new-look]").forEach((e) => e.removeAttribute("data-new-look"));
                  document.querySelectorAll("body *").forEach((e) => {
                    const says = [...e.childNodes].some((n) => n.nodeType === 3 && n.data.trim());
                    if (!(says || e.matches("input, select, textarea")) || !e.checkVisibility()) return;
                    const at = getComputedStyle(e);
                    const look = [at.color, at.fontSize, at.fontWeight, e.disabled, behind(e)].join(" ");
                    if (looked.has(look)) return;
                    looked.add(look);
                    e.setAttribute("data-new-look", "");
                  });
                  sessionStorage.looked = JSON.stringify([...looked]);
                  return looked.size > before;
                }""");
        return any
                ? builder(page)
                        .withRules(List.of(CONTRAST))
                        .include("[data-new-look]")
                        .analyze()
                        .getViolations()
                : List.of();
    }

    /** Waits until the page waits for no answer, also to what it asks by itself: leaving it then would be complained of as broken off. */
    static void calm(Page page) {
        page.waitForFunction(
                "() => document.readyState === 'complete'"
                        + " && !document.documentElement.hasAttribute('data-waiting') && !document.querySelector('.htmx-request')");
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

package smorgas.app.web;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.ColorScheme;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;
import java.util.List;
import java.util.Locale;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import smorgas.app.work.Table;
import smorgas.core.board.Board;

/**
 * The pictures of the main views in docs/screenshots, all of one state of the demo. {@code ./smorgas pictures} makes them
 * anew; every other run holds that they are linked, are the ones that were made together, and show the demo as it is.
 */
class ScreenshotsIT {

    private static final Path DOCS = Path.of("..", "docs", "screenshots");
    private static final Path STATE = DOCS.resolve("state.txt");

    /** A view of the demo. */
    private record View(String name, String path, ColorScheme scheme, String button) {
        View(String name, String path) {
            this(name, path, ColorScheme.LIGHT, "");
        }

        /** What it shows after a button was pressed. */
        View after(String pressed) {
            return new View(name, path, scheme, pressed);
        }

        String file() {
            return name + ".png";
        }
    }

    private static final List<View> VIEWS = List.of(
            new View("gather", "/projects/1/gather"),
            new View("combine", "/projects/1/combine?from=list:Towns (made up)"),
            new View("suggestions", "/projects/1/suggestions?seed=bee+hive&seed=honey+jar"),
            new View(
                            "phrases",
                            "/projects/1/phrases?address=https://skeplund.example/hives&address=https://brumvale.example/honey&address=https://nektarby.example/swarms")
                    .after("Read the pages"),
            new View(
                    "brainstorm",
                    "/projects/1/brainstorm?offer=Cedar+hives,+ventilated+bee+suits+and+honey+extractors.&customers=Beginners+who+want+to+keep+bees+in+the+city;+schools.&problems=Wasps,+mouldy+frames,+swarms+that+leave.&forms=THINGS&forms=OPENERS&forms=NEEDS&forms=PROBLEMS&forms=COMPARISONS&forms=AUDIENCES"),
            new View("logs", "/projects/1/logs"),
            new View("fold", "/projects/1/fold"),
            new View("sift", "/projects/1/sift"),
            new View("sift-dark", "/projects/1/sift?word=hive", ColorScheme.DARK, ""),
            new View("pantry", "/pantry"),
            new View("group", "/projects/1/group"),
            new View("group-list", "/projects/1/group?view=list"),
            new View("group-doubts", "/projects/1/group?view=doubts"),
            new View("restructure", "/projects/1/restructure?old=0"),
            new View("estimated-value", "/projects/1/sift?sort=-estimated_value&assume=all"),
            new View("serve", "/projects/1/serve"),
            new View("negatives", "/projects/1/negatives"),
            new View("history", "/projects/1/history?point=24"),
            new View("difference", "/projects/1/difference?from=16"));

    @TempDir
    private Path data;

    @Test
    void everyPictureIsLinkedAndShowsTheDemoAsItIs() throws IOException {
        try (Running server = Running.alone(data, 0)) {
            String state = state(
                    server.context().getBean(Table.class).open(1).snapshot().board());
            if (System.getProperty("smorgas.pictures") != null) {
                draw(server);
                Files.writeString(STATE, state + fingerprints());
            }
            assertThat(STATE)
                    .as("after a change of the demo: ./smorgas pictures")
                    .hasContent((state + fingerprints()).strip());
        }
        String readme = Files.readString(Path.of("..", "README.md"));
        assertThat(VIEWS).allSatisfy(view -> assertThat(readme).contains("docs/screenshots/" + view.file()));
    }

    /** The figures of the band. */
    private static String state(Board board) {
        return String.format(
                Locale.ENGLISH,
                "%,d lines, %,d keywords, %,d left, %,d groups, %,d plan rows%n",
                board.keywords().baskets().stream()
                        .mapToInt(basket -> basket.size())
                        .sum(),
                board.keywords().size(),
                board.statuses().remaining().cardinality(),
                board.groups().grouping().size(),
                board.planCount().rows());
    }

    /** The pictures that there are, by name, with their SHA-256: they were made together. */
    private static String fingerprints() throws IOException {
        StringBuilder prints = new StringBuilder();
        try (Stream<Path> files = Files.list(DOCS)) {
            for (Path file : files.filter(file -> file.toString().endsWith(".png"))
                    .sorted()
                    .toList()) {
                prints.append(file.getFileName())
                        .append(' ')
                        .append(HexFormat.of().formatHex(sha(file)))
                        .append('\n');
            }
        }
        return prints.toString();
    }

    private static byte[] sha(Path file) throws IOException {
        try {
            return MessageDigest.getInstance("SHA-256").digest(Files.readAllBytes(file));
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException("every Java has it", e);
        }
    }

    private static void draw(Running server) throws IOException {
        try (Stream<Path> old = Files.list(DOCS)) {
            for (Path file : old.toList()) {
                Files.delete(file);
            }
        }
        for (View view : VIEWS) {
            try (BrowserContext context = Browsers.shared()
                    .newContext(new Browser.NewContextOptions()
                            .setViewportSize(1280, 800)
                            .setColorScheme(view.scheme()))) {
                Page page = context.newPage();
                page.navigate(server.url(view.path()));
                page.waitForLoadState(com.microsoft.playwright.options.LoadState.NETWORKIDLE);
                if (!view.button().isEmpty()) {
                    page.getByText(view.button()).click();
                    page.waitForLoadState(com.microsoft.playwright.options.LoadState.NETWORKIDLE);
                }
                page.screenshot(new Page.ScreenshotOptions().setPath(DOCS.resolve(view.file())));
            }
        }
    }
}

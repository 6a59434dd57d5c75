package smorgas.app.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.options.FilePayload;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** The next month: a point gone back to, named, compared and branched off; only what changed in the plan leaves. */
class AgainIT extends ProjectInBrowser {

    private static final String MARCH =
            "keyword,searches\nbee hive,1000\ncedar bee hive,200\ntoy hive,150\nbee hive paint,90\n";
    private static final String APRIL =
            "keyword,searches\nbee hive,1300\ncedar bee hive,200\ntoy hive,150\nbee hive stand,60\n";

    private void gather(String list) {
        page.navigate(base() + "/gather");
        if (!page.locator("[name=pasted]").isVisible()) {
            page.locator("summary:has-text('Paste a list')").click();
        }
        page.locator("[name=pasted]").fill(list);
        press("Gather the paste");
    }

    private String path() {
        return base().replaceAll("https?://[^/]+", "");
    }

    @Test
    void aPointIsGoneBackToNamedComparedAndBranchedOff() {
        gather(MARCH);
        String project = base();
        gather("keyword\nhoney jar\n");
        page.navigate(project + "/history?point=1");
        Browsers.axe(page);
        page.locator("[name=name][placeholder='as the client saw it']").fill("March <b>");
        press("Name it");
        assertThat(page.locator(".point-name")).hasText("March <b>");
        press("Go back to this version");
        assertThat(page.locator("#message")).containsText("Went back to version 1");
        assertThat(page.locator("#history tbody")).containsText("March <b>");
        assertThat(page.locator("#band-place")).containsText("4 lines");
        page.locator("#undo").click();
        Browsers.calm(page);
        assertThat(page.locator("#band-place")).containsText("5 lines");
        page.navigate(project + "/difference?from=1");
        assertThat(page.locator("#difference")).containsText("4 keywords then, 5 afterwards, 4 at both times.");
        assertThat(page.locator("#difference")).containsText("honey jar");
        assertThat(page.locator("[name=from] option:checked")).hasText("March <b> (1)");
        Browsers.axe(page);
        page.locator("[aria-label='Pick up what is new']").click();
        Browsers.calm(page);
        assertThat(page.locator("#tray")).containsText("1 keyword");
        page.navigate(project + "/difference?from=1&to=99");
        assertThat(page.locator("#difference .error")).hasText("There is no version 99.");
        page.navigate(project + "/history?point=1");
        press("Branch it off");
        assertThat(page.locator("#message")).containsText("a project of its own now, from act 1");
        assertThat(page.locator("#band-place")).containsText("4 lines");
        assertThat(new Visitor(Running.shared())
                        .get(path() + "/difference.csv?from=2&to=now")
                        .body())
                .contains("gone,honey jar");
    }

    @Test
    void nextMonthsHarvestIsComparedAndOnlyWhatChangedLeaves() {
        gather(MARCH);
        String project = base();
        place("bee hive", "bee hive paint");
        page.navigate(project + "/exported");
        Browsers.axe(page);
        page.locator("[name=name]").fill("March");
        page.locator("button:has-text('Mark the current plan as exported')").click();
        Browsers.calm(page);
        assertThat(page.locator("#exported")).containsText("Nothing changed: the account has what the plan has.");
        gather(APRIL);
        place("bee hive stand");
        page.navigate(project + "/gather");
        page.locator("button:has-text('Switch off')").first().click();
        Browsers.calm(page);
        page.navigate(project + "/difference?from=3");
        assertThat(page.locator("#h-NEW")).hasText("1 new");
        assertThat(page.locator("#h-GONE")).hasText("1 gone");
        assertThat(page.locator("#h-SEARCHED")).hasText("1 with changed searches");
        page.navigate(project + "/exported");
        assertThat(page.locator("#exported")).containsText("bee hive stand, ");
        Browsers.axe(page);
        Visitor visitor = new Visitor(Running.shared());
        String changes = visitor.get(path() + "/exported/" + exportedPlan() + "/changes.csv")
                .body();
        assertThat(changes).startsWith("Campaign,Ad group,Keyword,Match type,Status,Max CPC,Final URL");
        assertThat(changes.lines().filter(line -> line.contains("bee hive stand") && line.contains("Enabled")))
                .isNotEmpty();
        assertThat(changes.lines().filter(line -> line.contains("Paused"))).isNotEmpty();
        assertThat(changes).doesNotContain("toy hive");
        press("Take away March");
        assertThat(page.locator("#exported tbody tr")).hasClass(java.util.regex.Pattern.compile("undone"));
        press("Put back March");
        visitor.get(path() + "/history");
        assertThat(visitor.post(path() + "/history/back", Map.of("point", "77")).body())
                .contains("There is no version 77");
    }

    @Test
    void oneRecipeIsGivenToSeveralProjectsAndWhatDiffersIsTold() {
        Visitor visitor = new Visitor(Running.shared());
        long north = visitor.project("North <b>");
        long south = visitor.project("South");
        for (long one : new long[] {north, south}) {
            visitor.get("/projects/" + one + "/gather");
            visitor.upload(
                    "/projects/" + one + "/gather",
                    Map.of(
                            "l.csv",
                            ("keyword,searches\nbee hive,100\ntoy bee,90\nhive " + one + ",80\n")
                                    .getBytes(java.nio.charset.StandardCharsets.UTF_8)));
        }
        visitor.get("/projects/" + north + "/sift");
        visitor.post("/projects/" + north + "/rules/word", Map.of("ruleWord", "toy", "to", "DROPPED"));
        visitor.get("/projects/" + north + "/history");
        String told = visitor.post("/projects/" + north + "/recipe/give", Map.of("project", String.valueOf(south)))
                .body();
        assertThat(told).contains("South: Took the recipe North");
        assertThat(visitor.get("/projects/" + south + "/sift.csv").body()).contains("toy bee,Dropped");
        assertThat(visitor.post("/projects/" + north + "/recipe/give", Map.of()).body())
                .contains("Tick a project at least.");
        assertThat(visitor.get("/projects/" + south + "/difference.csv?from=project-" + north)
                        .body())
                .contains("new,hive " + south)
                .contains("gone,hive " + north);
    }

    /** Into one group, whatever is found alike. */
    private void place(String... keywords) {
        Visitor visitor = new Visitor(Running.shared());
        for (String keyword : keywords) {
            visitor.get(path() + "/sift");
            visitor.post(path() + "/tray/group", Map.of("intoGroup", "hives", "way", "into", "keyword", keyword));
        }
    }

    private String exportedPlan() {
        return page.locator("#exported tbody a").first().getAttribute("href").replaceAll(".*plan=", "");
    }

    /** Last month's lists and this month's: those of the same name and of another date take the places of theirs, in a copy. */
    @Test
    void aNewHarvestTakesThePlaceOfTheOldInACopy() {
        Visitor visitor = new Visitor(Running.shared());
        String project = base();
        String path = project.replaceAll("https?://[^/]+", "");
        visitor.get(path + "/gather");
        visitor.upload(
                path + "/gather",
                Map.of(
                        "planner-2026-09.csv",
                        bytes(
                                "keyword,searches,Aug 2025,Sep 2025,Aug 2026\nbee hive,100,90,70,95\nskep,9,,,\nwax,50,1,20,40\n"),
                        "own.txt",
                        bytes("honey jar\n")));
        visitor.get(path + "/exported");
        visitor.post(path + "/exported", Map.of("name", "September"));
        page.navigate(project + "/gather");
        page.locator("#to-harvest").click();
        Browsers.calm(page);
        assertThat(page.locator("#harvest li")).hasCount(2);
        Browsers.axe(page);
        page.locator("#harvest [name=files]").setInputFiles(new FilePayload[] {
            new FilePayload(
                    "planner-2026-10.csv",
                    "text/csv",
                    bytes("keyword,searches,Sep 2026\nbee hives,98,72\nwax,400,900\nsmoker,7,\n")),
            new FilePayload("reviews.txt", "text/plain", bytes("bee brush\n"))
        });
        page.getByLabel("Into a copy").check();
        press("Gather the harvest");
        assertThat(page.locator("#message, .notice").first())
                .containsText("1 list in the place of its older version, 1 new list.");
        assertThat(page.locator("#h-NEW")).hasText("2 new");
        assertThat(page.locator("#h-GONE")).hasText("1 gone");
        assertThat(page.locator("#h-SEASON")).hasText("1 with changed searches, due to the season");
        assertThat(page.locator("section[aria-labelledby=h-SEASON]")).containsText("Sep 2026 72, a year before 70");
        assertThat(page.locator("section[aria-labelledby=h-SEARCHED]")).containsText("Sep 2026 900, a year before 20");
        Browsers.axe(page);
        String copy = base();
        assertThat(copy).isNotEqualTo(project);
        page.navigate(copy + "/exported");
        assertThat(page.locator("main")).containsText("September");
        page.navigate(project + "/gather");
        assertThat(page.locator(".baskets")).containsText("planner-2026-09.csv");
        page.navigate(project + "/harvest");
        press("Gather the harvest");
        assertThat(page.locator("#harvest")).isVisible();
    }

    private static byte[] bytes(String text) {
        return text.getBytes(StandardCharsets.UTF_8);
    }
}

package smorgas.app.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayInputStream;
import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.zip.ZipInputStream;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.jsoup.select.Elements;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** What leaves to whom, as somebody without scripts sees it: layouts, lists with commas, copies, a keyword in two ad groups. */
class HandoverIT {

    private final Visitor visitor = new Visitor(Running.shared());
    private String base = "";

    @BeforeEach
    void project() {
        base = "/projects/" + visitor.project("Handed over");
        visitor.upload(
                base + "/gather",
                Map.of(
                        "list.csv",
                        ("keyword,searches\nbee hive,1000\nbee hive kit,300\nbee hive <b>roof,90\nhoney jar,800\n"
                                        + "honey jar lid,200\n")
                                .getBytes(StandardCharsets.UTF_8)));
        place("bee hive", "hives", "into");
        place("bee hive kit", "hives", "into");
        place("honey jar", "jars", "into");
        place("honey jar lid", "jars", "into");
    }

    private void place(String keyword, String group, String way) {
        visitor.post(base + "/tray/group", Map.of("intoGroup", group, "way", way, "keyword", keyword));
    }

    private Document page(String path) {
        return Jsoup.parse(visitor.get(base + path).body());
    }

    private String csv() {
        return new String(visitor.bytes(base + "/plan.csv"), StandardCharsets.UTF_8);
    }

    @Test
    void aKeywordOfTwoAdGroupsStaysWhereOneSays() {
        place("bee hive kit", "jars", "also");
        Document serve = page("/serve");
        assertThat(serve.select("[data-kind=TWICE] .adopt button").eachText())
                .containsExactly("Keep in hives", "Keep in jars");
        visitor.post(base + "/serve/keep", Map.of("keyword", "bee hive kit", "in", "jars"));
        assertThat(page("/serve").select("[data-kind=TWICE]")).isEmpty();
        assertThat(csv()).contains("jars,bee hive kit,Exact").doesNotContain("hives,bee hive kit");
        visitor.post(base + "/undo", Map.of());
        visitor.post(base + "/serve/keep", Map.of("keyword", "bee hive kit", "in", "hives"));
        assertThat(csv()).contains("hives,bee hive kit,Exact").doesNotContain("jars,bee hive kit");
        assertThat(visitor.post(base + "/serve/keep", Map.of("keyword", "bee hive kit", "in", "jars"))
                        .body())
                .contains("in one ad group only by now");
    }

    private Elements check(String kind) {
        return page("/serve").select("#checks [data-kind=" + kind + "]");
    }

    private void choose(Map<String, String> fields) {
        visitor.post(base + "/serve", fields);
    }

    /** Those that the page of ads does not mend; {@link ServeIT} walks the others. */
    @Test
    void everyOtherFaultThatIsPlantedIsFoundAndMendedInPlace() {
        String many =
                IntStream.range(0, 51).mapToObj(i -> "wax block " + i + "g").collect(Collectors.joining("\n"));
        visitor.upload(base + "/gather", Map.of("more.txt", many.getBytes(StandardCharsets.UTF_8)));
        for (String keyword : many.split("\n")) {
            place(keyword, "wax", "into");
        }
        place("bee hive <b>roof", "roofs", "into");
        visitor.post(base + "/group/name", Map.of("theme", "jars", "newName", "beautiful jars"));
        visitor.post(base + "/group/name", Map.of("theme", "hives", "newName", "beautiful hives"));
        choose(Map.of("longest", "12", "campaign", "C", "pattern", "{theme}"));

        assertThat(check("LARGE").text()).contains("1 ad group has more than 50 keywords", "wax");
        assertThat(check("SAME_NAME").text()).contains("beautiful 2");
        assertThat(check("NO_SEARCHES").text()).contains("51 keywords have no searches");
        assertThat(check("NOT_EXPORTED").text()).contains("bee hive <b>roof");

        choose(Map.of(
                "bidFrom", "HIGH_BID", "matchTypes", "PHRASE", "choices", "1", "campaign", "C", "pattern", "{theme}"));
        assertThat(check("NO_BID").text()).contains("55 keywords have no bid");
        choose(Map.of("bidFrom", "FIXED", "bid", "0,45", "campaign", "C", "pattern", "{theme}"));
        assertThat(check("NO_BID")).isEmpty();

        assertThat(check("SAME_NAME").select("a").eachAttr("href")).contains("#names");
        choose(Map.of("longest", "60", "campaign", "C", "pattern", "{theme}"));
        assertThat(check("SAME_NAME")).isEmpty();

        place("honey jar lid", "lids", "into");
        assertThat(check("SINGLE").text()).contains("2 ad groups have one keyword only");
        assertThat(check("SHADOWED").text()).contains("1 keyword is answered by a broader one", "200 searches");
        visitor.post(base + "/serve/mend", Map.of("kind", "SHADOWED"));
        assertThat(check("SHADOWED")).isEmpty();
        assertThat(csv()).contains("beautiful jars,lid,Negative phrase");
        visitor.post(base + "/serve/mend", Map.of("kind", "SINGLE"));
        assertThat(check("SINGLE")).isEmpty();
    }

    @Test
    void aLayoutIsMadeOfferedUsedTakenAwayAndRefusedWithItsReason() {
        Map<String, String> fields = new LinkedHashMap<>(Map.of(
                "name", "Für <den> Betrieb",
                "columns", "Set = ad group\nTerm = keyword\nHow = match type\nShop = \"one\"",
                "rows", "KEYWORD",
                "broad", "b",
                "phrase", "p",
                "exact", "e",
                "negative", "not {type}",
                "insertion", "[[{default}]]",
                "between", "SEMICOLON"));
        assertThat(visitor.post("/pantry/layouts", fields).body()).contains("is in the pantry");
        String link = page("/serve").select(".formats a[href*=layout=]").attr("href");
        String table = visitor.get(link).body();
        assertThat(table.lines()).startsWith("Set;Term;How;Shop", "hives;bee hive;p;one", "hives;bee hive;e;one");
        String exported = visitor.get("/pantry/layouts/export?layout="
                        + java.net.URLEncoder.encode("Für <den> Betrieb", StandardCharsets.UTF_8))
                .body();
        visitor.get("/pantry/layouts");
        visitor.post("/pantry/layouts/remove", Map.of("layout", "Für <den> Betrieb", "away", "true"));
        assertThat(page("/serve").select(".formats a[href*=layout=]")).isEmpty();
        visitor.get("/pantry/layouts");
        visitor.upload(
                "/pantry/layouts", "file", Map.of("l.json", exported.getBytes(StandardCharsets.UTF_8)), Map.of());
        assertThat(visitor.get(link).body()).isEqualTo(table);
        visitor.get("/pantry/layouts");
        fields.put("columns", "Set = nothing");
        assertThat(visitor.post("/pantry/layouts", fields).body()).contains("is nothing that a plan has");
        visitor.get("/pantry/layouts");
        assertThat(visitor.upload(
                                "/pantry/layouts",
                                "file",
                                Map.of("l.json", "{\"name\":\"x\"}".getBytes(StandardCharsets.UTF_8)),
                                Map.of())
                        .body())
                .contains("Nothing was saved");
    }

    /** Summed by hand: 1,000 and 300; without the kit 1,000. */
    @Test
    void aListWithCommasIsAsLargeAsWhatIsTickedAndBesideOthers() {
        Document all = page("/comma?of=0");
        assertThat(all.select("textarea").text()).isEqualTo("bee hive, bee hive kit");
        assertThat(all.select("#comma-result tr.current").text()).isEqualTo("as ticked 2 1,300 22");
        Document ticked = page("/comma?of=0&ticked=true&on=0&keep=true");
        assertThat(ticked.select("#comma-result tbody tr").eachText())
                .startsWith("as ticked 1 1,000 8", "kept 1 1 1,000 8", "all of it 2 1,300 22");
        Document result = Jsoup.parse(visitor.get(base + "/comma/result?of=0&on=1&on=77&variant=0.1.999999")
                .body());
        assertThat(result.select("textarea").text()).isEqualTo("bee hive kit");
        assertThat(result.select("tbody tr").eachText()).startsWith("as ticked 1 300 12", "kept 1 2 1,300 22");
    }

    @Test
    void theProjectsNoteStandsInTheReportAndInNotes() {
        visitor.get(base + "/serve");
        visitor.post(base + "/note/project", Map.of("note", "For the <spring> sale"));
        Document report = Jsoup.parse(visitor.get(base + "/plan-report.html").body());
        assertThat(report.select("p").first().text()).isEqualTo("For the <spring> sale");
        assertThat(visitor.get(base + "/notes.csv").body()).contains("project,,For the <spring> sale");
    }

    @Test
    void aViewIsCopiedInPieces() {
        visitor.get(base + "/sift");
        visitor.post(
                base + "/rules/build",
                Map.of("how", "ALL", "part", "0", "kind", "word", "value", "lid", "act", "view", "view", "lids"));
        assertThat(page("/pieces?of=view:lids").select("textarea.piece").text()).isEqualTo("honey jar lid");
    }

    @Test
    void aCopyOfEverythingIsMadeAndGivenAway() throws Exception {
        visitor.get("/projects");
        visitor.post("/copies", Map.of());
        Matcher link = Pattern.compile("href=\"(/copies/copy-[^\"]+\\.zip)\"")
                .matcher(visitor.get("/projects").body());
        assertThat(link.find()).isTrue();
        try (ZipInputStream zip = new ZipInputStream(new ByteArrayInputStream(visitor.bytes(link.group(1))))) {
            assertThat(zip.getNextEntry().getName()).endsWith("smorgas.mv.db");
        }
        assertThat(visitor.get("/copies/copy-1.zip").statusCode()).isEqualTo(404);
    }
}

package smorgas.app.batch;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.junit.jupiter.api.Test;
import smorgas.app.store.RecipeFile;
import smorgas.core.recipe.GroupDecision;
import smorgas.core.recipe.Rules;
import smorgas.core.recipe.SiftEntry;
import smorgas.core.recipe.sift.Condition;
import smorgas.core.recipe.sift.Rule;
import smorgas.core.recipe.sift.Status;

/** Runs beside earlier ones, and several projects of one recipe. */
class BatchAgainstTest extends BatchUnderTest {

    /** The same lists and recipe twice give the same; another harvest gives what is otherwise, and the rows of the plan for it. */
    @Test
    void aRunIsComparedWithAnEarlierOne() throws IOException {
        Path recipe = Files.writeString(
                folder.resolve("recipe.json"),
                RecipeFile.of(
                                Rules.NEWEST,
                                "en",
                                List.of(
                                        new SiftEntry.RuleAdded(
                                                new Rule(1, new Condition.HasWord("toy"), Status.DROPPED)),
                                        new GroupDecision.KeywordsPlaced(
                                                List.of("bee hive", "bee hive paint", "bee hive stand"),
                                                List.of(),
                                                "hives")))
                        .json());
        Path march = file("march.csv", "keyword,searches\nbee hive,1000\nbee hive paint,90\ntoy hive,150\n");
        Path april =
                file("april.csv", "keyword,searches\nbee hives,1300\nbee hive stand,60\ntoy hive,150\ntoy bee,10\n");
        Path first = folder.resolve("first");
        Path second = folder.resolve("second");
        assertThat(run("--in", march, "--recipe", recipe, "--out", first)).isZero();
        assertThat(run("--in", march, "--recipe", recipe, "--out", second, "--against", first))
                .isZero();
        assertThat(run("--in", april, "--recipe", recipe, "--out", second, "--against", first))
                .isEqualTo(4);
        assertThat(Files.readString(second.resolve("difference.csv")).lines().skip(1))
                .containsExactlyInAnyOrder(
                        "new,bee hive stand,60,,Undecided",
                        "new,toy bee,10,,Dropped",
                        "gone,bee hive paint,90,Undecided,",
                        "with changed searches,bee hives,1300,1000,1300",
                        "newly dropped,toy bee,10,,\"" + "rule 1: Drop keywords with the word \"\"toy\"\"\"",
                        "\"new, and to be judged\",bee hive stand,60,,Undecided");
        String changes = Files.readString(second.resolve("plan-changes.csv"));
        assertThat(changes).contains("bee hive stand,Exact,Enabled").contains("bee hive paint,Exact,Paused");
        assertThat(changes.lines().filter(line -> line.contains("toy hive"))).isEmpty();
        assertThat(Files.readString(second.resolve("summary.json")))
                .contains("\"changed\"", "\"searched\"", "\"rows to pause\"");
        assertThat(run("--in", april, "--out", second, "--against", folder.resolve("none")))
                .isEqualTo(2);
        Path broken = Files.createDirectories(folder.resolve("broken"));
        Files.writeString(broken.resolve("keywords.csv"), "keyword,status\na,Sideways\n");
        Files.writeString(broken.resolve("plan.csv"), "Campaign\n");
        assertThat(run("--in", april, "--out", second, "--against", broken)).isEqualTo(2);
    }

    /** Two countries and one recipe: each comes out by itself, what differs is told, and next month each is held against its own. */
    @Test
    void severalProjectsOfOneRecipeAreRunAtOnce() throws IOException {
        Path uk = Files.createDirectories(folder.resolve("uk"));
        Files.writeString(uk.resolve("a.csv"), "keyword,searches\nbee hive,1000\nskep,90\n");
        Files.writeString(uk.resolve("b.txt"), "bee smoker\n");
        Files.writeString(uk.resolve(".hidden"), "nothing of this\n");
        Path ireland = file("ireland.csv", "keyword,searches\nbee hive,70\n");
        Path out = folder.resolve("out");
        assertThat(run("--each", "--in", uk, "--in", ireland, "--words-only", "--out", out))
                .isZero();
        assertThat(Files.readString(out.resolve("uk/keywords.csv")))
                .contains("bee smoker")
                .doesNotContain("nothing");
        assertThat(Files.readString(out.resolve("ireland/difference.csv"))
                        .lines()
                        .skip(1))
                .containsExactlyInAnyOrder(
                        "gone,skep,90,Undecided,",
                        "gone,bee smoker,,Undecided,",
                        "with changed searches,bee hive,70,1000,70");
        assertThat(out.resolve("uk/difference.csv")).doesNotExist();
        assertThat(Files.readString(out.resolve("summary.json"))).contains("\"projects\"", "\"uk\"", "\"ireland\"");
        Path next = folder.resolve("next");
        assertThat(run("--each", "--in", uk, "--in", ireland, "--words-only", "--out", next, "--against", out))
                .as("the same as the month before")
                .isZero();
        Files.writeString(uk.resolve("a.csv"), "keyword,searches\nbee hive,1000\n");
        Path france = file("france.csv", "ruche\n");
        assertThat(run("--each", "--in", uk, "--in", france, "--words-only", "--out", next, "--against", out))
                .isEqualTo(4);
        assertThat(Files.readString(next.resolve("uk/difference.csv"))).contains("gone,skep,90");
        assertThat(next.resolve("france/difference.csv")).doesNotExist();
        Path empty = Files.createDirectories(folder.resolve("empty"));
        assertThat(run("--each", "--in", empty, "--out", next)).isEqualTo(2);
        assertThat(run("--each", "--in", uk, "--in", uk, "--out", next)).isEqualTo(2);
    }

    /** What was undone, or gone back from, is no part of what a run is compared with. */
    @Test
    void aRunIsComparedWithAProjectAsAFile() throws IOException {
        String added =
                "{\"kind\": \"basket-added\", \"format\": 1, \"state\": \"DONE\", \"version\": %d, \"by\": \"IMPORT\", \"body\":"
                        + " {\"basket\": %d, \"name\": \"%s\", \"kind\": \"PASTE\", \"asked\": {\"by\": \"nothing\"}, \"readAs\":"
                        + " {\"encoding\": \"\", \"delimiter\": \"\", \"sheet\": \"\", \"headerLine\": -1, \"roles\": []}}}";
        String told = ours(
                "{\"project\": 1, \"language\": \"en\", \"rules\": 1, \"baskets\": [{\"number\": 7, \"name\": \"march\"}, {\"number\": 9, \"name\": \"more\"}], \"history\": ["
                        + String.format(added, 1, 7, "march") + ", " + String.format(added, 2, 9, "more")
                        + ", {\"kind\": \"went-back\", \"format\": 1, \"state\": \"DONE\", \"version\": 3, \"by\": \"YOU\", \"body\": {\"point\": 1}}]}");
        Path project = folder.resolve("project.zip");
        try (ZipOutputStream zip = new ZipOutputStream(Files.newOutputStream(project))) {
            for (Map.Entry<String, String> part : Map.of(
                            "project.json", told,
                            "baskets/7", "keyword,searches\nbee hive,1000\nskep,90\n",
                            "baskets/9", "honey jar\n")
                    .entrySet()) {
                zip.putNextEntry(new ZipEntry(part.getKey()));
                zip.write(part.getValue().getBytes(StandardCharsets.UTF_8));
            }
        }
        Path april = file("april.csv", "keyword,searches\nbee hive,1000\nwax,10\n");
        Path out = folder.resolve("out");
        assertThat(run("--in", april, "--words-only", "--out", out, "--against", project))
                .isEqualTo(4);
        assertThat(Files.readString(out.resolve("difference.csv")).lines().skip(1))
                .containsExactlyInAnyOrder(
                        "new,wax,10,,Undecided",
                        "gone,skep,90,Undecided,",
                        "\"new, and to be judged\",wax,10,,Undecided");
        assertThat(run("--in", april, "--out", out, "--against", april)).isEqualTo(2);
    }
}

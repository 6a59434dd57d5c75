package smorgas.app.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
import java.util.Objects;
import java.util.zip.GZIPInputStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/**
 * A data folder and a recipe that the version before editions has made, with what it gave out then: they open, and come out
 * as they did; the newer edition is offered and is an act like any other.
 */
class OldProjectIT {

    @TempDir
    private Path data;

    private static byte[] kept(String name) throws IOException {
        try (InputStream in =
                Objects.requireNonNull(OldProjectIT.class.getResourceAsStream("/old/first-edition/" + name))) {
            return in.readAllBytes();
        }
    }

    private static String text(String name) throws IOException {
        return new String(kept(name), StandardCharsets.UTF_8);
    }

    private static String sorted(String csv) {
        return csv.lines().sorted().reduce("", (all, line) -> all + line + "\n");
    }

    @Test
    void anOldFolderOpensAndComesOutAsItDidUntilTheNewerEditionIsTaken() throws IOException {
        try (InputStream in = new GZIPInputStream(Objects.requireNonNull(
                OldProjectIT.class.getResourceAsStream("/old/first-edition/smorgas.mv.db.gz")))) {
            Files.copy(in, data.resolve("smorgas.mv.db"));
        }
        try (Running server = Running.alone(data, 0)) {
            assertThat(data.resolve("before-5.zip"))
                    .as("copied before it was migrated")
                    .exists();
            Visitor visitor = new Visitor(server);
            assertThat(visitor.get("/projects/1/sift.csv").body()).isEqualTo(text("keywords.csv"));
            assertThat(visitor.get("/projects/1/plan.csv").body()).isEqualTo(text("plan.csv"));

            assertThat(visitor.get("/projects/1/fold").body()).contains("follows the rules of edition");
            visitor.post("/projects/1/fold/edition", Map.of("edition", "2"));
            String newer = visitor.get("/projects/1/sift.csv").body();
            assertThat(newer.lines().count())
                    .isLessThan(text("keywords.csv").lines().count());
            assertThat(newer).contains("bienenhaus").doesNotContain("bienenhäuser", "gartenstühle,");
            visitor.get("/projects/1/fold");
            visitor.post("/projects/1/undo", Map.of());
            assertThat(visitor.get("/projects/1/sift.csv").body()).isEqualTo(text("keywords.csv"));

            long fresh = followingTheOldRecipe(visitor);
            assertThat(sorted(visitor.get("/projects/" + fresh + "/plan.csv").body()))
                    .isEqualTo(sorted(text("plan.csv")));
        }
    }

    /** The same lists in a new project that follows the old recipe. */
    private static long followingTheOldRecipe(Visitor visitor) throws IOException {
        visitor.get("/projects");
        var made = visitor.upload(
                "/projects",
                "recipe",
                Map.of("recipe.json", kept("recipe.json")),
                Map.of("name", "Next month", "language", "de", "market", "Germany", "currency", "EUR"));
        long fresh = Long.parseLong(made.uri().getPath().replaceAll("\\D+(\\d+).*", "$1"));
        for (String basket : new String[] {"1", "2"}) {
            byte[] list = visitor.get("/projects/1/gather/" + basket + "/original")
                    .body()
                    .getBytes(StandardCharsets.UTF_8);
            visitor.upload("/projects/" + fresh + "/gather", Map.of("list-" + basket + ".csv", list));
        }
        return fresh;
    }
}

package smorgas.app.work;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import smorgas.app.store.StoreUnderTest;
import smorgas.core.recipe.GroupEntry;
import smorgas.core.recipe.Rules;

/** What keywords mean, found out in the background and kept. */
class MeaningsTest {

    private final Background background = new Background();

    @TempDir
    private Path folder;

    private StoreUnderTest store;
    private Meanings meanings;

    @BeforeEach
    void open() {
        store = new StoreUnderTest(folder);
        meanings = new Meanings(store.meanings(), background, true, 10_000);
    }

    @AfterEach
    void close() throws InterruptedException {
        background.destroy();
        store.close();
    }

    private OpenProject project(String language, String list) {
        long id = store.projects().create("Client " + language, language, "UK", "GBP");
        OpenProject project = new OpenProject(
                store.projects().find(id).orElseThrow(),
                store.baskets(),
                store.histories(),
                meanings.vectors(id),
                new Memory());
        project.gather(Offered.file("list", list.getBytes(StandardCharsets.UTF_8)));
        return project;
    }

    private Meanings.State awaited(OpenProject project) throws InterruptedException {
        for (int i = 0; i < 600 && meanings.state(project) instanceof Meanings.Working; i++) {
            Thread.sleep(50);
        }
        return meanings.state(project);
    }

    @Test
    void itIsFoundOutOnceKeptByTextAndCountsForTheGroupsWhereItIsAskedTo() throws InterruptedException {
        OpenProject project = project("en", "cheap shoes\ninexpensive shoes\nshoe shop\nleather boots\n");
        assertThat(meanings.state(project)).isEqualTo(new Meanings.Waiting(0, 4));
        assertThat(meanings.vectors(project.id()).of("cheap shoes")).isNull();
        project.act(
                project.snapshot().version(),
                recipe -> new GroupEntry.GroupSettingsChosen(recipe.grouping()
                        .settings()
                        .with(Rules.NEWEST.settings().similarity().with(true))));
        var before = project.snapshot().board();
        before.groups();
        meanings.begin(project);
        assertThat(awaited(project)).isEqualTo(new Meanings.Ready());
        assertThat(meanings.vectors(project.id()).of("cheap shoes")).hasSize(384);
        assertThat(project.snapshot().board()).as("grouped anew").isNotSameAs(before);
        assertThat(project.snapshot().board().keywords()).isSameAs(before.keywords());
        assertThat(store.meanings().find(List.of("cheap shoes", "leather boots", "unknown")))
                .containsOnlyKeys("cheap shoes", "leather boots");
        // The stored one decides, whatever the model says later.
        store.meanings().keep(project.id(), Map.of("cheap shoes", new byte[384], "new text", new byte[] {1}));
        assertThat(store.meanings().find(List.of("cheap shoes")).get("cheap shoes"))
                .isNotEqualTo(new byte[384]);
        Meanings later = new Meanings(store.meanings(), background, true, 10_000);
        later.begin(project);
        for (int i = 0; i < 600 && !(later.state(project) instanceof Meanings.Ready); i++) {
            Thread.sleep(20);
        }
        assertThat(later.vectors(project.id()).of("cheap shoes"))
                .isEqualTo(meanings.vectors(project.id()).of("cheap shoes"));
        // What another project has found out is taken over, and goes only with the last of them.
        OpenProject other = project("en", "cheap shoes\n");
        meanings.begin(other);
        assertThat(awaited(other)).isEqualTo(new Meanings.Ready());
        store.projects().bin(project.id());
        store.projects().emptyBin();
        assertThat(store.meanings().find(List.of("cheap shoes", "leather boots")))
                .containsOnlyKeys("cheap shoes");
        store.projects().bin(other.id());
        store.projects().emptyBin();
        assertThat(store.meanings().find(List.of("cheap shoes"))).isEmpty();
    }

    @Test
    void afterARestartTheGroupsAreThoseThatWereAdoptedWhateverIsAskedForFirst() throws InterruptedException {
        OpenProject project = project("en", "cheap shoes\ninexpensive shoes\nshoe shop\nleather boots\n");
        project.act(
                project.snapshot().version(),
                recipe -> new GroupEntry.GroupSettingsChosen(recipe.grouping()
                        .settings()
                        .with(Rules.NEWEST.settings().similarity().with(true))));
        meanings.begin(project);
        assertThat(awaited(project)).isEqualTo(new Meanings.Ready());
        Meanings anew = new Meanings(store.meanings(), background, true, 10_000);
        Table table = new Table(
                store.projects(),
                store.baskets(),
                store.histories(),
                new Memory(),
                anew,
                new Openings(folder),
                background);
        table.open(project.id());
        assertThat(anew.vectors(project.id()).of("leather boots")).hasSize(384);
        table.destroy();
    }

    @Test
    void otherLanguagesTooManyKeywordsAndASwitchLeaveItOff() {
        assertThat(meanings.state(project("de", "schuhe\n"))).isEqualTo(new Meanings.Off());
        OpenProject english = project("en", "shoes\nboots\n");
        assertThat(new Meanings(store.meanings(), background, false, 10_000).state(english))
                .isEqualTo(new Meanings.Off());
        assertThat(new Meanings(store.meanings(), background, true, 1).state(english))
                .isEqualTo(new Meanings.Off());
        Meanings off = new Meanings(store.meanings(), background, false, 10_000);
        off.begin(english);
        off.start(english);
        assertThat(off.state(english)).isEqualTo(new Meanings.Off());
    }

    @Test
    void stoppedItStaysWhatItIsAndGoesOnWhenItIsAskedTo() throws InterruptedException {
        StringBuilder list = new StringBuilder();
        for (int i = 0; i < 1_500; i++) {
            list.append("hive part number ").append(i).append(" of oak\n");
        }
        OpenProject project = project("en", list.toString());
        meanings.begin(project);
        meanings.stop(project.id());
        // Looking at the page again does not take the stop back, however early it came.
        meanings.begin(project);
        for (int i = 0;
                i < 200 && !(meanings.state(project) instanceof Meanings.Waiting waiting && waiting.all() > 0);
                i++) {
            Thread.sleep(20);
        }
        assertThat(meanings.state(project)).isInstanceOf(Meanings.Waiting.class);
        meanings.start(project);
        assertThat(awaited(project)).isEqualTo(new Meanings.Ready());
        // New keywords are new work.
        project.gather(Offered.file("more", "smoker\n".getBytes(StandardCharsets.UTF_8)));
        assertThat(meanings.state(project)).isInstanceOf(Meanings.Waiting.class);
    }
}

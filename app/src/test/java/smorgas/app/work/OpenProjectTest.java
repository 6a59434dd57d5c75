package smorgas.app.work;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.List;
import java.util.function.Function;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import smorgas.app.store.Project;
import smorgas.app.store.StoreUnderTest;
import smorgas.core.group.engine.MeaningVectors;
import smorgas.core.recipe.BasketEntry;
import smorgas.core.recipe.Entry;
import smorgas.core.recipe.Recipe;
import smorgas.core.recipe.SiftEntry;
import smorgas.core.recipe.gather.BasketInfo;
import smorgas.core.recipe.sift.Condition;
import smorgas.core.recipe.sift.Rule;
import smorgas.core.recipe.sift.Status;

/** The one way in which an act becomes durable and then visible. */
class OpenProjectTest {

    @TempDir
    private Path folder;

    private StoreUnderTest store;
    private OpenProject project;

    @BeforeEach
    void open() {
        store = new StoreUnderTest(folder);
        long id = store.projects().create("Client", "en", "UK", "GBP");
        project = loaded(id);
        gather("a.txt", "bee hive\nbee suit\nfree hive\n");
    }

    @AfterEach
    void close() {
        store.close();
    }

    private OpenProject loaded(long id) {
        Project stored = store.projects().find(id).orElseThrow();
        return new OpenProject(stored, store.baskets(), store.histories(), MeaningVectors.NONE, new Memory());
    }

    private OpenProject.Gathered gather(String name, String text) {
        return project.gather(Offered.file(name, text.getBytes(StandardCharsets.UTF_8)));
    }

    private static BasketInfo.Kind kind(OpenProject of, String name) {
        return of.snapshot().baskets().stream()
                .filter(basket -> basket.name().equals(name))
                .findFirst()
                .orElseThrow()
                .info()
                .kind();
    }

    @Test
    void whoGathersTellsTheKindUnlessTheColumnsTellMore() {
        project.gather(Offered.paste("pasted", "queen cage\n"));
        project.gather(Offered.paste("exported", "keyword,searches,competition\nqueen cell,10,low\n"));
        project.gather(Offered.made("compared", List.of("queen pen"), BasketInfo.Kind.COMPARED));
        for (OpenProject one : List.of(project, loaded(project.id()))) {
            assertThat(kind(one, "a.txt")).isEqualTo(BasketInfo.Kind.OTHER);
            assertThat(kind(one, "pasted")).isEqualTo(BasketInfo.Kind.PASTE);
            assertThat(kind(one, "exported")).isEqualTo(BasketInfo.Kind.PLANNER);
            assertThat(kind(one, "compared")).isEqualTo(BasketInfo.Kind.COMPARED);
        }
    }

    private Outcome act(Function<Recipe, Entry> make) {
        return project.act(project.snapshot().version(), make);
    }

    private static Function<Recipe, Entry> dropWord(String word) {
        return recipe -> new SiftEntry.RuleAdded(
                new Rule(recipe.sifting().nextRule(), new Condition.HasWord(word), Status.DROPPED));
    }

    private static Function<Recipe, Entry> keep(String... texts) {
        return recipe -> new SiftEntry.Judged(List.of(texts), Status.KEPT);
    }

    private int count(Status status) {
        return project.snapshot().board().statuses().count(status);
    }

    @Test
    void anActTellsWhatItChangedAndIsThereAfterARestart() {
        Outcome outcome = act(dropWord("free"));
        assertThat(outcome).isInstanceOf(Outcome.Done.class);
        assertThat(outcome.sentence())
                .hasToString("New rule: Drop keywords with the word \"free\". Undecided 3 → 2, Dropped 0 → 1.");

        OpenProject again = loaded(project.id());
        assertThat(again.snapshot().board().statuses().count(Status.DROPPED)).isEqualTo(1);
        assertThat(again.snapshot().version()).isEqualTo(project.snapshot().version());
        assertThat(again.undo(again.snapshot().version())).isInstanceOf(Outcome.Done.class);
        assertThat(again.snapshot().board().statuses().count(Status.DROPPED)).isZero();
    }

    @Test
    void undoAndRedoTellWhatTheyDidAndSayWhenThereIsNothing() {
        act(keep("bee hive"));
        assertThat(project.undo(project.snapshot().version()).sentence())
                .hasToString("Undid: Kept \"bee hive\". Kept 1 → 0, Undecided 2 → 3.");
        assertThat(project.redo(project.snapshot().version()).sentence().toString())
                .startsWith("Did again: Kept");
        assertThat(project.redo(project.snapshot().version())).isInstanceOf(Outcome.NoChange.class);
        assertThat(project.undo(project.snapshot().version() - 1)).isInstanceOf(Outcome.Refused.class);
        project.undo(project.snapshot().version());
        project.undo(project.snapshot().version());
        assertThat(project.snapshot().baskets()).isEmpty();
        assertThat(project.undo(project.snapshot().version())).isInstanceOf(Outcome.NoChange.class);
    }

    @Test
    void anActOnAnOlderPageIsRefusedOnlyIfItMeetsWhatCameBetween() {
        long seen = project.snapshot().version();
        act(keep("bee hive"));
        assertThat(project.act(seen, keep("bee suit"))).isInstanceOf(Outcome.Done.class);
        assertThat(project.act(seen, recipe -> new SiftEntry.Judged(List.of("bee hive"), Status.DROPPED)))
                .isInstanceOf(Outcome.Refused.class);
        assertThat(count(Status.KEPT)).isEqualTo(2);

        long before = project.snapshot().version();
        project.undo(before);
        // What the undo took back was seen as kept on the older page.
        assertThat(project.act(before, keep("bee suit"))).isInstanceOf(Outcome.Refused.class);
    }

    @Test
    void whatChangesNothingOrCannotBeMeantIsNotStored() {
        act(keep("bee hive"));
        long version = project.snapshot().version();
        assertThat(act(keep("bee hive"))).isInstanceOf(Outcome.NoChange.class);
        assertThat(act(recipe -> new SiftEntry.RuleRemoved(77))).isInstanceOf(Outcome.NoChange.class);
        assertThat(act(recipe -> new SiftEntry.Judged(List.of(), Status.KEPT))).isInstanceOf(Outcome.Refused.class);
        assertThat(store.projects().find(project.id()).orElseThrow().version()).isEqualTo(version);
    }

    @Test
    void basketsAreNamedApartAndARefusedOneLeavesNothing() {
        gather("a.txt", "queen cage\n");
        assertThat(project.snapshot().baskets()).extracting(b -> b.name()).containsExactly("a.txt", "a.txt (2)");
        OpenProject.Gathered refused = gather("empty.txt", "");
        assertThat(refused.basket()).isEmpty();
        assertThat(refused.outcome().sentence().toString()).startsWith("empty.txt: The file is empty");
        assertThat(project.snapshot().baskets()).hasSize(2);
        assertThat(store.baskets().of(project.id())).hasSize(2);
    }

    @Test
    void aRemovedBasketTakesItsLinesAlongAndUndoBringsThemBackWithTheDecisionsOnThem() {
        long basket = gather("b.txt", "queen cage\n").basket().orElseThrow();
        act(keep("queen cage"));
        act(recipe -> new BasketEntry.BasketRemoved(basket, "b.txt"));
        assertThat(project.snapshot().board().keywords().find("queen cage")).isEmpty();
        assertThat(project.snapshot().board().statuses().lostDecisions()).isEqualTo(1);
        project.undo(project.snapshot().version());
        assertThat(count(Status.KEPT)).isEqualTo(1);
        assertThat(project.snapshot().board().statuses().lostDecisions()).isZero();
    }

    @Test
    void aStoreThatFailsAcknowledgesNothingAndThePageStaysTrue() {
        long version = project.snapshot().version();
        store.close();
        org.assertj.core.api.Assertions.assertThatThrownBy(() -> act(keep("bee hive")))
                .isInstanceOf(RuntimeException.class);
        assertThat(project.snapshot().version()).isEqualTo(version);
        assertThat(count(Status.KEPT)).isZero();
        store = new StoreUnderTest(folder);
        assertThat(store.histories().load(project.id()).steps()).hasSize(1);
    }

    @Test
    void traysKeepWhatIsPickedApartByProjectAndTab() {
        Trays trays = new Trays();
        trays.pick(1, "a", List.of("x", "y"));
        trays.pick(1, "a", List.of("y", "z"));
        trays.pick(1, "b", List.of("q"));
        trays.putBack(1, "a", List.of("x", "never picked"));
        assertThat(trays.texts(1, "a")).containsExactly("y", "z");
        assertThat(trays.texts(2, "a")).isEmpty();
        trays.clear(1, "a");
        assertThat(trays.texts(1, "a")).isEmpty();
        assertThat(trays.texts(1, "b")).containsExactly("q");
    }
}

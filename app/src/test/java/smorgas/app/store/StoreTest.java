package smorgas.app.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import smorgas.core.figure.Decimals;
import smorgas.core.figure.Figure;
import smorgas.core.gather.Lines;
import smorgas.core.gather.RawList;
import smorgas.core.gather.ReadingStopped;
import smorgas.core.recipe.BasketEntry;
import smorgas.core.recipe.Entry;
import smorgas.core.recipe.FoldEntry;
import smorgas.core.recipe.GroupEntry;
import smorgas.core.recipe.History;
import smorgas.core.recipe.Recipe;
import smorgas.core.recipe.RecipeTaken;
import smorgas.core.recipe.Rules;
import smorgas.core.recipe.SiftEntry;
import smorgas.core.recipe.VersionEntry;
import smorgas.core.recipe.fold.FoldKind;
import smorgas.core.recipe.gather.BasketState;
import smorgas.core.recipe.gather.ReadAs;
import smorgas.core.recipe.sift.Status;
import smorgas.core.recipe.sift.WordList;
import smorgas.core.text.Message;

class StoreTest {

    private static final byte[] LIST =
            "keyword;searches\nbee hive;1.300\n\"a;\"\"b\"\"\";10\n;900\n".getBytes(StandardCharsets.UTF_8);

    /** One of every kind that an exported recipe holds as it is, with every condition. */
    static final List<Entry> EVERY_KIND = GoldenEntriesTest.entries().stream()
            .filter(entry -> !(entry instanceof RecipeTaken))
            .toList();

    @TempDir
    private Path folder;

    private StoreUnderTest store;

    @BeforeEach
    void open() {
        store = new StoreUnderTest(folder);
    }

    @AfterEach
    void close() {
        store.close();
    }

    private void reopen() {
        store.close();
        store = new StoreUnderTest(folder);
    }

    private long project() {
        return store.projects().create("Client", "en", "UK", "GBP");
    }

    private History act(long project, History before, Entry entry) {
        long version = store.projects().find(project).orElseThrow().version();
        History after = before.act(entry, version + 1);
        store.histories().advance(project, version, before, after, Message.NONE);
        return after;
    }

    @Test
    void keepsTheBytesAsTheyCameAndTheLinesOfTheirReading() {
        long project = project();
        Baskets.Stored stored = store.baskets().store(project, "list", LIST);
        reopen();

        Baskets.Basket basket = store.baskets().of(project).getFirst();
        Lines lines = store.baskets().lines(basket, Decimals.POINT);

        assertThat(store.baskets().bytes(project, stored.basket().orElseThrow()))
                .hasValue(LIST);
        assertThat(basket.reading()).isEqualTo(stored.reading());
        assertThat(List.of(lines.text(0), lines.text(1))).containsExactly("bee hive", "a;\"b\"");
        assertThat(lines.figure(Figure.SEARCHES).orElseThrow().low(0)).isEqualTo(1300);
        assertThat(lines.setAside()).isEqualTo(1);
        assertThat(lines.problems()).singleElement().satisfies(p -> assertThat(p.line())
                .isEqualTo(4));
    }

    @Test
    void readingTheBytesOtherwiseReplacesTheLinesAndComesBackFromTheSameBytes() {
        long project = project();
        store.baskets().store(project, "list", LIST);
        Baskets.Basket found = store.baskets().of(project).getFirst();

        ReadAs plain = new ReadAs("", "\n", "", 0, List.of());
        Baskets.Basket otherwise = store.baskets().readAs(found, plain);
        reopen();

        Baskets.Basket stored = store.baskets().of(project).getFirst();
        assertThat(stored).isEqualTo(otherwise);
        assertThat(stored.readAs()).isEqualTo(plain);
        assertThat(store.baskets().lines(stored, Decimals.POINT).text(0)).isEqualTo("keyword;searches");
        Baskets.Basket back = store.baskets().readAs(stored, ReadAs.FOUND);
        assertThat(back.reading()).isEqualTo(found.reading());
        assertThat(store.baskets().lines(back, Decimals.POINT).text(0)).isEqualTo("bee hive");
        assertThat(store.baskets().cells(back.id(), 2)).containsExactly("bee hive", "1.300");
        assertThat(store.baskets().cells(back.id(), 99)).isEmpty();
    }

    @Test
    void theSameBytesAreFoundAndAStoppedReadingLeavesNothing() {
        long project = project();
        long basket = store.baskets().store(project, "list", LIST).basket().orElseThrow();
        assertThat(store.baskets().withSameBytes(project, LIST)).containsExactly(basket);
        assertThat(store.baskets().withSameBytes(project(), LIST)).isEmpty();
        byte[] many = "bee\n".repeat(25_000).getBytes(StandardCharsets.UTF_8);
        Watch impatient = new Watch() {
            @Override
            public void rows(long stored) {
                if (stored >= 20_000) {
                    throw new ReadingStopped();
                }
            }
        };
        assertThatThrownBy(() -> store.baskets().store(project, RawList.of("many", many), impatient))
                .isInstanceOf(ReadingStopped.class);
        assertThat(store.baskets().of(project)).hasSize(1);
        assertThat(store.baskets().withSameBytes(project, many)).isEmpty();
    }

    @Test
    void aListOfManyLinesKeepsTheirOrder() {
        StringBuilder text = new StringBuilder("keyword\n");
        for (int i = 0; i < 25_000; i++) {
            text.append("hive ").append(i).append('\n');
        }
        long project = project();
        store.baskets().store(project, "long", text.toString().getBytes(StandardCharsets.UTF_8));

        Lines lines = store.baskets().lines(store.baskets().of(project).getFirst(), Decimals.POINT);

        assertThat(lines.size()).isEqualTo(25_000);
        for (int i = 0; i < lines.size(); i++) {
            assertThat(lines.text(i)).isEqualTo("hive " + i);
            assertThat(lines.lineNumber(i)).isEqualTo(i + 2);
        }
    }

    @Test
    void whatCannotBeReadIsNotStored() {
        long project = project();
        assertThat(store.baskets()
                        .store(project, "x", new byte[] {1, 0, 0, 7, 0, 9, 9, 0})
                        .basket())
                .isEmpty();
        assertThat(store.baskets().of(project)).isEmpty();
    }

    @Test
    void theBytesOfAnotherProjectAreOutOfReach() {
        long basket = store.baskets().store(project(), "list", LIST).basket().orElseThrow();
        assertThat(store.baskets().bytes(project(), basket)).isEmpty();
    }

    @Test
    void everyKindOfEntryComesBackAsItWasWithItsMark() {
        long project = project();
        History history = new History(List.of());
        for (Entry entry : EVERY_KIND) {
            history = act(project, history, entry);
        }
        long version = EVERY_KIND.size();
        History undone = history.undo(version + 1);
        store.histories().advance(project, version, history, undone, Message.NONE);
        History left = act(project, undone.undo(version + 2), new GroupEntry.WordsIgnored(List.of("x"), true));
        reopen();

        assertThat(store.histories().load(project).steps())
                .extracting(History.Step::entry)
                .containsExactlyElementsOf(
                        left.steps().stream().map(History.Step::entry).toList());
        assertThat(store.histories().load(project).effective()).isEqualTo(left.effective());
        assertThat(store.histories().told(project)).hasSize(left.steps().size());
    }

    @Test
    void whatWasDecidedOnAnOlderVersionIsRefusedAndChangesNothing() {
        long project = project();
        History first = act(project, new History(List.of()), EVERY_KIND.getFirst());
        History other = new History(List.of()).act(EVERY_KIND.getLast(), 1);

        assertThatThrownBy(() -> store.histories().advance(project, 0, new History(List.of()), other, Message.NONE))
                .isInstanceOf(IllegalStateException.class);

        assertThat(store.histories().load(project)).isEqualTo(first);
        assertThat(store.projects().find(project).orElseThrow().version()).isEqualTo(1);
    }

    @Test
    void aStepThatFailsHalfWayLeavesNothingBehind() {
        long project = project();
        History once = act(project, new History(List.of()), EVERY_KIND.getFirst());
        // The second step has the number of the first: the database refuses it after the version was moved.
        History.Step taken = new History.Step(1, EVERY_KIND.getLast(), History.State.DONE, 2);

        assertThatThrownBy(() -> store.histories()
                .advance(project, 1, new History(List.of()), new History(List.of(taken)), Message.NONE));

        assertThat(store.projects().find(project).orElseThrow().version()).isEqualTo(1);
        assertThat(store.histories().load(project)).isEqualTo(once);
    }

    @Test
    void aCopyHasEverythingAndLivesOnItsOwn() {
        long project = project();
        long basket = store.baskets().store(project, "list", LIST).basket().orElseThrow();
        History history = act(project, new History(List.of()), new BasketEntry.BasketAdded(basket, "list"));
        history = act(project, history, new SiftEntry.Judged(List.of("bee hive"), Status.KEPT));

        long copy = store.projects().copy(project, "Copy");
        store.projects().bin(project);
        assertThat(store.projects().emptyBin()).isEqualTo(1);

        assertThat(store.projects().all()).extracting(Project::name).containsExactly("Copy");
        Recipe recipe = Recipe.of(store.histories().load(copy).effective(), "en");
        Baskets.Basket copied = store.baskets().of(copy).getFirst();
        assertThat(recipe.gathering().baskets()).extracting(BasketState::basket).containsExactly(copied.id());
        assertThat(recipe.sifting().decisions()).containsEntry("bee hive", Status.KEPT);
        assertThat(store.baskets().lines(copied, Decimals.POINT).size()).isEqualTo(2);
        assertThat(store.baskets().bytes(copy, copied.id())).hasValue(LIST);
        assertThat(store.baskets().of(project)).isEmpty();
        assertThat(history.steps()).hasSize(2);
    }

    @Test
    void theBinGivesBackWhatWasNotDeleted() {
        long project = project();
        store.projects().bin(project);
        assertThat(store.projects().find(project).orElseThrow().binned()).isTrue();
        store.projects().restore(project);
        assertThat(store.projects().emptyBin()).isZero();
        store.projects().rename(project, "Renamed");
        assertThat(store.projects().find(project).orElseThrow().name()).isEqualTo("Renamed");
    }

    @Test
    void anExportedRecipeIsReadBackWithEveryDefaultWrittenOut() {
        String json = RecipeFile.of(Rules.NEWEST, "de", EVERY_KIND).json();
        RecipeFile read = RecipeFile.parse(json);

        assertThat(read.language()).isEqualTo("de");
        assertThat(read.entries())
                .contains(
                        new GroupEntry.GroupSettingsChosen(
                                Rules.NEWEST.settings().grouping("de")),
                        new FoldEntry.FoldKindSwitched(FoldKind.STEMS, false));
        assertThat(read.entries())
                .endsWith(EVERY_KIND.stream()
                        .filter(entry -> !(entry instanceof BasketEntry || entry instanceof VersionEntry))
                        .toArray(Entry[]::new))
                .noneMatch(entry -> entry instanceof BasketEntry || entry instanceof VersionEntry);
        assertThat(RecipeFile.parse(json).json()).isEqualTo(json);
    }

    /** What nobody has chosen comes out in another project as in the one that the recipe is of. */
    @Test
    void anExportedRecipeOfNoDecisionsIsWhatHoldsUntilSomebodyDecides() {
        RecipeFile read =
                RecipeFile.parse(RecipeFile.of(Rules.NEWEST, "fr", List.of()).json());
        Recipe again = Recipe.of(read.entries(), "fr");
        Recipe before = Recipe.empty("fr");
        assertThat(again.grouping().settings()).isEqualTo(before.grouping().settings());
        assertThat(again.folding()).isEqualTo(before.folding());
        assertThat(again.serving().plan()).isEqualTo(before.serving().plan());
    }

    @Test
    void aRecipeThatWasTakenIsStoredAndExportedAsItself() {
        String json = RecipeFile.of(Rules.NEWEST, "de", EVERY_KIND).json();
        RecipeTaken taken = RecipeFile.take("r.json", ("\uFEFF" + json).getBytes(StandardCharsets.UTF_8), "de");
        assertThat(Json.entry(Json.kind(taken), 1, Json.body(taken))).isEqualTo(taken);
        List<Entry> effective = new ArrayList<>(EVERY_KIND);
        effective.add(taken);
        assertThat(RecipeFile.of(Rules.NEWEST, "de", effective).json()).isEqualTo(json);
    }

    private static final String WORD = "{\"is\": \"has-word\", \"word\": \"a\"}";

    private static final String OURS = "{\"recipe\": 1, \"fingerprint\": \"" + Fingerprint.OURS + "\", \"entries\": ";

    private static String entry(String kind, String body) {
        return OURS + "[{\"kind\": \"" + kind + "\", \"format\": 1, \"body\": " + body + "}]}";
    }

    @Test
    void aRecipeThatIsNoneTellsWhichEntryIsWrong() {
        for (String[] wrong : new String[][] {
            {"{", "no JSON"},
            {"[]", "no recipe"},
            {"{\"recipe\": 99}", "no recipe of format"},
            {"{\"recipe\": 1, \"entries\": []}", "was written by another version"},
            {"{\"recipe\": 1, \"fingerprint\": \"0123456789abcdef\"}", "was written by another version"},
            {OURS + "[{\"kind\": \"boom\"}]}", "Entry 1: The kind \"boom\""},
            {OURS + "[{\"kind\": \"basket-added\", \"format\": 1}]}", "Entry 1"},
            {OURS + "[{\"kind\": \"words-ignored\", \"format\": 7, \"body\": {}}]}", "format 7"},
            {OURS + "[{\"kind\": \"judged\", \"format\": 1, \"body\": {\"texts\": []}}]}", "Entry 1"},
            {
                OURS + "[{\"kind\": \"rule-added\", \"format\": 1, \"body\": {\"rule\": {\"number\": 1,"
                        + " \"when\": {\"is\": \"java.lang.Object\"}, \"then\": \"KEPT\"}}}]}",
                "Entry 1"
            },
            {
                entry(
                        "rule-added",
                        "{\"rule\": {\"number\": 1, \"when\": null, \"does\": {\"do\": \"tag\", \"tag\": \"a\"}}}"),
                "missing"
            },
            {
                entry(
                        "rule-added",
                        "{\"rule\": {\"number\": 0, \"when\": " + WORD
                                + ", \"does\": {\"do\": \"tag\", \"tag\": \"a\"}}}"),
                "not 0"
            },
            {entry("rule-added", "{\"rule\": {\"number\": 1, \"when\": " + WORD + "}}"), "\"does\" is missing"},
            {entry("judged", "{\"texts\": [\"a\", null], \"status\": \"KEPT\"}"), "missing"},
            {entry("judged", "{\"texts\": [\"a\"]}"), "\"status\" is missing"}
        }) {
            assertThatThrownBy(() -> RecipeFile.parse(wrong[0]))
                    .as(wrong[0])
                    .isInstanceOf(IllegalArgumentException.class)
                    .hasMessageContaining(wrong[1])
                    .hasMessageNotContaining("smorgas.core");
        }
    }

    @Test
    void everyVersionOfAWordListIsKeptAndAListTakenAwayCanBePutBack() {
        Pantry pantry = store.pantry();
        WordList first =
                WordList.of("Rivals", "en", WordList.Kind.BRANDS, "Skeplund\n# a remark\n\nskeplund\nOtter Wick\n");
        assertThat(pantry.save(first).version()).isEqualTo(1);
        assertThat(first.words()).containsExactly("skeplund", "otter wick");
        assertThat(pantry.save(first).version()).as("the same again").isEqualTo(1);
        WordList second = WordList.of("Rivals", "en", WordList.Kind.BRANDS, "skeplund");
        assertThat(pantry.save(second).version()).isEqualTo(2);
        reopen();
        assertThat(store.pantry().versions("Rivals"))
                .extracting(list -> list.words().size())
                .containsExactly(1, 2);
        store.pantry().remove("Rivals");
        assertThat(store.pantry().all()).isEmpty();
        assertThat(store.pantry().removed()).containsExactly("Rivals");
        store.pantry().ship(first);
        assertThat(store.pantry().all())
                .as("a shipped list does not come back by itself")
                .isEmpty();
        store.pantry().restore("Rivals");
        assertThat(store.pantry().all()).extracting(WordList::version).containsExactly(2);
    }
}

package smorgas.app.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.channels.FileChannel;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.nio.file.attribute.PosixFilePermissions;
import java.sql.Connection;
import java.sql.DriverManager;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.List;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import smorgas.core.recipe.History;
import smorgas.core.recipe.SiftEntry;
import smorgas.core.recipe.sift.Status;
import smorgas.core.recipe.sift.WordList;
import smorgas.core.text.Message;
import smorgas.core.text.Refusal;

/** A data folder that is not what it was is refused, left as it is, and can be brought back. */
class DataFolderTest {

    @TempDir
    private Path folder;

    private static History acts(StoreUnderTest store, long project, History history, int acts) {
        History last = history;
        for (int i = 0; i < acts; i++) {
            long version = last.steps().size();
            History next = last.act(new SiftEntry.Judged(List.of("keyword " + version), Status.KEPT), version + 1);
            store.histories().advance(project, version, last, next, Message.NONE);
            last = next;
        }
        return last;
    }

    /** A few projects with lists and acts. */
    private void fill(int projects) {
        try (StoreUnderTest store = new StoreUnderTest(folder)) {
            for (int p = 0; p < projects; p++) {
                long project = store.projects().create("Client " + p, "en", "UK", "GBP");
                StringBuilder list = new StringBuilder();
                IntStream.range(0, 3_000)
                        .forEach(i -> list.append("bee ").append(i).append('\n'));
                store.baskets().store(project, "list", list.toString().getBytes(StandardCharsets.UTF_8));
                acts(store, project, new History(List.of()), 20);
            }
            store.pantry().save(new WordList("Towns", "en", WordList.Kind.PLACES, 1, List.of("otterwick")));
        }
    }

    private Path database() {
        return folder.resolve(DataFolder.DATABASE);
    }

    private void cut(long bytes) throws IOException {
        try (FileChannel file = FileChannel.open(database(), StandardOpenOption.WRITE)) {
            file.truncate(Math.max(0, file.size() - bytes));
        }
    }

    private void assertRefused(String... told) throws IOException {
        byte[] before = Files.exists(database()) ? Files.readAllBytes(database()) : new byte[0];
        assertThatThrownBy(() -> new StoreUnderTest(folder))
                .isInstanceOf(Refusal.class)
                .satisfies(fault -> assertThat(fault.getMessage()).contains(told));
        assertThat(Files.exists(database()) ? Files.readAllBytes(database()) : new byte[0])
                .as("left untouched")
                .isEqualTo(before);
    }

    @Test
    void aDatabaseThatWasCutIsRefusedWhereverItWasCut() throws IOException {
        fill(5);
        byte[] whole = Files.readAllBytes(database());
        for (long cut :
                List.of(64L << 10, whole.length / 100L, whole.length / 3L, whole.length / 2L, (long) whole.length)) {
            Files.write(database(), whole);
            cut(cut);
            assertRefused("Nothing was written");
        }
        Files.delete(database());
        assertRefused("is missing");
        Files.write(database(), whole);
        try (StoreUnderTest store = new StoreUnderTest(folder)) {
            assertThat(store.projects().all()).hasSize(5);
        }
    }

    /** What was acknowledged before a copy was begun is in it, whole, whatever is done meanwhile. */
    @Test
    void aCopyMadeWhileItIsWorkedWithComesBackToAnAcknowledgedState(@TempDir Path live) throws Exception {
        try (StoreUnderTest store = new StoreUnderTest(live)) {
            long project = store.projects().create("Client", "en", "UK", "GBP");
            AtomicInteger acknowledged = new AtomicInteger();
            AtomicBoolean enough = new AtomicBoolean();
            Thread working = Thread.ofPlatform().start(() -> {
                History history = new History(List.of());
                while (!enough.get()) {
                    history = acts(store, project, history, 1);
                    acknowledged.incrementAndGet();
                }
            });
            Copies copies = new Copies(live, store.database(), 9, Clock.systemUTC());
            for (int round = 0; round < 3; round++) {
                int wanted = acknowledged.get() + 15;
                while (acknowledged.get() < wanted && working.isAlive()) {
                    Thread.sleep(1);
                }
                int before = acknowledged.get();
                Path copy = copies.makeIfChanged().orElseThrow();
                int after = acknowledged.get() + 1;
                Path other = live.resolve("back-" + round);
                DataFolder.restore(other, copy, Clock.systemUTC());
                try (StoreUnderTest restored = new StoreUnderTest(other)) {
                    int steps = restored.histories().load(project).steps().size();
                    assertThat(steps).isBetween(before, after);
                    assertThat(restored.projects().find(project).orElseThrow().version())
                            .isEqualTo(steps);
                }
            }
            enough.set(true);
            working.join();
        }
    }

    @Test
    void oneThatWasKilledAndThenCutIsRefusedTooAndComesBackFromItsCopy(@TempDir Path live) throws Exception {
        try (StoreUnderTest store = new StoreUnderTest(live)) {
            History history = new History(List.of());
            long project = store.projects().create("Client", "en", "UK", "GBP");
            history = acts(store, project, history, 30);
            Copies copies = new Copies(live, store.database(), 3, Clock.systemUTC());
            Path copy = copies.makeIfChanged().orElseThrow();
            history = acts(store, project, history, 60);
            // As after a kill: the file in the middle of its life, without an orderly end.
            for (String name : List.of(DataFolder.DATABASE, Tally.NAME)) {
                Files.copy(live.resolve(name), folder.resolve(name));
            }
            try (StoreUnderTest killed = new StoreUnderTest(folder)) {
                assertThat(killed.histories().load(project).steps()).hasSize(90);
            }
            Files.copy(
                    live.resolve(DataFolder.DATABASE), database(), java.nio.file.StandardCopyOption.REPLACE_EXISTING);
            cut(Files.size(database()) / 50);
            assertRefused("the last acts of project 1", "./smorgas restore");

            String told = DataFolder.restore(folder, copy, Clock.systemUTC()).toString();
            assertThat(told).contains("Restored 1 project", "replaced-");
            try (StoreUnderTest restored = new StoreUnderTest(folder)) {
                assertThat(restored.histories().load(project).steps()).hasSize(30);
                assertThat(restored.projects().find(project).orElseThrow().version())
                        .isEqualTo(30);
            }
            try (Stream<Path> kept = Files.list(folder.resolve(Copies.FOLDER))) {
                assertThat(kept).anyMatch(file -> file.getFileName().toString().startsWith("replaced-"));
            }
        }
    }

    @Test
    void anotherDatabaseInItsPlaceIsRefused(@TempDir Path other) throws IOException {
        fill(1);
        try (StoreUnderTest store = new StoreUnderTest(other)) {
            long project = store.projects().create("Somebody else", "en", "UK", "GBP");
            store.baskets().store(project, "list", "other words\n".getBytes(StandardCharsets.UTF_8));
            acts(
                    store,
                    project,
                    new History(List.of(new History.Step(
                            1, new SiftEntry.Judged(List.of("other"), Status.KEPT), History.State.DONE, 1))),
                    0);
        }
        Files.copy(other.resolve(DataFolder.DATABASE), database(), java.nio.file.StandardCopyOption.REPLACE_EXISTING);
        assertRefused("Nothing was written");
    }

    @Test
    void aDatabaseThatIsAheadByWhatWasNotAcknowledgedIsTakenAndALineBeingWrittenIsNoPriority() throws IOException {
        fill(1);
        Path tally = folder.resolve(Tally.NAME);
        List<String> before = Files.readAllLines(tally).stream()
                .filter(line -> !line.startsWith("closed"))
                .toList();
        try (StoreUnderTest store = new StoreUnderTest(folder)) {
            acts(store, 1, store.histories().load(1), 1);
        }
        Files.write(tally, before);
        Files.writeString(tally, "project 1 99 99 abc", StandardOpenOption.APPEND);
        try (StoreUnderTest store = new StoreUnderTest(folder)) {
            assertThat(store.histories().load(1).steps()).hasSize(21);
        }
        List<String> lines = Files.readAllLines(tally);
        lines.set(1, lines.get(1).replace("project 1", "project 7"));
        Files.write(tally, lines);
        assertRefused("line 2 of smorgas.tally");
        Files.delete(tally);
        try (StoreUnderTest store = new StoreUnderTest(folder)) {
            assertThat(store.histories().load(1).steps()).hasSize(21);
        }
        assertThat(tally).as("a folder without one gets it").exists();
    }

    @Test
    void anEmptiedBinIsNoLoss() {
        fill(2);
        try (StoreUnderTest store = new StoreUnderTest(folder)) {
            store.projects().bin(1);
            assertThat(store.projects().emptyBin()).isEqualTo(1);
            long copy = store.projects().copy(2, "Copy");
            assertThat(store.histories().load(copy).steps()).hasSize(20);
        }
        try (StoreUnderTest store = new StoreUnderTest(folder)) {
            assertThat(store.projects().all()).hasSize(2);
        }
    }

    @Test
    void whatANewerVersionMadeIsNotTouched() throws Exception {
        fill(1);
        try (Connection connection =
                DriverManager.getConnection(StoreUnderTest.url(folder) + ";MAX_COMPACT_TIME=0", "sa", "")) {
            connection
                    .createStatement()
                    .execute("insert into entry select project_id, 21, 'of-next-year', 1, '{}', 'DONE', 21, acted_at,"
                            + " 'YOU', '', '' from entry where seq = 1");
        }
        assertRefused("made by another version of Smorgas", "of-next-year");
        try (Connection connection =
                DriverManager.getConnection(StoreUnderTest.url(folder) + ";MAX_COMPACT_TIME=0", "sa", "")) {
            connection.createStatement().execute("delete from entry where kind = 'of-next-year'");
            connection
                    .createStatement()
                    .execute(
                            "insert into \"flyway_schema_history\" select 999, '999', 'later', 'SQL', 'V999__later.sql', 0,"
                                    + " 'sa', current_timestamp, 1, true");
        }
        assertRefused("made by another version of Smorgas", "999");
    }

    private void madeByAnother(String statement) throws Exception {
        fill(1);
        try (Connection connection =
                DriverManager.getConnection(StoreUnderTest.url(folder) + ";MAX_COMPACT_TIME=0", "sa", "")) {
            connection.createStatement().execute(statement);
        }
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "drop table made_by",
                "delete from made_by",
                "update made_by set fingerprint = '0123456789abcdef'"
            })
    void untilVersionOneEachVersionReadsOnlyItsOwnFolders(String statement) throws Exception {
        madeByAnother(statement);
        assertRefused("made by another version of Smorgas", "each version reads only its own folders");
    }

    @Test
    void anotherVersionsDemoIsMovedAsideAndNothingElseIs() throws Exception {
        madeByAnother("drop table made_by");
        Clock clock = Clock.fixed(Instant.parse("2026-05-01T09:30:00Z"), ZoneOffset.UTC);
        Path aside = DataFolder.setAside(folder, clock).orElseThrow();
        assertThat(aside).isNotEmptyFile().hasFileName("replaced-2026-05-01-093000.mv.db");
        assertThat(DataFolder.exists(folder)).isFalse();
        fill(1);
        assertThat(DataFolder.setAside(folder, clock)).isEmpty();
        assertThat(DataFolder.exists(folder)).isTrue();
    }

    @Test
    void theSchemaThatTheCodeNamesIsTheNewestMigration() throws IOException {
        try (Stream<Path> files = Files.list(Path.of("../schema/src/main/resources/db/migration"))) {
            assertThat(files.map(file -> file.getFileName().toString().replaceAll("^V(\\d+)__.*", "$1"))
                            .mapToInt(Integer::parseInt)
                            .max())
                    .hasValue(DataFolder.SCHEMA);
        }
    }

    @Test
    void beforeAMigrationOfADatabaseThatHoldsSomethingACopyIsMade() throws IOException {
        fill(1);
        Path copy = folder.resolve("before-999.zip");
        assertThat(copy).doesNotExist();
        DataFolder.open(folder, StoreUnderTest.url(folder), "classpath:db/migration", "classpath:later-migration")
                .close();
        assertThat(copy).exists();
    }

    @Test
    void copiesAreMadeOfWhatHasChangedWhileItIsWorkedWithAndTheOldestMakeRoom() throws Exception {
        try (StoreUnderTest store = new StoreUnderTest(folder)) {
            long project = store.projects().create("Client", "en", "UK", "GBP");
            Clock[] now = {Clock.systemUTC()};
            History history = new History(List.of());
            for (int i = 0; i < 5; i++) {
                now[0] = Clock.offset(Clock.systemUTC(), java.time.Duration.ofDays(i));
                Copies copies = new Copies(folder, store.database(), 3, now[0]);
                history = acts(store, project, history, 1);
                assertThat(copies.makeIfChanged()).isPresent();
                assertThat(copies.makeIfChanged())
                        .as("nothing has changed since")
                        .isEmpty();
            }
            List<Path> kept = Copies.all(folder.resolve(Copies.FOLDER));
            assertThat(kept).hasSize(3);

            Copies copies = new Copies(folder, store.database(), 3, now[0]);
            assertThat(copies.makeIfWanted()).isFalse();
            Thread server = Thread.ofVirtual().start(() -> {
                try {
                    while (!copies.makeIfWanted()) {
                        Thread.sleep(20);
                    }
                } catch (Exception e) {
                    throw new IllegalStateException(e);
                }
            });
            acts(store, project, history, 1);
            Path mine = folder.resolve("mine.zip");
            Copies.ask(folder, mine);
            server.join();
            DataFolder.restore(folder.resolve("other"), mine, Clock.systemUTC());
            try (StoreUnderTest other = new StoreUnderTest(folder.resolve("other"))) {
                assertThat(other.histories().load(project).steps()).hasSize(6);
            }
        }
    }

    @Test
    void whatIsNoCopyChangesNothing() throws IOException {
        fill(1);
        byte[] before = Files.readAllBytes(database());
        Path noCopy = Files.writeString(folder.resolve("list.csv"), "keyword\nbee\n");
        assertThatThrownBy(() -> DataFolder.restore(folder, noCopy, Clock.systemUTC()))
                .hasMessageContaining("no copy that Smorgas has made");
        assertThatThrownBy(() -> DataFolder.restore(folder, folder.resolve("none.zip"), Clock.systemUTC()))
                .hasMessageContaining("there is no file");
        assertThat(Files.readAllBytes(database())).isEqualTo(before);
    }

    @Test
    void onlyTheOwnerMayReadWhatIsInTheFolder() throws IOException {
        Files.setPosixFilePermissions(folder, PosixFilePermissions.fromString("rwxr-xr-x"));
        fill(1);
        assertThat(PosixFilePermissions.toString(Files.getPosixFilePermissions(folder)))
                .isEqualTo("rwx------");
        for (String name : List.of(DataFolder.DATABASE, Tally.NAME)) {
            assertThat(PosixFilePermissions.toString(Files.getPosixFilePermissions(folder.resolve(name))))
                    .isEqualTo("rw-------");
        }
    }
}

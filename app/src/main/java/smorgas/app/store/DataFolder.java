package smorgas.app.store;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.time.Clock;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.flywaydb.core.Flyway;
import org.jspecify.annotations.Nullable;
import smorgas.core.text.Message;
import smorgas.core.text.Refusal;

/**
 * The folder of a database, opened so that nothing is written into one that is not what it was: looked at without
 * writing, compared with its {@link Tally}, copied before a migration, and migrated in connections of its own, which are
 * closed before anybody works with it. (What the migration makes keeps its session: a check in it fails once that is
 * closed, until the database is opened anew.)
 */
public final class DataFolder {

    /** The newest migration that this version has. */
    static final int SCHEMA = 1;

    static final String DATABASE = "smorgas.mv.db";

    private static final String READ_ONLY = ";ACCESS_MODE_DATA=r;IFEXISTS=TRUE";

    private final Path folder;
    private final String url;

    private DataFolder(Path folder, String url) {
        this.folder = folder;
        this.url = url;
    }

    /**
     * Makes the database in a folder ready to be worked with.
     *
     * @param url as the application opens it
     * @param locations of the migrations
     * @return its tally, which takes a line with each act from now on
     * @throws Refusal if what is there is not what must be there
     */
    public static Tally open(Path folder, String url, String... locations) {
        try {
            return new DataFolder(folder, url).open(locations);
        } catch (IOException | SQLException e) {
            throw new Refusal(Message.of("store.data-folder.cannot-be-opened", folder.toString(), e.getMessage()), e);
        }
    }

    private Tally open(String... locations) throws IOException, SQLException {
        OwnerOnly.folder(folder);
        Path database = folder.resolve(DATABASE);
        boolean told = Files.exists(Tally.in(folder));
        if (!Files.exists(database)) {
            if (told) {
                throw new Refusal("store.data-folder.missing", database.toString(), Tally.NAME, waysBack());
            }
            OwnerOnly.create(database);
        } else if (told || Files.size(database) > 0) {
            OwnerOnly.close(database);
            TallyMarks must = look(told);
            if (told) {
                // From now on it may shrink, as it does when its unused parts are given back.
                Tally.write(Tally.in(folder), must);
            }
        }
        Flyway flyway = Flyway.configure()
                .dataSource(url, "sa", "")
                .locations(locations)
                .placeholders(Map.of(Fingerprint.FIELD, Fingerprint.OURS))
                .load();
        copyBeforeMigration(flyway);
        flyway.migrate();
        try (Connection connection = DriverManager.getConnection(url, "sa", "")) {
            return Tally.begin(
                    folder, DatabaseState.at(connection, new TallyMarks()).marks());
        }
    }

    /** Whether there is a database. */
    public static boolean exists(Path folder) {
        return Files.exists(folder.resolve(DATABASE));
    }

    private static String readOnly(Path database) {
        String path = database.toAbsolutePath().toString();
        return "jdbc:h2:file:" + path.substring(0, path.length() - ".mv.db".length()) + READ_ONLY;
    }

    /**
     * Copies a database that nobody works with.
     *
     * @param to a file that does not exist
     * @throws Refusal if the database is not what it was
     */
    public static void copy(Path folder, Path to) throws IOException {
        Path database = folder.resolve(DATABASE);
        new DataFolder(folder, readOnly(database)).look(Files.exists(Tally.in(folder)));
        try (Connection connection = DriverManager.getConnection(readOnly(database), "sa", "")) {
            Copies.write(connection, to);
        } catch (SQLException e) {
            throw new IOException(e.getMessage(), e);
        }
    }

    /**
     * Puts a copy in the place of the database, which is moved into the folder's copies. Killed in the middle of it, the
     * folder is refused at the next start, and it can be done again.
     *
     * @return what was done, in a sentence
     * @throws Refusal if the copy cannot be read; nothing has changed then
     */
    public static Message restore(Path folder, Path file, Clock clock) throws IOException {
        if (!Files.isRegularFile(file)) {
            throw new Refusal("store.data-folder.no-file", file.toString());
        }
        OwnerOnly.folder(folder);
        Path fresh = folder.resolve("restoring.mv.db");
        OwnerOnly.create(fresh);
        Copies.unpack(file, fresh);
        DatabaseState look;
        try {
            look = lookAt(readOnly(fresh), new TallyMarks(), Message.of("store.data-folder.no-copy"));
        } catch (Refusal e) {
            Files.deleteIfExists(fresh);
            throw e;
        }
        Path database = folder.resolve(DATABASE);
        Path kept = null;
        if (Files.exists(database)) {
            Path aside = Copies.replaced(folder, clock);
            Files.move(database, aside);
            kept = aside;
        }
        Files.move(fresh, database);
        Tally.write(Tally.in(folder), look.marks());
        Message restored =
                Message.of("command.restore.restored", look.marks().projects().size(), file.toString());
        return kept == null ? restored : Message.of("command.restore.restored-and-kept", restored, kept.toString());
    }

    /**
     * Moves a database that another version has made into the folder's copies, so that a new one can be made.
     *
     * @return where it is now; empty if it was made by this version, there is none, or it cannot be read, which is told when it is
     *     opened
     */
    public static Optional<Path> setAside(Path folder, Clock clock) throws IOException {
        Path database = folder.resolve(DATABASE);
        if (!Files.exists(database) || Files.size(database) == 0) {
            return Optional.empty();
        }
        try (Connection connection = DriverManager.getConnection(readOnly(database), "sa", "")) {
            if (DatabaseState.ofAnother(connection, SCHEMA).isEmpty()) {
                return Optional.empty();
            }
        } catch (SQLException e) {
            return Optional.empty();
        }
        Path aside = Copies.replaced(folder, clock);
        Files.move(database, aside);
        Files.deleteIfExists(Tally.in(folder));
        return Optional.of(aside);
    }

    /** Deletes a database and what tells of it; copies stay. */
    public static void delete(Path folder) throws IOException {
        Files.deleteIfExists(Tally.in(folder));
        Files.deleteIfExists(folder.resolve(DATABASE));
    }

    /** Opens the database without writing into it, and compares. */
    private TallyMarks look(boolean told) throws IOException {
        TallyMarks must = told ? Tally.read(folder) : new TallyMarks();
        long bytes = Files.size(folder.resolve(DATABASE));
        if (bytes < must.bytes()) {
            throw new Refusal("store.data-folder.too-small", folder.toString(), bytes, must.bytes(), waysBack());
        }
        DatabaseState look = lookAt(readOnly(folder.resolve(DATABASE)), must, waysBack());
        if (!look.missing().isEmpty()) {
            List<Message> missing = look.missing();
            Message first = missing.getFirst();
            throw new Refusal(
                    "store.data-folder.not-what-it-was",
                    folder.toString(),
                    missing.size() > 1 ? Message.of("list.and-more", first, missing.size() - 1) : first,
                    waysBack());
        }
        return must;
    }

    /** What is in a database file; refused if it cannot be read or was made by a newer version. */
    static DatabaseState lookAt(String url, TallyMarks must, Message waysBack) {
        try (Connection connection = DriverManager.getConnection(url, "sa", "")) {
            DatabaseState.ofAnother(connection, SCHEMA).ifPresent(why -> {
                throw new Refusal("store.data-folder.of-another", why);
            });
            return DatabaseState.at(connection, must);
        } catch (SQLException e) {
            throw new Refusal(Message.of("store.data-folder.damaged", firstLine(e.getMessage()), waysBack), e);
        }
    }

    private static Message firstLine(@Nullable String message) {
        return message == null
                ? Message.of("store.data-folder.no-reason")
                : Message.verbatim(message.lines().findFirst().orElse(""));
    }

    private Message waysBack() {
        return Copies.waysBack(folder);
    }

    private void copyBeforeMigration(Flyway flyway) throws SQLException {
        var info = flyway.info();
        if (info.current() != null && info.pending().length > 0) {
            Path copy = folder.resolve("before-" + info.pending()[0].getVersion() + ".zip");
            try (Connection connection = DriverManager.getConnection(url, "sa", "")) {
                Copies.write(connection, copy);
            }
        }
    }
}
